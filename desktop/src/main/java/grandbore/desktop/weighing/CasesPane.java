package grandbore.desktop.weighing;

import grandbore.book.CaseFiles;
import grandbore.book.DynoJson;
import grandbore.core.asked.Answer;
import grandbore.core.clearances.OnDyno;
import grandbore.core.dyno.calibration.CasesStudy;
import grandbore.core.dyno.calibration.PooledCases;
import grandbore.core.prediction.Fidelity;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.ModelSpread;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Words;
import grandbore.desktop.curve.BandOfDoubt;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The model's own doubt: that of its checks, or what a folder of pulled engines shows it to be. */
public final class CasesPane extends VBox {
  private final Session session;
  private final BandOfDoubt band;
  private final ResultService service;
  private final Label stands = new Label();
  private final Label says = Page.hint("");
  private final VBox table = new VBox(6);
  private final Button take = Page.button("Doubt the model by these engines", "cases-take");
  private final Button own = Page.button("Doubt it by its own checks", "cases-own");
  private CaseFiles files;
  private PooledCases pooled = new PooledCases(List.of());

  CasesPane(Session session, CurveService curves) {
    super(6);
    this.session = session;
    band = curves.doubt();
    service = new ResultService(curves.runs(), Urgency.STUDY, why -> says.setText("✕ " + why));
    setId("cases");
    stands.setId("cases-stands");
    stands.setWrapText(true);
    says.setId("cases-says");
    says.textProperty().subscribe(t -> Page.show(says, !t.isEmpty()));
    var open = Page.button("Pool a folder of pulled engines…", "cases-open");
    open.setOnAction(e -> CsvFile.folder(this, "A folder of builds with their pulls", this::open));
    take.setOnAction(e -> pooled.spread().ifPresent(this::keep));
    own.setOnAction(e -> keep(ModelSpread.OWN));
    Page.show(take, false);
    band.modelProperty()
        .subscribe(
            m -> {
              stands.setText(Words.capital(m.says()) + ": one standard deviation of its peaks.");
              Page.show(own, !m.equals(ModelSpread.OWN));
            });
    getChildren()
        .addAll(
            Page.part("The model's own doubt"),
            stands,
            new FlowPane(8, 4, open, take, own),
            new RunLine("cases-run", service, this::run),
            says,
            table);
  }

  private void keep(ModelSpread spread) {
    session.keep(new OnDyno(OnDyno.Kind.CASES, DynoJson.write(spread)), "");
  }

  /** Reads a folder of builds with their pulls, and runs what is there. */
  public void open(Path folder) {
    says.setText("");
    var _ =
        CompletableFuture.supplyAsync(() -> CaseFiles.in(folder))
            .whenCompleteAsync(
                (found, wrong) -> {
                  if (wrong == null) {
                    files = found;
                    run();
                  } else {
                    says.setText("✕ " + Books.words(wrong));
                  }
                },
                Platform::runLater);
  }

  private void run() {
    if (files != null) {
      show(new PooledCases(List.of()));
      service.ask(new CasesStudy(files.cases(), Fidelity.FULL), this::show, this::show);
    }
  }

  private void show(PooledCases all) {
    pooled = all;
    table.getChildren().clear();
    boolean through = all.cases().size() == files.cases().size();
    Page.show(take, through && all.spread().isPresent());
    var words = new ArrayList<>(files.leftOut());
    if (through && all.spread().isEmpty()) {
      words.add(
          "Of %d engines the model's doubt can't be told: from %d on it is"
              .formatted(all.cases().size(), PooledCases.FEWEST));
    }
    says.setText(String.join("\n", words));
    if (all.cases().isEmpty()) {
      return;
    }
    var units = session.build().units();
    var rows = new ArrayList<List<String>>();
    for (var c : all.cases()) {
      for (var s : c.settings()) {
        rows.add(row(c.name(), s, units));
      }
    }
    table
        .getChildren()
        .setAll(
            new AnswerTable(
                new Answer.Table(
                    words(all),
                    List.of(
                        "Engine",
                        "Setting",
                        "Power predicted",
                        "pulled",
                        "off, %",
                        "Torque predicted",
                        "pulled",
                        "off, %"),
                    rows)));
  }

  private static String words(PooledCases all) {
    return "off by %.1f %% of peak power, %.1f %% of peak torque, %.1f %% by speed (root mean square)%s"
        .formatted(
            100 * all.power().rootMeanSquare(),
            100 * all.torque().rootMeanSquare(),
            100 * all.byRpm().rootMeanSquare(),
            all.spread()
                .map(s -> "; the model's own doubt by them %.1f %%".formatted(100 * s.share()))
                .orElse(""));
  }

  private static List<String> row(String name, PooledCases.Setting s, UnitSystem units) {
    return List.of(
        name,
        s.what(),
        Quantity.POWER.show(s.power().predicted(), units),
        Quantity.POWER.show(s.power().observed(), units),
        "%+.1f".formatted(100 * s.power().error()),
        Quantity.TORQUE.show(s.torque().predicted(), units),
        Quantity.TORQUE.show(s.torque().observed(), units),
        "%+.1f".formatted(100 * s.torque().error()));
  }
}
