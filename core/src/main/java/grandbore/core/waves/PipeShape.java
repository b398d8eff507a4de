package grandbore.core.waves;

import java.util.List;

/** A pipe's shape and walls, section after section, SI. */
public record PipeShape(List<Section> sections) {
  /**
   * @param length m
   * @param startArea m²
   * @param endArea m², the diameter running straight between the two
   * @param wallTemperature K
   * @param frictionFactor multiple of the smooth straight pipe's friction, for bends and roughness
   * @param heatFactor multiple of Colburn's heat transfer of a smooth pipe, for pulsating entry
   *     flow
   * @param bendLoss velocity heads lost in the section's bends
   */
  public record Section(
      double length,
      double startArea,
      double endArea,
      double wallTemperature,
      double frictionFactor,
      double heatFactor,
      double bendLoss) {
    private double areaAt(double x) {
      double a = Math.sqrt(startArea);
      double d = a + x / length * (Math.sqrt(endArea) - a);
      return d * d;
    }
  }

  public PipeShape {
    sections = List.copyOf(sections);
  }

  /** A smooth adiabatic frictionless pipe, for checks against acoustics and shock tubes. */
  public static PipeShape ideal(double length, double startArea, double endArea) {
    return new PipeShape(List.of(new Section(length, startArea, endArea, 300, 0, 0, 0)));
  }

  /** Of the whole shape, m. */
  public double length() {
    return sections.stream().mapToDouble(Section::length).sum();
  }

  /** The section at a distance from the start, m. */
  Section at(double x) {
    double from = 0;
    for (var s : sections) {
      if (x < from + s.length) {
        return s;
      }
      from += s.length;
    }
    return sections.getLast();
  }

  /** Area at a distance from the start, m². */
  double areaAt(double x) {
    double from = 0;
    for (var s : sections) {
      if (x <= from + s.length) {
        return s.areaAt(x - from);
      }
      from += s.length;
    }
    return sections.getLast().endArea;
  }
}
