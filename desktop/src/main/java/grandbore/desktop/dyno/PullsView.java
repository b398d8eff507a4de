package grandbore.desktop.dyno;

import grandbore.book.DynoBook;
import grandbore.book.DynoJson;
import grandbore.book.PullVerdict;
import grandbore.core.checks.Check;
import grandbore.core.clearances.Finding;
import grandbore.core.clearances.OnDyno;
import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** All pulls over one another, each with its verdict; and how more of them come in. */
final class PullsView extends VBox {
  private static final String ALL_DAYS = "all days";

  private final Session session;
  private final DynoState state;
  private final PlotPane plot;
  private final Slider width = new Slider(20, 800, PullCurve.USUAL_WIDTH);
  private final Label smoothing = new Label();
  private final VBox list = new VBox(2);
  private final VBox chosen = new VBox(6);
  private final ToggleGroup group = new ToggleGroup();
  private final ComboBox<String> days = new ComboBox<>();
  private boolean filling;
  private int number;
  private int newest;

  PullsView(Session session, DynoState state, Look look) {
    super(10);
    this.session = session;
    this.state = state;
    plot = new PlotPane(look, "dyno-overlay", "Torque of all pulls that stand", "%.1f");
    var standard = new ComboBox<Standard>();
    standard.setId("dyno-standard");
    standard.setAccessibleText("torque is told under");
    standard.getItems().setAll(Standard.values());
    standard.setConverter(
        new javafx.util.StringConverter<>() {
          @Override
          public String toString(Standard s) {
            return s == null ? "" : s.label();
          }

          @Override
          public Standard fromString(String s) {
            return Standard.NONE;
          }
        });
    standard.valueProperty().bindBidirectional(state.standardProperty());
    width.setId("dyno-smoothing");
    width.setAccessibleText("smoothing, half width in rpm");
    width.setPrefWidth(160);
    days.setId("dyno-day-shown");
    days.setAccessibleText("the day whose pulls are shown");
    days.setOnAction(e -> pickDay());
    var bar = new FlowPane(8, 4, new Label("Told under"), standard, smoothing, width, days);
    bar.setAlignment(Pos.CENTER_LEFT);
    var both = new HBox(12, list, chosen);
    list.setMinWidth(270);
    list.setPrefWidth(300);
    HBox.setHgrow(chosen, Priority.ALWAYS);
    getChildren().addAll(bar, plot, both, new ImportPane(session, state));
    WhenSeen.refresh(
        this,
        this::refresh,
        state.bookProperty(),
        state.standardProperty(),
        width.valueProperty(),
        state.dayProperty(),
        session.buildProperty());
  }

  private void refresh() {
    days();
    smoothing.setText("smoothed over ±%.0f rpm".formatted(width.getValue()));
    draw();
    fill();
  }

  /** All days that there are, where there is more than one. */
  private void days() {
    var names = new ArrayList<>(List.of(ALL_DAYS));
    state.book().pulls().stream().map(p -> p.pull().day()).distinct().forEach(names::add);
    filling = true;
    days.getItems().setAll(names);
    String day = state.dayProperty().get();
    days.setValue(names.contains(day) ? day : ALL_DAYS);
    filling = false;
    Page.show(days, names.size() > 2);
  }

  private void pickDay() {
    if (!filling && days.getValue() != null) {
      state.dayProperty().set(days.getValue().equals(ALL_DAYS) ? "" : days.getValue());
    }
  }

