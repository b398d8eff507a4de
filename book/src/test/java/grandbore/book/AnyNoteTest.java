package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.clearances.Band;
import grandbore.core.clearances.Fastener;
import grandbore.core.clearances.Finding;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Note;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.Photo;
import grandbore.core.clearances.Rule;
import grandbore.core.clearances.Tick;
import grandbore.core.combination.InvalidInput;
import grandbore.core.demo.DemoBuilds;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Notes of every kind and any content go into the book and the document and come back. */
class AnyNoteTest {
  private static final ObjectMapper MAPPER = new ObjectMapper();

  @TempDir Path folder;

  private static String words(Random random) {
    String letters = "abc äöü \"'\\{}[]:,\t–·°µ½ 0123";
    var text = new StringBuilder("x");
    for (int i = random.nextInt(30); i > 0; i--) {
      text.append(letters.charAt(random.nextInt(letters.length())));
    }
    return text.append('x').toString();
  }

  private static Note any(Random random) {
    return switch (random.nextInt(6)) {
      case 0 -> {
        var m = Measurement.values()[random.nextInt(Measurement.values().length)];
        double least = m.least() + 0.3 * (m.most() - m.least()) * random.nextDouble();
        double most = random.nextBoolean() ? 0 : least + 0.3 * (m.most() - m.least());
        var sides = m.sides().all();
        yield new Rule(
            m,
            sides.get(random.nextInt(sides.size())),
            Band.Source.MAKER,
            least,
            most,
            words(random));
      }
      case 1 -> {
        int n = 1 + random.nextInt(20);
        var order = new ArrayList<>(IntStream.rangeClosed(1, n).boxed().toList());
        Collections.shuffle(order, random);
        var stages = new ArrayList<Fastener.Stage>();
        for (int i = 1 + random.nextInt(4); i > 0; i--) {
          var kind = Fastener.Kind.values()[random.nextInt(3)];
          stages.add(new Fastener.Stage(kind, 1e-3 * (0.1 + random.nextDouble())));
        }
        yield new Fastener(words(random), words(random), 1 + random.nextInt(n), order, stages);
      }
      case 2 -> new Tick(words(random));
      case 4 ->
          new OnJob(
              OnJob.Kind.values()[random.nextInt(OnJob.Kind.values().length)],
              words(random),
              words(random));
      case 3 ->
          new Finding(
              Finding.Part.values()[random.nextInt(Finding.Part.values().length)],
              1 + random.nextInt(13),
              Finding.Kind.values()[random.nextInt(Finding.Kind.values().length)],
              words(random));
      default ->
          new Photo(Long.toHexString(random.nextLong()) + ".png", "ab".repeat(32), words(random));
    };
  }

  private static List<Kept> many(Random random, int count) {
    var all = new ArrayList<Kept>();
    for (int i = 1; i <= count; i++) {
      all.add(
          new Kept(
              i,
              any(random),
              random.nextBoolean() ? "" : words(random),
              Instant.ofEpochSecond(1_790_000_000L + random.nextInt(1_000_000)),
              random.nextInt(4) == 0));
    }
    return all;
  }

  @Test
  void anyNotesComeBackFromTheDocumentAndTheBook() {
    var random = new Random(17);
    for (int set = 0; set < 20; set++) {
      var notes = many(random, 25);
      var document = new BuildDocument(DemoBuilds.paddockFour(), List.of(), notes);
      assertThat(BuildJson.read(BuildJson.write(document)).notes()).isEqualTo(notes);
    }
    var notes = many(random, 60);
    long id;
    try (var book = ShopBook.open(folder.resolve("book.db"))) {
      id = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of(), notes));
    }
    try (var book = ShopBook.open(folder.resolve("book.db"))) {
      assertThat(book.document(id).notes()).isEqualTo(notes);
    }
  }

  /** A note that lost a part, gained one, or is of no kind: the document is refused whole. */
  @Test
  void aDamagedNoteRefusesItsDocument() throws Exception {
    var random = new Random(18);
    for (int set = 0; set < 80; set++) {
      var text =
          BuildJson.write(new BuildDocument(DemoBuilds.paddockFour(), List.of(), many(random, 5)));
      var node = (ObjectNode) MAPPER.readTree(text);
      var list = (ArrayNode) node.get("notes");
      var hit = (ObjectNode) list.get(random.nextInt(list.size()));
      switch (random.nextInt(4)) {
        case 0 -> hit.put("kind", "SONG");
        case 1 -> hit.remove("at");
        case 2 -> ((ObjectNode) hit.get("note")).put("colour", "blue");
        default -> {
          var note = (ObjectNode) hit.get("note");
          var names = new ArrayList<String>();
          note.fieldNames().forEachRemaining(names::add);
          note.remove(names.get(random.nextInt(names.size())));
        }
      }
      assertThatThrownBy(() -> BuildJson.read(node.toString()))
          .isInstanceOfAny(FormatException.class, InvalidInput.class);
    }
  }
}
