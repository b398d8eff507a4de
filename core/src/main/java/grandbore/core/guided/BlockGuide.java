package grandbore.core.guided;

import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.VOLUME;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.units.Quantity;
import java.util.List;

/** Deck, chamber, dome, rings and bearings. */
record BlockGuide(Routine routine, Build build, int place, Subject subject) implements Guide {
  private static final double ZERO_MOVES = 0.01e-3;
  private static final double ROCKS = 0.5e-3;
  private static final double FILL_REPEATS = 0.5e-6;
  private static final double PLUG_LEAST = 1.2e-6;
  private static final double PLUG_MOST = 7e-6;
  private static final double GAP_REPEATS = 0.03e-3;
  private static final double ROUND = 0.013e-3;
  private static final double TAPER = 0.013e-3;

  @Override
  public List<Step> steps() {
    return switch (routine) {
      case DECK ->
          List.of(
              Step.read(
                  "zero", "Indicator on the deck: set it to zero, read it.", CLEARANCE, "dial"),
              Step.read(
                  "thrust",
                  "Piston at top; on the crown over the thrust side, in line with no pin.",
                  CLEARANCE,
                  "dial"),
              Step.read("opposite", "The same on the anti-thrust side.", CLEARANCE, "dial"),
              Step.read("after", "Back on the deck: read the zero again.", CLEARANCE, "dial"));
      case CHAMBER ->
          List.of(
              Step.act("seal", "Plug in, valves in and greased, plate on with its hole highest."),
              Step.read("first", "Fill from the burette. Read what it let out.", VOLUME, "burette"),
              Step.read(
                  "refill",
                  "Refilled on the way? Read what the second filling let out; else 0.",
                  VOLUME,
                  "burette"),
              Step.read(
                  "again", "Dry it and fill it once more. Read the whole.", VOLUME, "burette"));
      case DOME ->
          List.of(
              Step.act("seal", "Top ring greased to the bore, plate on the deck."),
              Step.read("depth", "Piston down from the deck by how much?", CLEARANCE, "dial"),
              Step.read(
                  "poured",
                  "Fill to the plate. Read what the burette let out.",
                  VOLUME,
                  "burette"));
      case RING_GAP ->
          List.of(
              Step.act("square", "Ring in its own bore, squared with a piston's crown."),
              Step.read("gap", "Feeler in the gap.", CLEARANCE, ""),
              Step.read(
                  "lower",
                  "Push it 25 mm (1 in) down, square again. Feeler in the gap.",
                  CLEARANCE,
                  ""));
      case BEARING_BY_GAUGE ->
          List.of(
              Step.act("torque", "Shells in dry, cap at its torque."),
              Step.read("bore", "Bore across the split's right angle.", CLEARANCE, "caliper"),
              Step.read("aside", "Bore 30° to one side of that.", CLEARANCE, "caliper"),
              Step.read("journal", "Journal, first diameter.", CLEARANCE, "caliper"),
              Step.read("turned", "Journal, turned by 90°.", CLEARANCE, "caliper"));
      default ->
          List.of(
              Step.act("dry", "Journal and shell wiped dry; the strip along the journal."),
              Step.act("torque", "Cap on, at its torque by stages. Do not turn the crank."),
              Step.read(
                  "middle",
                  "Cap off. Widest against the scale: clearance in the middle.",
                  CLEARANCE,
                  ""),
              Step.read("edge", "The same at the strip's narrow end.", CLEARANCE, ""));
    };
  }

  @Override
  public Outcome conclude(Answers a) {
    var out = new Outcome();
    switch (routine) {
      case DECK -> deck(a, out);
      case CHAMBER -> chamber(a, out);
      case DOME -> dome(a, out);
      case RING_GAP -> gap(a, out);
      case BEARING_BY_GAUGE -> gauge(a, out);
      default -> strip(a, out);
    }
    return out;
  }

  private String show(double si) {
    return Guide.length(build, si);
  }

  private void deck(Answers a, Outcome out) {
    if (a.has("after") && Math.abs(a.at("after") - a.orZero("zero")) > ZERO_MOVES) {
      out.fault(
          "The zero moved by %s: a loose base. Zero it and read both sides again.",
          show(Math.abs(a.at("after") - a.orZero("zero"))));
    }
    if (a.has("thrust") != a.has("opposite")) {
      out.say("One side alone says nothing: the piston rocks.");
    }
    if (!a.has("thrust", "opposite")) {
      return;
    }
    double thrust = a.at("thrust") - a.orZero("zero");
    double opposite = a.at("opposite") - a.orZero("zero");
    if (Math.abs(thrust - opposite) > ROCKS) {
      out.fault(
          "The sides differ by %s, more than a piston rocks: not at top, or dirt on the crown.",
          show(Math.abs(thrust - opposite)));
    }
    out.say("Deck clearance %s, rock taken out by the mean.", show(0.5 * (thrust + opposite)));
    out.book(Measurement.DECK, place, Side.THRUST, thrust);
    out.book(Measurement.DECK, place, Side.OPPOSITE, opposite);
  }

