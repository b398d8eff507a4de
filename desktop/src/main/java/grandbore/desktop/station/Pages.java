package grandbore.desktop.station;

import grandbore.core.build.Build;
import grandbore.core.build.SpeedRange;
import grandbore.core.clearances.Application;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Losses;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.ValveTrain;
import grandbore.core.gas.FuelKind;
import grandbore.core.valvetrain.FlatTappet;
import grandbore.desktop.controls.ChoiceField;
import grandbore.desktop.controls.CountField;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.SpeedField;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.drawing.FlowDrawing;
import grandbore.desktop.drawing.LiftDrawing;
import grandbore.desktop.drawing.SectionDrawing;
import grandbore.desktop.drawing.SqueezeDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.results.ResultsPage;
import grandbore.desktop.session.Session;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Makes each station's page: the drawing that is the form, then what no drawing shows. */
public final class Pages {
  private final Session session;
  private final CurveService curves;
  private final ReadOnlyDoubleProperty rpm;
  private final Look look;

  public Pages(Session session, CurveService curves, ReadOnlyDoubleProperty rpm, Look look) {
    this.rpm = rpm;
    this.session = session;
    this.curves = curves;
    this.look = look;
  }

  /** The page of a station. */
  public Node make(Station station) {
    return switch (station) {
      case BRIEF -> brief();
      case BOTTOM_END -> bottomEnd();
      case SQUEEZE -> squeeze();
      case CAM -> cam();
      case HEADS -> heads();
      case BREATHING -> new BreathingPage(session, look);
      case CLEARANCES -> new ClearancesPage(session);
      case PREDICTION -> new ResultsPage(session, curves, rpm, look);
    };
  }

  static VBox page(String title, String hint, Node... parts) {
    var name = new Label(title);
    name.getStyleClass().add("page-title");
    var words = new Label(hint);
    words.getStyleClass().add("soft");
    words.setWrapText(true);
    var box = new VBox(10, name, words);
    box.getChildren().addAll(parts);
    box.getStyleClass().add("page");
    return box;
  }

  static Label part(String title) {
    var label = new Label(title);
    label.getStyleClass().add("pane-title");
    return label;
  }

  /** A choice that is a component of the combination. */
  static <T extends Enum<T>> ChoiceField<T> choice(
      Session session, String label, String path, Class<T> type) {
    return new ChoiceField<>(
        session,
        label,
        type.getEnumConstants(),
        Words::of,
        b -> type.cast(b.combination().at(path)),
        (b, v) -> b.with(b.combination().with(path, v)));
  }

  private Node brief() {
    var grid =
        new InputGrid(session)
            .put(
                "Built for",
                new ChoiceField<>(
                    session,
                    "Application",
                    Application.values(),
                    Application::word,
                    Build::application,
                    Build::with))
            .put("Fuel", choice(session, "Fuel", "mixture.fuel", FuelKind.class))
            .put(
                "Speeds from",
                new SpeedField(
                    session, "Speeds from", SpeedRange::from, (r, v) -> new SpeedRange(v, r.to())))
            .put(
                "Speeds to",
                new SpeedField(
                    session, "Speeds to", SpeedRange::to, (r, v) -> new SpeedRange(r.from(), v)))
            .with("mixture.lambda")
            .put("Spark", choice(session, "Spark", "mixture.spark", Mixture.Spark.class))
            .with("mixture.advance", "weather.pressure", "weather.temperature", "weather.humidity");
    return page(
        "Brief",
        "What the engine is for, what it burns and the air it breathes. The curve is drawn over"
            + " these speeds; best torque seeks the spark at every speed whatever the fuel stands;"
            + " as knock allows holds it back where the fuel does not.",
        grid,
        caution(
            "Race fuels and methanol poison through the skin and burn with a flame that may not be"
                + " seen: follow the maker's sheet. A predicted power is no promise that parts"
                + " stand it, a predicted knock limit no promise that the engine will not knock."));
  }

  static Label caution(String words) {
    var label = new Label("⚠  " + words);
    label.getStyleClass().add("caution");
    label.setWrapText(true);
    return label;
  }

