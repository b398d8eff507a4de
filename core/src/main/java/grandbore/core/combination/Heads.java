package grandbore.core.combination;

import static grandbore.core.units.Quantity.ANGLE;
import static grandbore.core.units.Quantity.CLEARANCE;
import static grandbore.core.units.Quantity.LENGTH;
import static grandbore.core.units.Quantity.RATIO;
import static grandbore.core.units.Quantity.VOLUME;

import grandbore.core.combustion.ChamberForm;
import java.util.List;

/**
 * Cylinder heads: valves, ports and their flow sheets.
 *
 * @param intakeValves in each cylinder
 * @param exhaustValves in each cylinder
 * @param plugs in each cylinder, one or two
 * @param chamber what it looks like on the head's side
 * @param intakeShares each cylinder's intake flow over the sheet's, cylinder 1 first; none where
 *     all are alike
 * @param exhaustShares likewise
 */
public record Heads(
    int intakeValves,
    int exhaustValves,
    int plugs,
    ChamberForm chamber,
    @Spec(
            label = "Intake valve",
            quantity = LENGTH,
            min = 0.015,
            max = 0.075,
            why = "it is the head's diameter")
        Given intakeValve,
    @Spec(
            label = "Exhaust valve",
            quantity = LENGTH,
            min = 0.012,
            max = 0.065,
            why = "it is the head's diameter")
        Given exhaustValve,
    @Spec(
            label = "Intake port length",
            quantity = LENGTH,
            min = 0.030,
            max = 0.300,
            why = "it is measured along the port from face to valve")
        Given intakePortLength,
    @Spec(
            label = "Intake port volume",
            quantity = VOLUME,
            min = 20e-6,
            max = 700e-6,
            why = "it is what the port holds with the valve shut")
        Given intakePortVolume,
    @Spec(
            label = "Exhaust port length",
            quantity = LENGTH,
            min = 0.030,
            max = 0.250,
            why = "it is measured along the port from face to valve")
        Given exhaustPortLength,
    @Spec(
            label = "Exhaust port volume",
            quantity = VOLUME,
            min = 15e-6,
            max = 400e-6,
            why = "it is what the port holds with the valve shut")
        Given exhaustPortVolume,
    @Spec(
            label = "Intake valve angle",
            quantity = ANGLE,
            min = 0,
            max = 0.9,
            usual = 0.2617993877991494,
            why = "it lies between stem and cylinder")
        Given intakeAngle,
    @Spec(
            label = "Exhaust valve angle",
            quantity = ANGLE,
            min = 0,
            max = 0.9,
            usual = 0.2617993877991494,
            why = "it lies between stem and cylinder")
        Given exhaustAngle,
    @Spec(
            label = "Intake valve above deck",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.030,
            usual = 0,
            optional = true,
            why = "it is the shut valve's lowest edge above the head's face")
        Given intakeRecess,
    @Spec(
            label = "Exhaust valve above deck",
            quantity = CLEARANCE,
            min = 0.0001,
            max = 0.030,
            usual = 0,
            optional = true,
            why = "it is the shut valve's lowest edge above the head's face")
        Given exhaustRecess,
    @Spec(
            label = "Plug off the middle",
            quantity = LENGTH,
            min = 0.0005,
            max = 0.080,
            usual = 0,
            optional = true,
            why = "it is measured from the bore's axis to the plug's gap")
        Given plugOffset,
    @Spec(
            label = "Tumble or swirl ratio",
            quantity = RATIO,
            min = 0.01,
            max = 4,
            usual = 0,
            optional = true,
            why = "the charge turns so often in a turn of the crank")
        Given tumble,
    FlowSheet intakeFlow,
    FlowSheet exhaustFlow,
    List<Double> intakeShares,
    List<Double> exhaustShares) {
  public Heads {
    Specs.check(
        Heads.class,
        "heads",
        intakeValve,
        exhaustValve,
        intakePortLength,
        intakePortVolume,
        exhaustPortLength,
        exhaustPortVolume,
        intakeAngle,
        exhaustAngle,
        intakeRecess,
        exhaustRecess,
        plugOffset,
        tumble);
    intakeShares = shares("intakeShares", intakeShares);
    exhaustShares = shares("exhaustShares", exhaustShares);
    count("intakeValves", intakeValves, 3, "no head has more");
    count("exhaustValves", exhaustValves, 3, "no head has more");
    count("plugs", plugs, 2, "a flame begins at one or at two");
    if (chamber == null) {
      throw new InvalidInput(
          "Chamber (heads.chamber)", "missing", "one of its forms", "the flame runs through it");
    }
    if (intakeFlow == null || exhaustFlow == null) {
      throw new InvalidInput(
          "Flow sheet (heads)", "missing", "one a side", "the flow of both ports is needed");
    }
  }

  private static List<Double> shares(String name, List<Double> shares) {
    if (shares == null || shares.stream().anyMatch(s -> s == null || !(s >= 0.5 && s <= 1.5))) {
      throw new InvalidInput(
          "Port flow by cylinder (heads." + name + ")",
          String.valueOf(shares),
          "none, or one of 0.50 to 1.50 for each cylinder",
          "it is a share of the flow sheet's");
    }
    return List.copyOf(shares);
  }

  /** One cylinder's intake flow over the sheet's. */
  public double intakeShare(int cylinder) {
    return intakeShares.isEmpty() ? 1 : intakeShares.get(cylinder - 1);
  }

  /** One cylinder's exhaust flow over the sheet's. */
  public double exhaustShare(int cylinder) {
    return exhaustShares.isEmpty() ? 1 : exhaustShares.get(cylinder - 1);
  }

  private static void count(String name, int number, int most, String why) {
    if (number < 1 || number > most) {
      throw new InvalidInput("heads." + name, String.valueOf(number), "1 to " + most, why);
    }
  }

  /** Mean section of the intake port, m². */
  public double intakePortArea() {
    return intakePortVolume.si() / intakePortLength.si();
  }

  /** Mean section of the exhaust port, m². */
  public double exhaustPortArea() {
    return exhaustPortVolume.si() / exhaustPortLength.si();
  }
}
