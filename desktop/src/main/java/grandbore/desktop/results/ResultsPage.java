package grandbore.desktop.results;

import grandbore.core.prediction.LossAccount;
import grandbore.core.units.Measure;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Objects;
import javafx.animation.PauseTransition;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** What the prediction knows besides the curve: one speed, all speeds, losses, slow running. */
public final class ResultsPage extends VBox {
  private static final int LOSS_POINTS = 10;
  private static final Duration REST = Duration.millis(300);

  private final Session session;
  private final CurveService curves;
  private final ReadOnlyDoubleProperty rpm;
  private final ResultService service =
      new ResultService(why -> say("✕ Could not be solved: " + why, false));
  private final OneSpeed one;
  private final WholeCurve whole;
  private final LossPane losses;
  private final SlowPane slow = new SlowPane();
  private final Label status = new Label();
  private final Button cancel = new Button("Cancel");
  private final StackPane shown = new StackPane();
  private final ToggleGroup views = new ToggleGroup();
  private final PauseTransition rest = new PauseTransition(REST);
  private LossAccount account;
  private List<Object> asked = List.of();

  public ResultsPage(Session session, CurveService curves, ReadOnlyDoubleProperty rpm, Look look) {
    super(10);
    this.session = session;
    this.curves = curves;
    this.rpm = rpm;
    one = new OneSpeed(look);
    whole = new WholeCurve(look);
    losses = new LossPane(look);
    getStyleClass().add("page");
    var title = new Label("Prediction");
    title.getStyleClass().add("page-title");
    var choices =
        new HBox(
            view("One speed", "view-one", one),
            view("All speeds", "view-all", whole),
            view("Losses", "view-losses", losses),
            view("Idle and cranking", "view-slow", slow));
    choices.setSpacing(4);
    status.getStyleClass().add("soft");
    status.setId("results-status");
    status.setWrapText(true);
    cancel.setId("results-cancel");
    cancel.setOnAction(
        e -> {
          service.cancel();
          asked = List.of();
          say("Cancelled", false);
        });
    var line = new HBox(8, status, cancel);
    line.setAlignment(Pos.CENTER_LEFT);
    shown.setAlignment(Pos.TOP_LEFT);
    getChildren().addAll(title, choices, line, shown);
    rest.setOnFinished(e -> refresh());
    views
        .selectedToggleProperty()
        .subscribe(
            t -> {
              if (t != null) {
                shown.getChildren().setAll((Node) t.getUserData());
                refresh();
              }
            });
    rpm.subscribe(v -> rest.playFromStart());
    curves.stateProperty().subscribe(s -> rest.playFromStart());
    session.buildProperty().subscribe(b -> rest.playFromStart());
    sceneProperty().subscribe(s -> rest.playFromStart());
    views.selectToggle(views.getToggles().getFirst());
  }

  private ToggleButton view(String title, String id, Node content) {
    var button = new ToggleButton(title);
    button.setId(id);
    button.setToggleGroup(views);
    button.setUserData(content);
    button.setOnAction(e -> button.setSelected(true));
    button.setMinWidth(USE_PREF_SIZE);
    return button;
  }

  private double idleSpeed() {
    return Measure.RPM.fromSi(session.build().combination().brief().idle().si());
  }

  private void say(String words, boolean running) {
    status.setText(words);
    cancel.setVisible(running);
    cancel.setManaged(running);
  }

  private void refresh() {
    if (getScene() == null || views.getSelectedToggle() == null) {
      return;
    }
    var view = (Node) views.getSelectedToggle().getUserData();
    double at = Math.rint(rpm.get() / 50) * 50;
    var how = new Shown(session.build().units());
    List<Object> wish = List.of(view, session.engine(), how, view == one ? at : 0.0);
    var curve = curves.stateProperty().get().curve();
    if (view == whole && curve != null) {
      whole.show(curve, how);
      say(
          "The curve on the right, point by point. The cross-hair reads, a drag zooms, a double"
              + " click goes back.",
          false);
      asked = List.of();
      return;
    }
    if (view == losses && account != null && wish.equals(asked)) {
      losses.show(account, at, how);
      return;
    }
    if (Objects.equals(wish, asked)) {
      return;
    }
    asked = wish;
    if (view == one) {
      say("Solving every cylinder at %,.0f rpm".formatted(at), true);
      service.trace(
          session.engine(),
          at,
          t -> {
            one.show(t, how);
            say(
                t.point().converged()
                    ? "Cylinder 1 at %,.0f rpm, every cylinder solved, settled to %.3f %% a cycle."
                        .formatted(at, 100 * t.point().change())
                    : "✕ %,.0f rpm did not settle: %s".formatted(at, t.point().note()),
                false);
          });
    } else if (view == losses) {
      account = null;
      say("Running the curve without each loss", true);
      service.losses(
          session.engine(),
          session.build().speeds().points(LOSS_POINTS),
          r -> say("Done without: " + r.label(), true),
          a -> {
            account = a;
            losses.show(a, rpm.get(), how);
            say(
                "Each loss taken away alone, live model. One hides another: the shares do not add"
                    + " up to all together.",
                false);
          });
    } else if (view == slow) {
      say("Cranking and shutting the throttle", true);
      service.slow(
          session.engine(),
          idleSpeed(),
          s -> {
            slow.show(s, idleSpeed(), session.build().units());
            say("Warm engine, cylinder walls at coolant's heat.", false);
          });
    }
  }
}
