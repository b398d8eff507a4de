package grandbore.desktop;

import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Session;
import grandbore.desktop.station.Station;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.javafx.FontIcon;

/** The stations in the trade's order, each with how much of it is measured. */
final class Rail extends VBox {
  private final ReadOnlyObjectWrapper<Station> chosen = new ReadOnlyObjectWrapper<>(Station.ENGINE);
  private final Map<Station, Label> measured = new EnumMap<>(Station.class);
  private final BooleanProperty narrow = new SimpleBooleanProperty(false);
  private final Runnable recount;
  private final Map<Station, ToggleButton> buttons = new EnumMap<>(Station.class);

  Rail(Session session) {
    getStyleClass().add("rail");
    var group = new ToggleGroup();
    for (var s : Station.values()) {
      var name = new Label(s.title());
      name.getStyleClass().add("rail-name");
      var count = new Label();
      count.getStyleClass().add("rail-count");
      measured.put(s, count);
      var icon = new FontIcon(s.icon());
      icon.setIconSize(20);
      var button = new ToggleButton();
      narrow.subscribe(is -> name.setText(is ? s.brief() : s.title()));
      narrow.subscribe(
          is -> button.setGraphic(is ? above(icon, name, count) : beside(icon, name, count)));
      button.setId("station-" + s.name().toLowerCase(Locale.ROOT));
      button.setAccessibleText(s.title());
      button.setToggleGroup(group);
      button.setMaxWidth(Double.MAX_VALUE);
      button.setSelected(s == chosen.get());
      button.setOnAction(
          e -> {
            button.setSelected(true);
            chosen.set(s);
          });
      buttons.put(s, button);
      getChildren().add(button);
    }
    recount = () -> count(session);
    session.buildProperty().subscribe(b -> count(session));
    session.readingsProperty().subscribe(r -> count(session));
  }

  private static Node beside(Node icon, Label name, Label count) {
    var box = new HBox(10, icon, new VBox(1, name, count));
    box.setAlignment(Pos.CENTER_LEFT);
    return box;
  }

  private static Node above(Node icon, Label name, Label count) {
    var box = new VBox(1, icon, name, count);
    box.setAlignment(Pos.CENTER);
    return box;
  }

  /** Narrow, names stand under their icons. */
  void narrow(boolean is) {
    getStyleClass().remove("narrow");
    if (is) {
      getStyleClass().add("narrow");
    }
    narrow.set(is);
    recount.run();
  }

  private void count(Session session) {
    measured.forEach(
        (s, label) -> {
          label.setText(
              s.measured(
                  session.build(),
                  session.readings(),
                  session.engine().combination(),
                  narrow.get()));
          Page.show(label, !label.getText().isEmpty());
        });
  }

  ReadOnlyObjectProperty<Station> chosenProperty() {
    return chosen.getReadOnlyProperty();
  }

  void choose(Station s) {
    buttons.get(s).fire();
  }
}
