package grandbore.book;

import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Standard;
import grandbore.core.dyno.calibration.Coefficient;
import java.util.Arrays;
import java.util.List;

/** What a dyno record looks like, kind by kind. */
final class DynoSchema {
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private DynoSchema() {}

  static void describe(ObjectNode root) {
    var kind = NODES.objectNode();
    var kinds = kind.putArray("enum");
    List.of("pull", "frozen", "verdict", "pointer", "jets", "calibration", "cases")
        .forEach(kinds::add);
    BuildSchema.property(root, "kind", kind);
    for (var name : List.of("number", "model", "engines")) {
      may(root, name, type("integer").put("minimum", 0).put("maximum", 1_000_000));
    }
    for (var name : List.of("day", "at", "changed", "source", "note", "name", "why")) {
      may(root, name, type("string"));
    }
    may(root, "pull", type("integer").put("minimum", 1).put("maximum", 1_000_000));
    may(root, "good", type("boolean"));
    may(root, "how", BuildSchema.words(Pull.How.values()));
    may(root, "carries", words(Arrays.stream(Standard.values()).map(Standard::word).toList()));
    may(root, "rate", type("number").put("description", "of a sweep, rev/min a second"));
    may(root, "inertia", type("number").put("description", "turned in a sweep, kg m²"));
    may(root, "spark", type("number").put("description", "as read, rad before top centre"));
    may(root, "error", type("number").put("description", "of the pointer, rad"));
    may(root, "diameters", list(number()).put("description", "of all main jets, m"));
    may(root, "lambda", type("number"));
    may(root, "share", type("number").put("description", "one standard deviation, as a share"));
    may(root, "before", type("number"));
    may(root, "after", type("number"));
    var air = BuildSchema.object();
    BuildSchema.property(air, "pressure", type("number").put("description", "Pa"));
    BuildSchema.property(air, "temperature", type("number").put("description", "K"));
    BuildSchema.property(air, "humidity", type("number").put("description", "0 to 1"));
    may(root, "air", air);
    may(root, "fitted", type("object").put("description", "a change, as in a document of changes"));
    may(root, "build", type("object").put("description", "a build document, as it was then"));
    may(root, "seconds", list(number()));
    var column = BuildSchema.object();
    BuildSchema.property(
        column, "channel", words(Arrays.stream(Channel.values()).map(Channel::word).toList()));
    BuildSchema.property(column, "values", list(number()));
    may(column, "place", type("integer").put("minimum", 0).put("maximum", 24));
    may(root, "columns", list(column));
    may(
        root,
        "rows",
        list(list(number()))
            .put(
                "description",
                "speed (rev/min), torque, low and high (N m), air and fuel (kg/s), exhaust (K),"
                    + " manifold (Pa), spark and that of most torque (rad)"));
    var learnt = BuildSchema.object();
    BuildSchema.property(
        learnt,
        "coefficient",
        words(Arrays.stream(Coefficient.values()).map(Coefficient::word).toList()));
    for (var name : List.of("value", "error", "prior", "believed")) {
      BuildSchema.property(learnt, name, type("number"));
    }
    may(root, "learnt", list(learnt));
    may(root, "correlations", list(list(number())));
    var leftOut = BuildSchema.object();
    BuildSchema.property(leftOut, "what", type("string"));
    BuildSchema.property(leftOut, "before", type("number"));
    BuildSchema.property(leftOut, "after", type("number"));
    may(root, "leftOut", list(leftOut));
    may(root, "band", list(list(number())));
    var profile = BuildSchema.object();
    BuildSchema.property(
        profile,
        "coefficient",
        words(Arrays.stream(Coefficient.values()).map(Coefficient::word).toList()));
    BuildSchema.property(profile, "points", list(list(number())));
    may(root, "profiles", list(profile));
    may(root, "pulls", list(type("integer").put("minimum", 1).put("maximum", 1_000_000)));
  }

  private static ObjectNode type(String word) {
    return NODES.objectNode().put("type", word);
  }

  /** A number, or none where a row has none. */
  private static ObjectNode number() {
    var node = NODES.objectNode();
    node.putArray("type").add("number").add("null");
    return node;
  }

  private static ObjectNode words(List<String> all) {
    var node = NODES.objectNode();
    all.forEach(node.putArray("enum")::add);
    return node;
  }

  private static ObjectNode list(ObjectNode items) {
    var node = type("array");
    node.set("items", items);
    return node;
  }

  private static void may(ObjectNode object, String name, ObjectNode schema) {
    ((ObjectNode) object.get("properties")).set(name, schema);
  }
}
