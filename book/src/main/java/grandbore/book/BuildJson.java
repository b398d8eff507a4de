package grandbore.book;

import com.fasterxml.jackson.core.JsonParseException;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import grandbore.core.build.Build;
import grandbore.core.build.SpeedRange;
import grandbore.core.clearances.Application;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.InvalidInput;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Builds as JSON documents: format grand-bore-build, version 6. Refused whole where damaged.
 * Versions 1 to 4, which knew less of an engine, are read for ever.
 */
public final class BuildJson {
  static final String FORMAT = "grand-bore-build";
  static final int VERSION = 6;

  /** From here on parts have the names they have now. */
  private static final int RENAMED = 6;

  /** Longest message of a reader of JSON that is passed on, characters. */
  private static final int LONGEST = 200;

  private static final JsonMapper MAPPER =
      JsonMapper.builder()
          .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .enable(StreamReadFeature.INCLUDE_SOURCE_IN_LOCATION)
          .build();
  private static final JsonSchemaFactory SCHEMAS =
      JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012);
  private static final JsonSchema SCHEMA = SCHEMAS.getSchema(BuildSchema.asNode());

  /** Older versions' schemas, only made where one is read. */
  private static final class Older {
    private static final Map<Integer, JsonSchema> MADE = new ConcurrentHashMap<>();

    static JsonSchema of(int version) {
      return MADE.computeIfAbsent(
          version,
          v ->
              SCHEMAS.getSchema(
                  BuildJson.class.getResourceAsStream("build-" + v + ".schema.json")));
    }
  }

  private BuildJson() {}

  /** The document's text, indented. */
  public static String write(BuildDocument document) {
    try {
      return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(toNode(document)) + "\n";
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * Reads a document.
   *
   * @throws FormatException with the place of the damage
   * @throws InvalidInput where a value can't be
   */
  public static BuildDocument read(String text) {
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
    if (!FORMAT.equals(node.path("format").asText())) {
      throw new FormatException(
          "format is “%s”; allowed: %s, because other files hold other things"
              .formatted(Lines.shortened(node.path("format").asText()), FORMAT));
    }
    int version = node.path("version").asInt();
    if (version < 1 || version > VERSION) {
      throw new FormatException(
          "version is %s; allowed: 1 to %d, because later ones may hold what this program does not know"
              .formatted(Lines.shortened(node.path("version").asText()), VERSION));
    }
    var schema = version == VERSION ? SCHEMA : Older.of(version);
    var faults = schema.validate(node);
    if (!faults.isEmpty()) {
      var first =
          faults.stream()
              .min(Comparator.comparing(m -> m.getInstanceLocation().toString()))
              .orElseThrow();
      throw new FormatException(shown(first.getMessage().replaceFirst("^\\$\\.?", "at ")));
    }
    return fromNode(node);
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

  /** A document's text without its indentation; what is no JSON stays as it is. */
  static String compact(String text) {
    try {
      return MAPPER.readTree(text).toString();
    } catch (JsonProcessingException e) {
      return text;
    }
  }

  /** The name in a document that otherwise may be damaged. */
  static String nameOf(String text, String otherwise) {
    try {
      String name = MAPPER.readTree(text).path("name").asText("").strip();
      return name.isEmpty() ? otherwise : name.substring(0, Math.min(120, name.length()));
    } catch (JsonProcessingException e) {
      return otherwise;
    }
  }

  /** The document's text in one line, as the book keeps it. */
  static String writeCompact(BuildDocument document) {
    return toNode(document).toString();
  }

  /** A validator quotes what it refuses, however long. */
  private static String shown(String message) {
    return message.length() <= LONGEST
        ? message
        : message.substring(0, LONGEST / 2) + " … " + message.substring(message.length() - 40);
  }

  /**
   * Reads what the book itself wrote: its checksum was checked, so that a document of this version
   * is not held against the schema again.
   */
  static Build stored(String text) {
    try {
      var node = MAPPER.readTree(text);
      if (node.path("version").asInt() == VERSION) {
        return fromNode(node).build();
      }
    } catch (JsonProcessingException e) {
      throw new FormatException("Not a JSON document: " + firstLine(e.getOriginalMessage()), e);
    }
    return read(text).build();
  }

  private static String firstLine(String message) {
    int end = message.indexOf('\n');
    return shown(end < 0 ? message : message.substring(0, end));
  }

  private static ObjectNode toNode(BuildDocument document) {
    var build = document.build();
    var node = JsonNodeFactory.instance.objectNode();
    node.put("format", FORMAT);
    node.put("version", VERSION);
    node.put("name", build.name());
    node.put("units", build.units().name());
    node.put("application", build.application().name());
    node.putObject("speeds").put("from", build.speeds().from()).put("to", build.speeds().to());
    node.set("combination", CombinationJson.write(build.combination(), build.units()));
    var list = node.putArray("readings");
    for (var r : document.readings()) {
      list.add(ReadingJson.write(r, build.units()));
    }
    var notes = node.putArray("notes");
    for (var kept : document.notes()) {
      notes.add(NoteJson.write(kept));
    }
    return node;
  }

  /** Before version 3 all racing was one. */
  private static Application application(String word) {
    return word.equals("RACE") ? Application.ROAD_COURSE : Application.valueOf(word);
  }

  private static BuildDocument fromNode(JsonNode node) {
    var written = node.get("combination");
    var combination =
        CombinationJson.read(
            node.get("name").asText(),
            node.path("version").asInt() < RENAMED ? OlderNames.today(written) : written);
    var range =
        new SpeedRange(
            node.get("speeds").get("from").asDouble(), node.get("speeds").get("to").asDouble());
    if (!node.get("combination").has("brief")) {
      combination = range.asBand(combination);
    }
    var build =
        new Build(
            UnitSystem.valueOf(node.get("units").asText()),
            application(node.get("application").asText()),
            range,
            combination);
    List<Reading> readings = new ArrayList<>();
    for (var r : node.path("readings")) {
      readings.add(ReadingJson.read(r, readings.size() + 1));
    }
    List<Kept> notes = new ArrayList<>();
    for (var n : node.path("notes")) {
      notes.add(NoteJson.readKept(n, notes.size() + 1));
    }
    return new BuildDocument(build, readings, notes);
  }
}
