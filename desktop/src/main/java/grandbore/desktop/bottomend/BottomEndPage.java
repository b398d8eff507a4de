package grandbore.desktop.bottomend;

import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** Block, crank, rods and pistons: the section, then what they come to. */
public final class BottomEndPage {
  private BottomEndPage() {}

  /**
   * @param crank the crank cursor, degrees
   * @param rpm the speed cursor, rev/min
   */
  public static Node make(
      Session session,
      CurveService curves,
      DoubleProperty crank,
      ReadOnlyDoubleProperty rpm,
      Look look) {
    var views =
        new Views()
            .with(ViewName.BOTTOM_SECTION, () -> SectionView.make(session, look, crank))
            .with(ViewName.BOTTOM_STACK, () -> StackView.make(session, look))
            .with(ViewName.BOTTOM_MOTION, () -> new MotionView(session, curves, look, crank, rpm))
            .with(ViewName.BOTTOM_FORCES, () -> new ForcesView(session, curves, look, crank, rpm))
            .with(ViewName.BOTTOM_BALANCE, () -> BalanceView.make(session, look, crank, rpm))
            .with(ViewName.BOTTOM_LIMITS, () -> new LimitsView(session, look))
            .with(ViewName.BOTTOM_OIL, () -> new OilView(session, look, rpm));
    var slider = new Slider(0, 720, crank.get());
    slider.setId("crank-cursor");
    slider.setAccessibleText("crank cursor");
    slider.valueProperty().bindBidirectional(crank);
    HBox.setHgrow(slider, Priority.ALWAYS);
    var at = new Label();
    at.getStyleClass().add("unit");
    at.setMinWidth(40);
    crank.subscribe(a -> at.setText("%.0f°".formatted(a.doubleValue())));
    var turn = new HBox(8, new Label("Crank"), slider, at);
    turn.setAlignment(Pos.CENTER_LEFT);
    return Page.of(
        "Bottom end",
        "Type at any dimension: 4 1/8, 104.8 mm, .030 over. A click on a mark says where its number"
            + " came from. The crank cursor turns everything here.",
        views.buttons(),
        turn,
        views.shown());
  }
}
