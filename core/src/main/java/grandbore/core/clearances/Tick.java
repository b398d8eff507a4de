package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;

/**
 * Something done and signed for.
 *
 * @param what a check's name, or a fastener's with its stage
 */
public record Tick(String what) implements Note {
  public Tick {
    if (what == null || what.isBlank() || what.length() > 160) {
      throw new InvalidInput(
          "What is signed", String.valueOf(what), "1 to 160 characters", "it is looked up");
    }
  }

  /** One stage of a fastener, the first is 1. */
  public static Tick stage(Fastener f, int stage) {
    return new Tick("fastener/" + f.name() + "/" + stage);
  }

  /** Loosened, in the order that takes the strain off evenly. */
  public static Tick loosened(Fastener f) {
    return new Tick("fastener/" + f.name() + "/loosened");
  }
}
