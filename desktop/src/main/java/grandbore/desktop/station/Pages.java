package grandbore.desktop.station;

import grandbore.core.build.Build;
import grandbore.core.build.SpeedRange;
import grandbore.core.clearances.Application;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.ValveTrain;
import grandbore.core.gas.FuelKind;
import grandbore.desktop.controls.ChoiceField;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.SpeedField;
import grandbore.desktop.drawing.FlowDrawing;
import grandbore.desktop.drawing.LiftDrawing;
import grandbore.desktop.drawing.PathDrawing;
import grandbore.desktop.drawing.SectionDrawing;
import grandbore.desktop.drawing.SqueezeDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Makes each station's page: the drawing that is the form, then what no drawing shows. */
public final class Pages {
  private final Session session;
  private final Look look;

  public Pages(Session session, Look look) {
    this.session = session;
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
      case BREATHING -> breathing();
      case CLEARANCES -> new ClearancesPage(session);
    };
  }

  private static VBox page(String title, String hint, Node... parts) {
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
            .put(
                "Fuel",
                new ChoiceField<>(
                    session,
                    "Fuel",
                    FuelKind.values(),
                    FuelKind::label,
                    b -> b.combination().mixture().fuel(),
                    (b, v) -> mixture(b, m -> new Mixture(v, m.lambda(), m.spark(), m.advance()))))
            .put(
                "Speeds from",
                new SpeedField(
                    session, "Speeds from", SpeedRange::from, (r, v) -> new SpeedRange(v, r.to())))
            .put(
                "Speeds to",
                new SpeedField(
                    session, "Speeds to", SpeedRange::to, (r, v) -> new SpeedRange(r.from(), v)))
            .with("mixture.lambda")
            .put(
                "Spark",
                new ChoiceField<>(
                    session,
                    "Spark",
                    Mixture.Spark.values(),
                    s -> s == Mixture.Spark.BEST_TORQUE ? "best torque" : "fixed advance",
                    b -> b.combination().mixture().spark(),
                    (b, v) -> mixture(b, m -> new Mixture(m.fuel(), m.lambda(), v, m.advance()))))
            .with("mixture.advance", "weather.pressure", "weather.temperature", "weather.humidity");
    return page(
        "Brief",
        "What the engine is for, what it burns and the air it breathes. The curve is drawn over"
            + " these speeds; best torque seeks the spark at every speed and knows nothing of knock"
            + " yet.",
        grid,
        caution(
            "Race fuels and methanol poison through the skin and burn with a flame that may not be"
                + " seen: follow the maker's sheet. A predicted power is no promise that parts"
                + " stand it."));
  }

  private static Build mixture(Build b, java.util.function.UnaryOperator<Mixture> change) {
    var c = b.combination();
    return b.with(c.with(change.apply(c.mixture())));
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
    var layout = new Label();
    session
        .buildProperty()
        .subscribe(
            b -> {
              var e = b.combination().bottomEnd();
              var order = e.firingOrder().stream().map(String::valueOf).toList();
              layout.setText(
                  "%s %d, fires %s"
                      .formatted(
                          switch (e.layout()) {
                            case INLINE -> "in-line";
                            case VEE -> "V";
                          },
                          e.cylinders(),
                          String.join("-", order)));
            });
    layout.getStyleClass().add("soft");
    return page(
        "Bottom end",
        "Section through one cylinder, to scale. Type at any dimension: 4 1/8, 104.8 mm, .030"
            + " over. A click on a mark says where its number came from.",
        drawing,
        turn,
        new InputGrid(session)
            .with("bottomEnd.pinOffset", "bottomEnd.mainJournal", "bottomEnd.rodJournal")
            .put("Layout", layout));
  }

  private Node squeeze() {
    return page(
        "Squeeze",
        "The top of one cylinder at top centre, to scale. Chambers and decks measured at the"
            + " Clearances station take the place of the numbers here, cylinder by cylinder.",
        new SqueezeDrawing(session, look),
        new InputGrid(session).with("bottomEnd.blockDeck", "bottomEnd.pinHeight"),
        new RatiosTable(session));
  }

  private Node cam() {
    var follower =
        new ChoiceField<>(
            session,
            "Follower",
            ValveTrain.Follower.values(),
            f ->
                switch (f) {
                  case FLAT_PUSHROD -> "flat tappet, pushrod";
                  case ROLLER_PUSHROD -> "roller, pushrod";
                  case FINGER_OVERHEAD -> "finger, overhead cam";
                  case BUCKET_OVERHEAD -> "bucket, overhead cam";
                },
            b -> b.combination().valveTrain().follower(),
            (b, v) -> {
              var t = b.combination().valveTrain();
              return b.with(
                  b.combination()
                      .with(
                          new ValveTrain(
                              v,
                              t.intakeRocker(),
                              t.exhaustRocker(),
                              t.intakeLash(),
                              t.exhaustLash())));
            });
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
            .put("Follower", follower));
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
            .with(
                "heads.intakeValve",
                "heads.exhaustValve",
                "heads.intakePortLength",
                "heads.exhaustPortLength",
                "heads.intakePortVolume",
                "heads.exhaustPortVolume"));
  }

  private Node breathing() {
    var manifold =
        new ChoiceField<>(
            session,
            "Manifold",
            Intake.Manifold.values(),
            m -> m == Intake.Manifold.PLENUM ? "one plenum" : "a throttle each",
            b -> b.combination().intake().manifold(),
            (b, v) -> {
              var i = b.combination().intake();
              return b.with(b.combination().with(intake(i, v, i.fuelling())));
            });
    var fuelling =
        new ChoiceField<>(
            session,
            "Fuel goes in",
            Intake.Fuelling.values(),
            m -> m == Intake.Fuelling.CARBURETTOR ? "at the carburettor" : "at the port",
            b -> b.combination().intake().fuelling(),
            (b, v) -> {
              var i = b.combination().intake();
              return b.with(b.combination().with(intake(i, i.manifold(), v)));
            });
    var kind =
        new ChoiceField<>(
            session,
            "Exhaust",
            Exhaust.Kind.values(),
            k -> k == Exhaust.Kind.HEADERS ? "headers, into one" : "cast manifold",
            b -> b.combination().exhaust().kind(),
            (b, v) -> {
              var x = b.combination().exhaust();
              return b.with(b.combination().with(exhaust(x, v, x.outlet())));
            });
    var outlet =
        new ChoiceField<>(
            session,
            "Behind it",
            Exhaust.Outlet.values(),
            k -> k == Exhaust.Outlet.OPEN ? "open collector" : "pipes and silencers",
            b -> b.combination().exhaust().outlet(),
            (b, v) -> {
              var x = b.combination().exhaust();
              return b.with(b.combination().with(exhaust(x, x.kind(), v)));
            });
    return page(
        "Breathing",
        "From the air to the tail. Wave lengths follow from these lengths: change a runner and"
            + " watch the torque move.",
        new PathDrawing(session, look),
        new InputGrid(session)
            .put("Manifold", manifold)
            .put("Fuel goes in", fuelling)
            .with(
                "intake.meterFlow",
                "intake.ratingDepression",
                "intake.plenumVolume",
                "intake.runnerLength",
                "intake.runnerEntry",
                "intake.runnerExit",
                "intake.runnerTurn")
            .put("Exhaust", kind)
            .with(
                "exhaust.primaryLength",
                "exhaust.primaryDiameter",
                "exhaust.collectorLength",
                "exhaust.collectorDiameter")
            .put("Behind it", outlet)
            .with("exhaust.systemFlow"));
  }

  private static Intake intake(Intake i, Intake.Manifold manifold, Intake.Fuelling fuelling) {
    return new Intake(
        manifold,
        fuelling,
        i.runnerLength(),
        i.runnerTurn(),
        i.runnerEntry(),
        i.runnerExit(),
        i.plenumVolume(),
        i.meterFlow(),
        i.ratingDepression());
  }

  private static Exhaust exhaust(Exhaust x, Exhaust.Kind kind, Exhaust.Outlet outlet) {
    return new Exhaust(
        kind,
        x.primaryLength(),
        x.primaryDiameter(),
        x.collectorLength(),
        x.collectorDiameter(),
        outlet,
        x.systemFlow());
  }
}
