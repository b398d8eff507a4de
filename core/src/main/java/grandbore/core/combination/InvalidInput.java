package grandbore.core.combination;

import grandbore.core.units.UnitSystem;

/** An input that can't be: names the field, the value, what is allowed, and why. */
public final class InvalidInput extends IllegalArgumentException {
  private static final long serialVersionUID = 1;

  public InvalidInput(String field, String value, String allowed, String reason) {
    super("%s is %s; allowed: %s, because %s".formatted(field, value, allowed, reason));
  }

  static InvalidInput outside(String field, Spec spec, double si) {
    var q = spec.quantity();
    return new InvalidInput(
        "%s (%s)".formatted(spec.label(), field),
        both(q, si),
        "%s to %s".formatted(both(q, spec.min()), both(q, spec.max())),
        spec.why());
  }

  private static String both(grandbore.core.units.Quantity q, double si) {
    String metric = q.show(si, UnitSystem.METRIC);
    String us = q.show(si, UnitSystem.US);
    return metric.equals(us) ? metric : metric + " (" + us + ")";
  }
}
