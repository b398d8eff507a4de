package grandbore.book;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.changes.Plan;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Specs;
import grandbore.core.units.UnitSystem;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.TreeMap;

/** Changes as a JSON document, what they set written as a build document has it. */
public final class ChangesJson {
  private static final DocumentFormat FORMAT =
      new DocumentFormat(
          "grand-bore-changes",
          1,
          "Grand Bore changes",
          "What may be done to an engine: each change with the inputs it sets, as a build document"
              + " has them, and what it costs.",
          ChangesJson::describe);

  private ChangesJson() {}

  /** The document's text, indented, numbers in the units of a system. */
  public static String write(List<Change> changes, UnitSystem units) {
    return write(new Plan(changes), units);
  }

  /** The same with where stages end. */
  public static String write(Plan plan, UnitSystem units) {
    var node = FORMAT.begin();
    var list = node.putArray("changes");
    plan.changes().forEach(c -> put(list.addObject(), c, units));
    if (!plan.stages().isEmpty()) {
      var stages = node.putArray("stages");
      plan.stages().forEach(stages::add);
    }
    return text(node);
  }

  /** What a change is, into a node of its own. */
  static void put(ObjectNode each, Change c, UnitSystem units) {
    each.put("name", c.name()).put("price", c.cost().price());
    each.put("labour", c.cost().labour()).put("hours", c.cost().hours());
    each.put("supplier", c.supplier());
    var needs = each.putArray("needs");
    c.needs().forEach(needs::add);
    var sets = each.putObject("sets");
    c.sets()
        .forEach(
            (path, value) -> {
              int dot = path.indexOf('.');
              var group = sets.withObjectProperty(path.substring(0, dot));
              String name = path.substring(dot + 1);
              CombinationJson.put(group, name, value, units);
              if (!group.has(name)) {
                // A table that is taken away is none.
                group.putNull(name);
              }
            });
  }

  /**
   * Reads a document.
   *
   * @throws FormatException with the place of the damage
   * @throws grandbore.core.combination.InvalidInput where a value can't be
   */
  public static List<Change> read(String text) {
    return plan(text).changes();
  }

  /** The same with where stages end. */
  public static Plan plan(String text) {
    var node = FORMAT.read(text);
    var changes = new ArrayList<Change>();
    for (var each : node.get("changes")) {
      changes.add(change(each));
    }
    var stages = new ArrayList<Integer>();
    node.path("stages").forEach(s -> stages.add(s.asInt()));
    return new Plan(changes, stages);
  }

  static Change change(JsonNode node) {
    var sets = new TreeMap<String, Object>();
    for (var group : node.get("sets").properties()) {
      var type = component(Combination.class, group.getKey()).getType();
      for (var input : group.getValue().properties()) {
        String path = group.getKey() + "." + input.getKey();
        var component = component(type, input.getKey());
        sets.put(
            path,
            input.getValue().isNull()
                ? Specs.usual(component)
                : CombinationJson.readComponent(component, input.getValue(), path));
      }
    }
    var needs = new ArrayList<String>();
    node.path("needs").forEach(n -> needs.add(n.asText()));
    return new Change(
        node.get("name").asText(),
        sets,
        new Cost(
            node.path("price").asDouble(),
            node.path("labour").asDouble(),
            node.path("hours").asDouble()),
        node.path("supplier").asText(""),
        needs);
  }

  private static RecordComponent component(Class<?> type, String name) {
    return Arrays.stream(type.getRecordComponents())
        .filter(c -> c.getName().equals(name))
        .findFirst()
        .orElseThrow();
  }

  /** The JSON Schema of such a document, as published. */
  public static String schemaText() {
    return FORMAT.schemaText();
  }

  static String text(ObjectNode node) {
    try {
      return JsonText.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void describe(ObjectNode root) {
    var nodes = JsonNodeFactory.instance;
    var list = nodes.objectNode().put("type", "array").put("minItems", 1).put("maxItems", 200);
    list.set("items", changeSchema());
    BuildSchema.property(root, "changes", list);
    var stages = nodes.objectNode().put("type", "array").put("maxItems", 200);
    stages.put("description", "after how many changes each stage but the last ends");
    stages.set(
        "items", nodes.objectNode().put("type", "integer").put("minimum", 1).put("maximum", 200));
    ((ObjectNode) root.get("properties")).set("stages", stages);
  }

  /** What a change looks like. */
  static ObjectNode changeSchema() {
    var nodes = JsonNodeFactory.instance;
    var change = BuildSchema.object();
    BuildSchema.property(
        change,
        "name",
        nodes.objectNode().put("type", "string").put("minLength", 1).put("maxLength", 80));
    BuildSchema.property(change, "sets", sets());
    var more = (ObjectNode) change.get("properties");
    for (var money : List.of("price", "labour", "hours")) {
      more.set(money, nodes.objectNode().put("type", "number").put("minimum", 0));
    }
    more.set("supplier", nodes.objectNode().put("type", "string").put("maxLength", 120));
    var needs = nodes.objectNode().put("type", "array");
    needs.set("items", nodes.objectNode().put("type", "string").put("maxLength", 200));
    more.set("needs", needs);
    return change;
  }

  /** Any inputs of any groups. */
  private static ObjectNode sets() {
    var sets = BuildSchema.object();
    for (var group : Combination.class.getRecordComponents()) {
      if (group.getType().isRecord()) {
        var inner = BuildSchema.object();
        for (var c : group.getType().getRecordComponents()) {
          ((ObjectNode) inner.get("properties")).set(c.getName(), value(c));
        }
        ((ObjectNode) sets.get("properties")).set(group.getName(), inner);
      }
    }
    return sets;
  }

  /** A value as a build document has it; tables may be taken away. */
  private static ObjectNode value(RecordComponent c) {
    var schema = BuildSchema.component(c);
    if (!BuildSchema.isTable(c.getType())) {
      return schema;
    }
    var either = JsonNodeFactory.instance.objectNode();
    either.putArray("anyOf").add(schema).addObject().put("type", "null");
    return either;
  }
}
