package grandbore.core.clearances;

import grandbore.core.combination.Bounds;
import grandbore.core.combination.InvalidInput;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A kind of reading that the shop has added, for all of its builds; the newest note of each stands.
 *
 * @param label by which it is known
 * @param place what its places count
 * @param points at which it is read at each place: depths, sides; none where it is read once
 * @param least smallest value an instrument can have shown, SI
 * @param most largest, SI
 * @param from least of its band, SI; per metre of bore where {@code perBore}
 * @param to most of its band, the same; 0 where there is only a least
 * @param perBore whether the band grows with the bore
 * @param said by whom the band is, empty where there is none
 * @param gone whether the shop takes it no more
 */
public record OwnKind(
    String label,
    Quantity quantity,
    Measurement.Place place,
    List<String> points,
    double least,
    double most,
    double from,
    double to,
    boolean perBore,
    String said,
    boolean gone)
    implements Note {
  private static final int POINTS = 24;

  public OwnKind {
    if (label == null || label.isBlank() || label.length() > 60) {
      throw new InvalidInput(
          "Own measurement", "“" + label + "”", "1 to 60 characters", "it is read");
    }
    if (quantity == null || place == null || said == null || said.length() > 200) {
      throw new InvalidInput(label, "no unit, place or source", "all of them", "it is shown so");
    }
    points = List.copyOf(points);
    if (points.size() > POINTS || points.stream().anyMatch(p -> p.isBlank() || p.length() > 30)) {
      throw new InvalidInput(
          label + ", points",
          points.size() + " of them",
          "up to 24 with names",
          "each has a field");
    }
    if (!(least < most)) {
      throw new InvalidInput(
          label + ", range",
          "%s to %s".formatted(shown(quantity, least), shown(quantity, most)),
          "from a least to a most",
          "what lies outside is a slip of the pen");
    }
    if (!(from >= 0) || to != 0 && !(to > from)) {
      throw new InvalidInput(
          label + ", band",
          "%s to %s".formatted(shown(quantity, from), shown(quantity, to)),
          "from a least to a most, or a least alone",
          "a reading is judged by it");
    }
  }

  private static String shown(Quantity q, double si) {
    return q.show(si, UnitSystem.METRIC);
  }

  /** By what its readings name it. */
  public String key() {
    return label.toLowerCase(Locale.ROOT).strip();
  }

  /** How many times it is read at one place. */
  public int times() {
    return Math.max(1, points.size());
  }

  /** One point in words, empty where there is but one. */
  public String point(int i) {
    return points.isEmpty() ? "" : points.get(i);
  }

  /**
   * The band on an engine of a bore; none where nobody said one.
   *
   * @param bore m
   */
  public Optional<Band> band(double bore) {
    double by = perBore ? bore : 1;
    return from == 0 && to == 0
        ? Optional.empty()
        : Optional.of(
            new Band(
                by * from, to == 0 ? Double.POSITIVE_INFINITY : by * to, said, Band.Source.HOUSE));
  }

  /**
   * Checks what was read.
   *
   * @throws InvalidInput where no instrument can have shown it
   */
  public void check(double value) {
    if (!Bounds.hold(value, least, most)) {
      throw new InvalidInput(
          label,
          shown(quantity, value),
          "%s to %s".formatted(shown(quantity, least), shown(quantity, most)),
          "nothing there reads otherwise");
    }
  }
}
