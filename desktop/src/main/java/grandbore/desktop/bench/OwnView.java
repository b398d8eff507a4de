package grandbore.desktop.bench;

import grandbore.core.clearances.Band;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OwnKind;
import grandbore.core.clearances.OwnLedger;
import grandbore.core.clearances.OwnReading;
import grandbore.core.clearances.Taken;
import grandbore.core.units.Entry;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.session.Session;
import grandbore.instruments.Kind;
import grandbore.instruments.Message;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/**
 * The shop's own kinds of reading: a place is typed and kept, the next one waits, each is judged by
 * its band, and the last can be taken back.
 */
public final class OwnView extends VBox {
  private final Session session;
  private final Instruments instruments;
  private final Label live = Page.hint("");
  private final Button take = Page.button("Take", "own-take");
  private final FlowPane kinds = new FlowPane(6, 6);
  private final GridPane grid = new GridPane();
  private final Label band = Page.hint("");
  private final TextField by = Page.words("own-by", "who", 8);
  private final Refusal refusal = new Refusal();
  private final OwnKindForm form;
  private String selected = "";

  OwnView(Session session, Instruments instruments) {
    super(10);
    this.session = session;
    this.instruments = instruments;
    live.setId("own-live");
    take.setFocusTraversable(false);
    live.textProperty().bind(instruments.statusProperty());
    setId("own-view");
    kinds.setId("own-kinds");
    grid.setId("own-grid");
    grid.getStyleClass().add("bench");
    band.setId("own-band");
    form = new OwnKindForm(session, this::choose);
    getChildren()
        .addAll(kinds, band, grid, refusal, Page.row(new Label("read by"), by, take, live), form);
    WhenSeen.refresh(this, this::refresh, session.notesProperty(), session.buildProperty());
  }

  private OwnLedger ledger() {
    return new OwnLedger(session.build().combination(), session.bench().notes());
  }

  private UnitSystem units() {
    return session.build().units();
  }

  private void choose(String key) {
    selected = key;
    refusal.clear();
    refresh();
  }

  /** Shows a kind; the cursor is in its first place that nobody has read. */
  public void read(OwnKind kind) {
    choose(kind.key());
    var ledger = ledger();
    for (int place = 1; place <= ledger.places(kind); place++) {
      for (int point = 0; point < kind.times(); point++) {
        if (ledger.at(kind, place, point).isEmpty()
            && lookup("#own-read-%d-%d".formatted(place, point)) instanceof TextField field) {
          field.requestFocus();
          return;
        }
      }
    }
  }

  private void refresh() {
    var ledger = ledger();
    if (ledger.kind(selected).isEmpty()) {
      selected = ledger.kinds().isEmpty() ? "" : ledger.kinds().getFirst().key();
    }
    kinds.getChildren().clear();
    for (var k : ledger.kinds()) {
      int read = ledger.over(k).size();
      var button = new ToggleButton("%s, %d/%d".formatted(k.label(), read, ledger.wanted(k)));
      button.setId("own-" + k.key().replace(' ', '-'));
      button.setSelected(k.key().equals(selected));
      button.setOnAction(e -> choose(k.key()));
      kinds.getChildren().add(button);
    }
    if (ledger.kinds().isEmpty()) {
      kinds
          .getChildren()
          .add(
              Page.hint(
                  "The shop has added no kind of reading yet. What it adds below is there on every"
                      + " build."));
    }
    var kind = ledger.kind(selected);
    form.show(kind);
    grid.getChildren().clear();
    band.setText(kind.map(this::says).orElse(""));
    kind.ifPresent(k -> fill(ledger, k));
  }

  private String says(OwnKind k) {
    double bore = session.build().combination().bottomEnd().bore().si();
    return k.band(bore)
        .map(
            b ->
                "Band: %s%s%s"
                    .formatted(
                        b.show(k.quantity(), units()),
                        k.perBore() ? ", by the bore" : "",
                        k.said().isBlank() ? "" : "; " + k.said()))
        .orElse("No band is said for it.");
  }

