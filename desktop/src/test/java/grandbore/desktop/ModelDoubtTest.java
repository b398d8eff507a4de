package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.book.BuildDocument;
import grandbore.book.BuildJson;
import grandbore.book.DynoJson;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OnDyno;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Recorded;
import grandbore.core.dyno.Standard;
import grandbore.core.studies.ModelSpread;
import grandbore.desktop.station.Station;
import grandbore.desktop.weighing.CasesPane;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What shops have pooled becomes the outer band of doubt, and is taken back. */
class ModelDoubtTest extends BenchTest {
  private static final Instant WHEN = Instant.parse("2026-10-03T09:00:00Z");
  @TempDir private Path cases;

  @Override
  Station station() {
    return Station.WEIGHING;
  }

  @Override
  boolean studies() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  private void write(String name, double torque) throws IOException {
    var rows =
        new Recorded(
            List.of(),
            List.of(
                new Column(Channel.RPM, 0, List.of(5000.0, 5500.0)),
                new Column(Channel.TORQUE, 0, List.of(torque, torque))));
    var pull =
        new Pull(
            1,
            "a day",
            WHEN,
            Pull.How.STEP,
            0,
            0,
            Optional.of(new DayAir(98e3, 300, 0.4)),
            Standard.NONE,
            Double.NaN,
            "",
            Optional.empty(),
            "typed",
            "",
            rows);
    var note = new OnDyno(OnDyno.Kind.PULL, DynoJson.write(pull));
    var kept = new Kept(1, note, "", WHEN, false);
    var build =
        new BuildDocument(
            DemoBuilds.paddockFour(), List.of(), torque > 0 ? List.of(kept) : List.of());
    Files.writeString(cases.resolve(name), BuildJson.write(build));
  }

  private boolean offered(String id) {
    return robot.lookup(id).query().isVisible();
  }

  private void pool() {
    robot.interact(() -> robot.lookup("#cases").<CasesPane>query().open(cases));
  }

  @Test
  void pooledEnginesBecomeTheOuterBand() throws IOException {
    robot.interact(() -> bench.curves().doubt().samplesProperty().set(60));
    view("weighing-doubt");
    assertThat(text("#cases-stands")).contains("5.2 %", "its own checks");
    assertThat(offered("#cases-own")).isFalse();
    write("none.json", 0);
    pool();
    until("none is there", () -> text("#cases-says").contains("no good pull"));
    write("one.json", 180);
    write("two.json", 190);
    pool();
    until("two", () -> text("#cases-says").contains("Of 2 engines"));
    assertThat(offered("#cases-take")).isFalse();
    write("three.json", 200);
    pool();
    until("three", () -> offered("#cases-take"));
    assertThat(String.join("\n", words("#cases"))).contains("three.json", "none.json");
    press("#cases-take");
    until("taken", () -> text("#cases-stands").contains("3 pooled cases"));
    var model = bench.curves().doubt().model();
    assertThat(model.engines()).isEqualTo(3);
    assertThat(text("#cases-stands")).contains("%.1f %%".formatted(100 * model.share()));
    until("told", () -> text("#doubt-says").contains("3 pooled cases"));
    assertThat(text("#curve-status"))
        .contains("own doubt of %.1f %%".formatted(100 * model.share()));
    press("#cases-own");
    until("back", () -> bench.curves().doubt().model().equals(ModelSpread.OWN));
    robot.interact(() -> bench.session().undo());
    until("undone", () -> bench.curves().doubt().model().equals(model));
    assertThat(model.share()).isCloseTo(bench.curves().doubt().model().share(), within(1e-9));
  }
}
