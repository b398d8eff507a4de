package grandbore.core.topend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.Said;
import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.CombinationMaker;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.flow.PortSizing;
import grandbore.core.flow.ValvePassage;
import java.util.List;
import org.junit.jupiter.api.Test;

class PortSizingTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();

  private static Check check(Build build, String name) {
    return Said.check(FlowVerdict.of(build), name);
  }

  private static Build flowing(double... liftAndFlow) {
    return EIGHT.with(
        EIGHT
            .combination()
            .with("heads.intakeFlow", CombinationMaker.sheet(Provenance.MEASURED, liftAndFlow)));
  }

  /** (bore ÷ valve)² × piston speed ÷ (coefficient × sound): by hand from the same numbers. */
  @Test
  void theMachIndexIsTaylors() {
    var c = EIGHT.combination();
    double ratio = 4.094 / 2.02;
    double piston = 2 * 3.050 * 0.0254 * 7000 / 60;
    double sound = Math.sqrt(1.4 * 287.05 * c.weather().temperature().si());
    double byHand = ratio * ratio * piston / PortSizing.meanCoefficient(c) / sound;
    double w = 7000 * Math.PI / 30;
    assertThat(PortSizing.machIndex(c, w)).isCloseTo(byHand, within(1e-9));
    assertThat(PortSizing.machIndex(c, PortSizing.limitingSpeed(c)))
        .isCloseTo(PortSizing.LIMIT, within(1e-9));
    assertThat(PortSizing.meanCoefficient(c)).isBetween(0.25, 0.6);
    var larger = PortSizing.largerValve(c, 0.05);
    assertThat(PortSizing.limitingSpeed(larger)).isGreaterThan(PortSizing.limitingSpeed(c));
    assertThat(PortSizing.portSpeed(PortSizing.portSection(c, 0.25), w))
        .isCloseTo(PortSizing.portSpeed(c, w) / 1.25, within(1e-9));
  }

  /** Flow goes with the root of the depression (common practice): the same port, the same area. */
  @Test
  void aSheetAtAnotherDepressionIsTheSamePort() {
    var sheet = EIGHT.combination().heads().intakeFlow();
    var half =
        new FlowSheet(
            sheet.depression() / 4,
            sheet.provenance(),
            sheet.rows().stream().map(r -> new FlowSheet.Row(r.lift(), r.flow() / 2)).toList());
    var valve = ValvePassage.intake(EIGHT.combination());
    for (int i = 0; i < sheet.rows().size(); i++) {
      double a = PortSizing.discharge(sheet, sheet.rows().get(i), 1, valve);
      double b = PortSizing.discharge(half, half.rows().get(i), 1, valve);
      assertThat(a / b).isCloseTo(1, within(0.03));
    }
  }

  @Test
  void stallReversalAndMisreadRowsAreFound() {
    assertThat(check(EIGHT, "intake_stall").verdict()).isEqualTo(Verdict.GOOD);
    var stalls = flowing(.1, 63, .2, 131, .3, 191, .4, 236, .5, 236.5, .6, 237);
    assertThat(check(stalls, "intake_stall").says()).contains("stalls from 0.400 in");
    var turns = flowing(.1, 63, .2, 131, .3, 191, .4, 246, .5, 240, .6, 236);
    assertThat(check(turns, "intake_stall").verdict()).isEqualTo(Verdict.BAD);
    var wrong = flowing(.1, 163, .2, 171, .3, 191, .4, 236, .5, 261, .6, 272);
    assertThat(check(wrong, "intake_discharge").verdict()).isEqualTo(Verdict.BAD);
    assertThat(check(wrong, "intake_discharge").says()).contains("misread");
    var apart =
        EIGHT.with(
            EIGHT
                .combination()
                .with("heads.intakeShares", List.of(1.0, 1.0, 0.93, 1.0, 1.0, 1.0, 1.02, 1.0)));
    assertThat(check(apart, "intake_balance").says()).contains("cylinder 3");
  }
}
