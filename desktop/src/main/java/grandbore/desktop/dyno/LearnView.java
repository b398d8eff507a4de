package grandbore.desktop.dyno;

import grandbore.book.DynoJson;
import grandbore.book.FrozenBuild;
import grandbore.core.asked.Answer;
import grandbore.core.clearances.OnDyno;
import grandbore.core.combination.Combination;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.calibration.Believed;
import grandbore.core.dyno.calibration.Calibration;
import grandbore.core.dyno.calibration.CalibrationStudy;
import grandbore.core.dyno.calibration.Coefficient;
import grandbore.core.dyno.judged.Pattern;
import grandbore.core.runs.Urgency;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.controls.Words;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.application.Platform;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** The frozen prediction against what was pulled, and what all good pulls together teach. */
final class LearnView extends VBox {
  private final Session session;
  private final DynoState state;
  private final ResultService service;
  private final PlotPane overlay;
  private final PlotPane difference;
  private final Label pattern = new Label();
  private final Label trouble = Page.hint("");
  private final Map<Coefficient, CheckBox> asked = new EnumMap<>(Coefficient.class);
  private final CheckBox shop =
      new CheckBox("begin from what the shop's other engines taught, where they were pulled");
  private final CheckBox profiled =
      new CheckBox(
          "hold each off its best besides, the others following: is its error the same"
              + " on both sides?");
  private final VBox learned = new VBox(6);

  LearnView(Session session, CurveService curves, DynoState state, Look look) {
    super(10);
    this.session = session;
    this.state = state;
    service = new ResultService(curves.runs(), Urgency.STUDY, why -> trouble.setText("✕ " + why));
    overlay =
        new PlotPane(look, "dyno-frozen-plot", "Frozen prediction and the last good pull", "%.1f");
    difference = new PlotPane(look, "dyno-difference", "Pulled over predicted", "%+.1f");
    pattern.setId("dyno-pattern");
    pattern.setWrapText(true);
    trouble.setId("dyno-learn-trouble");
    trouble.textProperty().subscribe(t -> Page.show(trouble, !t.isEmpty()));
    var boxes = new FlowPane(12, 4);
    for (var c : Coefficient.values()) {
      var box = new CheckBox(c.label());
      box.setId("learn-" + c.word().replace('_', '-'));
      box.setSelected(
          switch (c) {
            case MIXTURE, METER_FLOW -> false;
            default -> true;
          });
      asked.put(c, box);
      boxes.getChildren().add(box);
    }
    shop.setId("believe-shop");
    profiled.setId("learn-profiled");
    var learn = Page.button("Learn from all good pulls", "dyno-learn");
    learn.setOnAction(e -> learn());
    var forget = Page.button("Run the engine as its parts say", "dyno-forget");
    forget.setOnAction(e -> forget());
    getChildren()
        .addAll(
            PlotPane.pair(overlay, difference),
            pattern,
            Page.part("Learn"),
            Page.hint(
                "Few factors upon the model's own numbers, by least squares on all good pulls"
                    + " together, each with its standard error. What these pulls can't tell is"
                    + " left as it was."),
            boxes,
            shop,
            profiled,
            new FlowPane(8, 4, learn, forget),
            new RunLine("dyno-learning", service, this::learn),
            trouble,
            learned,
            Page.part("On the engine on the bench"),
            Page.hint("Factors upon the model's own numbers; one is as its parts say."),
            factors());
    WhenSeen.refresh(
        this,
        this::refresh,
        state.bookProperty(),
        state.standardProperty(),
        session.buildProperty());
  }

  private InputGrid factors() {
    return new InputGrid(session)
        .with(Arrays.stream(Coefficient.values()).map(Coefficient::path).toArray(String[]::new));
  }

  private Combination engine() {
    return state
        .book()
        .frozen()
        .map(f -> f.of().engine().combination())
        .orElseGet(() -> session.engine().combination());
  }

  private void refresh() {
    compare();
    var all = state.book().calibrations();
    learned.getChildren().clear();
    if (!all.isEmpty()) {
      show(all.getLast());
    }
  }

  private void compare() {
    var good = state.book().good();
    var frozen = state.book().frozen().map(FrozenBuild::prediction);
    if (frozen.isEmpty() || good.isEmpty()) {
      pattern.setText(
          frozen.isEmpty()
              ? "No prediction was frozen before these pulls."
              : "No good pull is kept yet.");
      overlay.show("rpm", "", List.of());
      difference.show("rpm", "", List.of());
      return;
    }
    var pull = good.getLast();
    if (pull.breathed().isEmpty()) {
      pattern.setText("The air of pull %d is not known.".formatted(pull.number()));
      return;
    }
    draw(pull);
    pattern.setText(
        Pattern.of(engine(), pull, frozen.get())
            .map(p -> "Pull %d: ".formatted(pull.number()) + String.join("; ", p.says()) + ".")
            .orElse("Pull and prediction have too little in common."));
  }

