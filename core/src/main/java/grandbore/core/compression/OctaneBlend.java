package grandbore.core.compression;

/**
 * Octane of what is in a tank after mixing: shares by volume, as the trade reckons it (common
 * practice, no source). Real blends depart from it by a number or so either way.
 */
public final class OctaneBlend {
  private OctaneBlend() {}

  /**
   * How much to add for a wanted octane, in the unit of the volume; not a number where it can't be
   * reached.
   */
  public static double toAdd(double volume, double octane, double addedOctane, double wanted) {
    if (wanted <= octane) {
      return 0;
    }
    return addedOctane > wanted ? volume * (wanted - octane) / (addedOctane - wanted) : Double.NaN;
  }
}
