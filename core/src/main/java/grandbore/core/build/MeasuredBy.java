package grandbore.core.build;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What takes the place of an input once it is read.
 *
 * @param sides those whose readings are averaged
 * @param direct whether a reading is a value of the input itself, and not of something beside it
 */
public record MeasuredBy(Measurement measurement, List<Side> sides, boolean direct) {
  private static final Map<String, MeasuredBy> ALL =
      Map.of(
          "bottomEnd.bore", of(Measurement.BORE, Side.NONE),
          "bottomEnd.mainJournal", of(Measurement.MAIN_JOURNAL, Side.NONE),
          "bottomEnd.rodJournal", of(Measurement.ROD_JOURNAL, Side.NONE),
          "compression.chamberVolume", of(Measurement.CHAMBER, Side.NONE),
          "valveTrain.intakeLash", of(Measurement.LASH, Side.INTAKE),
          "valveTrain.exhaustLash", of(Measurement.LASH, Side.EXHAUST),
          "valveTrain.springSeat", of(Measurement.SEAT_FORCE, Side.INTAKE, Side.EXHAUST),
          "bottomEnd.blockDeck", new MeasuredBy(Measurement.DECK, List.of(Side.THRUST), false),
          "losses.topGap", new MeasuredBy(Measurement.TOP_RING_GAP, List.of(Side.NONE), false));

  private static MeasuredBy of(Measurement measurement, Side... sides) {
    return new MeasuredBy(measurement, List.of(sides), true);
  }

  /** Of the input of this path, where readings can take its place. */
  public static Optional<MeasuredBy> of(String path) {
    return Optional.ofNullable(ALL.get(path));
  }
}
