package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.asked.Answer;
import grandbore.core.asked.Question;
import grandbore.core.build.Build;
import grandbore.core.changes.Change;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.Goal;
import grandbore.core.studies.SearchBounds;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** A kept study as a JSON document: what was asked, the build of then, what came out. */
public final class StudyJson {
  private static final DocumentFormat FORMAT =
      new DocumentFormat(
          "grand-bore-study",
          1,
          "Grand Bore study",
          "A kept study: what was asked, of which build with which readings, by which version of"
              + " the model, and what came out.",
          StudySchema::describe);
  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private StudyJson() {}

  /** The document's text. */
  public static String write(KeptStudy study) {
    var units = study.of().build().units();
    var node = FORMAT.begin().put("model", study.model());
    node.set("build", JsonText.parse(BuildJson.writeCompact(study.of())));
    node.set("asked", asked(study.asked(), study.of().build(), units));
    node.set("answer", answer(study.answer()));
    return node.toString();
  }

  /**
   * Reads a document, whole or not at all.
   *
   * @throws FormatException with the place of the damage
   * @throws grandbore.core.combination.InvalidInput where a value can't be
   */
  public static KeptStudy read(String text) {
    var node = FORMAT.read(text);
    var build = BuildJson.read(at(node, "build").toString());
    return new KeptStudy(
        at(node, "model").asInt(), build, question(at(node, "asked")), answer(at(node, "answer")));
  }

  /** The JSON Schema of such a document. */
  public static String schemaText() {
    return FORMAT.schemaText();
  }

  /** What has to be there. */
  private static JsonNode at(JsonNode node, String name) {
    var there = node.get(name);
    if (there == null || there.isNull()) {
      throw new FormatException("In the study “%s” is missing".formatted(name));
    }
    return there;
  }

  private static ObjectNode asked(Question asked, Build build, UnitSystem units) {
    var node = NODES.objectNode();
    switch (asked) {
      case Question.OfLadder q -> {
        node.put("kind", "LADDER");
        changes(node, q.changes(), units);
        speeds(node, q.speeds());
        band(node, q.band());
        node.put("pairs", q.pairs());
      }
      case Question.OfSweep q -> {
        node.put("kind", "SWEEP");
        axes(node, q.axes());
        speeds(node, q.speeds());
        band(node, q.band());
        node.put("idle", q.idle());
      }
      case Question.OfSearch q -> {
        node.put("kind", "SEARCH");
        axes(node, q.free());
        changes(node, q.changes(), units);
        band(node, q.band());
        node.put("goal", q.goal().name());
        q.second().ifPresent(g -> node.put("second", g.name()));
        bounds(node.putObject("bounds"), q.bounds());
        node.put("robust", q.robust());
        node.put("candidates", q.candidates()).put("seed", q.seed());
      }
      case Question.OfBeside q -> {
        node.put("kind", "BESIDE");
        rivals(node.putArray("others"), q.others(), build);
        speeds(node, q.speeds());
        band(node, q.band());
      }
      case Question.OfDoubt q -> {
        node.put("kind", "DOUBT");
        band(node, q.band());
        node.put("from", q.from()).put("to", q.to());
        node.put("samples", q.samples()).put("seed", q.seed());
      }
    }
    return node;
  }

  private static Question question(JsonNode node) {
    String kind = at(node, "kind").asText();
    return switch (kind) {
      case "LADDER" ->
          new Question.OfLadder(
              changes(node),
              numbers(at(node, "speeds")),
              band(node),
              node.path("pairs").asBoolean());
      case "SWEEP" ->
          new Question.OfSweep(
              axes(node), numbers(at(node, "speeds")), band(node), node.path("idle").asBoolean());
      case "SEARCH" ->
          new Question.OfSearch(
              band(node),
              axes(node),
              changes(node),
              goal(at(node, "goal")),
              Optional.ofNullable(node.get("second")).map(StudyJson::goal),
              bounds(at(node, "bounds")),
              node.path("robust").asBoolean(),
              at(node, "candidates").asInt(),
              at(node, "seed").asLong());
      case "BESIDE" ->
          new Question.OfBeside(
              list(at(node, "others"), StudyJson::rival), numbers(at(node, "speeds")), band(node));
      case "DOUBT" ->
          new Question.OfDoubt(
              band(node),
              at(node, "from").asDouble(),
              at(node, "to").asDouble(),
              at(node, "samples").asInt(),
              at(node, "seed").asLong());
      default -> throw new FormatException("Studies are not of a kind " + Lines.shortened(kind));
    };
  }

