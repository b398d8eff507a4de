package grandbore.core.guided;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.guided.Outcome.Into;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Every routine leads to its number and catches its usual mistake. */
class GuidesTest {
  private static final Build BUILD = DemoBuilds.hillClimbEight();

  private static Outcome run(Routine r, Subject side, Object... keysAndValues) {
    var answers = new Answers();
    for (int i = 0; i < keysAndValues.length; i += 2) {
      answers.put((String) keysAndValues[i], ((Number) keysAndValues[i + 1]).doubleValue(), false);
    }
    return Guide.of(r, BUILD, 2, side).conclude(answers);
  }

  private static double rad(double degrees) {
    return Math.toRadians(degrees);
  }

  private static double booked(Outcome o, Measurement m) {
    return o.into().stream()
        .filter(i -> i instanceof Into.Book b && b.measurement() == m)
        .mapToDouble(i -> ((Into.Book) i).value())
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @EnumSource(Routine.class)
  void everyRoutineHasStepsAMistakeAndNothingToSayBeforeItIsRead(Routine r) {
    var guide = Guide.of(r, BUILD, 1, r.subjects().getLast());
    assertThat(guide.steps()).isNotEmpty();
    assertThat(guide.steps()).extracting(Step::key).doesNotHaveDuplicates();
    assertThat(guide.steps()).anyMatch(Step::isRead);
    assertThat(r.mistake()).isNotBlank();
    var outcome = guide.conclude(new Answers());
    assertThat(outcome.into()).isEmpty();
    assertThat(outcome.wrong()).isEmpty();
  }

  @Test
  void topCentreIsTheMiddleOfBothTouches() {
    var o = run(Routine.TOP_BY_STOP, Subject.WHOLE, "forward", rad(-38), "back", rad(44));
    assertThat(o.says().getFirst()).contains("3.0°").contains("-3.0°");
    assertThat(o.wrong()).isEmpty();
    assertThat(run(Routine.TOP_BY_STOP, Subject.WHOLE, "forward", rad(-4), "back", rad(5)).wrong())
        .singleElement()
        .asString()
        .contains("longer stop");
    assertThat(
            run(
                    Routine.TOP_BY_STOP,
                    Subject.WHOLE,
                    "forward",
                    rad(-38),
                    "back",
                    rad(44),
                    "again",
                    rad(-36))
                .wrong())
        .singleElement()
        .asString()
        .contains("moved");
  }

  @Test
  void readingOnTheWayBackIsCaught() {
    var answers = new Answers().put("rise", rad(-20), false).put("fall", rad(20), true);
    var o = Guide.of(Routine.TOP_BY_DWELL, BUILD, 1, Subject.WHOLE).conclude(answers);
    assertThat(o.wrong()).singleElement().asString().contains("turning back");
    var degree = new Answers().put("top", 0, false).put("opens", rad(14), true);
    assertThat(Guide.of(Routine.DEGREE, BUILD, 1, Subject.INTAKE).conclude(degree).wrong())
        .singleElement()
        .asString()
        .contains("two more turns");
  }

  /** 226° at 5° before and 41° after: centreline 108° (common practice, no source). */
  @Test
  void aCamIsDegreedWithAWheelThatIsOff() {
    var right = run(Routine.DEGREE, Subject.INTAKE, "top", 0, "opens", rad(14), "closes", rad(44));
    assertThat(right.wrong()).isEmpty();
    assertThat(right.says()).anyMatch(s -> s.startsWith("Centreline, intake: 105.0°"));
    // The same cam, the wheel reading 2° at top: before top it reads 2° less, after it 2° more.
    var off =
        run(Routine.DEGREE, Subject.INTAKE, "top", rad(2), "opens", rad(12), "closes", rad(46));
    assertThat(off.says()).isEqualTo(right.says());
    assertThat(off.into())
        .anyMatch(i -> i instanceof Into.Input in && in.path().equals("degreed.intakeOpens"));
    var late = run(Routine.DEGREE, Subject.INTAKE, "top", 0, "opens", rad(10), "closes", rad(48));
    assertThat(late.says())
        .anyMatch(s -> s.contains("4.0° late"))
        .anyMatch(s -> s.contains("advance by 4.0°"));
    var wrong = run(Routine.DEGREE, Subject.INTAKE, "top", rad(60), "opens", rad(10));
    assertThat(wrong.wrong()).singleElement().asString().contains("set it first");
  }

  @ParameterizedTest
  @CsvSource({"0.021, 0.011, 0.016", "0.028, 0.012, 0.020"})
  void theDeckIsTheMeanOfBothSides(double thrust, double opposite, double mean) {
    var o =
        run(
            Routine.DECK,
            Subject.WHOLE,
            "zero",
            0,
            "thrust",
            thrust * 0.0254,
            "opposite",
            opposite * 0.0254,
            "after",
            0);
    assertThat(o.says().getLast()).contains("%.4f in".formatted(mean));
    assertThat(o.into()).hasSize(2);
    var moved =
        run(
            Routine.DECK,
            Subject.WHOLE,
            "zero",
            0,
            "thrust",
            4e-4,
            "opposite",
            3e-4,
            "after",
            5e-5);
    assertThat(moved.wrong()).singleElement().asString().contains("loose base");
    assertThat(run(Routine.DECK, Subject.WHOLE, "thrust", 4e-4).says())
        .singleElement()
        .asString()
        .contains("rocks");
  }

  /** A burette that gives 55, is refilled and gives 8 more: 63 cc (common practice, no source). */
  @Test
  void chambersAndDomesAreFilled() {
    var o = run(Routine.CHAMBER, Subject.WHOLE, "first", 50e-6, "refill", 7e-6, "again", 57.2e-6);
    assertThat(o.says()).contains("Chamber 57.0 cc.");
    assertThat(booked(o, Measurement.CHAMBER)).isCloseTo(57e-6, within(1e-12));
    assertThat(o.wrong()).isEmpty();
    assertThat(run(Routine.CHAMBER, Subject.WHOLE, "first", 55e-6, "refill", 8e-6).says())
        .contains("Chamber 63.0 cc.");
    assertThat(run(Routine.CHAMBER, Subject.WHOLE, "first", 59.5e-6).wrong())
        .singleElement()
        .asString()
        .contains("plug");
    double area = BUILD.combination().bottomEnd().boreArea();
    var dome = run(Routine.DOME, Subject.WHOLE, "depth", 0.0127, "poured", area * 0.0127 - 9e-6);
    assertThat(dome.says().getFirst()).startsWith("Dome of 9.0 cc");
    assertThat(dome.into())
        .singleElement()
        .satisfies(i -> assertThat(((Into.Input) i).value()).isCloseTo(-9e-6, within(1e-10)));
  }

  @Test
  void ringsAndBearingsCatchWhatIsNotSquareOrNotRound() {
    assertThat(run(Routine.RING_GAP, Subject.TOP_RING, "gap", 5e-4, "lower", 5.01e-4).wrong())
        .isEmpty();
    assertThat(run(Routine.RING_GAP, Subject.TOP_RING, "gap", 5e-4, "lower", 6e-4).wrong())
        .singleElement()
        .asString()
        .contains("square");
    var good =
        run(
            Routine.BEARING_BY_GAUGE,
            Subject.MAIN,
            "bore",
            0.0640700,
            "aside",
            0.0640720,
            "journal",
            0.0640080,
            "turned",
            0.0640085);
    assertThat(good.wrong()).isEmpty();
    assertThat(good.says().getFirst()).contains("0.0024 in");
    assertThat(
            run(
                    Routine.BEARING_BY_GAUGE,
                    Subject.MAIN,
                    "bore",
                    0.06407,
                    "aside",
                    0.06403,
                    "journal",
                    0.064008)
                .wrong())
        .singleElement()
        .asString()
        .contains("cap");
    assertThat(run(Routine.BEARING_BY_STRIP, Subject.MAIN, "middle", 6e-5, "edge", 4e-5).wrong())
        .singleElement()
        .asString()
        .contains("turned");
  }

  @Test
  void valvesSpringsAndRockers() {
    var seen =
        run(
            Routine.VALVE_BY_SPRING,
            Subject.INTAKE,
            "at5",
            2.9e-3,
            "at10",
            2.6e-3,
            "at15",
            2.8e-3,
            "at20",
            3.4e-3);
    assertThat(seen.wrong()).isEmpty();
    assertThat(booked(seen, Measurement.VALVE_TO_PISTON)).isEqualTo(2.6e-3);
    assertThat(
            run(
                    Routine.VALVE_BY_SPRING,
                    Subject.EXHAUST,
                    "at10",
                    2.9e-3,
                    "at15",
                    2.7e-3,
                    "at20",
                    2.5e-3)
                .wrong())
        .singleElement()
        .asString()
        .contains("further from top");
    assertThat(run(Routine.VALVE_BY_CLAY, Subject.INTAKE, "thin", 5e-3).wrong())
        .singleElement()
        .asString()
        .contains("gasket, timing or pocket");
    var bind = run(Routine.COIL_BIND, Subject.INTAKE, "bind", 0.0280, "height", 0.0457);
    double lift = BUILD.combination().intakeLift();
    assertThat(booked(bind, Measurement.COIL_BIND)).isCloseTo(0.0177 - lift, within(1e-12));
    assertThat(run(Routine.COIL_BIND, Subject.INTAKE, "bind", 0.0380, "height", 0.0457).wrong())
        .singleElement()
        .asString()
        .contains("before full lift");
    double sheet = BUILD.combination().valveHardware().installedHeight().si();
    assertThat(run(Routine.INSTALLED_HEIGHT, Subject.EXHAUST, "height", sheet + 0.4e-3).says())
        .anyMatch(s -> s.contains("Shims of 0.0157 in"));
    assertThat(run(Routine.ROCKER, Subject.INTAKE, "width", 4e-3, "off", 1e-3).wrong()).hasSize(2);
    var play = run(Routine.END_PLAY, Subject.WHOLE, "rear", -1e-5, "front", 1.4e-4, "again", -1e-5);
    assertThat(booked(play, Measurement.CRANK_END_PLAY)).isCloseTo(1.5e-4, within(1e-12));
    assertThat(
            run(Routine.END_PLAY, Subject.WHOLE, "rear", 0, "front", 1.4e-4, "again", 6e-5).wrong())
        .singleElement()
        .asString()
        .contains("thrust");
  }

  /** Each part has its own line in the book, and mains are counted as mains. */
  @Test
  void ringsAndBearingsGoWhereTheyBelong() {
    var gap = run(Routine.RING_GAP, Subject.SECOND_RING, "gap", 5e-4);
    assertThat(booked(gap, Measurement.SECOND_RING_GAP)).isEqualTo(5e-4);
    assertThat(gap.into()).hasSize(1);
    var rod = run(Routine.BEARING_BY_GAUGE, Subject.ROD, "bore", 0.0534, "journal", 0.05335);
    assertThat(booked(rod, Measurement.ROD_BORE)).isEqualTo(0.0534);
    assertThat(booked(rod, Measurement.ROD_JOURNAL)).isEqualTo(0.05335);
    var strip = run(Routine.BEARING_BY_STRIP, Subject.ROD, "middle", 6e-5);
    assertThat(booked(strip, Measurement.ROD_BEARING)).isEqualTo(6e-5);
    var bottom = BUILD.combination().bottomEnd();
    assertThat(Routine.BEARING_BY_GAUGE.places(Subject.MAIN, bottom)).isEqualTo(5);
    assertThat(Routine.BEARING_BY_GAUGE.places(Subject.ROD, bottom)).isEqualTo(8);
  }

  /** Read 5° sooner than the card's, on its own shaft or on the intake's. */
  @Test
  void anExhaustCamOnItsOwnShaftIsMovedByItself() {
    var twin = DemoBuilds.paddockFour();
    var card = Math.toDegrees(twin.combination().cam().exhaustCentreline());
    var duration = Math.toDegrees(twin.combination().cam().exhaustDuration().si());
    double opens = duration / 2 + card + 5 - 180;
    double closes = duration / 2 - card - 5;
    var a = new Answers().put("top", 0, false);
    a.put("opens", rad(opens), false).put("closes", rad(closes), false);
    var o = Guide.of(Routine.DEGREE, twin, 1, Subject.EXHAUST).conclude(a);
    assertThat(o.wrong()).isEmpty();
    assertThat(o.says())
        .anyMatch(s -> s.startsWith("Move the exhaust cam: retard by 5.0°"))
        .noneMatch(s -> s.contains("ground in"));
    var eight = Guide.of(Routine.DEGREE, BUILD, 1, Subject.EXHAUST).conclude(a);
    assertThat(eight.says()).noneMatch(s -> s.startsWith("Move"));
  }
}
