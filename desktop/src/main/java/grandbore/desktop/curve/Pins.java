package grandbore.desktop.curve;

import grandbore.core.prediction.Curve;
import grandbore.desktop.controls.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;

/** The curves that are pinned to the chart, each a button that takes it away. */
final class Pins extends FlowPane {
  /** With the curve and the build laid over there are eight. */
  private static final List<String> LETTERS = List.of("A", "B", "C", "D", "E", "F");

  private final ReadOnlyObjectWrapper<List<Pinned>> pinned = new ReadOnlyObjectWrapper<>(List.of());
  private final Button button = Page.button("Pin", "curve-pin");

  Pins() {
    super(6, 2);
    setId("curve-pins");
    button.getStyleClass().add("small");
    button.setTooltip(
        new Tooltip("The curve as it is stays on the chart, to be held against what comes"));
    pinned.subscribe(p -> draw());
  }

  Button button() {
    return button;
  }

  ReadOnlyObjectProperty<List<Pinned>> changed() {
    return pinned.getReadOnlyProperty();
  }

  /** Pins a curve under the first letter that is free. */
  void add(String of, Curve curve) {
    var used = pinned.get().stream().map(Pinned::letter).toList();
    LETTERS.stream()
        .filter(l -> !used.contains(l))
        .findFirst()
        .ifPresent(
            letter ->
                pinned.set(
                    Stream.concat(pinned.get().stream(), Stream.of(new Pinned(letter, of, curve)))
                        .toList()));
  }

  private void draw() {
    var all = pinned.get();
    button.setDisable(all.size() == LETTERS.size());
    Page.show(this, !all.isEmpty());
    getChildren().setAll(all.stream().map(this::chip).toList());
  }

  private Button chip(Pinned pin) {
    var chip = Page.button("%s  %s  ×".formatted(pin.letter(), pin.of()), "pin-" + pin.letter());
    chip.getStyleClass().add("small");
    chip.setAccessibleText(
        "Take the curve %s, %s, off the chart".formatted(pin.letter(), pin.of()));
    chip.setOnAction(
        e -> {
          var left = new ArrayList<>(pinned.get());
          left.remove(pin);
          pinned.set(List.copyOf(left));
        });
    return chip;
  }
}
