package grandbore.desktop.longsection;

import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.flow.GasPath.Part;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;

/** The inputs that hang on the long section, each with its name, and where each wants to be. */
final class Dimensions {
  /** Where an input hangs. */
  enum Place {
    /** Over the path, at the middle of a piece. */
    OVER,
    /** Under the path on the intake side. */
    UNDER_INTAKE,
    /** Under the path on the exhaust side. */
    UNDER_EXHAUST,
    /** Beside the cylinder. */
    CYLINDER
  }

  /**
   * An input on the section.
   *
   * @param part that it measures, {@code null} for the cylinder
   */
  record Dimension(Place place, Part part, VBox box, Predicate<Combination> concerns) {}

  private final Session session;
  private final List<Dimension> all = new ArrayList<>();

  Dimensions(Session session) {
    this.session = session;
    Predicate<Combination> always = c -> true;
    Predicate<Combination> shared = c -> c.intake().manifold() != Intake.Manifold.INDIVIDUAL;
    Predicate<Combination> stepped = c -> c.exhaust().kind() == Exhaust.Kind.STEPPED;
    Predicate<Combination> tail =
        c ->
            c.exhaust().outlet() == Exhaust.Outlet.SYSTEM
                || c.exhaust().balance() == Exhaust.Balance.PIPE;
    add(Place.OVER, Part.COMPRESSOR, "boost", "boost.pressure", c -> c.boost().isFitted());
    Predicate<Combination> boxed = c -> c.intake().airBox().isKnown();
    add(Place.OVER, Part.DUCT, "inlet duct", "intake.ductLength", boxed);
    add(Place.OVER, Part.AIR_BOX, "air box", "intake.airBox", boxed);
    add(Place.OVER, Part.THROTTLE, "throttle", "intake.throttleFlow", always);
    add(Place.OVER, Part.PLENUM, "plenum", "intake.plenumVolume", shared);
    add(Place.OVER, Part.PLENUM, "its length", "intake.boxLength", c -> c.intake().isBox());
    add(Place.OVER, Part.RUNNER, "runner", "intake.runnerLength", always);
    add(Place.OVER, Part.INTAKE_PORT, "port", "heads.intakePortLength", always);
    add(Place.OVER, Part.EXHAUST_PORT, "port", "heads.exhaustPortLength", always);
    add(Place.OVER, Part.PRIMARY, "primary", "exhaust.primaryLength", always);
    add(Place.OVER, Part.SECONDARY, "secondary", "exhaust.secondaryLength", stepped);
    add(Place.OVER, Part.COLLECTOR, "collector", "exhaust.collectorLength", always);
    add(Place.OVER, Part.TAIL, "pipe behind", "exhaust.tailLength", tail);
    add(
        Place.OVER,
        Part.TURBINE,
        "turbine area",
        "boost.turbineArea",
        c -> c.boost().kind() == Boost.Kind.TURBOCHARGER);
    add(Place.UNDER_INTAKE, Part.RUNNER, "runner entry", "intake.runnerEntry", always);
    add(Place.UNDER_INTAKE, Part.RUNNER, "runner exit", "intake.runnerExit", always);
    add(Place.UNDER_EXHAUST, Part.PRIMARY, "primary bore", "exhaust.primaryDiameter", always);
    add(Place.UNDER_EXHAUST, Part.SECONDARY, "secondary", "exhaust.secondaryDiameter", stepped);
    add(Place.UNDER_EXHAUST, Part.COLLECTOR, "collector bore", "exhaust.collectorDiameter", always);
    add(Place.CYLINDER, null, "bore", "bottomEnd.bore", always);
    add(Place.CYLINDER, null, "stroke", "bottomEnd.stroke", always);
    add(Place.CYLINDER, null, "rod", "bottomEnd.rodLength", always);
  }

  private void add(
      Place place, Part part, String name, String path, Predicate<Combination> concerns) {
    var label = new Label(name);
    label.getStyleClass().add("dimension-name");
    var box = new VBox(label, new InputField(session, path).withoutRoomBeneath());
    box.getStyleClass().add("dimension");
    box.setId("dimension-" + path);
    all.add(new Dimension(place, part, box, concerns));
  }

  /** Puts those on a pane that concern an engine, takes the others off. */
  void show(Pane on, Combination c) {
    var wanted = all.stream().filter(d -> d.concerns().test(c)).map(d -> (Node) d.box()).toList();
    var boxes = all.stream().map(d -> (Node) d.box()).toList();
    var now = on.getChildren().stream().filter(boxes::contains).toList();
    if (!now.equals(wanted)) {
      on.getChildren().removeAll(boxes);
      on.getChildren().addAll(wanted);
    }
  }

  /** Those at a place that concern an engine. */
  List<Dimension> at(Place place, Combination c) {
    return all.stream().filter(d -> d.place() == place && d.concerns().test(c)).toList();
  }
}
