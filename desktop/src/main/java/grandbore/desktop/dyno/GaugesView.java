package grandbore.desktop.dyno;

import grandbore.core.dyno.Channel;
import grandbore.desktop.controls.Overlay;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The gauges while the engine runs, over the whole window if wanted; and a dyno to rehearse on. */
final class GaugesView extends VBox {
  /** Oil pressure below so much for each 1,000 rev/min stops a pull (common practice), Pa. */
  private static final double OIL = 60e3;

  /** No more is asked than the lowest relief valves hold (common practice), Pa. */
  private static final double RELIEF = 380e3;

  private static final double HOT_OIL = 273.15 + 135;
  private static final double HOT_WATER = 273.15 + 105;
  private static final double LEAN = 1.02;
  private static final double RICH = 0.72;
  private static final double LOUD = 1.6;
  private static final int COLUMNS = 4;

  /** Columns and rows where they are read from afar. */
  private static final int FAR = 3;

  /** Signs of the longest number, and how wide one is for its height. */
  private static final double SIGNS = 5.5;

  private static final double SIGN = 0.61;
  private static final double SMALLEST = 20;
  private static final double LARGEST = 46;
  private static final Duration BEAT = Duration.millis(33);
  private static final long SOUND_AGAIN = 2_000_000_000L;

  private final Session session;
  private final LiveDyno live;
  private final Overlay overlay;
  private final GridPane gauges = new GridPane(12, 10);
  private final StackPane place = new StackPane(gauges);
  private final Label status = Page.hint("");
  private final Label answer = new Label();
  private final VBox left = new VBox(6);
  private final ToggleButton sound = new ToggleButton("Sound of alarms");
  private List<Gauge> all = List.of();
  private long sounded;

  /** Only while a dyno is on the line. */
  private final Timeline beat = new Timeline(new KeyFrame(BEAT, e -> refresh(System.nanoTime())));

  GaugesView(Session session, LiveDyno live, Overlay overlay) {
    super(10);
    this.session = session;
    this.live = live;
    this.overlay = overlay;
    setId("gauges-view");
    all =
        List.of(
            new Gauge(Channel.RPM, (v, n) -> ""),
            new Gauge(Channel.TORQUE, (v, n) -> ""),
            new Gauge(Channel.LAMBDA, (v, n) -> v > LEAN ? "lean" : v < RICH ? "very rich" : ""),
            new Gauge(
                Channel.OIL_PRESSURE,
                (v, n) -> n > 1000 && v < Math.min(RELIEF, OIL * n / 1000) ? "low: stop" : ""),
            new Gauge(Channel.OIL_TEMPERATURE, (v, n) -> v > HOT_OIL ? "hot" : ""),
            new Gauge(Channel.WATER_OUT, (v, n) -> v > HOT_WATER ? "hot: stop" : ""),
            new Gauge(Channel.KNOCK, (v, n) -> v > LOUD ? "it knocks" : ""));
    arrange(COLUMNS);
    gauges.widthProperty().subscribe(w -> size());
    gauges.heightProperty().subscribe(h -> size());
    beat.setCycleCount(Timeline.INDEFINITE);
    status.setId("dyno-status");
    answer.setId("dyno-answer");
    answer.setWrapText(true);
    sound.setId("dyno-sound");
    sound.setSelected(true);
    sound.getStyleClass().add("small");
    var full = Page.button("Over the whole window", "dyno-full");
    full.setOnAction(e -> full());
    var bar = new FlowPane(8, 4, full, sound, status);
    bar.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(place, bar, left, rehearse(), line());
    gauges.sceneProperty().subscribe(s -> follow());
    live.statusProperty().subscribe(s -> follow());
    live.left(this::offer);
  }

  private VBox rehearse() {
    var seed = Page.words("dyno-seed", "seed", 5);
    seed.setText("1");
    var start = Page.button("Rehearse on a simulated dyno", "dyno-simulate");
    start.setOnAction(
        e -> {
          String typed = seed.getText().strip();
          if (typed.matches("\\d{1,9}")) {
            live.simulate(Long.parseLong(typed));
            answer.setText(live.statusProperty().get());
          } else {
            answer.setText("✕ The seed is a whole number");
          }
        });
    var faster = new ComboBox<Integer>();
    faster.setId("dyno-faster");
    faster.setAccessibleText("times as fast");
    faster.getItems().setAll(1, 5, 20);
    faster.setValue(1);
    faster.valueProperty().subscribe(v -> live.faster(v));
    var pull = Page.button("Pull", "dyno-pull");
    pull.setDefaultButton(false);
    pull.setOnAction(e -> say("pull"));
    var words = Page.words("dyno-console", "spark 34, then pull; help lists the rest", 34);
    words.setOnAction(
        e -> {
          say(words.getText());
          words.selectAll();
        });
    var row =
        new FlowPane(
            8, 4, start, new Label("seed"), seed, new Label("times as fast"), faster, pull);
    row.setAlignment(Pos.CENTER_LEFT);
    return new VBox(
        4,
        Page.part("Rehearse"),
        Page.hint(
            "An engine that differs from the build by amounts that nobody is told, on a brake with"
                + " meters that are noisy and may lie. Pulls are kept like any other; strike them"
                + " out when you are done."),
        row,
        words,
        answer);
  }

