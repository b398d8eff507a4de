package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.changes.Change;
import grandbore.core.changes.Cost;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.LiftTable;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DemoChanges;
import grandbore.core.units.UnitSystem;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Documents of changes come back as they went out, or are refused whole. */
class ChangesJsonTest {
  /** Also whole engines: flow sheets, tables, lists and kinds are among what is set. */
  @Test
  void whatGoesOutComesBack() {
    var whole =
        Change.between(
                "The whole four",
                DemoBuilds.hillClimbEight().combination(),
                DemoBuilds.paddockFour().combination())
            .costing(new Cost(12, 3.5, 40));
    for (var units : UnitSystem.values()) {
      var all = new java.util.ArrayList<>(DemoChanges.hillClimbEight());
      all.add(whole);
      var back = ChangesJson.read(ChangesJson.write(all, units));
      // Flow sheets come back to the last digit but one.
      assertThat(back)
          .usingRecursiveComparison()
          .withComparatorForType(
              (a, b) -> Math.abs(a - b) <= 1e-13 * Math.abs(a) ? 0 : Double.compare(a, b),
              Double.class)
          .isEqualTo(all);
      var none = new Change("Card for table", Map.of("cam.intakeTable", LiftTable.NONE));
      assertThat(ChangesJson.read(ChangesJson.write(List.of(none), units))).containsExactly(none);
    }
  }

  @Test
  void theSchemaIsPublished() throws java.io.IOException {
    assertThat(Files.readString(Path.of("../docs/formats/changes-1.schema.json")))
        .isEqualTo(ChangesJson.schemaText());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"primaryLength\" | \"primaryLenght\" | exhaust",
        "\"price\" : 480.0 | \"price\" : -480.0 | price",
        "\"unit\" : \"in\" | \"unit\" : \"kg\" | unit",
        "\"grand-bore-changes\" | \"grand-bore-build\" | allowed: grand-bore-changes",
        "\"version\" : 1 | \"version\" : 9 | version is 9; allowed: 1 to 1",
        "\"Headers, 1 3/4 in by 34 in\" | \"\" | name",
        "\"value\" : 34 | \"value\" : 1e999 | larger than any number",
        "\"changes\" : [ { | \"changes\" : [ | Not a",
      })
  void aDamagedOneIsRefusedWithThePlace(String was, String is, String place) {
    String text = ChangesJson.write(DemoChanges.hillClimbEight(), UnitSystem.US);
    assertThat(text).contains(was.strip());
    assertThatThrownBy(() -> ChangesJson.read(text.replace(was.strip(), is.strip())))
        .isInstanceOfAny(FormatException.class, InvalidInput.class)
        .hasMessageContaining(place.strip());
  }

  /** A value may be out of an engine's bounds until it is made on one: then it is refused. */
  @Test
  void aValueOutOfBoundsIsRefusedWhereItIsMade() {
    String text =
        ChangesJson.write(List.of(DemoChanges.hillClimbEight().getFirst()), UnitSystem.US)
            .replace("\"value\" : 34", "\"value\" : 3400");
    var change = ChangesJson.read(text).getFirst();
    assertThatThrownBy(() -> change.on(DemoBuilds.hillClimbEight().combination()))
        .hasMessageContaining("Headers, 1 3/4")
        .hasMessageContaining("exhaust.primaryLength");
  }
}
