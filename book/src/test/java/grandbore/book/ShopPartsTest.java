package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Stocked;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoShelf;
import grandbore.core.shelf.Part;
import grandbore.core.shelf.PartKind;
import grandbore.core.shelf.PartState;
import grandbore.core.shelf.Shelf;
import grandbore.core.units.UnitSystem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The shop's parts: of no build, kept in the book, in and out as documents and lists. */
class ShopPartsTest {
  @TempDir Path folder;

  private static Kept kept(Stocked note) {
    return new Kept(0, note, "", Instant.parse("2026-01-02T03:04:05Z"), false);
  }

  private static List<Part> parts(ShopBook book, long build) {
    return ShopParts.of(
        book.open(build).notes().stream()
            .filter(k -> !k.struck())
            .map(Kept::note)
            .filter(Stocked.class::isInstance)
            .map(Stocked.class::cast)
            .toList());
  }

  /** One shelf for all builds; the newest word on a part counts, also after a restart. */
  @Test
  void theShelfIsTheShops() throws IOException {
    var all = DemoShelf.parts();
    var picture = Files.writeString(folder.resolve("cam.png"), "no picture, and still a file");
    var file = folder.resolve("book.sqlite");
    try (var book = ShopBook.open(file)) {
      long eight = book.add(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
      long four = book.add(new BuildDocument(DemoBuilds.paddockFour(), List.of()));
      assertThat(parts(book, four)).isEmpty();
      all.forEach(p -> book.addNote(eight, kept(ShopParts.note(p, UnitSystem.US))));
      assertThat(parts(book, four)).extracting(Part::name).isEqualTo(names(all));
      var photo = Pictures.attach(picture, book.pictures(), " ");
      assertThat(photo.caption()).isEqualTo("cam.png");
      var cam = all.get(4).in(PartState.SOLD).with(photo);
      long sold = book.addNote(four, kept(ShopParts.note(cam, UnitSystem.METRIC)));
      assertThat(parts(book, eight).get(4).state()).isEqualTo(PartState.SOLD);
      book.addNote(four, kept(ShopParts.gone(all.getFirst())));
      assertThat(parts(book, eight)).hasSize(all.size() - 1);
      // A build that leaves the shop takes none of its shelf along.
      assertThat(book.document(eight).notes()).isEmpty();
      // Backups hold the pictures of parts as they hold those of builds.
      book.backUp();
      Files.delete(book.pictures().resolve(photo.file()));
      book.restore(book.backups().all().getFirst());
      assertThat(Pictures.trouble(book.pictures(), photo)).isEmpty();
      book.write(new Entry.StrikeNotes(four, List.of(sold), true, Instant.now()));
    }
    try (var book = ShopBook.open(file)) {
      long four = book.builds().getLast().id();
      var now = parts(book, four);
      assertThat(now).hasSize(all.size() - 1);
      assertThat(now.get(3).state()).as("the sale was struck out").isEqualTo(PartState.SHELF);
      assertThat(now.get(3).pictures()).isEmpty();
    }
  }

  private static List<String> names(List<Part> parts) {
    return parts.stream().map(Part::name).toList();
  }

  @Test
  void documentsAndListsComeBack() throws IOException {
    var all = DemoShelf.parts();
    for (var units : UnitSystem.values()) {
      var back = PartsJson.read(PartsJson.write(all, units));
      assertThat(back)
          .usingRecursiveComparison()
          .withComparatorForType(
              (a, b) -> Math.abs(a - b) <= 1e-13 * Math.abs(a) ? 0 : Double.compare(a, b),
              Double.class)
          .isEqualTo(all);
      // A list holds single numbers, all of them to the last digit.
      var plain = all.stream().filter(PartsCsv::holds).toList();
      assertThat(plain).hasSize(7);
      var list = PartsCsv.read(PartsCsv.write(plain, units), UnitSystem.US);
      for (int i = 0; i < plain.size(); i++) {
        var was = plain.get(i);
        var is = list.get(i);
        assertThat(is.change().needs()).isEqualTo(was.change().needs());
        assertThat(is.change().cost()).isEqualTo(was.change().cost());
        assertThat(is.state()).isEqualTo(was.state());
        assertThat(is.condition()).isEqualTo(was.condition());
        was.change()
            .sets()
            .forEach(
                (path, value) ->
                    assertThat(((Given) is.change().sets().get(path)).si())
                        .as(path)
                        .isEqualTo(((Given) value).si()));
      }
    }
    assertThat(Files.readString(Path.of("../docs/formats/parts-1.schema.json")))
        .isEqualTo(PartsJson.schemaText());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "P-2,CARBURETTOR,SHELF,Body,540,,,,,,850 cfm | P-2,CARB,SHELF,Body,540,,,,,,850 cfm | line"
            + " 2",
        "P-2,CARBURETTOR,SHELF,Body,540,,,,,,850 cfm | P-2,CARBURETTOR,SHELF,Body,dear,,,,,,8 |"
            + " dear",
        "P-2,CARBURETTOR,SHELF,Body,540,,,,,,850 cfm | P-2,CARBURETTOR,SHELF,Body,-5,,,,,,8 |"
            + " Price",
        "P-2,CARBURETTOR,SHELF,Body,540,,,,,,850 cfm | P-2,CARBURETTOR,SHELF,Body,540,,,,,,8 kg |"
            + " kg",
        "P-2,CARBURETTOR,SHELF,Body,540,,,,,,850 cfm | P-2,CARBURETTOR,SHELF,Body,540,,,,,, |"
            + " inputs",
        "throttleFlow | throttleFlou | intake.throttleFlou",
        "P-2 | P-1 | twice"
      })
  void aWrongListIsRefusedWithItsPlace(String right, String wrong, String says) {
    String list =
        """
        number,kind,state,name,price,labour,hours,supplier,needs,condition,intake.throttleFlow
        P-2,CARBURETTOR,SHELF,Body,540,,,,,,850 cfm
        P-1,CARBURETTOR,SOLD,Small body,90,,,,,,500
        """;
    assertThat(PartsCsv.read(list, UnitSystem.US)).hasSize(2);
    assertThatThrownBy(() -> PartsCsv.read(list.replaceFirst(right, wrong), UnitSystem.US))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(says);
  }

