package grandbore.core.units;

/** What a build is shown in. */
public enum UnitSystem {
  US,
  METRIC
}
