package grandbore.core.clearances;

import grandbore.core.clearances.Reading.Side;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.core.valvetrain.RockerSweep;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/** What to do about what was read, each with how much; then it is read again. */
public final class ToDo {
  /**
   * @param words what, how much, and what then
   */
  public record Task(Measurement measurement, int place, Side side, String words) {}

  /** A plug's thread, m a turn; M14 × 1.25, the usual one. */
  private static final double PLUG_PITCH = 1.25e-3;

  private static final double HALF_SHELL = Measure.INCHES.toSi(0.0005);

  private final Ledger ledger;
  private final UnitSystem units;
  private final List<Task> tasks = new ArrayList<>();

  private ToDo(Ledger ledger, UnitSystem units) {
    this.ledger = ledger;
    this.units = units;
  }

  /** In the book's order. */
  public static List<Task> of(Ledger ledger, UnitSystem units) {
    var t = new ToDo(ledger, units);
    for (var m : Measurement.values()) {
      for (var side : m.valueSides()) {
        t.over(m, side);
      }
    }
    return t.tasks;
  }

  private String show(double si) {
    return Quantity.CLEARANCE.show(si, units);
  }

  private void over(Measurement m, Side side) {
    switch (m) {
      case CHAMBER -> chambers();
      case DECK -> decks();
      case INSTALLED_HEIGHT -> heights(side);
      case PLUG_INDEX -> plugs();
      case PUSHROD -> pushrods(side);
      default ->
          ledger
              .band(m, side)
              .ifPresent(
                  band ->
                      ledger
                          .over(m, side)
                          .forEach(v -> outside(m, side, v.place(), v.value().si(), band)));
    }
  }

  private void add(Measurement m, int place, Side side, String words) {
    tasks.add(new Task(m, place, side, words));
  }

  private void outside(Measurement m, Side side, int place, double is, Band band) {
    var verdict = band.judge(is);
    if (!verdict.isOutside()) {
      return;
    }
    boolean tight = verdict == Band.Verdict.TIGHT;
    double by = Math.abs(band.aim() - is);
    String words =
        switch (m) {
          case TOP_RING_GAP, SECOND_RING_GAP ->
              tight
                  ? "file %s, square to the ends, take the burr off, measure again"
                      .formatted(show(band.least() - is))
                  : "another ring: filing only widens; %s over".formatted(show(is - band.most()));
          case MAIN_BEARING, ROD_BEARING -> shells(tight, by);
          case PISTON_WALL ->
              tight ? "hone %s".formatted(show(by)) : "a larger piston, by %s".formatted(show(by));
          case VALVE_TO_PISTON, VALVE_POCKET ->
              "%s more pocket, or other timing; then clay again".formatted(show(band.least() - is));
          case CRANK_END_PLAY, CAM_END_PLAY ->
              tight
                  ? "dress the thrust face by %s".formatted(show(by))
                  : "a thrust bearing or plate thicker by %s".formatted(show(by));
          case ROD_SIDE ->
              tight
                  ? "narrow the rods by %s together".formatted(show(by))
                  : "wider rods, or look" + " at the journal's cheeks";
          case COIL_BIND ->
              "%s too little: a spring with less bind, or less shim"
                  .formatted(show(band.least() - is));
          case RETAINER, ROCKER -> "relieve %s".formatted(show(band.least() - is));
          case LASH -> "set it by %s".formatted(show(by));
          case PLUG_TO_PISTON ->
              "a shorter reach or a washer of %s".formatted(show(band.least() - is));
          case VALVE_GUIDE -> tight ? "hone the guide by %s".formatted(show(by)) : "a new guide";
          case QUENCH ->
              tight
                  ? "a gasket %s thicker".formatted(show(by))
                  : "a gasket %s thinner, or the deck cut by as much; then the ratio again"
                      .formatted(show(by));
          case PUMP_END ->
              tight ? "a thicker gasket by %s".formatted(show(by)) : "lap the body by " + show(by);
          default -> "%s %s than wanted".formatted(show(by), tight ? "less" : "more");
        };
    add(m, place, side, words);
  }