  /** What is no document of parts is refused whole, with the place. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"number\" : \"P-2\" | \"number\" : \"P-1\" | twice",
        "\"kind\" : \"CAM\" | \"kind\" : \"CAMS\" | kind",
        "\"state\" : \"ORDERED\" | \"state\" : \"BURNT\" | state",
        "grand-bore-parts | grand-bore-changes | grand-bore-parts"
      })
  void aWrongDocumentIsRefusedWithItsPlace(String right, String wrong, String says) {
    String document = PartsJson.write(DemoShelf.parts(), UnitSystem.US);
    assertThat(document).contains(right);
    assertThatThrownBy(() -> PartsJson.read(document.replaceFirst(right, wrong)))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(says);
  }

  /** A part of a kind is what an engine has of it, and made on another engine it is there. */
  @Test
  void partsAreTakenFromEngines() {
    var four = DemoBuilds.paddockFour().combination();
    var eight = DemoBuilds.hillClimbEight().combination();
    var headers = PartKind.HEADERS.on(four);
    assertThat(headers.keySet()).allMatch(p -> p.startsWith("exhaust.")).hasSizeGreaterThan(5);
    assertThat(PartKind.of(headers.keySet())).isEqualTo(PartKind.HEADERS);
    assertThat(PartKind.of(List.of("exhaust.primaryLength", "cam.separation")))
        .isEqualTo(PartKind.OTHER);
    var made = new grandbore.core.changes.Change("Headers of the four", headers).on(eight);
    assertThat(made.exhaust()).isEqualTo(four.exhaust());
    for (var kind : PartKind.values()) {
      assertThat(kind.on(eight)).as(kind.title()).isNotEmpty();
    }
    var all = DemoShelf.parts();
    assertThat(names(Shelf.find(all, Optional.empty(), Optional.empty(), " TOW car ")))
        .containsExactly("Cam 222/228 at 0.050", "Dual-plane manifold");
    assertThat(Shelf.find(all, Optional.of(PartKind.CAM), Optional.of(PartState.ORDERED), ""))
        .extracting(Part::number)
        .containsExactly("P-3");
    for (var part : all) {
      assertThat(part.change().on(eight)).isNotEqualTo(eight);
    }
    assertThatThrownBy(() -> new Part(" ", PartKind.CAM, PartState.SHELF, null, "", List.of()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("number");
  }
}
