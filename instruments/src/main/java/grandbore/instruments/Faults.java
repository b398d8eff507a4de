package grandbore.instruments;

/**
 * What is wrong with an instrument, all in its SI unit.
 *
 * @param noise standard deviation of a reading
 * @param resolution step of its display
 * @param backlash play that has to be taken up when the motion turns round
 * @param drift of its zero with each reading
 * @param loose share of readings at which its base slips, by ten steps of the display
 * @param flat whether the battery is flat
 */
public record Faults(
    double noise, double resolution, double backlash, double drift, double loose, boolean flat) {
  public Faults {
    if (!(noise >= 0 && resolution > 0 && backlash >= 0 && loose >= 0 && loose <= 1)) {
      throw new IllegalArgumentException(
          "A fault: noise and backlash from 0, resolution above 0, loose from 0 to 1");
    }
  }

  /** A good instrument of a kind. */
  public static Faults none(Kind kind) {
    return new Faults(0, resolution(kind), 0, 0, 0, false);
  }

  private static double resolution(Kind kind) {
    return switch (kind) {
      case DIAL -> 0.0025e-3;
      case ENCODER -> Math.toRadians(0.1);
      case CALIPER -> 0.002e-3;
      case BURETTE -> 0.1e-6;
      case TESTER -> 2;
      case WRENCH -> 0.5;
      case LEAK -> 0.005;
    };
  }

  public Faults withNoise(double si) {
    return new Faults(si, resolution, backlash, drift, loose, flat);
  }

  public Faults withResolution(double si) {
    return new Faults(noise, si, backlash, drift, loose, flat);
  }

  public Faults withBacklash(double si) {
    return new Faults(noise, resolution, si, drift, loose, flat);
  }

  public Faults withDrift(double si) {
    return new Faults(noise, resolution, backlash, si, loose, flat);
  }

  public Faults withLoose(double share) {
    return new Faults(noise, resolution, backlash, drift, share, flat);
  }

  public Faults withFlat(boolean is) {
    return new Faults(noise, resolution, backlash, drift, loose, is);
  }
}
