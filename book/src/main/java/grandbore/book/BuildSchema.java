package grandbore.book;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.clearances.Application;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Combination;
import grandbore.core.combination.CompressorMap;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Given;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Spec;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** The JSON Schema of a build document, made from the records themselves so that it stays true. */
public final class BuildSchema {
  /** Inputs that came after the version was published: documents without them are whole. */
  private static final Set<String> LATER =
      Set.of(
          "ratings.fuelFlow",
          "learned",
          "heads.plugs",
          "heads.chamber",
          "heads.tumble",
          "intake.throttleLength",
          "intake.throttleSection",
          "intake.boxLength",
          "intake.airBox",
          "intake.ductLength",
          "intake.ductSection",
          "mixture.byCylinder");

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private BuildSchema() {}

  /** The schema's text, as published. */
  public static String text() {
    try {
      return JsonMapper.builder()
              .build()
              .writerWithDefaultPrettyPrinter()
              .writeValueAsString(asNode())
          + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  static ObjectNode asNode() {
    var root = object();
    root.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    root.put("title", "Grand Bore build, version " + BuildJson.VERSION);
    root.put(
        "description",
        "One engine combination with its readings. Every number carries its unit; ranges are given"
            + " in SI and metric beside each input.");
    property(root, "format", NODES.objectNode().put("const", BuildJson.FORMAT));
    property(root, "version", NODES.objectNode().put("const", BuildJson.VERSION));
    property(
        root,
        "name",
        NODES.objectNode().put("type", "string").put("minLength", 1).put("maxLength", 120));
    property(root, "units", words(UnitSystem.values()));
    property(root, "application", words(Application.values()));
    var speeds = object();
    property(speeds, "from", number("rpm"));
    property(speeds, "to", number("rpm"));
    property(root, "speeds", speeds);
    var combination = object();
    for (var group : Combination.class.getRecordComponents()) {
      if (group.getType().isRecord()) {
        var inner = object();
        for (var c : group.getType().getRecordComponents()) {
          property(inner, c.getName(), component(c));
          if (isTable(c.getType()) || LATER.contains(group.getName() + "." + c.getName())) {
            optional(inner, c.getName());
          }
        }
        property(combination, group.getName(), inner);
        if (LATER.contains(group.getName())) {
          optional(combination, group.getName());
        }
      }
    }
    property(root, "combination", combination);
    var readings = NODES.objectNode().put("type", "array");
    readings.set("items", reading());
    ((ObjectNode) root.get("properties")).set("readings", readings);
    ((ObjectNode) root.get("properties")).set("notes", NoteJson.schema());
    return root;
  }

  /** What may be there or not. */
  static boolean isTable(Class<?> type) {
    return type == LiftTable.class || type == CompressorMap.class || type == MixtureTable.class;
  }

  static ObjectNode component(RecordComponent c) {
    if (c.getType() == Given.class) {
      return given(c.getAnnotation(Spec.class));
    }
    if (c.getType() == FlowSheet.class) {
      return sheet();
    }
    if (c.getType() == int.class) {
      return whole();
    }
    if (c.getType() == LiftTable.class) {
      return table();
    }
    if (c.getType() == CompressorMap.class) {
      return map();
    }
    if (c.getType() == MixtureTable.class) {
      return mixture();
    }
    if (c.getType() == List.class) {
      var list = NODES.objectNode().put("type", "array");
      var element = CombinationJson.element(c);
      boolean whole = element == Integer.class;
      var items = NODES.objectNode().put("type", whole ? "integer" : "number");
      list.set("items", element.isEnum() ? words(constants(element)) : whole ? whole() : items);
      return list;
    }
    return words(constants(c.getType()));
  }

  static Enum<?>[] constants(Class<?> type) {
    return Stream.of(type.getEnumConstants()).map(e -> (Enum<?>) e).toArray(Enum[]::new);
  }

  private static ObjectNode given(Spec spec) {
    var q = spec.quantity();
    var node = object();
    node.put("title", spec.label());
    node.put(
        "description",
        "%s to %s%s; %s"
            .formatted(
                q.show(spec.min(), UnitSystem.METRIC),
                q.show(spec.max(), UnitSystem.METRIC),
                spec.optional() ? ", or 0 where it is not known" : "",
                spec.why()));
    property(node, "value", NODES.objectNode().put("type", "number"));
    property(node, "unit", units(q));
    property(node, "provenance", provenance());
    ((ObjectNode) node.get("properties"))
        .set(
            "spread",
            NODES
                .objectNode()
                .put("type", "number")
                .put("minimum", 0)
                .put("description", "one standard deviation, in the same unit"));
    ((ObjectNode) node.get("properties"))
        .set("si", number("the same in SI, where the value's digits don't give it exactly"));
    ((ObjectNode) node.get("properties"))
        .set(
            "typed",
            NODES
                .objectNode()
                .put("type", "string")
                .put("maxLength", 60)
                .put("description", "as the builder wrote it"));
    return node;
  }

  private static ObjectNode sheet() {
    var node = object();
    property(node, "depression", NODES.objectNode().put("type", "number"));
    property(node, "depressionUnit", units(Quantity.DEPRESSION));
    property(node, "liftUnit", units(Quantity.LENGTH));
    property(node, "flowUnit", units(Quantity.AIRFLOW));
    property(node, "provenance", provenance());
    property(node, "fitting", words(FlowSheet.Fitting.values()));
    property(node, "rows", rows(2, 2, "pairs of valve lift and flow, lifts rising"));
    return node;
  }

  private static ObjectNode map() {
    var node = object();
    property(node, "speedUnit", units(Quantity.ROTATION));
    property(node, "flowUnit", units(Quantity.MASS_FLOW));
    property(node, "provenance", provenance());
    property(
        node,
        "rows",
        rows(
            4,
            4,
            "shaft speed, flow corrected to 1 bar and 25 °C, pressure ratio, efficiency; each"
                + " speed's line from surge to choke, the slowest first"));
    return node;
  }

  private static ObjectNode mixture() {
    var node = object();
    property(node, "speedUnit", units(Quantity.ROTATION));
    property(node, "sparkUnit", units(Quantity.ANGLE));
    property(node, "provenance", provenance());
    property(
        node,
        "rows",
        rows(2, 3, "speed, lambda and, in all rows or none, spark before top centre; speeds rise"));
    return node;
  }

  private static ObjectNode rows(int least, int most, String description) {
    var row = NODES.objectNode().put("type", "array").put("minItems", least).put("maxItems", most);
    row.set("items", NODES.objectNode().put("type", "number"));
    var rows = NODES.objectNode().put("type", "array");
    rows.put("description", description);
    rows.set("items", row);
    return rows;
  }

  private static ObjectNode table() {
    var node = object();
    property(node, "angleUnit", units(Quantity.ANGLE));
    property(node, "liftUnit", units(Quantity.LENGTH));
    property(node, "provenance", provenance());
    property(node, "rows", rows(2, 2, "pairs of crank angle and tappet lift, angles rising"));
    return node;
  }

  private static ObjectNode reading() {
    var node = object();
    property(node, "measurement", words(Measurement.values()));
    property(node, "place", whole());
    property(node, "side", words(Reading.Side.values()));
    property(node, "value", NODES.objectNode().put("type", "number"));
    property(node, "unit", NODES.objectNode().put("type", "string"));
    property(node, "at", instant());
    var optional = (ObjectNode) node.get("properties");
    optional.set("by", NODES.objectNode().put("type", "string"));
    optional.set("instrument", NODES.objectNode().put("type", "string"));
    optional.set("struck", NODES.objectNode().put("type", "boolean"));
    optional.set("si", number("the same in SI, where the value's digits don't give it exactly"));
    optional.set("typed", NODES.objectNode().put("type", "string"));
    optional.set("note", NODES.objectNode().put("type", "string"));
    optional.set("zeroBefore", number("in the reading's unit"));
    optional.set("zeroAfter", number("in the reading's unit"));
    optional.set("temperature", number("of the part, K; 0 where it was not noted"));
    return node;
  }

  static ObjectNode instant() {
    return NODES
        .objectNode()
        .put("type", "string")
        .put("pattern", Times.PATTERN)
        .put("description", "UTC, ISO 8601");
  }

  private static ObjectNode units(Quantity q) {
    var list = NODES.arrayNode();
    for (var m : Measure.values()) {
      if (q.accepts(m)) {
        list.add(m.symbol());
      }
    }
    var node = NODES.objectNode();
    node.set("enum", list);
    return node;
  }

  private static ObjectNode provenance() {
    var list = NODES.arrayNode();
    for (var p : Provenance.values()) {
      list.add(p.word());
    }
    var node = NODES.objectNode();
    node.set("enum", list);
    return node;
  }

  static ObjectNode words(Enum<?>... values) {
    var list = NODES.arrayNode();
    for (var v : values) {
      list.add(v.name());
    }
    var node = NODES.objectNode();
    node.set("enum", list);
    return node;
  }

  private static ObjectNode whole() {
    return NODES
        .objectNode()
        .put("type", "integer")
        .put("minimum", 1)
        .put("maximum", Integer.MAX_VALUE);
  }

  private static ObjectNode number(String unit) {
    return NODES.objectNode().put("type", "number").put("description", unit);
  }

  static ObjectNode object() {
    var node = NODES.objectNode().put("type", "object");
    node.set("properties", NODES.objectNode());
    node.set("required", NODES.arrayNode());
    node.put("additionalProperties", false);
    return node;
  }

  /** Takes the last property from the required ones. */
  static void optional(ObjectNode object, String name) {
    var required = (ArrayNode) object.get("required");
    if (required.get(required.size() - 1).asText().equals(name)) {
      required.remove(required.size() - 1);
    }
  }

  static void property(ObjectNode object, String name, ObjectNode schema) {
    ((ObjectNode) object.get("properties")).set(name, schema);
    ((ArrayNode) object.get("required")).add(name);
  }
}
