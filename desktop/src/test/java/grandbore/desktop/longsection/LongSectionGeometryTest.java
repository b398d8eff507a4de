package grandbore.desktop.longsection;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.beginning.Ordinary;
import grandbore.core.beginning.Pattern;
import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.flow.GasPath;
import grandbore.core.flow.GasPath.Part;
import grandbore.core.mechanics.Balance;
import grandbore.core.prediction.Duct;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.RandomEngines;
import grandbore.desktop.drawing.ChamberPlan;
import grandbore.desktop.drawing.CrankAlong;
import grandbore.desktop.drawing.CylinderShape;
import grandbore.desktop.drawing.EndView;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What is drawn is what the inputs say, at any engine's proportions. */
class LongSectionGeometryTest {
  @Test
  void thePistonStandsWhereRodAndCrankPutIt() {
    for (var c : RandomEngines.of(1, 40)) {
      var shape = CylinderShape.of(c);
      var b = c.bottomEnd();
      double r = b.stroke().si() / 2;
      double l = b.rodLength().si();
      double e = b.pinOffset().si();
      for (int degrees = 0; degrees < 720; degrees += 37) {
        double a = Math.toRadians(degrees);
        double x = r * Math.sin(a) - e;
        double pin = r * Math.cos(a) + Math.sqrt(l * l - x * x);
        // At its highest the crown is the deck's clearance below the deck.
        double highest = Math.sqrt((r + l) * (r + l) - e * e);
        double crown = b.blockDeck().si() - b.deckClearance() - (highest - pin);
        assertThat(shape.crown(a)).isCloseTo(crown, within(1e-4));
        assertThat(shape.crown(a) - shape.pin(a)).isCloseTo(b.pinHeight().si(), within(1e-12));
      }
    }
  }

  @Test
  void theChamberHoldsItsVolumeAndTheValvesStandOnItsCeiling() {
    for (var c : RandomEngines.of(2, 40)) {
      var shape = CylinderShape.of(c);
      double bore = c.bottomEnd().boreArea();
      double plan =
          c.compression().planArea().isKnown() ? c.compression().planArea().si() : 0.75 * bore;
      double share = shape.opposed() ? 0.5 : 1;
      assertThat(share * plan * shape.roof())
          .isCloseTo(c.compression().chamberVolume().si(), within(1e-9));
      for (var v : List.of(shape.intake(), shape.exhaust())) {
        assertThat(v.y()).isEqualTo(shape.ceiling(v.x()));
        double lift = 0.011;
        assertThat(Math.hypot(v.xAt(lift) - v.x(), v.yAt(lift) - v.y()))
            .isCloseTo(lift, within(1e-12));
        assertThat(v.yAt(lift)).isLessThan(v.y());
      }
      assertThat(shape.exhaust().x()).isGreaterThan(shape.intake().x());
    }
  }

  @Test
  void everyPieceIsToOneScaleAndFollowsTheOneBefore() {
    for (var c : RandomEngines.of(3, 40)) {
      var shape = CylinderShape.of(c);
      for (double width : new double[] {500, 820, 1400}) {
        var axis = new PathAxis(GasPath.of(c, 1), shape, width, 700);
        double before = PathAxis.LEFT;
        for (var s : axis.spans()) {
          assertThat(s.from()).isGreaterThanOrEqualTo(before - 1e-9);
          before = s.to();
          assertThat(s.broken())
              .isEqualTo(s.to() - s.from() < s.piece().length() * axis.scale() - 1e-9);
          if (s.broken()) {
            assertThat(s.piece().part()).isIn(Part.TAIL, Part.SILENCER);
          }
        }
        assertThat(before).isLessThanOrEqualTo(width);
        var runner = axis.find(Part.RUNNER).orElseThrow();
        assertThat(runner.width(runner.from()) * runner.width(runner.from()) * Math.PI / 4)
            .isCloseTo(c.intake().runnerEntry().si(), within(1e-9));
        double own = c.intake().runnerLength(1) + c.heads().intakePortLength().si();
        var duct = axis.duct(Duct.INTAKE, own).orElseThrow();
        assertThat(duct[0]).isCloseTo(runner.from(), within(1e-6));
        assertThat(duct[1]).isCloseTo(axis.intakeValve(), within(1e-9));
      }
    }
  }

