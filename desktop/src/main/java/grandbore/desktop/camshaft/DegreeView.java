package grandbore.desktop.camshaft;

import grandbore.core.combination.Provenance;
import grandbore.core.topend.Degreeing;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Session;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;

/** The worksheet of a cam being degreed. */
final class DegreeView extends VBox {
  private final Session session;
  private final CheckRows checks = new CheckRows();
  private final Button use = new Button("Run with the centreline read");

  DegreeView(Session session) {
    super(10);
    this.session = session;
    use.setId("use-degreed");
    use.setOnAction(e -> use());
    getChildren()
        .addAll(
            Page.hint(
                "Top centre first, by a positive stop. Read at 0.050 in of tappet lift, turning the"
                    + " engine its own way only; after an overshoot go on two more turns. Equal"
                    + " lifts on both sides of the nose find the centreline whatever the ramps"
                    + " are."),
            new InputGrid(session)
                .with(
                    "degreed.intakeOpens",
                    "degreed.intakeCloses",
                    "degreed.intakeRise",
                    "degreed.intakeFall",
                    "degreed.exhaustOpens",
                    "degreed.exhaustCloses",
                    "degreed.exhaustRise",
                    "degreed.exhaustFall",
                    "degreed.intakeBack",
                    "degreed.wanted",
                    "gear.gearStep"),
            checks,
            use,
            Page.caution(
                "Turn the engine by hand, plugs out: valves can meet pistons while a cam is"
                    + " moved."));
    session.buildProperty().subscribe(b -> refresh());
  }

  private void refresh() {
    var b = session.build();
    checks.show(Degreeing.of(b));
    use.setDisable(Double.isNaN(Degreeing.intakeCentreline(b.combination().degreed())));
  }

  /** What was read takes the place of the card's, as measured. */
  private void use() {
    double in = Degreeing.intakeCentreline(session.build().combination().degreed());
    double out = Degreeing.exhaustCentreline(session.build().combination().degreed());
    try {
      session.edit(
          "Cam degreed",
          b -> {
            var c = b.combination();
            var cam = c.cam();
            double separation = Double.isNaN(out) ? cam.separation().si() : 0.5 * (in + out);
            var now =
                c.with(
                    "cam.intakeCentreline", cam.intakeCentreline().with(in, Provenance.MEASURED));
            return b.with(
                Double.isNaN(out)
                    ? now
                    : now.with(
                        "cam.separation", cam.separation().with(separation, Provenance.MEASURED)));
          });
    } catch (IllegalArgumentException e) {
      session.refuse(e.getMessage());
    }
  }
}
