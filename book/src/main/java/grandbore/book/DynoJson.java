package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Frozen;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Recorded;
import grandbore.core.dyno.Standard;
import grandbore.core.dyno.calibration.Calibration;
import grandbore.core.dyno.calibration.Coefficient;
import grandbore.core.dyno.calibration.Learnt;
import grandbore.core.dyno.calibration.Profile;
import grandbore.core.dyno.effects.Jets;
import grandbore.core.studies.ModelSpread;
import grandbore.core.units.UnitSystem;
import java.math.BigDecimal;
import java.math.MathContext;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;

/**
 * What belongs to a day at the dyno, as JSON: numbers are SI, speeds in rev/min, to eight digits.
 */
public final class DynoJson {
  private static final DocumentFormat FORMAT =
      new DocumentFormat(
          "grand-bore-dyno",
          1,
          "Grand Bore dyno record",
          "A pull, a frozen prediction, a verdict, a proved pointer, a calibration or the spread of"
              + " pooled cases.",
          DynoSchema::describe);
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  /** More than any meter resolves. */
  private static final MathContext DIGITS = new MathContext(8);

  private DynoJson() {}

  /** The JSON Schema of such a document. */
  public static String schemaText() {
    return FORMAT.schemaText();
  }

  private static ObjectNode begin(String kind) {
    return FORMAT.begin().put("kind", kind);
  }

  private static JsonNode read(String text, String kind) {
    var node = FORMAT.read(text);
    if (!kind.equals(node.path("kind").asText())) {
      throw new FormatException(
          "kind is “%s”; allowed: %s".formatted(Lines.shortened(node.path("kind").asText()), kind));
    }
    return node;
  }

  private static JsonNode at(JsonNode node, String name) {
    var there = node.get(name);
    if (there == null || there.isNull()) {
      throw new FormatException("In the record “%s” is missing".formatted(name));
    }
    return there;
  }

  public static String write(Pull pull) {
    var node = begin("pull").put("number", pull.number()).put("day", pull.day());
    node.put("at", pull.at().toString()).put("how", pull.how().name());
    node.put("rate", pull.rate()).put("inertia", pull.inertia());
    pull.air().ifPresent(a -> put(node.putObject("air"), a));
    node.put("carries", pull.carries().word());
    if (!Double.isNaN(pull.spark())) {
      node.put("spark", pull.spark());
    }
    node.put("changed", pull.changed()).put("source", pull.source()).put("note", pull.note());
    pull.fitted().ifPresent(c -> ChangesJson.put(node.putObject("fitted"), c, UnitSystem.METRIC));
    if (!pull.rows().seconds().isEmpty()) {
      numbers(node.putArray("seconds"), pull.rows().seconds());
    }
    var columns = node.putArray("columns");
    for (var c : pull.rows().columns()) {
      var each = columns.addObject().put("channel", c.channel().word());
      if (c.place() > 0) {
        each.put("place", c.place());
      }
      numbers(each.putArray("values"), c.values());
    }
    return node.toString();
  }

  /**
   * A pull, whole or not at all.
   *
   * @throws FormatException with the place of the damage
   * @throws grandbore.core.combination.InvalidInput where a value can't be
   */
  public static Pull pull(String text) {
    var node = read(text, "pull");
    var columns = new ArrayList<Column>();
    for (var each : at(node, "columns")) {
      String word = at(each, "channel").asText();
      var channel =
          Channel.of(word)
              .orElseThrow(
                  () -> new FormatException("No channel is called " + Lines.shortened(word)));
      columns.add(new Column(channel, each.path("place").asInt(0), numbers(at(each, "values"))));
    }
    return new Pull(
        at(node, "number").asInt(),
        at(node, "day").asText(),
        instant(node),
        how(at(node, "how").asText()),
        node.path("rate").asDouble(),
        node.path("inertia").asDouble(),
        Optional.ofNullable(node.get("air")).map(DynoJson::air),
        Standard.of(node.path("carries").asText("none")).orElse(Standard.NONE),
        node.path("spark").asDouble(Double.NaN),
        node.path("changed").asText(""),
        Optional.ofNullable(node.get("fitted")).map(ChangesJson::change),
        node.path("source").asText(""),
        node.path("note").asText(""),
        new Recorded(node.has("seconds") ? numbers(node.get("seconds")) : List.of(), columns));
  }

