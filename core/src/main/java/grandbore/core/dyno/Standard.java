package grandbore.core.dyno;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * Standards by which brake torque and power of a spark-ignition engine under one day's air are told
 * for a standard day. With p the air's pressure, p<sub>d</sub> that of its dry part, T its
 * temperature in kelvin:
 *
 * <pre>
 * SAE J1349    1.18 (99 kPa / p_d) (T / 298.15)^½ − 0.18
 * SAE J607     (29.92 inHg / p_d) (T / 288.71)^½
 * DIN 70020    (101.3 kPa / p) (T / 293.15)^½
 * ISO 1585     (99 kPa / p_d)^1.2 (T / 298.15)^0.6
 * </pre>
 *
 * <p>The equations of the standards (ECE R85 has that of ISO 1585), entered from memory. SAE J1349
 * takes a mechanical efficiency of 85 %. Fuel and air are not corrected by any of them.
 */
public enum Standard {
  NONE("as read", "as read, of the day's air", 0.5, 2),
  SAE_J1349("SAE J1349", "SAE J1349: 99 kPa dry, 25 °C", 0.93, 1.07),
  SAE_J607("SAE J607", "SAE J607: 29.92 inHg dry, 60 °F", 0.5, 2),
  DIN_70020("DIN 70020", "DIN 70020: 101.3 kPa, 20 °C", 0.5, 2),
  ISO_1585("ISO 1585", "ISO 1585 and ECE R85: 99 kPa dry, 25 °C", 0.93, 1.07);

  private static final double INCH_OF_MERCURY = 3386.389;

  private final String label;
  private final String says;
  private final double least;
  private final double most;

  Standard(String label, String says, double least, double most) {
    this.label = label;
    this.says = says;
    this.least = least;
    this.most = most;
  }

  public String label() {
    return label;
  }

  /** With its standard day. */
  public String says() {
    return says;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Standard> of(String word) {
    return Arrays.stream(values()).filter(s -> s.word().equals(word)).findFirst();
  }

  /** What brake torque is multiplied by. */
  public double factor(DayAir air) {
    double t = air.temperature();
    return switch (this) {
      case NONE -> 1;
      case SAE_J1349 -> 1.18 * (99e3 / air.dry()) * Math.sqrt(t / 298.15) - 0.18;
      case SAE_J607 -> 29.92 * INCH_OF_MERCURY / air.dry() * Math.sqrt(t / (519.67 / 1.8));
      case DIN_70020 -> 101.3e3 / air.pressure() * Math.sqrt(t / 293.15);
      case ISO_1585 -> Math.pow(99e3 / air.dry(), 1.2) * Math.pow(t / 298.15, 0.6);
    };
  }

  /** Whether the standard allows a factor that large: beyond it a result is not to its letter. */
  public boolean allows(double factor) {
    return factor >= least && factor <= most;
  }
}
