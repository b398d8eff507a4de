package grandbore.core.prediction;

import grandbore.core.combination.Exhaust;
import grandbore.core.waves.Atmosphere;
import grandbore.core.waves.Orifice;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Volume;
import java.util.ArrayList;
import java.util.List;

/** Where the primaries of a bank meet, and the pipe behind it to the tail. */
abstract sealed class Collector permits MergeCollector, LogCollector {
  private static final double SILENCER_VOLUME = 0.006;

  private final Pipe pipe;
  private final Atmosphere outside;
  private final PipeEnd tail;
  private final Volume silencer;
  private final Orifice system;
  private final Replay replay = new Replay();
  private final List<Echo> echoes = new ArrayList<>();
  private final int bankCylinders;
  private final boolean live;
  final double[] flows = new double[5];

  Collector(EngineParts parts, int bankCylinders, boolean live) {
    this.bankCylinders = bankCylinders;
    this.live = live;
    for (int k = 1; live && k < bankCylinders; k++) {
      echoes.add(new Echo());
    }
    pipe = parts.collectorPipe();
    outside = parts.outsideAir();
    if (parts.combination().exhaust().outlet() == Exhaust.Outlet.SYSTEM) {
      silencer = new Volume(parts.gas(), SILENCER_VOLUME, outside.pressure(), 800, 1);
      system = new Orifice(parts.gas(), silencer, outside, parts.systemArea());
      tail = new PipeEnd(parts.gas(), pipe, false, silencer);
    } else {
      silencer = null;
      system = null;
      tail = new PipeEnd(parts.gas(), pipe, false, outside);
    }
    tail.open(parts.collectorArea());
  }

  abstract void join(CylinderUnit unit);

  /** Couples the primaries and the pipe; the solved primary's flow goes to {@link #flows}. */
  abstract void coupleInside(double dt);

  /**
   * Adds one copy's flow, given in {@link #flows}.
   *
   * @param answer outflow to add, over the pipe's admittance, Pa
   */
  abstract void addCopy(double dt, double answer);

  /** The longest step that its own cell stands, s. */
  abstract double stableStep();

  /** Where the primaries meet, Pa. */
  abstract double pressure();

  abstract double mass();

  abstract double energy();

  final void couple(double dt, CylinderUnit unit, double speed) {
    double phase = unit.cylinder().phase();
    if (live && bankCylinders > 1 && replay.isReady()) {
      double delay = unit.exhaust().echoTime() * speed;
      for (int k = 1; k < bankCylinders; k++) {
        double copyPhase = EngineNetwork.shifted(phase, k, bankCylinders);
        replay.at(copyPhase, flows);
        double answer =
            echoes
                .get(k - 1)
                .answer(
                    phase,
                    pressure() - flows[Replay.PRESSURE],
                    delay,
                    unit.exhaustReflection(copyPhase));
        addCopy(dt, answer);
      }
    }
    coupleInside(dt);
    if (live) {
      replay.record(phase, flows);
    }
    tail.couple(dt);
    if (silencer != null) {
      system.couple(dt);
      silencer.settle();
    }
  }

  final Pipe pipe() {
    return pipe;
  }

  final Atmosphere outside() {
    return outside;
  }

  final double silencerMass() {
    return silencer == null ? 0 : silencer.mass();
  }

  final double silencerEnergy() {
    return silencer == null ? 0 : silencer.energy();
  }
}