  private Node bottomEnd() {
    var drawing = new SectionDrawing(session, look);
    var crank = new Slider(0, 360, 50);
    crank.setId("crank-cursor");
    crank.setAccessibleText("crank cursor");
    drawing.crankDegreesProperty().bind(crank.valueProperty());
    HBox.setHgrow(crank, Priority.ALWAYS);
    var turn = new HBox(8, new Label("Crank"), crank);
    return page(
        "Bottom end",
        "Section through one cylinder, to scale. Type at any dimension: 4 1/8, 104.8 mm, .030"
            + " over. A click on a mark says where its number came from.",
        drawing,
        turn,
        new InputGrid(session)
            .put(
                "Layout",
                new ChoiceField<>(
                    session,
                    "Layout",
                    Arrangement.values(),
                    Words::of,
                    b -> Arrangement.of(b.combination().bottomEnd()).orElse(null),
                    (b, a) -> b.with(a.of(b.combination()))))
            .put("Firing order", new FiringField(session))
            .when(c -> c.bottomEnd().banks() == 2)
            .put(
                "Cylinders counted",
                choice(
                    session, "Cylinders counted", "bottomEnd.numbering", BottomEnd.Numbering.class))
            .always()
            .with(
                "bottomEnd.pinOffset",
                "bottomEnd.mainJournal",
                "bottomEnd.rodJournal",
                "bottomEnd.reciprocatingMass"),
        part("Friction, oil and windage"),
        new InputGrid(session)
            .put(
                "Friction",
                choice(session, "Friction", "losses.friction", Losses.FrictionModel.class))
            .put("Sump", choice(session, "Sump", "losses.windage", Losses.Windage.class))
            .put(
                "Crank drives",
                choice(session, "Crank drives", "losses.accessories", Losses.Accessories.class))
            .with("losses.oil", "losses.oilTemperature", "losses.ringTension", "losses.vacuum"));
  }

  private Node squeeze() {
    return page(
        "Squeeze",
        "The top of one cylinder at top centre, to scale. Chambers and decks measured at the"
            + " Clearances station take the place of the numbers here, cylinder by cylinder.",
        new SqueezeDrawing(session, look),
        new InputGrid(session)
            .with("bottomEnd.blockDeck", "bottomEnd.pinHeight", "losses.topGap")
            .put(
                "Heat to walls",
                choice(session, "Heat to walls", "losses.heat", Losses.HeatModel.class)),
        new RatiosTable(session));
  }

  private Node cam() {
    return page(
        "Cam and valves",
        "Valve lift from the card: durations at 0.050 in and from seat to seat (0.006 in) of tappet"
            + " lift. The marks along the foot are the events at 0.050 in.",
        new LiftDrawing(session, look),
        new InputGrid(session)
            .with(
                "cam.intakeDuration",
                "cam.exhaustDuration",
                "cam.intakeSeat",
                "cam.exhaustSeat",
                "cam.intakeLobeLift",
                "cam.exhaustLobeLift",
                "cam.separation",
                "cam.intakeCentreline",
                "valveTrain.intakeRocker",
                "valveTrain.exhaustRocker",
                "valveTrain.intakeLash",
                "valveTrain.exhaustLash")
            .put(
                "Follower",
                choice(session, "Follower", "valveTrain.follower", ValveTrain.Follower.class))
            .with("valveTrain.rockerOffSeat")
            .when(FlatTappet::concerns)
            .with("valveTrain.tappetDiameter"),
        new LiftTables(session),
        part("Springs and moving masses"),
        new InputGrid(session)
            .with(
                "valveTrain.springSeat",
                "valveTrain.springRate",
                "valveTrain.intakeMass",
                "valveTrain.exhaustMass",
                "valveTrain.stiffness"),
        caution("A compressed valve spring can throw parts: use its maker's tool, eyes covered."));
  }

  private Node heads() {
    var tables =
        new HBox(
            24,
            new FlowTable(session, FlowTable.Side.INTAKE),
            new FlowTable(session, FlowTable.Side.EXHAUST));
    return page(
        "Heads",
        "Flow sheets, all valves of a port together. The dashed lines mark the lift this cam"
            + " reaches.",
        new FlowDrawing(session, look),
        tables,
        new InputGrid(session)
            .put(
                "Intake valves a cylinder",
                new CountField(session, "Intake valves", "heads.intakeValves", 3))
            .put(
                "Exhaust valves a cylinder",
                new CountField(session, "Exhaust valves", "heads.exhaustValves", 2))
            .with(
                "heads.intakeValve",
                "heads.exhaustValve",
                "heads.intakePortLength",
                "heads.exhaustPortLength",
                "heads.intakePortVolume",
                "heads.exhaustPortVolume"),
        part("Ports that differ: each cylinder's flow against the sheet"),
        new ByCylinder(session, "Intake port flow", "heads.intakeShares", ByCylinder.Kind.SHARE),
        new ByCylinder(session, "Exhaust port flow", "heads.exhaustShares", ByCylinder.Kind.SHARE));
  }
}
