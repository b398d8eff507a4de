package grandbore.desktop.dyno;

import grandbore.core.dyno.Channel;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One number that is read from three metres, with its alarm by shape and word. */
final class Gauge extends VBox {
  /** When a number is no longer good. */
  interface Alarm {
    /** Why, in two or three words; empty where all is well. */
    String of(double value, double rpm);
  }

  private final Channel channel;
  private final Alarm alarm;
  private final Label numeral = new Label("–");
  private final Label unit = new Label();
  private final Label word = new Label();
  private boolean alarmed;

  Gauge(Channel channel, Alarm alarm) {
    super(0);
    this.channel = channel;
    this.alarm = alarm;
    setId("gauge-" + channel.word().replace('_', '-'));
    getStyleClass().add("gauge");
    setAlignment(javafx.geometry.Pos.CENTER_LEFT);
    var name = new Label(channel.label());
    name.getStyleClass().add("gauge-name");
    numeral.getStyleClass().addAll("numeral", "gauge-numeral");
    numeral.setId(getId() + "-value");
    numeral.setMinWidth(Region.USE_PREF_SIZE);
    unit.getStyleClass().add("gauge-name");
    word.getStyleClass().add("gauge-word");
    word.setId(getId() + "-alarm");
    getChildren().addAll(name, numeral, unit, word);
  }

  /**
   * @param pixels height of the numeral
   */
  void size(double pixels) {
    numeral.setStyle("-fx-font-size: %.0fpx".formatted(pixels));
    word.setStyle("-fx-font-size: %.0fpx".formatted(Math.max(14, 0.3 * pixels)));
  }

  Channel channel() {
    return channel;
  }

  /** Whether it is not good. */
  boolean isAlarmed() {
    return alarmed;
  }

  /**
   * @param value SI, the speed in rev/min
   */
  void show(double value, double rpm, UnitSystem units) {
    boolean speed = channel == Channel.RPM;
    Quantity q = channel.quantity();
    String text =
        Double.isNaN(value) ? "–" : speed ? "%,.0f".formatted(value) : q.number(value, units);
    if (!text.equals(numeral.getText())) {
      numeral.setText(text);
    }
    unit.setText(speed ? "rpm" : q.unit(units).symbol());
    String why = Double.isNaN(value) ? "" : alarm.of(value, rpm);
    if (alarmed != !why.isEmpty()) {
      alarmed = !why.isEmpty();
      getStyleClass().remove("alarmed");
      if (alarmed) {
        getStyleClass().add("alarmed");
      }
    }
    String said = why.isEmpty() ? " " : "▲ " + why;
    if (!said.equals(word.getText())) {
      word.setText(said);
    }
  }
}