  private void fill(OwnLedger ledger, OwnKind k) {
    int row = 0;
    for (int place = 1; place <= ledger.places(k); place++) {
      for (int point = 0; point < k.times(); point++) {
        row(ledger, k, place, point, row);
        row++;
      }
    }
  }

  private void row(OwnLedger ledger, OwnKind k, int place, int point, int row) {
    var name = new Label(OwnLedger.where(k, place, point));
    name.setMinWidth(USE_PREF_SIZE);
    var field = Page.words("own-read-%d-%d".formatted(place, point), "", 9);
    field.setAccessibleText("%s, %s".formatted(k.label(), name.getText()));
    field.setOnAction(e -> keep(k, place, point, field, row, ""));
    // Where the cursor is, an instrument's reading goes.
    var kind = TakenBar.kindFor(k.quantity());
    field
        .focusedProperty()
        .subscribe(
            is -> {
              if (is) {
                waits(
                    kind,
                    typed -> {
                      field.setText(typed);
                      keep(k, place, point, field, row, kind.label());
                    });
              }
            });
    var value = ledger.at(k, place, point);
    var shown =
        new Label(
            value
                .map(
                    v ->
                        k.quantity().show(v.value(), units())
                            + (v.count() > 1
                                ? ", %d read, within %s"
                                    .formatted(v.count(), k.quantity().show(v.range(), units()))
                                : ""))
                .orElse("–"));
    shown.setId("own-value-%d-%d".formatted(place, point));
    shown.setMinWidth(USE_PREF_SIZE);
    var verdict = new Label();
    verdict.setMinWidth(USE_PREF_SIZE);
    value
        .flatMap(ledger::verdict)
        .ifPresent(
            v -> {
              verdict.setText(sign(v) + " " + v.word());
              verdict
                  .getStyleClass()
                  .add(v.isOutside() ? "outside" : v == Band.Verdict.INSIDE ? "inside" : "near");
            });
    var back = Page.button("Take back", "own-back-%d-%d".formatted(place, point));
    back.getStyleClass().add("small");
    back.setOnAction(e -> last(k, place, point).ifPresent(n -> session.strikeNote(n.id(), true)));
    Page.show(back, value.isPresent());
    grid.addRow(row, name, field, shown, verdict, back);
  }

  private static String sign(Band.Verdict v) {
    return v.isOutside() ? "▲" : v == Band.Verdict.INSIDE ? "●" : "◐";
  }

  private Optional<Kept> last(OwnKind k, int place, int point) {
    return session.bench().notes().stream()
        .filter(
            n ->
                !n.struck()
                    && n.note() instanceof OwnReading r
                    && r.kind().equals(k.key())
                    && r.place() == place
                    && r.point() == point)
        .reduce((a, b) -> b);
  }

  private void waits(Kind kind, Consumer<String> takes) {
    instruments.wants(kind, takes);
    take.setOnAction(
        e ->
            instruments
                .latest(kind)
                .filter(m -> m.state() != Message.State.FLAT)
                .ifPresent(m -> takes.accept(m.typed())));
  }

  /** Keeps what was typed or sent; the cursor goes to the next place. */
  private void keep(OwnKind k, int place, int point, TextField field, int row, String instrument) {
    try {
      double si = Entry.parse(field.getText(), k.quantity(), units(), 0);
      k.check(si);
      var taken =
          new Taken(by.getText().strip(), instrument, field.getText(), 0, 0, 0, "", Instant.now());
      session.keep(new OwnReading(k.key(), place, point, si, taken), by.getText().strip());
      refusal.clear();
      grid.getChildren().stream()
          .filter(n -> n instanceof TextField && GridPane.getRowIndex(n) == row + 1)
          .findFirst()
          .ifPresent(javafx.scene.Node::requestFocus);
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }

  /** What all kinds have outside of their bands, in words. */
  static List<String> tasks(Session session) {
    return new OwnLedger(session.build().combination(), session.bench().notes())
        .tasks(session.build().units());
  }
}
