package grandbore.book;

import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.Recorded;
import grandbore.core.gas.FuelKind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.regex.Pattern;

/**
 * Reads a recorder's file. What can be kept is kept and all else is said: a cell that is no number
 * is a gap, a row without speed is left out, a file of two pulls is two pulls.
 *
 * @param table of the file
 * @param fuel of the engine, for mixtures and volumes
 */
public record PullImport(PullTableView table, FuelKind fuel) {
  /** Speed falls by so much from row to row where another pull begins, rev/min. */
  private static final double FALLS = 800;

  private static final int FEWEST_ROWS = 2;
  private static final Pattern NUMBER = Pattern.compile("(\\d{1,2})\\s*$");

  /** Words in headings, the first that is met decides. */
  private static final Map<String, Channel> WORDS = words();

  /** The table as others see it. */
  public static final class PullTableView {
    private final PullTable table;

    PullTableView(PullTable table) {
      this.table = table;
    }

    public List<String> headings() {
      return table.headings();
    }

    public List<String> units() {
      return table.units();
    }

    public int rows() {
      return table.rows().size();
    }
  }

  /**
   * What came of a file.
   *
   * @param pulls rows of each
   * @param says what was left out or taken otherwise than it stood, a line each
   */
  public record Imported(List<Recorded> pulls, List<String> says) {
    public Imported {
      pulls = List.copyOf(pulls);
      says = List.copyOf(says);
    }
  }

  /**
   * @throws FormatException where no table of numbers is in it
   */
  public static PullImport of(String text, FuelKind fuel) {
    return new PullImport(new PullTableView(PullTable.of(text)), fuel);
  }

  private static Map<String, Channel> words() {
    var w = new LinkedHashMap<String, Channel>();
    w.put("oilp", Channel.OIL_PRESSURE);
    w.put("oilpress", Channel.OIL_PRESSURE);
    w.put("oilt", Channel.OIL_TEMPERATURE);
    w.put("waterin", Channel.WATER_IN);
    w.put("waterout", Channel.WATER_OUT);
    w.put("coolant", Channel.WATER_OUT);
    w.put("water", Channel.WATER_OUT);
    w.put("egt", Channel.EXHAUST_TEMPERATURE);
    w.put("exhaust", Channel.EXHAUST_TEMPERATURE);
    w.put("exh", Channel.EXHAUST_TEMPERATURE);
    w.put("blowby", Channel.BLOW_BY);
    w.put("crankcase", Channel.CRANKCASE_VACUUM);
    w.put("panvac", Channel.CRANKCASE_VACUUM);
    w.put("manifold", Channel.MANIFOLD_PRESSURE);
    w.put("map", Channel.MANIFOLD_PRESSURE);
    w.put("charget", Channel.CHARGE_TEMPERATURE);
    w.put("fuelflow", Channel.FUEL_FLOW);
    w.put("fuel", Channel.FUEL_FLOW);
    w.put("lambda", Channel.LAMBDA);
    w.put("afr", Channel.LAMBDA);
    w.put("airfuel", Channel.LAMBDA);
    w.put("airflow", Channel.AIR_FLOW);
    w.put("airt", Channel.AIR_TEMPERATURE);
    w.put("inlett", Channel.AIR_TEMPERATURE);
    w.put("baro", Channel.AIR_PRESSURE);
    w.put("airp", Channel.AIR_PRESSURE);
    w.put("humid", Channel.HUMIDITY);
    w.put("air", Channel.AIR_FLOW);
    w.put("spark", Channel.SPARK);
    w.put("timing", Channel.SPARK);
    w.put("ignition", Channel.SPARK);
    w.put("knock", Channel.KNOCK);
    w.put("torque", Channel.TORQUE);
    w.put("drehmoment", Channel.TORQUE);
    w.put("trq", Channel.TORQUE);
    w.put("power", Channel.POWER);
    w.put("leistung", Channel.POWER);
    w.put("bhp", Channel.POWER);
    w.put("hp", Channel.POWER);
    w.put("rpm", Channel.RPM);
    w.put("speed", Channel.RPM);
    w.put("drehzahl", Channel.RPM);
    return w;
  }

