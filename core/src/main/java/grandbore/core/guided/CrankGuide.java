package grandbore.core.guided;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.CLEARANCE;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Degreed;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.topend.Degreeing;
import java.util.List;
import java.util.Map;

/** Top centre, the cam, and the crank's end play. */
record CrankGuide(Routine routine, Build build, Subject subject) implements Guide {
  /** A wheel is read to half a degree. */
  private static final double HALF = Math.toRadians(0.5);

  private static final double TOO_CLOSE = Math.toRadians(12);
  private static final double PLAY_REPEATS = 0.02e-3;

  @Override
  public List<Step> steps() {
    return switch (routine) {
      case TOP_BY_STOP ->
          List.of(
              Step.act("fit", "Piston of cylinder 1 well down; screw the stop into the plug hole."),
              Step.read(
                  "forward",
                  "Turn forward gently until it touches. Read the wheel.",
                  ANGLE,
                  "encoder"),
              Step.read(
                  "back",
                  "Turn back all the way until it touches again. Read the wheel.",
                  ANGLE,
                  "encoder"),
              Step.read(
                  "again",
                  "Once more forward until it touches. Read the wheel.",
                  ANGLE,
                  "encoder"));
      case TOP_BY_DWELL ->
          List.of(
              Step.act("set", "Indicator on the crown, at its highest set to zero."),
              Step.act("down", "Turn back a quarter turn, then only forward from here on."),
              Step.forward(
                  "rise",
                  "Come up until the piston is 1.25 mm (0.050 in) down. Read the wheel.",
                  ANGLE,
                  "encoder"),
              Step.forward(
                  "fall",
                  "Go on over the top until it is as far down again. Read the wheel.",
                  ANGLE,
                  "encoder"));
      case DEGREE -> DegreeSteps.of(subject);
      default ->
          List.of(
              Step.act("seat", "Knock the crank back and forth so that the thrust faces align."),
              Step.read(
                  "rear",
                  "Lever it to the rear. Read the indicator on its nose.",
                  CLEARANCE,
                  "dial"),
              Step.read("front", "Lever it to the front. Read again.", CLEARANCE, "dial"),
              Step.read("again", "To the rear once more. Read again.", CLEARANCE, "dial"));
    };
  }

  @Override
  public Outcome conclude(Answers a) {
    var out = new Outcome();
    switch (routine) {
      case TOP_BY_STOP -> stop(a, out);
      case TOP_BY_DWELL -> dwell(a, out);
      case DEGREE -> degree(a, out);
      default -> play(a, out);
    }
    return out;
  }

  private static void stop(Answers a, Outcome out) {
    if (!a.has("forward", "back")) {
      return;
    }
    double apart = Math.abs(a.at("forward") - a.at("back"));
    double top = 0.5 * (a.at("forward") + a.at("back"));
    if (apart < TOO_CLOSE) {
      out.fault("Both touches lie %s apart: a longer stop reads finer.", Guide.degrees(apart));
    }
    if (a.has("again") && Math.abs(a.at("again") - a.at("forward")) > HALF) {
      out.fault(
          "The same touch reads %s the second time: stop or wheel moved. Tighten both, again.",
          Guide.degrees(Math.abs(a.at("again") - a.at("forward"))));
    }
    sayTop(top, out);
  }

  private static void sayTop(double top, Outcome out) {
    out.say(
        Math.abs(top) <= HALF
            ? "Top centre is where the wheel says, within half a degree."
            : "Top centre is where the wheel reads %s: turn the wheel by %s, then check again.",
        Guide.degrees(top),
        Guide.degrees(-top));
  }

  private void dwell(Answers a, Outcome out) {
    for (var key : List.of("rise", "fall")) {
      if (a.turnedBack(key)) {
        out.fault("It was read after turning back: go two more turns and come up forward.");
      }
    }
    if (!a.has("rise", "fall")) {
      return;
    }
    double top = 0.5 * (a.at("rise") + a.at("fall"));
    sayTop(top, out);
    double off = build.combination().bottomEnd().crank().topAngle();
    if (Math.abs(off) > Math.toRadians(0.05)) {
      out.say(
          "With this pin offset the piston is highest %s off the crank's own top.",
          Guide.degrees(Math.abs(off)));
    }
  }

  private void degree(Answers a, Outcome out) {
    for (var key : List.of("opens", "rise", "fall", "closes")) {
      if (a.turnedBack(key)) {
        out.fault(
            "“%s” was read after turning back through the play: go on two more turns, read it"
                + " again.",
            key);
      }
    }
    double top = a.orZero("top");
    if (Math.abs(top) > Math.toRadians(20)) {
      out.fault("The wheel reads %s at top centre: set it first.", Guide.degrees(top));
      return;
    }
    // Before a centre and after it are read off the same wheel, off by the same amount.
    // What was read another time does not mix with what is read now.
    var old = build.combination().degreed();
    var c =
        build
            .combination()
            .with(
                Specs.make(
                    Degreed.class,
                    Map.of("wanted", old.wanted(), "exhaustWanted", old.exhaustWanted())));
    boolean intake = subject == Subject.INTAKE;
    String side = intake ? "degreed.intake" : "degreed.exhaust";
    // All of the exhaust but its closing is counted before a centre, of the intake its opening.
    double peak = intake ? -top : top;
    c = put(c, out, a, "opens", side + "Opens", top);
    c = put(c, out, a, "closes", side + "Closes", -top);
    c = put(c, out, a, "rise", side + "Rise", peak);
    c = put(c, out, a, "fall", side + "Fall", peak);
    c = put(c, out, a, "back", side + "Back", top);
    if (c == null) {
      return;
    }
    for (var check : Degreeing.of(build.with(c), intake)) {
      String line = check.label() + ": " + check.says() + ".";
      if (check.verdict() == Check.Verdict.BAD) {
        out.fault("%s", line);
      } else {
        out.say("%s", line);
      }
    }
  }

  private static Combination put(
      Combination c, Outcome out, Answers a, String key, String path, double shift) {
    if (c == null || !a.has(key)) {
      return c;
    }
    var field = Specs.field(path);
    double value = a.at(key) + shift;
    if (value < field.spec().min() || value > field.spec().max()) {
      out.fault(
          "“%s” reads %s; %s to %s is possible: it was counted from the wrong centre.",
          key,
          Guide.degrees(value),
          Guide.degrees(field.spec().min()),
          Guide.degrees(field.spec().max()));
      return null;
    }
    Given old = field.get(c);
    out.input(path, value);
    return field.with(c, old.with(value, Provenance.MEASURED));
  }

  private void play(Answers a, Outcome out) {
    if (!a.has("rear", "front")) {
      return;
    }
    double play = Math.abs(a.at("front") - a.at("rear"));
    out.say("End play %s.", Guide.length(build, play));
    if (a.has("again") && Math.abs(a.at("again") - a.at("rear")) > PLAY_REPEATS) {
      out.fault(
          "The rear reads %s otherwise the second time: thrust shells not seated, or a loose base.",
          Guide.length(build, Math.abs(a.at("again") - a.at("rear"))));
    }
    out.book(Measurement.CRANK_END_PLAY, 1, Side.NONE, play);
  }
}
