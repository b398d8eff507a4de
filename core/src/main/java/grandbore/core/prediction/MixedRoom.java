package grandbore.core.prediction;

import grandbore.core.waves.Pipe;
import grandbore.core.waves.Reservoir;
import grandbore.core.waves.Volume;
import java.util.Optional;

/**
 * A plenum short beside the waves in it: one volume.
 *
 * @param volume its gas
 */
record MixedRoom(Volume volume) implements Room {
  @Override
  public Reservoir feed() {
    return volume;
  }

  @Override
  public Reservoir at(double along) {
    return volume;
  }

  @Override
  public Optional<Pipe> pipe() {
    return Optional.empty();
  }

  @Override
  public void settle(double dt) {
    volume.settle();
  }

  @Override
  public double stableStep(double openArea) {
    return volume.stableStep(openArea);
  }

  @Override
  public double pressure() {
    return volume.pressure();
  }

  @Override
  public double mass() {
    return volume.mass();
  }

  @Override
  public double energy() {
    return volume.energy();
  }

  @Override
  public void startFrom(Room o) {
    volume.startFrom(((MixedRoom) o).volume);
  }
}
