package grandbore.core.dyno.effects;

import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.DayAir;
import grandbore.core.gas.Air;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Main jets of a carburettor: fuel goes with their area, Σ d², and with the depression at the
 * venturi, which goes with air flow squared over its density. So at one air flow
 *
 * <p>λ₂ = λ₁ (Σ d₁² / Σ d₂²) (ρ₂ / ρ₁)^½
 *
 * <p>(an incompressible orifice on either side; common textbook result): thinner air makes the
 * mixture richer.
 *
 * @param diameters of all main jets, m
 */
public record Jets(List<Double> diameters) {
  /** Diameters in millimetres, parted by blanks. */
  public String words() {
    return diameters.stream().map(d -> "%.2f".formatted(1e3 * d)).collect(Collectors.joining(" "));
  }

  public Jets {
    diameters = List.copyOf(diameters);
    if (diameters.isEmpty() || diameters.stream().anyMatch(d -> !(d > 0.1e-3 && d < 10e-3))) {
      throw new InvalidInput(
          "Jets",
          diameters.size() + " of them",
          "one or more, of 0.1 to 10 mm",
          "fuel goes through");
    }
  }

  private double area() {
    return diameters.stream().mapToDouble(d -> d * d).sum();
  }

  /** How much more fuel than others pass at one depression, as a share. */
  public double more(Jets others) {
    return area() / others.area() - 1;
  }

  /** Those that make a lambda another in the same air, each of them changed alike. */
  public Jets making(double lambda, double other) {
    double wider = Math.sqrt(lambda / other);
    return new Jets(diameters.stream().map(d -> d * wider).toList());
  }

  /**
   * Lambda to expect with these in the place of others.
   *
   * @param lambda with the others
   * @param then the air of that day
   * @param now the air of this day
   */
  public double lambda(double lambda, Jets others, DayAir then, DayAir now) {
    double thinner =
        Air.density(now.dry(), now.temperature()) / Air.density(then.dry(), then.temperature());
    return lambda * others.area() / area() * Math.sqrt(thinner);
  }
}
