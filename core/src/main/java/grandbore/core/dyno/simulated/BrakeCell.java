package grandbore.core.dyno.simulated;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Provenance;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Recorded;
import grandbore.core.friction.Friction;
import grandbore.core.gas.Air;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Brake, water, oil and meters of a simulated dyno. With T the engine's torque, J what is turned
 * and C, h the heat held and given off by water or oil,
 *
 * <pre>
 * read torque   T(n) + ΔT(oil) − J dω/dt
 * water, oil    C dθ/dt = heat in − h (θ − θ₀)
 * </pre>
 *
 * <p>ΔT(oil) is the friction correlation at the oil's temperature against that at the build's. What
 * heats them, and the noise of the meters, is ordinary for a brake in order (common practice, no
 * source).
 */
final class BrakeCell {
  /** Engine and brake together, kg m² for each litre. */
  private static final double INERTIA_A_LITRE = 0.06;

  private static final double WATER_IN = 351;

  /** It is warmed up before the first pull, and between two of them comes back to this. */
  private static final double OIL_WARM = 358;

  /** Shares of the power that go into water and oil, and their heat, J/K for each litre. */
  private static final double TO_WATER = 0.35;

  private static final double TO_OIL = 0.03;
  private static final double WATER_FLOW_HEAT = 7e3;
  private static final double OIL_HEAT = 3.0e3;
  private static final double OIL_COOLING = 120;

  /** A pause between two pulls, s. */
  private static final double PAUSE = 240;

  /** Where torque has fallen to this share of its best, whoever stands at the brake lifts. */
  private static final double LIFTS = 0.5;

  /** Time in which oil that stands loses two thirds of its heat to the cooler, s. */
  private static final double COOLS = 120;

  private static final double STEP_SPEEDS = 250;
  private static final double STEP_SECONDS = 4;

  private final Combination c;
  private final DayAir air;
  private final Random random;
  private final Map<Integer, Double> exhaustOffsets = new LinkedHashMap<>();
  private double oil = OIL_WARM;

  BrakeCell(Combination c, DayAir air, long seed) {
    this.c = c;
    this.air = air;
    random = new Random(seed * 7919 + 17);
    for (int n = 1; n <= c.bottomEnd().cylinders(); n++) {
      exhaustOffsets.put(n, 12 * random.nextGaussian());
    }
  }

  /** What it turns, kg m². */
  double inertia() {
    return INERTIA_A_LITRE * c.bottomEnd().displacement() * 1000;
  }

  Recorded pull(TrueCurve curve, Asked asked, Map<Fault, Double> faults) {
    oil += (OIL_WARM - oil) * (1 - Math.exp(-PAUSE / COOLS));
    var seconds = new ArrayList<Double>();
    var columns = new LinkedHashMap<String, List<Double>>();
    // What the meters have drifted since the last pull.
    double density = Air.density(air.pressure(), air.temperature());
    double torqueGain = 1 + 0.0015 * random.nextGaussian();
    double airGain = 1 + 0.004 * random.nextGaussian();
    double fuelGain = 1 + 0.004 * random.nextGaussian();
    boolean sweep = asked.how() == Pull.How.SWEEP;
    double dt = sweep ? 1 / asked.rows() : STEP_SECONDS;
    double dn = sweep ? asked.rate() * dt : STEP_SPEEDS;
    int rows = (int) Math.floor((asked.to() - asked.from()) / dn + 1e-9) + 1;
    double most = 0;
    for (int k = 0; k < rows; k++) {
      double rpm = asked.from() + k * dn;
      double omega = rpm * Math.PI / 30;
      double is = torque(curve, rpm, faults);
      most = Math.max(most, is);
      if (is < LIFTS * most) {
        break;
      }
      warm(is * omega, dt);
      double brake = is + oilTorque(curve, rpm);
      brake -= sweep ? inertia() * asked.rate() * Math.PI / 30 : 0;
      double read = brake * torqueGain * noise(0.004);
      double shownRpm = Math.rint(rpm + 4 * random.nextGaussian());
      seconds.add(Math.rint(1000 * k * dt) / 1000);
      put(columns, Channel.RPM, 0, shownRpm);
      put(columns, Channel.TORQUE, 0, Math.rint(10 * read) / 10);
      put(columns, Channel.POWER, 0, Math.rint(10 * read) / 10 * shownRpm * Math.PI / 30);
      put(
          columns,
          Channel.AIR_FLOW,
          0,
          curve.airFlow(rpm) * seenAir(faults) * airGain * noise(0.006));
      put(
          columns,
          Channel.FUEL_FLOW,
          0,
          curve.fuelFlow(rpm) * seenFuel(faults) * fuelGain * noise(0.006));
      put(columns, Channel.LAMBDA, 0, lambda(curve, rpm, faults) * noise(0.004));
      exhaust(columns, curve, rpm, faults);
      put(columns, Channel.MANIFOLD_PRESSURE, 0, curve.plenumPressure(rpm) * noise(0.001));
      put(columns, Channel.BLOW_BY, 0, curve.blowBy(rpm) / density * noise(0.02));
      put(columns, Channel.OIL_PRESSURE, 0, oilPressure(rpm, asked, faults) * noise(0.006));
      put(columns, Channel.OIL_TEMPERATURE, 0, oil + 0.2 * random.nextGaussian());
      put(columns, Channel.WATER_IN, 0, WATER_IN + 0.2 * random.nextGaussian());
      put(columns, Channel.WATER_OUT, 0, waterOut(is * omega, knocks(curve, rpm, faults)));
      put(columns, Channel.AIR_TEMPERATURE, 0, air.temperature() + 0.1 * random.nextGaussian());
      put(columns, Channel.AIR_PRESSURE, 0, air.pressure() + 10 * random.nextGaussian());
      put(
          columns,
          Channel.HUMIDITY,
          0,
          Math.clamp(air.humidity() + 0.003 * random.nextGaussian(), 0, 1));
      put(columns, Channel.KNOCK, 0, (1 + 2 * knocks(curve, rpm, faults)) * noise(0.06));
    }
    return new Recorded(seconds, columns(columns));
  }

