package grandbore.core.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.Said;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Intake;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DynoCases;
import grandbore.core.flow.GasPath.Part;
import grandbore.core.units.Measure;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Flow benches in sections, and the gas's way in pieces. */
class FlowTest {
  private static final double INCH_OF_WATER = 249.08891;
  private static final double SQUARE_INCH = 0.0254 * 0.0254;
  private static final Combination EIGHT = DemoBuilds.hillClimbEight().combination();

  private static List<Combination> engines() {
    var all = new ArrayList<>(List.of(EIGHT, DemoBuilds.paddockFour().combination()));
    for (var known : DynoCases.all()) {
      all.add(known.combination());
    }
    return all;
  }

  /**
   * A square inch of a perfect opening passes 146 cfm at 28 inches of water, 138 at 25, 87 at 10
   * (common practice, no source): the root of twice the depression over the density, reckoned as if
   * the air did not expand on its way, which makes up to three per cent.
   */
  @ParameterizedTest
  @CsvSource({"28, 146", "25, 138", "10, 87"})
  void aSquareInchPassesWhatTheTradeKnows(double inches, double feet) {
    double flow = Measure.CUBIC_FEET_PER_MINUTE.toSi(feet);
    assertThat(FlowCurve.effectiveArea(flow, inches * INCH_OF_WATER))
        .isCloseTo(SQUARE_INCH, Percentage.withPercentage(3.5));
  }

  /** What goes in as a row comes out at its lift and depression; at a tenth of it √10 less. */
  @Test
  void aSheetIsMetAtItsRowsAndFallsWithTheRootOfTheDepression() {
    for (var c : engines()) {
      var sheet = c.heads().intakeFlow();
      var curve = new FlowCurve(sheet);
      assertThat(curve.at(0)).isZero();
      double before = 0;
      for (var row : sheet.rows()) {
        assertThat(curve.flow(row.lift(), sheet.depression()))
            .as("%s at %.4f m", c.name(), row.lift())
            .isCloseTo(row.flow(), Percentage.withPercentage(1.5));
        double little = curve.flow(row.lift(), sheet.depression() / 10);
        assertThat(little * Math.sqrt(10)).isCloseTo(row.flow(), Percentage.withPercentage(4));
        assertThat(curve.at(row.lift())).isGreaterThan(before);
        before = curve.at(row.lift());
      }
      // Beyond the last row nothing is promised: it stays.
      double last = sheet.rows().getLast().lift();
      assertThat(curve.at(1.5 * last)).isCloseTo(before, Percentage.withPercentage(0.5));
      assertThat(curve.at(1)).isEqualTo(curve.at(0.030));
    }
  }

  /** Between rows that rise it rises, and no more than the next row says, but for a hair. */
  @Test
  void betweenRowsItDoesNotSwing() {
    for (var c : engines()) {
      for (var sheet : List.of(c.heads().intakeFlow(), c.heads().exhaustFlow())) {
        var curve = new FlowCurve(sheet);
        double last = sheet.rows().getLast().lift();
        double least = 0;
        for (int k = 1; k <= 200; k++) {
          double now = curve.at(last * k / 200);
          assertThat(now).isGreaterThan(least * 0.998);
          assertThat(now).isLessThan(curve.at(last) * 1.01);
          least = now;
        }
      }
    }
  }

  /** Two rows are joined straight, from nothing at a shut valve. */
  @Test
  void fewRowsAreJoinedStraight() {
    var sheet =
        new FlowSheet(
            28 * INCH_OF_WATER,
            EIGHT.heads().intakeFlow().provenance(),
            List.of(new FlowSheet.Row(0.004, 0.06), new FlowSheet.Row(0.012, 0.12)));
    var curve = new FlowCurve(sheet);
    assertThat(curve.at(0.002)).isCloseTo(0.5 * curve.at(0.004), Percentage.withPercentage(1));
    assertThat(curve.at(0.008))
        .isCloseTo(0.5 * (curve.at(0.004) + curve.at(0.012)), Percentage.withPercentage(1));
  }

  /**
   * No port passes all that its valves leave open: measured ones 0.4 to 0.95 of the least section
   * (Heywood 1988, figures 6-14 and 6-20, from memory).
   */
  @Test
  void noPortPassesAllThatItsValveLeavesOpen() {
    for (var c : engines()) {
      var h = c.heads();
      var ideal = FlowCurve.ideal(h.intakeValves(), ValvePassage.intake(c));
      var out = FlowCurve.ideal(h.exhaustValves(), ValvePassage.exhaust(c));
      for (var row : h.intakeFlow().rows()) {
        double share = new FlowCurve(h.intakeFlow()).at(row.lift()) / ideal.at(row.lift());
        assertThat(share).as("%s in, %.4f m", c.name(), row.lift()).isBetween(0.4, 0.95);
      }
      for (var row : h.exhaustFlow().rows()) {
        double share = new FlowCurve(h.exhaustFlow()).at(row.lift()) / out.at(row.lift());
        assertThat(share).as("%s out, %.4f m", c.name(), row.lift()).isBetween(0.4, 0.95);
      }
    }
  }

