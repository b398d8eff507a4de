package grandbore.core.mechanics;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Losses;
import grandbore.core.friction.Friction;

/** Power that the turning crank loses, W, by speed in rev/min. */
public final class WindagePower {
  private WindagePower() {}

  /** Into the oily air of the crankcase. */
  public static double at(Combination c, double rpm) {
    return parts(c, rpm).windage() * flow(c, rpm);
  }

  /** The same with another sump and other edges of the counterweights. */
  public static double at(
      Combination c, Losses.Windage sump, Losses.Counterweights edges, double rpm) {
    return at(c.with("losses.windage", sump).with("losses.counterweights", edges), rpm);
  }

  /** Into main bearings and seals. */
  public static double bearings(Combination c, double rpm) {
    var components = c.with("losses.friction", Losses.FrictionModel.COMPONENTS);
    return parts(components, rpm).crankshaft() * flow(c, rpm);
  }

  /** Into skirts, under their side force, and rod bearings. */
  public static double skirts(Combination c, double rpm) {
    var components = c.with("losses.friction", Losses.FrictionModel.COMPONENTS);
    return parts(components, rpm).pistons() * flow(c, rpm);
  }

  private static Friction.Parts parts(Combination c, double rpm) {
    return new Friction(c).at(rpm, 1, 60e5);
  }

  /** Power for a mean pressure, m³/s. */
  private static double flow(Combination c, double rpm) {
    return c.bottomEnd().displacement() * rpm / 120;
  }
}
