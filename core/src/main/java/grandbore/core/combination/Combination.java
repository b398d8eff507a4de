package grandbore.core.combination;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;

/** One engine, whole: every part that the prediction needs, checked against one another. */
public record Combination(
    String name,
    BottomEnd bottomEnd,
    Squeeze squeeze,
    Cam cam,
    ValveTrain valveTrain,
    Heads heads,
    Intake intake,
    Exhaust exhaust,
    Mixture mixture,
    Weather weather) {

  public Combination {
    if (name == null || name.isBlank() || name.length() > 120) {
      throw new InvalidInput("Name (name)", "“" + name + "”", "1 to 120 characters", "it is shown");
    }
    require("bottomEnd", bottomEnd);
    require("squeeze", squeeze);
    require("cam", cam);
    require("valveTrain", valveTrain);
    require("heads", heads);
    require("intake", intake);
    require("exhaust", exhaust);
    require("mixture", mixture);
    require("weather", weather);
    double gap = bottomEnd.deckClearance() + squeeze.gasketThickness().si();
    if (gap < 0.0003) {
      throw new InvalidInput(
          "Piston to head (bottomEnd.blockDeck)",
          Quantity.CLEARANCE.show(gap, UnitSystem.METRIC),
          "at least 0.300 mm (0.0118 in) with the gasket",
          "the piston would meet the head");
    }
    if (bottomEnd.deckClearance() > 0.3 * bottomEnd.stroke().si()) {
      throw new InvalidInput(
          "Deck clearance (bottomEnd.blockDeck)",
          Quantity.CLEARANCE.show(bottomEnd.deckClearance(), UnitSystem.METRIC),
          "at most 0.3 strokes",
          "throw, rod and pin height do not reach the deck");
    }
    if (squeeze.gasketBore().si() < 0.98 * bottomEnd.bore().si()) {
      throw new InvalidInput(
          "Gasket bore (squeeze.gasketBore)",
          Quantity.LENGTH.show(squeeze.gasketBore().si(), UnitSystem.METRIC),
          "at least 0.98 bores",
          "the gasket would stand in the cylinder");
    }
    double ratio = staticRatio(bottomEnd, squeeze, bottomEnd.deckClearance());
    if (!(ratio >= 5 && ratio <= 20)) {
      throw new InvalidInput(
          "Compression ratio (squeeze.chamberVolume)",
          Quantity.RATIO.show(ratio, UnitSystem.METRIC),
          "5.00 to 20.00",
          "the volumes above the piston do not make a working engine");
    }
    double across =
        Math.sqrt(heads.intakeValves()) * heads.intakeValve().si()
            + Math.sqrt(heads.exhaustValves()) * heads.exhaustValve().si();
    if (across > 1.1 * bottomEnd.bore().si()) {
      throw new InvalidInput(
          "Valves (heads.intakeValve, heads.exhaustValve)",
          Quantity.LENGTH.show(across, UnitSystem.METRIC) + " side by side",
          "up to 1.10 bores",
          "they would not find room in the chamber");
    }
    lift("Intake", cam.intakeLobeLift(), valveTrain.intakeRocker(), valveTrain.intakeLash());
    lift("Exhaust", cam.exhaustLobeLift(), valveTrain.exhaustRocker(), valveTrain.exhaustLash());
  }

  private static void require(String group, Record value) {
    if (value == null) {
      throw new InvalidInput(group, "missing", "the whole group", "a combination is whole");
    }
  }

  private static void lift(String side, Given lobe, Given rocker, Given lash) {
    if (lobe.si() * rocker.si() - lash.si() > 0.030) {
      throw new InvalidInput(
          side + " valve lift (cam." + side.toLowerCase(java.util.Locale.ROOT) + "LobeLift)",
          Quantity.LENGTH.show(lobe.si() * rocker.si() - lash.si(), UnitSystem.METRIC),
          "up to 30.00 mm (1.181 in)",
          "no valve train lifts further");
    }
  }

  private static double staticRatio(BottomEnd bottom, Squeeze squeeze, double deck) {
    double v = clearanceVolume(bottom, squeeze, squeeze.chamberVolume().si(), deck);
    return (bottom.sweptVolume() + v) / v;
  }

  /** Volume above the piston at top centre, m³, with a given chamber and deck clearance. */
  public double clearanceVolume(double chamber, double deck) {
    return clearanceVolume(bottomEnd, squeeze, chamber, deck);
  }

  private static double clearanceVolume(
      BottomEnd bottom, Squeeze squeeze, double chamber, double deck) {
    double gasketBore = squeeze.gasketBore().si();
    double gasket = Math.PI / 4 * gasketBore * gasketBore * squeeze.gasketThickness().si();
    double crevice =
        Math.PI / 2 * bottom.bore().si() * squeeze.landClearance().si() * squeeze.landHeight().si();
    return chamber + gasket + bottom.boreArea() * deck + squeeze.pistonVolume().si() + crevice;
  }

  /** Volume above the piston at top centre by the sum of the inputs, m³. */
  public double clearanceVolume() {
    return clearanceVolume(squeeze.chamberVolume().si(), bottomEnd.deckClearance());
  }

  public double staticRatio() {
    return staticRatio(bottomEnd, squeeze, bottomEnd.deckClearance());
  }

  /** Net lift of the intake valve, m. */
  public double intakeLift() {
    return cam.intakeLobeLift().si() * valveTrain.intakeRocker().si()
        - valveTrain.intakeLash().si();
  }

  /** Net lift of the exhaust valve, m. */
  public double exhaustLift() {
    return cam.exhaustLobeLift().si() * valveTrain.exhaustRocker().si()
        - valveTrain.exhaustLash().si();
  }

  public Combination named(String newName) {
    return (Combination) Specs.rebuild(this, "name", newName);
  }

  /** This combination with one of its groups replaced, checked whole. */
  public Combination with(Record group) {
    for (var c : Combination.class.getRecordComponents()) {
      if (c.getType() == group.getClass()) {
        return (Combination) Specs.rebuild(this, c.getName(), group);
      }
    }
    throw new IllegalArgumentException(group.getClass() + " is no group of a combination");
  }
}