  private void draw(Pull pull) {
    var units = session.build().units();
    var torque = Quantity.TORQUE.unit(units);
    var standard = state.standardProperty().get();
    var f = state.book().frozen().orElseThrow().prediction();
    var read = PullCurve.torque(pull, standard, PullCurve.USUAL_WIDTH);
    double factor = standard.factor(f.air());
    var x = f.rows().stream().mapToDouble(r -> r.rpm()).toArray();
    var px = read.points().stream().mapToDouble(PullCurve.Point::rpm).toArray();
    var lines = new ArrayList<Line>();
    lines.add(
        new Line(
            "predicted",
            x,
            f.rows().stream().mapToDouble(r -> torque.fromSi(factor * r.torque())).toArray()));
    lines.add(
        new Line(
            "pulled",
            px,
            read.points().stream().mapToDouble(p -> torque.fromSi(p.value())).toArray()));
    lines.add(
        new Line(
            "low",
            x,
            f.rows().stream().mapToDouble(r -> torque.fromSi(factor * r.low())).toArray()));
    lines.add(
        new Line(
            "high",
            x,
            f.rows().stream().mapToDouble(r -> torque.fromSi(factor * r.high())).toArray()));
    overlay.show("rpm", "%s, %s".formatted(torque.symbol(), standard.label()), lines);
    difference.show(
        "rpm",
        "%",
        List.of(
            new Line(
                "pull " + pull.number(),
                px,
                read.points().stream()
                    .mapToDouble(p -> 100 * (p.value() / f.torque(p.rpm(), standard) - 1))
                    .toArray())));
  }

  private void learn() {
    trouble.setText("");
    var which =
        asked.entrySet().stream()
            .filter(e -> e.getValue().isSelected())
            .map(Map.Entry::getKey)
            .toList();
    if (!shop.isSelected()) {
      learn(which, Believed.ordinary());
      return;
    }
    var _ =
        ShopBelief.of(session)
            .whenCompleteAsync(
                (own, wrong) -> {
                  if (wrong != null) {
                    trouble.setText("✕ " + Books.words(wrong));
                  } else {
                    trouble.setText(
                        own.isEmpty()
                            ? "No other engine in the book was pulled and learned from: begun from"
                                + " what every shop believes."
                            : "Begun from what %d other engine%s taught."
                                .formatted(own.size(), own.size() == 1 ? "" : "s"));
                    learn(which, Believed.ofShop(own));
                  }
                },
                Platform::runLater);
  }

  private void learn(List<Coefficient> which, Map<Coefficient, Believed> believed) {
    try {
      var engine = state.book().frozen().map(f -> f.of().engine()).orElseGet(session::engine);
      service.ask(
          new CalibrationStudy(
              engine,
              state.book().good(),
              which,
              believed,
              state.book().pointer(),
              profiled.isSelected()),
          found -> session.keep(new OnDyno(OnDyno.Kind.CALIBRATION, DynoJson.write(found)), ""));
    } catch (IllegalArgumentException e) {
      trouble.setText("✕ " + e.getMessage());
    }
  }

  /** How the misfit rises where each is held off its best. */
  private static AnswerTable profiles(Calibration c) {
    var rows =
        c.profiles().stream()
            .map(
                p -> {
                  var row = new ArrayList<String>(List.of(p.coefficient().label()));
                  p.points().forEach(at -> row.add("%.1f".formatted(at.rise())));
                  row.add(p.isStraight() ? "● straight" : "◐ bent");
                  return List.copyOf(row);
                })
            .toList();
    var heads = new ArrayList<String>(List.of("Factor"));
    c.profiles().getFirst().points().forEach(at -> heads.add("%+.0f".formatted(at.errors())));
    heads.add("Its error");
    var table =
        new AnswerTable(
            new Answer.Table(
                "rise of the misfit where each is held off its best by so many standard errors;"
                    + " straight: their square",
                heads,
                rows));
    table.setId("dyno-profiles");
    return table;
  }

  private void show(Calibration c) {
    var rows =
        c.learnt().stream()
            .map(
                l ->
                    List.of(
                        l.coefficient().label(),
                        "%.3f".formatted(l.value()),
                        "± %.3f".formatted(l.error()),
                        "%.2f ± %.2f".formatted(l.prior(), l.believed()),
                        l.told().word()))
            .toList();
    var says =
        new Label(
            "%s: torque was off by %.1f %%, with what was learned by %.1f %%.%s"
                .formatted(
                    Words.capital(c.title()), 100 * c.before(), 100 * c.after(), leftOut(c)));
    says.setId("dyno-learned");
    says.setWrapText(true);
    learned
        .getChildren()
        .addAll(
            Page.part("What was learned"),
            says,
            new AnswerTable(
                new Answer.Table(
                    "factors upon the model's own numbers",
                    List.of("Factor", "Found", "Error", "Before", "Told?"),
                    rows)));
    if (!c.profiles().isEmpty()) {
      learned.getChildren().add(profiles(c));
    }
    c.together()
        .forEach(
            p ->
                learned
                    .getChildren()
                    .add(
                        Page.hint(
                            "△ %s and %s go together (%.2f): these pulls tell only both at once."
                                .formatted(
                                    p.one().label(),
                                    p.other().label().toLowerCase(Locale.ROOT),
                                    p.correlation()))));
    c.change()
        .ifPresent(
            change -> {
              var set = Page.button("Run this engine with it", "dyno-set");
              set.setOnAction(
                  e -> session.edit("What pulls taught", b -> b.with(change.on(b.combination()))));
              learned.getChildren().add(new FlowPane(8, 4, set));
            });
    learned
        .getChildren()
        .add(
            Page.hint(
                session.build().combination().learned().isAny()
                    ? "The engine on the bench runs with what pulls taught; its curve says so."
                    : "The engine on the bench runs as its parts say."));
  }

  private static String leftOut(Calibration c) {
    double worst =
        c.leftOut().stream().mapToDouble(Calibration.LeftOut::after).max().orElse(Double.NaN);
    return Double.isNaN(worst)
        ? ""
        : " Each setting left out in turn, the others tell it to %.1f %% at worst."
            .formatted(100 * worst);
  }

  private void forget() {
    session.edit(
        "As its parts say",
        b -> {
          var c = b.combination();
          for (var k : Coefficient.values()) {
            if (k.of(c) != 1) {
              c = c.with(k.path(), k.given(1));
            }
          }
          return b.with(c);
        });
  }
}
