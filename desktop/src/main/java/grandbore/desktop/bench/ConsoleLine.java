package grandbore.desktop.bench;

import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Session;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Starts the simulated instruments and tells them what to do, to rehearse a measurement. */
final class ConsoleLine extends VBox {
  ConsoleLine(Session session, Instruments instruments) {
    super(4);
    var start = new Button("Rehearse with simulated instruments");
    start.setId("rehearse");
    start.setMinWidth(USE_PREF_SIZE);
    var line = Page.words("console", "turn 10; help lists the rest", 28);
    var answer = new Label();
    answer.setId("console-answer");
    answer.setWrapText(true);
    answer.getStyleClass().add("soft");
    line.setOnAction(
        e -> {
          answer.setText(instruments.say(line.getText()));
          line.selectAll();
        });
    start.setOnAction(
        e -> {
          instruments.simulate(session.build());
          answer.setText(instruments.statusProperty().get());
          line.requestFocus();
        });
    var row = new FlowPane(8, 4, start, line);
    row.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(row, answer);
  }
}
