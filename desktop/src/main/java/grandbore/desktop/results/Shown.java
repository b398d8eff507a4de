package grandbore.desktop.results;

import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;

/** The units that results are shown in. */
public record Shown(UnitSystem units) {
  private boolean us() {
    return units == UnitSystem.US;
  }

  public Measure pressure() {
    return us() ? Measure.PSI : Measure.KILOPASCALS;
  }

  public Measure high() {
    return us() ? Measure.PSI : Measure.BAR;
  }

  public Measure volume() {
    return Measure.CUBIC_CENTIMETRES;
  }

  public Measure temperature() {
    return us() ? Measure.DEGREES_FAHRENHEIT : Measure.DEGREES_CELSIUS;
  }

  public Measure torque() {
    return us() ? Measure.POUND_FEET : Measure.NEWTON_METRES;
  }

  public Measure power() {
    return us() ? Measure.HORSEPOWER : Measure.KILOWATTS;
  }

  public Measure force() {
    return us() ? Measure.POUNDS_FORCE : Measure.NEWTONS;
  }

  public Measure speed() {
    return us() ? Measure.FEET_PER_MINUTE : Measure.METRES_PER_SECOND;
  }

  public double[] in(Measure unit, double[] si) {
    var out = new double[si.length];
    for (int i = 0; i < si.length; i++) {
      out[i] = unit.fromSi(si[i]);
    }
    return out;
  }
}
