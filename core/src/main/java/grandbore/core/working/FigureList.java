package grandbore.core.working;

import grandbore.core.build.Build;
import grandbore.core.checks.CheckList;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.Provenance;
import grandbore.core.units.Measure;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;

/** Gathers figures of one build, its measured values in place. */
abstract class FigureList {
  static final String GEOMETRY = "geometry";
  static final String PRACTICE = CheckList.PRACTICE;

  private final Combination c;
  private final UnitSystem units;
  private final double topSpeed;
  private final List<Figure> figures = new ArrayList<>();

  /**
   * @param build with its measured values in place
   */
  FigureList(Build build) {
    c = build.combination();
    units = build.units();
    topSpeed = build.speeds().to();
  }

  final List<Figure> figures() {
    return figures;
  }

  final Combination c() {
    return c;
  }

  final UnitSystem units() {
    return units;
  }

  /** The highest speed of the curve, rev/min. */
  final double topSpeed() {
    return topSpeed;
  }

  /** The same in rad/s. */
  final double topRotation() {
    return Measure.RPM.toSi(topSpeed);
  }

  final String atTop(String label) {
    return "%s at %,.0f rpm".formatted(label, topSpeed);
  }

  final String show(Given g) {
    return g.quantity().show(g.si(), units);
  }

  static Provenance weakest(Given... inputs) {
    var p = Provenance.REPEATED;
    for (var g : inputs) {
      p = p.and(g.provenance());
    }
    return p;
  }

  final void add(
      String name,
      String label,
      double si,
      Quantity q,
      Provenance from,
      String formula,
      String putIn,
      String source) {
    figures.add(new Figure(name, label, si, q, from, formula, putIn, source));
  }
}
