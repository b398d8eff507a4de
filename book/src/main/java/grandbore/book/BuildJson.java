package grandbore.book;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
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
      return JsonText.MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(toNode(document))
          + "\n";
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
    var node = JsonText.parse(text);
    int version = JsonText.version(node, FORMAT, VERSION);
    JsonText.check(node, version == VERSION ? SCHEMA : Older.of(version));
    return fromNode(node);
  }

  /** A document's text without its indentation; what is no JSON stays as it is. */
  static String compact(String text) {
    try {
      return JsonText.MAPPER.readTree(text).toString();
    } catch (JsonProcessingException e) {
      return text;
    }
  }

  /** The name in a document that otherwise may be damaged. */
  static String nameOf(String text, String otherwise) {
    try {
      String name = JsonText.MAPPER.readTree(text).path("name").asText("").strip();
      return name.isEmpty() ? otherwise : name.substring(0, Math.min(120, name.length()));
    } catch (JsonProcessingException e) {
      return otherwise;
    }
  }

  /** The document's text in one line, as the book keeps it. */
  static String writeCompact(BuildDocument document) {
    return toNode(document).toString();
  }

  /**
   * Reads what the book itself wrote: its checksum was checked, so that a document of this version
   * is not held against the schema again.
   */
  static Build stored(String text) {
    try {
      var node = JsonText.MAPPER.readTree(text);
      if (node.path("version").asInt() == VERSION) {
        return fromNode(node).build();
      }
    } catch (JsonProcessingException e) {
      throw new FormatException(
          "Not a JSON document: " + JsonText.firstLine(e.getOriginalMessage()), e);
    }
    return read(text).build();
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
