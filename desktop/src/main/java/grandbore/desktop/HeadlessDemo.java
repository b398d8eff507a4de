package grandbore.desktop;

import grandbore.core.prediction.Curve;
import grandbore.core.units.Measure;
import grandbore.desktop.curve.CurveState;
import grandbore.desktop.look.Look;
import grandbore.desktop.station.Station;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Locale;
import javafx.animation.PauseTransition;
import javafx.embed.swing.SwingFXUtils;
import javafx.util.Duration;
import javax.imageio.ImageIO;

/** With no display: prints the demo's curve as a table and writes what the window would show. */
final class HeadlessDemo {
  private static final Duration SETTLE = Duration.millis(700);

  private final Workbench workbench;
  private final Main.Start start;

  HeadlessDemo(Workbench workbench, Main.Start start) {
    this.workbench = workbench;
    this.start = start;
  }

  void run(Runnable finished) {
    var state = workbench.curves().stateProperty();
    state.subscribe(
        s -> {
          if (s.curve() != null && !s.isRunning()) {
            then(() -> show(s, finished));
          }
        });
  }

  private boolean shown;

  private void show(CurveState s, Runnable finished) {
    if (shown) {
      return;
    }
    shown = true;
    print(s.curve());
    Deque<Runnable> shots = new ArrayDeque<>();
    if (start.allPictures()) {
      for (var station : Station.values()) {
        shots.add(
            () -> {
              workbench.rail().choose(station);
              then(
                  () ->
                      next(
                          station.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                          shots,
                          finished));
            });
      }
      shots.add(
          () -> {
            workbench.rail().choose(Station.CAM);
            workbench.look().themeProperty().set(Look.Theme.DARK);
            then(() -> next("dark", shots, finished));
          });
      shots.poll().run();
    } else {
      next("grand-bore-demo", shots, finished);
    }
  }

  private void next(String name, Deque<Runnable> shots, Runnable finished) {
    System.out.println("Screenshot: " + picture(name).toAbsolutePath());
    var more = shots.poll();
    if (more == null) {
      finished.run();
    } else {
      more.run();
    }
  }

  private static void then(Runnable what) {
    var pause = new PauseTransition(SETTLE);
    pause.setOnFinished(e -> what.run());
    pause.play();
  }

  private Path picture(String name) {
    var image = workbench.scene().snapshot(null);
    var file = start.folder().resolve(name + ".png");
    try {
      Files.createDirectories(start.folder());
      ImageIO.write(SwingFXUtils.fromFXImage(image, null), "png", file.toFile());
      return file;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void print(Curve curve) {
    System.out.println(workbench.session().build().name() + ", predicted (live model):");
    System.out.println("   rpm   lb·ft      hp   VE %   bsfc g/kWh");
    for (var p : curve.points()) {
      System.out.printf(
          Locale.ROOT,
          "%6.0f  %6.0f  %6.0f  %5.1f  %11.0f%s%n",
          p.rpm(),
          p.torque() / Measure.POUND_FEET.toSi(1),
          Measure.HORSEPOWER.fromSi(p.power()),
          100 * p.volumetricEfficiency(),
          p.fuelPerJoule() * 3.6e9,
          p.converged() ? "" : "  not settled: " + p.note());
    }
  }
}
