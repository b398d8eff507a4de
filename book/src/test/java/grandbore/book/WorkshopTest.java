package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.clearances.Application;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Brief;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.UnitSystem;
import grandbore.core.valvetrain.Lobe;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The brief, fits, ratings, card and worksheet in documents and in the shop book. */
class WorkshopTest {
  @TempDir Path folder;

  private static Build eight() {
    var build = DemoBuilds.hillClimbEight();
    return build.with(
        build.combination().with("brief.kept", List.of(Brief.Part.BLOCK, Brief.Part.EXHAUST)));
  }

  private static Build back(Build build) {
    return BuildJson.read(BuildJson.write(new BuildDocument(build, List.of()))).build();
  }

  /** What is not known stays so, and what is kept stays kept, in either system of units. */
  @ParameterizedTest
  @EnumSource(UnitSystem.class)
  void whatIsNotKnownStaysSo(UnitSystem units) {
    var build = eight().with(units);
    var again = back(build).combination();
    for (var field : Specs.fields()) {
      assertThat(field.get(again).isKnown())
          .as(field.path())
          .isEqualTo(field.get(build.combination()).isKnown());
    }
    assertThat(again.brief().kept()).containsExactly(Brief.Part.BLOCK, Brief.Part.EXHAUST);
  }

  @ParameterizedTest
  @EnumSource(Application.class)
  void everyUseComesBack(Application use) {
    assertThat(back(eight().with(use)).application()).isEqualTo(use);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"BLOCK\" | \"BENCH\" | at combination.brief",
        "\"ALUMINIUM\" | \"WOOD\" | at combination.compression",
        "\"HILL_CLIMB\" | \"RACE\" | at application",
        "\"coilBind\" | \"coilBound\" | at combination.valveHardware"
      })
  void damageInTheNewGroupsIsNamedWithItsPlace(String what, String by, String says) {
    String text = BuildJson.write(new BuildDocument(eight(), List.of()));
    assertThat(text).contains(what);
    assertThatThrownBy(() -> BuildJson.read(text.replaceFirst(what, by)))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining(says);
  }

  /** A value that can't be is refused with its field, its range and the reason. */
  @Test
  void aFitThatCanNotBeIsRefusedByName() {
    var document = new BuildDocument(eight(), List.of());
    String text = BuildJson.write(document);
    int at = text.indexOf("\"counterweightRadius\"");
    int value = text.indexOf("2.98", at);
    String wrong = text.substring(0, value) + "29.8" + text.substring(value + 4);
    assertThatThrownBy(() -> BuildJson.read(wrong))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("partSizes.counterweightRadius")
        .hasMessageContaining("inside the block");
  }

  /**
   * Worksheet and brief are edits like any other: kept in the book, taken back and brought again.
   */
  @Test
  void theWorksheetIsKeptInTheBookAndUndone() {
    try (var book = ShopBook.open(folder.resolve("book.sqlite"))) {
      long id = book.add(new BuildDocument(eight(), List.of()));
      var wanted = eight().combination().worksheet().ratioWanted();
      var changed =
          eight()
              .with(
                  eight()
                      .combination()
                      .with("worksheet.ratioWanted", wanted.with(12.25, Provenance.CARD)));
      book.save(id, changed, "Ratio wanted");
      assertThat(book.open(id).build().combination().worksheet().ratioWanted().si())
          .isEqualTo(12.25);
      assertThat(Steps.undo(book, id).build().combination().worksheet().ratioWanted().si())
          .isCloseTo(11.5, within(1e-12));
      assertThat(Steps.redo(book, id).build().combination().worksheet().ratioWanted().si())
          .isEqualTo(12.25);
    }
  }

  /** Test readings go into the book and the document like the measurements of parts. */
  @Test
  void compressionAndLeakDownAreKept() {
    try (var book = ShopBook.open(folder.resolve("book.sqlite"))) {
      long id = book.add(new BuildDocument(eight(), List.of()));
      for (var m : List.of(Measurement.COMPRESSION, Measurement.LEAK_DOWN)) {
        double value = m == Measurement.LEAK_DOWN ? 0.07 : 12.9e5;
        book.addReading(
            id, new Reading(0, m, 3, Reading.Side.NONE, value, "", "gauge", Instant.EPOCH, false));
      }
      var document = BuildJson.read(BuildJson.write(book.document(id)));
      assertThat(document.readings()).hasSize(2);
      assertThat(document.readings().getFirst().value()).isCloseTo(12.9e5, within(1.0));
      assertThat(document.readings().getLast().measurement().isTest()).isTrue();
    }
  }

  /** A lobe goes out as a table and comes back as the same lobe. */
  @ParameterizedTest
  @EnumSource(UnitSystem.class)
  void aLobeComesBackAsItWentOut(UnitSystem units) {
    var c = eight().combination();
    var lobe = Lobe.intake(c);
    var text = LiftTableCsv.write(lobe.table(Provenance.CARD), units);
    LiftTable table = LiftTableCsv.read(text);
    var again = Lobe.intake(c.with("cam.intakeTable", table));
    for (double lift : new double[] {0.5e-3, 1.27e-3, 3e-3, 5e-3}) {
      assertThat(Math.toDegrees(again.duration(lift)))
          .as("%.2f mm", 1000 * lift)
          .isCloseTo(Math.toDegrees(lobe.duration(lift)), within(0.2));
    }
    assertThat(again.peak()).isCloseTo(lobe.peak(), within(2e-6));
  }
}
