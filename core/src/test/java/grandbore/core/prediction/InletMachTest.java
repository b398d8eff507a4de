package grandbore.core.prediction;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Intake;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DynoCases;
import grandbore.core.flow.PortSizing;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Filling over the inlet Mach index, pipes too short to tune: flat up to 0.6, some eight tenths of
 * it at 1.0 (C. F. Taylor, The Internal-Combustion Engine in Theory and Practice, volume 1, chapter
 * 6, from memory; engines there scatter by a twentieth, and late closing inlets lie above).
 */
class InletMachTest {
  private static final double SPEED = 4500;

  private static final Map<String, Double> STUBS =
      Map.of(
          "intake.runnerLength", 0.05,
          "heads.intakePortLength", 0.06,
          "intake.throttleFlow", 0.9,
          "heads.exhaustPortLength", 0.05,
          "exhaust.primaryLength", 0.10,
          "exhaust.primaryDiameter", 0.05,
          "exhaust.collectorLength", 0.05,
          "exhaust.collectorDiameter", 0.12);

  private static Combination stubs(Combination c) {
    var bare =
        c.with("intake.manifold", Intake.Manifold.INDIVIDUAL)
            .with("exhaust.kind", Exhaust.Kind.HEADERS)
            .with("exhaust.outlet", Exhaust.Outlet.OPEN);
    for (var each : STUBS.entrySet()) {
      var field = Specs.field(each.getKey());
      bare = field.with(bare, field.get(bare).with(each.getValue(), Provenance.CARD));
    }
    return bare;
  }

  /** With inlet valves that flow so much less that the index is this. */
  private static double filling(Predictor predictor, Combination c, double index) {
    double share = PortSizing.machIndex(c, SPEED * Math.PI / 30) / index;
    var sheet = c.heads().intakeFlow();
    var rows =
        sheet.rows().stream().map(r -> new FlowSheet.Row(r.lift(), r.flow() * share)).toList();
    var engine = BuiltEngine.asSpecified(c.with("heads.intakeFlow", sheet.with(rows)));
    var point = predictor.predict(engine, List.of(SPEED), Fidelity.FULL).points().getFirst();
    assertThat(point.converged()).isTrue();
    return point.volumetricEfficiency();
  }

  @ParameterizedTest
  @CsvSource({"E", "F", "C headers"})
  void fillingFallsWhereTheValveChokes(String engine) {
    var c = stubs(DynoCases.of(engine));
    try (var predictor = new Predictor(1)) {
      double best = filling(predictor, c, 0.4);
      assertThat(filling(predictor, c, 0.25) / best).isBetween(0.97, 1.01);
      assertThat(filling(predictor, c, 0.6) / best).isBetween(0.96, 1.0);
      double choked = filling(predictor, c, 1.0) / best;
      assertThat(choked).isBetween(0.75, 0.88);
      assertThat(filling(predictor, c, 1.5) / best).isLessThan(0.82 * choked);
    }
  }
}
