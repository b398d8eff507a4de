package grandbore.core.gas;

import java.util.ArrayList;
import java.util.List;

/**
 * How much of a fuel evaporates in air before anything but the air warms it: the share at which
 * vapour and liquid are in equilibrium at the temperature that evaporating leaves.
 *
 * <pre>
 *   n_i = L x_i + V y_i                 each component is a liquid or a vapour
 *   y_i p = x_i p_i(T)                  Raoult
 *   ln (p_i / 1 atm) = s_i (1 − T_i/T)  Clausius and Clapeyron; T_i boils at one atmosphere
 *   T = T_air − e Y h / c_p             what evaporates, e of the fuel's share Y, cools the air
 * </pre>
 *
 * <p>Gasoline is eight components, from butane to what boils at 200 °C, so that a tenth of it has
 * boiled off at 50 °C, half near 105 °C, nine tenths near 175 °C, and its vapour has 60 kPa at 38
 * °C (a usual pump gasoline's true boiling points; ASTM D86 and D323, values from memory). The
 * constants s come from vapour pressures at 25 °C: pentane 68.3, isooctane 6.5, toluene 3.8,
 * ethanol 7.9, methanol 16.9 kPa (handbook values, from memory). Equilibrium is what well-mixed air
 * and fuel come to: a film on a wall or a large drop takes longer.
 */
public final class FuelVapour {
  private static final double ATMOSPHERE = 101325;
  private static final double CP = 1020;
  private static final int HALVINGS = 40;

  /**
   * @param boils at one atmosphere, K
   * @param molarMass kg/mol
   * @param share of the fuel's mass
   * @param steepness of its vapour pressure
   */
  private record Component(double boils, double molarMass, double share, double steepness) {
    double pressure(double temperature) {
      return ATMOSPHERE * Math.exp(steepness * (1 - boils / temperature));
    }

    Component times(double part) {
      return new Component(boils, molarMass, share * part, steepness);
    }
  }

  private static final double HYDROCARBON = 11;

  private static final List<Component> GASOLINE =
      List.of(
          new Component(272.7, 0.058, 0.04, HYDROCARBON),
          new Component(303, 0.072, 0.15, HYDROCARBON),
          new Component(340, 0.085, 0.16, HYDROCARBON),
          new Component(369, 0.098, 0.16, HYDROCARBON),
          new Component(391, 0.106, 0.17, HYDROCARBON),
          new Component(415, 0.113, 0.15, HYDROCARBON),
          new Component(443, 0.126, 0.11, HYDROCARBON),
          new Component(473, 0.140, 0.06, HYDROCARBON));

  private static final Component ETHANOL = new Component(351.4, 0.04607, 1, 14.3);
  private static final Component METHANOL = new Component(337.8, 0.03204, 1, 13.5);

  private final List<Component> components;
  private final double heat;

  public FuelVapour(FuelKind fuel) {
    heat = fuel.heatOfVaporisation();
    double alcohol = fuel.alcoholByMass();
    var all = new ArrayList<Component>();
    if (alcohol < 1) {
      GASOLINE.forEach(g -> all.add(g.times(1 - alcohol)));
    }
    if (alcohol > 0) {
      all.add((fuel == FuelKind.METHANOL ? METHANOL : ETHANOL).times(alcohol));
    }
    components = List.copyOf(all);
  }

  /**
   * Pressure of the vapour over the liquid as it was filled in, Pa.
   *
   * @param temperature K
   */
  public double pressure(double temperature) {
    double moles = components.stream().mapToDouble(c -> c.share / c.molarMass).sum();
    return components.stream()
        .mapToDouble(c -> c.share / c.molarMass / moles * c.pressure(temperature))
        .sum();
  }

  /**
   * Share of the fuel's mass that is a vapour, 0 to 1, in air kept at a temperature.
   *
   * @param temperature K
   * @param pressure of air and vapour, Pa
   * @param airPerFuel kg/kg
   */
  public double share(double temperature, double pressure, double airPerFuel) {
    int n = components.size();
    var moles = new double[n];
    var ease = new double[n];
    double all = 0;
    for (int i = 0; i < n; i++) {
      var c = components.get(i);
      moles[i] = c.share / c.molarMass;
      ease[i] = c.pressure(temperature) / pressure;
      all += moles[i];
    }
    double air = airPerFuel / Air.DRY_MOLAR_MASS;
    double low = 0;
    double high = all;
    for (int k = 0; k < HALVINGS; k++) {
      double liquid = 0.5 * (low + high);
      double gasOverLiquid = (air + all - liquid) / liquid;
      double left = 0;
      for (int i = 0; i < n; i++) {
        left += moles[i] / (1 + ease[i] * gasOverLiquid);
      }
      if (left > liquid) {
        low = liquid;
      } else {
        high = liquid;
      }
    }
    double gasOverLiquid = (air + all - high) / high;
    double liquid = 0;
    for (int i = 0; i < n; i++) {
      liquid += components.get(i).share / (1 + ease[i] * gasOverLiquid);
    }
    return 1 - liquid;
  }

  /**
   * Share of the fuel's mass, 0 to 1, that evaporates where the air alone gives the heat.
   *
   * @param airTemperature before any has evaporated, K
   * @param pressure Pa
   * @param airPerFuel kg/kg
   */
  public double shareByAirAlone(double airTemperature, double pressure, double airPerFuel) {
    double low = 0;
    double high = 1;
    for (int k = 0; k < HALVINGS; k++) {
      double e = 0.5 * (low + high);
      double cooled = airTemperature - e * heat / (1 + airPerFuel) / CP;
      if (cooled > 1 && share(cooled, pressure, airPerFuel) > e) {
        low = e;
      } else {
        high = e;
      }
    }
    return high;
  }
}
