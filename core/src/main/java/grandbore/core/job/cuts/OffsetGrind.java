package grandbore.core.job.cuts;

import grandbore.core.combination.InvalidInput;

/**
 * How much stroke a crank gains when its rod journals are ground smaller about an axis farther out.
 * The new journal lies within the old one, so that
 *
 * <pre>
 *   offset = (d_old − d_new)/2 − clean-up        stroke_new = stroke + 2·offset
 * </pre>
 *
 * @param offset of the throw's axis, m
 * @param stroke after it, m
 * @param gained in stroke, m
 */
public record OffsetGrind(double offset, double stroke, double gained) {
  /**
   * The most that a journal gives.
   *
   * @param stroke as it is, m
   * @param from journal's diameter as it is, m
   * @param to the diameter for which there are shells, m
   * @param cleanUp that comes off even where least does, on the radius, m
   */
  public static OffsetGrind of(double stroke, double from, double to, double cleanUp) {
    if (!(to > 0.02 && to < from && from < 0.15)) {
      throw new InvalidInput(
          "Journal ground to",
          "%.2f mm".formatted(1e3 * to),
          "20 mm (0.787 in) to less than the %.2f mm that it has".formatted(1e3 * from),
          "a grind only takes off");
    }
    double offset = (from - to) / 2 - cleanUp;
    if (!(cleanUp >= 0 && offset >= 0)) {
      throw new InvalidInput(
          "Clean-up of the journal",
          "%.3f mm".formatted(1e3 * cleanUp),
          "0 to %.3f mm on the radius".formatted(1e3 * (from - to) / 2),
          "more than the grind takes off can't be cleaned up");
    }
    return new OffsetGrind(offset, stroke + 2 * offset, 2 * offset);
  }
}
