package grandbore.core.waves;

import java.util.List;

/** A pipe's shape and walls, section after section, SI. */
public record PipeShape(List<Section> sections) {
  /**
   * @param length m
   * @param startArea m²
   * @param endArea m², the diameter running straight between the two
   * @param wall its temperature, and what it gives its heat to
   * @param frictionFactor multiple of the smooth straight pipe's friction, for bends and roughness
   * @param heatFactor multiple of Colburn's heat transfer of a smooth pipe, for pulsating entry
   *     flow
   * @param bendLoss velocity heads lost in the section's bends
   */
  public record Section(
      double length,
      double startArea,
      double endArea,
      Wall wall,
      double frictionFactor,
      double heatFactor,
      double bendLoss) {
    /**
     * With a wall kept at a temperature.
     *
     * @param wallTemperature K
     */
    public Section(
        double length,
        double startArea,
        double endArea,
        double wallTemperature,
        double frictionFactor,
        double heatFactor,
        double bendLoss) {
      this(
          length,
          startArea,
          endArea,
          Wall.kept(wallTemperature),
          frictionFactor,
          heatFactor,
          bendLoss);
    }

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

  /**
   * A stretch of it as one section: factors as their means by length, the wall as hot at first as
   * it is on the mean of the heat that it gives, and giving away what its parts do, bends as many
   * as lie in the stretch. So that a cell's walls change as little as the pipe's lengths do,
   * wherever the cell's ends fall.
   *
   * @param from distance from the start, m
   * @param to farther on, m
   */
  Section between(double from, double to) {
    double length = to - from;
    double friction = 0;
    double heat = 0;
    double bends = 0;
    double hot = 0;
    double hotByHeat = 0;
    double outside = 0;
    double conductance = 0;
    double carried = 0;
    double emissivity = 0;
    double start = 0;
    for (var s : sections) {
      double share = overlap(from, to, start, start + s.length) / length;
      friction += share * s.frictionFactor;
      heat += share * s.heatFactor;
      bends += share * length * s.bendLoss / s.length;
      hot += share * s.wall.temperature();
      hotByHeat += share * s.heatFactor * s.wall.temperature();
      outside += share * s.wall.outside();
      conductance += share * s.wall.conductance();
      carried += share * s.wall.conductance() * s.wall.outside();
      emissivity += share * s.wall.emissivity();
      start += s.length;
    }
    var wall =
        new Wall(
            heat > 0 ? hotByHeat / heat : hot,
            conductance > 0 ? carried / conductance : outside,
            conductance,
            emissivity);
    return new Section(length, areaAt(from), areaAt(to), wall, friction, heat, bends);
  }

  private static double overlap(double a, double b, double c, double d) {
    return Math.max(0, Math.min(b, d) - Math.max(a, c));
  }

  /** Volume of a stretch, m³. */
  double volume(double from, double to) {
    double volume = 0;
    double start = 0;
    for (var s : sections) {
      double a = Math.max(from, start) - start;
      double b = Math.min(to, start + s.length) - start;
      if (b > a) {
        // Of an area that is a square of the place this is exact.
        volume += (b - a) * (s.areaAt(a) + 4 * s.areaAt(0.5 * (a + b)) + s.areaAt(b)) / 6;
      }
      start += s.length;
    }
    return volume;
  }

  /**
   * Area of a face between two cells, m²: that at its place, or where sections meet within half a
   * cell of it, the mean over a cell's length, so that a step of the area does not jump from face
   * to face.
   *
   * @param cell length of a cell, m
   */
  double faceArea(double x, double cell) {
    double whole = length();
    if (x < 0.5 * cell || x > whole - 0.5 * cell) {
      return areaAt(x);
    }
    double start = 0;
    for (var s : sections) {
      start += s.length;
      if (start < whole - 1e-12 && Math.abs(start - x) < 0.5 * cell) {
        return volume(x - 0.5 * cell, x + 0.5 * cell) / cell;
      }
    }
    return areaAt(x);
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
