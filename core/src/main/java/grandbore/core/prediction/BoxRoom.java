package grandbore.core.prediction;

import grandbore.core.gas.WorkingGas;
import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeCell;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import java.util.Optional;

/**
 * A box that runners stand along: a pipe of the box's length and volume, shut at both ends, that
 * throttle and runners open into from the side, each into the cell at its place. The throttle's
 * place is one end.
 */
final class BoxRoom implements Room {
  private final Pipe box;
  private final PipeEnd near;
  private final PipeEnd far;

  BoxRoom(WorkingGas gas, Pipe box) {
    this.box = box;
    near = PipeEnd.shut(gas, box, true);
    far = PipeEnd.shut(gas, box, false);
  }

  @Override
  public Reservoir feed() {
    return new PipeCell(box, 0);
  }

  @Override
  public Reservoir at(double along) {
    return new PipeCell(box, Math.min((int) (along * box.cells()), box.cells() - 1));
  }

  @Override
  public Optional<Pipe> pipe() {
    return Optional.of(box);
  }

  @Override
  public void settle(double dt) {
    near.couple(dt);
    far.couple(dt);
  }

  @Override
  public double stableStep(double openArea) {
    return box.stableStep(openArea);
  }

  @Override
  public double pressure() {
    double sum = 0;
    for (int i = 0; i < box.cells(); i++) {
      sum += box.pressure(i);
    }
    return sum / box.cells();
  }

  @Override
  public double mass() {
    return 0;
  }

  @Override
  public double energy() {
    return 0;
  }

  @Override
  public void startFrom(Room o) {
    // Its gas is the pipe's.
  }
}
