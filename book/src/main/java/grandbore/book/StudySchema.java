package grandbore.book;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.studies.Goal;
import java.util.List;

/** What a kept study looks like: its build and its changes are documents of their own. */
final class StudySchema {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private StudySchema() {}

  static void describe(ObjectNode root) {
    BuildSchema.property(root, "model", whole().put("description", "version of the model"));
    BuildSchema.property(
        root, "build", type("object").put("description", "a build document, as it was then"));
    BuildSchema.property(root, "asked", asked());
    BuildSchema.property(root, "answer", answer());
  }

  private static ObjectNode asked() {
    var asked = BuildSchema.object();
    var kind = NODES.objectNode();
    var kinds = kind.putArray("enum");
    List.of("LADDER", "SWEEP", "SEARCH", "DOUBT", "BESIDE").forEach(kinds::add);
    BuildSchema.property(asked, "kind", kind);
    BuildSchema.property(asked, "band", span("speeds, rev/min"));
    may(asked, "changes", type("object").put("description", "a document of changes"));
    may(asked, "speeds", list(type("number")).put("description", "rev/min"));
    var input = BuildSchema.object();
    BuildSchema.property(input, "path", type("string"));
    BuildSchema.property(
        input, "values", list(type("number")).put("description", "in SI; of a search, its ends"));
    may(asked, "inputs", list(input));
    for (var name : List.of("pairs", "idle", "robust")) {
      may(asked, name, type("boolean"));
    }
    var other = BuildSchema.object();
    BuildSchema.property(other, "name", type("string"));
    BuildSchema.property(
        other,
        "build",
        type("object").put("description", "a build document, measured values in place"));
    BuildSchema.property(
        other,
        "clearances",
        list(type("number")).put("description", "of each cylinder at top centre, m³"));
    may(asked, "others", list(other));
    may(asked, "goal", BuildSchema.words(Goal.values()));
    may(asked, "second", BuildSchema.words(Goal.values()));
    may(asked, "bounds", bounds());
    may(asked, "from", type("number").put("description", "rev/min"));
    may(asked, "to", type("number").put("description", "rev/min"));
    for (var name : List.of("candidates", "samples", "seed")) {
      may(asked, name, whole());
    }
    return asked;
  }

  private static ObjectNode bounds() {
    var bounds = BuildSchema.object();
    may(bounds, "money", type("number"));
    may(bounds, "octane", type("number").put("description", "to spare, (R+M)/2"));
    may(bounds, "pistonSpeed", type("number").put("description", "mean, m/s"));
    may(bounds, "pistonToValve", type("number").put("description", "at the closest, m"));
    may(bounds, "vacuum", type("number").put("description", "at idle, Pa"));
    BuildSchema.property(bounds, "follow", type("boolean"));
    return bounds;
  }

  private static ObjectNode answer() {
    var table = BuildSchema.object();
    BuildSchema.property(table, "title", type("string"));
    BuildSchema.property(table, "columns", list(type("string")));
    BuildSchema.property(table, "rows", list(list(type("string"))));
    var answer = BuildSchema.object();
    BuildSchema.property(answer, "said", type("string"));
    BuildSchema.property(answer, "tables", list(table));
    return answer;
  }

  private static ObjectNode span(String description) {
    var span = BuildSchema.object().put("description", description);
    BuildSchema.property(span, "from", type("number"));
    BuildSchema.property(span, "to", type("number"));
    return span;
  }

  private static ObjectNode type(String name) {
    return NODES.objectNode().put("type", name);
  }

  private static ObjectNode whole() {
    return type("integer");
  }

  private static ObjectNode list(ObjectNode of) {
    var list = type("array");
    list.set("items", of);
    return list;
  }

  private static void may(ObjectNode object, String name, ObjectNode schema) {
    object.withObjectProperty("properties").set(name, schema);
  }
}
