package grandbore.desktop;

import grandbore.book.Summary;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Bench;
import grandbore.desktop.session.Session;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignE;
import org.kordamp.ikonli.materialdesign2.MaterialDesignF;
import org.kordamp.ikonli.materialdesign2.MaterialDesignI;
import org.kordamp.ikonli.materialdesign2.MaterialDesignP;
import org.kordamp.ikonli.materialdesign2.MaterialDesignR;
import org.kordamp.ikonli.materialdesign2.MaterialDesignT;
import org.kordamp.ikonli.materialdesign2.MaterialDesignU;

/** Which build, in which units, and the way back. */
final class TopBar extends HBox {
  /** Narrower windows go without the name, their buttons closer together. */
  private static final double NAMED = 1000;

  private boolean filling;

  TopBar(Session session, Look look, Transfer transfer, Sheets sheets) {
    getStyleClass().add("top-bar");
    setAlignment(Pos.CENTER_LEFT);
    setSpacing(4);
    var name = new Label("GRAND BORE");
    name.getStyleClass().add("wordmark");
    name.setMinWidth(USE_PREF_SIZE);
    widthProperty()
        .subscribe(
            w -> {
              boolean wide = w.doubleValue() >= NAMED;
              Page.show(name, wide);
              getStyleClass().remove("narrow");
              if (!wide) {
                getStyleClass().add("narrow");
              }
            });
    var builds = new ComboBox<Choice>();
    builds.setId("builds");
    builds.setAccessibleText("build");
    builds.getStyleClass().add("build-choice");
    builds.setConverter(ShownAs.of("", Choice::name));
    builds.setCellFactory(list -> new BuildCell());
    session.books().buildsProperty().subscribe(all -> fill(builds, session));
    session.benchProperty().map(Bench::id).subscribe(id -> fill(builds, session));
    builds.setOnShowing(
        e -> {
          var _ = session.books().refresh();
        });
    builds
        .valueProperty()
        .subscribe(
            e -> {
              if (!filling && e != null && e.id() != session.id()) {
                var _ = session.open(e.id()).thenRun(() -> fill(builds, session));
              }
            });
    var over = new ComboBox<Choice>();
    over.setId("lay-over");
    over.setAccessibleText("lay another build over this one");
    over.getStyleClass().add("over-choice");
    over.setConverter(ShownAs.of("nothing laid over", Choice::name));
    over.setOnShowing(e -> others(over, session));
    others(over, session);
    over.valueProperty()
        .subscribe(
            e -> {
              if (!filling && e != null) {
                session.layOver(e.id());
              }
            });
    session.overProperty().subscribe(o -> others(over, session));
    var undo = icon("undo", "Undo (Ctrl+Z)", MaterialDesignU.UNDO);
    undo.setOnAction(e -> session.undo());
    var redo = icon("redo", "Redo (Ctrl+Y)", MaterialDesignR.REDO);
    redo.setOnAction(e -> session.redo());
    var units = new Button();
    units.setId("units");
    units.setMinWidth(USE_PREF_SIZE);
    units.setTooltip(new Tooltip("Units of this build; any field takes either"));
    units.setOnAction(e -> session.turnUnits());
    session
        .buildProperty()
        .subscribe(b -> units.setText(b.units() == UnitSystem.US ? "US units" : "Metric units"));
    var theme = icon("theme", "Light or dark (Ctrl+L)", MaterialDesignT.THEME_LIGHT_DARK);
    theme.setOnAction(e -> look.turn());
    var size =
        icon("text-size", "Text: normal, large, bench (Ctrl+T)", MaterialDesignF.FORMAT_SIZE);
    size.setOnAction(e -> look.nextText());
    var bring = icon("import", "Bring in a build document", MaterialDesignI.IMPORT);
    bring.setOnAction(e -> transfer.bringIn(getScene().getWindow()));
    var send =
        icon("export", "Build document, curve or flow sheets to a file", MaterialDesignE.EXPORT);
    send.setOnAction(e -> transfer.sendOut(getScene().getWindow()));
    var another = icon("copy", "Copy this build under a name", MaterialDesignC.CONTENT_COPY);
    another.setOnAction(e -> sheets.copy());
    var list = icon("builds-list", "All builds (Ctrl+B)", MaterialDesignF.FORMAT_LIST_BULLETED);
    list.setOnAction(e -> sheets.builds());
    var fresh = icon("new", "New build (Ctrl+N)", MaterialDesignP.PLUS);
    fresh.setOnAction(e -> sheets.fresh());
    var space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    getChildren()
        .addAll(
            name, builds, list, fresh, another, over, undo, redo, space, units, bring, send, size,
            theme);
  }

  /** A build that can be chosen. */
  private record Choice(long id, String name, String details) {
    static Choice of(Summary s, UnitSystem units) {
      if (!s.isSound()) {
        return new Choice(s.id(), "▲ " + s.name() + ", can't be opened", s.trouble());
      }
      String power = s.power() > 0 ? ", " + Quantity.POWER.show(s.power(), units) : "";
      return new Choice(
          s.id(),
          s.name(),
          "%s, %s%s\n%d readings, %s"
              .formatted(
                  s.layout(),
                  Quantity.DISPLACEMENT.show(s.displacement(), units),
                  power,
                  s.readings(),
                  s.touched().toString().substring(0, 10)));
    }
  }

  /** A build in the open list: its name, and below it what it is. */
  private static final class BuildCell extends ListCell<Choice> {
    @Override
    protected void updateItem(Choice choice, boolean empty) {
      super.updateItem(choice, empty);
      if (empty || choice == null) {
        setGraphic(null);
        return;
      }
      var details = new Label(choice.details());
      details.getStyleClass().add("unit");
      setGraphic(new VBox(1, new Label(choice.name()), details));
    }
  }

  private static List<Choice> choices(Session session) {
    return session.books().builds().stream()
        .filter(s -> s.place() == Summary.Place.BENCH || s.id() == session.id())
        .map(s -> Choice.of(s, session.build().units()))
        .toList();
  }

  /** The builds that can be laid over, and nothing. */
  private void others(ComboBox<Choice> over, Session session) {
    filling = true;
    var nothing = new Choice(-1, "nothing laid over", "");
    over.getItems().setAll(nothing);
    choices(session).stream().filter(b -> b.id() != session.id()).forEach(over.getItems()::add);
    var laid = session.overProperty().get();
    over.setValue(
        over.getItems().stream()
            .filter(b -> laid != null && b.id() == laid.id())
            .findFirst()
            .orElse(nothing));
    filling = false;
  }

  private void fill(ComboBox<Choice> builds, Session session) {
    filling = true;
    builds.getItems().setAll(choices(session));
    builds.getItems().stream()
        .filter(b -> b.id() == session.id())
        .findFirst()
        .ifPresent(builds::setValue);
    filling = false;
  }

  private static Button icon(String id, String tip, Ikon ikon) {
    var button = new Button();
    var icon = new FontIcon(ikon);
    icon.setIconSize(18);
    button.setGraphic(icon);
    button.setId(id);
    button.setAccessibleText(tip);
    button.setTooltip(new Tooltip(tip));
    button.getStyleClass().add("flat");
    return button;
  }
}
