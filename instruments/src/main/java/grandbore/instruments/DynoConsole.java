package grandbore.instruments;

import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.Standard;
import grandbore.core.dyno.simulated.Asked;
import grandbore.core.dyno.simulated.Fault;
import grandbore.core.dyno.simulated.SimulatedDyno;
import grandbore.core.units.Entry;
import grandbore.core.units.UnitSystem;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.TreeMap;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/** The words that drive a simulated dyno, one command a line. */
public final class DynoConsole {
  /** What can be said. */
  public static final String HELP =
      """
      spark 34                       as it is set at the pointer, degrees before top centre
      lambda 0.90                    by jets or map
      set intake.spacerHeight 1 in   any input of the engine; set intake.spacerHeight as it was
      from 3000 | to 7500 | rate 300 | rows 10      of the next pull: rpm, rpm a second, rows a second
      step | sweep                   how the brake is run
      pull [what was changed]        runs one
      give fuel_meter 0.12 | mend fuel_meter | faults
      prove                          the pointer at a positive stop
      air                            of the day
      """;

  private final SimulatedDyno dyno;
  private final UnitSystem units;
  private final grandbore.core.combination.Combination build;
  private final String day;
  private final Consumer<Pull> told;
  private final TreeMap<String, Object> sets = new TreeMap<>();
  private Instant clock;
  private int next;
  private double spark;
  private double from;
  private double to;
  private double rate = 300;
  private double rows = 10;
  private Pull.How how = Pull.How.SWEEP;

  /**
   * @param build the engine as its builder knows it
   * @param first number of the next pull
   * @param from first speed of a pull, rev/min
   * @param to last
   * @param spark to begin with, rad
   * @param told each pull
   */
  public DynoConsole(
      SimulatedDyno dyno,
      grandbore.core.combination.Combination build,
      UnitSystem units,
      String day,
      Instant begins,
      int first,
      double from,
      double to,
      double spark,
      Consumer<Pull> told) {
    this.dyno = dyno;
    this.build = build;
    this.units = units;
    this.day = day;
    this.told = told;
    clock = begins;
    next = first;
    this.from = from;
    this.to = to;
    this.spark = spark;
  }

  /** Does what a line says; gives its answer in words, or what is wrong with it. */
  public String say(String line) {
    var words = line.strip().split("\\s+", 2);
    String rest = words.length > 1 ? words[1].strip() : "";
    try {
      return switch (words[0].toLowerCase(Locale.ROOT)) {
        case "", "help" -> HELP;
        case "spark" -> {
          spark = Math.toRadians(number(rest, -20, 70));
          yield "spark %.1f°".formatted(Math.toDegrees(spark));
        }
        case "lambda" -> set("mixture.lambda " + rest);
        case "set" -> set(rest);
        case "from" -> {
          from = number(rest, 500, 15_000);
          yield "from %,.0f rpm".formatted(from);
        }
        case "to" -> {
          to = number(rest, 1000, 20_000);
          yield "to %,.0f rpm".formatted(to);
        }
        case "rate" -> {
          rate = number(rest, 50, 2000);
          yield "%,.0f rpm a second".formatted(rate);
        }
        case "rows" -> {
          rows = number(rest, 1, 200);
          yield "%.0f rows a second".formatted(rows);
        }
        case "step" -> {
          how = Pull.How.STEP;
          yield "held at one speed after the other";
        }
        case "sweep" -> {
          how = Pull.How.SWEEP;
          yield "swept";
        }
        case "pull" -> pull(rest);
        case "give" -> give(rest);
        case "mend" -> {
          dyno.mend(fault(rest));
          yield "mended";
        }
        case "faults" -> faults();
        case "prove" -> prove();
        case "air" ->
            "%.1f kPa, %.1f °C, %.0f %% humid"
                .formatted(
                    dyno.air().pressure() / 1e3,
                    dyno.air().temperature() - 273.15,
                    100 * dyno.air().humidity());
        default -> "✕ “" + words[0] + "” is not understood; help lists what is";
      };
    } catch (IllegalArgumentException e) {
      return "✕ " + e.getMessage();
    }
  }

  private static double number(String text, double least, double most) {
    double v;
    try {
      v = Double.parseDouble(text);
    } catch (NumberFormatException e) {
      throw new IllegalArgumentException("“" + text + "” is no number", e);
    }
    if (!(v >= least && v <= most)) {
      throw new IllegalArgumentException(
          "%s; allowed: %,.0f to %,.0f".formatted(text, least, most));
    }
    return v;
  }

  private String set(String rest) {
    var parts = rest.split("\\s+", 2);
    if (parts.length < 2) {
      throw new IllegalArgumentException("say what and how much: set intake.spacerHeight 1 in");
    }
    if (parts[1].equals("as it was")) {
      sets.remove(parts[0]);
      return parts[0] + " as it was";
    }
    var field = Specs.field(parts[0]);
    var was = (Given) build.at(parts[0]);
    double si = Entry.parse(parts[1], was.quantity(), units, was.si());
    sets.put(parts[0], was.with(si, Provenance.MEASURED));
    return field.spec().label() + " " + was.quantity().show(si, units);
  }

  /** The pull that would be run now, in numbers. */
  public Asked asked() {
    return new Asked(sets, spark, from, to, how, rate, rows);
  }

  private String pull(String changed) {
    clock = clock.plusSeconds(600);
    var pull = dyno.pull(asked(), next, day, clock, changed);
    next++;
    told.accept(pull);
    var top = PullCurve.torque(pull, Standard.SAE_J1349, PullCurve.USUAL_WIDTH).top();
    return "pull %d: %d rows; most torque %s"
        .formatted(
            pull.number(),
            pull.rows().rows(),
            top.map(
                    t ->
                        grandbore.core.units.Quantity.TORQUE.show(t.value(), units)
                            + " at %,.0f rpm (SAE J1349)".formatted(t.rpm()))
                .orElse("unknown"));
  }

  private String give(String rest) {
    var parts = rest.split("\\s+", 2);
    var fault = fault(parts[0]);
    double amount = parts.length > 1 ? number(parts[1], 0, 100) : fault.usual();
    dyno.give(fault, amount);
    return fault.says() + ": " + amount;
  }

  private static Fault fault(String word) {
    return Fault.of(word.toLowerCase(Locale.ROOT))
        .orElseThrow(
            () ->
                new InvalidInput(
                    "Fault",
                    word,
                    Arrays.stream(Fault.values())
                        .map(Fault::word)
                        .collect(Collectors.joining(", ")),
                    "those are known"));
  }

  private String faults() {
    List<String> all = new ArrayList<>();
    dyno.faults().forEach((f, amount) -> all.add(f.word() + " " + amount));
    return all.isEmpty() ? "none" : String.join(", ", all);
  }

  private String prove() {
    double off = dyno.faults().getOrDefault(Fault.POINTER, 0.0);
    return off == 0
        ? "the pointer shows top centre where the stop says it is"
        : "the pointer shows %+.1f° more than there is".formatted(off);
  }
}
