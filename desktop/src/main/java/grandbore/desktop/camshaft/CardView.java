package grandbore.desktop.camshaft;

import grandbore.core.combination.Cam;
import grandbore.core.topend.CardReading;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Session;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** A cam card as printed, made into what the program reckons with; contradictions named. */
final class CardView extends VBox {
  private static final String[][] ROWS = {
    {"duration, seat to seat", "Seat"},
    {"duration at 0.020 in", "At20"},
    {"duration at 1 mm", "Millimetre"},
    {"duration at 0.050 in", "At50"},
    {"duration at 0.200 in", "At200"},
    {"opens, at 0.050 in", "Opens"},
    {"closes, at 0.050 in", "Closes"},
    {"centreline", "Centreline"},
    {"lobe lift", "Lobe"},
    {"valve lift, no lash", "Valve"}
  };

  private final Session session;
  private final CheckRows checks = new CheckRows();
  private final Label comes = new Label();
  private final Button take = new Button("Take the card");

  CardView(Session session) {
    super(10);
    this.session = session;
    var grid = new GridPane();
    grid.getStyleClass().add("input-grid");
    label(grid, 1, 0, "intake", "unit");
    label(grid, 2, 0, "exhaust", "unit");
    for (int i = 0; i < ROWS.length; i++) {
      label(grid, 0, i + 1, ROWS[i][0], "input-label");
      grid.add(new InputField(session, "camCard.intake" + ROWS[i][1]), 1, i + 1);
      grid.add(new InputField(session, "camCard.exhaust" + ROWS[i][1]), 2, i + 1);
    }
    label(grid, 0, ROWS.length + 1, "separation; advance", "input-label");
    grid.add(new InputField(session, "camCard.separation"), 1, ROWS.length + 1);
    grid.add(new InputField(session, "camCard.advance"), 2, ROWS.length + 1);
    comes.setId("card-comes");
    comes.setWrapText(true);
    take.setId("take-card");
    take.setOnAction(e -> take());
    getChildren()
        .addAll(
            Page.hint(
                "Type what the card states and leave the rest empty. Intake opens before top,"
                    + " closes after bottom; exhaust opens before bottom, closes after top; a minus"
                    + " where it is the other way. Nothing changes until the card is taken."),
            grid,
            comes,
            take,
            checks);
    WhenSeen.refresh(this, this::refresh, session.buildProperty());
  }

  private static void label(GridPane grid, int column, int row, String words, String style) {
    var label = new Label(words);
    label.getStyleClass().add(style);
    label.setMinWidth(USE_PREF_SIZE);
    grid.add(label, column, row);
  }

  private Optional<CardReading.Read> read() {
    try {
      return CardReading.of(session.build());
    } catch (IllegalArgumentException e) {
      comes.setText("✕ The card can't be: " + e.getMessage());
      return Optional.empty();
    }
  }

  private void refresh() {
    comes.setText("The card says nothing yet.");
    var read = read();
    take.setDisable(read.isEmpty());
    checks.show(read.map(CardReading.Read::checks).orElse(java.util.List.of()));
    read.ifPresent(r -> comes.setText(words(r.cam())));
  }

  private String words(Cam cam) {
    var units = session.build().units();
    return String.format(
        Locale.US,
        "It comes to: intake %s at 0.050 (%s seat to seat), exhaust %s (%s), lobes %s and %s,"
            + " separation %s, intake centreline %s, exhaust %s.",
        Quantity.ANGLE.show(cam.intakeDuration().si(), units),
        Quantity.ANGLE.show(cam.intakeSeat().si(), units),
        Quantity.ANGLE.show(cam.exhaustDuration().si(), units),
        Quantity.ANGLE.show(cam.exhaustSeat().si(), units),
        Quantity.LENGTH.show(cam.intakeLobeLift().si(), units),
        Quantity.LENGTH.show(cam.exhaustLobeLift().si(), units),
        Quantity.ANGLE.show(cam.separation().si(), units),
        Quantity.ANGLE.show(cam.intakeCentreline().si(), units),
        Quantity.ANGLE.show(cam.exhaustCentreline(), units));
  }

  private void take() {
    read()
        .ifPresent(
            r -> session.edit("Cam card", b -> b.with(b.combination().with((Record) r.cam()))));
  }
}
