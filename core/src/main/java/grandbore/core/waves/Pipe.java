package grandbore.core.waves;

import grandbore.core.gas.WorkingGas;
import java.util.List;

/**
 * One-dimensional unsteady gas flow in a pipe of varying section, with wall friction, wall heat and
 * transport of the burned share: a stretch of a {@link GasField}, alone or beside others.
 */
public final class Pipe {
  private final WorkingGas gas;
  private final int cells;
  private final double cellLength;
  private GasField field;
  private int from;

  /**
   * @param cells of equal length
   */
  public Pipe(WorkingGas gas, PipeShape shape, int cells) {
    this.gas = gas;
    this.cells = cells;
    this.cellLength = shape.length() / cells;
    field = new GasField(gas, List.of(cells));
    for (int i = 0; i <= cells; i++) {
      field.area[i] = shape.faceArea(i * cellLength, cellLength);
    }
    for (int i = 0; i < cells; i++) {
      double x = i * cellLength;
      field.volume[i] = shape.volume(x, x + cellLength);
      double mean = field.volume[i] / cellLength;
      field.perVolume[i] = 1 / field.volume[i];
      field.areaStep[i] = field.area[i + 1] - field.area[i];
      field.taper[i] = field.areaStep[i] * cellLength / field.volume[i];
      field.perLength[i] = 1 / cellLength;
      // What runs through the wider face must not be more than the cell holds.
      double wider = Math.max(field.area[i], field.area[i + 1]);
      field.perReach[i] = Math.max(1 / cellLength, GasField.COURANT * wider / field.volume[i]);
      field.walls.set(i, Math.sqrt(4 * mean / Math.PI), shape.between(x, x + cellLength));
    }
  }

  /** Puts the gas of pipes side by side, so that one step moves them all. */
  public static Steps together(WorkingGas gas, List<Pipe> pipes) {
    var field = new GasField(gas, pipes.stream().map(p -> p.cells).toList());
    for (int k = 0; k < pipes.size(); k++) {
      var p = pipes.get(k);
      field.copy(p.field, p.from, field.start(k), p.cells);
      p.field = field;
      p.from = field.start(k);
    }
    return new Steps(field);
  }

  /** Moves the gas of pipes that lie together. */
  public static final class Steps {
    private final GasField field;

    private Steps(GasField field) {
      this.field = field;
    }

    /** The longest stable time step now, s. */
    public double stableStep() {
      return field.stableStep();
    }

    /** Finds friction and heat of the walls for the gas as it moves now. */
    public void refreshWalls() {
      field.refreshWalls();
    }

    /** Moves all walls that are not kept so many times as far from their outside. */
    public void guessWalls(double times) {
      field.guessWalls(times);
    }

    /** Makes the walls as hot as what they took since the last time wants. */
    public void balanceWalls() {
      field.balanceWalls();
    }

    /** First half of a step: slopes, half-time face states, and the fluxes inside the pipes. */
    public void predict(double dt) {
      field.predict(dt);
    }

    /** Second half of a step, once the end fluxes stand. */
    public void update(double dt) {
      field.update(dt);
    }
  }

  /** Sets one cell, in SI. */
  public void set(
      int i, double pressure, double temperature, double metrePerSecond, double burnedShare) {
    field.set(from + i, pressure, temperature, metrePerSecond, burnedShare);
  }

  /** Fills the pipe with gas at rest. */
  public void fill(double pressure, double temperature, double burnedShare) {
    for (int i = 0; i < cells; i++) {
      set(i, pressure, temperature, 0, burnedShare);
    }
  }

  /** Takes over the gas of another pipe, cell for cell or from the nearest in its length. */
  public void startFrom(Pipe o) {
    for (int i = 0; i < cells; i++) {
      int k = (int) ((i + 0.5) / cells * o.cells);
      set(i, o.pressure(k), o.temperature(k), o.velocity(k), o.burned(k));
      field.walls.heatAs(o.field.walls, o.from + k, from + i);
    }
  }