  private static Pull.How how(String word) {
    return word.toUpperCase(Locale.ROOT).equals("STEP") ? Pull.How.STEP : Pull.How.SWEEP;
  }

  private static Instant instant(JsonNode node) {
    try {
      return Instant.parse(at(node, "at").asText());
    } catch (DateTimeException e) {
      throw new FormatException("at is no time: " + Lines.shortened(node.get("at").asText()), e);
    }
  }

  public static String write(FrozenBuild frozen) {
    var p = frozen.prediction();
    var node = begin("frozen").put("model", frozen.model());
    node.put("name", p.name()).put("at", p.at().toString()).put("lambda", p.lambda());
    put(node.putObject("air"), p.air());
    node.set("build", JsonText.parse(BuildJson.writeCompact(frozen.of())));
    var rows = node.putArray("rows");
    for (var r : p.rows()) {
      numbers(
          rows.addArray(),
          List.of(
              r.rpm(),
              r.torque(),
              r.low(),
              r.high(),
              r.airFlow(),
              r.fuelFlow(),
              r.exhaustTemperature(),
              r.plenumPressure(),
              r.spark(),
              r.bestSpark()));
    }
    return node.toString();
  }

  public static FrozenBuild frozen(String text) {
    var node = read(text, "frozen");
    var rows = new ArrayList<Frozen.Row>();
    for (var each : at(node, "rows")) {
      var v = numbers(each);
      if (v.size() != 10) {
        throw new FormatException("In the record a row has %d numbers for 10".formatted(v.size()));
      }
      rows.add(
          new Frozen.Row(
              v.get(0), v.get(1), v.get(2), v.get(3), v.get(4), v.get(5), v.get(6), v.get(7),
              v.get(8), v.get(9)));
    }
    return new FrozenBuild(
        at(node, "model").asInt(),
        BuildJson.read(at(node, "build").toString()),
        new Frozen(
            at(node, "name").asText(),
            instant(node),
            air(at(node, "air")),
            at(node, "lambda").asDouble(),
            rows));
  }

  public static String write(PullVerdict verdict) {
    return begin("verdict")
        .put("pull", verdict.pull())
        .put("good", verdict.good())
        .put("why", verdict.why())
        .toString();
  }

  public static PullVerdict verdict(String text) {
    var node = read(text, "verdict");
    return new PullVerdict(
        at(node, "pull").asInt(), at(node, "good").asBoolean(), node.path("why").asText(""));
  }

  /**
   * @param error how much more the pointer shows than there is, rad
   */
  public static String writePointer(double error) {
    return begin("pointer").put("error", error).toString();
  }

  public static double pointer(String text) {
    return at(read(text, "pointer"), "error").asDouble();
  }

  public static String write(Jets jets) {
    var root = begin("jets");
    var all = root.putArray("diameters");
    jets.diameters().forEach(all::add);
    return root.toString();
  }

  public static Jets jets(String text) {
    var all = new ArrayList<Double>();
    at(read(text, "jets"), "diameters").forEach(d -> all.add(d.asDouble()));
    return new Jets(all);
  }

  public static String write(ModelSpread spread) {
    return begin("cases")
        .put("share", spread.share())
        .put("engines", spread.engines())
        .put("source", spread.of())
        .toString();
  }

  public static ModelSpread spread(String text) {
    var node = read(text, "cases");
    return new ModelSpread(
        at(node, "share").asDouble(), at(node, "engines").asInt(), at(node, "source").asText());
  }

