package grandbore.desktop.controls;

import grandbore.core.combination.Combination;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.desktop.session.Session;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Solved unknowns, each with its working and a button that takes it into the build. */
public final class SolvedRows extends VBox {
  /**
   * One unknown.
   *
   * @param figure that shows it
   * @param field it would go to
   * @param value what it has to be, SI
   * @param free whether the brief lets it change
   */
  public record Solved(
      String figure,
      Specs.Field field,
      ToDoubleFunction<Combination> value,
      Predicate<Combination> free) {}

  private final Session session;
  private final List<Solved> all;
  private final Set<String> open = new HashSet<>();

  public SolvedRows(Session session, List<Solved> all) {
    this.session = session;
    this.all = List.copyOf(all);
    getStyleClass().add("rows");
    WhenSeen.refresh(this, this::refresh, session.buildProperty(), session.readingsProperty());
  }

  private void refresh() {
    getChildren().clear();
    var build = session.build();
    var figures = session.figures();
    for (var s : all) {
      for (var f : figures) {
        if (f.name().equals(s.figure)) {
          var row = new FigureRow(f, build.units(), open);
          HBox.setHgrow(row, Priority.ALWAYS);
          boolean kept = !s.free.test(build.combination());
          var refused = kept ? Optional.of("The brief keeps this part") : refusal(s);
          var take = new Button(kept ? "Kept" : refused.isPresent() ? "Can't be" : "Take");
          take.setId("take-" + s.figure);
          take.setDisable(refused.isPresent());
          refused.map(Tooltip::new).ifPresent(t -> Tooltip.install(row, t));
          take.setAccessibleText(refused.orElse("Take " + f.label()));
          take.getStyleClass().add("small");
          take.setMinWidth(66);
          take.setOnAction(e -> take(s));
          var line = new HBox(6, row, take);
          line.setAlignment(Pos.TOP_LEFT);
          getChildren().add(line);
        }
      }
    }
    setVisible(!getChildren().isEmpty());
    setManaged(isVisible());
  }

  /** Why a solved value can't be, nothing where it can. */
  private Optional<String> refusal(Solved s) {
    var given = s.field.get(session.build().combination());
    try {
      double si = s.value.applyAsDouble(session.engine().combination());
      s.field.with(session.build().combination(), given.with(si, Provenance.ASSUMED));
      return Optional.empty();
    } catch (InvalidInput e) {
      return Optional.of(e.getMessage());
    }
  }

  private void take(Solved s) {
    var given = s.field.get(session.build().combination());
    double si = s.value.applyAsDouble(session.engine().combination());
    try {
      session.put(s.field, given.with(si, Provenance.ASSUMED));
    } catch (InvalidInput e) {
      session.refuse(e.getMessage());
    }
  }
}
