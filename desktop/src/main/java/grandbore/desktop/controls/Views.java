package grandbore.desktop.controls;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Toggle;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.StackPane;

/** One of several views of a station, chosen by a row of buttons. */
public final class Views {
  private final ToggleGroup group = new ToggleGroup();
  private final Map<Toggle, Supplier<? extends Node>> makers = new HashMap<>();
  private final Map<Toggle, Node> made = new HashMap<>();
  private final FlowPane buttons = new FlowPane(4, 4);
  private final StackPane shown = new StackPane();
  private final ReadOnlyObjectWrapper<Node> chosen = new ReadOnlyObjectWrapper<>();

  public Views() {
    buttons.getStyleClass().add("views");
    buttons.getProperties().put(Views.class, this);
    shown.setAlignment(Pos.TOP_LEFT);
    group
        .selectedToggleProperty()
        .subscribe(
            t -> {
              if (t != null) {
                var view = made.computeIfAbsent(t, k -> makers.get(k).get());
                shown.getChildren().setAll(view);
                chosen.set(view);
              }
            });
  }

  /** Adds a view, made when it is first chosen; the first one is chosen. */
  public Views with(ViewName name, Supplier<? extends Node> view) {
    var button = new ToggleButton(name.title());
    button.setId(name.id());
    button.setToggleGroup(group);
    button.setOnAction(e -> button.setSelected(true));
    button.setMinWidth(javafx.scene.layout.Region.USE_PREF_SIZE);
    buttons.getChildren().add(button);
    makers.put(button, view);
    if (group.getSelectedToggle() == null) {
      group.selectToggle(button);
    }
    return this;
  }

  /** Shows the view of a name. */
  public void choose(ViewName name) {
    group.getToggles().stream()
        .filter(t -> t instanceof ToggleButton b && name.id().equals(b.getId()))
        .findFirst()
        .ifPresent(group::selectToggle);
  }

  /** The views that a page is made of; none where it has only one. */
  public static Optional<Views> in(Node page) {
    for (var node : page.lookupAll(".views")) {
      if (node.getProperties().get(Views.class) instanceof Views views) {
        return Optional.of(views);
      }
    }
    return Optional.empty();
  }

  /** Shows the first view in which something is found; as it was where it is in none. */
  public Optional<Node> reveal(Function<Node, Optional<Node>> find) {
    var before = group.getSelectedToggle();
    for (var toggle : group.getToggles()) {
      group.selectToggle(toggle);
      var found = find.apply(made.get(toggle));
      if (found.isPresent()) {
        return found;
      }
    }
    group.selectToggle(before);
    return Optional.empty();
  }

  public Node buttons() {
    return buttons;
  }

  public Node shown() {
    return shown;
  }

  /** The view that is seen. */
  public ReadOnlyObjectProperty<Node> chosenProperty() {
    return chosen.getReadOnlyProperty();
  }
}
