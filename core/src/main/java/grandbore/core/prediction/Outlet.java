package grandbore.core.prediction;

import grandbore.core.combination.Boost;
import grandbore.core.combination.Exhaust;
import grandbore.core.waves.Atmosphere;
import grandbore.core.waves.Orifice;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import grandbore.core.waves.Volume;

/** What one bank's last pipe opens into: the air, a turbine, a silencer and its pipes. */
final class Outlet {
  private static final double HOUSING = 1.2e-3;
  private static final double MOST_GATE = 4;

  private final EngineParts parts;
  private final Atmosphere outside;
  private final PipeEnd end;
  private final Volume housing;
  private final Orifice turbine;
  private final Volume silencer;
  private final Orifice system;
  private final double outletArea;
  private double gate;
  private double turbineWork;

  Outlet(EngineParts parts, Pipe pipe, double pipeArea) {
    this.parts = parts;
    var c = parts.combination();
    outside = parts.outsideAir();
    double p = outside.pressure();
    boolean silenced = c.exhaust().outlet() == Exhaust.Outlet.SYSTEM;
    silencer =
        silenced ? new Volume(parts.gas(), c.exhaust().silencerVolume().si(), p, 800, 1) : null;
    system = silenced ? new Orifice(parts.gas(), silencer, outside, parts.systemArea()) : null;
    Reservoir behind = silenced ? silencer : outside;
    boolean driven = c.boost().kind() == Boost.Kind.TURBOCHARGER;
    housing = driven ? new Volume(parts.gas(), HOUSING, p, 900, 1) : null;
    turbine =
        driven ? new Orifice(parts.gas(), housing, behind, c.boost().turbineArea().si()) : null;
    end = new PipeEnd(parts.gas(), pipe, false, driven ? housing : behind);
    end.open(pipeArea);
    outletArea = pipeArea;
  }

  void couple(double dt) {
    end.couple(dt);
    if (turbine != null) {
      double p1 = housing.pressure();
      double t1 = housing.temperature();
      double p2 = silencer == null ? outside.pressure() : silencer.pressure();
      turbine.couple(dt);
      housing.settle();
      double flow = turbine.massFlow() / (1 + gate);
      if (flow > 0 && p1 > p2) {
        double g = parts.gas().gamma(t1, housing.burned());
        double cp = g * parts.gas().gasConstant(housing.burned()) / (g - 1);
        turbineWork +=
            flow
                * cp
                * t1
                * (1 - Math.pow(p2 / p1, (g - 1) / g))
                * parts.combination().boost().turbineEfficiency().si()
                * dt;
      }
    }
    if (system != null) {
      system.couple(dt);
      silencer.settle();
    }
  }

  boolean fits(Outlet o) {
    return (housing == null) == (o.housing == null) && (silencer == null) == (o.silencer == null);
  }

  void startFrom(Outlet o) {
    if (housing != null) {
      housing.startFrom(o.housing);
      gate = o.gate;
      gate(0);
    }
    if (silencer != null) {
      silencer.startFrom(o.silencer);
    }
  }

  /** Power of the turbine since the last call, J. */
  double takeTurbineWork() {
    double taken = turbineWork;
    turbineWork = 0;
    return taken;
  }

  /** Opens or shuts the waste-gate by what the turbine has over what is wanted of it. */
  void gate(double surplus) {
    if (turbine != null) {
      gate = Math.clamp(gate + 0.4 * (1 + gate) * Math.clamp(surplus, -0.5, 0.5), 0, MOST_GATE);
      turbine.open(parts.combination().boost().turbineArea().si() * (1 + gate));
    }
  }

  double stableStep() {
    double dt = silencer == null ? Double.MAX_VALUE : silencer.stableStep(outletArea);
    return housing == null ? dt : Math.min(dt, housing.stableStep(outletArea + turbine.area()));
  }

  Atmosphere outside() {
    return outside;
  }

  double mass() {
    return (silencer == null ? 0 : silencer.mass()) + (housing == null ? 0 : housing.mass());
  }

  double energy() {
    return (silencer == null ? 0 : silencer.energy()) + (housing == null ? 0 : housing.energy());
  }
}
