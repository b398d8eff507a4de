package grandbore.desktop.controls;

import grandbore.desktop.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import javafx.scene.layout.VBox;

/**
 * The firing order as it is cast on a manifold: 1-8-4-3-6-5-7-2; where firing is uneven each number
 * is followed by the crank degrees to the next: 1(405)-2(315).
 */
public final class FiringField extends VBox {
  /** A cylinder, and in brackets the degrees to the next. */
  private static final Pattern FIRING = Pattern.compile("(\\d+)(?:\\((\\d+(?:\\.\\d+)?)\\))?");

  private final Session session;

  public FiringField(Session session) {
    this.session = session;
    var refusal = new Refusal();
    var field = new CommitField("Firing order", this::take, refusal);
    field.setId("firing-order");
    field.setColumns(12);
    getChildren().addAll(field, refusal);
    session.buildProperty().subscribe(b -> field.show(text()));
  }

  private String text() {
    var e = session.build().combination().bottomEnd();
    var parts = new ArrayList<String>();
    for (int i = 0; i < e.firingOrder().size(); i++) {
      String number = String.valueOf(e.firingOrder().get(i));
      parts.add(
          e.firingIntervals().isEmpty()
              ? number
              : number + "(%.0f)".formatted(e.firingIntervals().get(i)));
    }
    return parts.stream().collect(Collectors.joining("-"));
  }

  private void take(String typed) {
    List<Integer> order = new ArrayList<>();
    List<Double> intervals = new ArrayList<>();
    for (String part : typed.strip().split("[-–, ]+", -1)) {
      var m = FIRING.matcher(part);
      if (!m.matches()) {
        throw new IllegalArgumentException(
            "Firing order: “" + part + "” can't be read; write 1-3-4-2, uneven as 1(405)-2(315)");
      }
      order.add(Integer.parseInt(m.group(1)));
      if (m.group(2) != null) {
        intervals.add(Double.parseDouble(m.group(2)));
      }
    }
    session.edit(
        "Firing order",
        b -> {
          var c = b.combination();
          boolean even = intervals.isEmpty();
          var cleared = c.with("bottomEnd.firingIntervals", List.of());
          var ordered = cleared.with("bottomEnd.firingOrder", List.copyOf(order));
          return b.with(
              even ? ordered : ordered.with("bottomEnd.firingIntervals", List.copyOf(intervals)));
        });
  }
}
