package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Whatever is taken at the door comes back through it: every input at and beside its limits. */
class LimitsTest {
  @TempDir Path folder;

  private static final List<Build> ENGINES =
      List.of(DemoBuilds.hillClimbEight(), DemoBuilds.paddockFour());

  /** The number that somebody types who reads the limit in a unit, and the numbers beside it. */
  private static List<Double> typed(Measure unit, double limit, double inward) {
    double shown = unit.fromSi(limit);
    double rounded = Math.rint(shown * 1e6) / 1e6;
    return List.of(
        limit,
        unit.toSi(shown),
        unit.toSi(rounded),
        limit + inward,
        unit.toSi(unit.fromSi(limit + inward)));
  }

  /** Every number that can be typed at and beside a limit is the same once it was written. */
  @Test
  void everyInputAtItsLimitsIsWrittenAndReadInEveryUnit() {
    int tried = 0;
    for (var field : Specs.fields()) {
      var spec = field.spec();
      double span = spec.max() - spec.min();
      for (var unit : Measure.values()) {
        if (!spec.quantity().accepts(unit)) {
          continue;
        }
        for (double[] end :
            new double[][] {{spec.min(), 1e-7 * span}, {spec.max(), -1e-7 * span}}) {
          for (double si : typed(unit, end[0], end[1])) {
            for (var from : Provenance.values()) {
              var given =
                  new Given(si, spec.quantity(), from, Given.usualSpread(si, spec.quantity(), from))
                      .as("typed");
              for (var units : UnitSystem.values()) {
                assertThat(
                        CombinationJson.given(
                            spec, CombinationJson.given(given, units), field.path()))
                    .as("%s in %s", field.path(), unit)
                    .isEqualTo(given);
                tried++;
              }
            }
          }
        }
      }
    }
    assertThat(tried).isGreaterThan(20_000);
  }

  /** What an engine takes at a limit, its document gives back, in either system of units. */
  @Test
  void everyLimitThatAnEngineTakesComesBackInItsDocument() {
    int taken = 0;
    for (var field : Specs.fields()) {
      for (double si : new double[] {field.spec().min(), field.spec().max()}) {
        for (var build : ENGINES) {
          Combination c;
          try {
            c =
                field.with(
                    build.combination(), field.get(build.combination()).with(si, Provenance.CARD));
          } catch (InvalidInput e) {
            // With the rest of this engine it can't be: it is refused where it is typed.
            continue;
          }
          for (var units : UnitSystem.values()) {
            var back = CombinationJson.read(c.name(), CombinationJson.write(c, units));
            for (var f : Specs.fields()) {
              assertThat(f.get(back).si()).as("%s at %s", f.path(), si).isEqualTo(f.get(c).si());
            }
            taken++;
          }
        }
      }
    }
    assertThat(taken).isGreaterThan(1000);
  }

  /** Five inputs that once locked a book: typed at their limit, the book opens again. */
  @Test
  void aValueAtItsLimitDoesNotLockTheBook() {
    var file = folder.resolve("book.sqlite");
    var c = DemoBuilds.hillClimbEight().combination();
    for (var path :
        List.of(
            "ratings.pistonPressure",
            "exhaust.tailLength",
            "intake.ratingDepression",
            "partSizes.boltClamp",
            "valveTrain.springRate")) {
      var all = Specs.fields().stream().filter(f -> f.path().equals(path)).toList();
      for (var field : all) {
        try {
          c = field.with(c, field.get(c).with(field.spec().max(), Provenance.CARD));
        } catch (InvalidInput e) {
          throw new AssertionError(path, e);
        }
      }
    }
    var build = DemoBuilds.hillClimbEight().with(c).with(UnitSystem.US);
    long id;
    try (var book = ShopBook.open(file)) {
      id = book.add(new BuildDocument(build, List.of()));
    }
    try (var book = ShopBook.open(file)) {
      assertThat(book.open(id).build()).isEqualTo(build);
    }
  }

  @Test
  void readingsAtTheirLimitsComeBackExactlyInDocumentAndTable() {
    for (var m : Measurement.values()) {
      for (double si : new double[] {m.least(), m.most(), 0.37 * m.least() + 0.63 * m.most()}) {
        var side = m.sides().all().getFirst();
        var r = new Reading(7, m, 1, side, si, "", "", Instant.EPOCH, false);
        for (var units : UnitSystem.values()) {
          assertThat(ReadingJson.read(ReadingJson.write(r, units), 7).value()).isEqualTo(si);
          var table = ReadingsCsv.read(ReadingsCsv.write(List.of(r), units));
          assertThat(table.getFirst().value())
              .isCloseTo(si, org.assertj.core.api.Assertions.within(1e-14 * Math.abs(si) + 1e-25));
        }
      }
    }
  }

  /** A number changed by hand counts before the SI number beside it. */
  @Test
  void aValueChangedByHandCounts() {
    var c = DemoBuilds.hillClimbEight().combination();
    var bore = Specs.field("bottomEnd.bore");
    double odd = Math.nextUp(4.094 * 0.0254);
    var build =
        DemoBuilds.hillClimbEight().with(bore.with(c, bore.get(c).with(odd, Provenance.CARD)));
    String text = BuildJson.write(new BuildDocument(build, List.of()));
    assertThat(bore.get(BuildJson.read(text).build().combination()).si()).isEqualTo(odd);
    String changed = text.replaceFirst("\"value\" : 4.094", "\"value\" : 4.1");
    assertThat(bore.get(BuildJson.read(changed).build().combination()).si())
        .isEqualTo(4.1 * 0.0254);
    assertThatThrownBy(
            () ->
                BuildJson.read(
                    text.replaceFirst("\"cylinders\" : 8", "\"cylinders\" : 4294967304")))
        .isInstanceOf(FormatException.class);
    assertThatThrownBy(() -> Times.read("2026-14-04T10:00:00Z", "Time"))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("Time is");
    assertThat(Times.read("2026-05-04T10:00Z", "Time"))
        .isEqualTo(Instant.parse("2026-05-04T10:00:00Z"));
    assertThat(BuildJson.read("\uFEFF" + text).build()).isEqualTo(build);
  }
}
