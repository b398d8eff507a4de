package grandbore.desktop;

import grandbore.core.working.Figure;
import grandbore.core.working.Figures;
import grandbore.desktop.controls.ProvenanceMark;
import grandbore.desktop.session.Session;
import grandbore.desktop.station.Station;
import java.util.HashSet;
import java.util.Set;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
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
    for (var f : Figures.of(session.build(), session.readings())) {
      if (station.get().figures().contains(f.name())) {
        list.getChildren().add(row(f));
      }
    }
  }

  private Node row(Figure f) {
    var units = session.build().units();
    var mark = new ProvenanceMark();
    mark.show(f.provenance());
    var name = new Label(f.label());
    var space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    var value = new Label(f.quantity().show(f.si(), units));
    value.getStyleClass().add("number");
    value.setId("figure-" + f.name());
    var line = new HBox(6, mark, name, space, value);
    line.setAlignment(Pos.CENTER_LEFT);
    var button = new Button();
    button.setGraphic(line);
    button.setId("open-" + f.name());
    button.setAccessibleText(f.label() + " " + value.getText());
    button.getStyleClass().add("figure-button");
    button.setMaxWidth(Double.MAX_VALUE);
    line.prefWidthProperty().bind(button.widthProperty().subtract(18));
    var working = new Label("%s%n= %s%n%s".formatted(f.formula(), f.putIn(), f.source()));
    working.setId("working-" + f.name());
    working.setWrapText(true);
    working.getStyleClass().add("working");
    var box = new VBox(button);
    if (open.contains(f.name())) {
      box.getChildren().add(working);
    }
    button.setOnAction(
        e -> {
          if (open.remove(f.name())) {
            box.getChildren().remove(working);
          } else {
            open.add(f.name());
            box.getChildren().add(working);
          }
        });
    return box;
  }
}
