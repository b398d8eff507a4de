package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Map;

/** The names that parts of a build document had before version 6. */
final class OlderNames {
  static final Map<String, String> GROUPS =
      Map.of(
          "squeeze", "compression",
          "gear", "valveHardware",
          "fits", "partSizes",
          "card", "camCard");

  static final Map<String, String> INTAKE =
      Map.of("meters", "throttles", "meterFlow", "throttleFlow");

  private OlderNames() {}

  /** The same combination under today's names. */
  static JsonNode today(JsonNode combination) {
    ObjectNode copy = combination.deepCopy();
    rename(copy, GROUPS);
    if (copy.get("intake") instanceof ObjectNode intake) {
      rename(intake, INTAKE);
    }
    return copy;
  }

  static void rename(ObjectNode node, Map<String, String> names) {
    names.forEach(
        (old, now) -> {
          var value = node.remove(old);
          if (value != null) {
            node.set(now, value);
          }
        });
  }
}
