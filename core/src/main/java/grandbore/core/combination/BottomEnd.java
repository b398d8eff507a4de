package grandbore.core.combination;

import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.LENGTH;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.HashSet;
import java.util.List;

/**
 * Block, crank, rods and pistons.
 *
 * @param firingOrder cylinder numbers in the order they fire, evenly spaced; on a V engine odd
 *     numbers stand on one bank and even numbers on the other
 */
public record BottomEnd(
    Layout layout,
    int cylinders,
    List<Integer> firingOrder,
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
            label = "Pin height",
            quantity = LENGTH,
            min = 0.015,
            max = 0.080,
            why = "it is measured from the pin's centre to the flat of the crown")
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
    VEE
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
    if (layout == null || layout == Layout.VEE && cylinders % 2 != 0) {
      throw new InvalidInput(
          "Layout (bottomEnd.layout)",
          layout + " with " + cylinders + " cylinders",
          "INLINE, or VEE with an even number",
          "both banks of a V hold the same number");
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

  public double rodRatio() {
    return rodLength.si() / stroke.si();
  }

  /** Crown below the deck at top centre by the sum of the parts, m; negative above it. */
  public double deckClearance() {
    return blockDeck.si() - stroke.si() / 2 - rodLength.si() - pinHeight.si();
  }

  /** Bank of a cylinder, 0 or 1. */
  public int bank(int cylinder) {
    return layout == Layout.VEE ? (cylinder + 1) % 2 : 0;
  }
}
