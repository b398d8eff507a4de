package grandbore.desktop;

import grandbore.core.clearances.Ledger;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.prediction.Curve;
import grandbore.core.units.Quantity;
import grandbore.core.valvetrain.FlatTappet;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.curve.Limits;
import grandbore.desktop.session.Session;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/**
 * One line along the foot: trouble first, then what is outside its band, then how the curve went.
 */
final class FootLine extends HBox {
  private final Session session;
  private final Label words = new Label();
  private final Label speed = new Label();
  private String said = "";
  private Curve curve;

  FootLine(Session session, CurveService service) {
    this.session = session;
    getStyleClass().add("foot");
    words.setId("foot");
    var space = new Region();
    HBox.setHgrow(space, Priority.ALWAYS);
    speed.getStyleClass().add("soft");
    getChildren().addAll(words, space, speed);
    session.benchProperty().subscribe(b -> refresh(""));
    session.troubleProperty().subscribe(t -> refresh(said));
    session.refusalProperty().subscribe(t -> refresh(said));
    service
        .stateProperty()
        .subscribe(
            s -> {
              curve = s.curve();
              speed.setText(
                  curve == null
                      ? ""
                      : "%d speeds in %d ms".formatted(curve.points().size(), s.milliseconds()));
              refresh(said);
            });
  }

  /** Shows a message until the next edit. */
  void say(String message) {
    refresh(message);
  }

  private void refresh(String message) {
    said = message;
    String trouble = session.troubleProperty().get();
    words.getStyleClass().removeAll("outside", "near");
    if (trouble.isEmpty()) {
      trouble = session.refusalProperty().get();
    }
    if (!trouble.isEmpty()) {
      words.setText("✕ " + trouble);
      words.getStyleClass().add("outside");
    } else if (!message.isEmpty()) {
      words.setText(message);
    } else {
      words.setText(worst());
    }
  }

  /** What is wrong with the record itself comes before what it says. */
  private Optional<String> wrong() {
    var bench = session.bench();
    var damages = bench.damages();
    if (!damages.isEmpty()) {
      String more = damages.size() == 1 ? "" : " (and %d more)".formatted(damages.size() - 1);
      return Optional.of("▲ Damaged in the book: " + damages.getFirst().line() + more);
    }
    return bench
        .contradiction()
        .map(why -> "▲ Readings and specification contradict each other: " + why)
        .or(() -> session.books().troubles().stream().findFirst().map(t -> "▲ " + t));
  }

  private String worst() {
    var wrong = wrong();
    if (wrong.isPresent()) {
      words.getStyleClass().add("outside");
      return wrong.get();
    }
    var build = session.build();
    var ledger = session.ledger();
    for (var m : Measurement.values()) {
      for (var side : m.valueSides()) {
        var band = ledger.band(m, side);
        for (var placed : band.isPresent() ? ledger.over(m, side) : List.<Ledger.Placed>of()) {
          var verdict = band.get().judge(placed.value().si());
          if (verdict.isOutside()) {
            words.getStyleClass().add("outside");
            return "▲ %s, %s, %s: %s, band %s"
                .formatted(
                    m.label(),
                    m.at(placed.place(), m.isTwoSided() ? Reading.Side.NONE : side),
                    verdict.word(),
                    m.quantity().show(placed.value().si(), build.units()),
                    band.get().show(m.quantity(), build.units()));
          }
        }
      }
    }
    var tappet = FlatTappet.tooNarrow(build.combination());
    if (tappet.isPresent()) {
      words.getStyleClass().add("outside");
      return "▲ The lobe runs over the edge of a flat tappet narrower than "
          + Quantity.LENGTH.show(tappet.get(), build.units());
    }
    var limit = curve == null ? Optional.<String>empty() : Limits.of(curve);
    if (limit.isPresent()) {
      words.getStyleClass().add("outside");
      return limit.get();
    }
    return session.readings().all().isEmpty()
        ? "Nothing measured yet: every number is assumed or from a card"
        : "● Every clearance that has a band lies inside it";
  }
}
