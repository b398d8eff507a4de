package grandbore.desktop.station;

import grandbore.core.combination.ValveTrain;
import grandbore.core.valvetrain.FlatTappet;
import grandbore.desktop.bottomend.BottomEndPage;
import grandbore.desktop.controls.CountField;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.drawing.FlowDrawing;
import grandbore.desktop.drawing.LiftDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.results.ResultsPage;
import grandbore.desktop.session.Session;
import grandbore.desktop.squeezing.SqueezePage;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.scene.Node;
import javafx.scene.layout.HBox;

/** Makes each station's page: the drawing that is the form, then what no drawing shows. */
public final class Pages {
  private final Session session;
  private final CurveService curves;
  private final ReadOnlyDoubleProperty rpm;
  private final Look look;

  /** The crank cursor, degrees, one for the whole window. */
  private final DoubleProperty crank = new SimpleDoubleProperty(50);

  public Pages(Session session, CurveService curves, ReadOnlyDoubleProperty rpm, Look look) {
    this.rpm = rpm;
    this.session = session;
    this.curves = curves;
    this.look = look;
  }

  /** The page of a station. */
  public Node make(Station station) {
    return switch (station) {
      case BRIEF -> BriefPage.make(session, curves);
      case BOTTOM_END -> BottomEndPage.make(session, curves, crank, rpm, look);
      case SQUEEZE -> SqueezePage.make(session, curves, rpm, look);
      case CAM -> cam();
      case HEADS -> heads();
      case BREATHING -> new BreathingPage(session, look);
      case CLEARANCES -> new ClearancesPage(session);
      case PREDICTION -> new ResultsPage(session, curves, rpm, look);
    };
  }

  private Node cam() {
    return Page.of(
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
                Page.choice(session, "Follower", "valveTrain.follower", ValveTrain.Follower.class))
            .with("valveTrain.rockerOffSeat")
            .when(FlatTappet::concerns)
            .with("valveTrain.tappetDiameter"),
        new LiftTables(session),
        Page.part("Springs and moving masses"),
        new InputGrid(session)
            .with(
                "valveTrain.springSeat",
                "valveTrain.springRate",
                "valveTrain.intakeMass",
                "valveTrain.exhaustMass",
                "valveTrain.stiffness"),
        Page.caution(
            "A compressed valve spring can throw parts: use its maker's tool, eyes covered."));
  }

  private Node heads() {
    var tables =
        new HBox(
            24,
            new FlowTable(session, FlowTable.Side.INTAKE),
            new FlowTable(session, FlowTable.Side.EXHAUST));
    return Page.of(
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
        Page.part("Ports that differ: each cylinder's flow against the sheet"),
        new ByCylinder(session, "Intake port flow", "heads.intakeShares", ByCylinder.Kind.SHARE),
        new ByCylinder(session, "Exhaust port flow", "heads.exhaustShares", ByCylinder.Kind.SHARE));
  }
}
