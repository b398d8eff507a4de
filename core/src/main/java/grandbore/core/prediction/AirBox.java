package grandbore.core.prediction;

import grandbore.core.waves.Pipe;
import grandbore.core.waves.PipeEnd;
import grandbore.core.waves.Reservoir;
import grandbore.core.waves.Volume;

/** A box in front of the throttles, fed by a duct from the air, or from a compressor. */
final class AirBox {
  private final Volume volume;
  private final Pipe duct;
  private final PipeEnd mouth;
  private final PipeEnd end;
  private final double openArea;

  /**
   * @param share of the engine that is solved behind it
   * @param throttles clear area that leads on from it, m²
   */
  AirBox(EngineParts parts, Reservoir air, double share, double throttles) {
    var in = parts.combination().intake();
    volume =
        new Volume(
            parts.gas(),
            share * in.airBox().si(),
            air.pressure(),
            parts.chargeTemperature(),
            air.burned());
    duct = parts.piping().inletDuct(share);
    mouth = new PipeEnd(parts.gas(), duct, true, air);
    mouth.open(EngineParts.MOUTH * share * in.ductSection().si());
    end = new PipeEnd(parts.gas(), duct, false, volume);
    end.open(Double.MAX_VALUE);
    openArea = throttles + share * in.ductSection().si();
  }

  void startFrom(AirBox o) {
    volume.startFrom(o.volume);
  }

  void couple(double dt) {
    mouth.couple(dt);
    end.couple(dt);
  }

  /** Finds pressure and temperature after all flows of the step are in. */
  void settle() {
    volume.settle();
  }

  double stableStep() {
    return volume.stableStep(openArea);
  }

  Pipe duct() {
    return duct;
  }

  Volume volume() {
    return volume;
  }
}
