package grandbore.desktop.drawing;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;

/**
 * The section through one cylinder in metres, from the crank's centre: x toward the exhaust side, y
 * up. The chamber has the volume and plan area of the inputs; what no input says is drawn as usual.
 *
 * @param bore diameter
 * @param deck height of the block's deck
 * @param roof chamber's height over the head's face
 * @param chamber width of the chamber on the face
 * @param opposed whether the valves lean away from each other in this section; else they stand side
 *     by side and lean out of it
 */
public record CylinderShape(
    Combination c,
    double bore,
    double deck,
    double roof,
    double chamber,
    boolean opposed,
    Valve intake,
    Valve exhaust) {
  /** Chamber's plan area over the bore's where no input says it; wedge and pent-roof heads. */
  private static final double USUAL_PLAN = 0.75;

  /** Between both heads, m. */
  private static final double BRIDGE = 0.004;

  private static final double USUAL_STEM = 0.007;

  /**
   * One valve in the section.
   *
   * @param x of the head's middle on its seat
   * @param y likewise
   * @param lean of the stem's top toward the exhaust side, rad
   * @param diameter of the head
   * @param stem its diameter
   */
  public record Valve(double x, double y, double lean, double diameter, double stem) {
    /** Where the head's middle is at a lift. */
    public double xAt(double lift) {
      return x - lift * Math.sin(lean);
    }

    /** Where the head's middle is at a lift. */
    public double yAt(double lift) {
      return y - lift * Math.cos(lean);
    }
  }

  public static CylinderShape of(Combination c) {
    var b = c.bottomEnd();
    var h = c.heads();
    double bore = b.bore().si();
    double area = Math.PI / 4 * bore * bore;
    double plan = or(c.compression().planArea(), USUAL_PLAN * area);
    boolean opposed =
        c.valveTrain().follower().isOverhead() || h.intakeValves() + h.exhaustValves() > 2;
    double volume = c.compression().chamberVolume().si();
    // A roof over the plan area holds half of what a flat ceiling does.
    double roof = (opposed ? 2 : 1) * volume / plan;
    double chamber = Math.min(bore, Math.max(bore * plan / area, 0.6 * bore));
    double deck = b.blockDeck().si() + c.compression().gasketThickness().si();
    double in = h.intakeValve().si();
    double out = h.exhaustValve().si();
    double total = Math.min(in + out + BRIDGE, 0.98 * bore);
    double inX = -total / 2 + in / 2;
    double outX = total / 2 - out / 2;
    double stem = or(c.valveHardware().stem(), USUAL_STEM);
    var shape = new CylinderShape(c, bore, deck, roof, chamber, opposed, null, null);
    return new CylinderShape(
        c,
        bore,
        deck,
        roof,
        chamber,
        opposed,
        new Valve(inX, shape.ceiling(inX), opposed ? -h.intakeAngle().si() : 0, in, stem),
        new Valve(outX, shape.ceiling(outX), opposed ? h.exhaustAngle().si() : 0, out, stem));
  }

  static double or(Given given, double usual) {
    return given.isKnown() && given.si() > 0 ? given.si() : usual;
  }

  /** Height of the chamber's ceiling over the crank's centre at a place across the bore. */
  public double ceiling(double x) {
    double half = chamber / 2;
    if (Math.abs(x) >= half) {
      return deck;
    }
    return deck + (opposed ? roof * (1 - Math.abs(x) / half) : roof);
  }

  /** Height of the crown's flat over the crank's centre, m, at a crank angle, rad. */
  public double crown(double angle) {
    var b = c.bottomEnd();
    return b.blockDeck().si() - b.deckClearance() - b.crank().depth(angle);
  }

  /** Height of the pin. */
  public double pin(double angle) {
    return crown(angle) - c.bottomEnd().pinHeight().si();
  }

  /** Half of the stroke. */
  public double throwRadius() {
    return c.bottomEnd().stroke().si() / 2;
  }

  /** What turns about the crank: the counterweight's radius, or what is usual. */
  public double sweep() {
    return Math.max(
        or(
            c.partSizes().counterweightRadius(),
            throwRadius() + 0.9 * c.bottomEnd().rodJournal().si() / 2 + 0.008),
        throwRadius() + c.bottomEnd().rodJournal().si() / 2 + 0.006);
  }

  /** Depth of the crown's dish over its width, m; negative for a dome. */
  public double dish() {
    double area = Math.PI / 4 * bore * bore;
    return c.compression().pistonVolume().si() / (DISH_SHARE * area);
  }

  /** Share of the crown's area that a dish or dome takes, usual. */
  static final double DISH_SHARE = 0.6;

  /** From the pin to the skirt's end. */
  public double skirt() {
    return or(c.partSizes().skirtBelowPin(), 0.7 * c.bottomEnd().pinHeight().si());
  }

  /** Top of valve stems and springs over the crank's centre. */
  public double top() {
    return deck + roof + Math.max(0.085, 1.6 * Math.max(intake.diameter, exhaust.diameter));
  }
}
