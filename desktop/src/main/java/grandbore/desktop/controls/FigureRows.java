package grandbore.desktop.controls;

import grandbore.core.working.Figure;
import grandbore.desktop.session.Session;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javafx.scene.layout.VBox;

/** Some of a build's figures, kept in step with it. */
public final class FigureRows extends VBox {
  private final Session session;
  private final List<String> names;
  private final Set<String> open = new HashSet<>();

  /**
   * @param names of the figures, in the order shown; those this build does not have are left out
   */
  public FigureRows(Session session, String... names) {
    this.session = session;
    this.names = List.of(names);
    getStyleClass().add("rows");
    WhenSeen.refresh(this, this::refresh, session.buildProperty(), session.readingsProperty());
  }

  private void refresh() {
    getChildren().clear();
    names.forEach(n -> session.figure(n).ifPresent(this::add));
    setVisible(!getChildren().isEmpty());
    setManaged(isVisible());
  }

  private void add(Figure f) {
    getChildren().add(new FigureRow(f, session.build().units(), open));
  }
}
