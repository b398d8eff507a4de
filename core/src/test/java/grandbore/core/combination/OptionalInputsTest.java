package grandbore.core.combination;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.demo.DemoBuilds;
import grandbore.core.units.Measure;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What need not be known, what parts weigh, and what a brief may say. */
class OptionalInputsTest {
  private static final Combination EIGHT = DemoBuilds.hillClimbEight().combination();

  /** Nought says that it is not known; any other value outside its range is refused by name. */
  @Test
  void whatNeedNotBeKnownMayBeNoughtAndNothingElseOutside() {
    int seen = 0;
    for (var field : Specs.fields()) {
      if (!field.spec().optional()) {
        continue;
      }
      seen++;
      var given = field.get(EIGHT);
      var unsaid = field.with(EIGHT, given.with(0, Provenance.ASSUMED));
      assertThat(field.get(unsaid).isKnown()).as(field.path()).isFalse();
      double beyond = field.spec().max() * 1.01 + 1e-9;
      assertThatThrownBy(() -> field.with(EIGHT, given.with(beyond, Provenance.CARD)))
          .isInstanceOf(InvalidInput.class)
          .hasMessageContaining(field.path())
          .hasMessageContaining(field.spec().label())
          .hasMessageContaining(field.spec().why());
      if (field.spec().min() > 0) {
        double below = field.spec().min() * 0.9;
        assertThatThrownBy(() -> field.with(EIGHT, given.with(below, Provenance.CARD)))
            .as(field.path())
            .isInstanceOf(InvalidInput.class);
      }
    }
    assertThat(seen).isGreaterThan(60);
  }

  /** A build that says nothing of what need not be known still stands and predicts the same. */
  @Test
  void nothingOptionalIsNeeded() {
    var bare = EIGHT;
    for (var group :
        List.of(
            PartSizes.class, Ratings.class, CamCard.class, ValveHardware.class, Degreed.class)) {
      bare = bare.with(Specs.make(group, Map.of()));
    }
    assertThat(bare.staticRatio()).isEqualTo(EIGHT.staticRatio());
    assertThat(bare.intakeLift()).isEqualTo(EIGHT.intakeLift());
    assertThat(bare.partSizes().pin().isKnown()).isFalse();
  }

  /** Parts shared out from a sum add up to it again, to a hair. */
  @Test
  void aSumOfMassesIsSharedOutAndAddsUpAgain() {
    for (double grams : new double[] {180, 540, 762, 1400}) {
      var sum = Given.of(grams, Measure.GRAMS, grandbore.core.units.Quantity.MASS, Provenance.CARD);
      var w = Weights.usual(sum);
      assertThat(w.reciprocating()).isCloseTo(grams / 1000, within(1e-9));
      assertThat(w.piston().provenance()).isEqualTo(Provenance.CARD);
      assertThat(w.bigEnd().provenance()).isEqualTo(Provenance.ASSUMED);
      assertThat(w.bigEnd().si()).isBetween(0.4 * grams / 1000, 0.8 * grams / 1000);
    }
  }

  @Test
  void aBandGoesUpward() {
    var to = EIGHT.brief().bandTo();
    assertThatThrownBy(() -> EIGHT.with("brief.bandTo", to.with(400, Provenance.CARD)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("brief.bandTo", "upward");
  }

  @Test
  void keptPartsAreRemembered() {
    var kept = EIGHT.with("brief.kept", List.of(Brief.Part.BLOCK, Brief.Part.CAM));
    assertThat(kept.brief().kept()).containsExactly(Brief.Part.BLOCK, Brief.Part.CAM);
    assertThat(EIGHT.brief().kept()).isEmpty();
  }

  /** Arranged anew, banks stand at the angle that such an engine is usually built with. */
  @ParameterizedTest
  @EnumSource(Arrangement.class)
  void anArrangementBringsItsBankAngle(Arrangement a) {
    var c = a.of(EIGHT);
    double degrees = Math.toDegrees(c.partSizes().bankAngle().si());
    switch (c.bottomEnd().layout()) {
      case FLAT -> assertThat(degrees).isCloseTo(180, within(1e-9));
      case VEE -> assertThat(Math.round(degrees)).isIn(45L, 60L, 72L, 90L);
      case INLINE -> assertThat(c.partSizes()).isEqualTo(EIGHT.partSizes());
    }
    assertThat(c.weights()).isEqualTo(EIGHT.weights());
    assertThat(c.brief()).isEqualTo(EIGHT.brief());
  }

  /** Several components change at once where one at a time would not be allowed. */
  @Test
  void componentsThatHangTogetherChangeTogether() {
    var b = EIGHT.bottomEnd();
    var rod = b.rodLength().with(b.rodLength().si() + 0.02, Provenance.CARD);
    var pin = b.pinHeight().with(b.pinHeight().si() - 0.012, Provenance.CARD);
    assertThatThrownBy(() -> EIGHT.with("bottomEnd.rodLength", rod))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("Piston to head");
    var deck = b.blockDeck().with(b.blockDeck().si() + 0.008, Provenance.CARD);
    var both =
        EIGHT.with(Specs.changed(b, Map.of("rodLength", rod, "pinHeight", pin, "blockDeck", deck)));
    assertThat(both.bottomEnd().deckClearance()).isCloseTo(b.deckClearance(), within(1e-12));
    assertThatThrownBy(() -> Specs.changed(b, Map.of("rod", rod)))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("rod");
  }
}
