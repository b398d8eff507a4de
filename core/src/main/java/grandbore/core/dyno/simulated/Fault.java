package grandbore.core.dyno.simulated;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What can be wrong on a day at the dyno, each with how much of it is usual. */
public enum Fault {
  REVERSED_PICKUP("the pickup's leads are swapped: degrees late for each 1,000 rpm", 2.5),
  POINTER("the pointer shows so many degrees more than there are", 7),
  DEAD_PLUG("the plug of this cylinder is dead", 3),
  FUEL_METER("the fuel meter is dirty: it reads this share too little", 0.12),
  LEAN("the carburettor is lean by this share", 0.12),
  RICH_BELOW("the carburettor is rich by this share at the bottom, right at the top", 0.16),
  AIR_HAT_OFF("the air meter's hat was left off: it sees this share of the air", 0.25),
  BELT_SLIP("the blower's belt slips by this share at the top", 0.15),
  HEAT_SOAKED("the cooler is soaked with heat: it has lost this share of its effect", 0.6),
  PAN("the pan uncovers the pickup: oil pressure falls by this share at speed", 0.55),
  VALVE_FLOAT("the valve springs have lost this share of their force", 0.6),
  DETONATION("the fuel has so much less octane than its label", 12);

  private final String says;
  private final double usual;

  Fault(String says, double usual) {
    this.says = says;
    this.usual = usual;
  }

  public String says() {
    return says;
  }

  /** As it is usually met. */
  public double usual() {
    return usual;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<Fault> of(String word) {
    return Arrays.stream(values()).filter(f -> f.word().equals(word)).findFirst();
  }
}
