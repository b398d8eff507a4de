package grandbore.desktop.bottomend;

import grandbore.core.combination.PartSizes;
import grandbore.core.combination.Specs;
import grandbore.core.mechanics.PartsFit;
import grandbore.core.mechanics.StackUp;
import grandbore.desktop.controls.CheckRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.SolvedRows;
import grandbore.desktop.controls.SolvedRows.Solved;
import grandbore.desktop.drawing.CrankDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import java.util.Arrays;
import java.util.Locale;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** What adds up to the deck, and whether mixed parts go together. */
final class StackView {
  private StackView() {}

  static Node make(Session session, Look look) {
    var solved =
        new SolvedRows(
            session,
            Arrays.stream(StackUp.Term.values())
                .map(
                    t ->
                        new Solved(
                            "stack_" + t.name().toLowerCase(Locale.ROOT),
                            Specs.field(t.path()),
                            c -> t.forClearance(c.bottomEnd(), c.worksheet().deckWanted().si()),
                            c -> !c.brief().kept().contains(t.part())))
                .toList());
    var fits = new CheckRows();
    session.buildProperty().subscribe(b -> fits.show(PartsFit.of(b, session.ledger().bands())));
    return new VBox(
        10,
        Page.part("Stack: deck height = throw + rod + compression height + deck clearance"),
        new InputGrid(session).with("worksheet.deckWanted"),
        solved,
        Page.part("Do the parts go together"),
        new CrankDrawing(session, look),
        new InputGrid(session)
            .with(
                "partSizes.mainHousing",
                "partSizes.mainShell",
                "partSizes.rodHousing",
                "partSizes.rodShell",
                "partSizes.pin",
                "partSizes.pistonBore",
                "partSizes.rodBore")
            .put(
                "Pistons",
                Page.choice(
                    session,
                    "Pistons",
                    "partSizes.pistonMaterial",
                    PartSizes.PistonMaterial.class)),
        fits);
  }
}
