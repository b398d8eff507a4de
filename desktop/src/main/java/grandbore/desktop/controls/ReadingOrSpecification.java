package grandbore.desktop.controls;

import grandbore.core.build.MeasuredBy;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Taken;
import grandbore.core.combination.Given;
import grandbore.core.combination.Specs;
import grandbore.desktop.session.Session;
import java.time.Instant;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * Asks what a number is that was typed where readings stand: one more reading of a place, or
 * another specification that the readings go on to override.
 */
final class ReadingOrSpecification extends VBox {
  private final Session session;
  private final Specs.Field field;
  private final Label question = new Label();
  private final ComboBox<Integer> place = new ComboBox<>();
  private final HBox asReading;
  private Given wanted;

  ReadingOrSpecification(Session session, Specs.Field field, String id) {
    super(3);
    this.session = session;
    this.field = field;
    getStyleClass().add("ask");
    setId(id + "-ask");
    question.setWrapText(true);
    question.setMaxWidth(158);
    place.setId(id + "-place");
    place.setPrefWidth(60);
    place.getItems().add(1);
    place.setValue(1);
    var reading = Page.button("A reading at", id + "-as-reading");
    reading.setOnAction(e -> read());
    var specification = Page.button("The specification", id + "-as-specified");
    specification.setOnAction(e -> specify());
    asReading = new HBox(4, reading, place);
    getChildren().addAll(question, asReading, specification);
    setManaged(false);
    close();
  }

  /** Shows the question for a number. */
  void ask(Given typed) {
    wanted = typed;
    var units = session.build().units();
    boolean direct = MeasuredBy.of(field.path()).filter(MeasuredBy::direct).isPresent();
    question.setText(
        "%s stands as it was read. %s is:"
            .formatted(field.spec().label(), typed.quantity().show(typed.si(), units)));
    if (direct) {
      int places = session.ledger().places(by().measurement());
      place.getItems().clear();
      for (int p = 1; p <= places; p++) {
        place.getItems().add(p);
      }
      place.setValue(1);
    }
    asReading.setVisible(direct);
    asReading.setManaged(direct);
    setVisible(true);
    // Over whatever stands beside the field, on a drawing or in a grid.
    getParent().setViewOrder(-1);
    getParent().requestLayout();
  }

  void close() {
    setVisible(false);
    if (getParent() != null) {
      getParent().setViewOrder(0);
    }
  }

  private MeasuredBy by() {
    return MeasuredBy.of(field.path()).orElseThrow();
  }

  private void read() {
    var by = by();
    try {
      session.read(
          new Reading(
              0,
              by.measurement(),
              place.getValue(),
              by.sides().getFirst(),
              wanted.si(),
              new Taken("", "", wanted.typed(), 0, 0, 0, "", Instant.now()),
              false));
      close();
    } catch (IllegalArgumentException e) {
      session.refuse(e.getMessage());
    }
  }

  private void specify() {
    try {
      session.put(field, wanted);
      close();
    } catch (IllegalArgumentException e) {
      session.refuse(e.getMessage());
    }
  }
}
