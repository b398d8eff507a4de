package grandbore.desktop.bench;

import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Reading.Side;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.ProvenanceMark;
import grandbore.desktop.session.Session;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;

/**
 * What the readings at one place come to, each of them a word away, the last one struck at will.
 */
final class PlaceCell extends HBox {
  PlaceCell(Session session, Ledger ledger, Measurement m, int place, Side side, String suffix) {
    super(6);
    setAlignment(Pos.CENTER_LEFT);
    setId("place-" + suffix);
    var units = session.build().units();
    var mark = new ProvenanceMark();
    mark.setMaxSize(16, 16);
    var value = new Label("—");
    value.getStyleClass().addAll("number", "bench-value");
    value.setId("value-" + suffix);
    var count = new Label();
    count.getStyleClass().add("soft");
    value.setMinWidth(USE_PREF_SIZE);
    count.setMinWidth(USE_PREF_SIZE);
    getChildren().addAll(mark, value, count);
    mark.setVisible(false);
    ledger
        .value(m, place, side, units)
        .ifPresent(
            v -> {
              mark.show(v.provenance());
              mark.setVisible(true);
              value.setText(m.quantity().number(v.si(), units));
              count.setText(
                  v.derived()
                      ? "reckoned"
                      : v.count() > 1
                          ? "%d×%s"
                              .formatted(
                                  v.count(),
                                  apart(m, v.range(), units)
                                      ? ", apart " + m.quantity().show(v.range(), units)
                                      : "")
                          : "");
              count.setTooltip(new Tooltip(v.working()));
            });
    var here =
        ledger.readings().all().stream()
            .filter(
                r ->
                    r.measurement() == m
                        && r.place() == place
                        && (m.isTwoSided() || r.side() == side))
            .toList();
    if (!here.isEmpty()) {
      value.setTooltip(
          new Tooltip(here.stream().map(r -> line(session, r)).collect(Collectors.joining("\n"))));
    }
    here.stream()
        .filter(r -> !r.struck())
        .reduce((a, b) -> b)
        .ifPresent(
            last -> {
              var strike = new Button("✕");
              strike.setId("strike-" + suffix);
              strike.setAccessibleText("strike the last reading");
              strike.setTooltip(new Tooltip("strike the last reading: it stays in the book"));
              strike.getStyleClass().addAll("flat", "small");
              strike.setMinWidth(USE_PREF_SIZE);
              strike.setFocusTraversable(false);
              strike.setOnAction(e -> session.strike(last.id(), true));
              getChildren().add(strike);
            });
    long struck = here.stream().filter(Reading::struck).count();
    if (struck > 0) {
      var gone = new Label("%d struck".formatted(struck));
      gone.getStyleClass().add("soft");
      gone.setMinWidth(USE_PREF_SIZE);
      getChildren().add(gone);
    }
  }

  /** Whether repeats differ in the digits that are shown. */
  private static boolean apart(Measurement m, double range, UnitSystem units) {
    return m.quantity().number(range, units).chars().anyMatch(c -> c >= '1' && c <= '9');
  }

  /** One reading in a line: what was typed, by whom, with what, when. */
  static String line(Session session, Reading r) {
    var t = r.taken();
    return "%s%s%s%s%s, %s%s"
        .formatted(
            r.measurement().quantity().show(r.value(), session.build().units()),
            t.typed().isEmpty() ? "" : " (“" + t.typed() + "”)",
            r.side() == Side.NONE ? "" : ", " + r.side().word(),
            t.by().isEmpty() ? "" : ", " + t.by(),
            t.instrument().isEmpty() ? "" : ", " + t.instrument(),
            t.at().toString().replace('T', ' ').replaceAll(":\\d\\d(\\.\\d+)?Z", ""),
            (t.note().isEmpty() ? "" : ", " + t.note()) + (r.struck() ? " — struck" : ""));
  }
}
