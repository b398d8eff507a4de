package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.util.function.Consumer;

/** A kind of JSON document: its name, its newest version, and the schema it is held against. */
final class DocumentFormat {
  private final String name;
  private final int version;
  private final ObjectNode described;
  private final JsonSchema schema;

  /**
   * @param title of the schema
   * @param says what such a document is
   * @param body adds to the schema all but format and version
   */
  DocumentFormat(String name, int version, String title, String says, Consumer<ObjectNode> body) {
    this.name = name;
    this.version = version;
    var nodes = JsonNodeFactory.instance;
    described = BuildSchema.object();
    described.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    described.put("title", "%s, version %d".formatted(title, version));
    described.put("description", says);
    BuildSchema.property(described, "format", nodes.objectNode().put("const", name));
    BuildSchema.property(described, "version", nodes.objectNode().put("const", version));
    body.accept(described);
    schema = JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(described);
  }

  /** The schema's text, as it is published. */
  String schemaText() {
    return ChangesJson.text(described);
  }

  /** A document that says what it is. */
  ObjectNode begin() {
    return JsonNodeFactory.instance.objectNode().put("format", name).put("version", version);
  }

  /**
   * A document of this kind, whole or not at all.
   *
   * @throws FormatException with the place of the damage
   */
  JsonNode read(String text) {
    var node = JsonText.parse(text);
    JsonText.version(node, name, version);
    JsonText.check(node, schema);
    return node;
  }
}
