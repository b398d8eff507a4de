package grandbore.core.beginning;

import grandbore.core.clearances.Application;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.ValveTrain.Follower;
import grandbore.core.units.UnitSystem;
import java.util.Map;

/** Where a new build may start: invented engines of ordinary proportions, no engine's numbers. */
public enum Pattern {
  WEDGE_EIGHT(
      "Pushrod V8, wedge heads",
      Arrangement.VEE_8_CROSS,
      2,
      Follower.FLAT_PUSHROD,
      Intake.Manifold.DUAL_PLANE,
      Intake.Fuelling.CARBURETTOR,
      Application.STREET,
      102,
      87,
      9.6,
      214,
      220,
      11.2,
      11.2),
  FOUR_VALVE_FOUR(
      "In-line four, four valves",
      Arrangement.INLINE_4,
      4,
      Follower.BUCKET_OVERHEAD,
      Intake.Manifold.PLENUM,
      Intake.Fuelling.PORT_INJECTION,
      Application.STREET,
      85,
      88,
      10.5,
      212,
      208,
      9.4,
      9.0),
  FOUR_VALVE_SIX(
      "In-line six, four valves",
      Arrangement.INLINE_6,
      4,
      Follower.FINGER_OVERHEAD,
      Intake.Manifold.PLENUM,
      Intake.Fuelling.PORT_INJECTION,
      Application.STREET,
      84,
      90,
      10.4,
      208,
      206,
      9.6,
      9.4),
  VEE_TWIN(
      "V-twin, pushrods",
      Arrangement.VEE_TWIN_45,
      2,
      Follower.ROLLER_PUSHROD,
      Intake.Manifold.PLENUM,
      Intake.Fuelling.CARBURETTOR,
      Application.STREET,
      97,
      102,
      9.4,
      220,
      224,
      12.4,
      12.2),
  BOXER(
      "Flat four, two valves",
      Arrangement.FLAT_4,
      2,
      Follower.FLAT_PUSHROD,
      Intake.Manifold.INDIVIDUAL,
      Intake.Fuelling.CARBURETTOR,
      Application.STREET_AND_STRIP,
      93,
      76,
      9.2,
      236,
      236,
      11.6,
      11.2),
  BIG_SINGLE(
      "Big single, four valves",
      Arrangement.SINGLE,
      4,
      Follower.FINGER_OVERHEAD,
      Intake.Manifold.INDIVIDUAL,
      Intake.Fuelling.PORT_INJECTION,
      Application.STREET,
      99,
      78,
      11,
      224,
      220,
      10.2,
      9.6);

  private final String label;
  private final Arrangement arrangement;
  private final int valves;
  private final Follower follower;
  private final Intake.Manifold manifold;
  private final Intake.Fuelling fuelling;
  private final Application use;
  private final double bore;
  private final double stroke;
  private final double ratio;
  private final double intakeDuration;
  private final double exhaustDuration;
  private final double intakeLift;
  private final double exhaustLift;

  Pattern(
      String label,
      Arrangement arrangement,
      int valves,
      Follower follower,
      Intake.Manifold manifold,
      Intake.Fuelling fuelling,
      Application use,
      double bore,
      double stroke,
      double ratio,
      double intakeDuration,
      double exhaustDuration,
      double intakeLift,
      double exhaustLift) {
    this.label = label;
    this.arrangement = arrangement;
    this.valves = valves;
    this.follower = follower;
    this.manifold = manifold;
    this.fuelling = fuelling;
    this.use = use;
    this.bore = bore;
    this.stroke = stroke;
    this.ratio = ratio;
    this.intakeDuration = intakeDuration;
    this.exhaustDuration = exhaustDuration;
    this.intakeLift = intakeLift;
    this.exhaustLift = exhaustLift;
  }

  public String label() {
    return label;
  }

  public Arrangement arrangement() {
    return arrangement;
  }

  public int valves() {
    return valves;
  }

  public Follower follower() {
    return follower;
  }

  public Intake.Manifold manifold() {
    return manifold;
  }

  public Intake.Fuelling fuelling() {
    return fuelling;
  }

  /** All begin with headers. */
  public Exhaust.Kind exhaust() {
    return Exhaust.Kind.HEADERS;
  }

  public Application use() {
    return use;
  }

  public double ratio() {
    return ratio;
  }

  /** Bore, stroke, durations at 0.050 and lifts at the valve, by what they are, SI. */
  public Map<Said, Double> sizes() {
    return Map.of(
        Said.BORE, bore / 1000,
        Said.STROKE, stroke / 1000,
        Said.INTAKE_DURATION, Math.toRadians(intakeDuration),
        Said.EXHAUST_DURATION, Math.toRadians(exhaustDuration),
        Said.INTAKE_LIFT, intakeLift / 1000,
        Said.EXHAUST_LIFT, exhaustLift / 1000);
  }

  /** This pattern as it stands. */
  public Asked asked(String name, UnitSystem units) {
    return new Asked(
        name,
        units,
        arrangement,
        valves,
        follower,
        manifold,
        fuelling,
        exhaust(),
        use,
        ratio,
        0,
        sizes(),
        Asked.Flow.UNKNOWN);
  }
}
