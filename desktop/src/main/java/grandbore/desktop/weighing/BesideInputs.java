package grandbore.desktop.weighing;

import grandbore.core.changes.Difference;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.ProvenanceMark;
import grandbore.desktop.controls.Words;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** The inputs in which engines differ, by the station at which they stand, and no others. */
final class BesideInputs extends SideTable {
  private final UnitSystem units;

  BesideInputs(
      List<Combination> engines,
      List<String> names,
      UnitSystem units,
      UnaryOperator<String> station) {
    super("Where they differ", names);
    this.units = units;
    setId("beside-inputs");
    String before = "";
    var all = Difference.among(engines);
    for (var d : all) {
      String at = station.apply(d.path().substring(0, d.path().indexOf('.')));
      if (!at.equals(before)) {
        heading(at);
        before = at;
      }
      cells(d.label(), d.values().stream().map(this::cell).toList());
    }
    if (all.isEmpty()) {
      heading("in nothing: they are one engine");
    }
  }

  private Node cell(Object value) {
    var words = new Label(Words.value(value, units));
    words.setWrapText(true);
    if (value instanceof Given g) {
      var mark = new ProvenanceMark();
      mark.show(g.provenance());
      return new HBox(2, mark, words);
    }
    return words;
  }
}
