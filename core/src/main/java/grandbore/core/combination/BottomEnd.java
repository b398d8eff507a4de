package grandbore.core.combination;

import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.LENGTH;

import grandbore.core.geometry.SliderCrank;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.HashSet;
import java.util.List;

/**
 * Block, crank, rods and pistons.
 *
 * @param firingOrder cylinder numbers in the order they fire
 * @param firingIntervals crank degrees from each firing to the next, in that order; none where they
 *     are even
 */
public record BottomEnd(
    Layout layout,
    int cylinders,
    List<Integer> firingOrder,
    List<Double> firingIntervals,
    Numbering numbering,
    @Spec(
            label = "Bore",
            quantity = LENGTH,
            min = 0.030,
            max = 0.200,
            why = "pistons of car and motorcycle engines lie inside that")
        Given bore,
    @Spec(
            label = "Stroke",
            quantity = LENGTH,
            min = 0.025,
            max = 0.200,
            why = "cranks of car and motorcycle engines lie inside that")
        Given stroke,
    @Spec(
            label = "Rod length",
            quantity = LENGTH,
            min = 0.050,
            max = 0.400,
            why = "it is measured between the centres of both ends")
        Given rodLength,
    @Spec(
            label = "Block deck height",
            quantity = LENGTH,
            min = 0.090,
            max = 0.600,
            why = "it is measured from the crank's centreline to the deck")
        Given blockDeck,
    @Spec(
            label = "Compression height",
            quantity = LENGTH,
            min = 0.015,
            max = 0.080,
            why = "also called pin height: from the pin's centre to the flat of the crown")
        Given pinHeight,
    @Spec(
            label = "Pin offset",
            quantity = CLEARANCE,
            min = -0.004,
            max = 0.004,
            why = "more would tip the piston")
        Given pinOffset,
    @Spec(
            label = "Main journal",
            quantity = LENGTH,
            min = 0.020,
            max = 0.110,
            why = "it is a journal's diameter")
        Given mainJournal,
    @Spec(
            label = "Rod journal",
            quantity = LENGTH,
            min = 0.018,
            max = 0.100,
            why = "it is a journal's diameter")
        Given rodJournal) {

  /** How the cylinders stand. */
  public enum Layout {
    INLINE,
    VEE,
    FLAT
  }

  /** How the cylinders of two banks are numbered. */
  public enum Numbering {
    /** Odd numbers on one bank, even numbers on the other. */
    ALTERNATING,
    /** One bank through, then the other. */
    BANK_BY_BANK
  }

  static final double LEAST_ROD_RATIO = 1.2;

  public BottomEnd {
    if (cylinders < 1 || cylinders > 12) {
      throw new InvalidInput(
          "Cylinders (bottomEnd.cylinders)",
          String.valueOf(cylinders),
          "1 to 12",
          "larger engines are not built this way");
    }
    if (layout == null || numbering == null || layout != Layout.INLINE && cylinders % 2 != 0) {
      throw new InvalidInput(
          "Layout (bottomEnd.layout)",
          layout + " with " + cylinders + " cylinders",
          "INLINE, or VEE or FLAT with an even number",
          "both banks hold the same number");
    }
    if (firingOrder == null
        || firingOrder.size() != cylinders
        || new HashSet<>(firingOrder).size() != cylinders
        || firingOrder.stream().anyMatch(c -> c == null || c < 1 || c > cylinders)) {
      throw new InvalidInput(
          "Firing order (bottomEnd.firingOrder)",
          String.valueOf(firingOrder),
          "each cylinder from 1 to " + cylinders + " once",
          "every cylinder fires once in two turns");
    }
    firingOrder = List.copyOf(firingOrder);
    if (firingIntervals == null
        || !firingIntervals.isEmpty()
            && (firingIntervals.size() != cylinders
                || firingIntervals.stream().anyMatch(i -> i == null || !(i >= 0 && i <= 720))
                || Math.abs(firingIntervals.stream().mapToDouble(i -> i).sum() - 720) > 0.5)) {
      throw new InvalidInput(
          "Firing intervals (bottomEnd.firingIntervals)",
          String.valueOf(firingIntervals),
          "none, or one of 0 to 720° for each cylinder, 720° in all",
          "every cylinder fires once in two turns");
    }
    firingIntervals = List.copyOf(firingIntervals);
    Specs.check(
        BottomEnd.class,
        "bottomEnd",
        bore,
        stroke,
        rodLength,
        blockDeck,
        pinHeight,
        pinOffset,
        mainJournal,
        rodJournal);
    if (rodLength.si() < LEAST_ROD_RATIO * stroke.si()) {
      throw new InvalidInput(
          "Rod length (bottomEnd.rodLength)",
          Quantity.LENGTH.show(rodLength.si(), UnitSystem.METRIC),
          "at least "
              + Quantity.LENGTH.show(LEAST_ROD_RATIO * stroke.si(), UnitSystem.METRIC)
              + " with this stroke",
          "below a rod ratio of 1.2 rod and cylinder meet");
    }
  }

  /** Swept volume of one cylinder, m³. */
  public double sweptVolume() {
    return boreArea() * stroke.si();
  }

  /** m². */
  public double boreArea() {
    return Math.PI / 4 * bore.si() * bore.si();
  }

  /** Swept volume of the engine, m³. */
  public double displacement() {
    return cylinders * sweptVolume();
  }

  /** The piston's motion. */
  public SliderCrank crank() {
    return new SliderCrank(stroke.si() / 2, rodLength.si(), pinOffset.si());
  }

  public double rodRatio() {
    return rodLength.si() / stroke.si();
  }

  /** Crown below the deck at top centre by the sum of the parts, m; negative above it. */
  public double deckClearance() {
    return blockDeck.si() - stroke.si() / 2 - rodLength.si() - pinHeight.si();
  }

  /** Main bearings: one between neighbouring throws and one at each end. */
  public int mains() {
    return layout == Layout.VEE ? cylinders / 2 + 1 : cylinders + 1;
  }

  /** One bank or two. */
  public int banks() {
    return layout == Layout.INLINE ? 1 : 2;
  }

  /** Bank of a cylinder, 0 or 1. */
  public int bank(int cylinder) {
    if (layout == Layout.INLINE) {
      return 0;
    }
    return numbering == Numbering.ALTERNATING ? (cylinder + 1) % 2 : 2 * (cylinder - 1) / cylinders;
  }

  /** Place of a cylinder in its bank, from the front, from 0. */
  public int row(int cylinder) {
    if (banks() < 2) {
      return cylinder - 1;
    }
    return numbering == Numbering.ALTERNATING
        ? (cylinder - 1) / 2
        : (cylinder - 1) % (cylinders / 2);
  }

  /** Crank angle from the first firing to the one at a place in the order, rad. */
  public double firesAt(int place) {
    if (firingIntervals.isEmpty()) {
      return 4 * Math.PI * place / cylinders;
    }
    return Math.toRadians(firingIntervals.stream().limit(place).mapToDouble(i -> i).sum());
  }

  /** Whether all cylinders fire at even intervals. */
  public boolean firesEvenly() {
    return firingIntervals.stream().allMatch(i -> Math.abs(i - 720.0 / cylinders) < 0.5);
  }
}
