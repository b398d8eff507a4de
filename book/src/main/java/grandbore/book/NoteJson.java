package grandbore.book;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Note;
import grandbore.core.combination.InvalidInput;
import java.lang.reflect.Type;
import java.time.Instant;
import java.util.List;
import java.util.Locale;

/** Notes of the book as JSON, component by component; numbers in SI units. */
final class NoteJson {
  private static final JsonMapper MAPPER =
      JsonMapper.builder()
          .addModule(new JavaTimeModule())
          .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS)
          .build();
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;
  private static final List<Class<?>> KINDS = List.of(Note.class.getPermittedSubclasses());

  private NoteJson() {}

  /** Which kind of note, as a word. */
  static String kind(Note note) {
    return word(note.getClass());
  }

  /** The same of all notes of a type. */
  static String kind(Class<? extends Note> type) {
    return word(type);
  }

  private static String word(Class<?> type) {
    return type.getSimpleName().toUpperCase(Locale.ROOT);
  }

  /** A note alone, as text for the book. */
  static String write(Note note) {
    return MAPPER.valueToTree(note).toString();
  }

  /** A note of a kind from its text. */
  static Note read(String kind, String text) {
    try {
      return read(kind, MAPPER.readTree(text));
    } catch (JsonProcessingException e) {
      throw new FormatException("Not a note: " + e.getOriginalMessage(), e);
    }
  }

  private static Note read(String kind, JsonNode node) {
    var type =
        KINDS.stream()
            .filter(k -> word(k).equals(kind))
            .findFirst()
            .orElseThrow(() -> new FormatException("Notes are not of a kind " + kind));
    try {
      return (Note) MAPPER.treeToValue(node, type);
    } catch (JsonProcessingException e) {
      if (e.getCause() instanceof InvalidInput wrong) {
        throw wrong;
      }
      throw new FormatException("Not a note: " + e.getOriginalMessage(), e);
    }
  }

  static ObjectNode write(Kept kept) {
    var node = NODES.objectNode();
    node.put("kind", kind(kept.note()));
    node.put("by", kept.by());
    node.put("at", kept.at().toString());
    node.put("struck", kept.struck());
    node.set("note", MAPPER.valueToTree(kept.note()));
    return node;
  }

  static Kept readKept(JsonNode node, long id) {
    return new Kept(
        id,
        read(node.get("kind").asText(), node.get("note")),
        node.path("by").asText(""),
        Times.read(node.get("at").asText(), "Time of note " + id),
        node.path("struck").asBoolean(false));
  }

  /** The schema of a list of notes. */
  static ObjectNode schema() {
    var kinds = NODES.arrayNode();
    for (var type : KINDS) {
      var one = BuildSchema.object();
      one.put("title", word(type));
      BuildSchema.property(one, "kind", NODES.objectNode().put("const", word(type)));
      BuildSchema.property(one, "by", NODES.objectNode().put("type", "string"));
      BuildSchema.property(one, "at", BuildSchema.instant());
      BuildSchema.property(one, "struck", NODES.objectNode().put("type", "boolean"));
      BuildSchema.property(one, "note", record(type));
      kinds.add(one);
    }
    var items = NODES.objectNode();
    items.set("oneOf", kinds);
    var list = NODES.objectNode().put("type", "array");
    list.set("items", items);
    return list;
  }

  private static ObjectNode record(Class<?> type) {
    var node = BuildSchema.object();
    for (var c : type.getRecordComponents()) {
      BuildSchema.property(node, c.getName(), typed(c.getGenericType()));
      // What is only there or not came later than the documents that do not say it.
      if (c.getType() == boolean.class) {
        BuildSchema.optional(node, c.getName());
      }
    }
    return node;
  }

  private static ObjectNode typed(Type type) {
    if (type instanceof java.lang.reflect.ParameterizedType list) {
      var node = NODES.objectNode().put("type", "array");
      node.set("items", typed(list.getActualTypeArguments()[0]));
      return node;
    }
    var plain = (Class<?>) type;
    if (plain == Instant.class) {
      return BuildSchema.instant();
    }
    if (plain.isEnum()) {
      return BuildSchema.words(BuildSchema.constants(plain));
    }
    if (plain.isRecord()) {
      return record(plain);
    }
    String word =
        plain == String.class
            ? "string"
            : plain == boolean.class
                ? "boolean"
                : plain == int.class || plain == Integer.class ? "integer" : "number";
    var node = NODES.objectNode().put("type", word);
    if (word.equals("integer")) {
      node.put("minimum", Integer.MIN_VALUE).put("maximum", Integer.MAX_VALUE);
    }
    return plain == double.class ? node.put("description", "SI") : node;
  }
}
