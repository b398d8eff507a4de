package grandbore.book;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Recorded;
import grandbore.core.gas.FuelKind;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Files as recorders and spreadsheets write them: what can be kept is kept, the rest is said. */
class PullImportTest {
  private static PullImport.Imported read(String text) {
    var read = PullImport.of(text, FuelKind.PUMP_93);
    return read.read(read.guess("a recorder"));
  }

  private static double first(Recorded rows, Channel channel, int place) {
    return rows.column(channel, place).orElseThrow().values().getFirst();
  }

  @Test
  void commasAndUnitsInBrackets() {
    var found =
        read(
            """
            Time (s),RPM,Torque (lb-ft),Power (hp),Oil P (psi),EGT 1 (°F),EGT 2 (°F),AFR
            0.0,3000,300,171.4,60,1200,1210,12.8
            0.1,3030,302,174.2,60,1201,1212,12.7
            """);
    var rows = found.pulls().getFirst();
    assertThat(found.says()).isEmpty();
    assertThat(rows.torque(0)).isCloseTo(300 * 1.3558179483314, within(1e-9));
    assertThat(first(rows, Channel.POWER, 0)).isCloseTo(171.4 * 745.699871582, within(1e-6));
    assertThat(first(rows, Channel.OIL_PRESSURE, 0)).isCloseTo(60 * 6894.757293168, within(1e-3));
    assertThat(first(rows, Channel.EXHAUST_TEMPERATURE, 2)).isCloseTo(927.594, within(1e-2));
    assertThat(first(rows, Channel.LAMBDA, 0))
        .isCloseTo(12.8 / FuelKind.PUMP_93.stoichiometricAirFuelRatio(), within(1e-9));
    assertThat(rows.seconds()).containsExactly(0.0, 0.1);
  }

  @Test
  void semicolonsAndDecimalCommas() {
    var rows =
        read("""
        Drehzahl;Drehmoment [Nm];Leistung [kW]
        3000,0;410,5;128,96
        3100,5;412,0;133,7
        """)
            .pulls()
            .getFirst();
    assertThat(rows.rpm(1)).isEqualTo(3100.5);
    assertThat(rows.torque(0)).isCloseTo(410.5, within(1e-9));
    assertThat(first(rows, Channel.POWER, 0)).isCloseTo(128_960, within(1e-6));
  }

  @Test
  void headingOnTwoLinesUnderALetterhead() {
    var rows =
        read("""
        Engine shop, test 14
        Operator: nobody

        Engine RPM\tTorque\tFuel flow\tAir flow\tBaro
        rpm\tft-lbs\tlb/hr\tscfm\tinHg
        4000\t380\t150\t420\t29.10
        4200\t384\t158\t441\t29.10
        """)
            .pulls()
            .getFirst();
    assertThat(rows.rows()).isEqualTo(2);
    assertThat(first(rows, Channel.FUEL_FLOW, 0)).isCloseTo(150 * 0.45359237 / 3600, within(1e-9));
    // 420 cfm of air at 29.92 inHg and 60 °F weigh 1.2216 kg/m³ each.
    assertThat(first(rows, Channel.AIR_FLOW, 0))
        .isCloseTo(420 * 0.0004719474432 * 1.2230, within(4e-4));
    assertThat(first(rows, Channel.AIR_PRESSURE, 0)).isCloseTo(98_543.9, within(0.5));
  }

  @Test
  void blanksBetweenColumnsAsTypedFromASheet() {
    var rows =
        told(
            """
            rpm torque hp
            3000 340 194
            3500 352 235
            4000 361 275
            """);
    assertThat(rows.says()).isEmpty();
    assertThat(rows.pulls().getFirst().rows()).isEqualTo(3);
  }

  private static PullImport.Imported told(String text) {
    var read = PullImport.of(text, FuelKind.PUMP_93);
    var layout = read.guess("sheet");
    for (var m : layout.columns()) {
      if (m.channel().equals(Optional.of(Channel.TORQUE))) {
        layout = layout.with(new PullLayout.Mapped(m.heading(), m.channel(), m.place(), "lb-ft"));
      }
    }
    return read.read(layout);
  }

  @Test
  void columnWithoutAUnitIsAskedFor() {
    var read = PullImport.of("rpm,torque\n3000,340\n3500,352\n", FuelKind.PUMP_93);
    assertThatThrownBy(() -> read.read(read.guess("x")))
        .isInstanceOf(FormatException.class)
        .hasMessageContaining("“torque” has no unit")
        .hasMessageContaining("N·m");
    assertThat(
            told("""
            rpm,torque
            3000,340
            3500,352
            """)
                .pulls()
                .getFirst()
                .torque(0))
        .isCloseTo(340 * 1.3558, within(0.01));
  }

  @Test
  void textInNumbersIsAGapThatIsSaid() {
    var found =
        told(
            """
            rpm,torque,lambda
            3000,340,0.88
            3100,err,0.88
            3200,344,open
            3300,346,0.9
            """);
    assertThat(found.pulls().getFirst().rows()).isEqualTo(4);
    assertThat(found.pulls().getFirst().torque(1)).isNaN();
    assertThat(found.says())
        .anyMatch(s -> s.equals("torque: 1 cells are no numbers and stay empty"))
        .anyMatch(s -> s.startsWith("lambda: 1"));
  }