  public static String write(Calibration c) {
    var node = begin("calibration").put("day", c.day().toString());
    node.put("before", c.before()).put("after", c.after());
    var learnt = node.putArray("learnt");
    for (var l : c.learnt()) {
      learnt
          .addObject()
          .put("coefficient", l.coefficient().word())
          .put("value", l.value())
          .put("error", l.error())
          .put("prior", l.prior())
          .put("believed", l.believed());
    }
    var correlations = node.putArray("correlations");
    c.correlations().forEach(row -> numbers(correlations.addArray(), row));
    var leftOut = node.putArray("leftOut");
    for (var o : c.leftOut()) {
      leftOut.addObject().put("what", o.what()).put("before", o.before()).put("after", o.after());
    }
    var band = node.putArray("band");
    c.band().forEach(b -> numbers(band.addArray(), List.of(b.rpm(), b.deviation())));
    if (!c.profiles().isEmpty()) {
      var profiles = node.putArray("profiles");
      for (var p : c.profiles()) {
        var points = profiles.addObject().put("coefficient", p.coefficient().word());
        var pairs = points.putArray("points");
        p.points().forEach(at -> numbers(pairs.addArray(), List.of(at.errors(), at.rise())));
      }
    }
    var pulls = node.putArray("pulls");
    c.pulls().forEach(pulls::add);
    return node.toString();
  }

  public static Calibration calibration(String text) {
    var node = read(text, "calibration");
    return new Calibration(
        list(at(node, "learnt"), DynoJson::learnt),
        list(at(node, "correlations"), DynoJson::numbers),
        at(node, "before").asDouble(),
        at(node, "after").asDouble(),
        list(
            at(node, "leftOut"),
            o ->
                new Calibration.LeftOut(
                    at(o, "what").asText(), at(o, "before").asDouble(), at(o, "after").asDouble())),
        list(
            at(node, "band"),
            b -> new Calibration.Narrowed(b.path(0).asDouble(), b.path(1).asDouble())),
        list(
            node.path("profiles"),
            p ->
                new Profile(
                    coefficient(p),
                    list(
                        at(p, "points"),
                        x -> new Profile.Point(x.path(0).asDouble(), x.path(1).asDouble())))),
        list(at(node, "pulls"), JsonNode::asInt),
        LocalDate.parse(at(node, "day").asText()));
  }

  private static Learnt learnt(JsonNode node) {
    return new Learnt(
        coefficient(node),
        at(node, "value").asDouble(),
        at(node, "error").asDouble(),
        at(node, "prior").asDouble(),
        at(node, "believed").asDouble());
  }

  private static Coefficient coefficient(JsonNode node) {
    String word = at(node, "coefficient").asText();
    for (var c : Coefficient.values()) {
      if (c.word().equals(word)) {
        return c;
      }
    }
    throw new FormatException("No coefficient is called " + Lines.shortened(word));
  }

  private static <T> List<T> list(JsonNode node, Function<JsonNode, T> each) {
    var all = new ArrayList<T>();
    node.forEach(n -> all.add(each.apply(n)));
    return all;
  }

  private static void put(ObjectNode node, DayAir air) {
    node.put("pressure", air.pressure())
        .put("temperature", air.temperature())
        .put("humidity", air.humidity());
  }

  private static DayAir air(JsonNode node) {
    return new DayAir(
        at(node, "pressure").asDouble(),
        at(node, "temperature").asDouble(),
        at(node, "humidity").asDouble());
  }

  private static void numbers(ArrayNode array, List<Double> values) {
    for (double v : values) {
      if (Double.isFinite(v)) {
        array.add(NODES.numberNode(new BigDecimal(v).round(DIGITS).doubleValue()));
      } else {
        array.addNull();
      }
    }
  }

  private static List<Double> numbers(JsonNode array) {
    return list(array, n -> n.isNull() ? Double.NaN : n.asDouble());
  }
}
