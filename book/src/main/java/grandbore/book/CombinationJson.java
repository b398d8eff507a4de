package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.combination.Combination;
import grandbore.core.combination.CompressorMap;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Spec;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.combination.Weights;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The combination's records as JSON, component by component, each number with its unit. */
final class CombinationJson {
  private CombinationJson() {}

  static ObjectNode write(Combination combination, UnitSystem units) {
    var node = JsonNodeFactory.instance.objectNode();
    for (var group : Combination.class.getRecordComponents()) {
      if (group.getType().isRecord()) {
        var inner = node.putObject(group.getName());
        Object record = value(group, combination);
        for (var c : group.getType().getRecordComponents()) {
          put(inner, c.getName(), value(c, record), units);
        }
      }
    }
    return node;
  }

  static void put(ObjectNode node, String name, Object value, UnitSystem units) {
    switch (value) {
      case Given g -> node.set(name, given(g, units));
      case FlowSheet sheet -> putSheet(node.putObject(name), sheet, units);
      case Enum<?> e -> node.put(name, e.name());
      case Integer i -> node.put(name, i);
      case LiftTable table -> {
        if (table.isGiven()) {
          putTable(node.putObject(name), table, units);
        }
      }
      case MixtureTable table -> {
        if (table.isGiven()) {
          putMixture(node.putObject(name), table, units);
        }
      }
      case CompressorMap map -> {
        if (map.isGiven()) {
          putMap(node.putObject(name), map, units);
        }
      }
      case List<?> list -> {
        var array = node.putArray(name);
        for (Object each : list) {
          switch (each) {
            case Integer i -> array.add(i);
            case Enum<?> e -> array.add(e.name());
            default -> array.add(ExactNumber.in(Measure.NONE, (Double) each));
          }
        }
      }
      default -> throw new IllegalStateException(name);
    }
  }

  /** One input, in a build's units. */
  static ObjectNode given(Given g, UnitSystem units) {
    var unit = g.quantity().unit(units);
    var node = JsonNodeFactory.instance.objectNode();
    ExactNumber.put(node, unit, g.si());
    node.put("provenance", word(g.provenance()))
        .put("spread", ExactNumber.tidy(unit.differenceFromSi(g.spread())));
    if (!g.typed().isEmpty()) {
      node.put("typed", g.typed());
    }
    return node;
  }

  private static void putSheet(ObjectNode node, FlowSheet sheet, UnitSystem units) {
    var depression = Quantity.DEPRESSION.unit(units);
    var lift = Quantity.LENGTH.unit(units);
    var flow = Quantity.AIRFLOW.unit(units);
    node.put("depression", ExactNumber.in(depression, sheet.depression()))
        .put("depressionUnit", depression.symbol())
        .put("liftUnit", lift.symbol())
        .put("flowUnit", flow.symbol())
        .put("provenance", word(sheet.provenance()))
        .put("fitting", sheet.fitting().name());
    var rows = node.putArray("rows");
    for (var row : sheet.rows()) {
      rows.addArray().add(ExactNumber.in(lift, row.lift())).add(ExactNumber.in(flow, row.flow()));
    }
  }

  private static void putTable(ObjectNode node, LiftTable table, UnitSystem units) {
    var angle = Quantity.ANGLE.unit(units);
    var lift = Quantity.LENGTH.unit(units);
    node.put("angleUnit", angle.symbol())
        .put("liftUnit", lift.symbol())
        .put("provenance", word(table.provenance()));
    var rows = node.putArray("rows");
    for (var row : table.rows()) {
      rows.addArray().add(ExactNumber.in(angle, row.angle())).add(ExactNumber.in(lift, row.lift()));
    }
  }

  private static void putMixture(ObjectNode node, MixtureTable table, UnitSystem units) {
    var speed = Quantity.ROTATION.unit(units);
    var angle = Quantity.ANGLE.unit(units);
    node.put("speedUnit", speed.symbol())
        .put("sparkUnit", angle.symbol())
        .put("provenance", word(table.provenance()));
    var rows = node.putArray("rows");
    for (var row : table.rows()) {
      var each =
          rows.addArray()
              .add(ExactNumber.in(speed, row.speed()))
              .add(ExactNumber.in(Measure.NONE, row.lambda()));
      if (table.hasSpark()) {
        each.add(ExactNumber.in(angle, row.advance()));
      }
    }
  }

