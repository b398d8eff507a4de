package grandbore.desktop.job;

import grandbore.book.JobJson;
import grandbore.book.JobSheet;
import grandbore.book.TextFile;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.Reading;
import grandbore.core.job.orders.OrderReturn;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.parts.ItemState;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.controls.Words;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Work orders: written from what was measured, sent, and judged when they come back. */
public final class OrdersView extends VBox {
  private final JobState state;
  private final FlowPane list = new FlowPane(6, 6);
  private final VBox shown = new VBox(8);
  private final Label head = Page.part("");
  private final Label dates = Page.hint("");
  private final OrderTable lines;
  private final CheckRows judged = new CheckRows();
  private final VBox ways = new VBox(3);
  private final TextField promised = Fields.field("order-promised", "day, or +10", 11);
  private final TextField decided = Fields.field("order-decided", "what was decided", 34);
  private final Button send = Page.button("Sent", "order-send");
  private final Button late = Page.button("Another day", "order-late");
  private final Button back = Page.button("Back", "order-back");
  private final Label says = Page.hint("");
  private String selected = "";

  OrdersView(JobState state) {
    super(10);
    this.state = state;
    setId("orders-view");
    lines = new OrderTable(state);
    list.setId("orders-list");
    judged.setId("order-judged");
    ways.setId("order-ways");
    dates.setId("order-dates");
    says.setId("order-says");
    send.setOnAction(e -> state.tried(this::send));
    late.setOnAction(e -> state.tried(() -> put(order().promised(day()))));
    back.setOnAction(e -> state.tried(this::back));
    var keep = Page.button("Keep what was decided", "order-decide");
    keep.setOnAction(e -> state.tried(() -> put(order().decided(decided.getText().strip()))));
    var sheet = Page.button("Write the sheet", "order-sheet");
    sheet.setOnAction(
        e ->
            CsvFile.save(
                this, "Work order (HTML)", "order-%s.html".formatted(selected), this::writeSheet));
    var remove = Page.button("Take it back", "order-remove");
    remove.setOnAction(e -> state.remove(OnJob.Kind.ORDER, selected));
    var does = Page.row(Page.named("promised for", promised), send, late, back, sheet, remove);
    shown
        .getChildren()
        .addAll(
            head,
            dates,
            lines,
            does,
            Page.part("What came back"),
            judged,
            ways,
            Page.row(Page.named("decided", decided), keep));
    shown.getStyleClass().add("group");
    getChildren()
        .addAll(
            list,
            shown,
            says,
            new OrderWriter(state, this::choose),
            Page.caution(
                "A cut can't be put back. Least thickness of decks, heads and walls, and least"
                    + " sizes of journals, are for the part's maker and the machine shop to say."));
    WhenSeen.refresh(this, this::refresh, state.plannedProperty());
  }

  private WorkOrder order() {
    return state.job().order(selected).orElseThrow();
  }

  private java.time.LocalDate day() {
    return Fields.day("Promised for", promised, state.today());
  }

  private void put(WorkOrder order) {
    state.keep(JobJson.note(order));
  }

  /** The parts leave with the order. */
  private void send() {
    var order = order().sent(Instant.now(), day());
    keepWithParts(order, ItemState.AT_SHOP, List.of());
  }

  /** The parts come back; what was read of the places that were worked on is struck out. */
  private void back() {
    var order = order().back(Instant.now());
    var before = state.session().readings();
    var standing = order.standing(before).all();
    var old =
        before.all().stream()
            .filter(r -> !r.struck() && !standing.contains(r))
            .map(Reading::id)
            .toList();
    keepWithParts(order, ItemState.BACK, old);
  }

  private void keepWithParts(WorkOrder order, ItemState now, List<Long> readings) {
    var parts = order.lines().stream().map(l -> l.part()).collect(Collectors.toSet());
    var all = new ArrayList<OnJob>(List.of(JobJson.note(order)));
    state.job().items().stream()
        .filter(i -> parts.contains(i.part()))
        .filter(i -> now == ItemState.BACK ? i.state() == ItemState.AT_SHOP : i.state().isHere())
        .filter(i -> i.state() != ItemState.FITTED)
        .forEach(i -> all.add(JobJson.note(i.in(now))));
    state.keep(all, readings);
  }

  private void choose(String number) {
    selected = number;
    refresh();
  }

  private void refresh() {
    var planned = state.plannedProperty().get();
    if (planned == null) {
      return;
    }
    var orders = planned.job().orders();
    if (planned.job().order(selected).isEmpty()) {
      selected = orders.isEmpty() ? "" : orders.getLast().number();
    }
    list.getChildren().clear();
    for (var o : orders) {
      var button =
          new ToggleButton("%s %s, %s: %s".formatted(sign(o), o.number(), o.supplier(), how(o)));
      button.setId("order-" + o.number());
      button.setSelected(o.number().equals(selected));
      button.setOnAction(e -> choose(o.number()));
      list.getChildren().add(button);
    }
    if (orders.isEmpty()) {
      list.getChildren().add(Page.hint("No order yet. Write one below from what was measured."));
    }
    Page.show(shown, !selected.isEmpty());
    if (!selected.isEmpty()) {
      show(planned, order());
    }
  }

  private static String sign(WorkOrder o) {
    return o.isBack() ? "●" : o.isSent() ? "◐" : "○";
  }

  private static String how(WorkOrder o) {
    return o.isBack()
        ? "back"
        : o.isSent()
            ? "away" + o.day().map(d -> ", promised for " + d).orElse("")
            : "being written";
  }

  private void show(JobState.Planned planned, WorkOrder o) {
    head.setText("%s, %s".formatted(o.number(), o.supplier()));
    dates.setText(
        Words.capital(how(o))
            + (o.step().isEmpty()
                ? ""
                : planned
                    .job()
                    .step(o.step())
                    .map(s -> "; for “%s”".formatted(s.title()))
                    .orElse(""))
            + (o.price() > 0 ? "; quoted %,.0f".formatted(o.price()) : ""));
    lines.show(o);
    var back = new OrderReturn(planned.build(), o, planned.readings());
    judged.show(o.isBack() ? back.checks() : List.of());
    Page.show(judged, o.isBack());
    ways.getChildren().clear();
    if (o.isBack()) {
      back.ways().forEach(w -> ways.getChildren().add(Page.hint("→ " + w)));
    } else {
      ways.getChildren()
          .add(Page.hint("Judged once it is back and the same places are read again."));
    }
    Page.show(send, !o.isSent());
    Page.show(late, o.isSent() && !o.isBack());
    Page.show(this.back, o.isSent() && !o.isBack());
    if (!promised.isFocused()) {
      promised.setText(Fields.plain(o.promised()));
    }
    if (!decided.isFocused()) {
      decided.setText(o.decided());
    }
  }

  /** Writes the order that is shown as a sheet. */
  public void writeSheet(Path file) {
    try {
      TextFile.write(file, JobSheet.order(state.session().build(), state.job(), order()));
      says.setText("● The sheet is in %s; any browser prints it.".formatted(file.getFileName()));
    } catch (IOException e) {
      says.setText("✕ %s: %s".formatted(file.getFileName(), e.getMessage()));
    }
  }
}