  private void draw() {
    var units = session.build().units();
    var torque = Quantity.TORQUE.unit(units);
    var standard = state.standardProperty().get();
    var lines = new ArrayList<Line>();
    state
        .book()
        .frozen()
        .ifPresent(
            f -> {
              var rows = f.prediction().rows();
              lines.add(
                  new Line(
                      "frozen",
                      rows.stream().mapToDouble(r -> r.rpm()).toArray(),
                      rows.stream()
                          .mapToDouble(r -> torque.fromSi(f.prediction().torque(r.rpm(), standard)))
                          .toArray()));
            });
    var stand = state.shown().stream().filter(p -> !p.struck()).toList();
    for (var p : stand) {
      try {
        var curve = PullCurve.torque(p.pull(), standard, width.getValue());
        lines.add(
            new Line(
                String.valueOf(p.pull().number()),
                curve.points().stream().mapToDouble(PullCurve.Point::rpm).toArray(),
                curve.points().stream().mapToDouble(v -> torque.fromSi(v.value())).toArray()));
      } catch (InvalidInput e) {
        // Its air is not known: the card says so.
      }
    }
    plot.show("rpm", "%s, %s".formatted(torque.symbol(), standard.label()), lines);
    plot.pick(picked(stand));
  }

  private int picked(List<DynoBook.KeptPull> stand) {
    int first = state.book().frozen().isPresent() ? 1 : 0;
    for (int k = 0; k < stand.size(); k++) {
      if (stand.get(k).pull().number() == number) {
        return first + k;
      }
    }
    return -1;
  }

  private void fill() {
    list.getChildren().clear();
    group.getToggles().clear();
    var pulls = state.book().pulls();
    if (pulls.isEmpty()) {
      list.getChildren()
          .add(
              Page.hint(
                  "No pull is kept yet. Run some at the gauges, read a recorder's file, or type a"
                      + " printed sheet below."));
      chosen.getChildren().clear();
      return;
    }
    // A pull that has come in is the one that is looked at.
    int last = state.book().nextNumber() - 1;
    if (last > newest || state.book().pull(number).isEmpty()) {
      number = last;
    }
    newest = last;
    var shown = state.shown();
    if (shown.stream().noneMatch(p -> p.pull().number() == number)) {
      number = shown.getLast().pull().number();
    }
    for (var p : shown) {
      list.getChildren().add(entry(p));
    }
    state.book().pull(number).ifPresent(this::show);
  }

  private Node entry(DynoBook.KeptPull p) {
    String mark = p.struck() ? "struck out" : p.isGood() ? "✓" : "✕";
    String what = p.pull().changed().isBlank() ? "repeat" : p.pull().changed();
    var button = new ToggleButton("%s  %d  %s".formatted(mark, p.pull().number(), what));
    button.setId("dyno-pull-" + p.pull().number());
    button.setToggleGroup(group);
    button.getStyleClass().add("small");
    button.setMaxWidth(Double.MAX_VALUE);
    button.setAlignment(Pos.CENTER_LEFT);
    button.setSelected(p.pull().number() == number);
    button.setOnAction(
        e -> {
          button.setSelected(true);
          number = p.pull().number();
          draw();
          show(p);
        });
    return button;
  }

  private void show(DynoBook.KeptPull p) {
    var pull = p.pull();
    chosen.getChildren().setAll(Page.part("Pull %d, %s".formatted(pull.number(), pull.day())));
    var facts = Page.hint(facts(p));
    facts.setId("dyno-facts");
    chosen.getChildren().add(facts);
    var why = Page.words("dyno-why", "why, in a few words", 24);
    why.setText(p.verdict().map(PullVerdict::why).orElse(""));
    var good = Page.button("It is good", "dyno-good");
    good.setOnAction(e -> judge(pull.number(), true, why.getText()));
    var bad = Page.button("It is not", "dyno-bad");
    bad.setOnAction(e -> judge(pull.number(), false, why.getText()));
    var strike = Page.button(p.struck() ? "It stands after all" : "Strike it out", "dyno-strike");
    strike.setOnAction(e -> session.strikeNote(p.note(), !p.struck()));
    var buttons = new FlowPane(6, 4, why, good, bad, strike);
    buttons.setAlignment(Pos.CENTER_LEFT);
    chosen.getChildren().add(buttons);
    for (var c : p.checks()) {
      if (c.verdict() != Check.Verdict.GOOD) {
        chosen.getChildren().add(check(c));
      }
    }
    long holds = p.checks().stream().filter(c -> c.verdict() == Check.Verdict.GOOD).count();
    var rest =
        Page.hint(
            "%d check%s hold: %s"
                .formatted(
                    holds,
                    holds == 1 ? "" : "s",
                    String.join(
                        "; ",
                        p.checks().stream()
                            .filter(c -> c.verdict() == Check.Verdict.GOOD)
                            .map(c -> c.label().toLowerCase(Locale.ROOT))
                            .toList())));
    rest.setId("dyno-holds");
    chosen.getChildren().add(rest);
    var after = Page.hint(foundAfter(p));
    after.setId("dyno-found-after");
    chosen.getChildren().addAll(after, new PullPictures(session, p));
  }

