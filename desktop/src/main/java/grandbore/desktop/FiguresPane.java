package grandbore.desktop;

import grandbore.core.units.UnitSystem;
import grandbore.core.working.Figure;
import grandbore.desktop.controls.FigureRow;
import grandbore.desktop.session.Bench;
import grandbore.desktop.session.Session;
import grandbore.desktop.station.Station;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The station's figures; each opens its working. */
final class FiguresPane extends VBox {
  private static final Logger LOG = LoggerFactory.getLogger(FiguresPane.class);

  private final Session session;
  private final ReadOnlyObjectProperty<Station> station;
  private final VBox list = new VBox();
  private Map<Figure, Node> rows = Map.of();
  private UnitSystem unitsShown;
  private Bench shown;
  private final Set<String> open = new HashSet<>();

  FiguresPane(Session session, ReadOnlyObjectProperty<Station> station) {
    this.session = session;
    this.station = station;
    getStyleClass().add("figures");
    var title = new Label("Figures");
    title.getStyleClass().add("pane-title");
    var hint = new Label("a figure opens its working");
    hint.getStyleClass().add("soft");
    var head = new HBox(8, title, hint);
    head.setAlignment(Pos.BASELINE_LEFT);
    var scroll = new ScrollPane(list);
    scroll.setFitToWidth(true);
    scroll.getStyleClass().add("flat-scroll");
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(head, scroll);
    session.benchProperty().subscribe(b -> refresh());
    station.subscribe(s -> refresh());
  }

  /** Whether the figures shown are those of the bench as it is now. */
  boolean stands() {
    return shown == session.bench();
  }

  /** Figures take longer than a frame: they are worked out off the window's thread. */
  private void refresh() {
    var bench = session.bench();
    if (stands()) {
      show(bench);
      return;
    }
    var _ =
        CompletableFuture.supplyAsync(bench::figures)
            .whenCompleteAsync(
                (figures, failed) -> {
                  if (failed != null) {
                    LOG.error("The figures could not be worked out", failed);
                  } else if (session.bench() == bench) {
                    shown = bench;
                    show(bench);
                  }
                },
                Platform::runLater);
  }

  /** Rows of figures that are as they were stay. */
  private void show(Bench bench) {
    var units = bench.build().units();
    var now = new LinkedHashMap<Figure, Node>();
    for (var f : bench.figures()) {
      if (station.get().figures().contains(f.name())) {
        var old = units == unitsShown ? rows.get(f) : null;
        now.put(f, old == null ? new FigureRow(f, units, open) : old);
      }
    }
    unitsShown = units;
    rows = now;
    var nodes = List.copyOf(now.values());
    if (!list.getChildren().equals(nodes)) {
      list.getChildren().setAll(nodes);
    }
  }
}
