package grandbore.desktop.breathing;

import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Nitrous;
import grandbore.desktop.controls.ByCylinder;
import grandbore.desktop.controls.CountField;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.drawing.PathDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** From the air to the tail: manifold, boost, nitrous, exhaust. */
public final class BreathingPage {
  private BreathingPage() {}

  /**
   * @param crank the crank cursor, degrees
   * @param rpm the speed cursor, rev/min
   */
  public static Node make(
      Session session,
      CurveService curves,
      DoubleProperty crank,
      ReadOnlyDoubleProperty rpm,
      Look look) {
    var views =
        new Views()
            .with(ViewName.BREATHING_PATH, () -> path(session, look))
            .with(ViewName.BREATHING_WAVES, () -> new WavesView(session, curves, look, crank, rpm))
            .with(ViewName.BREATHING_TUNING, () -> new TuningView(session, curves, look, rpm))
            .with(ViewName.BREATHING_LOSSES, () -> new LossesView(session, curves, look, rpm));
    return Page.of(
        "Breathing",
        "From the air to the tail. Wave lengths follow from these lengths: change a runner and"
            + " watch the torque move.",
        views.buttons(),
        views.shown());
  }

  private static Node path(Session session, Look look) {
    var boostCaution =
        Page.caution(
            "Boost and nitrous raise pressures and heat beyond what parts were made for, and a"
                + " nitrous bottle is a pressure vessel: follow the makers' sheets and the law.");
    session
        .buildProperty()
        .subscribe(
            b -> {
              boolean shown = pressed(b.combination()) || dosed(b.combination());
              boostCaution.setVisible(shown);
              boostCaution.setManaged(shown);
            });
    var intake =
        new InputGrid(session)
            .put(
                "Manifold",
                Page.choice(session, "Manifold", "intake.manifold", Intake.Manifold.class))
            .put(
                "Fuel goes in",
                Page.choice(session, "Fuel goes in", "intake.fuelling", Intake.Fuelling.class))
            .put(
                "Warmed by",
                Page.choice(session, "Warmed by", "intake.heating", Intake.Heating.class))
            .when(c -> c.intake().manifold() != Intake.Manifold.INDIVIDUAL)
            .put(
                "Carburettors or throttles",
                new CountField(session, "Carburettors or throttles", "intake.throttles", 12))
            .always()
            .with("intake.throttleFlow", "intake.ratingDepression")
            .with("intake.runnerTurn")
            .when(c -> c.intake().manifold() == Intake.Manifold.PLENUM)
            .with("intake.boxLength")
            .always()
            .with("intake.airBox")
            .when(c -> c.intake().manifold() != Intake.Manifold.INDIVIDUAL)
            .with("intake.spacerHeight")
            .when(c -> c.intake().manifold() == Intake.Manifold.DUAL_PLANE)
            .with("intake.planeWindow");
    var boost =
        new InputGrid(session)
            .put("Boost by", Page.choice(session, "Boost by", "boost.kind", Boost.Kind.class))
            .when(BreathingPage::pressed)
            .with(
                "boost.pressure",
                "boost.efficiency",
                "boost.cooling",
                "boost.coolerLoss",
                "boost.driveEfficiency")
            .when(c -> c.boost().kind() == Boost.Kind.CENTRIFUGAL)
            .with("boost.ratedSpeed")
            .when(c -> c.boost().kind() == Boost.Kind.POSITIVE_DISPLACEMENT)
            .with("boost.sweptPerTurn", "boost.filling")
            .when(c -> c.boost().kind() == Boost.Kind.TURBOCHARGER)
            .with("boost.turbineArea", "boost.turbineEfficiency")
            .always()
            .put(
                "Nitrous oxide",
                Page.choice(session, "Nitrous oxide", "nitrous.kind", Nitrous.Kind.class))
            .when(BreathingPage::dosed)
            .with("nitrous.flow", "nitrous.from");
    var exhaust =
        new InputGrid(session)
            .put("Exhaust", Page.choice(session, "Exhaust", "exhaust.kind", Exhaust.Kind.class))
            .put(
                "Behind it",
                Page.choice(session, "Behind it", "exhaust.outlet", Exhaust.Outlet.class))
            .when(c -> c.bottomEnd().banks() == 2)
            .put(
                "Balance pipe",
                Page.choice(session, "Balance pipe", "exhaust.balance", Exhaust.Balance.class))
            .when(c -> c.exhaust().balance() == Exhaust.Balance.PIPE)
            .with("exhaust.balanceDiameter")
            .when(BreathingPage::continues)
            .with("exhaust.tailLength")
            .when(c -> c.exhaust().outlet() == Exhaust.Outlet.SYSTEM)
            .with("exhaust.silencerVolume", "exhaust.systemFlow");
    return new VBox(
        10,
        new PathDrawing(session, look),
        intake,
        new ByCylinder(
            session,
            "Runner longer or shorter, by cylinder",
            "intake.runnerChanges",
            ByCylinder.Kind.LENGTH),
        Page.part("Boost and nitrous"),
        boost,
        new CompressorRow(session),
        boostCaution,
        Page.part("Exhaust"),
        exhaust);
  }

  private static boolean pressed(Combination c) {
    return c.boost().isFitted();
  }

  private static boolean dosed(Combination c) {
    return c.nitrous().isFitted();
  }

  private static boolean continues(Combination c) {
    return c.exhaust().outlet() == Exhaust.Outlet.SYSTEM
        || c.exhaust().balance() == Exhaust.Balance.PIPE;
  }
}
