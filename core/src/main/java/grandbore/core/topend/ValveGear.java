package grandbore.core.topend;

import static grandbore.core.checks.Check.Verdict.BAD;
import static grandbore.core.checks.Check.Verdict.CLOSE;
import static grandbore.core.checks.Check.Verdict.GOOD;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.CheckList;
import grandbore.core.clearances.Bands;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.Lobe;
import grandbore.core.valvetrain.LobeShape;
import grandbore.core.valvetrain.PistonToValve;
import grandbore.core.valvetrain.RockerSweep;
import grandbore.core.valvetrain.ValveMotion;
import java.util.List;

/**
 * Whether springs, retainers, rockers, pistons and lobes leave each other room, and float speed.
 */
public final class ValveGear {
  private static final double INCH = Measure.INCHES.toSi(1);
  private static final double RETAINER = 0.050 * INCH;
  private static final double RADIAL_STREET = 0.050 * INCH;
  private static final double RADIAL_RACE = 0.040 * INCH;
  private static final double CLOSE_BY = 0.015 * INCH;

  /** A wipe pattern wider than this over the stem is called wide; common practice, no source. */
  private static final double WIPE = 0.080 * INCH;

  /** Smaller noses than this wear; common practice, no source. */
  private static final double NOSE = 0.200 * INCH;

  private static final double SLOWEST = 150;

  private final Build build;
  private final Combination c;
  private final CheckList list;
  private final boolean race;

  private ValveGear(Build build) {
    this.build = build;
    c = build.combination();
    list = new CheckList(build.units());
    race = Bands.isRace(build.application());
  }

  /** Piston to valve: depth through the overlap and room around the valve. */
  public static List<Check> pistonToValve(Build build) {
    var g = new ValveGear(build);
    var h = g.c.heads();
    var gear = g.c.valveHardware();
    g.depth("intake", h.intakeRecess(), g.race ? 0.080 : 0.100);
    g.radial("intake", gear.intakePocketWidth(), h.intakeValve());
    g.depth("exhaust", h.exhaustRecess(), g.race ? 0.100 : 0.120);
    g.radial("exhaust", gear.exhaustPocketWidth(), h.exhaustValve());
    return g.list.checks();
  }

  /** Springs: room at full lift, and the speed up to which the valves follow. */
  public static List<Check> springs(Build build) {
    var g = new ValveGear(build);
    g.bind();
    g.retainer();
    g.follow();
    return g.list.checks();
  }

  /** Rocker's wipe and lobes' noses. */
  public static List<Check> rockerAndLobes(Build build) {
    var g = new ValveGear(build);
    g.wipe();
    g.nose("intake", Lobe.intake(g.c));
    g.nose("exhaust", Lobe.exhaust(g.c));
    return g.list.checks();
  }

  private String show(double si) {
    return list.show(Quantity.CLEARANCE, si);
  }

  private void room(
      String name, String label, double has, double least, String where, String working) {
    list.add(
        name,
        label,
        has < least ? BAD : has < least + CLOSE_BY ? CLOSE : GOOD,
        has < 0 ? "they meet by %s%s".formatted(show(-has), where) : show(has) + where,
        working + "; at least " + show(least) + " (" + CheckList.PRACTICE + ")",
        has / least - 1);
  }

  private void depth(String side, Given recess, double inches) {
    String name = side + "_to_piston";
    String label = "Piston to %s valve, depth".formatted(side);
    if (!recess.isKnown()) {
      list.unknown(name, label, "how far the shut %s valve stands above the deck".formatted(side));
      return;
    }
    boolean in = side.equals("intake");
    var closest = (in ? PistonToValve.intake(c) : PistonToValve.exhaust(c)).closest();
    room(
        name,
        label,
        closest.clearance(),
        inches * INCH,
        " at %.0f° %s top"
            .formatted(
                Math.abs(Math.toDegrees(closest.angle())),
                closest.angle() < 0 ? "before" : "after"),
        "along the stem, lash taken up: (valve above deck + gasket + deck + pocket + piston's"
            + " depth) ÷ cos(valve angle) − lift, the least over the overlap; aluminium rods and"
            + " high speeds ask for 0.030 in more");
  }

  private void radial(String side, Given pocket, Given valve) {
    String name = side + "_pocket";
    String label = "%s valve in its pocket".formatted(side.equals("intake") ? "Intake" : "Exhaust");
    if (!pocket.isKnown()) {
      list.unknown(name, label, "the width of the %s pocket".formatted(side));
      return;
    }
    double has = 0.5 * (pocket.si() - valve.si()) - c.valveHardware().pocketOff().si();
    room(
        name,
        label,
        has,
        race ? RADIAL_RACE : RADIAL_STREET,
        " around",
        "(pocket − valve)/2 − how far they are off each other = (%s − %s)/2 − %s"
            .formatted(
                show(pocket.si()), show(valve.si()), show(c.valveHardware().pocketOff().si())));
  }

  private double highest() {
    return Math.max(c.intakeLift(), c.exhaustLift());
  }

  private void bind() {
    var gear = c.valveHardware();
    if (!gear.installedHeight().isKnown() || !gear.coilBind().isKnown()) {
      list.unknown("coil_bind", "Coil bind", "installed height and coil-bind height");
      return;
    }
    double has = gear.installedHeight().si() - gear.coilBind().si() - highest();
    room(
        "coil_bind",
        "Coil bind",
        has,
        (race ? 0.050 : 0.060) * INCH,
        " left at full lift",
        "installed height − coil bind − lift = %s − %s − %s; a shim takes its own thickness of it"
            .formatted(
                show(gear.installedHeight().si()), show(gear.coilBind().si()), show(highest())));
  }