  private static void put(
      Map<String, List<Double>> columns, Channel channel, int place, double value) {
    columns.computeIfAbsent(channel.word() + " " + place, k -> new ArrayList<>()).add(value);
  }

  private static List<Column> columns(Map<String, List<Double>> by) {
    var all = new ArrayList<Column>();
    by.forEach(
        (key, values) -> {
          int space = key.indexOf(' ');
          var channel = Channel.of(key.substring(0, space)).orElseThrow();
          all.add(new Column(channel, Integer.parseInt(key.substring(space + 1)), values));
        });
    return all;
  }

  private double noise(double share) {
    return 1 + share * random.nextGaussian();
  }

  /** Of the engine as it is, with what the model has no word for. */
  private double torque(TrueCurve curve, double rpm, Map<Fault, Double> faults) {
    double torque = curve.torque(rpm);
    int n = c.bottomEnd().cylinders();
    if (faults.containsKey(Fault.DEAD_PLUG)) {
      double lost = curve.lost(rpm) * perTurn();
      torque = (torque + lost) * (n - 1) / n - lost;
    }
    // Each octane short costs torque by heat and by what breaks up the burning.
    torque *= 1 - 0.008 * knocks(curve, rpm, faults);
    return torque * (faults.containsKey(Fault.REVERSED_PICKUP) ? noise(0.012) : 1);
  }

  private double perTurn() {
    return c.bottomEnd().displacement() / (4 * Math.PI);
  }

  /** Octane that is short, 0 for none. */
  private static double knocks(TrueCurve curve, double rpm, Map<Fault, Double> faults) {
    double octane = curve.octane(rpm) - faults.getOrDefault(Fault.DETONATION, 0.0);
    return Math.max(0, Math.min(12, -octane));
  }

  private double oilTorque(TrueCurve curve, double rpm) {
    double share = curve.plenumPressure(rpm) / Friction.STANDARD_PRESSURE;
    double peak = curve.peakPressure(rpm);
    double built = new Friction(c).at(rpm, share, peak).total();
    var losses = c.losses();
    double limited = Math.max(300, Math.min(430, oil));
    var now =
        c.with("losses.oilTemperature", losses.oilTemperature().with(limited, Provenance.MEASURED));
    return (built - new Friction(now).at(rpm, share, peak).total()) * perTurn();
  }

  private void warm(double power, double dt) {
    double litres = c.bottomEnd().displacement() * 1000;
    double in = TO_OIL * Math.max(0, power) - OIL_COOLING * litres * (oil - WATER_IN) / 10;
    oil += in * dt / (OIL_HEAT * litres);
  }

  private double waterOut(double power, double knock) {
    double litres = c.bottomEnd().displacement() * 1000;
    return WATER_IN
        + TO_WATER * Math.max(0, power) * (1 + 0.05 * knock) / (WATER_FLOW_HEAT * litres)
        + 0.2 * random.nextGaussian();
  }

  private static double seenAir(Map<Fault, Double> faults) {
    return faults.getOrDefault(Fault.AIR_HAT_OFF, 1.0);
  }

  private static double seenFuel(Map<Fault, Double> faults) {
    return 1 - faults.getOrDefault(Fault.FUEL_METER, 0.0);
  }

  private double lambda(TrueCurve curve, double rpm, Map<Fault, Double> faults) {
    double stoichiometric = c.mixture().fuel().stoichiometricAirFuelRatio();
    double lambda = curve.airFlow(rpm) / curve.fuelFlow(rpm) / stoichiometric;
    int n = c.bottomEnd().cylinders();
    // The oxygen of a cylinder that does not burn passes the sensor.
    return faults.containsKey(Fault.DEAD_PLUG) ? lambda * n / (n - 1) : lambda;
  }

  private void exhaust(
      Map<String, List<Double>> columns, TrueCurve curve, double rpm, Map<Fault, Double> faults) {
    double mean = curve.exhaustTemperature(rpm) - 9 * knocks(curve, rpm, faults);
    exhaustOffsets.forEach(
        (n, off) -> {
          boolean dead = faults.getOrDefault(Fault.DEAD_PLUG, 0.0) == n.doubleValue();
          double is = (dead ? 0.55 * mean : mean) + off + 3 * random.nextGaussian();
          put(columns, Channel.EXHAUST_TEMPERATURE, n, is);
        });
  }

  /** A gear pump with a relief valve at 4.2 bar; hot oil leaks more. */
  private double oilPressure(double rpm, Asked asked, Map<Fault, Double> faults) {
    double pump = 1.1e5 * rpm / 1000 * Math.sqrt(368 / oil);
    double pressure = 1 / (1 / pump + 1 / 12e5) + 0.4e5;
    pressure = Math.min(pressure, 4.2e5 + 0.02e5 * rpm / 1000);
    double from = asked.from() + 0.65 * (asked.to() - asked.from());
    double up = Math.max(0, Math.min(1, (rpm - from) / 500));
    return pressure * (1 - faults.getOrDefault(Fault.PAN, 0.0) * up);
  }
}
