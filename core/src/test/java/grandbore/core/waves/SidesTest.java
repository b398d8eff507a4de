package grandbore.core.waves;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.gas.WorkingGas;
import org.assertj.core.data.Percentage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What opens into a pipe from the side, and a pipe on a volume. */
class SidesTest {
  private static final double R = 287.05;
  private static final WorkingGas AIR = WorkingGas.perfect(R, 1.4);
  private static final double STILL = 1e5;
  private static final double ROOM = 293;
  private static final double SOUND = Math.sqrt(1.4 * R * ROOM);

  private static PipeEnd end(Pipe pipe, boolean atStart, Reservoir outside, double area) {
    var end = new PipeEnd(AIR, pipe, atStart, outside);
    end.open(area);
    return end;
  }

  /**
   * A plenum and its throttle's bores ring at c/2π √(A/(l V)) (Helmholtz): 308 Hz of 1.4 l, 58 cm²,
   * 0.13 m at 20 °C, were the bores' own air stiff. With its give it is kl tan kl = A l / V, k the
   * wave's number (any textbook of acoustics); narrow bores ring as Helmholtz says.
   */
  @ParameterizedTest
  @ValueSource(doubles = {58e-4, 6e-4})
  void aPlenumAndItsBoresRingWhereAcousticsSay(double area) {
    double length = 0.13;
    double cubic = 1.4e-3;
    var pipe = new Pipe(AIR, PipeShape.ideal(length, area, area), 8);
    pipe.fill(STILL, ROOM, 0);
    var volume = new Volume(AIR, cubic, STILL + 300, ROOM, 0);
    var air = end(pipe, true, new Atmosphere(STILL, ROOM, 0), area);
    var mouth = end(pipe, false, volume, area);
    double time = 0;
    double last = 1;
    int crossings = 0;
    double first = 0;
    double end = 0;
    while (crossings < 6) {
      double dt = Math.min(pipe.stableStep(), volume.stableStep(area));
      pipe.predict(dt);
      air.couple(dt);
      mouth.couple(dt);
      pipe.update(dt);
      volume.settle();
      double now = volume.pressure() - STILL;
      if (now * last < 0) {
        crossings++;
        end = time + dt * last / (last - now);
        first = crossings == 1 ? end : first;
      }
      last = now;
      time += dt;
    }
    double stiff = SOUND / (2 * Math.PI) * Math.sqrt(area / (length * cubic));
    double k = 2 * Math.PI * stiff / SOUND;
    for (int n = 0; n < 100; n++) {
      k = Math.sqrt(k * area / (cubic * Math.tan(k * length)));
    }
    // Half of a period between crossings.
    double rings = 2.5 / (end - first);
    assertThat(rings).isCloseTo(SOUND * k / (2 * Math.PI), Percentage.withPercentage(2));
    assertThat(rings).isCloseTo(stiff, Percentage.withPercentage(area > 1e-3 ? 10 : 3));
  }

  /**
   * A steady flow that leaves a pipe half way to the side slows what is left without a step of the
   * pressure: along the pipe p + ρu² of what stays is kept, and mass is, whatever the cells.
   */
  @ParameterizedTest
  @ValueSource(ints = {9, 17, 33})
  void aSteadyFlowToTheSideNeedsNoStepOfThePressure(int cells) {
    double area = 1e-3;
    double drawn = 0.02;
    double speed = 40;
    var pipe = new Pipe(AIR, PipeShape.ideal(0.6, area, area), cells);
    double density = STILL / (R * ROOM);
    for (int i = 0; i < cells; i++) {
      double u = i < cells / 2 ? speed : speed - drawn / (density * area);
      pipe.set(i, STILL, ROOM, u, 0);
    }
    var side = new PipeCell(pipe, cells / 2);
    var feed = new Atmosphere(STILL + 0.5 * density * speed * speed, ROOM, 0);
    var in = end(pipe, true, feed, area);
    var out = end(pipe, false, new Atmosphere(STILL, ROOM, 0), area);
    double time = 0;
    double dip = 0;
    int counted = 0;
    while (time < 0.2) {
      double dt = pipe.stableStep();
      pipe.predict(dt);
      in.couple(dt);
      out.couple(dt);
      side.receive(-drawn * dt, -drawn * dt * AIR.enthalpy(side.temperature(), 0), 0);
      pipe.update(dt);
      time += dt;
      if (time > 0.15) {
        int k = cells / 2;
        dip += 0.5 * (pipe.pressure(k - 2) + pipe.pressure(k + 2)) - pipe.pressure(k);
        counted++;
      }
    }
    // Characteristics alone would make it half of the drawn flow's impedance: some 3,400 Pa.
    double characteristic = SOUND * drawn / (2 * area);
    assertThat(characteristic).isGreaterThan(3000);
    assertThat(Math.abs(dip / counted)).isLessThan(0.05 * characteristic);
  }

  /** Mass and energy that come from the side are in the pipe afterwards, to the last bits. */
  @Test
  void whatComesFromTheSideIsKept() {
    var pipe = new Pipe(AIR, PipeShape.ideal(0.5, 2e-3, 1e-3), 10);
    pipe.fill(STILL, ROOM, 0);
    var wall = new Atmosphere(STILL, ROOM, 0);
    var near = end(pipe, true, wall, 0);
    var far = end(pipe, false, wall, 0);
    var side = new PipeCell(pipe, 3);
    double mass = pipe.mass();
    double energy = pipe.energy();
    double came = 0;
    double brought = 0;
    for (int k = 0; k < 400; k++) {
      double dt = Math.min(pipe.stableStep(), 1e-4);
      double dm = 0.01 * dt * Math.sin(k / 20.0);
      double de = dm * AIR.enthalpy(dm > 0 ? 350 : side.temperature(), 0);
      pipe.predict(dt);
      near.couple(dt);
      far.couple(dt);
      side.receive(dm, de, 0);
      pipe.update(dt);
      came += dm;
      brought += de;
    }
    assertThat(pipe.mass() - mass).isCloseTo(came, within(1e-12));
    assertThat(pipe.energy() - energy).isCloseTo(brought, within(1e-9 * Math.abs(energy)));
  }
}
