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
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.animation.PauseTransition;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
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

  /** Views besides the first of a station. */
  private static final Map<Station, List<String>> VIEWS =
      new EnumMap<>(
          Map.of(
              Station.BOTTOM_END,
              List.of(
                  "bottom-stack",
                  "bottom-motion",
                  "bottom-forces",
                  "bottom-balance",
                  "bottom-limits",
                  "bottom-oil"),
              Station.CAM,
              List.of(
                  "cam-card",
                  "cam-events",
                  "cam-separation",
                  "cam-degreeing",
                  "cam-springs",
                  "cam-piston",
                  "cam-motion"),
              Station.HEADS,
              List.of("heads-sizing", "heads-seats"),
              Station.CLEARANCES,
              List.of(
                  "bench-todo",
                  "bench-guided",
                  "bench-torque",
                  "bench-assembly",
                  "bench-findings",
                  "bench-book"),
              Station.BREATHING,
              List.of("breathing-waves", "breathing-tuning"),
              Station.COMPRESSION,
              List.of(
                  "compression-solve",
                  "compression-banks",
                  "compression-fuel",
                  "compression-tests")));

  private boolean shown;

  private void show(CurveState s, Runnable finished) {
    if (shown) {
      return;
    }
    shown = true;
    print(s.curve());
    Deque<Shot> shots = new ArrayDeque<>();
    if (start.allPictures()) {
      for (var station : Station.values()) {
        if (station == Station.PREDICTION) {
          continue;
        }
        shots.add(new Shot(file(station.name()), () -> workbench.rail().choose(station)));
      }
      for (var view : VIEWS.entrySet()) {
        for (var id : view.getValue()) {
          shots.add(
              new Shot(
                  id,
                  () -> {
                    workbench.rail().choose(view.getKey());
                    press("#" + id);
                  }));
        }
      }
      shots.add(
          new Shot(
              "bench-mode",
              () -> {
                workbench.rail().choose(Station.CLEARANCES);
                press("#bench-readings");
                press("#group-ends");
                press("#measure-rod_bearing");
                ((Button) workbench.scene().lookup("#bench-mode")).fire();
              }));
      shots.add(new Shot("find", () -> workbench.find("rod b")));
      shots.add(new Shot("prediction", () -> showPrediction()));
      for (var view : List.of("all", "losses", "slow")) {
        shots.add(new Shot("prediction-" + view, () -> press("#view-" + view)));
      }
      shots.add(
          new Shot(
              "dark",
              () -> {
                workbench.rail().choose(Station.CAM);
                workbench.look().themeProperty().set(Look.Theme.DARK);
              }));
    } else {
      shots.add(new Shot("grand-bore-demo", () -> {}));
    }
    next(shots, finished);
  }

  /** What is pictured, and how to get there. */
  private record Shot(String name, Runnable go) {}

  private static String file(String name) {
    return name.toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private void showPrediction() {
    workbench.closeSheet();
    workbench.rail().choose(Station.PREDICTION);
  }

  private void press(String id) {
    ((ToggleButton) workbench.scene().lookup(id)).fire();
  }

  private void next(Deque<Shot> shots, Runnable finished) {
    var shot = shots.poll();
    if (shot == null) {
      finished.run();
      return;
    }
    shot.go().run();
    then(() -> take(shot, shots, finished));
  }

  /** Takes the picture once nothing is being solved any more. */
  private void take(Shot shot, Deque<Shot> shots, Runnable finished) {
    if (isBusy()) {
      then(() -> take(shot, shots, finished));
      return;
    }
    System.out.println("Screenshot: " + picture(shot.name()).toAbsolutePath());
    next(shots, finished);
  }

  private boolean isBusy() {
    return !workbench.curves().runs().isIdle();
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
    System.out.println(
        workbench.session().build().name() + ", predicted (the curve in the window):");
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
          p.converged() ? "" : "  not converged: " + p.note());
    }
  }
}
