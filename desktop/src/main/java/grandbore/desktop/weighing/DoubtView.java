package grandbore.desktop.weighing;

import grandbore.core.asked.Answers;
import grandbore.core.asked.Question;
import grandbore.core.doubt.Uncertain;
import grandbore.core.prediction.WantedBand;
import grandbore.core.runs.Urgency;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.DoubtStudy;
import grandbore.core.studies.Effects;
import grandbore.core.studies.EffectsStudy;
import grandbore.core.studies.SharesStudy;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Places;
import grandbore.desktop.curve.BandOfDoubt;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.Asking;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** How far the curve may lie off, what matters of the inputs, and what to measure next. */
final class DoubtView extends VBox {
  private final Session session;
  private final BandOfDoubt band;
  private final ResultService alone;
  private final ResultService sharing;
  private final Asking asking;
  private final UnaryOperator<String> station;
  private final Places places;
  private final Label says = new Label();
  private final Label trouble = Page.hint("");
  private final StudyKeeper keeper;
  private final VBox table = new VBox();
  private EffectsStudy.Step step = EffectsStudy.Step.SPREAD;
  private Optional<Effects> effects = Optional.empty();
  private Optional<Doubt.Shares> shares = Optional.empty();

  /** The inputs, with what was known of them, among which they were shared out. */
  private List<Uncertain> shared = List.of();

  DoubtView(
      Session session,
      CurveService curves,
      DoubtService service,
      UnaryOperator<String> station,
      Places places) {
    super(10);
    this.session = session;
    this.station = station;
    this.places = places;
    band = service.band();
    alone = new ResultService(curves.runs(), Urgency.STUDY, why -> trouble.setText("✕ " + why));
    sharing = new ResultService(curves.runs(), Urgency.STUDY, why -> trouble.setText("✕ " + why));
    asking = new Asking(this, this::ask).when(session.buildProperty(), session.readingsProperty());
    says.setId("doubt-says");
    says.setWrapText(true);
    trouble.setId("doubt-trouble");
    trouble.textProperty().subscribe(t -> Page.show(trouble, !t.isEmpty()));
    service.troubleProperty().subscribe(t -> trouble.setText(t.isEmpty() ? "" : "✕ " + t));
    keeper = new StudyKeeper(session, "doubt-keep");
    var onCurve = new ToggleButton("Band on the curve");
    onCurve.setId("doubt-on-curve");
    onCurve.getStyleClass().add("small");
    onCurve.selectedProperty().bindBidirectional(band.wantedProperty());
    var steps = new ToggleGroup();
    var bar =
        new FlowPane(
            8,
            4,
            onCurve,
            new Label("samples"),
            samples(),
            new Label("each alone"),
            step("by its spread", EffectsStudy.Step.SPREAD, steps),
            step("by one per cent", EffectsStudy.Step.PERCENT, steps),
            keeper);
    bar.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            bar,
            new RunLine("doubt-run", service.service(), service::again),
            new RunLine("alone-run", alone, asking::again),
            says,
            trouble,
            table,
            new CasesPane(session, curves));
    sceneProperty()
        .subscribe(
            s -> {
              if (s != null) {
                band.wantedProperty().set(true);
              }
            });
    band.knownProperty().subscribe(k -> known());
    band.modelProperty().subscribe(m -> known());
  }

  /** Few are soon there, many tell small shares apart. */
  private ComboBox<Integer> samples() {
    var box = new ComboBox<Integer>();
    box.setId("doubt-samples");
    box.setAccessibleText("samples of what the inputs allow");
    box.getItems().setAll(60, DoubtStudy.USUAL, 600);
    box.valueProperty().bindBidirectional(band.samplesProperty());
    return box;
  }

  private ToggleButton step(String title, EffectsStudy.Step which, ToggleGroup group) {
    var button = new ToggleButton(title);
    button.setId("alone-" + which.name().toLowerCase(java.util.Locale.ROOT));
    button.setToggleGroup(group);
    button.getStyleClass().add("small");
    button.setSelected(which == step);
    button.setOnAction(
        e -> {
          button.setSelected(true);
          step = which;
          asking.soon();
        });
    return button;
  }

  private void ask() {
    var engine = session.engine();
    var wants = WantedBand.of(session.build().combination().brief());
    if (!asking.isNew(engine, wants, step, session.build().units())) {
      return;
    }
    effects = Optional.empty();
    known();
    alone.ask(
        new EffectsStudy(engine, wants.fewSpeeds(), wants, step),
        part -> {},
        all -> {
          effects = Optional.of(all);
          draw();
        });
  }

  /** What is known of the band says itself at once; its shares are worked out beside. */
  private void known() {
    var of = band.knownProperty().get();
    boolean fresh = of.isPresent() && of.get().of().equals(session.engine().key());
    if (!fresh) {
      says.setText("");
      shares = Optional.empty();
      Page.show(keeper, false);
      draw();
      return;
    }
    var doubt = of.get().doubt();
    says.setText(words(doubt));
    if (!doubt.inputs().equals(shared)) {
      shares = Optional.empty();
      draw();
    }
    if (of.get().isWhole()) {
      keepable(doubt);
      sharing.ask(
          new SharesStudy(doubt),
          found -> {
            shares = Optional.of(found);
            shared = doubt.inputs();
            says.setText(words(doubt) + told(found));
            draw();
          });
    }
  }

  private void keepable(Doubt doubt) {
    var speeds = session.build().speeds();
    var wants = WantedBand.of(session.build().combination().brief());
    keeper.asked(
        new Question.OfDoubt(wants, speeds.from(), speeds.to(), doubt.wanted(), doubt.seed()));
    keeper.answered(Answers.of(doubt, wants, session.build().units()));
  }

  private String words(Doubt doubt) {
    var units = session.build().units();
    var wants = WantedBand.of(session.build().combination().brief());
    double stands = wants.meanPower(doubt.stands());
    var range = doubt.score();
    var whole = band.model().with(range, stands);
    return ("%s on the average of %d speeds from %,.0f to %,.0f rpm. Four fifths of %d samples of"
            + " what its inputs allow lie between %s and %s; with %s, between %s and %s.%s")
        .formatted(
            Quantity.POWER.show(stands, units),
            doubt.stands().points().size(),
            wants.from(),
            wants.to(),
            doubt.samples().size(),
            Quantity.POWER.show(range.low(), units),
            Quantity.POWER.show(range.high(), units),
            band.model().says(),
            Quantity.POWER.show(whole.low(), units),
            Quantity.POWER.show(whole.high(), units),
            doubt.refused() > 0 ? " %d more could not be built.".formatted(doubt.refused()) : "");
  }

  private static String told(Doubt.Shares shares) {
    return (" Shares by picking and freezing on a polynomial through the samples, which leaves %.0f"
            + " %% of their variance untold; seed of the draws 1.")
        .formatted(100 * shares.unexplained());
  }

  private void draw() {
    var units = session.build().units();
    if (shares.isEmpty() && effects.isEmpty()) {
      table.getChildren().clear();
      return;
    }
    table
        .getChildren()
        .setAll(
            Page.part("Measure next"),
            new DoubtTable(shares, effects, Quantity.POWER.unit(units), station, places));
  }
}
