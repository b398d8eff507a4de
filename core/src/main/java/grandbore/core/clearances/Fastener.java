package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;
import java.util.HashSet;
import java.util.List;

/**
 * One group of fasteners as its maker states it; nothing of it is ever invented.
 *
 * @param lubricant on threads and under heads
 * @param rows in which they stand, so that the sequence can be drawn
 * @param sequence of the places, row by row from the front, each once
 */
public record Fastener(
    String name, String lubricant, int rows, List<Integer> sequence, List<Stage> stages)
    implements Note {
  private static final int MOST = 60;

  /** What a stage is read by. */
  public enum Kind {
    TORQUE,
    ANGLE,
    STRETCH
  }

  /**
   * @param value N·m, rad or m
   */
  public record Stage(Kind kind, double value) {
    public Stage {
      double most =
          switch (kind) {
            case TORQUE -> 700;
            case ANGLE -> 2 * Math.PI;
            case STRETCH -> 0.002;
          };
      if (!(value > 0 && value <= most)) {
        throw new InvalidInput(
            "Stage by " + kind.name().toLowerCase(java.util.Locale.ROOT),
            "%.4g".formatted(value),
            "above 0 to %.4g (SI)".formatted(most),
            "no fastener of an engine takes that");
      }
    }
  }

  public Fastener {
    if (name == null || name.isBlank() || name.length() > 80) {
      throw new InvalidInput("Fastener", String.valueOf(name), "1 to 80 characters", "it is shown");
    }
    if (lubricant == null || lubricant.isBlank()) {
      throw new InvalidInput(
          name + ", lubricant",
          "missing",
          "what its maker states, dry where it is dry",
          "the same torque clamps quite differently with another");
    }
    sequence = List.copyOf(sequence);
    stages = List.copyOf(stages);
    int n = sequence.size();
    if (n < 1
        || n > MOST
        || new HashSet<>(sequence).size() != n
        || sequence.stream().anyMatch(i -> i < 1 || i > n)) {
      throw new InvalidInput(
          name + ", sequence",
          sequence.toString(),
          "each place from 1 to their number once, %d at most".formatted(MOST),
          "each is tightened in its turn");
    }
    if (rows < 1 || rows > n) {
      throw new InvalidInput(
          name + ", rows", String.valueOf(rows), "1 to " + n, "they stand in rows");
    }
    if (stages.isEmpty() || stages.size() > 8) {
      throw new InvalidInput(
          name + ", stages", stages.size() + " stages", "1 to 8", "its maker states them");
    }
  }

  /** The order in which they are loosened: the tightening's turned round. */
  public List<Integer> loosening() {
    return sequence.reversed();
  }

  /** How many stand in one row, the longest. */
  public int perRow() {
    return (sequence.size() + rows - 1) / rows;
  }
}