  private static MixtureTable mixture(JsonNode node, String path) {
    var speed = unit(node.get("speedUnit").asText(), Quantity.ROTATION, path + " speed");
    var angle = unit(node.get("sparkUnit").asText(), Quantity.ANGLE, path + " spark");
    var rows = new ArrayList<MixtureTable.Row>();
    for (var row : node.get("rows")) {
      rows.add(
          new MixtureTable.Row(
              speed.toSi(row.get(0).asDouble()),
              row.get(1).asDouble(),
              row.has(2) ? angle.toSi(row.get(2).asDouble()) : Double.NaN));
    }
    return new MixtureTable(provenance(node.get("provenance").asText()), rows);
  }

  private static void putMap(ObjectNode node, CompressorMap map, UnitSystem units) {
    var speed = Quantity.ROTATION.unit(units);
    var flow = Quantity.MASS_FLOW.unit(units);
    node.put("speedUnit", speed.symbol())
        .put("flowUnit", flow.symbol())
        .put("provenance", word(map.provenance()));
    var rows = node.putArray("rows");
    for (var row : map.rows()) {
      rows.addArray()
          .add(ExactNumber.in(speed, row.shaftSpeed()))
          .add(ExactNumber.in(flow, row.flow()))
          .add(ExactNumber.in(Measure.NONE, row.ratio()))
          .add(ExactNumber.in(Measure.NONE, row.efficiency()));
    }
  }

  private static CompressorMap map(JsonNode node, String path) {
    var speed = unit(node.get("speedUnit").asText(), Quantity.ROTATION, path + " speed");
    var flow = unit(node.get("flowUnit").asText(), Quantity.MASS_FLOW, path + " flow");
    var rows = new ArrayList<CompressorMap.Row>();
    for (var row : node.get("rows")) {
      rows.add(
          new CompressorMap.Row(
              speed.toSi(row.get(0).asDouble()),
              flow.toSi(row.get(1).asDouble()),
              row.get(2).asDouble(),
              row.get(3).asDouble()));
    }
    return new CompressorMap(provenance(node.get("provenance").asText()), rows);
  }

  private static LiftTable table(JsonNode node, String path) {
    var angle = unit(node.get("angleUnit").asText(), Quantity.ANGLE, path + " angle");
    var lift = unit(node.get("liftUnit").asText(), Quantity.LENGTH, path + " lift");
    var rows = new ArrayList<LiftTable.Row>();
    for (var row : node.get("rows")) {
      rows.add(
          new LiftTable.Row(angle.toSi(row.get(0).asDouble()), lift.toSi(row.get(1).asDouble())));
    }
    return new LiftTable(provenance(node.get("provenance").asText()), rows);
  }

  static String word(Provenance p) {
    return p.word();
  }

  static Provenance provenance(String word) {
    return Provenance.valueOf(word.toUpperCase(Locale.ROOT));
  }

  static Combination read(String name, JsonNode document) {
    var node = withShafts(document);
    var components = Combination.class.getRecordComponents();
    var values = new Object[components.length];
    for (int i = 0; i < components.length; i++) {
      var group = components[i];
      boolean isGroup = group.getType().isRecord();
      values[i] =
          group.getType() == Weights.class && !node.has(group.getName())
              ? weights(node)
              : isGroup
                  ? readGroup(group.getType(), node.path(group.getName()), group.getName())
                  : name;
    }
    return Specs.construct(Combination.class, values);
  }

  /** Before version 6 nobody asked whether both lobes are on one shaft. */
  private static JsonNode withShafts(JsonNode combination) {
    var train = combination.path("valveTrain");
    if (!(train instanceof ObjectNode known) || known.has("shafts")) {
      return combination;
    }
    var follower =
        (ValveTrain.Follower)
            constant(ValveTrain.Follower.class, known.path("follower"), "valveTrain.follower");
    var usual =
        ValveTrain.Shafts.usual(follower, combination.path("heads").path("intakeValves").asInt(1));
    ObjectNode copy = combination.deepCopy();
    ((ObjectNode) copy.get("valveTrain")).put("shafts", usual.name());
    return copy;
  }

  /** Before version 3 only the sum of the reciprocating masses was kept. */
  private static Object weights(JsonNode combination) {
    var sum = combination.path("bottomEnd").path("reciprocatingMass");
    if (!sum.isObject()) {
      return Specs.make(Weights.class, Map.of());
    }
    String path = "bottomEnd.reciprocatingMass";
    var from = provenance(sum.get("provenance").asText());
    double si =
        unit(sum.get("unit").asText(), Quantity.MASS, path).toSi(sum.get("value").asDouble());
    return Weights.usual(
        new Given(si, Quantity.MASS, from, Given.usualSpread(si, Quantity.MASS, from)));
  }

