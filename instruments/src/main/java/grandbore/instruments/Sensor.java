package grandbore.instruments;

import java.util.Random;
import java.util.function.DoubleSupplier;

/** One simulated instrument: what it is on, its zero, and what is wrong with it. */
public final class Sensor {
  private static final double SLIP_STEPS = 10;

  private final Kind kind;
  private final Random random;
  private DoubleSupplier truth = () -> 0;
  private Faults faults;
  private double zero;
  private double drifted;
  private double played;
  private double last;
  private long number;

  Sensor(Kind kind, long seed) {
    this.kind = kind;
    random = new Random(seed + kind.ordinal());
    faults = Faults.none(kind);
  }

  public Kind kind() {
    return kind;
  }

  public Faults faults() {
    return faults;
  }

  void set(Faults now) {
    faults = now;
  }

  /** Puts it on something. */
  void on(DoubleSupplier what) {
    truth = what;
    played = truth.getAsDouble();
  }

  /** Sets its display to zero where it stands. */
  void zero() {
    zero = followed() + drifted;
  }

  /** What the plunger follows: the truth less the play that is not taken up yet. */
  private double followed() {
    double is = truth.getAsDouble();
    double half = 0.5 * faults.backlash();
    played = Math.clamp(played, is - half, is + half);
    return played;
  }

  /** One line: the reading as it is, or as it is sent. */
  Message read(Message.Word word) {
    if (random.nextDouble() < faults.loose()) {
      drifted += SLIP_STEPS * faults.resolution() * (random.nextBoolean() ? 1 : -1);
    }
    drifted += faults.drift();
    double is = followed() + drifted - zero + faults.noise() * random.nextGaussian();
    double shown = Math.rint(is / faults.resolution()) * faults.resolution();
    boolean moves = Math.abs(shown - last) > 2 * faults.resolution() + 3 * faults.noise();
    last = shown;
    var state =
        faults.flat()
            ? Message.State.FLAT
            : moves && word == Message.Word.LIVE ? Message.State.MOVING : Message.State.STEADY;
    return new Message(
        word, kind, ++number, faults.flat() ? 0 : kind.unit().fromSi(shown), kind.unit(), state);
  }
}
