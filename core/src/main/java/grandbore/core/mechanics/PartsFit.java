package grandbore.core.mechanics;

import static grandbore.core.checks.Check.Verdict.BAD;
import static grandbore.core.checks.Check.Verdict.CLOSE;
import static grandbore.core.checks.Check.Verdict.GOOD;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.clearances.Band;
import grandbore.core.clearances.Bands;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Given;
import grandbore.core.combination.PartSizes;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import java.util.List;

/** Whether parts that were never sold together go together, and why not. */
public final class PartsFit {
  private static final double INCH = Measure.INCHES.toSi(1);

  /** Pin in its bore; common practice, no source. */
  private static final double PIN_LEAST = 0.0002 * INCH;

  private static final double PIN_MOST = 0.0010 * INCH;

  /** A pin pressed into the rod; common practice, no source. */
  private static final double PRESS_LEAST = 0.0006 * INCH;

  private static final double PRESS_MOST = 0.0016 * INCH;

  /** Skirt over counterweight; common practice, no source. */
  private static final double SKIRT = 0.050 * INCH;

  private static final double SKIRT_CLOSE = 0.030 * INCH;

  private final Build build;
  private final Bands bands;
  private final BottomEnd b;
  private final PartSizes f;
  private final CheckList list;

  private PartsFit(Build build, Bands bands) {
    this.build = build;
    this.bands = bands;
    b = build.combination().bottomEnd();
    f = build.combination().partSizes();
    list = new CheckList(build.units());
  }

  /** All checks by common practice alone. */
  public static List<Check> of(Build build) {
    return of(build, new Bands(build.combination(), build.application(), List.of()));
  }

  /**
   * All checks in the order of the parts, from the crank up.
   *
   * @param bands the book's, the makers' in the place of common practice
   */
  public static List<Check> of(Build build, Bands bands) {
    var fit = new PartsFit(build, bands);
    fit.bearing("main", Measurement.MAIN_BEARING, fit.f.mainHousing(), fit.f.mainShell());
    fit.bearing("rod", Measurement.ROD_BEARING, fit.f.rodHousing(), fit.f.rodShell());
    fit.side();
    fit.fillet();
    fit.pin("piston", fit.f.pistonBore());
    fit.pin("rod", fit.f.rodBore());
    fit.skirt();
    return fit.list.checks();
  }

  private String show(double si) {
    return Quantity.CLEARANCE.show(si, build.units());
  }

  /** A band with its rule and who says so. */
  private String words(Band band) {
    String range =
        Double.isInfinite(band.most())
            ? "at least " + show(band.least())
            : show(band.least()) + " to " + show(band.most());
    return "%s, %s (%s)".formatted(range, band.rule(), band.source().words());
  }

  private Given journal(Measurement m) {
    return m == Measurement.MAIN_BEARING ? b.mainJournal() : b.rodJournal();
  }

  private void bearing(String which, Measurement m, Given housing, Given shell) {
    String name = which + "_bearing_fit";
    String label = which.equals("main") ? "Main bearings" : "Rod bearings";
    if (!housing.isKnown() || !shell.isKnown()) {
      list.unknown(name, label, "the " + which + " housing and its shell");
      return;
    }
    double journal = journal(m).si();
    double clearance = housing.si() - 2 * shell.si() - journal;
    var band = bands.of(m, Reading.Side.NONE).orElseThrow();
    double middle =
        Double.isInfinite(band.most()) ? band.least() : 0.5 * (band.least() + band.most());
    String working =
        "housing − 2 × shell − journal = %s − 2 × %s − %s; band %s"
            .formatted(show(housing.si()), show(shell.si()), show(journal), words(band));
    double miss = 0.5 * (clearance - middle);
    switch (band.judge(clearance)) {
      case INSIDE -> list.add(name, label, GOOD, show(clearance) + " of oil clearance", working);
      case NEAR_EDGE ->
          list.add(name, label, CLOSE, show(clearance) + ", near the edge of its band", working);
      case WIDE ->
          list.add(
              name,
              label,
              BAD,
              "%s is too wide: shells, or a spacer, %s thicker each"
                  .formatted(show(clearance), show(miss)),
              working);
      case TIGHT ->
          list.add(
              name,
              label,
              BAD,
              clearance <= 0
                  ? "the journal does not go in: shells %s thinner each, or grind it by %s"
                      .formatted(show(-miss), show(-2 * miss))
                  : "%s is too tight: shells %s thinner each"
                      .formatted(show(clearance), show(-miss)),
              working);
    }
  }