  private VBox line() {
    TextField port = Page.words("dyno-port", "7418, or a serial port", 16);
    var connect = Page.button("Listen to a dyno", "dyno-connect");
    connect.setOnAction(
        e -> {
          if (port.getText().isBlank()) {
            answer.setText("✕ Say a port: a number of this machine's, or a serial port's name");
          } else {
            live.connect(port.getText());
          }
        });
    var drop = Page.button("Let go", "dyno-drop");
    drop.setOnAction(e -> live.drop());
    var row = new FlowPane(8, 4, new Label("on port"), port, connect, drop);
    row.setAlignment(Pos.CENTER_LEFT);
    return new VBox(4, Page.part("Live"), row);
  }

  private void say(String line) {
    if (line.strip().startsWith("pull")) {
      answer.setText("the brake runs");
    }
    live.say(line, answer::setText);
  }

  private void offer(Optional<grandbore.core.dyno.Recorded> rows) {
    left.getChildren().clear();
    rows.ifPresent(
        r -> {
          var keep = Page.button("Keep it", "dyno-left-keep");
          var drop = Page.button("Let it go", "dyno-left-drop");
          keep.setOnAction(
              e -> {
                live.settle(rows);
                left.getChildren().clear();
              });
          drop.setOnAction(
              e -> {
                live.settle(Optional.empty());
                left.getChildren().clear();
              });
          var says =
              new Label(
                  "A pull was under way when the program ended: %d rows of it are here."
                      .formatted(r.rows()));
          says.setId("dyno-left");
          says.setWrapText(true);
          left.getChildren().addAll(says, new FlowPane(8, 4, keep, drop));
        });
  }

  private void full() {
    var back = Page.button("Back to the window", "dyno-back");
    var sheet = new VBox(16, gauges, new HBox(12, back));
    sheet.getStyleClass().add("bench-mode");
    VBox.setVgrow(gauges, Priority.ALWAYS);
    Runnable away =
        () -> {
          overlay.close();
          place.getChildren().setAll(gauges);
          arrange(COLUMNS);
        };
    back.setOnAction(e -> away.run());
    sheet.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            away.run();
            e.consume();
          }
        });
    arrange(FAR);
    overlay.show(sheet);
    back.requestFocus();
  }

  private void follow() {
    if (live.isOn() && gauges.getScene() != null) {
      beat.play();
    } else {
      beat.stop();
    }
    refresh(System.nanoTime());
  }

  private void arrange(int columns) {
    gauges.getChildren().clear();
    gauges.getColumnConstraints().clear();
    for (int k = 0; k < all.size(); k++) {
      gauges.add(all.get(k), k % columns, k / columns);
      GridPane.setVgrow(all.get(k), Priority.ALWAYS);
    }
    for (int k = 0; k < columns; k++) {
      var column = new ColumnConstraints();
      column.setPercentWidth(100.0 / columns);
      gauges.getColumnConstraints().add(column);
    }
    size();
  }

  /** Numerals as large as their fields let them be. */
  private void size() {
    boolean whole = !place.equals(gauges.getParent());
    double across = (gauges.getWidth() / (whole ? FAR : COLUMNS) - 56) / (SIGNS * SIGN);
    double high = whole ? 0.45 * (gauges.getHeight() / FAR) : LARGEST;
    double size = Math.max(SMALLEST, Math.min(across, high));
    all.forEach(g -> g.size(size));
  }

  private void refresh(long now) {
    double rpm = live.last(Channel.RPM);
    var units = session.build().units();
    boolean any = false;
    for (var g : all) {
      g.show(live.last(g.channel()), rpm, units);
      any |= g.isAlarmed();
    }
    String rows = live.rows();
    String says =
        rows.isEmpty() ? live.statusProperty().get() : live.statusProperty().get() + "; " + rows;
    if (!says.equals(status.getText())) {
      status.setText(says);
    }
    if (any && sound.isSelected() && now - sounded > SOUND_AGAIN) {
      sounded = now;
      var _ = CompletableFuture.runAsync(AlarmSound::play);
    }
  }
}
