package grandbore.core.dyno;

import grandbore.core.combination.InvalidInput;
import java.util.List;

/**
 * One channel of a pull, row by row.
 *
 * @param place number of the cylinder or bank; 0 where there is one for the whole engine
 * @param values SI, the speed in rev/min; not a number where a row has none
 */
public record Column(Channel channel, int place, List<Double> values) {
  private static final int MOST_PLACES = 24;

  public Column {
    boolean whole = channel.per() == Channel.Per.ENGINE;
    if (whole ? place != 0 : place < 1 || place > MOST_PLACES) {
      throw new InvalidInput(
          channel.label() + ", place",
          String.valueOf(place),
          whole ? "0" : "1 to 24",
          whole ? "there is one for the engine" : "it counts cylinders or banks");
    }
    values = List.copyOf(values);
  }

  /** As it is headed: {@code Exhaust gas 3}. */
  public String title() {
    return place == 0 ? channel.label() : channel.label() + " " + place;
  }

  /** Its word with its place: {@code exhaust_temperature_3}. */
  public String word() {
    return place == 0 ? channel.word() : channel.word() + "_" + place;
  }
}
