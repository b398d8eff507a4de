package grandbore.desktop.composition;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.desktop.composition.WindowMemory.Memory;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.TextSize;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxToolkit;

/** The window's room is divided without gaps and overlaps at every size. */
class CompositionTest {
  @TempDir Path folder;

  @BeforeAll
  static void wake() throws Exception {
    FxToolkit.registerPrimaryStage();
  }

  private static Region box(double width, double height) {
    var box = new Region();
    box.setPrefSize(width, height);
    box.setMinSize(0, 0);
    box.setMaxSize(Double.MAX_VALUE, Double.MAX_VALUE);
    return box;
  }

  /** The five sizes that windows have, and what lies about them. */
  private static final double[][] SIZES = {
    {780, 700},
    {800, 1280},
    {999, 900},
    {1000, 700},
    {1100, 700},
    {1280, 800},
    {1920, 1080},
    {2560, 1440}
  };

  @Test
  void everyPixelOfTheMiddleBelongsToOnePart() throws Exception {
    FxToolkit.setupFixture(
        () -> {
          for (var mode : Side.Mode.values()) {
            for (double[] size : SIZES) {
              for (double share : new double[] {0, 0.29, 0.5, 1}) {
                divides(mode, size[0], size[1], share);
              }
            }
          }
        });
  }

  private static void divides(Side.Mode mode, double width, double height, double share) {
    var bar = box(100, 48);
    var rail = box(90, 100);
    var page = box(100, 100);
    var side = box(100, 100);
    var foot = box(100, 32);
    var all = new Composition(bar, rail, page, side, foot, "curve");
    all.sideProperty().set(new Side(mode, share));
    all.resize(width, height);
    all.layout();
    String where = "%s %.0f×%.0f %.2f".formatted(mode, width, height, share);
    assertThat(bar.getWidth()).as(where).isEqualTo(width);
    assertThat(foot.getLayoutY() + foot.getHeight()).as(where).isEqualTo(height);
    assertThat(all.narrowProperty().get()).isEqualTo(width < 1500);
    double middle = height - bar.getHeight() - foot.getHeight();
    double room = (width - rail.getWidth()) * middle;
    double page1 = page.isVisible() ? page.getWidth() * page.getHeight() : 0;
    double side1 = side.isVisible() ? side.getWidth() * side.getHeight() : 0;
    double strip = mode == Side.Mode.STRIP ? 34 * middle : 0;
    assertThat(page1 + side1 + strip).as(where).isCloseTo(room, within(1.0));
    if (mode == Side.Mode.BESIDE) {
      boolean upright = width < 1000;
      assertThat(upright ? page.getHeight() : page.getWidth()).as(where).isGreaterThan(250);
      assertThat(upright ? side.getHeight() : side.getWidth()).as(where).isGreaterThan(230);
      assertThat(
              page.getBoundsInParent()
                  .intersects(
                      side.getBoundsInParent().getMinX() + 1,
                      side.getBoundsInParent().getMinY() + 1,
                      side.getWidth() - 2,
                      side.getHeight() - 2))
          .as(where)
          .isFalse();
    }
  }

  /** Groups stand in as many columns as fit, none over another, none lost. */
  @Test
  void groupsStandInColumnsThatFit() throws Exception {
    FxToolkit.setupFixture(
        () -> {
          var random = new Random(3);
          for (int k = 0; k < 60; k++) {
            var groups = new ArrayList<Region>();
            for (int i = 0; i < 1 + random.nextInt(7); i++) {
              var group = box(200, 40 + random.nextInt(200));
              group.setMinWidth(180 + random.nextInt(120));
              groups.add(group);
            }
            var columns = new Columns(groups.toArray(Node[]::new));
            double width = 320 + random.nextInt(1400);
            columns.resize(width, columns.prefHeight(width));
            columns.layout();
            apart(groups, columns);
          }
        });
  }

  private static void apart(List<Region> groups, Columns columns) {
    double foot = 0;
    for (int i = 0; i < groups.size(); i++) {
      var a = groups.get(i);
      assertThat(a.getLayoutX() + a.getWidth()).isLessThanOrEqualTo(columns.getWidth() + 1e-6);
      assertThat(a.getWidth())
          .isGreaterThanOrEqualTo(Math.min(a.getMinWidth(), columns.getWidth()));
      foot = Math.max(foot, a.getLayoutY() + a.getHeight());
      for (int j = 0; j < i; j++) {
        assertThat(a.getBoundsInParent().intersects(groups.get(j).getBoundsInParent())).isFalse();
      }
    }
    assertThat(columns.getHeight()).isCloseTo(foot, within(1e-6));
  }

  /** What is remembered comes back; what is damaged or lost is as at first. */
  @Test
  void theWindowIsRememberedAndADamagedMemoryIsAsAtFirst() throws IOException {
    var file = folder.resolve("book.window");
    var memory = new WindowMemory(Optional.of(file));
    assertThat(memory.read()).isEqualTo(Memory.FIRST);
    var own = new Memory(new Side(Side.Mode.STRIP, 0.41), TextSize.BENCH, Look.Theme.DARK);
    memory.write(own);
    assertThat(memory.read()).isEqualTo(own);
    for (var words :
        List.of("", "side=SOMEWHERE\nside.share=wide", "text=\\u00", "side.share=NaN\ntheme=")) {
      Files.writeString(file, words);
      assertThat(memory.read()).as(words).isEqualTo(Memory.FIRST);
    }
    assertThat(new WindowMemory(Optional.empty()).read()).isEqualTo(Memory.FIRST);
    assertThat(new Side(Side.Mode.BESIDE, 7).share()).isEqualTo(0.62);
    assertThat(new Side(Side.Mode.BESIDE, -1).share()).isEqualTo(0.18);
  }
}
