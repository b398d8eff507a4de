package grandbore.desktop;

import grandbore.desktop.controls.FigureRow;
import grandbore.desktop.session.Session;
import grandbore.desktop.station.Station;
import java.util.HashSet;
import java.util.Set;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The station's figures; each opens its working. */
final class FiguresPane extends VBox {
  private final Session session;
  private final ReadOnlyObjectProperty<Station> station;
  private final VBox list = new VBox();
  private final Set<String> open = new HashSet<>();

  FiguresPane(Session session, ReadOnlyObjectProperty<Station> station) {
    this.session = session;
    this.station = station;
    getStyleClass().add("figures");
    var title = new Label("Figures");
    title.getStyleClass().add("pane-title");
    var hint = new Label("a figure opens its working");
    hint.getStyleClass().add("soft");
    var head = new HBox(8, title, hint);
    head.setAlignment(Pos.BASELINE_LEFT);
    var scroll = new ScrollPane(list);
    scroll.setFitToWidth(true);
    scroll.getStyleClass().add("flat-scroll");
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(head, scroll);
    session.buildProperty().subscribe(b -> refresh());
    session.readingsProperty().subscribe(r -> refresh());
    station.subscribe(s -> refresh());
  }

  private void refresh() {
    list.getChildren().clear();
    for (var f : session.figures()) {
      if (station.get().figures().contains(f.name())) {
        list.getChildren().add(new FigureRow(f, session.build().units(), open));
      }
    }
  }
}
