package grandbore.core.mechanics;

import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Brief.Part;

/** The stack of a cylinder: deck height = throw + rod + pin height + deck clearance. */
public final class StackUp {
  /** What can be changed to reach a deck clearance. */
  public enum Term {
    BLOCK_DECK("bottomEnd.blockDeck", Part.BLOCK, 1),
    STROKE("bottomEnd.stroke", Part.CRANK, -0.5),
    ROD("bottomEnd.rodLength", Part.RODS, -1),
    PIN_HEIGHT("bottomEnd.pinHeight", Part.PISTONS, -1);

    private final String path;
    private final Part part;
    private final double sign;

    Term(String path, Part part, double sign) {
      this.path = path;
      this.part = part;
      this.sign = sign;
    }

    /** The input it is. */
    public String path() {
      return path;
    }

    /** The part that would be changed. */
    public Part part() {
      return part;
    }

    /** What it has to be for a deck clearance, the others as they are, m. */
    public double forClearance(BottomEnd b, double wanted) {
      double now =
          switch (this) {
            case BLOCK_DECK -> b.blockDeck().si();
            case STROKE -> b.stroke().si();
            case ROD -> b.rodLength().si();
            case PIN_HEIGHT -> b.pinHeight().si();
          };
      return now + (wanted - b.deckClearance()) / sign;
    }
  }

  private StackUp() {}
}
