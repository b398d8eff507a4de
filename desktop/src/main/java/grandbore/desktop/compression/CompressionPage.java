package grandbore.desktop.compression;

import grandbore.core.combination.Losses;
import grandbore.core.combination.Specs;
import grandbore.core.compression.RatioSolver;
import grandbore.desktop.controls.FigureRows;
import grandbore.desktop.controls.InputGrid;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.SolvedRows;
import grandbore.desktop.controls.SolvedRows.Solved;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.drawing.CompressionDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** The volumes above the piston, what reaches a ratio, what the fuel stands, what a test says. */
public final class CompressionPage {
  private CompressionPage() {}

  public static Node make(
      Session session, CurveService curves, ReadOnlyDoubleProperty rpm, Look look) {
    var views =
        new Views()
            .with(ViewName.COMPRESSION_VOLUMES, () -> volumes(session, look))
            .with(ViewName.COMPRESSION_SOLVE, () -> solve(session))
            .with(ViewName.COMPRESSION_BANKS, () -> new BanksView(session))
            .with(ViewName.COMPRESSION_FUEL, () -> new FuelView(session, curves, look, rpm))
            .with(ViewName.COMPRESSION_TESTS, () -> new TestsView(session, curves));
    return Page.of(
        "Compression",
        "Chambers and decks measured at the Clearances station take the place of the numbers here,"
            + " cylinder by cylinder, until they are measured again.",
        views.buttons(),
        views.shown());
  }

  private static Node volumes(Session session, Look look) {
    return new VBox(
        10,
        new CompressionDrawing(session, look),
        new InputGrid(session)
            .with("bottomEnd.blockDeck", "bottomEnd.pinHeight", "compression.gasketVolume")
            .with("losses.topGap")
            .put(
                "Heat to walls",
                Page.choice(session, "Heat to walls", "losses.heat", Losses.HeatModel.class)),
        new RatiosTable(session));
  }

  private static Node solve(Session session) {
    var levers =
        Arrays.stream(RatioSolver.Lever.values())
            .map(
                l ->
                    new Solved(
                        "ratio_by_" + l.name().toLowerCase(Locale.ROOT),
                        Specs.field(l.path()),
                        c -> l.forRatio(c, c.worksheet().ratioWanted().si()),
                        l::isFree))
            .toList();
    var fill =
        new Solved(
            "piston_by_fill",
            Specs.field("compression.pistonVolume"),
            c ->
                RatioSolver.pistonVolume(
                    c, c.worksheet().fillDepth().si(), c.worksheet().fillVolume().si()),
            c -> true);
    return new VBox(
        10,
        Page.part("A ratio, by one change"),
        new InputGrid(session).with("worksheet.ratioWanted"),
        new SolvedRows(session, levers),
        new FigureRows(
            session, "static_compression", "clearance_volume", "deck_clearance", "quench"),
        Page.part("A dome or dish, by filling the bore down to it"),
        Page.hint(
            "Turn the piston down until fluid will stand over all of the crown, grease its edge,"
                + " lay a plate over the bore and fill it from a burette."),
        new InputGrid(session).with("worksheet.fillDepth", "worksheet.fillVolume"),
        new SolvedRows(session, List.of(fill)));
  }
}