  /** Whatever is wanted where: nothing overlaps, nothing leaves the room while there is room. */
  @Test
  void whatIsSpreadKeepsApartAndInside() {
    var random = new Random(4);
    for (int k = 0; k < 500; k++) {
      int n = 1 + random.nextInt(9);
      double[] wanted = random.doubles(n, -50, 1050).toArray();
      double[] width = random.doubles(n, 20, 100).toArray();
      double[] at = Spread.place(wanted, width, 0, 1000);
      for (int i = 0; i < n; i++) {
        assertThat(at[i]).isGreaterThanOrEqualTo(-1e-9);
        assertThat(at[i] + width[i]).isLessThanOrEqualTo(1000 + 1e-9);
        for (int j = 0; j < n; j++) {
          if (wanted[i] < wanted[j]) {
            assertThat(at[i] + width[i]).isLessThanOrEqualTo(at[j] + 1e-9);
          }
        }
      }
    }
    // Alone, each stands over what it measures.
    assertThat(Spread.place(new double[] {300, 700}, new double[] {80, 90}, 0, 1000))
        .containsExactly(260, 655);
  }

  /** Between the middles of cells values run straight; at both ends they stay. */
  @Test
  void theTintRunsStraightBetweenCells() {
    double[] cells = {1, 3, 7};
    assertThat(GasPicture.along(cells, 0.5)).isEqualTo(3);
    assertThat(GasPicture.along(cells, 1 / 3.0)).isCloseTo(2, within(1e-12));
    assertThat(GasPicture.along(cells, 0)).isEqualTo(1);
    assertThat(GasPicture.along(cells, 1)).isEqualTo(7);
    var range = new GasView.Range(80, 100, 140);
    assertThat(
            Arrays.stream(new double[] {60, 80, 90, 100, 120, 140, 900})
                .map(range::place)
                .toArray())
        .containsExactly(-1, -1, -0.5, 0, 0.5, 1, 1);
  }

  /** Every valve stands inside the bore, none over another, one to three on a side. */
  @Test
  void valvesSeenFromBelowFindRoomInTheBore() {
    for (var pattern : Pattern.values()) {
      var c = Ordinary.build(pattern.asked("plan", UnitSystem.METRIC)).combination();
      double bore = c.bottomEnd().bore().si();
      var heads = ChamberPlan.heads(c);
      assertThat(heads).hasSize(c.heads().intakeValves() + c.heads().exhaustValves());
      for (var a : heads) {
        assertThat(Math.hypot(a.x(), a.y()) + a.radius()).isLessThan(bore / 2);
        assertThat(a.x() < 0).isEqualTo(a.intake());
        for (var b : heads) {
          if (!a.equals(b)) {
            assertThat(Math.hypot(a.x() - b.x(), a.y() - b.y()))
                .as(pattern.toString())
                .isGreaterThan(a.radius() + b.radius());
          }
        }
      }
    }
  }

  /**
   * A cross-plane V8's throws stand at right angles, two rods on each; an in-line four's in pairs.
   */
  @Test
  void theCrankAlongItsLengthHasItsThrows() {
    var c = Arrangement.VEE_8_CROSS.of(DemoBuilds.hillClimbEight().combination());
    double radius = c.bottomEnd().stroke().si() / 2;
    var eight = new CrankAlong(c, new Balance(c)).throwsAt(0);
    assertThat(eight).hasSize(4).allMatch(t -> t.cylinders().size() == 2);
    assertThat(eight.getFirst().up()).isCloseTo(-eight.getLast().up(), within(1e-9));
    assertThat(Math.hypot(eight.get(0).up(), eight.get(1).up())).isCloseTo(radius, within(1e-9));
    var four = DemoBuilds.paddockFour().combination();
    double half = four.bottomEnd().stroke().si() / 2;
    var pins = new CrankAlong(four, new Balance(four)).throwsAt(0);
    assertThat(pins)
        .extracting(t -> Math.rint(1e6 * t.up() / half) / 1e6)
        .containsExactly(1., -1., -1., 1.);
    assertThat(pins.get(1).middle() - pins.get(0).middle())
        .isCloseTo(four.partSizes().boreSpacing().si(), within(1e-9));
  }

  /** At right angles the decks' inner edges stand apart by √2 times deck less wall's edge. */
  @Test
  void theValleyLiesBetweenTheBanks() {
    var c = DemoBuilds.hillClimbEight().combination();
    var b = c.bottomEnd();
    double edge = b.bore().si() / 2 + 0.008;
    assertThat(EndView.valley(c))
        .isCloseTo(Math.sqrt(2) * (b.blockDeck().si() - edge), within(1e-9));
    assertThat(EndView.valley(DemoBuilds.paddockFour().combination())).isZero();
    var steep = DemoBuilds.hillClimbEight().combination();
    var angle = Specs.field("partSizes.bankAngle");
    steep = angle.with(steep, angle.get(steep).with(Math.toRadians(60), Provenance.CARD));
    assertThat(EndView.valley(steep)).isLessThan(EndView.valley(c)).isPositive();
  }
}
