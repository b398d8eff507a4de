package grandbore.desktop.weighing;

import grandbore.book.BuildDocument;
import grandbore.book.KeptStudy;
import grandbore.book.Summary;
import grandbore.core.asked.Answer;
import grandbore.core.asked.Question;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.ModelVersion;
import grandbore.core.runs.Urgency;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.ResultService;
import grandbore.desktop.results.RunLine;
import grandbore.desktop.session.Bench;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Studies that were kept: opened again, and asked again of the engine as it was or as it is. */
final class KeptStudiesView extends VBox {
  private static final DateTimeFormatter SHOWN =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm").withZone(ZoneId.systemDefault());

  private final Session session;
  private final ResultService service;
  private final VBox cards = new VBox(12);
  private final VBox opened = new VBox(8);
  private final Label status = Page.hint("");
  private final StudyKeeper keeper;

  KeptStudiesView(Session session, CurveService curves) {
    super(10);
    this.session = session;
    setId("kept-studies");
    service = new ResultService(curves.runs(), Urgency.STUDY, this::trouble);
    keeper = new StudyKeeper(session, "kept-keep");
    status.setId("kept-status");
    status.textProperty().subscribe(t -> Page.show(status, !t.isEmpty()));
    getChildren().addAll(cards, new RunLine("kept-run", service, () -> {}), status, keeper, opened);
    WhenSeen.refresh(
        this,
        this::refresh,
        session.notesProperty(),
        session.benchProperty().map(Bench::id),
        session.books().buildsProperty());
  }

  private void trouble(String why) {
    status.setText("✕ " + why);
  }

  private void refresh() {
    var _ =
        session
            .books()
            .studies()
            .whenComplete(
                (all, wrong) -> {
                  if (wrong != null) {
                    trouble(Books.words(wrong));
                  } else {
                    show(all);
                  }
                });
  }

  private void show(List<Books.StudyRead> all) {
    cards.getChildren().clear();
    // Those of the build on the bench before all others, of each the newest first.
    var here = all.reversed().stream().filter(of -> of.build() == session.id()).toList();
    here.forEach(of -> cards.getChildren().add(card(of)));
    all.reversed().stream()
        .filter(of -> of.build() != session.id())
        .forEach(of -> cards.getChildren().add(card(of)));
    if (opened.getChildren().isEmpty()) {
      // The newest that can be read, so that something is seen at once.
      here.stream()
          .filter(of -> of.study().isPresent())
          .findFirst()
          .ifPresent(of -> open(of.study().orElseThrow().answer(), answered(of)));
    }
    if (all.isEmpty()) {
      cards
          .getChildren()
          .add(
              Page.hint(
                  "No study is kept yet. A ladder, sweep, map, search or band that has run to its"
                      + " end has a button that keeps it, with the engine as it was."));
    }
  }

  private static String answered(Books.StudyRead of) {
    return "As it was answered, " + SHOWN.format(of.at());
  }

  private Node card(Books.StudyRead of) {
    String at = SHOWN.format(of.at());
    if (of.study().isEmpty()) {
      return Page.hint("✕ The study of %s can't be read: %s".formatted(at, of.trouble()));
    }
    long id = of.note();
    var study = of.study().get();
    var open = Page.button("Open", "kept-open-" + id);
    open.setOnAction(e -> open(study.answer(), answered(of)));
    var now = Page.button("Ask the engine on the bench", "kept-now-" + id);
    now.setOnAction(
        e -> {
          keeper.asked(study.asked());
          ask(study.asked(), session.engine(), "Of " + session.build().name() + ", now", true);
        });
    var then = Page.button("Ask it again as it was", "kept-then-" + id);
    then.setOnAction(
        e ->
            ask(
                study.asked(),
                study.of().engine(),
                "Of %s as it was on %s, by this model".formatted(name(study.of()), at),
                false));
    var buttons = new FlowPane(6, 4, open, now, then);
    if (of.build() == session.id()) {
      var strike = Page.button("Strike it out", "kept-strike-" + id);
      strike.setOnAction(e -> session.strikeNote(id, true));
      buttons.getChildren().add(strike);
    }
    buttons.getChildren().forEach(b -> b.getStyleClass().addAll("flat", "small"));
    buttons.setAlignment(Pos.CENTER_LEFT);
    var said = new Label(study.answer().said());
    said.setWrapText(true);
    return new VBox(
        3,
        Page.part(study.asked().title()),
        said,
        Page.hint("%s%s, %s, %s".formatted(name(study.of()), where(of.build()), at, model(study))),
        buttons);
  }

  private static String model(KeptStudy study) {
    return study.model() == ModelVersion.CURRENT
        ? "this model"
        : "model %d, today's is %d".formatted(study.model(), ModelVersion.CURRENT);
  }

  private static String name(BuildDocument document) {
    return document.build().name();
  }

  /** What has become of a build that is not on the bench. */
  private String where(long build) {
    if (build == session.id()) {
      return "";
    }
    return session.books().builds().stream()
        .filter(b -> b.id() == build)
        .findFirst()
        .map(b -> b.place() == Summary.Place.BIN ? " (thrown away)" : " (not on the bench)")
        .orElse(" (gone)");
  }

  private void ask(Question asked, BuiltEngine engine, String whose, boolean keeps) {
    status.setText("");
    try {
      run(asked.to(engine), whose, keeps);
    } catch (IllegalArgumentException e) {
      trouble(String.valueOf(e.getMessage()));
    }
  }

  private <T> void run(Question.Posed<T> posed, String whose, boolean keeps) {
    var units = session.build().units();
    Page.show(keeper, false);
    service.ask(
        posed.study(),
        found -> {
          var answer = posed.answer().apply(found, units);
          open(answer, whose);
          if (keeps) {
            keeper.answered(answer);
          }
        });
  }

  private void open(Answer answer, String whose) {
    opened.getChildren().clear();
    var said = new Label(answer.said());
    said.setId("kept-said");
    said.setWrapText(true);
    opened.getChildren().addAll(Page.part(whose), said);
    answer.tables().forEach(t -> opened.getChildren().add(new AnswerTable(t)));
  }
}
