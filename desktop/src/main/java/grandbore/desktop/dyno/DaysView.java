package grandbore.desktop.dyno;

import grandbore.core.asked.Answer;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.PullCurve;
import grandbore.core.dyno.effects.Day;
import grandbore.core.dyno.effects.Effect;
import grandbore.core.prediction.WantedBand;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.look.Look;
import grandbore.desktop.plot.Line;
import grandbore.desktop.plot.PlotPane;
import grandbore.desktop.session.Session;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** The days at the dyno beside one another: each one's best, and what came of it. */
final class DaysView extends VBox {
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH).withZone(ZoneId.systemDefault());

  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

  private final Session session;
  private final DynoState state;
  private final Runnable toPulls;
  private final PlotPane plot;
  private final VBox cards = new VBox(14);
  private final VBox compared = new VBox(6);

  /**
   * @param toPulls shows the pulls of the day that was chosen
   */
  DaysView(Session session, DynoState state, Look look, Runnable toPulls) {
    super(10);
    this.session = session;
    this.state = state;
    this.toPulls = toPulls;
    plot = new PlotPane(look, "dyno-days-plot", "Torque of each day's best pull", "%.1f");
    cards.setId("dyno-days-cards");
    compared.setId("dyno-days-compared");
    getChildren().addAll(plot, cards, compared);
    WhenSeen.refresh(
        this,
        this::refresh,
        state.bookProperty(),
        state.standardProperty(),
        session.buildProperty());
  }

  private void refresh() {
    var days = state.book().days();
    var standard = state.standardProperty().get();
    var band = band();
    Map<Day, Optional<Day.Best>> bests = new LinkedHashMap<>();
    days.forEach(d -> bests.put(d, d.best(standard, band.from(), band.to())));
    draw(bests);
    cards.getChildren().clear();
    if (days.isEmpty()) {
      cards.getChildren().add(Page.hint("No pull stands yet; a day is what was pulled on it."));
    }
    bests.forEach((day, best) -> cards.getChildren().add(card(day, best)));
    compare(days);
  }

  private void draw(Map<Day, Optional<Day.Best>> bests) {
    var torque = Quantity.TORQUE.unit(session.build().units());
    var standard = state.standardProperty().get();
    var lines = new ArrayList<Line>();
    bests.forEach(
        (day, found) ->
            found.ifPresent(
                best -> {
                  var curve =
                      PullCurve.torque(best.pull(), standard, PullCurve.USUAL_WIDTH).points();
                  lines.add(
                      new Line(
                          "%s, pull %d".formatted(day.name(), best.pull().number()),
                          array(curve, PullCurve.Point::rpm),
                          array(curve, p -> torque.fromSi(p.value()))));
                }));
    plot.show("rpm", "%s, %s".formatted(torque.symbol(), standard.label()), lines);
  }

  private static double[] array(
      List<PullCurve.Point> points, ToDoubleFunction<PullCurve.Point> what) {
    return points.stream().mapToDouble(what).toArray();
  }

  private WantedBand band() {
    return WantedBand.of(session.build().combination().brief());
  }

  private Node card(Day day, Optional<Day.Best> best) {
    var show = Page.button("Show its pulls", "dyno-day-" + slug(day.name()));
    show.setOnAction(
        e -> {
          state.dayProperty().set(day.name());
          toPulls.run();
        });
    var card = new VBox(4, Page.part(day.name()));
    for (var line : lines(day, best)) {
      card.getChildren().add(Page.hint(line));
    }
    card.getChildren().add(show);
    return card;
  }

  private static String slug(String name) {
    return name.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
  }

  private List<String> lines(Day day, Optional<Day.Best> best) {
    var units = session.build().units();
    var standard = state.standardProperty().get();
    var band = band();
    var lines = new ArrayList<String>();
    lines.add(
        "%s, %s; %d pull%s, %d of them good; %s"
            .formatted(
                DATE.format(day.from()),
                span(day.from(), day.to()),
                day.pulls().size(),
                day.pulls().size() == 1 ? "" : "s",
                day.good().size(),
                air(day.airs(), units)));
    best.ifPresentOrElse(
        b ->
            lines.add(
                "best: pull %d%s: %s at %,.0f rpm, %s at %,.0f rpm, %s on the mean of the band"
                    .formatted(
                        b.pull().number(),
                        words(b.pull()),
                        Quantity.TORQUE.show(b.torque().value(), units),
                        b.torque().rpm(),
                        Quantity.POWER.show(b.power().value(), units),
                        b.power().rpm(),
                        Quantity.TORQUE.show(b.mean(), units))),
        () ->
            lines.add(
                "no good pull spans the band from %,.0f to %,.0f rpm with its air known"
                    .formatted(band.from(), band.to())));
    lines.add(
        day.drift(standard, band.from(), band.to())
            .map(
                d ->
                    "come back to as it was in pull %d, pull %d made %+.1f %%"
                        .formatted(d.first().number(), d.last().number(), 100 * d.share()))
            .orElse("nothing was pulled twice: how far it drifted is not known"));
    told(day).ifPresent(lines::add);
    return lines;
  }

  /** What its changes gave, as far as that is no chance. */
  private Optional<String> told(Day day) {
    var band = band();
    var standard = state.standardProperty().get();
    var all = Effect.of(day.told(standard), standard, band.from(), band.to());
    var told =
        all.stream()
            .filter(e -> e.told() == Effect.Told.GAIN || e.told() == Effect.Told.LOSS)
            .map(e -> "%s %+.1f %%".formatted(e.after().setting().words(), 100 * e.share()))
            .toList();
    return all.isEmpty()
        ? Optional.empty()
        : Optional.of(
            told.isEmpty()
                ? "none of its changes is told from chance"
                : "told from chance, each over the one before: " + String.join("; ", told));
  }

  private static String words(Pull pull) {
    return pull.changed().isBlank() ? "" : " (" + pull.changed() + ")";
  }

  private static String span(Instant from, Instant to) {
    return from.equals(to)
        ? "at " + TIME.format(from)
        : "%s to %s".formatted(TIME.format(from), TIME.format(to));
  }

  private static String air(List<DayAir> airs, UnitSystem units) {
    if (airs.isEmpty()) {
      return "its air is not known";
    }
    var p = airs.stream().mapToDouble(DayAir::pressure).summaryStatistics();
    var t = airs.stream().mapToDouble(DayAir::temperature).summaryStatistics();
    return "air "
        + range(p.getMin(), p.getMax(), Quantity.PRESSURE, units)
        + ", "
        + range(t.getMin(), t.getMax(), Quantity.TEMPERATURE, units);
  }

  private static String range(double least, double most, Quantity q, UnitSystem units) {
    String low = q.show(least, units);
    String high = q.show(most, units);
    return low.equals(high) ? low : q.number(least, units) + " to " + high;
  }

  /** Each day's best setting over the best of the day before. */
  private void compare(List<Day> days) {
    compared.getChildren().clear();
    if (days.size() < 2) {
      return;
    }
    var standard = state.standardProperty().get();
    var band = band();
    var rows = new ArrayList<List<String>>();
    for (int k = 1; k < days.size(); k++) {
      var day = days.get(k);
      var before = days.get(k - 1);
      day.over(before, standard, band.from(), band.to())
          .ifPresent(
              e ->
                  rows.add(
                      List.of(
                          day.name(),
                          before.name(),
                          "%+.2f".formatted(100 * e.share()),
                          "%.2f".formatted(100 * e.counts()),
                          e.told().word())));
    }
    compared
        .getChildren()
        .addAll(
            Page.part("From day to day"),
            new AnswerTable(
                new Answer.Table(
                    "each day's best setting over that of the day before, judged by how each day"
                        + " repeated within itself",
                    List.of("Day", "Over", "Gain, %", "Counts from, %", "It is"),
                    rows)));
  }
}
