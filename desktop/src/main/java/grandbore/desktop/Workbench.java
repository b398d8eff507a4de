package grandbore.desktop;

import grandbore.book.ShopBook;
import grandbore.core.prediction.Curve;
import grandbore.core.runs.Desk;
import grandbore.core.units.Measure;
import grandbore.desktop.curve.CurvePane;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Beginning;
import grandbore.desktop.session.Session;
import grandbore.desktop.station.Pages;
import grandbore.desktop.station.Station;
import java.util.EnumMap;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The whole window: rail, the station's page, the curve and figures, the foot line. */
final class Workbench implements AutoCloseable {
  private static final double WIDTH = 1280;
  private static final double HEIGHT = 800;

  private final Session session;
  private final CurveService curves;
  private final Look look = new Look();
  private final Rail rail;
  private final Transfer transfer;
  private final Scene scene;
  private final Sheets sheets;
  private final Map<Station, Node> pages = new EnumMap<>(Station.class);

  Workbench(ShopBook book, Beginning beginning) {
    this(book, beginning, Desk::curve);
  }

  /**
   * @param solver what solves the curve
   */
  Workbench(ShopBook book, Beginning beginning, CurveService.Solver solver) {
    session = new Session(book, beginning);
    curves = new CurveService(session, solver);
    rail = new Rail(session);
    var foot = new FootLine(session, curves);
    transfer = new Transfer(session, () -> curves.stateProperty().get().curve(), foot::say);
    var curvePane = new CurvePane(session, curves, look);
    var make = new Pages(session, curves, curvePane.rpmProperty(), look);
    var scroll = new ScrollPane();
    scroll.setFitToWidth(true);
    scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
    scroll.getStyleClass().add("flat-scroll");
    // The skin keeps a picture of its content, which once outlived the page it showed.
    scroll
        .skinProperty()
        .subscribe(
            skin -> {
              if (skin != null) {
                scroll.lookup(".viewport").setCache(false);
              }
            });
    rail.chosenProperty()
        .subscribe(
            s -> {
              scroll.setContent(pages.computeIfAbsent(s, make::make));
              scroll.setVvalue(0);
            });
    var figures = new FiguresPane(session, rail.chosenProperty());
    VBox.setVgrow(curvePane, Priority.ALWAYS);
    figures.setMinHeight(190);
    figures.setPrefHeight(210);
    var right = new VBox(curvePane, figures);
    right.setPrefWidth(500);
    right.setMinWidth(400);
    right.getStyleClass().add("right");
    var root = new BorderPane(scroll);
    var both = new StackPane(root);
    sheets = new Sheets(session, root, both);
    root.setTop(new TopBar(session, look, transfer, sheets));
    root.setLeft(rail);
    root.setRight(right);
    root.setBottom(foot);
    root.getStyleClass().add("workbench");
    scene = new Scene(both, WIDTH, HEIGHT);
    look.dress(scene);
    keys();
    curves.curve().subscribe(this::keepPeak);
  }

  /** The list of builds shows what was predicted of each. */
  private void keepPeak(Curve curve) {
    if (curve != null) {
      curve.peakPower().ifPresent(p -> session.predicted(p.power(), Measure.RPM.toSi(p.rpm())));
    }
  }

  private void keys() {
    var keys = scene.getAccelerators();
    keys.put(new KeyCodeCombination(KeyCode.Z, KeyCombination.SHORTCUT_DOWN), session::undo);
    keys.put(new KeyCodeCombination(KeyCode.Y, KeyCombination.SHORTCUT_DOWN), session::redo);
    keys.put(new KeyCodeCombination(KeyCode.B, KeyCombination.SHORTCUT_DOWN), sheets::builds);
    keys.put(new KeyCodeCombination(KeyCode.N, KeyCombination.SHORTCUT_DOWN), sheets::fresh);
    KeyCode[] digits = {
      KeyCode.DIGIT1,
      KeyCode.DIGIT2,
      KeyCode.DIGIT3,
      KeyCode.DIGIT4,
      KeyCode.DIGIT5,
      KeyCode.DIGIT6,
      KeyCode.DIGIT7,
      KeyCode.DIGIT8
    };
    for (var s : Station.values()) {
      keys.put(
          new KeyCodeCombination(digits[s.ordinal()], KeyCombination.SHORTCUT_DOWN),
          () -> rail.choose(s));
    }
  }

  Scene scene() {
    return scene;
  }

  Session session() {
    return session;
  }

  CurveService curves() {
    return curves;
  }

  Rail rail() {
    return rail;
  }

  Look look() {
    return look;
  }

  Transfer transfer() {
    return transfer;
  }

  @Override
  public void close() {
    curves.close();
    session.close();
  }
}