  private static Object readGroup(Class<?> type, JsonNode node, String group) {
    var components = type.getRecordComponents();
    var values = new Object[components.length];
    for (int i = 0; i < components.length; i++) {
      var c = components[i];
      // What an older version did not know yet is as usual.
      values[i] =
          node.has(c.getName())
              ? readComponent(c, node.get(c.getName()), group + "." + c.getName())
              : Specs.usual(c);
    }
    if (type == ValveTrain.class && !node.has("stiffness")) {
      return Specs.changed(
          ValveTrain.usual(
              (ValveTrain.Follower) values[0],
              (Given) values[2],
              (Given) values[3],
              (Given) values[4],
              (Given) values[5]),
          Map.of("shafts", values[1]));
    }
    return Specs.construct(type, values);
  }

  static Object readComponent(RecordComponent c, JsonNode node, String path) {
    if (c.getType() == Given.class) {
      return given(c.getAnnotation(Spec.class), node, path);
    }
    if (c.getType() == FlowSheet.class) {
      return sheet(node, path);
    }
    if (c.getType() == int.class) {
      return whole(node, path);
    }
    if (c.getType() == LiftTable.class) {
      return table(node, path);
    }
    if (c.getType() == CompressorMap.class) {
      return map(node, path);
    }
    if (c.getType() == MixtureTable.class) {
      return mixture(node, path);
    }
    if (c.getType() == List.class) {
      var list = new ArrayList<Object>();
      var element = element(c);
      for (var n : node) {
        list.add(
            element == Integer.class
                ? (Object) whole(n, path)
                : element == Double.class ? (Object) n.asDouble() : constant(element, n, path));
      }
      return list;
    }
    return constant(c.getType(), node, path);
  }

  /** Documents of older versions have no upper bound in their schema. */
  private static int whole(JsonNode node, String path) {
    if (!node.canConvertToInt()) {
      throw new FormatException(
          "at combination.%s: %s is beyond what is counted here"
              .formatted(path, Lines.shortened(node.asText())));
    }
    return node.asInt();
  }

  /** What a list holds. */
  static Class<?> element(RecordComponent list) {
    return (Class<?>) ((ParameterizedType) list.getGenericType()).getActualTypeArguments()[0];
  }

  private static Object constant(Class<?> type, JsonNode node, String path) {
    for (Object constant : type.getEnumConstants()) {
      if (((Enum<?>) constant).name().equals(node.asText())) {
        return constant;
      }
    }
    throw new FormatException("at combination." + path + ": unknown word " + node.asText());
  }

  /** One input as it was written. */
  static Given given(Spec spec, JsonNode node, String path) {
    var unit = unit(node.get("unit").asText(), spec.quantity(), path);
    var from = provenance(node.get("provenance").asText());
    double si = ExactNumber.read(node, unit);
    double usual = Given.usualSpread(si, spec.quantity(), from);
    double said =
        node.has("spread") ? unit.toSi(node.get("spread").asDouble()) - unit.toSi(0) : usual;
    // The usual one is that to the last digit, which the document does not keep of a spread.
    double spread = Math.abs(said - usual) <= 1e-9 * usual ? usual : said;
    return new Given(si, spec.quantity(), from, spread, node.path("typed").asText(""));
  }

  private static Measure unit(String symbol, Quantity quantity, String path) {
    return Measure.of(symbol)
        .filter(quantity::accepts)
        .orElseThrow(
            () ->
                new InvalidInput(
                    path + " unit",
                    "“" + symbol + "”",
                    "%s or %s"
                        .formatted(
                            quantity.unit(UnitSystem.METRIC).symbol(),
                            quantity.unit(UnitSystem.US).symbol()),
                    "it is a " + quantity.name().toLowerCase(Locale.ROOT)));
  }

  private static FlowSheet sheet(JsonNode node, String path) {
    var depression =
        unit(node.get("depressionUnit").asText(), Quantity.DEPRESSION, path + " depression");
    var lift = unit(node.get("liftUnit").asText(), Quantity.LENGTH, path + " lift");
    var flow = unit(node.get("flowUnit").asText(), Quantity.AIRFLOW, path + " flow");
    var rows = new ArrayList<FlowSheet.Row>();
    for (var row : node.get("rows")) {
      rows.add(
          new FlowSheet.Row(lift.toSi(row.get(0).asDouble()), flow.toSi(row.get(1).asDouble())));
    }
    return new FlowSheet(
        depression.toSi(node.get("depression").asDouble()),
        provenance(node.get("provenance").asText()),
        FlowSheet.Fitting.valueOf(node.path("fitting").asText(FlowSheet.Fitting.NOT_STATED.name())),
        rows);
  }

  private static Object value(RecordComponent c, Object record) {
    try {
      return c.getAccessor().invoke(record);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(e);
    }
  }
}
