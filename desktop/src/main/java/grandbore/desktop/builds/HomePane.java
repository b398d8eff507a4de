package grandbore.desktop.builds;

import grandbore.book.Summary;
import grandbore.core.job.JobLine;
import grandbore.core.studies.ModelSpread;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What stands on the benches, and what to do today over all of them. */
final class HomePane extends VBox {
  /** More cards than are looked over; the list below has all builds. */
  private static final int CARDS = 24;

  private static final int TODAY = 8;
  private static final double WIDE = 400;

  private final Look look;
  private final Consumer<Summary> open;
  private final VBox today = new VBox(3);
  private final FlowPane cards = new FlowPane(10, 10);

  /**
   * @param open puts a build on the bench
   */
  HomePane(Session session, Look look, Consumer<Summary> open) {
    super(8);
    this.look = look;
    this.open = open;
    setId("home");
    today.setId("home-today");
    cards.setId("home-cards");
    var inside = new VBox(10, today, cards);
    var scroll = new ScrollPane(inside);
    scroll.setFitToWidth(true);
    scroll.getStyleClass().add("flat-scroll");
    scroll.setMinHeight(0);
    scroll.prefViewportHeightProperty().bind(inside.heightProperty());
    setMaxHeight(USE_PREF_SIZE);
    getChildren().add(scroll);
    var builds = session.books().buildsProperty();
    WhenSeen.refresh(
        this,
        () -> show(builds.get(), session.build().units(), LocalDate.now(ZoneId.systemDefault())),
        builds,
        look.themeProperty(),
        look.textProperty());
  }

  private record Task(Summary of, String words, boolean late, LocalDate day) {}

  /** Shows the builds in work, the last touched first. */
  private void show(List<Summary> builds, UnitSystem units, LocalDate now) {
    var work =
        builds.stream()
            .filter(s -> s.place() == Summary.Place.BENCH && s.isSound())
            .sorted(Comparator.comparing(Summary::touched).reversed())
            .toList();
    cards.getChildren().clear();
    work.stream().limit(CARDS).forEach(s -> cards.getChildren().add(card(s, units, now)));
    if (work.size() > CARDS) {
      cards.getChildren().add(Page.hint("and %d more in the list".formatted(work.size() - CARDS)));
    }
    today(work, now);
  }

  private void today(List<Summary> work, LocalDate now) {
    var all = new ArrayList<Task>();
    for (var s : work) {
      s.line()
          .ifPresent(
              line -> {
                line.due().stream()
                    .filter(p -> !p.day().isAfter(now))
                    .forEach(
                        p ->
                            all.add(
                                new Task(
                                    s,
                                    p.day().isBefore(now)
                                        ? "▲ late since %s: %s".formatted(p.day(), p.what())
                                        : "◐ today: " + p.what(),
                                    p.day().isBefore(now),
                                    p.day())));
                line.now().stream()
                    .limit(3)
                    .forEach(n -> all.add(new Task(s, "▶ " + n, false, LocalDate.MAX)));
              });
    }
    today.getChildren().clear();
    Page.show(today, !all.isEmpty());
    if (all.isEmpty()) {
      return;
    }
    today.getChildren().add(Page.part("Today"));
    all.stream()
        .sorted(Comparator.comparing(Task::day))
        .limit(TODAY)
        .forEach(
            t -> {
              var words = new Button("%s: %s".formatted(t.of().name(), t.words()));
              words.setId("today-" + today.getChildren().size());
              words.getStyleClass().add("flat");
              if (t.late()) {
                words.getStyleClass().add("outside");
              }
              words.setOnAction(e -> open.accept(t.of()));
              today.getChildren().add(words);
            });
  }

  private HBox card(Summary s, UnitSystem units, LocalDate now) {
    var name = new Button(s.name());
    name.setId("home-open-" + s.id());
    name.getStyleClass().add("flat");
    name.setOnAction(e -> open.accept(s));
    var words = new VBox(2, name);
    line(
        words, "%s, %s".formatted(s.layout(), Quantity.DISPLACEMENT.show(s.displacement(), units)));
    var line = s.line();
    line.map(HomePane::whose).filter(w -> !w.isEmpty()).ifPresent(w -> line(words, w));
    line.filter(l -> l.steps() > 0).ifPresent(l -> job(words, l, now));
    if (s.power() > 0) {
      line(
          words,
          "%s ± %s predicted, %.0f %% measured"
              .formatted(
                  Quantity.POWER.number(s.power(), units),
                  Quantity.POWER.show(ModelSpread.OWN.share() * s.power(), units),
                  100 * s.measured()));
    }
    line.filter(l -> l.spent() + l.committed() > 0)
        .ifPresent(
            l ->
                line(
                    words,
                    l.budget() > 0
                        ? "%,.0f spent, %,.0f committed of %,.0f"
                            .formatted(l.spent(), l.committed(), l.budget())
                        : "%,.0f spent, %,.0f committed".formatted(l.spent(), l.committed())));
    HBox.setHgrow(words, Priority.ALWAYS);
    var card = new HBox(8, words);
    line.ifPresent(l -> card.getChildren().addFirst(new EngineSketch(l.outline(), look)));
    card.setAlignment(Pos.TOP_LEFT);
    card.setPrefWidth(WIDE * look.text());
    card.getStyleClass().addAll("drawing", "home-card");
    return card;
  }

  /** Whose it is, and the words by which the shop finds it. */
  private static String whose(JobLine l) {
    return Stream.concat(Stream.of(l.customer()), l.tags().stream())
        .filter(w -> !w.isEmpty())
        .collect(Collectors.joining(" · "));
  }

  private static void job(VBox words, JobLine l, LocalDate now) {
    line(
        words,
        l.stage().isEmpty()
            ? "route done"
            : "%s, %d of %d steps done".formatted(l.stage(), l.done(), l.steps()));
    if (!l.waits().isEmpty()) {
      line(words, "waits: " + l.waits());
    }
    if (l.dyno() != null) {
      boolean late = l.wanted() != null && l.dyno().isAfter(l.wanted());
      line(
          words,
          "%sdyno %s%s"
              .formatted(
                  late ? "▲ " : "",
                  l.dyno().isBefore(now) ? now : l.dyno(),
                  l.wanted() == null ? "" : ", agreed " + l.wanted()));
    }
  }

  private static void line(VBox into, String words) {
    var label = new Label(words);
    label.getStyleClass().add("soft");
    label.setWrapText(true);
    into.getChildren().add(label);
  }
}
