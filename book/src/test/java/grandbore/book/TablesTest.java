package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Losses;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.Nitrous;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.gas.FuelKind;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Measured lobes as tables, and documents of every engine there can be. */
class TablesTest {
  private static final String LOBE =
      """
      angle_deg,lift_in
      -80,0.001
      -60,0.040
      -40,0.150
      -20,0.290
      0,0.350
      20,0.291
      40,0.149
      60,0.041
      80,0.000
      """;

  private static final String MIXTURE =
      """
      speed_rpm,lambda,spark_deg
      3000,0.98,24
      4500,0.9,30
      6000,0.8,36
      """;

  @Test
  void aMeasuredLobeComesInWithItsUnits() {
    var table = LiftTableCsv.read(LOBE);
    assertThat(table.provenance()).isEqualTo(Provenance.MEASURED);
    assertThat(table.rows()).hasSize(9);
    assertThat(table.peak()).isCloseTo(0.350 * 0.0254, within(1e-12));
    assertThat(table.rows().getFirst().angle()).isCloseTo(Math.toRadians(-80), within(1e-12));
    var metric = LiftTableCsv.read(LOBE.replace("lift_in", "lift_mm").replace("0.3", "9."));
    assertThat(metric.peak()).isCloseTo(9.50e-3, within(1e-9));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "angle_deg | crank_deg | line 1",
        "lift_in | lift_acres | line 1",
        "0,0.350 | 0,wide | line 6: “wide” is no number",
        "0,0.350 | 0,0.350,7 | line 6: two columns",
        "20,0.291 | -20,0.291 | row 6 angle",
        "80,0.000 | 80,0.900 | row 9 lift"
      })
  void aDamagedLobeIsRefusedByItsLine(String what, String by, String says) {
    assertThatThrownBy(() -> LiftTableCsv.read(LOBE.replace(what, by)))
        .isInstanceOfAny(FormatException.class, InvalidInput.class)
        .hasMessageContaining(says);
  }

  /** Mixture and spark by speed go out and in again, with spark and without. */
  @Test
  void mixtureBySpeedGoesThroughATable() {
    var table = MixtureTableCsv.read(MIXTURE);
    assertThat(table.hasSpark()).isTrue();
    assertThat(Math.toDegrees(table.meanAdvance())).isCloseTo(30, within(1e-9));
    assertThat(MixtureTableCsv.write(table)).isEqualTo(MIXTURE);
    var bare = MixtureTableCsv.read("speed_rpm,lambda\n3000,0.95\n6000,0.86\n");
    assertThat(bare.hasSpark()).isFalse();
    assertThat(MixtureTableCsv.read(MixtureTableCsv.write(bare))).isEqualTo(bare);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "speed_rpm | speed_hz | line 1",
        "4500,0.9,30 | 4500,0.9 | line 3: 3 columns wanted",
        "4500,0.9,30 | 4500,rich,30 | line 3: “rich” is no number",
        "4500,0.9,30 | 2500,0.9,30 | row 2, speed",
        "4500,0.9,30 | 4500,1.9,30 | row 2, lambda"
      })
  void aDamagedMixtureIsRefusedByItsLine(String what, String by, String says) {
    assertThatThrownBy(() -> MixtureTableCsv.read(MIXTURE.replace(what, by)))
        .isInstanceOfAny(FormatException.class, InvalidInput.class)
        .hasMessageContaining(says);
  }

  /**
   * A document of before cylinders had a mixture each is read, all of them alike; one that names a
   * cylinder too many, or one that no spark lights, is refused with the field and the range.
   */
  @Test
  void mixtureByCylinderMayBeMissingAndMustFit() {
    var four = DemoBuilds.paddockFour();
    var each = List.of(1.0, 0.97, 1.04, 0.99);
    var text =
        BuildJson.write(
            new BuildDocument(
                four.with(four.combination().with("mixture.byCylinder", each)), List.of()));
    assertThat(read(text).mixture().byCylinder()).isEqualTo(each);
    var list = Pattern.compile(",?\\s*\"byCylinder\"\\s*:\\s*\\[[^]]*]");
    var without = list.matcher(text).replaceFirst("");
    assertThat(without).doesNotContain("byCylinder").isNotEqualTo(text);
    assertThat(read(without).mixture().byCylinder()).isEmpty();
    assertThat(read(without).mixture().lambda(3))
        .isEqualTo(four.combination().mixture().lambda().si());
    for (var wrong : List.of("[1, 1, 1]", "[1, 1, 1, 1, 1]", "[1, 1, 3, 1]", "[1, \"a\", 1, 1]")) {
      var broken = list.matcher(text).replaceFirst(", \"byCylinder\": " + wrong);
      assertThatThrownBy(() -> read(broken))
          .as(wrong)
          .isInstanceOfAny(FormatException.class, InvalidInput.class)
          .hasMessageContaining("byCylinder");
    }
  }

  private static Combination read(String text) {
    return BuildJson.read(text).build().combination();
  }

  @Test
  void anEmptyTableIsRefused() {
    assertThatThrownBy(() -> MixtureTableCsv.read("speed_rpm,lambda\n"))
        .hasMessageContaining("heading and rows");
    assertThatThrownBy(() -> LiftTableCsv.read("")).hasMessageContaining("heading");
    assertThatThrownBy(() -> LiftTableCsv.read("angle_deg,lift_in\n"))
        .hasMessageContaining("heading and rows");
  }

  /** Every arrangement goes out and comes back as the same engine. */
  @ParameterizedTest
  @EnumSource(Arrangement.class)
  void everyArrangementComesBack(Arrangement arrangement) {
    var c = arrangement.of(DemoBuilds.paddockFour().combination());
    var back = roundTrip(c);
    assertThat(back.bottomEnd().firingOrder()).isEqualTo(c.bottomEnd().firingOrder());
    assertThat(Arrangement.of(back.bottomEnd())).contains(arrangement);
  }

  /** Whatever is fitted comes back: every choice, table and list that a combination can hold. */
  @Test
  void whateverIsFittedComesBack() {
    var c =
        DemoBuilds.hillClimbEight()
            .combination()
            .with("boost.kind", Boost.Kind.TURBOCHARGER)
            .with("nitrous.kind", Nitrous.Kind.FITTED)
            .with("exhaust.balance", Exhaust.Balance.PIPE)
            .with("exhaust.outlet", Exhaust.Outlet.SYSTEM)
            .with("exhaust.kind", Exhaust.Kind.STEPPED)
            .with("intake.manifold", Intake.Manifold.DUAL_PLANE)
            .with("intake.heating", Intake.Heating.COOLANT)
            .with("intake.throttles", 3)
            .with("intake.runnerChanges", List.of(0.0, .01, .0, .02, 0.0, 0.0, -.01, 0.0))
            .with("heads.intakeShares", List.of(1.0, .95, 1.0, 1.0, 1.02, 1.0, 1.0, .9))
            .with("mixture.spark", Mixture.Spark.KNOCK_LIMITED)
            .with("mixture.fuel", FuelKind.E85)
            .with("losses.windage", Losses.Windage.DRY_SUMP)
            .with("losses.friction", Losses.FrictionModel.WHOLE_ENGINE)
            .with("losses.heat", Losses.HeatModel.HOHENBERG)
            .with("cam.intakeTable", LiftTableCsv.read(LOBE))
            .with("mixture.bySpeed", MixtureTableCsv.read(MIXTURE))
            .with("mixture.byCylinder", List.of(1.0, .97, 1.0, 1.03, 1.0, 1.01, .99, 1.0));
    var back = roundTrip(c);
    for (var path :
        List.of(
            "boost.kind",
            "nitrous.kind",
            "exhaust.balance",
            "exhaust.outlet",
            "exhaust.kind",
            "intake.manifold",
            "intake.heating",
            "intake.throttles",
            "mixture.spark",
            "mixture.bySpeed",
            "mixture.byCylinder",
            "mixture.fuel",
            "losses.windage",
            "losses.friction",
            "losses.heat",
            "losses.accessories",
            "valveTrain.follower")) {
      assertThat(back.at(path)).as(path).isEqualTo(c.at(path));
    }
    for (int i = 0; i < 8; i++) {
      assertThat(back.intake().runnerChanges().get(i))
          .isCloseTo(c.intake().runnerChanges().get(i), within(1e-9));
      assertThat(back.heads().intakeShares().get(i))
          .isCloseTo(c.heads().intakeShares().get(i), within(1e-9));
    }
    var lobe = back.cam().intakeTable();
    assertThat(lobe.rows()).hasSize(9);
    assertThat(lobe.peak()).isCloseTo(c.cam().intakeTable().peak(), within(1e-9));
    assertThat(back.cam().exhaustTable().isGiven()).isFalse();
    for (var f : Specs.fields()) {
      assertThat(f.get(back).si())
          .as(f.path())
          .isCloseTo(f.get(c).si(), within(1e-8 + 1e-8 * Math.abs(f.get(c).si())));
    }
  }

  private static Combination roundTrip(Combination c) {
    Build build = DemoBuilds.hillClimbEight().with(c);
    return BuildJson.read(BuildJson.write(new BuildDocument(build, List.of())))
        .build()
        .combination();
  }

  /** What cannot stand together is refused by the field that has to give way. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"balance\" : \"NONE\" | \"balance\" : \"SOME\" | exhaust",
        "\"throttles\" : 1 | \"throttles\" : 40 | intake",
        "\"kind\" : \"NONE\" | \"kind\" : \"ROCKET\" | combination"
      })
  void choicesThatDoNotExistAreRefusedWithThePlace(String what, String by, String says) {
    String text = BuildJson.write(new BuildDocument(DemoBuilds.hillClimbEight(), List.of()));
    assertThat(text).contains(what);
    assertThatThrownBy(() -> BuildJson.read(text.replaceFirst(what, by)))
        .isInstanceOfAny(FormatException.class, InvalidInput.class)
        .hasMessageContaining(says);
  }
}
