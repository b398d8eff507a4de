package grandbore.desktop.drawing;

import grandbore.desktop.composition.Growing;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.look.Look;
import grandbore.desktop.look.Palette;
import grandbore.desktop.session.Session;
import java.util.List;
import javafx.scene.canvas.Canvas;
import javafx.scene.layout.Pane;

/** A drawing that is also a form: lines on a canvas, inputs where they are measured. */
public abstract class Drawing extends Pane {
  private final Canvas canvas = new Canvas();
  private final Session session;
  private final Look look;
  private Pen pen;

  /** One that grows with the window. */
  Drawing(Session session, Look look, double height) {
    this(session, look, height, true);
  }

  /**
   * @param height pixels, at the usual window's
   * @param grows whether it is higher in a higher window
   */
  Drawing(Session session, Look look, double height, boolean grows) {
    this.session = session;
    this.look = look;
    getStyleClass().add("drawing");
    if (grows) {
      Growing.from(height, this);
    } else {
      setMinHeight(height);
      setPrefHeight(height);
      setMaxHeight(height);
    }
    getChildren().add(canvas);
    widthProperty().subscribe(w -> redraw());
    heightProperty().subscribe(h -> redraw());
    session.buildProperty().subscribe(b -> redraw());
    session.readingsProperty().subscribe(r -> redraw());
    session.overProperty().subscribe(o -> redraw());
    look.drawn(this::redraw);
  }

  final InputField input(String path) {
    var field = new InputField(session, path);
    getChildren().add(field);
    return field;
  }

  /** Puts an input on the drawing, or takes it off where it does not concern this engine. */
  final void show(InputField field, boolean concerns) {
    if (!concerns) {
      getChildren().remove(field);
    } else if (!isOn(field)) {
      getChildren().add(field);
    }
  }

  final boolean isOn(InputField field) {
    return getChildren().contains(field);
  }

  static void place(InputField field, double x, double y) {
    field.relocate(Math.rint(x), Math.rint(y));
    field.autosize();
  }

  /** What is written on it, and where. */
  public final List<Pen.Word> words() {
    return pen == null ? List.of() : pen.words();
  }

  final Session session() {
    return session;
  }

  final Look look() {
    return look;
  }

  final void redraw() {
    double w = getWidth();
    double h = getPrefHeight();
    if (w < 50) {
      return;
    }
    canvas.setWidth(w);
    canvas.setHeight(h);
    pen = new Pen(canvas.getGraphicsContext2D(), look);
    pen.clear(w, h);
    draw(pen, look.palette(), w, h);
  }

  @Override
  protected void layoutChildren() {
    super.layoutChildren();
    redraw();
  }

  /** Draws everything and places the inputs. */
  abstract void draw(Pen pen, Palette palette, double width, double height);
}
