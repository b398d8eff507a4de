package grandbore.desktop;

import grandbore.book.BuildDocument;
import grandbore.book.JobBook;
import grandbore.book.PlannedChanges;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.job.Job;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.desktop.station.Station;
import java.util.List;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import org.junit.jupiter.api.BeforeEach;

/** The window on the demo's job, its route planned. */
abstract class JobBench extends BenchTest {
  @Override
  Station station() {
    return Station.JOB;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(PlannedChanges.demo(), new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  @BeforeEach
  void stands() {
    until("the route stands", () -> isShown("#job-dyno") && text("#job-dyno").contains("dyno"));
  }

  final Job job() {
    return JobBook.of(bench.session().bench().notes()).job();
  }

  final void write(String id, String words) {
    robot.interact(() -> robot.lookup(id).<TextField>query().setText(words));
  }

  /** Chooses the first part of a kind in the list. */
  final void item(EnginePart part) {
    robot.interact(
        () -> {
          var table = robot.lookup("#items-table").<TableView<Item>>query();
          table.getItems().stream()
              .filter(i -> i.part() == part)
              .findFirst()
              .ifPresent(i -> table.getSelectionModel().select(i));
        });
    Pulse.await();
  }
}