  /** How hot the wall of a cell is, K. */
  public double wallTemperature(int cell) {
    return field.walls.temperature(from + cell);
  }

  /** The longest stable time step of a pipe that lies alone, s. */
  public double stableStep() {
    return field.stableStep();
  }

  /** The longest step in which an opening of so much area, m², does not throw a cell over, s. */
  public double stableStep(double sideArea) {
    return field.sideStep(from, cells, sideArea);
  }

  /** First half of a step of a pipe that lies alone. */
  public void predict(double dt) {
    field.refreshWalls();
    field.predict(dt);
  }

  /** Second half of a step of a pipe that lies alone, once the end fluxes stand. */
  public void update(double dt) {
    field.update(dt);
  }

  /** Half-time state at an end, seen from inside, velocity positive outward. */
  void endState(boolean atStart, EndState out) {
    int i = atStart ? from : from + cells - 1;
    out.density = atStart ? field.half.densityL[i] : field.half.densityR[i];
    out.velocity = atStart ? -field.half.velocityL[i] : field.half.velocityR[i];
    out.pressure = atStart ? field.half.pressureL[i] : field.half.pressureR[i];
    double y = atStart ? field.half.burnedL[i] : field.half.burnedR[i];
    out.burned = y < 0 ? 0 : Math.min(y, 1);
    out.gamma = field.states.gamma[i];
    out.area = field.area[atStart ? from : from + cells];
    out.gasConstant = gas.gasConstant(out.burned);
    out.temperature = out.pressure / (out.density * out.gasConstant);
  }

  /**
   * Sets the flow through an end: outward mass, energy and burned mass, kg/s and W; thrust in N.
   */
  void endFlow(boolean atStart, double mass, double thrust, double power, double burnedOut) {
    int f = atStart ? from : from + cells;
    double sign = atStart ? -1 : 1;
    field.flows.mass[f] = sign * mass;
    field.flows.momentum[f] = thrust;
    field.flows.energy[f] = sign * power;
    field.flows.burned[f] = sign * burnedOut;
  }

  /** Takes mass (kg), energy (J) and burned mass (kg) into a cell from the side, or gives them. */
  void receive(int i, double mass, double joules, double burnedMass) {
    field.receive(from + i, mass, joules, burnedMass);
  }

  /** How many. */
  public int cells() {
    return cells;
  }

  /** Of the whole pipe, m. */
  public double length() {
    return cells * cellLength;
  }

  /** Of a cell, Pa. */
  public double pressure(int i) {
    return field.states.pressure[from + i];
  }

  /** Of a cell, m/s, positive toward the pipe's end. */
  public double velocity(int i) {
    return field.states.velocity[from + i];
  }

  /** Of a cell, kg/m³. */
  public double density(int i) {
    return field.density[from + i];
  }

  /** Of a cell, K. */
  public double temperature(int i) {
    return field.states.temperature[from + i];
  }

  /** Burned share of a cell's gas, by mass. */
  public double burned(int i) {
    return field.states.burned[from + i];
  }

  /** Acoustic admittance at an end, kg/(s Pa). */
  public double admittance(boolean atStart) {
    return field.area[atStart ? from : from + cells]
        / field.states.sound[atStart ? from : from + cells - 1];
  }

  /** Time a sound wave takes up and down the pipe, s. */
  public double echoTime() {
    double time = 0;
    for (int i = 0; i < cells; i++) {
      time += 2 * cellLength / field.states.sound[from + i];
    }
    return time;
  }

  /** Mass of gas in the pipe, kg. */
  public double mass() {
    double sum = 0;
    for (int i = 0; i < cells; i++) {
      sum += field.density[from + i] * field.volume[from + i];
    }
    return sum;
  }

  /** Energy of the gas in the pipe, J, with the elements at 298.15 K as the datum. */
  public double energy() {
    double sum = 0;
    for (int i = 0; i < cells; i++) {
      sum += field.energy[from + i] * field.volume[from + i];
    }
    return sum;
  }

  /** Heat given to the wall since the start, J. */
  public double heatToWall() {
    return -field.walls.given(from, cells);
  }
}