  private String cc(double si) {
    return Quantity.VOLUME.show(si, build.units());
  }

  private void chamber(Answers a, Outcome out) {
    if (!a.has("first")) {
      return;
    }
    double whole = a.at("first") + a.orZero("refill");
    double by = whole - build.combination().compression().chamberVolume().si();
    out.say("Chamber %s.", cc(whole));
    if (by > PLUG_LEAST && by < PLUG_MOST) {
      out.fault("%s more than specified, about a plug's thread: is the plug in?", cc(by));
    }
    if (a.has("again") && Math.abs(a.at("again") - whole) > FILL_REPEATS) {
      out.fault(
          "The second filling differs by %s: air under the plate, or a valve that leaks.",
          cc(Math.abs(a.at("again") - whole)));
    }
    out.book(Measurement.CHAMBER, place, Side.NONE, whole);
    if (a.has("again")) {
      out.book(Measurement.CHAMBER, place, Side.NONE, a.at("again"));
    }
  }

  private void dome(Answers a, Outcome out) {
    if (!a.has("depth", "poured")) {
      return;
    }
    double plain = build.combination().bottomEnd().boreArea() * a.at("depth");
    double dish = a.at("poured") - plain;
    out.say(
        "%s of %s: poured %s, a flat top would take %s.",
        dish >= 0 ? "Dish" : "Dome", cc(Math.abs(dish)), cc(a.at("poured")), cc(plain));
    if (dish < 0 && a.at("depth") < 2e-3) {
      out.fault("A dome stands above the deck at that depth: set the piston lower and fill again.");
    }
    out.input("compression.pistonVolume", dish);
  }

  private void gap(Answers a, Outcome out) {
    if (!a.has("gap")) {
      return;
    }
    out.say("Gap %s.", show(a.at("gap")));
    if (a.has("lower") && Math.abs(a.at("lower") - a.at("gap")) > GAP_REPEATS) {
      out.fault(
          "%s otherwise lower down: the ring is not square, or the bore is %s tapered.",
          show(Math.abs(a.at("lower") - a.at("gap"))),
          show(Math.abs(a.at("lower") - a.at("gap")) / Math.PI));
    }
    out.book(
        Routine.RING_GAP.measurement(subject).orElseThrow(),
        place,
        Side.NONE,
        a.has("lower") ? Math.min(a.at("gap"), a.at("lower")) : a.at("gap"));
  }

  private void gauge(Answers a, Outcome out) {
    if (!a.has("bore", "journal")) {
      return;
    }
    double journal = a.has("turned") ? Math.max(a.at("journal"), a.at("turned")) : a.at("journal");
    out.say("Clearance %s.", show(a.at("bore") - journal));
    if (a.has("aside") && Math.abs(a.at("aside") - a.at("bore")) > ROUND) {
      out.fault(
          "Bore %s out of round: a cap turned or of another place, or not at its torque.",
          show(Math.abs(a.at("aside") - a.at("bore"))));
    }
    if (a.has("turned") && Math.abs(a.at("turned") - a.at("journal")) > ROUND) {
      out.fault(
          "Journal %s oval: it is ground or changed before anything else.",
          show(Math.abs(a.at("turned") - a.at("journal"))));
    }
    if (a.at("bore") < journal) {
      out.fault("The bore is smaller than the journal: one of them is misread.");
      return;
    }
    boolean rod = subject == Subject.ROD;
    out.book(rod ? Measurement.ROD_BORE : Measurement.MAIN_BORE, place, Side.NONE, a.at("bore"));
    out.book(rod ? Measurement.ROD_JOURNAL : Measurement.MAIN_JOURNAL, place, Side.NONE, journal);
  }

  private void strip(Answers a, Outcome out) {
    if (!a.has("middle")) {
      return;
    }
    out.say("Clearance %s.", show(a.at("middle")));
    if (a.has("edge") && Math.abs(a.at("edge") - a.at("middle")) > TAPER) {
      out.fault(
          "%s otherwise at its end: a tapered journal, a crooked cap, or the crank was turned.",
          show(Math.abs(a.at("edge") - a.at("middle"))));
    }
    out.book(
        Routine.BEARING_BY_STRIP.measurement(subject).orElseThrow(),
        place,
        Side.NONE,
        a.at("middle"));
  }
}
