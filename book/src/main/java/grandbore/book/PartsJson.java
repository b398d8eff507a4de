package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.combination.InvalidInput;
import grandbore.core.shelf.Part;
import grandbore.core.shelf.PartKind;
import grandbore.core.shelf.PartState;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;

/** The shop's parts as a JSON document; their pictures stay with the book. */
public final class PartsJson {
  private static final int MOST = 5000;
  private static final DocumentFormat FORMAT =
      new DocumentFormat(
          "grand-bore-parts",
          1,
          "Grand Bore parts",
          "The parts of a shop: each with the inputs it sets, as a build document has them, what it"
              + " costs, where it is and in what condition.",
          PartsJson::describe);

  private PartsJson() {}

  /** The document's text, indented, numbers in the units of a system. */
  public static String write(List<Part> parts, UnitSystem units) {
    var node = FORMAT.begin();
    var list = node.putArray("parts");
    for (var part : parts) {
      var each = list.addObject();
      each.put("number", part.number()).put("kind", part.kind().name());
      each.put("state", part.state().name()).put("condition", part.condition());
      ChangesJson.put(each, part.change(), units);
    }
    return ChangesJson.text(node);
  }

  /**
   * Reads a document, whole or not at all.
   *
   * @throws FormatException with the place of the damage
   * @throws InvalidInput where a value can't be
   */
  public static List<Part> read(String text) {
    var node = FORMAT.read(text);
    var parts = new ArrayList<Part>();
    for (var each : node.get("parts")) {
      parts.add(part(each));
    }
    distinct(parts);
    return List.copyOf(parts);
  }

  /** Refuses numbers that stand twice. */
  static void distinct(List<Part> parts) {
    var numbers = new HashSet<String>();
    for (var part : parts) {
      if (!numbers.add(part.number())) {
        throw new InvalidInput(
            "Part, number", part.number() + " twice", "each once", "the shop knows it by that");
      }
    }
  }

  private static Part part(JsonNode node) {
    return new Part(
        node.get("number").asText(),
        PartKind.valueOf(node.get("kind").asText()),
        PartState.valueOf(node.get("state").asText()),
        ChangesJson.change(node),
        node.path("condition").asText(""),
        List.of());
  }

  /** The JSON Schema of such a document, as published. */
  public static String schemaText() {
    return FORMAT.schemaText();
  }

  private static void describe(ObjectNode root) {
    var nodes = JsonNodeFactory.instance;
    var part = ChangesJson.changeSchema();
    BuildSchema.property(
        part,
        "number",
        nodes.objectNode().put("type", "string").put("minLength", 1).put("maxLength", 40));
    BuildSchema.property(part, "kind", BuildSchema.words(PartKind.values()));
    BuildSchema.property(part, "state", BuildSchema.words(PartState.values()));
    ((ObjectNode) part.get("properties"))
        .set("condition", nodes.objectNode().put("type", "string").put("maxLength", 2000));
    var list = nodes.objectNode().put("type", "array").put("minItems", 1).put("maxItems", MOST);
    list.set("items", part);
    BuildSchema.property(root, "parts", list);
  }
}
