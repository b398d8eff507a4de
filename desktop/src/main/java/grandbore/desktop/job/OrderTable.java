package grandbore.desktop.job;

import grandbore.core.asked.Answer;
import grandbore.core.job.orders.OrderLine;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.AnswerTable;
import java.util.List;
import javafx.scene.layout.VBox;

/** The lines of a work order. */
final class OrderTable extends VBox {
  private final JobState state;

  OrderTable(JobState state) {
    this.state = state;
    setId("order-lines");
  }

  void show(WorkOrder order) {
    var rows = order.lines().stream().map(this::row).toList();
    getChildren()
        .setAll(
            new AnswerTable(
                new Answer.Table(
                    "what is to be done, from what was measured before",
                    List.of("Work", "Where", "Measured", "Wanted", "Either side", "Price"),
                    rows)));
  }

  private List<String> row(OrderLine l) {
    return List.of(
        l.operation().title() + (l.words().isBlank() ? "" : ": " + l.words()),
        l.isRead()
            ? l.reading().at(l.place(), l.side())
            : l.part().title().toLowerCase(java.util.Locale.ROOT),
        l.shown(l.from(), units()),
        l.shown(l.to(), units()),
        l.toleranceShown(units()),
        l.price() > 0 ? "%,.0f".formatted(l.price()) : "");
  }

  private UnitSystem units() {
    return state.session().build().units();
  }
}
