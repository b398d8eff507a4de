package grandbore.desktop.bottomend;

import grandbore.core.combination.Losses;
import grandbore.core.mechanics.WindagePower;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.controls.Words;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import java.util.ArrayList;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.layout.VBox;

/** Friction's inputs, and what the oil takes from a turning crank. */
final class OilView extends VBox {
  private static final int ROWS = 40;

  private final Session session;
  private final ReadOnlyDoubleProperty rpm;
  private final PlotPane plot;

  OilView(Session session, Look look, ReadOnlyDoubleProperty rpm) {
    super(10);
    this.session = session;
    this.rpm = rpm;
    plot =
        new PlotPane(look, "plot-windage", "Power into windage, by what is done about it", "%.1f");
    getChildren()
        .addAll(
            plot,
            new InputGrid(session)
                .put("Sump", Page.choice(session, "Sump", "losses.windage", Losses.Windage.class))
                .put(
                    "Counterweights",
                    Page.choice(
                        session,
                        "Counterweights",
                        "losses.counterweights",
                        Losses.Counterweights.class))
                .with("losses.vacuum", "losses.oil", "losses.oilTemperature", "losses.ringTension")
                .put(
                    "Crank drives",
                    Page.choice(
                        session, "Crank drives", "losses.accessories", Losses.Accessories.class))
                .put(
                    "Friction",
                    Page.choice(
                        session, "Friction", "losses.friction", Losses.FrictionModel.class)),
            new FigureRows(session, "windage_power"),
            Page.part("Polished journals"),
            new InputGrid(session).with("worksheet.claim"),
            new FigureRows(session, "claim_heat", "bearing_power"));
    WhenSeen.refresh(this, this::refresh, session.buildProperty());
    rpm.subscribe(r -> plot.point(r.doubleValue()));
  }

  private void refresh() {
    var c = session.build().combination();
    var speeds = session.build().speeds();
    var unit = new Shown(session.build().units()).power();
    var lines = new ArrayList<Line>();
    for (var sump : Losses.Windage.values()) {
      var x = new double[ROWS];
      var y = new double[ROWS];
      for (int i = 0; i < ROWS; i++) {
        x[i] = speeds.from() + (speeds.to() - speeds.from()) * i / (ROWS - 1);
        y[i] = unit.fromSi(WindagePower.at(c, sump, c.losses().counterweights(), x[i]));
      }
      lines.add(new Line(Words.of(sump), x, y));
    }
    plot.show("rpm", unit.symbol(), lines);
    plot.point(rpm.get());
  }
}
