package grandbore.core.friction;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.demo.DemoBuilds;
import org.junit.jupiter.api.Test;

class FrictionTest {
  private static final double PEAK = 75e5;

  private final Combination eight = DemoBuilds.hillClimbEight().combination();

  private static Combination with(Combination c, String path, double factor) {
    var field = Specs.field(path);
    var given = field.get(c);
    return field.with(c, given.with(factor * given.si(), Provenance.CARD));
  }

  private Combination following(ValveTrain.Follower follower) {
    return eight.with("valveTrain.follower", follower);
  }

  /** Total motoring friction of 70 to 300 kPa, rising with speed: Heywood (1988), chapter 13. */
  @Test
  void frictionIsOfThePublishedSizeAndGrows() {
    for (var c : new Combination[] {eight, DemoBuilds.paddockFour().combination()}) {
      var friction = new Friction(c);
      double last = friction.at(1500, 1, PEAK).total();
      assertThat(last).isBetween(60e3, 140e3);
      for (double rpm = 2000; rpm <= 8000; rpm += 500) {
        var parts = friction.at(rpm, 1, PEAK);
        assertThat(parts.total()).isGreaterThan(last).isLessThan(320e3);
        assertThat(
                Math.min(
                    Math.min(parts.crankshaft(), parts.pistons()),
                    Math.min(parts.rings(), Math.min(parts.valveTrain(), parts.auxiliaries()))))
            .isPositive();
        last = parts.total();
      }
    }
  }

  @Test
  void journalsStrokeSqueezeAndLoadEachCostWhatTheyShould() {
    var base = new Friction(eight).at(6000, 1, PEAK);
    var journals = new Friction(with(eight, "bottomEnd.mainJournal", 1.1)).at(6000, 1, PEAK);
    assertThat(journals.crankshaft()).isGreaterThan(1.1 * base.crankshaft());
    assertThat(journals.pistons()).isEqualTo(base.pistons());
    var squeezed = new Friction(with(eight, "squeeze.chamberVolume", 0.9)).at(6000, 1, PEAK);
    assertThat(squeezed.rings()).isGreaterThan(base.rings());
    assertThat(squeezed.crankshaft()).isEqualTo(base.crankshaft());
    assertThat(new Friction(eight).at(6000, 0.5, PEAK).rings()).isLessThan(base.rings());
  }

  /** Flat tappets rub most where the cam turns slowly; rollers save it: common practice. */
  @Test
  void rollersSaveWhatFlatTappetsRubMostOfAllSlowly() {
    var flat = new Friction(following(ValveTrain.Follower.FLAT_PUSHROD));
    var roller = new Friction(following(ValveTrain.Follower.ROLLER_PUSHROD));
    double slow = flat.at(1500, 1, PEAK).valveTrain() - roller.at(1500, 1, PEAK).valveTrain();
    double fast = flat.at(6000, 1, PEAK).valveTrain() - roller.at(6000, 1, PEAK).valveTrain();
    assertThat(slow).isGreaterThan(fast).isPositive();
    assertThat(
            new Friction(following(ValveTrain.Follower.BUCKET_OVERHEAD))
                .at(3000, 1, PEAK)
                .valveTrain())
        .isLessThan(flat.at(3000, 1, PEAK).valveTrain());
  }

  /** 20 hp of friction is 15 kW into the oil: common practice; a whole V8 rubs away more. */
  @Test
  void allFrictionOfAnEightAtSpeedIsSomeDozenKilowatts() {
    double displacement = eight.bottomEnd().displacement();
    double watts = new Friction(eight).at(6000, 1, PEAK).total() * displacement * 6000 / 120;
    assertThat(watts).isBetween(20e3, 60e3);
    double journals =
        new Friction(eight).at(6000, 1, PEAK).crankshaft() * displacement * 6000 / 120;
    // Polishing cannot give back more than the journals cost: the claim of 15 kW fails.
    assertThat(journals).isLessThan(15e3);
  }
}
