package grandbore.core.job;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.InvalidInput;
import grandbore.core.job.cuts.HeadTilt;
import grandbore.core.job.facts.Operation;
import grandbore.core.job.orders.OrderLine;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Lines of orders from what was measured: which cylinder is to come from which value to which. */
public final class OrderPlans {
  /** A chamber that is filled by hand comes out so well; common practice, no source. */
  private static final double FILL = 0.25e-6;

  /** A deck is cut so well; common practice, no source. */
  private static final double CUT = Measure.INCHES.toSi(0.001);

  private final Build build;
  private final Readings readings;

  public OrderPlans(Build build, Readings readings) {
    this.build = build;
    this.readings = readings;
  }

  /**
   * Heads milled until the chambers of each come down to a volume, those left out that have it.
   *
   * @param wanted m³
   * @param price of a head
   * @throws InvalidInput where none is larger
   */
  public List<OrderLine> mill(double wanted, double price) {
    var all = new ArrayList<OrderLine>();
    var b = build.combination().bottomEnd();
    for (int bank = 0; bank < b.banks(); bank++) {
      var words = tilt(bank, wanted);
      boolean first = true;
      for (int n : bank(bank)) {
        var is = read(Measurement.CHAMBER, n);
        if (is.isPresent() && is.get() > wanted + FILL) {
          all.add(
              line(
                  EnginePart.HEAD,
                  Operation.MILL_HEAD,
                  Measurement.CHAMBER,
                  n,
                  is.get(),
                  wanted,
                  FILL,
                  first ? words.orElse("") : "",
                  first ? price : 0));
          first = false;
        }
      }
    }
    return orders(all, Measurement.CHAMBER, wanted);
  }

  /**
   * Decks cut until every piston stands so far below.
   *
   * @param wanted deck clearance, m
   * @param price of a bank
   * @throws InvalidInput where no deck is higher
   */
  public List<OrderLine> cut(double wanted, double price) {
    var all = new ArrayList<OrderLine>();
    var b = build.combination().bottomEnd();
    for (int bank = 0; bank < b.banks(); bank++) {
      boolean first = true;
      for (int n : bank(bank)) {
        var is = read(Measurement.DECK, n);
        if (is.isPresent() && is.get() > wanted + CUT) {
          all.add(
              line(
                  EnginePart.BLOCK,
                  Operation.DECK_CUT,
                  Measurement.DECK,
                  n,
                  is.get(),
                  wanted,
                  CUT,
                  "%s over cylinder %d"
                      .formatted(Quantity.CLEARANCE.show(is.get() - wanted, build.units()), n),
                  first ? price : 0));
          first = false;
        }
      }
    }
    return orders(all, Measurement.DECK, wanted);
  }

  private List<OrderLine> orders(List<OrderLine> all, Measurement m, double wanted) {
    if (all.isEmpty()) {
      throw new InvalidInput(
          m.label() + " wanted",
          m.quantity().show(wanted, build.units()),
          "less than what is measured at some cylinder",
          "there is nothing to take off, or nothing was measured");
    }
    return List.copyOf(all);
  }

  private OrderLine line(
      EnginePart part,
      Operation work,
      Measurement m,
      int place,
      double from,
      double to,
      double either,
      String words,
      double price) {
    return new OrderLine(
        part,
        work,
        words,
        m,
        place,
        Side.NONE,
        from,
        to,
        either,
        "ratio even and as wanted",
        price);
  }

  private Optional<Double> read(Measurement m, int place) {
    return readings.at(m, place).map(Readings.Result::value);
  }

  /** Cylinders of a bank from the front. */
  private List<Integer> bank(int bank) {
    var b = build.combination().bottomEnd();
    return IntStream.rangeClosed(1, b.cylinders())
        .filter(n -> b.bank(n) == bank)
        .boxed()
        .sorted(java.util.Comparator.comparingInt(b::row))
        .toList();
  }

  /** How much comes off at both ends of a head, in words; nothing where that can't be known. */
  private Optional<String> tilt(int bank, double wanted) {
    var c = build.combination();
    var cylinders = bank(bank);
    var front = read(Measurement.CHAMBER, cylinders.getFirst());
    var rear = read(Measurement.CHAMBER, cylinders.getLast());
    double area = c.compression().planArea().si();
    double length = c.partSizes().boreSpacing().si() * (cylinders.size() - 1);
    if (front.isEmpty() || rear.isEmpty() || area <= 0 || length <= 0) {
      return Optional.empty();
    }
    var tilt = HeadTilt.of(front.get(), rear.get(), wanted, area, length);
    var units = build.units();
    return Optional.of(
        "%s over chamber %d, %s over %d; a shim of %s under chamber %d's end"
            .formatted(
                Quantity.CLEARANCE.show(Math.max(0, tilt.first()), units),
                cylinders.getFirst(),
                Quantity.CLEARANCE.show(Math.max(0, tilt.last()), units),
                cylinders.getLast(),
                Quantity.CLEARANCE.show(tilt.shim(length), units),
                tilt.isShimAtRear() ? cylinders.getLast() : cylinders.getFirst()));
  }
}
