package grandbore.desktop;

import grandbore.core.prediction.Curve;
import grandbore.desktop.controls.Page;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.Cursor;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/**
 * One line along the foot: trouble first, then what is outside its band, then how the curve went.
 */
final class FootLine extends HBox {
  /** Of a list that is read at once. */
  private static final int MOST = 24;

  private final Session session;
  private final Label words = new Label();
  private final Label speed = new Label();
  private final Button more = new Button();
  private final FootRuns runs;
  private Consumer<Bite> open = b -> {};
  private List<Bite> bites = List.of();
  private String said = "";
  private Curve curve;

  FootLine(Session session, CurveService service) {
    this.session = session;
    getStyleClass().add("foot");
    words.setId("foot");
    var space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    speed.getStyleClass().add("soft");
    words.setOnMouseClicked(e -> goToFirst());
    more.setId("foot-more");
    more.getStyleClass().addAll("flat", "small");
    more.setMinWidth(USE_PREF_SIZE);
    more.setOnAction(e -> list());
    Page.show(more, false);
    setSpacing(10);
    setAlignment(Pos.CENTER_LEFT);
    runs = new FootRuns(service.runs());
    getChildren().addAll(words, more, space, runs, speed);
    session.benchProperty().subscribe(b -> refresh(""));
    session.troubleProperty().subscribe(t -> refresh(said));
    session.refusalProperty().subscribe(t -> refresh(said));
    service
        .stateProperty()
        .subscribe(
            s -> {
              curve = s.curve();
              speed.setText(
                  curve == null
                      ? ""
                      : "%d speeds in %d ms".formatted(curve.points().size(), s.milliseconds()));
              refresh(said);
            });
  }

  /**
   * What bites comes first and is never cut for the rest: a run's words, and after them the time
   * the curve took, stand only where there is room for them as well.
   */
  @Override
  protected void layoutChildren() {
    double gap = getSpacing();
    double room = getWidth() - snappedLeftInset() - snappedRightInset() - words.prefWidth(-1) - gap;
    room -= more.isVisible() ? more.prefWidth(-1) + gap : 0;
    if (runs.isVisible()) {
      boolean narrow = runs.wholeWidth() + gap > room;
      runs.narrow(narrow);
      room -= narrow ? room : runs.wholeWidth() + gap;
    }
    Page.show(speed, speed.prefWidth(-1) + gap <= room);
    super.layoutChildren();
  }

  /** Told what is to be gone to. */
  void onOpen(Consumer<Bite> told) {
    open = told;
  }

  private void goToFirst() {
    if (!bites.isEmpty()) {
      open.accept(bites.getFirst());
    }
  }

  /** Shows a message until the next edit. */
  void say(String message) {
    refresh(message);
  }

  private void refresh(String message) {
    said = message;
    String trouble = session.troubleProperty().get();
    words.getStyleClass().removeAll("outside", "near");
    bites = List.of();
    if (trouble.isEmpty()) {
      trouble = session.refusalProperty().get();
    }
    if (!trouble.isEmpty()) {
      words.setText("✕ " + trouble);
      words.getStyleClass().add("outside");
    } else if (!message.isEmpty()) {
      words.setText(message);
    } else {
      words.setText(worst());
    }
    Page.show(more, bites.size() > 1);
    more.setText("and %d more".formatted(bites.size() - 1));
    words.setCursor(bites.isEmpty() ? Cursor.DEFAULT : Cursor.HAND);
  }

  private String worst() {
    bites = Bite.of(session, curve);
    if (!bites.isEmpty()) {
      words.getStyleClass().add("outside");
      return bites.getFirst().words();
    }
    return session.readings().all().isEmpty()
        ? "Nothing measured yet: every number is assumed or from a card"
        : "● Every clearance that has a band lies inside it";
  }

  /** All that bites, each gone to by a click. */
  private void list() {
    var menu = new ContextMenu();
    menu.setId("bites");
    for (var b : bites.stream().limit(MOST).toList()) {
      var item = new MenuItem(b.words());
      item.setOnAction(e -> open.accept(b));
      menu.getItems().add(item);
    }
    menu.show(more, Side.TOP, 0, 0);
  }
}
