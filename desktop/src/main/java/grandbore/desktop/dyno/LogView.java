package grandbore.desktop.dyno;

import grandbore.book.DynoJson;
import grandbore.core.asked.Answer;
import grandbore.core.clearances.OnDyno;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.MixtureTable;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.effects.Effect;
import grandbore.core.dyno.effects.Jets;
import grandbore.core.dyno.effects.LambdaMap;
import grandbore.core.dyno.effects.Repeats;
import grandbore.core.dyno.effects.SparkHill;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What each change gave, the hill of torque over spark, mixture and jets, the pointer. */
final class LogView extends VBox {
  private static final double POINTS = 25;

  private static final String NOT_JETS = "✕ Jets are diameters in mm, parted by blanks";

  private final Session session;
  private final DynoState state;
  private final VBox effects = new VBox(6);
  private final PlotPane byRpm;
  private final PlotPane hills;
  private final VBox hillTable = new VBox();
  private final PlotPane lambda;
  private final Label repeats = Page.hint("");
  private final TextField pointer = Page.words("dyno-pointer", "degrees", 6);
  private final Label proved = Page.hint("");
  private final TextField before =
      Page.words("dyno-jets-before", "such as 1.80 1.80 1.85 1.85 mm", 20);
  private final TextField after =
      Page.words("dyno-jets-after", "such as 1.85 1.85 1.90 1.90 mm", 20);
  private final Label jets = Page.hint("");
  private Optional<Jets> fitted = Optional.empty();
  private final Label mixture = Page.hint("");

