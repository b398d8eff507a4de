package grandbore.desktop.controls;

import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import javafx.scene.control.TextField;

/** Numbers of a form that is kept as a whole, as they were typed. */
public final class TypedNumber {
  private TypedNumber() {}

  /**
   * SI; 0 where nothing was typed.
   *
   * @throws IllegalArgumentException naming the field, where it can't be read
   */
  public static double of(String what, TextField field, Quantity q, UnitSystem units) {
    if (field.getText().isBlank()) {
      return 0;
    }
    try {
      return Entry.parse(field.getText(), q, units, 0);
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException(what + ": " + e.getMessage(), e);
    }
  }

  /** Money, hours, days. */
  public static double plain(String what, TextField field) {
    return of(what, field, Quantity.COST, UnitSystem.METRIC);
  }
}
