package grandbore.core.clearances;

import grandbore.core.clearances.Reading.Side;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;

/** Likely causes of what was found, against the build's own book. Common practice, no source. */
public final class Cause {
  /**
   * One of them.
   *
   * @param fromBook whether the build's own readings say so, or lack it; else it is what is usual
   * @param words for the builder
   */
  public record Likely(boolean fromBook, String words) {}

  private final Ledger ledger;
  private final UnitSystem units;
  private final Finding finding;
  private final List<Likely> causes = new ArrayList<>();

  private Cause(Finding finding, Ledger ledger, UnitSystem units) {
    this.finding = finding;
    this.ledger = ledger;
    this.units = units;
  }

  /** The likeliest first: what the book's readings point at, then what is usual. */
  public static List<Likely> of(Finding finding, Ledger ledger, UnitSystem units) {
    var c = new Cause(finding, ledger, units);
    if (finding.kind() == Finding.Kind.SOUND) {
      return List.of();
    }
    switch (finding.part()) {
      case MAIN_BEARING -> c.bearing(Measurement.MAIN_BEARING);
      case ROD_BEARING -> c.bearing(Measurement.ROD_BEARING);
      case PISTON, BORE -> c.piston();
      case RING -> c.ring();
      case VALVE -> c.valve();
      case SPRING -> c.spring();
      case LOBE -> {
        c.book(Measurement.LASH, Side.INTAKE);
        c.book(Measurement.SEAT_FORCE, Side.INTAKE);
        c.usual("too much spring on a flat tappet, no lubricant at first start, a soft core");
      }
      case GASKET -> {
        c.book(Measurement.DECK, Side.THRUST);
        c.usual("detonation first, then clamp: stretch, threads, a deck that is not flat");
      }
      case PLUG -> c.usual("detonation peppers and breaks it; lean or advanced burns it");
    }
    return c.causes;
  }

  private void usual(String words) {
    causes.add(new Likely(false, "usual: " + words));
  }

  /** Says what the book has at this place, and whether it was outside. */
  private void book(Measurement m, Side side) {
    int place = Math.min(finding.place(), ledger.places(m));
    var value = ledger.value(m, place, side, units);
    var band = ledger.band(m, side);
    if (value.isEmpty()) {
      causes.add(
          new Likely(
              true,
              "the book: %s was not read at %s"
                  .formatted(m.label().toLowerCase(java.util.Locale.ROOT), m.at(place, side))));
      return;
    }
    String is = m.quantity().show(value.get().si(), units);
    String text =
        band.map(
                b ->
                    "%s, %s (%s)"
                        .formatted(
                            is, b.judge(value.get().si()).word(), b.show(m.quantity(), units)))
            .orElse(is);
    boolean outside = band.filter(b -> b.judge(value.get().si()).isOutside()).isPresent();
    String words =
        "the book: %s at %s was %s"
            .formatted(m.label().toLowerCase(java.util.Locale.ROOT), m.at(place, side), text);
    causes.add(outside ? 0 : causes.size(), new Likely(true, words));
  }

  private void bearing(Measurement m) {
    book(m, Side.NONE);
    switch (finding.kind()) {
      case WIPED -> usual("starved of oil, or too little clearance; look at oil, pump and feed");
      case FATIGUED -> usual("load and detonation, or a shell that was not backed all round");
      case SCORED -> usual("dirt: galleries not washed, filter bypassed; cut the filter open");
      default -> usual("oil, clearance, dirt, in that order");
    }
  }

  private void piston() {
    book(Measurement.PISTON_WALL, Side.NONE);
    switch (finding.kind()) {
      case SCUFFED -> usual("too tight or too hot: four points say tight, one side says load");
      case RING_LAND_BROKEN -> {
        book(Measurement.TOP_RING_GAP, Side.NONE);
        usual("detonation, or a ring that butted");
      }
      case TOUCHED_VALVE -> {
        book(Measurement.VALVE_TO_PISTON, Side.INTAKE);
        book(Measurement.VALVE_TO_PISTON, Side.EXHAUST);
        usual("float, or timing that moved");
      }
      case BURNED -> usual("lean, advanced, or detonation; look at that cylinder's air and fuel");
      default -> usual("clearance, detonation, oil, in that order");
    }
  }

  private void ring() {
    book(Measurement.TOP_RING_GAP, Side.NONE);
    book(Measurement.RING_SIDE, Side.NONE);
    switch (finding.kind()) {
      case BUTTED -> usual("gap too small for the heat; shining ends prove it");
      case LOST_TENSION -> usual("overheated: detonation, or long at full load");
      case BLOWN_BY -> usual("tension lost, bore out of round, gaps in line");
      case STUCK -> usual("carbon or too little side clearance");
      default -> usual("heat first, then the bore's finish");
    }
  }

  private void valve() {
    book(Measurement.VALVE_TO_PISTON, Side.INTAKE);
    book(Measurement.VALVE_TO_PISTON, Side.EXHAUST);
    book(Measurement.VALVE_GUIDE, Side.EXHAUST);
    switch (finding.kind()) {
      case TOUCHED_VALVE -> usual("float: weak or wrong springs; or the timing moved");
      case BURNED -> usual("no lash, a narrow seat, lean; a margin gone");
      default -> usual("guide, seat, springs, in that order");
    }
  }

  private void spring() {
    book(Measurement.COIL_BIND, Side.INTAKE);
    book(Measurement.SEAT_FORCE, Side.INTAKE);
    usual(
        finding.kind() == Finding.Kind.LOST_TENSION
            ? "heat and cycles: test all, replace the set"
            : "bind, a nick from handling, or a speed at which it rings");
  }
}
