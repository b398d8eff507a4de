package grandbore.desktop.results;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.Locale;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;

/** Idle and cranking in words and numbers. */
final class SlowPane extends VBox {
  private static final double BRAKE_LEAST = 10 * 3386.389;
  private static final double BRAKE_MORE = 12 * 3386.389;

  SlowPane() {
    super(8);
    setId("slow-results");
  }

  void show(ResultService.Slow slow, double idleSpeed, UnitSystem units) {
    getChildren().clear();
    var gauge =
        units == UnitSystem.US
            ? grandbore.core.units.Measure.PSI
            : grandbore.core.units.Measure.BAR;
    String pattern = units == UnitSystem.US ? "%.0f" : "%.1f";
    say(
        "Compression test, warm, throttle open, 200 rpm: "
            + slow.compression().stream()
                .map(p -> String.format(Locale.US, pattern, gauge.fromSi(p)))
                .collect(Collectors.joining("  "))
            + " "
            + gauge.symbol()
            + ", cylinder 1 first. Tight valves and rings are taken for granted: a gauge reads less"
            + " by what leaks and by the volume of its hose.");
    if (slow.idle().isEmpty()) {
      say(
          "Idle: none to tell. Either every runner has its own throttle, so that there is no common"
              + " vacuum, or no throttle opening holds %,.0f rpm.".formatted(idleSpeed));
      return;
    }
    var idle = slow.idle().get();
    say(
        "Idle at %,.0f rpm: manifold vacuum %s, throttle open by %.1f %% of its area, %.0f %% burned gas in the charge%s."
            .formatted(
                idle.rpm(),
                Quantity.PRESSURE.show(idle.vacuum(), units),
                100 * idle.throttle(),
                100 * idle.residual(),
                idle.steady() ? "" : ": it will idle rough"));
    String brakes =
        idle.vacuum() >= BRAKE_MORE
            ? "enough by both schools"
            : idle.vacuum() >= BRAKE_LEAST
                ? "enough by one school, not by the other"
                : "too little";
    say(
        "Power brakes want 10 inHg by one school and 12 by the other (common practice): "
            + brakes
            + ".");
  }

  private void say(String words) {
    var label = new Label(words);
    label.setWrapText(true);
    getChildren().add(label);
  }
}
