package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import grandbore.core.dyno.Channel;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How the columns of one recorder's files are read; remembered once it was set.
 *
 * @param source by which the recorder is told
 * @param headings of its columns as they stand, which tell one layout from another
 * @param columns each that is read
 */
public record PullLayout(String source, List<String> headings, List<Mapped> columns) {
  /**
   * @param heading of the column
   * @param channel empty for the time of the row, in seconds
   * @param place of a cylinder or bank; 0
   * @param unit as written
   */
  public record Mapped(String heading, Optional<Channel> channel, int place, String unit) {}

  public PullLayout {
    headings = List.copyOf(headings);
    columns = List.copyOf(columns);
    if (source.isBlank() || source.length() > 120) {
      throw new FormatException("Recorder: a name of 1 to 120 characters is wanted");
    }
  }

  /** With a column read another way; one that is not read where the channel is none. */
  public PullLayout with(Mapped column) {
    var all = new ArrayList<>(columns);
    all.removeIf(m -> m.heading().equals(column.heading()));
    all.add(column);
    return new PullLayout(source, headings, all);
  }

  /** With a column left out. */
  public PullLayout without(String heading) {
    var all = new ArrayList<>(columns);
    all.removeIf(m -> m.heading().equals(heading));
    return new PullLayout(source, headings, all);
  }

  /** As the book keeps it. */
  public String write() {
    var node = JsonText.MAPPER.createObjectNode().put("source", source);
    var names = node.putArray("headings");
    headings.forEach(names::add);
    var list = node.putArray("columns");
    for (var m : columns) {
      var each = list.addObject().put("heading", m.heading).put("place", m.place);
      each.put("unit", m.unit);
      m.channel.ifPresent(c -> each.put("channel", c.word()));
    }
    return node.toString();
  }

  /**
   * @throws FormatException where it is none
   */
  public static PullLayout read(String text) {
    var node = JsonText.parse(text);
    var headings = new ArrayList<String>();
    node.path("headings").forEach(h -> headings.add(h.asText()));
    var columns = new ArrayList<Mapped>();
    for (JsonNode each : node.path("columns")) {
      var channel = Optional.ofNullable(each.get("channel")).map(JsonNode::asText);
      columns.add(
          new Mapped(
              each.path("heading").asText(),
              channel.map(
                  w ->
                      Channel.of(w)
                          .orElseThrow(
                              () ->
                                  new FormatException(
                                      "No channel is called " + Lines.shortened(w)))),
              each.path("place").asInt(),
              each.path("unit").asText("")));
    }
    return new PullLayout(node.path("source").asText(), headings, columns);
  }
}
