package grandbore.core.combustion;

/** What a chamber looks like on the head's side, as a simple solid of its volume. */
public enum ChamberForm {
  /** As heads with so many valves usually are: a wedge over two, a pent roof over more. */
  USUAL,
  /** A roof that rises from the quench to the plug. */
  WEDGE,
  /** A flat roof within an outline smaller than the bore. */
  BATHTUB,
  /** A dome over the whole bore. */
  HEMISPHERE,
  /** Two slopes that meet over the middle of the bore. */
  PENT_ROOF,
  /** A flat head: the chamber is in the piston. */
  FLAT_HEAD;

  /** The form that stands for this one over so many valves. */
  public ChamberForm over(int valves) {
    return this != USUAL ? this : valves > 2 ? PENT_ROOF : WEDGE;
  }
}
