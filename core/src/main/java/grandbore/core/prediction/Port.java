package grandbore.core.prediction;

import grandbore.core.flow.FlowCurve;
import grandbore.core.valvetrain.FlyingValve;
import grandbore.core.valvetrain.ValveLift;
import grandbore.core.valvetrain.ValveMotion;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;

/** One way in or out of a cylinder: a pipe, and the valve between it and the cylinder. */
final class Port {
  /** Share that comes back from a shut valve, the losses of the way taken off. */
  private static final double WALL_REFLECTION = 0.7;

  private final Pipe pipe;
  private final PipeEnd end;
  private final FlowCurve flow;
  private final double share;
  private final double area;

  /** Of the valve's head, that the gas presses on, m². */
  private final double face;

  /** Moved by the gas too, where it no longer follows its lobe. */
  private final FlyingValve flight;

  /** What the valve sends back at every row of the cycle; none where there are no copies. */
  private final double[] reflections;

  private ValveLift lift;
  private Cycle cycle = Cycle.FOUR_STROKE;
  private boolean flies;

  /**
   * @param end of the pipe at the valve
   * @param flow of all valves together
   * @param share of it that this cylinder's port flows
   * @param area of the port, m²
   * @param diameter of a valve's head, m
   * @param copied whether it speaks for others
   */
  Port(
      Pipe pipe,
      PipeEnd end,
      ValveMotion motion,
      FlowCurve flow,
      double share,
      double area,
      double diameter,
      boolean copied) {
    this.pipe = pipe;
    this.end = end;
    this.flow = flow;
    this.share = share;
    this.area = area;
    face = Math.PI / 4 * diameter * diameter;
    flight = motion.flying();
    lift = motion.still();
    reflections = new double[copied ? Cycle.ROWS : 0];
  }

  /**
   * Sets what its valve does at the speed that is run.
   *
   * @param moves as the train alone has it
   * @param follows whether it does so, whatever the gas does
   */
  void setLift(ValveLift moves, boolean follows, Cycle cycle) {
    lift = moves;
    flies = !follows;
    this.cycle = cycle;
    for (int row = 0; row < reflections.length; row++) {
      double phase = row / cycle.perRadian();
      reflections[row] = WALL_REFLECTION * Math.max(0, 1 - flow.at(moves.at(phase)) / area);
    }
  }

  /** Takes over where another's valve is. */
  void startFrom(Port o) {
    flight.startFrom(o.flight);
  }

  /** Lift in the middle of a step: of a valve that flies as gas and train have moved it. */
  double lift(double phase, double half, double dt, double pressure) {
    if (!flies) {
      return lift.at(phase + half);
    }
    double before = flight.lift();
    double gas = face * (pressure - end.pipePressure());
    return 0.5 * (before + flight.turn(phase, 2 * half, 2 * half / dt, gas));
  }

  /** Lets flow what a lift lets through in a step. */
  void couple(double height, double dt) {
    end.open(height <= 0 ? 0 : share * flow.at(height));
    end.couple(dt);
  }

  /** Lift now, at a phase. */
  double liftNow(double phase) {
    return flies ? flight.lift() : lift.at(phase);
  }

  /** Share of a sound wave that the valve sends back at a phase. */
  double reflection(double phase) {
    return reflections[cycle.row(phase)];
  }

  Pipe pipe() {
    return pipe;
  }

  PipeEnd end() {
    return end;
  }
}
