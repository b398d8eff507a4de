package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import grandbore.core.build.Build;
import grandbore.core.clearances.Application;
import grandbore.core.combination.Boost;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.Predictor;
import grandbore.core.units.UnitSystem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class FormatsTest {
  private static final BuildDocument EIGHT =
      new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings());

  @ParameterizedTest
  @EnumSource(UnitSystem.class)
  void aBuildComesBackAsItWentOut(UnitSystem units) {
    for (var build : List.of(DemoBuilds.hillClimbEight(), DemoBuilds.paddockFour())) {
      var back =
          BuildJson.read(BuildJson.write(new BuildDocument(build.with(units), List.of()))).build();
      for (var field : Specs.fields()) {
        var was = field.get(build.combination());
        var is = field.get(back.combination());
        assertThat(is.si())
            .as(field.path())
            .isCloseTo(was.si(), within(1e-8 + 1e-8 * Math.abs(was.si())));
        assertThat(is.provenance()).isEqualTo(was.provenance());
        assertThat(is.spread()).isCloseTo(was.spread(), within(1e-8 + 1e-6 * was.spread()));
      }
      assertThat(back.combination().heads().intakeFlow().rows())
          .hasSameSizeAs(build.combination().heads().intakeFlow().rows());
    }
    assertThat(BuildJson.read(BuildJson.write(EIGHT)).readings()).hasSameSizeAs(EIGHT.readings());
  }

  /** Documents of the first version are read for ever: what they did not know is as usual. */
  @Test
  void aDocumentOfTheFirstVersionIsStillRead() throws IOException {
    String text = Files.readString(Path.of("src/test/resources/grandbore/book/version-1.json"));
    var c = BuildJson.read(text).build().combination();
    assertThat(c.bottomEnd().bore().si()).isCloseTo(3.402 * 0.0254, within(1e-9));
    assertThat(c.boost().kind()).isEqualTo(Boost.Kind.NONE);
    assertThat(c.intake().throttles()).isEqualTo(1);
    assertThat(c.valveTrain().stiffness().si()).isGreaterThan(8e6);
    assertThat(c.valveTrain().stiffness().provenance()).isEqualTo(Provenance.ASSUMED);
    assertThatThrownBy(() -> BuildJson.read(text.replace("\"bore\"", "\"boar\"")))
        .isInstanceOf(FormatException.class);
    var again =
        BuildJson.read(BuildJson.write(new BuildDocument(BuildJson.read(text).build(), List.of())));
    assertThat(again.build().combination().intake()).isEqualTo(c.intake());
  }

  /** Version 2 kept the sum of the reciprocating masses and one word for racing. */
  @Test
  void aDocumentOfTheSecondVersionIsStillRead() throws IOException {
    var mapper = new ObjectMapper();
    var schema = mapper.readTree(BuildJson.class.getResourceAsStream("build-2.schema.json"));
    var old = (ObjectNode) mapper.readTree(BuildJson.write(EIGHT));
    prune(old, schema);
    old.put("version", 2).put("application", "RACE");
    ((ObjectNode) old.at("/combination/bottomEnd"))
        .putObject("reciprocatingMass")
        .put("value", 762)
        .put("unit", "g")
        .put("provenance", "measured");
    var build = BuildJson.read(old.toString()).build();
    assertThat(build.application()).isEqualTo(Application.ROAD_COURSE);
    assertThat(build.combination().weights().reciprocating()).isCloseTo(0.762, within(1e-9));
    assertThat(build.combination().partSizes().pin().isKnown()).isFalse();
    assertThat(build.combination().brief().bandTo().si())
        .isCloseTo(7500 * Math.PI / 30, within(1e-6));
    old.put("version", 3);
    assertThatThrownBy(() -> BuildJson.read(old.toString())).isInstanceOf(FormatException.class);
  }

  /** Version 3 knew no spacers, seats, maps or materials, nor notes beside the readings. */
  @Test
  void aDocumentOfTheThirdVersionIsStillRead() throws IOException {
    var mapper = new ObjectMapper();
    var old = (ObjectNode) mapper.readTree(BuildJson.write(EIGHT));
    prune(old, mapper.readTree(BuildJson.class.getResourceAsStream("build-3.schema.json")));
    old.put("version", 3);
    var c = BuildJson.read(old.toString()).build().combination();
    assertThat(c.intake().spacerHeight().isKnown()).isFalse();
    assertThat(c.intake().airBox().isKnown()).isFalse();
    assertThat(c.heads().intakeFlow().fitting()).isEqualTo(FlowSheet.Fitting.NOT_STATED);
    assertThat(c.boost().map().isGiven()).isFalse();
    assertThat(c.seats().intakeAngle().si()).isCloseTo(Math.PI / 4, within(1e-9));
    old.put("version", 4);
    assertThatThrownBy(() -> BuildJson.read(old.toString())).isInstanceOf(FormatException.class);
  }

  /** Version 5 did not ask whether both lobes stand on one shaft. */
  @Test
  void aDocumentOfTheFifthVersionHasTheUsualShafts() throws IOException {
    var four = new BuildDocument(DemoBuilds.paddockFour(), List.of());
    var shafts = BuildJson.read(asVersion(5, four)).build().combination().valveTrain().shafts();
    assertThat(shafts).isEqualTo(ValveTrain.Shafts.TWO);
    var read = BuildJson.read(asVersion(5, EIGHT)).build().combination();
    assertThat(read).isEqualTo(EIGHT.build().combination());
    assertThat(read.valveTrain().shafts()).isEqualTo(ValveTrain.Shafts.ONE);
  }

  /** A document as an older version's schema has it. */
  static String asVersion(int version, BuildDocument document) throws IOException {
    var mapper = new ObjectMapper();
    var old = (ObjectNode) mapper.readTree(BuildJson.write(document));
    String name = "build-" + version + ".schema.json";
    prune(old, mapper.readTree(BuildJson.class.getResourceAsStream(name)));
    return old.put("version", version).toPrettyString();
  }

  private static Map<String, String> inverse(Map<String, String> names) {
    var inverse = new HashMap<String, String>();
    names.forEach((old, now) -> inverse.put(now, old));
    return inverse;
  }

  /** Leaves only what a schema knows, under the names of its time. */
  private static void prune(ObjectNode node, JsonNode schema) {
    if (node.get("combination") instanceof ObjectNode combination) {
      OlderNames.rename(combination, inverse(OlderNames.GROUPS));
      OlderNames.rename((ObjectNode) combination.get("intake"), inverse(OlderNames.INTAKE));
    }
    node.path("readings").forEach(r -> ((ObjectNode) r).remove("si"));
    var known = schema.path("properties");
    node.retain(
        java.util.stream.StreamSupport.stream(
                ((Iterable<String>) known::fieldNames).spliterator(), false)
            .toList());
    for (var name : List.copyOf(node.properties())) {
      if (name.getValue() instanceof ObjectNode inner
          && known.path(name.getKey()).has("properties")) {
        prune(inner, known.get(name.getKey()));
      }
    }
  }

  @Test
  void thePublishedSchemaIsTheOneInForce() throws IOException {
    assertThat(Files.readString(Path.of("../docs/formats/build-6.schema.json")))
        .isEqualTo(BuildSchema.text());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"bore\" | \"boar\" | at combination",
        "\"unit\" : \"in\" | \"unit\" : \"furlong\" | at combination",
        "\"VEE\" | \"STAR\" | at combination.bottomEnd",
        "\"version\" : 6 | \"version\" : 9 | version is 9",
        "grand-bore-build | something-else | format is",
        "\"value\" : 4.094 | \"value\" : 0.4 | Bore (bottomEnd.bore)",
        "\"value\" : 4.094 | \"value\" : \"wide\" | at combination"
      })
  void aDamagedDocumentIsRefusedWholeWithThePlace(String what, String by, String says) {
    String text = BuildJson.write(EIGHT);
    assertThat(text).contains(what);
    assertThatThrownBy(() -> BuildJson.read(text.replaceFirst(what, by)))
        .isInstanceOfAny(FormatException.class, InvalidInput.class)
        .hasMessageContaining(says)
        .message()
        .doesNotContain("\n");
  }

  @Test
  void aTruncatedDocumentIsRefusedWithLineAndColumn() {
    String text = BuildJson.write(EIGHT);
    for (int cut = 0; cut < text.length() - 3; cut += 997) {
      String part = text.substring(0, cut);
      assertThatThrownBy(() -> BuildJson.read(part))
          .isInstanceOf(FormatException.class)
          .message()
          .doesNotContain("\n");
    }
    assertThatThrownBy(() -> BuildJson.read(text.substring(0, 500)))
        .hasMessageContaining("line")
        .hasMessageContaining("column");
  }

  @Test
  void aFlowSheetComesBackAndItsDamageIsNamedByLine() {
    FlowSheet sheet = EIGHT.build().combination().heads().intakeFlow();
    for (var units : UnitSystem.values()) {
      var back = FlowSheetCsv.read(FlowSheetCsv.write(sheet, units), Provenance.CARD);
      assertThat(back.depression()).isCloseTo(sheet.depression(), within(1e-3));
      for (int i = 0; i < sheet.rows().size(); i++) {
        assertThat(back.rows().get(i).flow()).isCloseTo(sheet.rows().get(i).flow(), within(1e-9));
      }
    }
    String us = FlowSheetCsv.write(sheet, UnitSystem.US);
    assertThat(us).startsWith("lift_in,flow_cfm_at_28_inH2O\n");
    assertThatThrownBy(() -> FlowSheetCsv.read(us.replace("0.3,", "x,"), Provenance.CARD))
        .hasMessageContaining("line 4");
    assertThatThrownBy(() -> FlowSheetCsv.read("lift,flow\n1,2\n", Provenance.CARD))
        .hasMessageContaining("Line 1");
  }

  @Test
  void aCurveIsATableWithUnitsInItsHeading() {
    Build four = DemoBuilds.paddockFour();
    try (var predictor = new Predictor()) {
      var curve =
          predictor.predict(
              BuiltEngine.asSpecified(four.combination()), List.of(6000.0, 5000.0), Fidelity.LIVE);
      String csv = CurveCsv.write(curve);
      assertThat(csv)
          .startsWith(
              "rpm,brake_torque_nm,brake_power_kw,volumetric_efficiency,imep_kpa,pmep_kpa,fmep_kpa,"
                  + "bsfc_g_per_kwh,air_kg_per_s,peak_pressure_kpa,converged");
      assertThat(csv.lines()).hasSize(3);
      assertThat(csv.lines().skip(1).findFirst().orElseThrow())
          .startsWith("5000,")
          .contains("true");
    }
  }

  /** A speed that did not settle tells its reason and no torque that one could plot. */
  @Test
  void aSpeedThatDidNotSettleTellsNoTorque() {
    var four = BuiltEngine.asSpecified(DemoBuilds.paddockFour().combination());
    try (var predictor = new Predictor()) {
      var settled = predictor.predict(four, List.of(9000.0), Fidelity.LIVE).points().getFirst();
      assertThat(CurveCsv.columns(settled).get("brake_torque_nm")).isNotNull();
      var open =
          Specs.changed(
              settled.convergence(), Map.of("converged", false, "note", "still changing"));
      var point = Specs.changed(settled, Map.of("convergence", open));
      var curve = new Curve(Fidelity.LIVE, List.of(point));
      var row = CurveCsv.columns(point);
      assertThat(row).containsEntry("converged", false).containsEntry("rpm", 9000.0);
      assertThat(row).containsEntry("note", "still changing");
      assertThat(row.get("brake_torque_nm")).isNull();
      assertThat(row.get("air_kg_per_s")).isNull();
      assertThat(CurveCsv.write(curve).lines().toList().get(1)).startsWith("9000,,,");
    }
  }
}
