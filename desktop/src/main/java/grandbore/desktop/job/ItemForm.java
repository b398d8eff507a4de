package grandbore.desktop.job;

import grandbore.book.JobJson;
import grandbore.core.clearances.OnJob;
import grandbore.core.combination.Specs;
import grandbore.core.job.parts.Condition;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemMeasure;
import grandbore.core.job.parts.ItemState;
import grandbore.core.units.Entry;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.TypedNumber;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** One part of the engine: its state at a press, all else in fields. */
final class ItemForm extends VBox {
  private final JobState state;
  private final Label head = Page.part("");
  private final ComboBox<ItemState> where =
      Fields.choice("item-state", ItemState::title, List.of(ItemState.values()));
  private final ComboBox<Condition> condition =
      Fields.choice("item-condition", Condition::title, List.of(Condition.values()));
  private final CheckBox reused = new CheckBox("was in an engine before");
  private final TextField place = Fields.field("item-place", "1", 3);
  private final TextField maker = Fields.field("item-maker", "maker", 12);
  private final TextField number = Fields.field("item-number", "number", 12);
  private final TextField supplier = Fields.field("item-supplier", "who has it", 16);
  private final TextField price = Fields.field("item-price", "0", 7);
  private final TextField lead = Fields.field("item-lead", "not known", 7);
  private final TextField promised = Fields.field("item-promised", "day, or +10", 11);
  private final TextField marks = Fields.field("item-marks", "direction, place, match marks", 20);
  private final TextField finding = Fields.field("item-finding", "what was seen", 34);
  private final TextField interfaces =
      Fields.field("item-interfaces", "bolt pattern: ten, 3/8; port: oval", 34);
  private final Map<ItemMeasure, TextField> measures = new EnumMap<>(ItemMeasure.class);
  private final FlowPane measured = Page.row();
  private final JobPictures pictures;
  private Item shown;

  ItemForm(JobState state) {
    super(6);
    this.state = state;
    pictures = new JobPictures(state, "item");
    setId("item-form");
    getStyleClass().add("group");
    reused.setId("item-reused");
    for (var m : ItemMeasure.values()) {
      measures.put(m, Fields.field("item-" + m, "", 9));
    }
    where.setOnAction(
        e -> {
          if (shown != null && where.getValue() != null && where.getValue() != shown.state()) {
            state.tried(() -> keep(shown.in(where.getValue())));
          }
        });
    var keep = Page.button("Keep", "item-keep");
    keep.setOnAction(e -> state.tried(() -> keep(typed())));
    var remove = Page.button("Take it off the list", "item-remove");
    remove.setOnAction(e -> state.remove(OnJob.Kind.ITEM, shown.id()));
    getChildren()
        .addAll(
            head,
            Page.row(
                Page.named("state", where),
                Page.named("place", place),
                Page.named("condition", condition),
                reused),
            Page.row(
                Page.named("from", supplier),
                Page.named("price", price),
                Page.named("days from order", lead),
                Page.named("promised", promised)),
            Page.row(
                Page.named("maker", maker),
                Page.named("number", number),
                Page.named("marks", marks)),
            Page.row(Page.named("finding", finding), Page.named("has to match in", interfaces)),
            measured,
            pictures,
            Page.row(keep, remove));
    show(null);
  }

  private void keep(Item item) {
    state.keep(JobJson.note(item));
  }

  /** What is measured on a part of a kind. */
  private static List<ItemMeasure> of(Item item) {
    return switch (item.part()) {
      case ROD -> List.of(ItemMeasure.SMALL_END, ItemMeasure.BIG_END, ItemMeasure.LENGTH);
      case PISTON -> List.of(ItemMeasure.WEIGHT, ItemMeasure.PIN_HEIGHT, ItemMeasure.CROWN);
      case HEAD -> List.of(ItemMeasure.CHAMBER);
      default -> List.of(ItemMeasure.WEIGHT);
    };
  }

  void show(Item item) {
    Page.show(this, item != null);
    if (item != null) {
      pictures.show(JobJson.note(item));
    }
    if (item == null || item.equals(shown)) {
      shown = item;
      return;
    }
    shown = item;
    var bottom = state.session().build().combination().bottomEnd();
    head.setText("%s, %s".formatted(item.part().at(item.place(), bottom), item.id()));
    where.setValue(item.state());
    condition.setValue(item.condition());
    reused.setSelected(item.reused());
    place.setText("" + item.place());
    maker.setText(item.maker());
    number.setText(item.number());
    supplier.setText(item.supplier());
    price.setText(Fields.plain(item.price()));
    lead.setText(Fields.plain(item.lead()));
    promised.setText(Fields.plain(item.promised()));
    marks.setText(item.marks());
    finding.setText(item.finding());
    interfaces.setText(
        String.join(
            "; ",
            item.interfaces().entrySet().stream()
                .map(e -> e.getKey() + ": " + e.getValue())
                .toList()));
    var units = state.session().build().units();
    measured.getChildren().clear();
    for (var m : of(item)) {
      var field = measures.get(m);
      field.setText(item.measure(m).map(v -> m.quantity().show(v, units)).orElse(""));
      measured.getChildren().add(Page.named(m.title(), field));
    }
  }

  private Item typed() {
    var values = new HashMap<String, Object>();
    values.put("place", Fields.whole("Place", place));
    values.put("condition", condition.getValue());
    values.put("reused", reused.isSelected());
    values.put("maker", maker.getText().strip());
    values.put("number", number.getText().strip());
    values.put("supplier", supplier.getText().strip());
    values.put("price", TypedNumber.plain("Price", price));
    values.put("lead", Fields.whole("Days from order", lead));
    values.put("promised", Fields.day("Promised", promised, state.today()));
    values.put("marks", marks.getText().strip());
    values.put("finding", finding.getText().strip());
    values.put("interfaces", interfaces());
    values.put("measures", measures());
    return Specs.changed(shown, values);
  }

  private SortedMap<String, String> interfaces() {
    var all = new TreeMap<String, String>();
    for (var each : interfaces.getText().split(";", -1)) {
      int colon = each.indexOf(':');
      if (colon > 0) {
        all.put(each.substring(0, colon).strip(), each.substring(colon + 1).strip());
      } else if (!each.isBlank()) {
        throw new IllegalArgumentException(
            "What it has to match in: “%s” needs a colon, as in “port: oval”"
                .formatted(each.strip()));
      }
    }
    return all;
  }

  /** Those whose words nobody changed stay as they were, to the last digit. */
  private SortedMap<ItemMeasure, Double> measures() {
    var all = new TreeMap<>(shown.measures());
    var units = state.session().build().units();
    for (var m : of(shown)) {
      String text = measures.get(m).getText().strip();
      var was = shown.measure(m);
      if (text.isEmpty()) {
        all.remove(m);
      } else if (!text.equals(was.map(v -> m.quantity().show(v, units)).orElse(""))) {
        try {
          all.put(m, Entry.parse(text, m.quantity(), units, was.orElse(0.0)));
        } catch (IllegalArgumentException e) {
          throw new IllegalArgumentException(m.title() + ": " + e.getMessage(), e);
        }
      }
    }
    return all;
  }
}
