package grandbore.book;

import com.fasterxml.jackson.core.JsonParseException;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.networknt.schema.JsonSchema;
import java.util.Comparator;

/** A JSON document read whole and held against its schema, or refused with the place. */
final class JsonText {
  /** Signs of a message that are shown. */
  private static final int LONGEST = 200;

  static final JsonMapper MAPPER =
      JsonMapper.builder()
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .enable(StreamReadFeature.INCLUDE_SOURCE_IN_LOCATION)
          .build();

  private JsonText() {}

  /**
   * An object as it was written.
   *
   * @throws FormatException where it is damaged, empty, or holds a number that no computer does
   */
  static JsonNode parse(String text) {
    JsonNode node;
    try {
      node = MAPPER.readTree(Lines.unmarked(text));
    } catch (JsonParseException e) {
      var at = e.getLocation();
      throw new FormatException(
          "Not a whole JSON document: line %d, column %d: %s"
              .formatted(at.getLineNr(), at.getColumnNr(), firstLine(e.getOriginalMessage())),
          e);
    } catch (JsonProcessingException e) {
      throw new FormatException("Not a JSON document: " + firstLine(e.getOriginalMessage()), e);
    }
    if (node == null || node.isMissingNode() || !node.isObject()) {
      throw new FormatException("Not a JSON document: it is empty or not an object");
    }
    finite(node, "");
    return node;
  }

  /**
   * The version of a document of this format.
   *
   * @throws FormatException where it is another's, or a later one
   */
  static int version(JsonNode node, String format, int newest) {
    if (!format.equals(node.path("format").asText())) {
      throw new FormatException(
          "format is “%s”; allowed: %s, because other files hold other things"
              .formatted(Lines.shortened(node.path("format").asText()), format));
    }
    int version = node.path("version").asInt();
    if (version < 1 || version > newest) {
      throw new FormatException(
          "version is %s; allowed: 1 to %d, because later ones may hold what this program does not know"
              .formatted(Lines.shortened(node.path("version").asText()), newest));
    }
    return version;
  }

  /**
   * Holds a document against its schema.
   *
   * @throws FormatException with the first fault's place
   */
  static void check(JsonNode node, JsonSchema schema) {
    var faults = schema.validate(node);
    if (!faults.isEmpty()) {
      var first =
          faults.stream()
              .min(Comparator.comparing(m -> m.getInstanceLocation().toString()))
              .orElseThrow();
      String said = first.getMessage().replaceFirst("^\\$: ", "at the top: ");
      throw new FormatException(shown(said.replaceFirst("^\\$\\.?", "at ")));
    }
  }

  /** A number that no computer holds, such as 1e999, is none. */
  private static void finite(JsonNode node, String path) {
    if (node.isNumber() && !Double.isFinite(node.doubleValue())) {
      throw new FormatException(
          "at %s: %s is larger than any number here"
              .formatted(path, Lines.shortened(node.asText())));
    }
    for (var field : node.properties()) {
      finite(field.getValue(), path + "." + field.getKey());
    }
    for (int i = 0; node.isArray() && i < node.size(); i++) {
      finite(node.get(i), path + "[" + i + "]");
    }
  }

  /** A validator quotes what it refuses, however long. */
  private static String shown(String message) {
    return message.length() <= LONGEST
        ? message
        : message.substring(0, LONGEST / 2) + " … " + message.substring(message.length() - 40);
  }

  static String firstLine(String message) {
    int end = message.indexOf('\n');
    return shown(end < 0 ? message : message.substring(0, end));
  }
}
