package grandbore.desktop.job;

import grandbore.core.job.Route;
import grandbore.core.job.Route.Planned;
import grandbore.desktop.drawing.Pen;
import grandbore.desktop.look.Look;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.layout.Region;
import javafx.scene.text.TextAlignment;

/**
 * Steps over the days: a bar from the first day on which each can be begun to that on which it can
 * be done, its slack behind it; those that decide the day of the dyno are filled. A bar that is
 * dragged is put off.
 */
final class TimeChart extends Region {
  private static final double ROW = 22;
  private static final double HEAD = 36;
  private static final double BAR = 12;
  private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM", Locale.ENGLISH);

  private final Look look;
  private final Canvas canvas = new Canvas();
  private List<Planned> rows = List.of();
  private Route route;
  private String selected = "";
  private LocalDate from = LocalDate.EPOCH;
  private int days = 1;
  private int dragged = -1;
  private double grabbed;
  private int moved;

  /**
   * @param chosen gets the step that was clicked
   * @param putOff gets the step that was dragged and the day on which it is to begin
   */
  TimeChart(Look look, Consumer<String> chosen, BiConsumer<String, LocalDate> putOff) {
    this.look = look;
    setId("job-chart");
    getStyleClass().add("drawing");
    getChildren().add(canvas);
    widthProperty().subscribe(w -> draw());
    look.themeProperty().subscribe(t -> draw());
    look.textProperty().subscribe(t -> draw());
    setOnMousePressed(
        e -> {
          dragged = row(e.getY());
          grabbed = e.getX();
          moved = 0;
          if (dragged >= 0) {
            chosen.accept(rows.get(dragged).step().id());
          }
        });
    setOnMouseDragged(
        e -> {
          if (dragged >= 0) {
            moved = (int) Math.rint((e.getX() - grabbed) / day());
            draw();
          }
        });
    setOnMouseReleased(
        e -> {
          if (dragged >= 0 && moved != 0) {
            var p = rows.get(dragged);
            putOff.accept(p.step().id(), p.begins().plusDays(moved));
          }
          dragged = -1;
          moved = 0;
          draw();
        });
  }

  private int row(double y) {
    int row = (int) Math.floor((y - HEAD * look.text()) / (ROW * look.text()));
    return row >= 0 && row < rows.size() ? row : -1;
  }

  /** Shows the open steps of a route, one of them marked. */
  void show(Route of, String marked) {
    route = of;
    selected = marked;
    rows = of.steps().stream().filter(p -> p.state() != Route.State.DONE).toList();
    from = of.today();
    var last =
        rows.stream()
            .map(p -> p.latest().isAfter(p.ends()) ? p.latest() : p.ends())
            .max(LocalDate::compareTo)
            .orElse(from);
    days = (int) Math.max(10, ChronoUnit.DAYS.between(from, last) + 3);
    setPrefHeight(HEAD * look.text() + rows.size() * ROW * look.text() + 10);
    setMinHeight(getPrefHeight());
    draw();
  }

  private double names() {
    return Math.min(0.42 * getWidth(), Math.clamp(0.3 * getWidth(), 250, 340) * look.text());
  }

  private double day() {
    return (getWidth() - names() - 10) / days;
  }

  private double x(LocalDate day) {
    return names() + day() * ChronoUnit.DAYS.between(from, day);
  }

  private void draw() {
    double w = getWidth();
    if (w < 100 || route == null) {
      return;
    }
    double h = getPrefHeight();
    canvas.setWidth(w);
    canvas.setHeight(h);
    var g = canvas.getGraphicsContext2D();
    var p = look.palette();
    var pen = new Pen(g, look);
    pen.clear(w, h);
    g.setTextBaseline(VPos.BASELINE);
    axis(pen, h);
    for (int i = 0; i < rows.size(); i++) {
      bar(pen, i);
    }
    g.setStroke(p.ink());
    g.setLineWidth(1);
    double now = Math.rint(x(route.today())) + 0.5;
    g.strokeLine(now, 20 * look.text(), now, h);
    route
        .dyno()
        .ifPresent(
            d -> {
              double at = Math.rint(x(d) + day() / 2) + 0.5;
              g.setStroke(p.dye());
              g.setLineDashes(5, 3);
              g.strokeLine(at, HEAD * look.text(), at, h);
              g.setLineDashes();
            });
  }

