package grandbore.desktop;

import grandbore.book.ShopBook;
import grandbore.core.prediction.Curve;
import grandbore.core.runs.Desk;
import grandbore.core.units.Measure;
import grandbore.desktop.composition.Composition;
import grandbore.desktop.composition.WindowMemory;
import grandbore.desktop.controls.FillsPage;
import grandbore.desktop.curve.CurvePane;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.find.Command;
import grandbore.desktop.find.Findable;
import grandbore.desktop.help.HelpPage;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Beginning;
import grandbore.desktop.session.Session;
import grandbore.desktop.station.Pages;
import grandbore.desktop.station.Station;
import grandbore.desktop.station.WantsLine;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextInputControl;
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
  private final Led led;
  private final FiguresPane figures;
  private final List<Command> commands;
  private final Findable findable;
  private final Composition composition;
  private final WindowMemory memory;
  private final Map<Station, Node> pages = new EnumMap<>(Station.class);
  private final Pages make;

  Workbench(ShopBook book, Beginning beginning) {
    this(book, beginning, Desk::curve);
  }

  /**
   * @param solver what solves the curve
   */
  Workbench(ShopBook book, Beginning beginning, CurveService.Solver solver) {
    session = new Session(book, beginning);
    memory =
        new WindowMemory(
            Optional.of(book.path().resolveSibling(book.path().getFileName() + ".window")));
    curves = new CurveService(session, solver);
    rail = new Rail(session);
    var foot = new FootLine(session, curves);
    transfer = new Transfer(session, () -> curves.stateProperty().get().curve(), foot::say);
    var curvePane = new CurvePane(session, curves, look);
    curvePane.put(new WantsLine(session, curves, () -> rail.choose(Station.BRIEF)));
    var frame = new StackPane();
    var both = new StackPane(frame);
    sheets = new Sheets(session, look, frame, both);
    var scroll = new ScrollPane();
    var guide = new Guide(rail, this::page, scroll, foot::say);
    make = new Pages(session, curves, curvePane.rpmProperty(), look, rail::choose, sheets, guide);
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
              var page = page(s);
              scroll.setFitToHeight(page instanceof FillsPage);
              scroll.setContent(page);
              scroll.setVvalue(0);
            });
    figures = new FiguresPane(session, rail.chosenProperty());
    VBox.setVgrow(curvePane, Priority.ALWAYS);
    figures.setMinHeight(190);
    figures.setPrefHeight(210);
    var right = new VBox(curvePane, figures);
    right.getStyleClass().add("right");
    led = new Led(session, curves, rail::choose);
    sheets.led(led::begin);
    var bar = new VBox(new TopBar(session, look, transfer, sheets), led);
    composition = new Composition(bar, rail, scroll, right, foot, "curve");
    frame.getChildren().add(composition);
    composition.narrowProperty().subscribe(rail::narrow);
    scene = new Scene(both, WIDTH, HEIGHT);
    look.dress(scene);
    remember();
    foot.onOpen(
        b -> {
          b.reading().ifPresent(guide::toReading);
          b.station().ifPresent(rail::choose);
        });
    InputMenu.on(scene, guide);
    commands = commands(guide);
    findable =
        new Findable(
            session,
            commands,
            guide::toInput,
            guide::toReading,
            guide::toOwn,
            rail::choose,
            guide::toView,
            sheets::help);
    keys();
    curves.curve().subscribe(this::keepPeak);
  }

  private Node page(Station station) {
    return pages.computeIfAbsent(station, make::make);
  }

  /** The list of builds shows what was predicted of each. */
  private void keepPeak(Curve curve) {
    if (curve != null) {
      curve.peakPower().ifPresent(p -> session.predicted(p.power(), Measure.RPM.toSi(p.rpm())));
    }
  }

  /** The window looks as it did last. */
  private void remember() {
    var kept = memory.read();
    look.themeProperty().set(kept.theme());
    look.textProperty().set(kept.text());
    composition.sideProperty().set(kept.side());
  }

  private void keys() {
    for (var c : commands) {
      c.key().ifPresent(key -> scene.getAccelerators().put(key, c.act()));
    }
  }

  /** All that a key does, and what can be found by its name. */
  private List<Command> commands(Guide guide) {
    var all = new ArrayList<Command>();
    all.add(Command.of("Find anything", "Shortcut+K", () -> sheets.find(findable::all)));
    all.add(
        Command.of(
            "Help for what is shown",
            "F1",
            () -> sheets.help(HelpPage.of(rail.chosenProperty().get()), "")));
    all.add(Command.of("All keys", "Shift+F1", () -> sheets.keys(commands)));
    all.add(Command.of("Undo", "Shortcut+Z", session::undo));
    all.add(Command.of("Redo", "Shortcut+Y", session::redo));
    all.add(Command.of("New build", "Shortcut+N", sheets::fresh));
    all.add(Command.of("Be led through this build", "", led::begin));
    all.add(Command.of("All builds", "Shortcut+B", sheets::builds));
    all.add(Command.of("Copy this build", "Shortcut+D", sheets::copy));
    all.add(Command.of("Solve every cylinder", "Shortcut+Enter", curves::full));
    all.add(Command.of("Curve to a strip, and back", "Shortcut+0", composition::toggleStrip));
    all.add(Command.of("Curve over the whole window", "F11", composition::toggleWhole));
    all.add(Command.of("Text: normal, large, bench", "Shortcut+T", look::nextText));
    all.add(Command.of("Light or dark", "Shortcut+L", look::turn));
    all.add(Command.of("US or metric units", "Shortcut+U", session::turnUnits));
    all.add(
        Command.of(
            "Sweep this input", "Shortcut+Shift+W", () -> guide.toSweep(scene.getFocusOwner())));
    for (var s : Station.values()) {
      all.add(Command.of("Station: " + s.title(), s.key(), () -> rail.choose(s)));
    }
    return List.copyOf(all);
  }

  /** Leads through the build on the bench. */
  void lead() {
    led.begin();
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

  /** Opens the field that finds anything, with these words in it. */
  void find(String words) {
    sheets.close();
    sheets.find(findable::all);
    ((TextInputControl) scene.lookup("#find-text")).setText(words);
  }

  void closeSheet() {
    sheets.close();
  }

  Findable findable() {
    return findable;
  }

  FiguresPane figures() {
    return figures;
  }

  Composition composition() {
    return composition;
  }

  Look look() {
    return look;
  }

  Transfer transfer() {
    return transfer;
  }

  @Override
  public void close() {
    memory.write(
        new WindowMemory.Memory(
            composition.sideProperty().get(),
            look.textProperty().get(),
            look.themeProperty().get()));
    curves.close();
    session.close();
  }
}
