package grandbore.desktop.bottomend;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.BottomEnd;
import grandbore.desktop.controls.ChoiceField;
import grandbore.desktop.controls.FiringField;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Words;
import grandbore.desktop.drawing.SectionDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** The section through one cylinder and the layout of all. */
final class SectionView {
  private SectionView() {}

  static Node make(Session session, Look look, ReadOnlyDoubleProperty crank) {
    var drawing = new SectionDrawing(session, look);
    drawing.crankDegreesProperty().bind(crank);
    return new VBox(
        10,
        drawing,
        new InputGrid(session)
            .put(
                "Layout",
                new ChoiceField<>(
                    session,
                    "Layout",
                    Arrangement.values(),
                    Words::of,
                    b -> Arrangement.of(b.combination().bottomEnd()).orElse(null),
                    (b, a) -> b.with(a.of(b.combination()))))
            .put("Firing order", new FiringField(session))
            .when(c -> c.bottomEnd().banks() == 2)
            .put(
                "Cylinders counted",
                Page.choice(
                    session, "Cylinders counted", "bottomEnd.numbering", BottomEnd.Numbering.class))
            .with("partSizes.bankAngle", "partSizes.bankOffset")
            .always()
            .with(
                "bottomEnd.pinOffset",
                "bottomEnd.mainJournal",
                "bottomEnd.rodJournal",
                "partSizes.boreSpacing"));
  }
}
