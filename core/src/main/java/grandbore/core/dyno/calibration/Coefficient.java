package grandbore.core.dyno.calibration;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import java.util.Locale;

/**
 * A factor upon the model's own numbers that pulls may teach, with what is believed of it before
 * any pull: one, with so large a standard deviation (common practice, no source: how far flow
 * sheets differ from bench to bench, carburettors from their rating, and correlations of heat,
 * flame and friction from engine to engine).
 */
public enum Coefficient {
  INTAKE_FLOW("Intake flow", "intakeFlow", 0.04),
  EXHAUST_FLOW("Exhaust flow", "exhaustFlow", 0.06),
  METER_FLOW("Carburettor's or throttle's flow", "meterFlow", 0.06),
  INTAKE_LENGTH("Intake's acoustic length", "intakeLength", 0.04),
  EXHAUST_LENGTH("Exhaust's acoustic length", "exhaustLength", 0.06),
  MIXTURE("Mixture", "mixture", 0.03),
  WALL_HEAT("Heat to the walls", "wallHeat", 0.12),
  BURN_SPEED("Speed of burning", "burnSpeed", 0.08),
  FRICTION("Friction", "friction", 0.12),
  FRICTION_GROWTH("Growth of friction with speed", "frictionGrowth", 0.08);

  private final String label;
  private final String component;
  private final double prior;

  Coefficient(String label, String component, double prior) {
    this.label = label;
    this.component = component;
    this.prior = prior;
  }

  public String label() {
    return label;
  }

  /** One standard deviation about one, before any pull. */
  public double prior() {
    return prior;
  }

  /** The input that it is. */
  public String path() {
    return "learned." + component;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /** Its value on an engine. */
  public double of(Combination c) {
    return ((Given) c.at(path())).si();
  }

  /** As an input, no further than its bounds; it has no doubt of its own in the band of doubt. */
  public Given given(double value) {
    var spec = Specs.field(path()).spec();
    double si = Math.max(spec.min(), Math.min(spec.max(), value));
    return new Given(si, spec.quantity(), Provenance.MEASURED, 0);
  }
}