  private void side() {
    String label = "Rod side clearance";
    if (!f.journalWidth().isKnown() || !f.rodWidth().isKnown()) {
      list.unknown("rod_side_fit", label, "the widths of rod and rod journal");
      return;
    }
    int rods = Balance.rodsOnThrow(build.combination());
    double clearance = f.journalWidth().si() - rods * f.rodWidth().si();
    boolean street = !Bands.isRace(build.application());
    var band = bands.of(Measurement.ROD_SIDE, Reading.Side.NONE);
    // Off a vee nobody has a band of its own for it; a vee's is common practice there too.
    double least = band.map(Band::least).orElse((street ? 0.010 : 0.014) * INCH);
    double most = band.map(Band::most).orElse((street ? 0.020 : 0.022) * INCH);
    String working =
        "journal width − %d × rod width = %s − %d × %s; %s"
            .formatted(
                rods,
                show(f.journalWidth().si()),
                rods,
                show(f.rodWidth().si()),
                band.map(this::words)
                    .orElse(
                        "%s to %s, steel rods (%s)"
                            .formatted(show(least), show(most), CheckList.PRACTICE)));
    String says =
        clearance < 0
            ? "the rods do not go between the cheeks: %s too wide".formatted(show(-clearance))
            : clearance < least
                ? "%s is too little: narrow the rods by %s"
                    .formatted(show(clearance), show((least - clearance) / rods))
                : clearance > most
                    ? show(clearance) + " is too much: the rods throw oil"
                    : show(clearance);
    list.add(
        "rod_side_fit", label, clearance < least || clearance > most ? BAD : GOOD, says, working);
  }

  /**
   * A fillet lifts the journal's surface toward the cheek. Where it has risen by the radial oil
   * clearance the shell's edge would touch it.
   */
  private void fillet() {
    String label = "Fillet and shell's edge";
    if (!f.fillet().isKnown() || !f.shellWidth().isKnown() || !f.rodWidth().isKnown()) {
      list.unknown("fillet_fit", label, "the fillet and the widths of rod and shell");
      return;
    }
    boolean known = f.rodHousing().isKnown() && f.rodShell().isKnown();
    var band = bands.of(Measurement.ROD_BEARING, Reading.Side.NONE).orElseThrow();
    double clearance =
        known
            ? Math.max(0, f.rodHousing().si() - 2 * f.rodShell().si() - b.rodJournal().si())
            : band.least();
    double r = f.fillet().si();
    double c = Math.min(r, clearance / 2);
    double reach = r - Math.sqrt(2 * r * c - c * c);
    double edge = 0.5 * (f.rodWidth().si() - f.shellWidth().si());
    String working =
        "the fillet stands %s above the journal %s from the cheek: R − √(2Rc − c²), R %s, c %s of"
                .formatted(show(c), show(reach), show(r), show(c))
            + " radial oil clearance%s; the shell's edge stands (rod − shell)/2 = %s from it"
                .formatted(known ? "" : " (least of the band)", show(edge));
    boolean touches = edge < reach;
    list.add(
        "fillet_fit",
        label,
        touches ? BAD : edge < reach + 0.15e-3 ? CLOSE : GOOD,
        touches
            ? "the shell rides the fillet by %s: chamfer or narrow it".formatted(show(reach - edge))
            : "clear by %s".formatted(show(edge - reach)),
        working);
  }

  private void pin(String part, Given bore) {
    String name = part + "_pin_fit";
    String label = "Pin in the " + part;
    if (!f.pin().isKnown() || !bore.isKnown()) {
      list.unknown(name, label, "the pin and the %s's bore for it".formatted(part));
      return;
    }
    double clearance = bore.si() - f.pin().si();
    boolean rod = part.equals("rod");
    String working =
        "bore − pin = %s − %s; floating %s to %s%s (%s)"
            .formatted(
                show(bore.si()),
                show(f.pin().si()),
                show(PIN_LEAST),
                show(PIN_MOST),
                rod ? ", pressed %s to %s".formatted(show(PRESS_LEAST), show(PRESS_MOST)) : "",
                CheckList.PRACTICE);
    if (rod && clearance <= -PRESS_LEAST && clearance >= -PRESS_MOST) {
      list.add(name, label, GOOD, "pressed by " + show(-clearance), working);
      return;
    }
    boolean fits = clearance >= PIN_LEAST && clearance <= PIN_MOST;
    String says =
        fits
            ? "floats with " + show(clearance)
            : clearance > PIN_MOST
                ? "%s loose: bush it or change the pin".formatted(show(clearance))
                : "does not go in by %s: hone the bore".formatted(show(PIN_LEAST - clearance));
    list.add(name, label, fits ? GOOD : BAD, says, working);
  }

  private void skirt() {
    String label = "Skirt over counterweight";
    if (!f.counterweightRadius().isKnown() || !f.skirtBelowPin().isKnown()) {
      list.unknown("skirt_fit", label, "the counterweight's radius and the skirt below the pin");
      return;
    }
    double clear =
        b.rodLength().si()
            - b.stroke().si() / 2
            - f.skirtBelowPin().si()
            - f.counterweightRadius().si();
    list.add(
        "skirt_fit",
        label,
        clear < SKIRT ? BAD : clear < SKIRT + SKIRT_CLOSE ? CLOSE : GOOD,
        clear < 0
            ? "they meet by %s at bottom centre".formatted(show(-clear))
            : "%s apart at bottom centre".formatted(show(clear)),
        "rod − throw − skirt below pin − counterweight = %s − %s − %s − %s; at least %s (%s)"
            .formatted(
                show(b.rodLength().si()),
                show(b.stroke().si() / 2),
                show(f.skirtBelowPin().si()),
                show(f.counterweightRadius().si()),
                show(SKIRT),
                CheckList.PRACTICE));
  }
}
