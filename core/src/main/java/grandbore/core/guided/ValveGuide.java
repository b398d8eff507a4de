package grandbore.core.guided;

import static grandbore.core.units.Quantity.CLEARANCE;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.valvetrain.PistonToValve;
import grandbore.core.valvetrain.RockerSweep;
import java.util.List;

/** Valves against pistons, springs and rockers. */
record ValveGuide(Routine routine, Build build, int place, Side side) implements Guide {
  private static final double APART = 0.5e-3;
  private static final double OFF_MIDDLE = 0.6e-3;

  private boolean intake() {
    return side == Side.INTAKE;
  }

  @Override
  public List<Step> steps() {
    String word = intake() ? "after" : "before";
    return switch (routine) {
      case VALVE_BY_SPRING ->
          List.of(
              Step.act(
                  "spring", "Checking spring on, lash taken out, gasket as it will be fitted."),
              Step.read(
                  "at5",
                  "At 5° %s top: press the valve onto the piston. How far?".formatted(word),
                  CLEARANCE,
                  "dial"),
              Step.read("at10", "The same at 10° %s top.".formatted(word), CLEARANCE, "dial"),
              Step.read("at15", "The same at 15° %s top.".formatted(word), CLEARANCE, "dial"),
              Step.read("at20", "The same at 20° %s top.".formatted(word), CLEARANCE, "dial"));
      case VALVE_BY_CLAY ->
          List.of(
              Step.act("clay", "Clay in the oiled pocket, head on with its gasket, cam timed."),
              Step.act("turn", "Two turns by hand, gently. Head off, cut the clay through."),
              Step.read("thin", "Thinnest under the head of the valve.", CLEARANCE, "caliper"),
              Step.read("rim", "Thinnest beside its edge.", CLEARANCE, "caliper"));
      case INSTALLED_HEIGHT ->
          List.of(
              Step.act("fit", "Retainer and locks on without the spring; pull them home."),
              Step.read(
                  "height", "From the spring's seat to the retainer's.", CLEARANCE, "caliper"));
      case COIL_BIND ->
          List.of(
              Step.act("press", "On the tester, until every coil of every spring touches."),
              Step.read("bind", "Height at bind.", CLEARANCE, "caliper"),
              Step.read("height", "Installed height of this valve.", CLEARANCE, "caliper"));
      default ->
          List.of(
              Step.act("mark", "Ink on the stem's tip, lash set, two turns by hand."),
              Step.read("width", "Width of the wiped mark along the rocker.", CLEARANCE, "caliper"),
              Step.read(
                  "off", "How far its middle lies off the stem's middle.", CLEARANCE, "caliper"));
    };
  }

  @Override
  public Outcome conclude(Answers a) {
    var out = new Outcome();
    switch (routine) {
      case VALVE_BY_SPRING -> spring(a, out);
      case VALVE_BY_CLAY -> clay(a, out);
      case INSTALLED_HEIGHT -> height(a, out);
      case COIL_BIND -> bind(a, out);
      default -> rocker(a, out);
    }
    return out;
  }

  private String show(double si) {
    return Guide.length(build, si);
  }

  private void spring(Answers a, Outcome out) {
    String least = null;
    int read = 0;
    for (var key : List.of("at5", "at10", "at15", "at20")) {
      if (a.has(key)) {
        read++;
        least = least == null || a.at(key) < a.at(least) ? key : least;
      }
    }
    if (least == null) {
      return;
    }
    if (read < 3) {
      out.say("Read at least three angles: the closest has to be seen from both sides.");
      return;
    }
    out.say(
        "Closest %s at %s° %s top.",
        show(a.at(least)), least.substring(2), intake() ? "after" : "before");
    if (least.equals("at20") || least.equals("at5")) {
      out.fault(
          "The closest is the last that was read: go on %s, until it grows again.",
          least.equals("at20") ? "further from top" : "nearer to top and past it");
    }
    out.book(Measurement.VALVE_TO_PISTON, place, side, a.at(least));
  }

  private void clay(Answers a, Outcome out) {
    if (!a.has("thin")) {
      return;
    }
    out.say("Depth %s.", show(a.at("thin")));
    var c = build.combination();
    var recess = intake() ? c.heads().intakeRecess() : c.heads().exhaustRecess();
    if (recess.isKnown()) {
      double by =
          a.at("thin")
              - (intake() ? PistonToValve.intake(c) : PistonToValve.exhaust(c))
                  .closest()
                  .clearance();
      if (Math.abs(by) > APART) {
        out.fault(
            "%s %s than the sizes and this timing give: gasket, timing or pocket are not what is"
                + " entered.",
            show(Math.abs(by)), by > 0 ? "more" : "less");
      }
    }
    out.book(Measurement.VALVE_TO_PISTON, place, side, a.at("thin"));
    if (a.has("rim")) {
      out.say("Beside the edge %s.", show(a.at("rim")));
      out.book(Measurement.VALVE_POCKET, place, side, a.at("rim"));
    }
  }

  private void height(Answers a, Outcome out) {
    if (!a.has("height")) {
      return;
    }
    var gear = build.combination().valveHardware();
    out.say("Installed height %s.", show(a.at("height")));
    if (gear.installedHeight().isKnown()) {
      double over = a.at("height") - gear.installedHeight().si();
      out.say(
          over > 0
              ? "Shims of %s bring it to the spring sheet's."
              : "%s less than the spring sheet's.",
          show(Math.abs(over)));
      if (Math.abs(over) > 3e-3) {
        out.fault("%s off the sheet's: measured to the retainer's edge?", show(Math.abs(over)));
      }
    }
    out.book(Measurement.INSTALLED_HEIGHT, place, side, a.at("height"));
  }

  private void bind(Answers a, Outcome out) {
    if (!a.has("bind", "height")) {
      return;
    }
    var c = build.combination();
    double lift = intake() ? c.intakeLift() : c.exhaustLift();
    double margin = a.at("height") - a.at("bind") - lift;
    if (margin < 0) {
      out.fault(
          "They bind %s before full lift: another spring, or less lift. Do not turn it over.",
          show(-margin));
      return;
    }
    out.say("%s left at %s of lift.", show(margin), show(lift));
    out.book(Measurement.COIL_BIND, place, side, margin);
    out.input("valveHardware.coilBind", a.at("bind"));
  }

  private void rocker(Answers a, Outcome out) {
    if (!a.has("width")) {
      return;
    }
    var c = build.combination();
    out.say("The mark is %s wide.", show(a.at("width")));
    double lift = intake() ? c.intakeLift() : c.exhaustLift();
    if (c.valveHardware().rockerArm().isKnown()) {
      var sweep = new RockerSweep(c.valveHardware().rockerArm().si(), 0, lift);
      double least = new RockerSweep(sweep.arm(), sweep.narrowest(), lift).width();
      out.say("The narrowest that this rocker and lift can wipe is %s.", show(least));
      if (a.at("width") > 2 * least + 0.2e-3) {
        out.fault("Twice the least or more: another pushrod length, then ink again.");
      }
      if (a.at("width") < 0.8 * least) {
        out.fault("Narrower than geometry allows: the ink did not take, or the lash was open.");
      }
    }
    if (a.has("off") && Math.abs(a.at("off")) > OFF_MIDDLE) {
      out.fault(
          "%s off the middle: move the rocker's stand, not the pushrod, once the width is least.",
          show(Math.abs(a.at("off"))));
    }
  }
}
