package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.demo.DemoBuilds;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** The demo with no display: its curve as a table, and pictures of what the window would show. */
class DemoTest extends BenchTest {
  @Override
  boolean studies() {
    return true;
  }

  @Override
  boolean isPainted() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    return List.of(new BuildDocument(DemoBuilds.hillClimbEight(), DemoBuilds.hillClimbReadings()));
  }

  private String run(boolean allPictures, Path pictures) {
    var out = new ByteArrayOutputStream();
    var before = System.out;
    System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
    try {
      var finished = new AtomicBoolean();
      var start = new Main.Start(null, true, true, pictures, allPictures);
      robot.interact(() -> new HeadlessDemo(bench, start).run(() -> finished.set(true)));
      until("the demo has run", 400, finished::get);
    } finally {
      System.setOut(before);
    }
    return out.toString(StandardCharsets.UTF_8);
  }

  private static List<String> names(Path folder) throws IOException {
    try (var files = Files.list(folder)) {
      return files.map(f -> f.getFileName().toString()).sorted().toList();
    }
  }

  /** Every row is a speed of the curve on the bench, in its units, and one picture is written. */
  @Test
  void theDemoPrintsItsCurveAndWritesAPicture() throws Exception {
    var pictures = folder.resolve("pictures");
    var lines = run(false, pictures).lines().toList();
    var curve = bench.curves().stateProperty().get().curve();
    assertThat(lines.getFirst())
        .isEqualTo("Club hill-climb V8, predicted (the curve in the window):");
    assertThat(lines.get(1)).contains("rpm", "lb·ft", "hp", "VE %", "bsfc g/kWh");
    assertThat(lines).hasSize(2 + curve.points().size() + 1);
    for (int i = 0; i < curve.points().size(); i++) {
      var cells = lines.get(2 + i).strip().split(" +", -1);
      var p = curve.points().get(i);
      assertThat(Double.parseDouble(cells[0])).isEqualTo(p.rpm());
      double torque = Double.parseDouble(cells[1]);
      double power = Double.parseDouble(cells[2]);
      // Horsepower is pound-feet times rpm over 5,252: what both columns must say together.
      assertThat(power).isBetween((torque - 1) * p.rpm() / 5252.1, (torque + 1) * p.rpm() / 5252.1);
      assertThat(lines.get(2 + i)).doesNotContain("not converged");
    }
    assertThat(lines.getLast()).startsWith("Screenshot: ").endsWith(".png");
    assertThat(names(pictures)).hasSize(1);
  }

  /** A picture of every station and of every view of the prediction, none of them empty. */
  @Test
  void everyStationAndViewIsPictured() throws Exception {
    var pictures = folder.resolve("all");
    run(true, pictures);
    var names = names(pictures);
    assertThat(names)
        .contains(
            "bottom-end.png",
            "breathing.png",
            "brief.png",
            "cam.png",
            "clearances.png",
            "dark.png",
            "heads.png",
            "prediction.png",
            "prediction-all.png",
            "prediction-losses.png",
            "prediction-slow.png",
            "compression.png");
    var pages = new HashSet<List<Integer>>();
    for (var name : names) {
      BufferedImage image = ImageIO.read(pictures.resolve(name).toFile());
      assertThat(image.getWidth()).isGreaterThanOrEqualTo(1000);
      // The page's own part: some is drawn on, and no two pages are alike.
      var colours = new HashMap<Integer, Integer>();
      var page = new ArrayList<Integer>();
      for (int x = 170; x < 770; x += 2) {
        for (int y = 60; y < image.getHeight() - 40; y += 2) {
          colours.merge(image.getRGB(x, y), 1, Integer::sum);
          page.add(image.getRGB(x, y));
        }
      }
      int plain = colours.values().stream().mapToInt(n -> n).max().orElseThrow();
      assertThat(1 - (double) plain / page.size()).as(name + " is drawn on").isGreaterThan(0.03);
      assertThat(pages.add(page)).as(name + " differs from the others").isTrue();
    }
  }

  /** What the launcher asks the runtime for is among what is shipped: a fresh build starts. */
  @Test
  void theLauncherAsksOnlyForWhatIsShipped() throws IOException {
    var launcher = Files.readString(Path.of("..", "grand-bore"));
    var asked = Pattern.compile("--add-modules ([\\w.,]+)").matcher(launcher);
    assertThat(asked.find()).isTrue();
    for (var module : asked.group(1).split(",", -1)) {
      assertThat(System.getProperty("java.class.path"))
          .as(module)
          .contains(module.replace('.', '-'));
    }
  }
}