  LogView(Session session, DynoState state, Look look) {
    super(10);
    this.session = session;
    this.state = state;
    byRpm = new PlotPane(look, "dyno-effects", "What those that are told gave by speed", "%+.1f");
    hills = new PlotPane(look, "dyno-hills", "Torque over spark, by speed", "%.2f");
    lambda = new PlotPane(look, "dyno-lambda", "Lambda of the last good pull", "%.3f");
    effects.setId("dyno-effects-table");
    repeats.setId("dyno-repeats");
    proved.setId("dyno-proved");
    jets.setId("dyno-jets");
    mixture.setId("dyno-mixture");
    var prove = Page.button("Proved at the stop", "dyno-prove");
    prove.setOnAction(e -> prove());
    var spark =
        new FlowPane(8, 4, new Label("The pointer shows more than there is by"), pointer, prove);
    spark.setAlignment(Pos.CENTER_LEFT);
    before.textProperty().subscribe(t -> jets());
    after.textProperty().subscribe(t -> jets());
    var fit = Page.button("Use the lambda that was read", "dyno-use-lambda");
    fit.setOnAction(e -> useLambda());
    var keep = Page.button("These are fitted", "dyno-jets-keep");
    keep.setOnAction(e -> keepJets());
    var now = new HBox(8, new Label("Main jets"), before, keep);
    var other = new HBox(8, new Label("instead"), after);
    now.setAlignment(Pos.CENTER_LEFT);
    other.setAlignment(Pos.CENTER_LEFT);
    var fuel = new FlowPane(8, 4, now, other);
    fuel.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Page.part("What each change gave"),
            repeats,
            effects,
            byRpm,
            Page.part("Spark"),
            spark,
            proved,
            PlotPane.pair(hills, lambda),
            hillTable,
            Page.part("Mixture and jets"),
            mixture,
            new FlowPane(8, 4, fit),
            fuel,
            jets);
    WhenSeen.refresh(
        this,
        this::refresh,
        state.bookProperty(),
        state.standardProperty(),
        session.buildProperty());
  }

  private WantedBand band() {
    return WantedBand.of(session.build().combination().brief());
  }

  private List<Pull> good() {
    var standard = state.standardProperty().get();
    return state.book().good().stream().filter(p -> p.isTold(standard)).toList();
  }

  private void refresh() {
    effects();
    hills();
    mixture();
    fitted();
    jets();
    double off = state.book().pointer();
    proved.setText(
        off == 0
            ? "Not proved off: every spark below is as it was read."
            : "Every spark below is %.1f° less than it was read.".formatted(Math.toDegrees(off)));
  }

  /** The jets of the build on the bench, whenever they are others than were shown. */
  private void fitted() {
    if (!state.book().jets().equals(fitted)) {
      fitted = state.book().jets();
      before.setText(fitted.map(Jets::words).orElse(""));
    }
  }

  private void effects() {
    effects.getChildren().clear();
    var standard = state.standardProperty().get();
    var band = band();
    var good = good();
    var known = Repeats.of(good, standard, band.from(), band.to());
    repeats.setText(
        known.isKnown()
            ? "Pulls of one setting repeat to %.2f %% (%d repeat%s). A change is told where chance alone makes it in less than one of twenty."
                .formatted(
                    100 * known.deviation(), known.freedom(), known.freedom() == 1 ? "" : "s")
            : "No setting was pulled twice: what is a gain and what is chance can't be told. Repeat"
                + " the first pull.");
    var found = Effect.of(good, standard, band.from(), band.to());
    var torque = Quantity.TORQUE.unit(session.build().units());
    if (!found.isEmpty()) {
      var rows = found.stream().map(LogView::row).toList();
      effects
          .getChildren()
          .add(
              new AnswerTable(
                  new Answer.Table(
                      "average torque from %,.0f to %,.0f rpm, %s"
                          .formatted(band.from(), band.to(), standard.label()),
                      List.of(
                          "Pulls", "Changed", "Gain, %", "Counts from, %", "By chance", "So it is"),
                      rows)));
    }
    byRpm.show(
        "rpm",
        torque.symbol(),
        found.stream()
            .filter(e -> e.told() == Effect.Told.GAIN || e.told() == Effect.Told.LOSS)
            .filter(e -> !e.byRpm().points().isEmpty())
            .map(
                e ->
                    new Line(
                        name(e),
                        e.byRpm().points().stream().mapToDouble(p -> p.rpm()).toArray(),
                        e.byRpm().points().stream()
                            .mapToDouble(p -> torque.differenceFromSi(p.value()))
                            .toArray()))
            .toList());
  }

  private static String name(Effect e) {
    int number = e.after().pulls().getFirst().number();
    return e.after().setting().words().isBlank()
        ? "pull " + number
        : "%s (%d)".formatted(e.after().setting().words(), number);
  }

  private static List<String> row(Effect e) {
    return List.of(
        "%s → %s".formatted(numbers(e.before().pulls()), numbers(e.after().pulls())),
        name(e),
        "%+.2f".formatted(100 * e.share()),
        "%.2f".formatted(100 * e.counts()),
        Double.isNaN(e.chance())
            ? ""
            : e.chance() < 0.001 ? "< 0.1 %" : "%.1f %%".formatted(100 * e.chance()),
        e.told().word());
  }

  private static String numbers(List<Pull> pulls) {
    return pulls.size() == 1
        ? "" + pulls.getFirst().number()
        : pulls.getFirst().number() + "–" + pulls.getLast().number();
  }

  private void hills() {
    var units = session.build().units();
    var torque = Quantity.TORQUE.unit(units);
    var all = SparkHill.of(good(), state.standardProperty().get(), state.book().pointer());
    hills.show(
        "spark, ° before top",
        "% off the best run",
        all.stream()
            .map(
                h -> {
                  var x =
                      IntStream.rangeClosed(0, (int) POINTS)
                          .mapToDouble(k -> h.from() + (h.to() - h.from()) * k / POINTS)
                          .toArray();
                  double most =
                      java.util.Arrays.stream(x).map(h.hill()::at).max().orElse(Double.NaN);
                  var y =
                      java.util.Arrays.stream(x)
                          .map(v -> 100 * (h.hill().at(v) / most - 1))
                          .toArray();
                  return new Line("%,.0f".formatted(h.rpm()), x, y);
                })
            .toList());
    hillTable.getChildren().clear();
    if (all.isEmpty()) {
      hillTable.getChildren().add(Page.hint("A hill wants three sparks, with all else as it was."));
      return;
    }
    var rows =
        all.stream()
            .map(
                h ->
                    h.hasTop()
                        ? List.of(
                            "%,.0f".formatted(h.rpm()),
                            "%.1f".formatted(h.best()),
                            Quantity.TORQUE.number(h.torque(), units),
                            "%.1f".formatted(torque.differenceFromSi(h.tooMuch())),
                            "%.1f".formatted(h.smallest()))
                        : List.of(
                            "%,.0f".formatted(h.rpm()),
                            h.hill().isHill() && h.hill().top() >= h.to()
                                ? "beyond %.0f".formatted(h.to())
                                : "below %.0f".formatted(h.from()),
                            "",
                            "",
                            ""))
            .toList();
    hillTable
        .getChildren()
        .add(
            new AnswerTable(
                new Answer.Table(
                    "parabolas of least squares; stop at the top, or at the least spark within half"
                        + " a per cent of it",
                    List.of(
                        "rpm",
                        "Top, °",
                        "Torque, " + torque.symbol(),
                        "4° too much cost, " + torque.symbol(),
                        "Within ½ %, °"),
                    rows)));
  }

  private void mixture() {
    var good = good();
    if (good.isEmpty()) {
      lambda.show("rpm", "lambda", List.of());
      mixture.setText("");
      return;
    }
    var map = LambdaMap.of(good.getLast());
    var x = map.rows().stream().mapToDouble(LambdaMap.Row::rpm).toArray();
    var lines = new ArrayList<Line>();
    for (int k = 0; k < map.places().size(); k++) {
      int at = k;
      lines.add(
          new Line(
              map.places().get(k),
              x,
              map.rows().stream().mapToDouble(r -> r.lambda().get(at)).toArray()));
    }
    lambda.show("rpm", "lambda", lines);
    double mean = map.mean(band().from(), band().to());
    mixture.setText(
        Double.isNaN(mean)
            ? "No lambda was read over the band."
            : "Pull %d read lambda %.3f over the band; the engine on the bench is set to %.3f."
                .formatted(
                    good.getLast().number(),
                    mean,
                    session.build().combination().mixture().lambda().si()));
  }

  /** What was read runs over the speeds as it did; its mean is the figure that moves it. */
  private void useLambda() {
    var good = good();
    var table = good.isEmpty() ? MixtureTable.NONE : LambdaMap.of(good.getLast()).table();
    if (table.isGiven()) {
      int cylinders = session.build().combination().bottomEnd().cylinders();
      var each = LambdaMap.of(good.getLast()).byCylinder(cylinders);
      session.edit(
          "Lambda as it was read",
          b -> {
            var c = table.on(b.combination());
            // Where not every cylinder was read, what is known of them stays.
            return b.with(each.isEmpty() ? c : c.with("mixture.byCylinder", each));
          });
    }
  }

  private void prove() {
    try {
      double off = Entry.parse(pointer.getText(), Quantity.ANGLE, session.build().units(), 0);
      session.keep(new OnDyno(OnDyno.Kind.POINTER, DynoJson.writePointer(off)), "");
    } catch (IllegalArgumentException e) {
      proved.setText("✕ " + e.getMessage());
    }
  }

  private void keepJets() {
    try {
      session.keep(new OnDyno(OnDyno.Kind.JETS, DynoJson.write(jets(before.getText()))), "");
    } catch (InvalidInput e) {
      jets.setText("✕ " + e.getMessage());
    } catch (NumberFormatException e) {
      jets.setText(NOT_JETS);
    }
  }

  private void jets() {
    if (before.getText().isBlank() || after.getText().isBlank()) {
      jets.setText("Fuel goes with the area of all jets together; type both sets, front and rear.");
      return;
    }
    try {
      var was = jets(before.getText());
      var is = jets(after.getText());
      var good = good();
      String expected = "";
      if (!good.isEmpty() && good.getLast().breathed().isPresent()) {
        var air = good.getLast().breathed().get();
        double mean = LambdaMap.of(good.getLast()).mean(band().from(), band().to());
        if (Double.isFinite(mean)) {
          expected =
              "; lambda %.3f becomes %.3f in the same air"
                  .formatted(mean, is.lambda(mean, was, air, air));
        }
      }
      jets.setText("%+.1f %% of fuel%s".formatted(100 * is.more(was), expected));
    } catch (InvalidInput e) {
      jets.setText("✕ " + e.getMessage());
    } catch (NumberFormatException e) {
      jets.setText(NOT_JETS);
    }
  }

  private static Jets jets(String text) {
    var all = new ArrayList<Double>();
    for (String word : text.replace("mm", "").strip().split("[\\s;]+", -1)) {
      all.add(Double.parseDouble(word.replace(',', '.')) / 1e3);
    }
    return new Jets(all);
  }
}