  private String shells(boolean tight, double by) {
    long halves = Math.max(1, Math.round(by / HALF_SHELL));
    return halves <= 2
        ? "shells %s %s: %s"
            .formatted(
                show(HALF_SHELL * halves),
                tight ? "thinner" : "thicker",
                halves == 1 ? "one half shell of the next size" : "both halves of the next size")
        : tight
            ? "grind the journal by %s, or look for dirt behind the shell".formatted(show(by))
            : "undersize shells and the journal ground to them: %s too wide".formatted(show(by));
  }

  private void chambers() {
    var all = ledger.over(Measurement.CHAMBER, Side.NONE);
    var allowed = Bands.spreadAllowed(Measurement.CHAMBER, ledger.application());
    double most = all.stream().mapToDouble(v -> v.value().si()).max().orElse(0);
    for (var v : all) {
      double short0 = most - v.value().si();
      if (allowed.isPresent() && short0 > allowed.get() * 1.0001) {
        add(
            Measurement.CHAMBER,
            v.place(),
            Side.NONE,
            "open it by %s to even the largest".formatted(Quantity.VOLUME.show(short0, units)));
      }
    }
  }

  private void decks() {
    var all = ledger.over(Measurement.DECK, Side.THRUST);
    var allowed = Bands.spreadAllowed(Measurement.DECK, ledger.application());
    if (all.size() < 2 || allowed.isEmpty()) {
      return;
    }
    var values = Comparator.comparingDouble((Ledger.Placed v) -> v.value().si());
    var high = all.stream().min(values).orElseThrow();
    var low = all.stream().max(values).orElseThrow();
    double apart = low.value().si() - high.value().si();
    if (apart > allowed.get() * 1.0001) {
      add(
          Measurement.DECK,
          low.place(),
          Side.NONE,
          "%s lower than cylinder %d: even rods and pistons by swapping them, else cut the deck"
              .formatted(show(apart), high.place()));
    }
  }

  private void heights(Side side) {
    var gear = ledger.combination().valveHardware();
    if (!gear.installedHeight().isKnown()) {
      return;
    }
    for (var v : ledger.over(Measurement.INSTALLED_HEIGHT, side)) {
      double over = v.value().si() - gear.installedHeight().si();
      double force = ledger.combination().valveTrain().springRate().si() * over;
      if (over > 0.1e-3) {
        add(
            Measurement.INSTALLED_HEIGHT,
            v.place(),
            side,
            "shim %s: the seat is %s short"
                .formatted(show(over), Quantity.FORCE.show(force, units)));
      } else if (over < -0.25e-3) {
        add(
            Measurement.INSTALLED_HEIGHT,
            v.place(),
            side,
            "%s short: a shim out, or %s more on the seat"
                .formatted(show(-over), Quantity.FORCE.show(-force, units)));
      }
    }
  }

  /** The length that makes the rocker's pattern narrowest, by its arm and lift. */
  private void pushrods(Side side) {
    var c = ledger.combination();
    if (!c.valveHardware().rockerArm().isKnown()) {
      return;
    }
    boolean intake = side == Side.INTAKE;
    var sweep =
        new RockerSweep(
            c.valveHardware().rockerArm().si(),
            c.valveHardware().tipRise().si(),
            intake ? c.intakeLift() : c.exhaustLift());
    var rocker = intake ? c.valveTrain().intakeRocker() : c.valveTrain().exhaustRocker();
    double change = sweep.pushrod(rocker.si());
    for (var v : ledger.over(Measurement.PUSHROD, side)) {
      if (Math.abs(change) > 0.25e-3) {
        add(
            Measurement.PUSHROD,
            v.place(),
            side,
            "%s instead: %s %s makes the pattern narrowest; ink it again"
                .formatted(
                    show(v.value().si() + change),
                    show(Math.abs(change)),
                    change > 0 ? "longer" : "shorter"));
      }
    }
  }

  /** A washer that turns the plug's open side to its mark. */
  private void plugs() {
    for (var v : ledger.over(Measurement.PLUG_INDEX, Side.NONE)) {
      double turn = v.value().si();
      double thickness = PLUG_PITCH * turn / (2 * Math.PI);
      boolean there = turn < Math.toRadians(30) || turn > Math.toRadians(330);
      if (!there) {
        add(
            Measurement.PLUG_INDEX,
            v.place(),
            Side.NONE,
            String.format(
                Locale.ROOT,
                "a washer %s thicker, or swap it with another cylinder's plug",
                Quantity.CLEARANCE.show(PLUG_PITCH - thickness, units)));
      }
    }
  }
}
