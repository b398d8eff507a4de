package grandbore.desktop.camshaft;

import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.combination.ValveTrain;
import grandbore.core.topend.Degreeing;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Session;
import java.util.HashMap;
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
                    "degreed.exhaustBack",
                    "degreed.wanted",
                    "valveHardware.gearStep")
                .when(c -> c.valveTrain().shafts() == ValveTrain.Shafts.TWO)
                .with("degreed.exhaustWanted"),
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
            var cam = b.combination().cam();
            // On one shaft the exhaust goes where the intake goes; on its own it stays.
            boolean apart = b.combination().valveTrain().shafts() == ValveTrain.Shafts.TWO;
            double exhaust = Double.isNaN(out) && apart ? cam.exhaustCentreline() : out;
            var said = new HashMap<String, Given>();
            said.put("intakeCentreline", cam.intakeCentreline().with(in, Provenance.MEASURED));
            if (!Double.isNaN(exhaust)) {
              said.put(
                  "separation", cam.separation().with(0.5 * (in + exhaust), Provenance.MEASURED));
            }
            return b.with(b.combination().with(Specs.changed(cam, said)));
          });
    } catch (IllegalArgumentException e) {
      session.refuse(e.getMessage());
    }
  }
}
