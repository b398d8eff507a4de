package grandbore.core.studies;

import java.util.List;

/**
 * The cylinder that fills least at one speed, and what it lacks by what.
 *
 * @param cylinder its number
 * @param lack of fresh charge under the mean of all, as a share of it
 * @param shares what each cause, evened alone, gives back of it; one may hide another
 * @param rest what it lacks with all of them evened: where it fires, and where it meets the exhaust
 */
public record Starving(int cylinder, double lack, List<Share> shares, double rest) {
  /** What can set one cylinder apart. */
  public enum Cause {
    CHAMBER,
    RUNNER,
    PORT,
    PLACE
  }

  /**
   * What a cause carries.
   *
   * @param lack as a share of the mean charge; less than nothing where the cause helps this
   *     cylinder
   */
  public record Share(Cause cause, double lack) {}

  public Starving {
    shares = List.copyOf(shares);
  }
}
