package grandbore.instruments;

import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.Arrays;
import java.util.Locale;

/** The words that drive a rig, one command a line. */
public final class Console {
  /** What can be said. */
  public static final String HELP =
      """
      turn 10 | turn -5 | turn to 110      the crank, degrees by the wheel
      wheel 40                             sets the wheel to read that here
      stop 12 mm | stop out                a positive stop below top
      on piston [thrust|opposite] | on intake | on exhaust    the dial indicator
      part 2.4480 in                       what caliper or bore gauge is on
      fill 63.2 cc                         what the burette has let out
      spring 1.800 in                      the spring tester's height
      pull 65 lb·ft | leak 8 %             torque wrench, leak-down tester
      zero dial | send dial | read dial    or encoder, caliper, burette, tester, wrench, leak
      fault dial noise 0.01 mm | resolution 0.01 mm | backlash 0.05 mm | drift 0.002 mm
      fault dial loose 10 % | battery flat | battery good | none
      cam 3                                the cam is really that much late, degrees
      slack 4                              play of the cam drive, crank degrees
      """;

  /** How far a piston stands up on one side and down on the other, m. */
  private static final double ROCK = 0.13e-3;

  private static final double MOST_TURNED = Math.toRadians(7200) * (1 + 1e-9);

  /** A command is shorter, signs. */
  private static final int LONGEST = 200;

  private static final double PART = Math.toRadians(20);

  private final Rig rig;
  private final UnitSystem units;

  public Console(Rig rig, UnitSystem units) {
    this.rig = rig;
    this.units = units;
  }

  /** Does what a line says; gives its answer in words, or what can be said where it can't. */
  public String say(String line) {
    if (line.length() > LONGEST) {
      return "✕ a line of %d signs; %d at most".formatted(line.length(), LONGEST);
    }
    // Split first: some letters become two when they are made small.
    var words = line.strip().split("\\s+");
    String rest = line.strip().substring(words[0].length()).strip();
    for (int i = 0; i < words.length; i++) {
      words[i] = words[i].toLowerCase(Locale.ROOT);
    }
    try {
      return switch (words[0]) {
        case "", "help" -> HELP;
        case "turn" -> turn(rest);
        case "wheel" -> {
          rig.mockUp().setWheel(number(rest, Quantity.ANGLE));
          yield wheel();
        }
        case "stop" -> stop(rest);
        case "on" -> on(rest);
        case "part" -> put(Kind.CALIPER, rest);
        case "fill" -> put(Kind.BURETTE, rest);
        case "spring" -> spring(rest);
        case "pull" -> put(Kind.WRENCH, rest);
        case "leak" -> put(Kind.LEAK, rest);
        case "zero" -> {
          rig.sensor(kind(words)).zero();
          yield show(kind(words));
        }
        case "send" -> rig.send(kind(words)).typed();
        case "read" -> show(kind(words));
        case "fault" -> fault(words, rest);
        case "cam" -> {
          rig.mockUp().camError(number(rest, Quantity.ANGLE));
          yield "the cam is really there";
        }
        case "slack" -> {
          rig.mockUp().slack(number(rest, Quantity.ANGLE));
          yield "the drive has that play";
        }
        default -> "✕ “" + words[0] + "” is not understood; help lists what is";
      };
    } catch (IllegalArgumentException e) {
      return "✕ " + e.getMessage();
    }
  }

  private double number(String text, Quantity quantity) {
    return Entry.parse(text, quantity, units, 0);
  }

  private static Kind kind(String... words) {
    String word = words.length > 1 ? words[1] : "";
    return Arrays.stream(Kind.values())
        .filter(k -> k.word().equals(word))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "say which: "
                        + String.join(
                            ", ", Arrays.stream(Kind.values()).map(Kind::word).toList())));
  }

  /** Turns in parts, each of them told, so that whoever listens sees which way it goes. */
  private String turn(String rest) {
    var m = rig.mockUp();
    double left =
        rest.startsWith("to ")
            ? number(rest.substring(3), Quantity.ANGLE) - m.wheel()
            : number(rest, Quantity.ANGLE);
    if (!(Math.abs(left) <= MOST_TURNED)) {
      throw new IllegalArgumentException("a turn of up to 7200°, that is twenty times round");
    }
    while (Math.abs(left) > PART) {
      m.turn(Math.copySign(PART, left));
      rig.live();
      left -= Math.copySign(PART, left);
    }
    m.turn(left);
    rig.live();
    return wheel();
  }

  private String wheel() {
    return String.format(Locale.ROOT, "wheel %.1f°", Math.toDegrees(rig.mockUp().wheel()));
  }

  private String stop(String rest) {
    rig.mockUp().fitStop(rest.equals("out") ? Double.NaN : number(rest, Quantity.CLEARANCE));
    return rest.equals("out") ? "the stop is out" : "the stop is in; " + wheel();
  }

  private String on(String rest) {
    var m = rig.mockUp();
    var dial = rig.sensor(Kind.DIAL);
    switch (rest) {
      case "intake" -> dial.on(() -> m.lift(true));
      case "exhaust" -> dial.on(() -> m.lift(false));
      case "piston" -> dial.on(() -> m.piston(0));
      case "piston thrust" -> dial.on(() -> m.piston(ROCK));
      case "piston opposite" -> dial.on(() -> m.piston(-ROCK));
      case "deck" -> dial.on(() -> 0);
      default ->
          throw new IllegalArgumentException(
              "on what: deck, piston, piston thrust, piston opposite, intake or exhaust");
    }
    return show(Kind.DIAL);
  }

  private String put(Kind kind, String rest) {
    double si = number(rest, kind.quantity());
    rig.sensor(kind).on(() -> si);
    return show(kind);
  }

  private String spring(String rest) {
    var train = rig.mockUp().combination().valveTrain();
    var gear = rig.mockUp().combination().valveHardware();
    double free = gear.installedHeight().isKnown() ? gear.installedHeight().si() : 0.0457;
    double height = number(rest, Quantity.CLEARANCE);
    double force = Math.max(0, train.springSeat().si() + train.springRate().si() * (free - height));
    rig.sensor(Kind.TESTER).on(() -> force);
    return show(Kind.TESTER);
  }

  private String show(Kind kind) {
    var m = rig.sensor(kind).read(Message.Word.LIVE);
    return kind.label()
        + " "
        + (m.state() == Message.State.FLAT ? "shows nothing: its battery is flat" : m.typed());
  }

  private String fault(String[] words, String rest) {
    var kind = kind(words);
    var sensor = rig.sensor(kind);
    var f = sensor.faults();
    String what = words.length > 2 ? words[2] : "";
    int at = rest.indexOf(what) + what.length();
    String value = rest.substring(at).strip();
    sensor.set(
        switch (what) {
          case "noise" -> f.withNoise(number(value, kind.quantity()));
          case "resolution" -> f.withResolution(number(value, kind.quantity()));
          case "backlash" -> f.withBacklash(number(value, kind.quantity()));
          case "drift" -> f.withDrift(number(value, kind.quantity()));
          case "loose" -> f.withLoose(number(value, Quantity.SHARE));
          case "battery" -> f.withFlat(value.equals("flat"));
          case "none" -> Faults.none(kind);
          default ->
              throw new IllegalArgumentException(
                  "which fault: noise, resolution, backlash, drift, loose, battery flat, battery"
                      + " good or none");
        });
    return kind.label() + " has that fault now";
  }
}
