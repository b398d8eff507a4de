package grandbore.desktop.controls;

import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One number for each cylinder, all alike until one is changed. */
public final class ByCylinder extends VBox {
  /** What the numbers are. */
  public enum Kind {
    /** Of what is usual. */
    SHARE(Quantity.SHARE, 1),
    /** Added to what is usual. */
    LENGTH(Quantity.LENGTH, 0);

    private final Quantity quantity;
    private final double usual;

    Kind(Quantity quantity, double usual) {
      this.quantity = quantity;
      this.usual = usual;
    }
  }

  private final Session session;
  private final String label;
  private final String path;
  private final Kind kind;
  private final FlowPane cells = new FlowPane(10, 4);
  private final Label name = new Label();
  private final Refusal refusal = new Refusal();
  private List<Object> shown = List.of();

  public ByCylinder(Session session, String label, String path, Kind kind) {
    super(4);
    this.session = session;
    this.label = label;
    this.path = path;
    this.kind = kind;
    name.getStyleClass().add("input-label");
    getChildren().addAll(name, cells, refusal);
    session.buildProperty().subscribe(b -> refresh());
  }

  private List<Double> values() {
    var c = session.build().combination();
    var given = new ArrayList<Double>();
    for (Object each : (List<?>) c.at(path)) {
      given.add((Double) each);
    }
    return given.isEmpty() ? Collections.nCopies(c.bottomEnd().cylinders(), kind.usual) : given;
  }

  private void refresh() {
    var units = session.build().units();
    var values = values();
    List<Object> now = List.of(values, units);
    if (Objects.equals(now, shown)) {
      return;
    }
    shown = now;
    name.setText(label + ", " + kind.quantity.unit(units).symbol());
    cells.getChildren().clear();
    for (int i = 0; i < values.size(); i++) {
      int at = i;
      var number = new Label(String.valueOf(i + 1));
      number.getStyleClass().add("unit");
      var field = new CommitField(label + " " + (i + 1), typed -> take(at, typed), refusal);
      field.setId("by-" + path.replace('.', '-') + "-" + (i + 1));
      field.setColumns(4);
      field.show(kind.quantity.number(values.get(i), units));
      var cell = new HBox(4, number, field);
      cell.setAlignment(Pos.CENTER_LEFT);
      cells.getChildren().add(cell);
    }
  }

  private void take(int at, String typed) {
    double si = Entry.parse(typed, kind.quantity, session.build().units(), values().get(at));
    var next = new ArrayList<>(values());
    next.set(at, si);
    boolean alike = next.stream().allMatch(v -> v == kind.usual);
    session.edit(
        String.format(Locale.ROOT, "%s, cylinder %d", label, at + 1),
        b -> b.with(b.combination().with(path, alike ? List.of() : List.copyOf(next))));
  }
}