  /** How the columns are taken where nothing is remembered. */
  public PullLayout guess(String source) {
    var t = table.table;
    var mapped = new ArrayList<PullLayout.Mapped>();
    var taken = new java.util.HashSet<String>();
    for (int k = 0; k < t.headings().size(); k++) {
      String heading = t.headings().get(k);
      String word = heading.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9λ]", "");
      String unit = t.units().get(k);
      if (word.startsWith("time")
          || word.equals("t")
          || word.equals("sec")
          || word.equals("zeit")) {
        mapped.add(
            new PullLayout.Mapped(heading, Optional.empty(), 0, unit.isBlank() ? "s" : unit));
        continue;
      }
      var channel = channel(word);
      int place = place(heading);
      if (channel.isPresent()) {
        var of = byPlace(channel.get(), place);
        int at = of.per() == Channel.Per.ENGINE ? 0 : Math.max(1, place);
        if (taken.add(of.word() + at)) {
          String in = unit.isBlank() ? told(heading, of) : unit;
          mapped.add(
              new PullLayout.Mapped(
                  heading,
                  Optional.of(of),
                  at,
                  in.isBlank() ? PullUnit.usual(of, typical(k)) : in));
        }
      }
    }
    return new PullLayout(source, t.headings(), mapped);
  }

  private static Optional<Channel> channel(String word) {
    return Channel.of(word.replaceAll("\\d+$", ""))
        .or(
            () ->
                WORDS.entrySet().stream()
                    .filter(e -> word.contains(e.getKey()))
                    .map(Map.Entry::getValue)
                    .findFirst());
  }

  private static Channel byPlace(Channel channel, int place) {
    return channel == Channel.LAMBDA && place > 0
        ? place > 2 ? Channel.CYLINDER_LAMBDA : Channel.BANK_LAMBDA
        : channel;
  }

  private static int place(String heading) {
    var m = NUMBER.matcher(heading);
    return m.find() ? Integer.parseInt(m.group(1)) : 0;
  }

  /** A unit at the end of a heading without brackets: {@code Torque lb-ft}. */
  private String told(String heading, Channel channel) {
    int space = heading.lastIndexOf(' ');
    String last = space < 0 ? heading : heading.substring(space + 1);
    return PullUnit.of(last, channel, fuel).isPresent() && !last.matches("\\d+") ? last : "";
  }

  private double typical(int column) {
    var t = table.table;
    double sum = 0;
    int count = 0;
    for (int k = 0; k < t.rows().size(); k++) {
      Double v = t.number(k, column);
      if (v != null && Double.isFinite(v)) {
        sum += Math.abs(v);
        count++;
      }
    }
    return count == 0 ? 0 : sum / count;
  }

  /** Columns that are read but whose unit nobody told. */
  public List<String> withoutUnit(PullLayout layout) {
    return layout.columns().stream()
        .filter(
            m ->
                m.channel().isPresent()
                    && PullUnit.of(m.unit(), m.channel().get(), fuel).isEmpty()
                    && !m.channel().get().word().equals("knock"))
        .map(PullLayout.Mapped::heading)
        .toList();
  }

  /**
   * Reads the rows.
   *
   * @throws FormatException where speed or torque is no column, or a unit is not told
   */
  public Imported read(PullLayout layout) {
    var without = withoutUnit(layout);
    if (!without.isEmpty()) {
      throw new FormatException(
          "Column “%s” has no unit that is known: say which, such as lb-ft, N·m, hp, kW, °F, psi"
              .formatted(String.join("”, “", without)));
    }
    require(layout, Channel.RPM, "speed");
    boolean any =
        layout.columns().stream()
            .flatMap(m -> m.channel().stream())
            .anyMatch(c -> c == Channel.TORQUE || c == Channel.POWER);
    if (!any) {
      throw new FormatException("No column is torque or power: say which is");
    }
    return new PullRows(table.table, layout, fuel).read();
  }

  private static void require(PullLayout layout, Channel channel, String name) {
    if (layout.columns().stream().noneMatch(m -> m.channel().equals(Optional.of(channel)))) {
      throw new FormatException("No column is the %s: say which is".formatted(name));
    }
  }

  /** Takes a table row by row. */
  private static final class PullRows {
    private final PullTable t;
    private final List<Read> columns = new ArrayList<>();
    private final List<String> says = new ArrayList<>();
    private final List<Recorded> pulls = new ArrayList<>();
    private final Map<PullLayout.Mapped, List<Double>> values = new LinkedHashMap<>();
    private final List<Double> seconds = new ArrayList<>();
    private final Map<String, Integer> gaps = new LinkedHashMap<>();
    private double lastRpm = Double.NaN;

    /** A column that is read, found and its unit understood once for all rows. */
    private record Read(PullLayout.Mapped mapped, int at, DoubleUnaryOperator toSi) {}

    PullRows(PullTable t, PullLayout layout, FuelKind fuel) {
      this.t = t;
      for (var m : layout.columns()) {
        int at = t.headings().indexOf(m.heading());
        if (at < 0) {
          throw new FormatException("The file has no column “%s”".formatted(m.heading()));
        }
        var unit = m.channel().flatMap(c -> PullUnit.of(m.unit(), c, fuel));
        columns.add(new Read(m, at, unit.map(PullUnit::toSi).orElse(v -> v)));
      }
    }

    Imported read() {
      for (int row = 0; row < t.rows().size(); row++) {
        int line = t.lines().get(row);
        boolean broken = t.rows().get(row).size() < t.headings().size();
        if (broken && row == t.rows().size() - 1) {
          says.add(
              "line %d: the file ends in the middle of a row; the row is left out".formatted(line));
          break;
        }
        take(row, line);
      }
      close(t.lines().isEmpty() ? 0 : t.lines().getLast());
      gaps.forEach(
          (heading, count) ->
              says.add("%s: %d cells are no numbers and stay empty".formatted(heading, count)));
      if (pulls.isEmpty()) {
        throw new FormatException("No row has both a speed and a torque");
      }
      return new Imported(pulls, says);
    }

    private void take(int row, int line) {
      double time = Double.NaN;
      double rpm = Double.NaN;
      var now = new LinkedHashMap<PullLayout.Mapped, Double>();
      for (var read : columns) {
        var m = read.mapped;
        Double v = t.number(row, read.at);
        if (v == null) {
          gaps.merge(m.heading(), 1, Integer::sum);
          v = Double.NaN;
        }
        if (m.channel().isEmpty()) {
          time = m.unit().equals("ms") ? v / 1000 : v;
          continue;
        }
        var channel = m.channel().get();
        double si = read.toSi.applyAsDouble(v);
        if (Double.isFinite(si) && !channel.canBe(si)) {
          says.add(
              "line %d: %s cannot be %s %s; it stays empty"
                  .formatted(line, channel.label(), v, m.unit()));
          si = Double.NaN;
        }
        now.put(m, si);
        rpm = channel == Channel.RPM ? si : rpm;
      }
      if (!Double.isFinite(rpm)) {
        says.add("line %d: no speed; the row is left out".formatted(line));
        return;
      }
      boolean back = !seconds.isEmpty() && time < seconds.getLast();
      if (rpm < lastRpm - FALLS || back) {
        says.add(
            back
                ? "line %d: time goes back; from here on it is another pull".formatted(line)
                : "line %d: speed falls by %.0f rpm; from here on it is another pull"
                    .formatted(line, lastRpm - rpm));
        close(line);
      }
      now.forEach((m, v) -> values.computeIfAbsent(m, k -> new ArrayList<>()).add(v));
      if (Double.isFinite(time)) {
        seconds.add(time);
      }
      lastRpm = rpm;
    }

    /** What was taken so far is a pull. */
    private void close(int line) {
      int rows = values.isEmpty() ? 0 : values.values().iterator().next().size();
      if (rows >= FEWEST_ROWS) {
        var columns = new ArrayList<Column>();
        values.forEach(
            (m, v) -> {
              if (v.stream().anyMatch(Double::isFinite)) {
                columns.add(new Column(m.channel().orElseThrow(), m.place(), v));
              }
            });
        if (!seconds.isEmpty() && seconds.size() != rows) {
          says.add("some rows have no time; the times are left out");
        }
        boolean timed = seconds.size() == rows;
        double first = timed ? seconds.getFirst() : 0;
        try {
          pulls.add(
              new Recorded(
                  timed ? seconds.stream().map(s -> s - first).toList() : List.of(), columns));
        } catch (InvalidInput e) {
          throw new FormatException(e.getMessage(), e);
        }
      } else if (rows > 0) {
        says.add("line %d: %d row alone is no pull; it is left out".formatted(line, rows));
      }
      values.clear();
      seconds.clear();
      lastRpm = Double.NaN;
    }
  }
}