  /** A rating is a section by what its opening passes; a section that is measured stands. */
  @ParameterizedTest
  @ValueSource(doubles = {390, 600, 850})
  void aThrottlesSectionFollowsItsRating(double feet) {
    var c = Said.with(EIGHT, "intake.throttleFlow", feet, Measure.CUBIC_FEET_PER_MINUTE);
    double each = ThrottleSection.each(c.intake());
    double pressure = 0.85 * each;
    double flow = Measure.CUBIC_FEET_PER_MINUTE.toSi(feet);
    double depression = c.intake().ratingDepression().si();
    assertThat(pressure).isCloseTo(FlowCurve.effectiveArea(flow, depression), within(1e-12));
    var measured = Said.with(c, "intake.throttleSection", 70, Measure.SQUARE_CENTIMETRES);
    assertThat(ThrottleSection.each(measured.intake())).isCloseTo(7e-3, within(1e-9));
  }

  /** The way of the gas has what the engine has, in its order, as long as the inputs say. */
  @Test
  void theWayHasWhatTheEngineHas() {
    for (var c : engines()) {
      var path = GasPath.of(c, 1);
      var sides = List.of(path.intake(), path.exhaust());
      for (var side : sides) {
        for (int k = 0; k < side.size(); k++) {
          var piece = side.get(k);
          assertThat(piece.length()).as("%s", piece).isPositive();
          assertThat(Math.min(piece.entry(), piece.exit())).as("%s", piece).isPositive();
          if (k > 0) {
            assertThat(piece.part()).isGreaterThan(side.get(k - 1).part());
          }
        }
      }
      assertThat(path.find(Part.RUNNER).orElseThrow().length())
          .isEqualTo(c.intake().runnerLength(1));
      assertThat(path.find(Part.PRIMARY).orElseThrow().entry())
          .isEqualTo(c.exhaust().primaryDiameter().si());
      assertThat(path.find(Part.INTAKE_PORT).orElseThrow().area(0.5))
          .isCloseTo(c.heads().intakePortArea(), within(1e-12));
      assertThat(path.find(Part.COMPRESSOR)).isEmpty();
      assertThat(path.find(Part.SECONDARY).isPresent())
          .isEqualTo(c.exhaust().kind() == Exhaust.Kind.STEPPED);
      assertThat(GasPath.length(path.intake()))
          .isCloseTo(
              path.intake().stream().mapToDouble(GasPath.Piece::length).sum(), within(1e-12));
    }
  }

  /** What is fitted stands in the way where the gas meets it; what is taken off does not. */
  @Test
  void whatIsFittedStandsInTheWay() {
    var blown = EIGHT.with("boost.kind", Boost.Kind.TURBOCHARGER);
    var way = GasPath.of(blown, 1);
    assertThat(way.intake().getFirst().part()).isEqualTo(Part.COMPRESSOR);
    assertThat(way.find(Part.TURBINE)).isPresent();
    assertThat(way.find(Part.COMPRESSOR).orElseThrow().toScale()).isFalse();
    var each = EIGHT.with("intake.manifold", Intake.Manifold.INDIVIDUAL);
    assertThat(GasPath.of(each, 1).find(Part.PLENUM)).isEmpty();
    var planes = EIGHT.with("intake.manifold", Intake.Manifold.DUAL_PLANE);
    double one = GasPath.of(EIGHT, 1).find(Part.PLENUM).orElseThrow().length();
    double half = GasPath.of(planes, 1).find(Part.PLENUM).orElseThrow().length();
    assertThat(Math.pow(half / one, 3)).isCloseTo(0.5, within(1e-9));
    var stepped = EIGHT.with("exhaust.kind", Exhaust.Kind.STEPPED);
    assertThat(GasPath.of(stepped, 1).find(Part.SECONDARY)).isPresent();
    var quiet = EIGHT.with("exhaust.outlet", Exhaust.Outlet.SYSTEM);
    assertThat(GasPath.of(quiet, 1).exhaust().getLast().part()).isEqualTo(Part.SILENCER);
    var longer =
        EIGHT.with("intake.runnerChanges", List.of(0.0, 0.05, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0));
    double more =
        GasPath.of(longer, 2).find(Part.RUNNER).orElseThrow().length()
            - GasPath.of(longer, 1).find(Part.RUNNER).orElseThrow().length();
    assertThat(more).isCloseTo(0.05, within(1e-12));
  }
}
