package grandbore.core.waves;

/**
 * A cell of a pipe as what another pipe opens into from the side: what comes in brings no momentum
 * along the pipe, what leaves takes its share of it along.
 */
public final class PipeCell implements Reservoir {
  private final Pipe pipe;
  private final int cell;

  /**
   * @param cell from the pipe's start, 0 first
   */
  public PipeCell(Pipe pipe, int cell) {
    this.pipe = pipe;
    this.cell = cell;
  }

  @Override
  public double pressure() {
    return pipe.pressure(cell);
  }

  @Override
  public double temperature() {
    return pipe.temperature(cell);
  }

  @Override
  public double burned() {
    return pipe.burned(cell);
  }

  @Override
  public void receive(double mass, double energy, double burnedMass) {
    pipe.receive(cell, mass, energy, burnedMass);
  }
}
