package grandbore.core.prediction;

import grandbore.core.combination.Combination;
import grandbore.core.combustion.ChamberShape;

/** The room above a combination's piston as simple solids. */
public final class Chambers {
  private Chambers() {}

  /**
   * At top centre; the head's side takes up what gap and crown leave of it.
   *
   * @param clearance volume at top centre, m³
   */
  public static ChamberShape of(Combination c, double clearance) {
    var b = c.bottomEnd();
    var squeeze = c.compression();
    var h = c.heads();
    double flat = Math.max(0, b.deckClearance() + squeeze.gasketThickness().si());
    double crown = squeeze.pistonVolume().si();
    return ChamberShape.of(
        h.chamber(),
        h.intakeValves() + h.exhaustValves(),
        b.bore().si(),
        Math.max(0.05 * clearance, clearance - crown - flat * b.boreArea()),
        crown,
        flat,
        squeeze.planArea().isKnown() ? squeeze.planArea().si() : 0,
        h.plugOffset().isKnown() ? h.plugOffset().si() : 0,
        h.plugs());
  }
}
