package grandbore.core.combination;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.demo.DemoBuilds;
import grandbore.core.flow.FlowCurve;
import grandbore.core.units.Measure;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CombinationTest {
  private final Combination demo = DemoBuilds.hillClimbEight().combination();

  private Combination with(String path, double value, Measure unit) {
    var field = Specs.field(path);
    return field.with(demo, field.get(demo).with(unit.toSi(value), Provenance.CARD));
  }

  @ParameterizedTest
  @CsvSource({
    "bottomEnd.bore, 12, MILLIMETRES, Bore, 30.00 mm",
    "bottomEnd.rodLength, 3.5, INCHES, Rod length, rod ratio of 1.2",
    "bottomEnd.blockDeck, 8.5, INCHES, Piston to head, would meet the head",
    "compression.chamberVolume, 250, CUBIC_CENTIMETRES, Compression ratio, working engine",
    "compression.pistonVolume, -90, CUBIC_CENTIMETRES, Compression ratio, working engine",
    "compression.gasketBore, 3.5, INCHES, Gasket bore, 0.98 bores",
    "cam.intakeSeat, 240, DEGREES, Intake seat duration, both ramps",
    "cam.exhaustSeat, 399, DEGREES, Exhaust opening, while the charge burns",
    "heads.intakeValve, 2.95, INCHES, Valves, find room",
    "mixture.lambda, 3, NONE, 'Mixture strength', does not light",
    "weather.humidity, 130, PERCENT, Relative humidity, share of saturation"
  })
  void whatCannotBeIsRefusedByFieldValueRangeAndReason(
      String path, double value, Measure unit, String field, String part) {
    assertThatThrownBy(() -> with(path, value, unit))
        .isInstanceOf(InvalidInput.class)
        .hasMessageStartingWith(field)
        .hasMessageContaining("allowed:")
        .hasMessageContaining("because")
        .hasMessageContaining(part);
  }

  @Test
  void everyInputAcceptsItsOwnBoundsTextAndRefusesWhatIsNotANumber() {
    assertThat(Specs.fields()).hasSizeGreaterThan(45);
    for (var field : Specs.fields()) {
      assertThat(field.spec().min()).isLessThan(field.spec().max());
      assertThat(field.with(demo, field.get(demo))).isEqualTo(demo);
      var given = field.get(demo);
      assertThatThrownBy(() -> field.with(demo, given.with(Double.NaN, Provenance.CARD)))
          .isInstanceOf(InvalidInput.class);
    }
  }

  @Test
  void flowSheetsMustRiseAndNotBeEmpty() {
    assertThatThrownBy(() -> new FlowSheet(7000, Provenance.CARD, List.of()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("two or more");
    var a = new FlowSheet.Row(0.005, 0.05);
    var b = new FlowSheet.Row(0.004, 0.06);
    assertThatThrownBy(() -> new FlowSheet(7000, Provenance.CARD, List.of(a, b)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("row 2")
        .hasMessageContaining("rise");
  }

  /** Flow scales with the square root of the depression: common practice, no source. */
  @Test
  void flowScalesWithTheRootOfTheDepressionAndGoesThroughTheRows() {
    var sheet = demo.heads().intakeFlow();
    var curve = new FlowCurve(sheet);
    for (var row : sheet.rows()) {
      assertThat(curve.flow(row.lift(), sheet.depression()))
          .isCloseTo(row.flow(), Percentage.withPercentage(0.5));
    }
    double at10 = curve.flow(0.0127, Measure.INCHES_OF_WATER.toSi(10));
    double at28 = curve.flow(0.0127, Measure.INCHES_OF_WATER.toSi(28));
    assertThat(at28 / at10).isCloseTo(Math.sqrt(2.8), within(0.05));
  }

  @Test
  void firingOrderMustNameEachCylinderOnce() {
    assertThatThrownBy(() -> demo.with("bottomEnd.firingOrder", List.of(1, 2, 3, 4, 5, 6, 7, 7)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("each cylinder");
  }

  /** What is usual lies inside its own range, and no two inputs of a group share a name. */
  @Test
  void whatIsUsualIsAllowedAndEveryInputHasItsOwnName() {
    var names = new HashSet<String>();
    for (var field : Specs.fields()) {
      var spec = field.spec();
      assertThat(names.add(field.group() + spec.label())).as(field.path()).isTrue();
      assertThat(spec.why()).isNotBlank();
      assertThat(spec.optional() && spec.usual() != 0).as(field.path()).isFalse();
      if (!Double.isNaN(spec.usual()) && !spec.optional()) {
        assertThat(spec.usual()).as(field.path()).isBetween(spec.min(), spec.max());
      }
    }
  }

  /** Groups that newer versions brought stand on what is usual alone. */
  @Test
  void newGroupsStandOnWhatIsUsual() {
    for (var type : List.of(Boost.class, Nitrous.class, Losses.class)) {
      var group = Specs.make(type, Map.of());
      for (var c : type.getRecordComponents()) {
        Object value = Specs.read(group, c.getName());
        assertThat(value).as(type + " " + c.getName()).isNotNull();
        if (value instanceof Given given) {
          assertThat(given.provenance()).isEqualTo(Provenance.ASSUMED);
          assertThat(given.spread()).isNotNegative();
        }
      }
    }
    assertThatThrownBy(() -> Specs.make(Boost.class, Map.of("colour", "red")))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Any part is read and replaced by its path, and nothing else moves with it. */
  @Test
  void aPartIsReplacedByItsPathAndNothingElse() {
    for (var field : Specs.fields()) {
      var given = (Given) demo.at(field.path());
      assertThat(given).isEqualTo(field.get(demo));
      var other = given.with(given.si(), Provenance.REPEATED);
      var changed = demo.with(field.path(), other);
      for (var each : Specs.fields()) {
        assertThat(each.get(changed))
            .isEqualTo(each.path().equals(field.path()) ? other : each.get(demo));
      }
    }
    assertThatThrownBy(() -> demo.with("bottomEnd.colour", 1))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> demo.at("bottomEnd.colour"))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("colour");
  }

  /** An effective compression and lifts follow the parts they are made of. */
  @Test
  void liftsFollowLobeRatioAndLash() {
    double lobe = demo.cam().intakeLobeLift().si();
    double rocker = demo.valveTrain().intakeRocker().si();
    double lash = demo.valveTrain().intakeLash().si();
    assertThat(demo.intakeLift()).isCloseTo(lobe * rocker - lash, within(1e-12));
    var taller = with("valveTrain.intakeRocker", 1.65, Measure.NONE);
    assertThat(taller.intakeLift() - demo.intakeLift()).isCloseTo(0.10 * lobe, within(1e-9));
    assertThat(taller.exhaustLift()).isEqualTo(demo.exhaustLift());
  }
}