  @Test
  void twoPullsInOneFileAreTwo() {
    var found =
        told(
            """
            rpm,torque
            3000,340
            4000,360
            5000,350
            3000,341
            4000,361
            5000,351
            6000,330
            """);
    assertThat(found.pulls()).hasSize(2);
    assertThat(found.pulls().get(1).rows()).isEqualTo(4);
    assertThat(found.says())
        .containsExactly("line 5: speed falls by 2000 rpm; from here on it is another pull");
  }

  @Test
  void timeThatGoesBackBeginsAnother() {
    var found =
        told(
            """
            time (s),rpm,torque
            0,3000,340
            1,3200,342
            2,3400,345
            0.5,3420,346
            1.5,3600,350
            """);
    assertThat(found.pulls()).hasSize(2);
    assertThat(found.says())
        .containsExactly("line 5: time goes back; from here on it is another pull");
    assertThat(found.pulls().get(1).seconds()).containsExactly(0.0, 1.0);
  }

  @Test
  void rowsWithoutSpeedAreLeftOut() {
    var found =
        told(
            """
            rpm,torque
            3000,340
            ,341
            3200,342
            """);
    assertThat(found.pulls().getFirst().rows()).isEqualTo(2);
    assertThat(found.says()).containsExactly("line 3: no speed; the row is left out");
  }

  @Test
  void halfAFileKeepsItsWholeRows() {
    var found = told("rpm,torque,oil t (F)\n3000,340,190\n3100,341,191\n3200,34");
    assertThat(found.pulls().getFirst().rows()).isEqualTo(2);
    assertThat(found.says())
        .containsExactly("line 4: the file ends in the middle of a row; the row is left out");
  }

  @Test
  void valuesThatNoEngineHasStayEmpty() {
    var found =
        told(
            """
            rpm,torque,lambda
            3000,340,0.88
            3100,341,9.99
            3200,343,0.87
            """);
    assertThat(found.says())
        .hasSize(1)
        .first()
        .asString()
        .contains("line 3: Lambda cannot be 9.99");
    assertThat(found.pulls().getFirst().column(Channel.LAMBDA).orElseThrow().values().get(1))
        .isNaN();
  }

  @Test
  void whatIsNoTableIsRefused() {
    for (String text : new String[] {"", "hello", "a,b,c\nd,e,f\n", "rpm\n3000\n"}) {
      assertThatThrownBy(() -> PullImport.of(text, FuelKind.PUMP_93))
          .as(text)
          .isInstanceOf(FormatException.class)
          .hasMessageContaining("No table of numbers");
    }
    var none = PullImport.of("a,b\n1,2\n3,4\n", FuelKind.PUMP_93);
    assertThatThrownBy(() -> none.read(none.guess("x"))).hasMessageContaining("the speed");
    var noTorque = PullImport.of("rpm,oil t (F)\n1000,180\n2000,190\n", FuelKind.PUMP_93);
    assertThatThrownBy(() -> noTorque.read(noTorque.guess("x")))
        .hasMessageContaining("torque or power");
  }

  /** A column's unit is understood however the trade writes it. */
  @Test
  void unitsOfTheTrade() {
    for (String unit : new String[] {"lb-ft", "ft-lb", "ft·lbs", "LB FT", "lbf-ft"}) {
      assertThat(si(unit, Channel.TORQUE, 100)).as(unit).isCloseTo(135.58, within(0.01));
    }
    assertThat(si("gal/hr", Channel.FUEL_FLOW, 10))
        .isCloseTo(10 * 3.785411784e-3 / 3600 * FuelKind.PUMP_93.density(), within(1e-9));
    assertThat(si("kg/h", Channel.AIR_FLOW, 360)).isCloseTo(0.1, within(1e-12));
    assertThat(si("PS", Channel.POWER, 100)).isCloseTo(73_549.875, within(1e-6));
    assertThat(si("mbar", Channel.MANIFOLD_PRESSURE, 980)).isCloseTo(98_000, within(1e-6));
    assertThat(si("F", Channel.OIL_TEMPERATURE, 212)).isCloseTo(373.15, within(1e-6));
    assertThat(PullUnit.of("°C", Channel.TORQUE, FuelKind.PUMP_93)).isEmpty();
  }

  private static double si(String unit, Channel channel, double value) {
    return PullUnit.of(unit, channel, FuelKind.PUMP_93)
        .orElseThrow(() -> new AssertionError(unit + " of " + channel))
        .toSi()
        .applyAsDouble(value);
  }

  @Test
  void layoutIsRememberedAsItWas() {
    var read = PullImport.of("rpm,load\n3000,340\n3500,352\n", FuelKind.PUMP_93);
    var layout =
        read.guess("brake two")
            .with(new PullLayout.Mapped("load", Optional.of(Channel.TORQUE), 0, "N·m"));
    var back = PullLayout.read(layout.write());
    assertThat(back).isEqualTo(layout);
    assertThat(read.read(back).pulls().getFirst().torque(1)).isEqualTo(352);
    assertThatThrownBy(() -> PullLayout.read(layout.write().replace("torque", "talk")))
        .hasMessageContaining("talk");
    assertThat(layout.without("load").columns()).hasSize(1);
    assertThat(layout.source().toLowerCase(Locale.ROOT)).isEqualTo("brake two");
  }
}
