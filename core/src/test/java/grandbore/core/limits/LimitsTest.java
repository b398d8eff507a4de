package grandbore.core.limits;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.checks.Check;
import grandbore.core.checks.Check.Verdict;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Boost;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.SlowRunning;
import grandbore.core.units.Quantity;
import java.util.List;
import java.util.Optional;
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
    return limits(build, Optional.empty());
  }

  private static List<Check> limits(Build build, Optional<SlowRunning.Idle> idle) {
    return Limits.of(build, build.asMeasured(new Readings(List.of())), curve, idle);
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
            "throttle_depression",
            "strength_fuel_flow",
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

  /** Half the carburettor holds back four times as much; a blower's is not judged by its rating. */
  @Test
  void aCarburettorHoldsBackByTheSquareOfItsShare() {
    var whole = named(limits(EIGHT), "throttle_depression");
    var half = named(limits(with("intake.throttleFlow", 0.5)), "throttle_depression");
    assertThat(1 - half.margin()).isCloseTo(4 * (1 - whole.margin()), within(1e-9));
    assertThat(half.verdict()).isEqualTo(Verdict.BAD);
    var blown =
        EIGHT.with(EIGHT.combination().with("boost.kind", Boost.Kind.POSITIVE_DISPLACEMENT));
    assertThat(limits(blown)).extracting(Check::name).doesNotContain("throttle_depression");
  }

  /** Vacuum is a limit where one is wanted, by its share; where no idle is held it is missed. */
  @Test
  void vacuumIsALimitWhereItIsWanted() {
    var wanted = EIGHT.with(EIGHT.combination().with("brief.vacuum", vacuum(40e3)));
    var idle = new SlowRunning.Idle(850, 0.02, 36e3, 0.2, true);
    var close = named(limits(wanted, Optional.of(idle)), "brief_vacuum");
    assertThat(close.verdict()).isEqualTo(Verdict.CLOSE);
    assertThat(close.margin()).isCloseTo(-0.1, within(1e-12));
    assertThat(named(limits(wanted), "brief_vacuum").verdict()).isEqualTo(Verdict.BAD);
    var free = EIGHT.with(EIGHT.combination().with("brief.vacuum", vacuum(0)));
    assertThat(limits(free, Optional.of(idle)))
        .extracting(Check::name)
        .doesNotContain("brief_vacuum");
  }

  private static Given vacuum(double pascals) {
    return new Given(pascals, Quantity.PRESSURE, Provenance.CARD, 0);
  }

  /** What fuel burns is the curve's own consumption times its power. */
  @Test
  void fuelIsWhatTheCurveBurns() {
    double most =
        curve.points().stream().mapToDouble(p -> p.fuelPerJoule() * p.power()).max().orElseThrow();
    var rating = new Given(1.25 * most, Quantity.MASS_FLOW, Provenance.CARD, 0);
    var rated = EIGHT.with(EIGHT.combination().with("ratings.fuelFlow", rating));
    var fuel = named(limits(rated), "strength_fuel_flow");
    assertThat(fuel.margin()).isCloseTo(0.2, within(1e-9));
    assertThat(fuel.verdict()).isEqualTo(Verdict.GOOD);
    assertThat(named(limits(EIGHT), "strength_fuel_flow").verdict()).isEqualTo(Verdict.UNKNOWN);
  }
}
