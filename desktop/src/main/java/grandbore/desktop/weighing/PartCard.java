package grandbore.desktop.weighing;

import grandbore.book.Pictures;
import grandbore.core.changes.Difference;
import grandbore.core.shelf.Part;
import grandbore.core.shelf.PartState;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.controls.Words;
import grandbore.desktop.session.Session;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** One part of the shop: what it is, where it is, what it sets, and what may be done with it. */
public final class PartCard extends VBox {
  private static final double PICTURE = 110;

  /** What is said of a part in one line; the rest is in its form. */
  private static final int SAID = 6;

  /** What a card asks for. */
  interface Hands {
    void intoLadder(Part part);

    void onTheEngine(Part part);

    void edit(Part part);

    void put(Part part);

    void remove(Part part);

    void trouble(String why);
  }

  private final Part part;
  private final Session session;
  private final Hands hands;

  /**
   * @param refused why it does not fit the engine on the bench, empty where it does
   */
  PartCard(Part part, Session session, String refused, Hands hands) {
    super(4);
    this.part = part;
    this.session = session;
    this.hands = hands;
    setId("part-" + part.number());
    getStyleClass().add("group");
    getChildren().addAll(head(), sets(session.build().units()));
    if (!part.condition().isBlank()) {
      getChildren().add(Page.hint(part.condition()));
    }
    if (!part.change().needs().isEmpty()) {
      getChildren().add(Page.hint("Needs " + String.join(", ", part.change().needs())));
    }
    if (!refused.isEmpty()) {
      var why = new Label("✕ " + refused);
      why.getStyleClass().add("refusal");
      why.setWrapText(true);
      getChildren().add(why);
    }
    if (!part.pictures().isEmpty()) {
      getChildren().add(pictures());
    }
    getChildren().add(buttons(!refused.isEmpty()));
  }

  private Node head() {
    var name = new Label(part.name());
    name.getStyleClass().add("pane-title");
    name.setWrapText(true);
    HBox.setHgrow(name, Priority.ALWAYS);
    name.setMaxWidth(Double.MAX_VALUE);
    var number = new Label("%s, %s".formatted(part.number(), part.kind().title()));
    number.getStyleClass().add("soft");
    number.setMinWidth(Region.USE_PREF_SIZE);
    var cost = part.change().cost();
    var price = new Label(String.format(Locale.US, "%,.0f", cost.money()));
    price.getStyleClass().add("number-small");
    price.setMinWidth(Region.USE_PREF_SIZE);
    price.setAccessibleText("price with outside labour");
    var state = new ComboBox<PartState>();
    state.getItems().setAll(PartState.values());
    state.setConverter(ShownAs.of(PartState::title));
    state.setValue(part.state());
    state.setId("part-state-" + part.number());
    state.setAccessibleText("where " + part.name() + " is");
    state.setMinWidth(Region.USE_PREF_SIZE);
    state.setOnAction(e -> hands.put(part.in(state.getValue())));
    var row = new HBox(10, name, number, price, state);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private Label sets(UnitSystem units) {
    var all = part.change().sets();
    String some =
        all.entrySet().stream()
            .limit(SAID)
            .map(
                e ->
                    "%s %s"
                        .formatted(
                            new Difference(e.getKey(), List.of()).label().toLowerCase(Locale.ROOT),
                            Words.value(e.getValue(), units)))
            .collect(Collectors.joining(", "));
    var label =
        new Label(all.size() > SAID ? "%s and %d more".formatted(some, all.size() - SAID) : some);
    label.setWrapText(true);
    return label;
  }

  private Node buttons(boolean refused) {
    var ladder = small("Onto the ladder", "part-ladder-", () -> hands.intoLadder(part));
    var on = small("Onto the engine", "part-on-", () -> hands.onTheEngine(part));
    ladder.setDisable(part.state().isGone());
    on.setDisable(refused || part.state().isGone());
    var row =
        new FlowPane(
            4,
            4,
            ladder,
            on,
            small("Edit", "part-edit-", () -> hands.edit(part)),
            small("Attach a picture", "part-picture-", this::choose),
            small("Take it off the shelf", "part-away-", () -> hands.remove(part)));
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private Button small(String words, String id, Runnable does) {
    var button = Page.button(words, id + part.number());
    button.getStyleClass().addAll("flat", "small");
    button.setAccessibleText(words + ": " + part.name());
    button.setOnAction(e -> does.run());
    return button;
  }

  private void choose() {
    var chooser = new FileChooser();
    chooser
        .getExtensionFilters()
        .add(new FileChooser.ExtensionFilter("Pictures", "*.png", "*.jpg", "*.jpeg"));
    var file = chooser.showOpenDialog(getScene().getWindow());
    if (file != null) {
      attach(file.toPath());
    }
  }

  /** Keeps a picture of it beside the book. */
  public void attach(Path picture) {
    try {
      hands.put(part.with(Pictures.attach(picture, session.books().pictures(), "")));
    } catch (IOException | IllegalArgumentException e) {
      hands.trouble(picture.getFileName() + " could not be attached: " + e.getMessage());
    }
  }

  private Node pictures() {
    var row = new FlowPane(6, 6);
    var folder = session.books().pictures();
    for (var photo : part.pictures()) {
      var wrong = Pictures.trouble(folder, photo);
      if (wrong.isPresent()) {
        row.getChildren().add(Page.hint(photo.caption() + ": " + wrong.get()));
      } else {
        var uri = folder.resolve(photo.file()).toUri().toString();
        var view = new ImageView(new Image(uri, PICTURE, 0, true, true, true));
        view.setAccessibleText(photo.caption());
        row.getChildren().add(view);
      }
    }
    return row;
  }
}