  /** Days off are shaded; Mondays, or each day where there is room, have their number. */
  private void axis(Pen pen, double h) {
    var g = canvas.getGraphicsContext2D();
    var p = look.palette();
    double letters = look.text();
    for (int i = 0; i < days; i++) {
      var d = from.plusDays(i);
      var on = route.workDays();
      if (!on.on().contains(d.getDayOfWeek())) {
        g.setFill(p.metal().deriveColor(0, 1, 1, 0.45));
        g.fillRect(x(d), HEAD * letters, day(), h);
      }
      boolean monday = d.getDayOfWeek() == DayOfWeek.MONDAY;
      if (i == 0 || monday || day() > 24 * letters) {
        if (i == 0 || !monday || x(d) - x(from) > 26 * letters) {
          pen.text("" + d.getDayOfMonth(), p.soft(), TextAlignment.LEFT, x(d) + 2, 31 * letters);
        }
        if (i == 0 || d.getDayOfMonth() <= 7 && monday) {
          pen.text(MONTH.format(d), p.ink(), TextAlignment.LEFT, x(d) + 2, 15 * letters);
        }
        g.setStroke(p.line());
        g.setLineWidth(1);
        double line = Math.rint(x(d)) + 0.5;
        g.strokeLine(line, 20 * letters, line, h);
      }
    }
  }

  private void bar(Pen pen, int i) {
    var g = canvas.getGraphicsContext2D();
    var p = look.palette();
    var r = rows.get(i);
    double letters = look.text();
    double y = HEAD * letters + i * ROW * letters;
    if (r.step().id().equals(selected)) {
      g.setFill(p.gas());
      g.fillRect(0, y, getWidth(), ROW * letters);
    }
    pen.text(
        mark(r) + " " + cut(r.step().title(), (names() - 24) / (6.4 * letters)),
        r.decides() ? p.ink() : p.soft(),
        TextAlignment.LEFT,
        6,
        y + 15 * letters);
    int by = i == dragged ? moved : 0;
    double a = x(r.begins().plusDays(by)) + 1;
    double b = x(r.ends().plusDays(by)) + day() - 1;
    double top = y + (ROW - BAR) / 2 * letters;
    if (r.slack() > 0) {
      double end = x(r.latest()) + day() - 1;
      g.setStroke(p.soft());
      g.setLineWidth(1);
      double mid = Math.rint(top + BAR / 2 * letters) + 0.5;
      g.strokeLine(b, mid, end, mid);
      g.strokeLine(Math.rint(end) + 0.5, mid - 3, Math.rint(end) + 0.5, mid + 3);
    }
    g.setFill(r.decides() ? p.dye() : p.metal());
    g.fillRect(a, top, Math.max(2, b - a), BAR * letters);
    g.setStroke(p.ink());
    g.setLineWidth(1);
    g.strokeRect(Math.rint(a) + 0.5, Math.rint(top) + 0.5, Math.max(2, b - a), BAR * letters);
    if (by != 0) {
      pen.text(
          "from " + r.begins().plusDays(by), p.ink(), TextAlignment.LEFT, b + 6, y + 15 * letters);
    }
  }

  /** How a step stands, as a sign. */
  static String mark(Planned p) {
    return switch (p.state()) {
      case DONE -> "●";
      case AGAIN -> "▲";
      case NOW -> "▶";
      case AWAY -> "◐";
      case WAITS -> "○";
    };
  }

  private static String cut(String words, double signs) {
    int most = (int) Math.max(8, signs);
    return words.length() <= most ? words : words.substring(0, most - 1).strip() + "…";
  }
}
