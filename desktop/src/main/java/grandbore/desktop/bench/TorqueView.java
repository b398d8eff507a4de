package grandbore.desktop.bench;

import grandbore.book.FastenerCsv;
import grandbore.core.clearances.Fastener;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Tick;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.drawing.FastenerDrawing;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import grandbore.instruments.Kind;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Fasteners as their makers state them: stages in sequence, ticked off; loosened the other way. */
final class TorqueView extends VBox {
  /** Torque wrenches are good for four percent (common practice, no source). */
  private static final double WRENCH_TOLERANCE = 0.04;

  private final Session session;
  private final Look look;
  private final VBox rows = new VBox(12);
  private final Refusal refusal = new Refusal();
  private final TextField name = Page.words("fastener-name", "head bolts", 26);
  private final TextField lubricant = Page.words("fastener-lubricant", "as stated", 26);
  private final TextField inRows = Page.words("fastener-rows", "2", 26);
  private final TextField sequence = Page.words("fastener-sequence", "5 3 4 6 2 1", 26);
  private final TextField stages = Page.words("fastener-stages", "12 lb·ft; 30 deg; 0.004 in", 26);
  private final Map<String, FastenerDrawing> drawings = new HashMap<>();

  TorqueView(Session session, Look look, Instruments instruments) {
    super(10);
    this.session = session;
    this.look = look;
    var keep = new Button("Keep");
    keep.setId("fastener-keep");
    keep.setMinWidth(USE_PREF_SIZE);
    keep.setOnAction(
        e ->
            keep(
                () ->
                    List.of(
                        FastenerCsv.fastener(
                            name.getText(),
                            lubricant.getText(),
                            inRows.getText(),
                            sequence.getText(),
                            stages.getText()))));
    var load = new Button("Load a table");
    load.setId("fastener-load");
    load.setMinWidth(USE_PREF_SIZE);
    load.setOnAction(e -> CsvFile.open(this, "Fasteners (CSV)", this::load));
    var entry = new GridPane();
    entry.getStyleClass().add("readings");
    int row = 0;
    for (var each :
        List.of(
            Map.entry("Fasteners", name),
            Map.entry("Lubricant", lubricant),
            Map.entry("Sequence", sequence),
            Map.entry("Standing in rows", inRows),
            Map.entry("Stages", stages))) {
      var label = new Label(each.getKey());
      label.setMinWidth(USE_PREF_SIZE);
      each.getValue().setAccessibleText(each.getKey());
      entry.addRow(row++, label, each.getValue());
    }
    entry.add(new HBox(8, keep, load), 1, row);
    refusal.setId("fastener-refusal");
    getChildren()
        .addAll(
            entry,
            refusal,
            rows,
            Page.caution(
                "Nothing is built in here: torque, angle or stretch, their order and the lubricant"
                    + " are what the maker of the fastener states. Another lubricant clamps quite"
                    + " differently at the same torque."));
    WhenSeen.refresh(this, this::refresh, session.notesProperty(), session.buildProperty());
    parentProperty()
        .subscribe(
            parent -> {
              if (parent != null) {
                instruments.wants(Kind.WRENCH, this::pulled);
              }
            });
  }

  /** A wrench's pull: ticks the first stage that waits, where it comes to its torque. */
  private void pulled(String typed) {
    double torque = Entry.parse(typed, Quantity.TORQUE, session.build().units(), 0);
    for (var f : session.notes(Fastener.class)) {
      for (int i = 1; i <= f.stages().size(); i++) {
        var tick = Tick.stage(f, i);
        if (AssemblyView.signed(session, tick).isPresent()) {
          continue;
        }
        var stage = f.stages().get(i - 1);
        if (stage.kind() == Fastener.Kind.TORQUE
            && Math.abs(torque / stage.value() - 1) <= WRENCH_TOLERANCE) {
          session.keep(tick, "");
          return;
        }
        break;
      }
    }
    refusal.say("a pull of %s is no stage that waits".formatted(typed));
  }

  /** Fasteners from a table. */
  void load(Path file) {
    keep(
        () -> {
          try {
            return FastenerCsv.read(Files.readString(file, StandardCharsets.UTF_8));
          } catch (IOException e) {
            throw new IllegalArgumentException(
                file.getFileName() + " could not be read: " + e.getMessage(), e);
          }
        });
  }

  private void keep(java.util.function.Supplier<List<Fastener>> stated) {
    try {
      for (var f : stated.get()) {
        session.keep(f, "");
      }
      refusal.clear();
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }

  private void refresh() {
    rows.getChildren().clear();
    for (var kept : session.bench().notes()) {
      if (!kept.struck() && kept.note() instanceof Fastener f) {
        rows.getChildren().add(row(kept, f));
      }
    }
    if (rows.getChildren().isEmpty()) {
      rows.getChildren()
          .add(
              Page.hint("No fasteners yet: enter them from their maker's sheet, or load a table."));
    }
  }

  private VBox row(Kept kept, Fastener f) {
    var title = new Label("%s, %d, %s".formatted(f.name(), f.sequence().size(), f.lubricant()));
    title.getStyleClass().add("pane-title");
    var strike = new Button("strike");
    strike.getStyleClass().addAll("flat", "small");
    strike.setOnAction(e -> session.strikeNote(kept.id(), true));
    var boxes = new ArrayList<CheckBox>();
    var units = session.build().units();
    int done = 0;
    for (int i = 1; i <= f.stages().size(); i++) {
      var tick = Tick.stage(f, i);
      var signed = AssemblyView.signed(session, tick);
      var box =
          new CheckBox("stage %d: %s".formatted(i, FastenerCsv.show(f.stages().get(i - 1), units)));
      box.setId("tick-" + f.name().toLowerCase(Locale.ROOT).replace(' ', '-') + "-" + i);
      box.setSelected(signed.isPresent());
      // A stage is only ticked after the one before it.
      box.setDisable(i > done + 1);
      done = signed.isPresent() && i == done + 1 ? i : done;
      box.setOnAction(
          e ->
              signed.ifPresentOrElse(
                  k -> session.strikeNote(k.id(), true), () -> session.keep(tick, "")));
      boxes.add(box);
    }
    var loosened = new CheckBox("loosened, in the order turned round");
    var off = AssemblyView.signed(session, Tick.loosened(f));
    loosened.setSelected(off.isPresent());
    loosened.setOnAction(
        e ->
            off.ifPresentOrElse(
                k -> session.strikeNote(k.id(), true), () -> session.keep(Tick.loosened(f), "")));
    var ticks = new FlowPane(12, 4);
    ticks.getChildren().addAll(boxes);
    ticks.getChildren().add(loosened);
    var drawing = drawings.computeIfAbsent(f.name(), n -> new FastenerDrawing(session, look));
    drawing.show(f, done, off.isPresent());
    return new VBox(4, new HBox(8, title, strike), drawing, ticks);
  }
}
