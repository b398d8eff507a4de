package grandbore.desktop.composition;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Cursor;
import javafx.scene.Group;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignA;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;

/**
 * Lays the window out: bar above, rail at the left, page in the middle, a pane beside it, foot
 * below. In an upright window the pane lies below the page; a narrow window has a narrow rail. The
 * pane is dragged wider, narrowed to a strip, or thrown over the whole window.
 */
public final class Composition extends Region {
  /** Narrower windows have the pane below the page. */
  private static final double UPRIGHT = 1000;

  /** Narrower windows have a narrow rail. */
  private static final double WIDE = 1500;

  private static final double HANDLE = 7;
  private static final double STRIP = 34;
  private static final double LEAST_SIDE = 300;
  private static final double LEAST_PAGE = 420;

  private final Region bar;
  private final Region rail;
  private final Region page;
  private final Region side;
  private final Region foot;
  private final Region handle = new Region();
  private final VBox strip = new VBox(10);
  private final HBox modes = new HBox(0);
  private final ObjectProperty<Side> state = new SimpleObjectProperty<>(Side.USUAL);
  private final ReadOnlyBooleanWrapper narrow = new ReadOnlyBooleanWrapper(true);

  public Composition(Region bar, Region rail, Region page, Region side, Region foot, String name) {
    this.bar = bar;
    this.rail = rail;
    this.page = page;
    this.side = side;
    this.foot = foot;
    getStyleClass().add("workbench");
    handle.getStyleClass().add("handle");
    handle.setAccessibleText("divider between page and " + name);
    handle.setOnMouseDragged(this::drag);
    handle.setOnMouseClicked(
        e -> {
          if (e.getClickCount() == 2) {
            toggleStrip();
          }
        });
    strip(name);
    modes(name);
    getChildren().addAll(page, side, handle, strip, modes, rail, bar, foot);
    state.subscribe(s -> requestLayout());
  }

  private void strip(String name) {
    strip.getStyleClass().add("strip");
    var back = icon("side-back", "Show the " + name, MaterialDesignC.CHEVRON_LEFT);
    back.setOnAction(e -> state.set(state.get().with(Side.Mode.BESIDE)));
    var words = new Label(name);
    words.setRotate(-90);
    words.setMinWidth(USE_PREF_SIZE);
    var turned = new Group(words);
    strip.getChildren().addAll(back, turned);
  }

  private void modes(String name) {
    var away =
        icon("side-strip", "Narrow the " + name + " to a strip", MaterialDesignC.CHEVRON_RIGHT);
    away.setOnAction(e -> toggleStrip());
    var whole =
        icon(
            "side-whole",
            "The " + name + " over the whole window, and back",
            MaterialDesignA.ARROW_EXPAND_ALL);
    whole.setOnAction(e -> toggleWhole());
    modes.getChildren().addAll(away, whole);
  }

  private static Button icon(String id, String tip, Ikon ikon) {
    var button = new Button();
    var icon = new FontIcon(ikon);
    icon.setIconSize(16);
    button.setGraphic(icon);
    button.setId(id);
    button.setAccessibleText(tip);
    button.setTooltip(new Tooltip(tip));
    button.getStyleClass().addAll("flat", "small");
    return button;
  }

  /** What the pane beside the page does. */
  public ObjectProperty<Side> sideProperty() {
    return state;
  }

  /** Whether the rail is narrow. */
  public ReadOnlyBooleanProperty narrowProperty() {
    return narrow.getReadOnlyProperty();
  }

  public void toggleStrip() {
    var s = state.get();
    state.set(s.with(s.mode() == Side.Mode.STRIP ? Side.Mode.BESIDE : Side.Mode.STRIP));
  }

  public void toggleWhole() {
    var s = state.get();
    state.set(s.with(s.mode() == Side.Mode.WHOLE ? Side.Mode.BESIDE : Side.Mode.WHOLE));
  }

  private boolean isUpright() {
    return getWidth() < UPRIGHT;
  }

  private void drag(MouseEvent e) {
    var at = sceneToLocal(e.getSceneX(), e.getSceneY());
    double room = isUpright() ? middleHeight() : getWidth();
    double from = isUpright() ? barHeight() + room - at.getY() : getWidth() - at.getX();
    state.set(new Side(Side.Mode.BESIDE, from / room));
  }

  private double barHeight() {
    return bar.prefHeight(getWidth());
  }

  private double middleHeight() {
    return getHeight() - barHeight() - foot.prefHeight(getWidth());
  }

  /** Pixels that the pane takes; none where it is a strip. */
  private double sideSize(double room, double leastPage) {
    double wanted = state.get().share() * (isUpright() ? room : getWidth());
    // Larger letters ask for a wider pane.
    double least = isUpright() ? 0.8 * LEAST_SIDE : Math.max(LEAST_SIDE, side.minWidth(-1));
    return Math.max(least, Math.min(wanted, room - leastPage));
  }

  @Override
  protected void layoutChildren() {
    double w = getWidth();
    double top = barHeight();
    double h = middleHeight();
    narrow.set(w < WIDE);
    bar.resizeRelocate(0, 0, w, top);
    foot.resizeRelocate(0, top + h, w, foot.prefHeight(w));
    var mode = state.get().mode();
    boolean whole = mode == Side.Mode.WHOLE;
    double left = rail.prefWidth(h);
    rail.resizeRelocate(0, top, left, h);
    double room = w - left;
    boolean stripped = mode == Side.Mode.STRIP;
    page.setVisible(!whole);
    side.setVisible(!stripped);
    modes.setVisible(!stripped);
    strip.setVisible(stripped);
    handle.setVisible(mode == Side.Mode.BESIDE);
    handle.setCursor(isUpright() ? Cursor.V_RESIZE : Cursor.H_RESIZE);
    if (whole) {
      side.resizeRelocate(left, top, room, h);
    } else if (stripped) {
      page.resizeRelocate(left, top, room - STRIP, h);
      strip.resizeRelocate(w - STRIP, top, STRIP, h);
    } else if (isUpright()) {
      double size = sideSize(h, LEAST_PAGE);
      page.resizeRelocate(left, top, room, h - size);
      side.resizeRelocate(left, top + h - size, room, size);
      handle.resizeRelocate(left, top + h - size - HANDLE / 2, room, HANDLE);
    } else {
      double size = sideSize(room, LEAST_PAGE);
      page.resizeRelocate(left, top, room - size, h);
      side.resizeRelocate(w - size, top, size, h);
      handle.resizeRelocate(w - size - HANDLE / 2, top, HANDLE, h);
    }
    double mw = modes.prefWidth(-1);
    modes.resizeRelocate(w - mw - 4, side.getLayoutY() + 4, mw, modes.prefHeight(-1));
  }
}