  /** What was found on its parts between this pull and the next. */
  private String foundAfter(DynoBook.KeptPull p) {
    var until =
        state.book().pulls().stream()
            .map(k -> k.pull().at())
            .filter(t -> t.isAfter(p.pull().at()))
            .min(java.util.Comparator.naturalOrder());
    var words =
        session.notesProperty().getValue().stream()
            .filter(k -> k.note() instanceof Finding && !k.struck())
            .filter(k -> k.at().isAfter(p.pull().at()))
            .filter(k -> until.map(t -> k.at().isBefore(t)).orElse(true))
            .map(k -> (Finding) k.note())
            .map(
                f ->
                    "%s %d %s"
                        .formatted(
                            f.part().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                            f.place(),
                            f.kind().name().toLowerCase(Locale.ROOT).replace('_', ' ')))
            .toList();
    return words.isEmpty()
        ? "Nothing was found at a strip-down between this pull and the next."
        : "Found at the strip-down after it: " + String.join("; ", words) + ".";
  }

  private static Node check(Check c) {
    boolean bad = c.verdict() == Check.Verdict.BAD;
    var says = new Label((bad ? "✕  " : "△  ") + c.label() + ": " + c.says());
    says.setId("dyno-check-" + c.name());
    says.setWrapText(true);
    says.getStyleClass().add(bad ? "outside" : "near");
    return new VBox(1, says, Page.hint(c.working()));
  }

  private String facts(DynoBook.KeptPull p) {
    var pull = p.pull();
    UnitSystem units = session.build().units();
    var facts = new ArrayList<String>();
    facts.add(pull.how() == grandbore.core.dyno.Pull.How.SWEEP ? "sweep" : "steps");
    if (pull.rate() > 0) {
      facts.add("%,.0f rpm a second".formatted(pull.rate()));
    }
    if (!Double.isNaN(pull.spark())) {
      facts.add("spark %.1f° as read".formatted(Math.toDegrees(pull.spark())));
    }
    pull.breathed()
        .ifPresentOrElse(
            a ->
                facts.add(
                    "air %s, %s, %.0f %% humid; %s"
                        .formatted(
                            Quantity.PRESSURE.show(a.pressure(), units),
                            Quantity.TEMPERATURE.show(a.temperature(), units),
                            100 * a.humidity(),
                            corrected(a))),
            () -> facts.add("its air is not known: it stands as read and is not corrected"));
    if (pull.carries() != Standard.NONE) {
      facts.add("came with " + pull.carries().label());
    }
    facts.add("%d rows of %s".formatted(pull.rows().rows(), pull.source()));
    return String.join("; ", facts);
  }

  /** The standard's factor on a day's air, and whether its letter still covers it. */
  private String corrected(DayAir air) {
    var standard = state.standardProperty().get();
    double factor = standard.factor(air);
    return "factor of %s %.4f%s"
        .formatted(
            standard.label(),
            factor,
            standard.allows(factor) ? "" : ", △ beyond what the standard allows");
  }

  private void judge(int pull, boolean good, String why) {
    session.keep(
        new OnDyno(OnDyno.Kind.VERDICT, DynoJson.write(new PullVerdict(pull, good, why.strip()))),
        "");
  }
}
