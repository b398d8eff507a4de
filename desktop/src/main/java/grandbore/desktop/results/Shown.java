package grandbore.desktop.results;

import grandbore.core.units.Measure;
import grandbore.core.units.UnitSystem;

/** The units that results are shown in. */
record Shown(UnitSystem units) {
  private boolean us() {
    return units == UnitSystem.US;
  }

  Measure pressure() {
    return us() ? Measure.PSI : Measure.KILOPASCALS;
  }

  Measure high() {
    return us() ? Measure.PSI : Measure.BAR;
  }

  Measure volume() {
    return Measure.CUBIC_CENTIMETRES;
  }

  Measure temperature() {
    return us() ? Measure.DEGREES_FAHRENHEIT : Measure.DEGREES_CELSIUS;
  }

  Measure torque() {
    return us() ? Measure.POUND_FEET : Measure.NEWTON_METRES;
  }

  Measure power() {
    return us() ? Measure.HORSEPOWER : Measure.KILOWATTS;
  }

  Measure force() {
    return us() ? Measure.POUNDS_FORCE : Measure.NEWTONS;
  }

  Measure speed() {
    return us() ? Measure.FEET_PER_MINUTE : Measure.METRES_PER_SECOND;
  }

  double[] in(Measure unit, double[] si) {
    var out = new double[si.length];
    for (int i = 0; i < si.length; i++) {
      out[i] = unit.fromSi(si[i]);
    }
    return out;
  }
}
