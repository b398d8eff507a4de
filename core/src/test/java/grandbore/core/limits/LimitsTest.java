package grandbore.core.limits;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import java.util.List;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What bites first, in order and with how much is left. */
class LimitsTest {
  private static final Build EIGHT = DemoBuilds.hillClimbEight();
  private static Curve curve;

  @BeforeAll
  static void solve() {
    var engine = EIGHT.asMeasured(new Readings(List.of()));
    curve = new Predictor().predict(engine, List.of(4500.0, 6000.0, 7500.0), Fidelity.LIVE);
  }

  private static List<Check> limits(Build build) {
    return Limits.of(build, build.asMeasured(new Readings(List.of())), curve);
  }

  private static Build with(String path, double factor) {
    var was = (Given) EIGHT.combination().at(path);
    return EIGHT.with(EIGHT.combination().with(path, was.with(factor * was.si(), Provenance.CARD)));
  }

  private static Check named(List<Check> limits, String name) {
    return limits.stream().filter(c -> c.name().equals(name)).findFirst().orElseThrow();
  }

  @Test
  void whatDoesNotHoldComesFirstAndEachByWhatIsLeft() {
    var all = limits(EIGHT);
    assertThat(all).extracting(Check::name).doesNotHaveDuplicates();
    assertThat(all)
        .extracting(Check::name)
        .contains(
            "valves_follow",
            "ring_flutter",
            "piston_speed",
            "port_mach",
            "knock_margin",
            "strength_rod_tension",
            "strength_rod_bolts",
            "intake_to_piston");
    for (int i = 1; i < all.size(); i++) {
      var a = all.get(i - 1);
      var b = all.get(i);
      assertThat(rank(a)).isLessThanOrEqualTo(rank(b));
      if (rank(a) == rank(b) && !Double.isNaN(b.margin())) {
        assertThat(a.margin()).isLessThanOrEqualTo(b.margin());
      }
    }
    for (var c : all) {
      if (c.verdict() == Verdict.BAD && !Double.isNaN(c.margin())) {
        assertThat(c.margin()).as(c.label()).isLessThanOrEqualTo(0);
      }
      if (c.verdict() == Verdict.GOOD && !Double.isNaN(c.margin())) {
        assertThat(c.margin()).as(c.label()).isGreaterThanOrEqualTo(0);
      }
      assertThat(c.working()).isNotBlank();
    }
  }

  private static int rank(Check c) {
    return switch (c.verdict()) {
      case BAD -> 0;
      case CLOSE -> 1;
      case GOOD -> 2;
      case UNKNOWN -> 3;
    };
  }

  /** Weak springs bite first, and by as much as the speed they follow to says. */
  @Test
  void weakSpringsBiteFirst() {
    var weak = limits(with("valveTrain.springSeat", 0.3));
    var follow = named(weak, "valves_follow");
    assertThat(follow.verdict()).isEqualTo(Verdict.BAD);
    assertThat(weak.subList(0, 3)).contains(follow);
    assertThat(follow.margin()).isLessThan(named(limits(EIGHT), "valves_follow").margin());
  }

  /** Half the rating leaves as much less as the load says. */
  @Test
  void aRatingIsWhatItsShareLeaves() {
    var half = named(limits(with("ratings.rodTension", 0.5)), "strength_rod_tension");
    var whole = named(limits(EIGHT), "strength_rod_tension");
    assertThat(1 - half.margin()).isCloseTo(2 * (1 - whole.margin()), within(1e-9));
    double worst =
        curve.points().stream().mapToDouble(p -> p.efforts().rodTension()).max().orElseThrow();
    double rating = EIGHT.combination().ratings().rodTension().si();
    assertThat(whole.margin()).isCloseTo(1 - worst / rating, within(1e-9));
    // Not known is last, not first.
    var none = limits(with("ratings.rodTension", 0));
    assertThat(named(none, "strength_rod_tension").verdict()).isEqualTo(Verdict.UNKNOWN);
    assertThat(rank(none.getLast())).isEqualTo(3);
  }
}
