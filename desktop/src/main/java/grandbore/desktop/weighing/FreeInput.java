package grandbore.desktop.weighing;

import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.studies.SweepAxis;
import grandbore.core.units.Entry;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.CommitField;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Refusal;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** An input that a search may set, with its range. */
final class FreeInput extends HBox {
  private final Specs.Field field;
  private final UnitSystem units;
  private final CommitField from;
  private final CommitField to;
  private SweepAxis range;

  /**
   * @param start its range at first
   * @param away told that it is to be free no longer; {@code null} where it always is
   */
  FreeInput(SweepAxis start, UnitSystem units, Refusal refusal, Consumer<FreeInput> away) {
    super(8);
    field = Specs.field(start.path());
    this.units = units;
    range = start;
    String id = "free-" + start.path().replace('.', '-');
    from = new CommitField("least " + field.spec().label(), t -> said(t, true), refusal);
    to = new CommitField("most " + field.spec().label(), t -> said(t, false), refusal);
    from.setId(id + "-from");
    to.setId(id + "-to");
    setAlignment(Pos.CENTER_LEFT);
    var name = new Label(field.spec().label());
    name.setMinWidth(170);
    var unit = new Label(InputField.symbol(field.spec().quantity(), units));
    unit.getStyleClass().add("unit");
    var drop = new Button("×");
    drop.setId(id + "-away");
    drop.getStyleClass().addAll("flat", "small");
    drop.setAccessibleText("not free: " + field.spec().label());
    drop.setOnAction(e -> away.accept(this));
    getChildren().addAll(new Label("from"), from, new Label("to"), to, unit);
    if (away != null) {
      getChildren().addFirst(name);
      getChildren().add(drop);
    }
    show();
  }

  SweepAxis range() {
    return range;
  }

  private void show() {
    var quantity = field.spec().quantity();
    from.show(quantity.number(range.values().getFirst(), units));
    to.show(quantity.number(range.values().getLast(), units));
  }

  private void said(String typed, boolean least) {
    double si = Entry.parse(typed, field.spec().quantity(), units, 0);
    double low = least ? si : range.values().getFirst();
    double high = least ? range.values().getLast() : si;
    try {
      range = SweepAxis.over(field.path(), low, high, 2);
    } finally {
      show();
    }
  }

  /** Whether it is this input. */
  boolean isOf(Specs.Field other) {
    return field.equals(other);
  }

  /** Its range about where an engine has it. */
  static SweepAxis around(grandbore.core.combination.Combination c, Specs.Field field) {
    if (!field.get(c).isKnown()) {
      throw new InvalidInput(
          field.spec().label(), "not known here", "a value to search about", "it is about it");
    }
    return SweepAxis.around(c, field.path(), 2);
  }
}
