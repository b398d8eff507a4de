package grandbore.desktop.controls;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.combination.Combination;
import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.UnitSystem;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;

/** How choices and values are said: every one in words, no two of a kind alike. */
class WordsTest {
  private static final Combination EIGHT = DemoBuilds.hillClimbEight().combination();

  /** Every kind of choice that a combination holds. */
  private static List<Class<?>> choices() {
    var all = new ArrayList<Class<?>>();
    for (var group : Specs.values(EIGHT)) {
      if (group instanceof Record r) {
        for (RecordComponent c : r.getClass().getRecordComponents()) {
          if (c.getType().isEnum()) {
            all.add(c.getType());
          }
        }
      }
    }
    return all;
  }

  @Test
  void everyChoiceIsSaidInItsOwnWords() {
    var kinds = choices();
    assertThat(kinds).hasSizeGreaterThan(15);
    for (var kind : kinds) {
      var said = new HashSet<String>();
      for (var constant : kind.getEnumConstants()) {
        String words = Words.of((Enum<?>) constant);
        assertThat(words).as("%s", constant).isNotBlank();
        // A name in capitals with a line under it is the program's, not the trade's.
        assertThat(words).as("%s", constant).doesNotContain("_");
        if (words.length() > 3) {
          assertThat(words).isNotEqualTo(words.toUpperCase(Locale.ROOT));
        }
        assertThat(said.add(words)).as("%s is said twice", words).isTrue();
      }
    }
  }

  @Test
  void valuesAreSaidWithTheirUnits() {
    assertThat(Words.value(EIGHT.at("bottomEnd.bore"), UnitSystem.US)).isEqualTo("4.094 in");
    assertThat(Words.value(EIGHT.at("bottomEnd.bore"), UnitSystem.METRIC)).endsWith(" mm");
    assertThat(Words.value(EIGHT.heads().intakeFlow(), UnitSystem.US)).startsWith("sheet of ");
    assertThat(Words.value(EIGHT.heads().intakeShares(), UnitSystem.US)).isEqualTo("alike");
    assertThat(Words.value(List.of(1.0, 0.9), UnitSystem.US)).isEqualTo("2 numbers");
    assertThat(Words.value(MixtureTable.NONE, UnitSystem.US)).isEqualTo("no table");
    var table =
        new MixtureTable(
            Provenance.MEASURED,
            List.of(
                new MixtureTable.Row(300, 0.9, Double.NaN),
                new MixtureTable.Row(600, 0.86, Double.NaN)));
    assertThat(Words.value(table, UnitSystem.US)).isEqualTo("table of 2 speeds");
    assertThat(Words.value(EIGHT.at("brief.power"), UnitSystem.US)).isNotBlank();
  }

  /** What is nought and need not be known is said not to be known, whatever its unit. */
  @Test
  void whatIsNotKnownIsSaidSo() {
    int unknown = 0;
    for (var field : Specs.fields()) {
      var given = field.get(EIGHT);
      String said = Words.value(given, UnitSystem.US);
      if (!given.isKnown() && given.spread() == 0) {
        assertThat(said).as(field.path()).isEqualTo("not known");
        unknown++;
      } else {
        assertThat(said).as(field.path()).matches(".*\\d.*|not known");
      }
    }
    assertThat(unknown).isPositive();
  }

  @Test
  void onlyTheFirstLetterIsRaised() {
    assertThat(Words.capital("")).isEmpty();
    assertThat(Words.capital("a wedge, then")).isEqualTo("A wedge, then");
    assertThat(Words.capital("ölig")).isEqualTo("Ölig");
  }
}