  /** Each as a build document without readings, its measured values in place. */
  private static void rivals(ArrayNode list, List<Question.Rival> others, Build build) {
    for (var o : others) {
      var document = new BuildDocument(build.with(o.engine().combination()), List.of());
      var one = list.addObject().put("name", o.name());
      one.set("build", JsonText.parse(BuildJson.writeCompact(document)));
      var clearances = one.putArray("clearances");
      o.engine().clearances().forEach(clearances::add);
    }
  }

  private static Question.Rival rival(JsonNode node) {
    var build = BuildJson.read(at(node, "build").toString()).build();
    try {
      return new Question.Rival(
          at(node, "name").asText(),
          new BuiltEngine(build.combination(), numbers(at(node, "clearances"))));
    } catch (FormatException e) {
      throw e;
    } catch (IllegalArgumentException e) {
      throw new FormatException("In the study: " + e.getMessage(), e);
    }
  }

  private static void changes(ObjectNode node, List<Change> changes, UnitSystem units) {
    if (!changes.isEmpty()) {
      node.set("changes", JsonText.parse(ChangesJson.write(changes, units)));
    }
  }

  private static List<Change> changes(JsonNode node) {
    return node.has("changes") ? ChangesJson.read(node.get("changes").toString()) : List.of();
  }

  private static void speeds(ObjectNode node, List<Double> speeds) {
    var list = node.putArray("speeds");
    speeds.forEach(list::add);
  }

  private static List<Double> numbers(JsonNode list) {
    return list(list, JsonNode::asDouble);
  }

  private static <T> List<T> list(JsonNode list, Function<JsonNode, T> one) {
    var all = new ArrayList<T>();
    list.forEach(n -> all.add(one.apply(n)));
    return all;
  }

  private static void band(ObjectNode node, WantedBand band) {
    node.putObject("band").put("from", band.from()).put("to", band.to());
  }

  private static WantedBand band(JsonNode node) {
    var band = at(node, "band");
    return new WantedBand(at(band, "from").asDouble(), at(band, "to").asDouble());
  }

  private static void axes(ObjectNode node, List<SweepAxis> axes) {
    var list = node.putArray("inputs");
    for (var axis : axes) {
      var one = list.addObject().put("path", axis.path());
      var values = one.putArray("values");
      axis.values().forEach(values::add);
    }
  }

  private static List<SweepAxis> axes(JsonNode node) {
    return list(
        at(node, "inputs"),
        n -> {
          try {
            return new SweepAxis(at(n, "path").asText(), numbers(at(n, "values")));
          } catch (IllegalArgumentException e) {
            throw new FormatException("In the study: " + e.getMessage(), e);
          }
        });
  }

  private static Goal goal(JsonNode node) {
    try {
      return Goal.valueOf(node.asText());
    } catch (IllegalArgumentException e) {
      throw new FormatException("In the study: no goal " + Lines.shortened(node.asText()), e);
    }
  }

  /** Only bounds that bind are written. */
  private static void bounds(ObjectNode node, SearchBounds b) {
    bound(node, "money", b.money());
    bound(node, "octane", b.octane());
    bound(node, "pistonSpeed", b.pistonSpeed());
    bound(node, "pistonToValve", b.pistonToValve());
    bound(node, "vacuum", b.vacuum());
    node.put("follow", b.follow());
  }

  private static void bound(ObjectNode node, String name, double value) {
    if (Double.isFinite(value)) {
      node.put(name, value);
    }
  }

  private static SearchBounds bounds(JsonNode node) {
    var none = SearchBounds.NONE;
    return new SearchBounds(
        node.path("money").asDouble(none.money()),
        node.path("octane").asDouble(none.octane()),
        node.path("pistonSpeed").asDouble(none.pistonSpeed()),
        node.path("pistonToValve").asDouble(none.pistonToValve()),
        node.path("vacuum").asDouble(none.vacuum()),
        node.path("follow").asBoolean(none.follow()));
  }

  private static ObjectNode answer(Answer answer) {
    var node = NODES.objectNode();
    node.put("said", answer.said());
    var tables = node.putArray("tables");
    for (var table : answer.tables()) {
      var one = tables.addObject().put("title", table.title());
      words(one.putArray("columns"), table.columns());
      var rows = one.putArray("rows");
      table.rows().forEach(r -> words(rows.addArray(), r));
    }
    return node;
  }

  private static void words(ArrayNode list, List<String> words) {
    words.forEach(list::add);
  }

  private static Answer answer(JsonNode node) {
    try {
      return new Answer(
          at(node, "said").asText(),
          list(
              at(node, "tables"),
              t ->
                  new Answer.Table(
                      at(t, "title").asText(),
                      list(at(t, "columns"), JsonNode::asText),
                      list(at(t, "rows"), r -> list(r, JsonNode::asText)))));
    } catch (FormatException e) {
      throw e;
    } catch (IllegalArgumentException e) {
      throw new FormatException("In the study: " + e.getMessage(), e);
    }
  }
}
