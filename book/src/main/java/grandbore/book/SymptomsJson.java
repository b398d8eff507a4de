package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import grandbore.core.dyno.symptoms.Symptom;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Symptoms, their causes and the tests that part them, as a JSON document. */
public final class SymptomsJson {
  private static final DocumentFormat FORMAT =
      new DocumentFormat(
          "grand-bore-symptoms",
          1,
          "Grand Bore symptoms",
          "What an engine does on a dyno, what may be behind it, and tests that part the causes.",
          SymptomsJson::describe);

  private SymptomsJson() {}

  private static void describe(com.fasterxml.jackson.databind.node.ObjectNode root) {
    var nodes = com.fasterxml.jackson.databind.node.JsonNodeFactory.instance;
    var list = nodes.objectNode().put("type", "array").put("minItems", 1).put("maxItems", 200);
    var symptom = BuildSchema.object();
    BuildSchema.property(symptom, "name", nodes.objectNode().put("type", "string"));
    var cause = BuildSchema.object();
    BuildSchema.property(cause, "word", nodes.objectNode().put("type", "string"));
    BuildSchema.property(cause, "label", nodes.objectNode().put("type", "string"));
    BuildSchema.property(cause, "weight", nodes.objectNode().put("type", "number"));
    BuildSchema.property(cause, "suspects", strings());
    BuildSchema.property(symptom, "causes", array(cause));
    var test = BuildSchema.object();
    BuildSchema.property(test, "label", nodes.objectNode().put("type", "string"));
    BuildSchema.property(test, "minutes", nodes.objectNode().put("type", "number"));
    var answers = nodes.objectNode().put("type", "object");
    answers.set("additionalProperties", strings());
    BuildSchema.property(test, "answers", answers);
    BuildSchema.property(symptom, "tests", array(test));
    list.set("items", symptom);
    BuildSchema.property(root, "symptoms", list);
  }

  private static com.fasterxml.jackson.databind.node.ObjectNode strings() {
    var nodes = com.fasterxml.jackson.databind.node.JsonNodeFactory.instance;
    return array(nodes.objectNode().put("type", "string"));
  }

  private static com.fasterxml.jackson.databind.node.ObjectNode array(
      com.fasterxml.jackson.databind.node.ObjectNode items) {
    var list =
        com.fasterxml.jackson.databind.node.JsonNodeFactory.instance
            .objectNode()
            .put("type", "array");
    list.set("items", items);
    return list;
  }

  /** Those that come with the program. */
  public static List<Symptom> shipped() {
    try (var in = SymptomsJson.class.getResourceAsStream("symptoms.json")) {
      return read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * The shipped ones with a shop's own: one of the same name takes the place of the shipped.
   *
   * @throws FormatException where the document is damaged
   */
  public static List<Symptom> with(String shop) {
    var by = new LinkedHashMap<String, Symptom>();
    shipped().forEach(s -> by.put(s.name(), s));
    read(shop).forEach(s -> by.put(s.name(), s));
    return List.copyOf(by.values());
  }

  /**
   * @throws FormatException with the place of the damage
   */
  public static List<Symptom> read(String text) {
    var all = new ArrayList<Symptom>();
    for (JsonNode s : FORMAT.read(text).get("symptoms")) {
      var causes = new ArrayList<Symptom.Cause>();
      for (var c : s.get("causes")) {
        causes.add(
            new Symptom.Cause(
                c.get("word").asText(),
                c.get("label").asText(),
                c.get("weight").asDouble(),
                words(c.get("suspects"))));
      }
      var tests = new ArrayList<Symptom.Test>();
      for (var t : s.get("tests")) {
        Map<String, List<String>> answers = new LinkedHashMap<>();
        t.get("answers").properties().forEach(a -> answers.put(a.getKey(), words(a.getValue())));
        tests.add(new Symptom.Test(t.get("label").asText(), t.get("minutes").asDouble(), answers));
      }
      all.add(new Symptom(s.get("name").asText(), causes, tests));
    }
    return all;
  }

  private static List<String> words(JsonNode list) {
    var all = new ArrayList<String>();
    list.forEach(n -> all.add(n.asText()));
    return all;
  }
}
