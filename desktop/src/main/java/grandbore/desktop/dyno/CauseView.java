package grandbore.desktop.dyno;

import grandbore.book.SymptomsJson;
import grandbore.book.TextFile;
import grandbore.core.clearances.OnDyno;
import grandbore.core.dyno.judged.Judge;
import grandbore.core.dyno.symptoms.Search;
import grandbore.core.dyno.symptoms.Symptom;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.LastRead;
import grandbore.desktop.session.Session;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CompletableFuture;
import javafx.application.Platform;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** From what the engine does to why, by the cheapest test that parts the causes. */
public final class CauseView extends VBox {
  private static final String JSON = "*.json";

  private final Session session;
  private final DynoState state;
  private final LastRead<OnDyno, List<Symptom>> known =
      new LastRead<>(
          notes ->
              notes.isEmpty()
                  ? SymptomsJson.shipped()
                  : SymptomsJson.with(notes.getLast().document()));
  private final ToggleGroup group = new ToggleGroup();
  private final Label own = Page.hint("");
  private List<Symptom> offered = List.of();
  private final FlowPane symptoms = new FlowPane(6, 6);
  private final VBox found = new VBox(8);
  private final List<String> said = new ArrayList<>();
  private Search search;

  CauseView(Session session, DynoState state) {
    super(10);
    setId("cause-view");
    this.session = session;
    this.state = state;
    own.setId("cause-own");
    own.textProperty().subscribe(t -> Page.show(own, !t.isEmpty()));
    var add = Page.button("The shop's own causes…", "cause-add");
    add.setOnAction(
        e -> CsvFile.open(this, "Symptoms, their causes and tests (JSON)", JSON, this::add));
    getChildren()
        .addAll(
            Page.part("What does it do?"),
            symptoms,
            found,
            new FlowPane(8, 4, add),
            own,
            Page.caution(
                "Stop the engine before anything on it is touched; secondary leads bite, and a"
                    + " warm engine burns."));
    WhenSeen.refresh(
        this,
        () -> {
          offer();
          if (search != null) {
            begin(search.symptom());
          }
        },
        state.bookProperty(),
        session.notesProperty());
  }

  /** Those that come with the program and the shop's own. */
  private void offer() {
    var shops =
        session.notes(OnDyno.class).stream().filter(n -> n.kind() == OnDyno.Kind.SYMPTOMS).toList();
    var all = known.of(shops);
    if (all.equals(offered)) {
      return;
    }
    offered = all;
    symptoms.getChildren().clear();
    group.getToggles().clear();
    for (var s : all) {
      var button = new ToggleButton(s.name());
      button.setId(
          "cause-" + s.name().toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z]+", "-"));
      button.setToggleGroup(group);
      button.setSelected(search != null && search.symptom().equals(s));
      button.setOnAction(
          e -> {
            button.setSelected(true);
            begin(s);
          });
      symptoms.getChildren().add(button);
    }
  }

  /** Takes a document of symptoms into the shop's book, whole or not at all. */
  public void add(Path file) {
    var _ =
        CompletableFuture.supplyAsync(
                () -> {
                  String text = TextFile.read(file);
                  SymptomsJson.read(text);
                  return text;
                })
            .whenCompleteAsync(
                (text, wrong) -> {
                  if (wrong == null) {
                    own.setText("");
                    session.keep(new OnDyno(OnDyno.Kind.SYMPTOMS, text), "");
                  } else {
                    own.setText("✕ " + Books.words(wrong));
                  }
                },
                Platform::runLater);
  }

  /** What the last day's pulls have named. */
  private Set<String> suspects() {
    var names = new TreeSet<String>();
    var pulls = state.book().pulls();
    if (!pulls.isEmpty()) {
      String day = pulls.getLast().pull().day();
      pulls.stream()
          .filter(p -> p.pull().day().equals(day))
          .flatMap(p -> Judge.bad(p.checks()).stream())
          .forEach(c -> names.add(c.name()));
    }
    return names;
  }

  private void begin(Symptom symptom) {
    said.clear();
    search = Search.begin(symptom, suspects());
    show();
  }

  private void show() {
    found.getChildren().clear();
    said.forEach(s -> found.getChildren().add(Page.hint(s)));
    var likely = search.likely();
    var causes = new VBox(2);
    for (var l : likely) {
      boolean named = l.cause().suspects().stream().anyMatch(search.suspects()::contains);
      var line =
          new Label(
              "%.0f %%  %s%s"
                  .formatted(
                      100 * l.likelihood(),
                      l.cause().label(),
                      named ? "  (the channels point to it)" : ""));
      line.setWrapText(true);
      causes.getChildren().add(line);
    }
    causes.setId("cause-likely");
    var next = search.next();
    if (next.isPresent()) {
      var test = next.get();
      var answers = new FlowPane(6, 4);
      test.answers().keySet().stream()
          .sorted()
          .forEach(
              a -> {
                var button = Page.button(a, "cause-answer-" + answers.getChildren().size());
                button.setOnAction(
                    e -> {
                      said.add(test.label() + ": " + a);
                      search = search.answered(test, a);
                      show();
                    });
                answers.getChildren().add(button);
              });
      var what = new Label("%s (%.0f minutes)".formatted(test.label(), test.minutes()));
      what.setId("cause-test");
      what.setWrapText(true);
      found
          .getChildren()
          .addAll(Page.part("Do this next, it tells most in its time"), what, answers);
    } else if (likely.isEmpty()) {
      found
          .getChildren()
          .add(Page.hint("None of the causes that are known fits all answers: begin again."));
    } else {
      found
          .getChildren()
          .add(
              Page.part(
                  likely.size() == 1
                      ? "It is " + likely.getFirst().cause().label()
                      : "No test that is known parts these"));
    }
    found.getChildren().addAll(Page.part("What it may be"), causes);
  }
}
