package grandbore.desktop.weighing;

import grandbore.core.studies.Goal;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.results.Shown;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import javafx.scene.control.ComboBox;

/**
 * How goals are shown: in the unit of what they are, money as what is spent.
 *
 * @param symbol of the unit
 * @param in the unit, from SI
 */
record GoalUnit(String symbol, DoubleUnaryOperator in) {
  static GoalUnit of(Goal goal, UnitSystem units) {
    var shown = new Shown(units);
    return switch (goal) {
      case BAND_POWER, PEAK_POWER -> new GoalUnit(shown.power().symbol(), shown.power()::fromSi);
      case BAND_TORQUE, LEAST_TORQUE ->
          new GoalUnit(shown.torque().symbol(), shown.torque()::fromSi);
      case OCTANE -> new GoalUnit("octane", si -> si);
      case PISTON_TO_VALVE -> of(Quantity.CLEARANCE.unit(units));
      case IDLE_VACUUM -> of(Quantity.PRESSURE.unit(units));
      case THRIFT -> new GoalUnit("money", si -> -si);
    };
  }

  private static GoalUnit of(Measure unit) {
    return new GoalUnit(unit.symbol(), unit::fromSi);
  }

  double of(double si) {
    return in.applyAsDouble(si);
  }

  /** How many digits after the point its numbers have on a plot: {@code %.1f}. */
  static String format(Goal goal, UnitSystem units) {
    return goal == Goal.PISTON_TO_VALVE
        ? "%%.%df".formatted(Quantity.CLEARANCE.digits(units) - 1)
        : "%.1f";
  }

  /** What an engine over a sweep may be scored by; what changes cost is no matter there. */
  static List<Goal> scores() {
    return Arrays.stream(Goal.values()).filter(g -> g != Goal.THRIFT).toList();
  }

  /** A list of goals to choose from. */
  static ComboBox<Goal> box(String id, String says, String none) {
    var box = new ComboBox<Goal>();
    box.setId(id);
    box.setAccessibleText(says);
    box.setConverter(ShownAs.of(none, Goal::label));
    return box;
  }
}
