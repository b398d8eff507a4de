package grandbore.book;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Taken;
import grandbore.core.combination.InvalidInput;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;

/** One reading as JSON, in a unit of its kind. */
final class ReadingJson {
  private ReadingJson() {}

  static ObjectNode write(Reading r, UnitSystem units) {
    var unit = r.measurement().quantity().unit(units);
    var t = r.taken();
    var node =
        JsonNodeFactory.instance
            .objectNode()
            .put("measurement", r.measurement().name())
            .put("place", r.place())
            .put("side", r.side().name())
            .put("by", t.by())
            .put("instrument", t.instrument())
            .put("at", t.at().toString())
            .put("struck", r.struck());
    ExactNumber.put(node, unit, r.value());
    if (!t.typed().isEmpty()) {
      node.put("typed", t.typed());
    }
    if (!t.note().isEmpty()) {
      node.put("note", t.note());
    }
    if (t.zeroBefore() != 0 || t.zeroAfter() != 0) {
      node.put("zeroBefore", ExactNumber.tidy(unit.differenceFromSi(t.zeroBefore())))
          .put("zeroAfter", ExactNumber.tidy(unit.differenceFromSi(t.zeroAfter())));
    }
    if (t.temperature() != 0) {
      node.put("temperature", ExactNumber.tidy(t.temperature()));
    }
    return node;
  }

  static Reading read(JsonNode r, long number) {
    var m = Measurement.valueOf(r.get("measurement").asText());
    String symbol = r.get("unit").asText();
    var unit =
        Measure.of(symbol)
            .filter(m.quantity()::accepts)
            .orElseThrow(
                () ->
                    new InvalidInput(
                        "Reading " + number + " unit",
                        symbol,
                        m.quantity().unit(UnitSystem.METRIC).symbol(),
                        "it is a " + m.label()));
    double zero = unit.toSi(0);
    return new Reading(
        number,
        m,
        r.get("place").asInt(),
        Reading.Side.valueOf(r.get("side").asText()),
        ExactNumber.read(r, unit),
        new Taken(
            r.path("by").asText(""),
            r.path("instrument").asText(""),
            r.path("typed").asText(""),
            unit.toSi(r.path("zeroBefore").asDouble(0)) - zero,
            unit.toSi(r.path("zeroAfter").asDouble(0)) - zero,
            r.path("temperature").asDouble(0),
            r.path("note").asText(""),
            Times.read(r.get("at").asText(), "Time of reading " + number)),
        r.path("struck").asBoolean(false));
  }
}
