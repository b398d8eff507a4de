package grandbore.book;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OnDyno;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * A day of the demo's V8 at the dyno: pulls of the simulated one, with a fault found on the way.
 */
final class DemoDyno {
  private DemoDyno() {}

  static List<Kept> notes() {
    var all = new ArrayList<Kept>();
    try (var in = DemoDyno.class.getResourceAsStream("demo-dyno.json")) {
      for (JsonNode each :
          JsonText.MAPPER.readTree(new String(in.readAllBytes(), StandardCharsets.UTF_8))) {
        var note =
            new OnDyno(
                OnDyno.Kind.valueOf(each.get("kind").asText()), each.get("document").toString());
        all.add(new Kept(0, note, "", Instant.parse(each.get("at").asText()), false));
      }
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return all;
  }
}