  private void retainer() {
    var gear = c.valveHardware();
    if (!gear.retainerRoom().isKnown()) {
      list.unknown("retainer_room", "Retainer to seal", "retainer to seal, valve shut");
      return;
    }
    room(
        "retainer_room",
        "Retainer to seal",
        gear.retainerRoom().si() - highest(),
        RETAINER,
        " left at full lift",
        "room with the valve shut − lift = %s − %s"
            .formatted(show(gear.retainerRoom().si()), show(highest())));
  }

  /** Speed up to which both valves follow, rad/s. */
  public static double follows(Combination c, double most) {
    return Math.min(
        ValveMotion.intake(c).floatSpeed(SLOWEST, most),
        ValveMotion.exhaust(c).floatSpeed(SLOWEST, most));
  }

  /** With a shim of the worksheet's thickness under the springs. */
  public static Combination shimmed(Combination c) {
    var seat = c.valveTrain().springSeat();
    double more = c.valveTrain().springRate().si() * c.worksheet().shim().si();
    return c.with("valveTrain.springSeat", seat.with(seat.si() + more, seat.provenance()));
  }

  /** With valves lighter by the worksheet's mass. */
  public static Combination lightened(Combination c) {
    double less = c.worksheet().lighter().si();
    var in = c.valveTrain().intakeMass();
    var out = c.valveTrain().exhaustMass();
    return c.with("valveTrain.intakeMass", in.with(in.si() - less, in.provenance()))
        .with("valveTrain.exhaustMass", out.with(out.si() - less, out.provenance()));
  }

  private void follow() {
    double top = Math.max(Measure.RPM.toSi(build.speeds().to()), c.brief().bandTo().si());
    double most = 1.6 * top;
    double now = follows(c, most);
    String limit = now >= most ? "beyond " : "up to ";
    list.add(
        "valves_follow",
        "Valves follow",
        now < top ? BAD : now < 1.05 * top ? CLOSE : GOOD,
        limit + list.show(Quantity.ROTATION, now),
        "one degree of freedom: the train's stiffness, the valve's mass and its spring (see the"
            + " model document); highest speed "
            + list.show(Quantity.ROTATION, top),
        now / top - 1);
    double shim = follows(shimmed(c), most);
    list.add(
        "follow_shimmed",
        "with a shim of " + show(c.worksheet().shim().si()),
        shim < top ? BAD : GOOD,
        (shim >= most ? "beyond " : "up to ") + list.show(Quantity.ROTATION, shim),
        "seat force up by rate × shim = %s"
            .formatted(
                list.show(
                    Quantity.FORCE, c.valveTrain().springRate().si() * c.worksheet().shim().si())));
    double light = follows(lightened(c), most);
    list.add(
        "follow_lightened",
        "with %s less on each".formatted(list.show(Quantity.MASS, c.worksheet().lighter().si())),
        light < top ? BAD : GOOD,
        (light >= most ? "beyond " : "up to ") + list.show(Quantity.ROTATION, light),
        "the moving mass down by what a titanium retainer or a lighter valve saves");
  }

  private void wipe() {
    var gear = c.valveHardware();
    if (!gear.rockerArm().isKnown()) {
      list.unknown("rocker_wipe", "Rocker's pattern", "the rocker arm from pivot to tip");
      return;
    }
    var sweep = new RockerSweep(gear.rockerArm().si(), gear.tipRise().si(), c.intakeLift());
    double width = sweep.width();
    double least = new RockerSweep(sweep.arm(), sweep.narrowest(), sweep.lift()).width();
    double push = sweep.pushrod(c.valveTrain().intakeRocker().si());
    boolean wide = width > WIPE || width > 0.35 * gear.stem().si();
    list.add(
        "rocker_wipe",
        "Rocker's pattern",
        wide ? BAD : width > 2 * least + 0.1e-3 ? CLOSE : GOOD,
        "%s wide; the narrowest is %s%s"
            .formatted(
                show(width),
                show(least),
                Math.abs(push) < 0.1e-3
                    ? ""
                    : ", with pushrods %s %s"
                        .formatted(show(Math.abs(push)), push > 0 ? "longer" : "shorter")),
        "arm × cos of its angle from shut to full lift; narrowest where the arm is square to the"
            + " stem at half lift (geometry); on a stem of "
            + show(gear.stem().si()));
  }

  private void nose(String side, Lobe lobe) {
    var gear = c.valveHardware();
    boolean flat = c.valveTrain().follower().isFlat();
    double roller = flat ? 0 : 0.5 * gear.roller().si();
    double radius = new LobeShape(lobe).noseRadius(0.5 * gear.baseCircle().si(), roller);
    list.add(
        side + "_nose",
        "Nose radius, " + side,
        radius < 0 ? BAD : radius < NOSE ? CLOSE : GOOD,
        radius < 0 ? "the lobe comes to a point: a larger base circle" : show(radius),
        "base circle %s, %s; below %s a nose wears (%s)"
            .formatted(
                show(gear.baseCircle().si()),
                flat ? "flat follower" : "roller " + show(gear.roller().si()),
                show(NOSE),
                CheckList.PRACTICE));
  }
}
