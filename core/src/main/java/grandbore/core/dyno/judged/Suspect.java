package grandbore.core.dyno.judged;

import java.util.Locale;

/** What a doubt about a pull points to. */
public enum Suspect {
  POWER_COLUMN("the sheet's power column"),
  FUEL_METER("the fuel meter"),
  AIR_METER("the air meter"),
  AIR_HAT("the air meter's hat"),
  MIXTURE_SENSOR("the lambda sensor"),
  CARBURETTOR("the mixture as it is set"),
  RICH_BELOW("the mixture at the bottom"),
  PLUG("a plug or its lead"),
  CYLINDER("one cylinder's mixture"),
  PICKUP("the pickup's leads, or the advance"),
  POINTER("the timing pointer"),
  VALVE_SPRINGS("the valve springs"),
  OIL_PICKUP("the oil pickup and pan"),
  FUEL_OCTANE("the fuel, or too much spark"),
  BELT("the blower's belt"),
  COOLER("the charge cooler"),
  RINGS("the rings"),
  WARMTH("the engine's warmth"),
  WAVE("a wave, or how the mixture is shared out"),
  IGNITION("the ignition, or the valves"),
  METER_SIZE("the size of carburettor or throttle");

  private final String words;

  Suspect(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }
}
