package grandbore.desktop.weighing;

import grandbore.core.build.MeasuredBy;
import grandbore.core.clearances.Measurement;
import grandbore.core.doubt.Uncertain;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.Effects;
import grandbore.core.studies.Repeatability;
import grandbore.core.units.Measure;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Places;
import grandbore.desktop.controls.ProvenanceMark;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.HPos;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/**
 * Inputs by what hangs on them: their share of the doubt, what each does alone, and the way to what
 * would settle it.
 */
final class DoubtTable extends GridPane {
  private static final int MOST = 15;

  /** Half the width of a bar that goes both ways, px. */
  private static final double HALF = 56;

  /** One input; share and effect where they are known. */
  private record Row(
      Uncertain input, Optional<Doubt.Share> share, Optional<Effects.Effect> effect) {}

  private final UnaryOperator<String> station;
  private final Measure power;

  /**
   * @param station names the station at which a group's inputs stand
   */
  DoubtTable(
      Optional<Doubt.Shares> shares,
      Optional<Effects> effects,
      Measure power,
      UnaryOperator<String> station,
      Places places) {
    this.power = power;
    this.station = station;
    setId("doubt-table");
    getStyleClass().add("side-table");
    setHgap(12);
    columns();
    head(0, "Input");
    head(2, "Of the doubt");
    head(4, "Alone, lower and higher, " + power.symbol());
    var rows = rows(shares, effects);
    double most = rows.stream().mapToDouble(r -> size(r)).max().orElse(0);
    for (int i = 0; i < rows.size(); i++) {
      row(i + 1, rows.get(i), most, places);
    }
  }

  private void columns() {
    for (int i = 0; i < 7; i++) {
      var c = new ColumnConstraints();
      if (i == 1) {
        c.setHgrow(Priority.ALWAYS);
        c.setMinWidth(130);
      }
      if (i == 2) {
        c.setHalignment(HPos.RIGHT);
      }
      getColumnConstraints().add(c);
    }
  }

  private void head(int column, String words) {
    var label = new Label(words);
    label.getStyleClass().add("input-label");
    label.setMinWidth(Region.USE_PREF_SIZE);
    add(label, column, 0, 2, 1);
  }

  /** By share of the doubt once that is known, until then by what each does alone. */
  private static List<Row> rows(Optional<Doubt.Shares> shares, Optional<Effects> effects) {
    var rows = new ArrayList<Row>();
    if (shares.isPresent()) {
      for (var s : shares.get().shares()) {
        var alone =
            effects.stream()
                .flatMap(e -> e.effects().stream())
                .filter(e -> e.input().path().equals(s.input().path()))
                .findFirst();
        rows.add(new Row(s.input(), Optional.of(s), alone));
      }
    } else {
      effects.ifPresent(
          all ->
              all.told()
                  .forEach(e -> rows.add(new Row(e.input(), Optional.empty(), Optional.of(e)))));
    }
    return rows.stream().limit(MOST).toList();
  }

  private static double size(Row row) {
    return row.effect.map(Effects.Effect::size).orElse(0.0);
  }

  private void row(int at, Row row, double most, Places places) {
    var mark = new ProvenanceMark();
    mark.show(row.input.provenance());
    add(mark, 0, at);
    var name = new Label(row.input.label());
    name.setWrapText(true);
    var where = new Label(station.apply(group(row.input.path())));
    where.getStyleClass().add("soft");
    where.setMinWidth(Region.USE_PREF_SIZE);
    var names = new HBox(8, name, where);
    names.setAlignment(Pos.CENTER_LEFT);
    add(names, 1, at);
    row.share.ifPresent(
        s -> {
          var words = new Label("%.0f %%".formatted(100 * s.share()));
          words.getStyleClass().add("number-small");
          words.setMinWidth(Region.USE_PREF_SIZE);
          add(words, 2, at);
          add(bar(Math.min(1, s.share()) * 2 * HALF, "doubt-bar"), 3, at);
        });
    row.effect.ifPresent(
        e -> {
          add(both(e, most), 4, at);
          var words = new Label("%s  %s".formatted(gain(e.low()), gain(e.high())));
          words.getStyleClass().add("number-small");
          words.setMinWidth(Region.USE_PREF_SIZE);
          add(words, 5, at);
        });
    add(settle(row.input, places), 6, at);
  }

  private static String group(String path) {
    return path.substring(0, path.indexOf('.'));
  }

  private String gain(double watts) {
    return Double.isNaN(watts)
        ? "can't be built"
        : Repeatability.tells(watts, 1e3) ? "%+.1f".formatted(power.fromSi(watts)) : "0";
  }

  private static Region bar(double width, String style) {
    var bar = new Region();
    bar.getStyleClass().add(style);
    bar.setMinSize(Math.max(1, width), 9);
    bar.setMaxSize(Math.max(1, width), 9);
    return bar;
  }

  /** Two bars from one middle: what it does lower and what it does higher. */
  private static Node both(Effects.Effect e, double most) {
    var left = new HBox();
    var right = new HBox();
    left.setAlignment(Pos.CENTER_RIGHT);
    right.setAlignment(Pos.CENTER_LEFT);
    for (var half : List.of(left, right)) {
      half.setMinWidth(HALF);
      half.setMaxWidth(HALF);
    }
    for (double watts : new double[] {e.low(), e.high()}) {
      String style = Double.compare(watts, e.low()) == 0 ? "lower-bar" : "higher-bar";
      if (Double.isFinite(watts) && most > 0) {
        (watts < 0 ? left : right).getChildren().add(bar(HALF * Math.abs(watts) / most, style));
      }
    }
    var both = new HBox(left, right);
    both.setAlignment(Pos.CENTER);
    return both;
  }

  /** Where it would be settled: a reading where there is one, else the input itself. */
  private static Node settle(Uncertain input, Places places) {
    if (input.isMeasured()) {
      var done = new Label("measured");
      done.getStyleClass().add("soft");
      done.setMinWidth(Region.USE_PREF_SIZE);
      return done;
    }
    Optional<Measurement> by = MeasuredBy.of(input.path()).map(MeasuredBy::measurement);
    Button go = Page.button(by.isPresent() ? "Measure" : "Go to it", "settle-" + id(input.path()));
    go.getStyleClass().addAll("flat", "small");
    go.setMinWidth(Region.USE_PREF_SIZE);
    go.setAccessibleText("settle " + input.label());
    go.setOnAction(
        e -> by.ifPresentOrElse(places::toReading, () -> places.toInput(goal(input.path()))));
    return go;
  }

  private static String id(String path) {
    return path.replace('.', '-');
  }

  /** A flow sheet has no field of its own; its port's does. */
  private static String goal(String path) {
    return switch (path) {
      case "heads.intakeFlow" -> "heads.intakePortVolume";
      case "heads.exhaustFlow" -> "heads.exhaustPortVolume";
      default -> path;
    };
  }
}
