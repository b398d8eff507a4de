package grandbore.desktop.weighing;

import grandbore.core.combination.Specs;
import grandbore.desktop.controls.ShownAs;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;

/** Picks one input of the model: first its station, then its name. */
final class InputPicker {
  private final ComboBox<String> stations = new ComboBox<>();
  private final ComboBox<Specs.Field> inputs = new ComboBox<>();
  private final UnaryOperator<String> station;
  private final Consumer<Specs.Field> chosen;
  private boolean choosing;

  /**
   * @param id of the boxes: that and “-station”, that and “-input”
   * @param station names the station at which a group's inputs stand
   * @param chosen told what is picked by hand
   */
  InputPicker(String id, UnaryOperator<String> station, Consumer<Specs.Field> chosen) {
    this.station = station;
    this.chosen = chosen;
    stations.setId(id + "-station");
    stations.setAccessibleText("station of the input");
    stations
        .getItems()
        .setAll(Specs.fields().stream().map(f -> station.apply(f.group())).distinct().toList());
    stations.setOnAction(e -> chosenStation());
    inputs.setId(id + "-input");
    inputs.setAccessibleText("input");
    inputs.setConverter(ShownAs.of(f -> f.spec().label()));
    inputs.setOnAction(e -> chosenInput());
  }

  List<Node> boxes() {
    return List.of(stations, inputs);
  }

  /** The input that is picked. */
  Specs.Field picked() {
    return inputs.getValue();
  }

  /** Shows an input without telling of it. */
  void show(Specs.Field field) {
    choosing = true;
    stations.setValue(station.apply(field.group()));
    fields();
    inputs.setValue(field);
    choosing = false;
  }

  private void fields() {
    inputs
        .getItems()
        .setAll(
            Specs.fields().stream()
                .filter(f -> station.apply(f.group()).equals(stations.getValue()))
                .toList());
  }

  private void chosenStation() {
    if (!choosing && stations.getValue() != null) {
      choosing = true;
      fields();
      choosing = false;
      inputs.setValue(inputs.getItems().getFirst());
    }
  }

  private void chosenInput() {
    if (!choosing && inputs.getValue() != null) {
      chosen.accept(inputs.getValue());
    }
  }
}
