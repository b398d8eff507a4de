package grandbore.core.working;

import grandbore.core.combination.Weather;
import grandbore.core.gas.Air;

/**
 * What a power measured in some weather is multiplied with to stand for a standard's,
 * spark-ignition engines without boost. The standards' formulas are entered from memory.
 */
public enum Correction {
  /** SAE J1349: 990 mbar dry, 25 °C, 85 % mechanical efficiency taken for granted. */
  SAE_J1349("SAE J1349", "1.18 × (990 mbar ÷ dry) × √(T ÷ 298 K) − 0.18") {
    @Override
    public double factor(double dry, double barometer, double temperature) {
      return 1.18 * (99_000 / dry) * Math.sqrt(temperature / 298.15) - 0.18;
    }
  },
  /** SAE J607, withdrawn, the trade's older one: 29.92 inHg dry, 60 °F. */
  SAE_J607("SAE J607", "(29.92 inHg ÷ dry) × √(T ÷ 520 °R)") {
    @Override
    public double factor(double dry, double barometer, double temperature) {
      return 101_325 / dry * Math.sqrt(temperature / 288.71);
    }
  },
  /** DIN 70020: 1013 mbar as the barometer reads, 20 °C. */
  DIN_70020("DIN 70020", "(1013 mbar ÷ barometer) × √(T ÷ 293 K)") {
    @Override
    public double factor(double dry, double barometer, double temperature) {
      return 101_300 / barometer * Math.sqrt(temperature / 293.15);
    }
  },
  /** ISO 1585: 99 kPa dry, 25 °C. */
  ISO_1585("ISO 1585", "(99 kPa ÷ dry)^1.2 × (T ÷ 298 K)^0.6") {
    @Override
    public double factor(double dry, double barometer, double temperature) {
      return Math.pow(99_000 / dry, 1.2) * Math.pow(temperature / 298.15, 0.6);
    }
  };

  private final String label;
  private final String formula;

  Correction(String label, String formula) {
    this.label = label;
    this.formula = formula;
  }

  public String label() {
    return label;
  }

  /** In the trade's letters. */
  public String formula() {
    return formula;
  }

  /**
   * @param dry pressure of the air without its moisture, Pa
   * @param barometer pressure of the air with it, Pa
   * @param temperature of the air
   */
  public abstract double factor(double dry, double barometer, double temperature);

  /** The factor of a day's weather. */
  public double factor(Weather w) {
    return factor(dryPressure(w), w.pressure().si(), w.temperature().si());
  }

  /** Pressure of the air less that of its moisture, Pa. */
  public static double dryPressure(Weather w) {
    double water = Air.waterPerDryAir(w.pressure().si(), w.temperature().si(), w.humidity().si());
    return w.pressure().si() / (1 + water);
  }
}
