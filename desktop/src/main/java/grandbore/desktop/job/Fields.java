package grandbore.desktop.job;

import grandbore.core.combination.InvalidInput;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.controls.TypedNumber;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.function.Function;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;

/** Fields of the forms of the job, and what is typed into them. */
final class Fields {
  private static final int MONTH = 31;

  private Fields() {}

  static TextField field(String id, String prompt, int columns) {
    return Page.words(id, prompt, columns);
  }

  /** A choice of one of several. */
  static <T> ComboBox<T> choice(String id, Function<T, String> title, Collection<T> all) {
    var box = new ComboBox<T>();
    box.setId(id);
    box.getItems().setAll(all);
    box.setConverter(ShownAs.of(title));
    return box;
  }

  /** A menu in which any of several may be chosen. */
  static final class Several<T> extends MenuButton {
    private final Set<T> chosen = new LinkedHashSet<>();
    private final Function<T, String> title;

    Several(String id, Function<T, String> title) {
      this.title = title;
      setId(id);
      setMaxWidth(260);
    }

    /** Offers these, some of them chosen. */
    void offer(Collection<? extends T> all, Collection<? extends T> some) {
      getItems().clear();
      chosen.clear();
      chosen.addAll(some);
      for (var t : all) {
        var item = new CheckMenuItem(title.apply(t));
        item.setSelected(chosen.contains(t));
        item.selectedProperty()
            .subscribe(
                is -> {
                  if (is) {
                    chosen.add(t);
                  } else {
                    chosen.remove(t);
                  }
                  say();
                });
        getItems().add(item);
      }
      say();
    }

    private void say() {
      setText(
          chosen.isEmpty()
              ? "none"
              : chosen.size() == 1
                  ? title.apply(chosen.iterator().next())
                  : chosen.size() + " chosen");
    }

    Set<T> chosen() {
      return Set.copyOf(chosen);
    }
  }

  static int whole(String what, TextField field) {
    double v = TypedNumber.plain(what, field);
    if (v != Math.rint(v)) {
      throw new InvalidInput(what, field.getText(), "a whole number", "days are counted");
    }
    return (int) v;
  }

  /**
   * A day as it was typed: {@code 2026-12-04}, {@code 4.12.}, or so many days from today: {@code
   * +10}; {@code null} where nothing was.
   */
  static LocalDate day(String what, TextField field, LocalDate today) {
    String text = field.getText().strip();
    if (text.isEmpty()) {
      return null;
    }
    try {
      if (text.matches("\\+\\d{1,4}")) {
        return today.plusDays(Long.parseLong(text.substring(1)));
      }
      if (text.matches("\\d{1,2}\\.\\d{1,2}\\.?")) {
        var parts = text.split("\\.", -1);
        var day =
            LocalDate.of(today.getYear(), Integer.parseInt(parts[1]), Integer.parseInt(parts[0]));
        // The next day of that name, a month back at most.
        return day.isBefore(today.minusDays(MONTH)) ? day.plusYears(1) : day;
      }
      return LocalDate.parse(text);
    } catch (DateTimeException e) {
      throw wrong(what, text, e);
    }
  }

  private static InvalidInput wrong(String what, String text, RuntimeException e) {
    var wrong =
        new InvalidInput(
            what, "“" + text + "”", "2026-12-04, 4.12. or +10", "dates are reckoned with it");
    wrong.initCause(e);
    return wrong;
  }

  /** A number without what nobody needs to see, empty for 0. */
  static String plain(double value) {
    return value == 0
        ? ""
        : value == Math.rint(value) ? "%.0f".formatted(value) : "%.2f".formatted(value);
  }

  static String plain(LocalDate day) {
    return day == null ? "" : day.toString();
  }
}
