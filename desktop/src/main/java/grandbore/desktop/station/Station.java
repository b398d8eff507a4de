package grandbore.desktop.station;

import grandbore.core.build.Build;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Readings;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Measured;
import grandbore.desktop.controls.ViewName;
import java.util.List;
import java.util.Set;
import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignA;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignE;
import org.kordamp.ikonli.materialdesign2.MaterialDesignF;
import org.kordamp.ikonli.materialdesign2.MaterialDesignG;
import org.kordamp.ikonli.materialdesign2.MaterialDesignR;
import org.kordamp.ikonli.materialdesign2.MaterialDesignS;

/** The stations of the work, in the trade's order. */
public enum Station {
  ENGINE(
      "Engine",
      MaterialDesignE.ENGINE_OUTLINE,
      List.of(),
      Set.of("displacement", "static_compression", "intake_path", "path_wanted", "overlap")),
  BRIEF(
      "Brief",
      MaterialDesignC.CLIPBOARD_TEXT_OUTLINE,
      List.of("mixture", "weather"),
      Set.of(
          "displacement",
          "mean_piston_speed",
          "correction_sae_j1349",
          "correction_sae_j607",
          "correction_din_70020",
          "correction_iso_1585")),
  BOTTOM_END(
      "Bottom end",
      MaterialDesignA.ARROW_COLLAPSE_DOWN,
      List.of("bottomEnd", "weights", "losses"),
      Set.of(
          "displacement",
          "rod_ratio",
          "mean_piston_speed",
          "deck_clearance",
          "dwell",
          "peak_acceleration",
          "reciprocating_mass",
          "bobweight")),
  COMPRESSION(
      "Compression",
      MaterialDesignA.ARROW_COLLAPSE_VERTICAL,
      List.of("compression"),
      Set.of(
          "clearance_volume",
          "static_compression",
          "effective_compression",
          "quench",
          "deck_clearance")),
  CAM(
      "Cam and valves",
      MaterialDesignS.SINE_WAVE,
      List.of("cam", "valveTrain", "valveHardware"),
      Set.of(
          "intake_opens",
          "intake_closes",
          "exhaust_opens",
          "exhaust_closes",
          "overlap",
          "seat_overlap",
          "intake_lift",
          "exhaust_lift",
          "separation_rule",
          "overlap_area",
          "spring_open",
          "intake_tappet_wanted",
          "exhaust_tappet_wanted")),
  HEADS(
      "Heads",
      MaterialDesignF.FAN,
      List.of("heads"),
      Set.of("intake_lift", "exhaust_lift", "mach_index", "limiting_speed", "port_speed")),
  BREATHING(
      "Breathing",
      MaterialDesignA.AIR_FILTER,
      List.of("intake", "boost", "nitrous", "exhaust"),
      Set.of(
          "intake_path",
          "path_wanted",
          "third_harmonic_from",
          "third_harmonic_to",
          "second_harmonic_from",
          "second_harmonic_to")),
  CLEARANCES(
      "Clearances",
      MaterialDesignR.RULER,
      List.of(),
      Set.of("static_compression", "deck_clearance", "quench", "clearance_volume")),
  PREDICTION(
      "Prediction",
      MaterialDesignC.CHART_BELL_CURVE,
      List.of(),
      Set.of("mean_piston_speed", "displacement", "static_compression", "effective_compression")),
  WEIGHING(
      "Weighing up",
      MaterialDesignS.SCALE_BALANCE,
      List.of(),
      Set.of("displacement", "static_compression")),
  DYNO(
      "Dyno day",
      MaterialDesignG.GAUGE,
      List.of("learned"),
      Set.of("displacement", "mean_piston_speed")),
  JOB("Job", MaterialDesignC.CLIPBOARD_CHECK_OUTLINE, List.of(), Set.of("displacement"));

  private final String title;
  private final Ikon icon;
  private final List<String> groups;
  private final Set<String> figures;

  Station(String title, Ikon icon, List<String> groups, Set<String> figures) {
    this.title = title;
    this.icon = icon;
    this.groups = groups;
    this.figures = figures;
  }

  public String title() {
    return title;
  }

  /** The key that goes there. */
  public String key() {
    return "Shortcut+"
        + switch (this) {
          case WEIGHING -> "W";
          case DYNO -> "P";
          case JOB -> "J";
          default -> String.valueOf(ordinal() + 1);
        };
  }

  /** Where the inputs of a group stand. */
  public static Station ofGroup(String group) {
    for (var s : values()) {
      if (s.groups.contains(group)) {
        return s;
      }
    }
    return switch (group) {
      case "brief" -> BRIEF;
      case "camCard", "degreed" -> CAM;
      case "seats" -> HEADS;
      case "worksheet" -> COMPRESSION;
      default -> BOTTOM_END;
    };
  }

  /** Where a figure stands, the whole engine's where it stands nowhere else. */
  public static Station ofFigure(String name) {
    for (var s : values()) {
      if (s != ENGINE && s.figures.contains(name)) {
        return s;
      }
    }
    return ENGINE;
  }

  /** The title where there is little room. */
  public String brief() {
    return title.replace(" and", ",");
  }

  public Ikon icon() {
    return icon;
  }

  /** Names of the figures that belong here. */
  public Set<String> figures() {
    return figures;
  }

  /**
   * How much of this station is measured, in words.
   *
   * @param brief whether there is little room for them
   */
  public String measured(Build build, Readings readings, Combination asMeasured, boolean brief) {
    if (this == ENGINE) {
      return brief ? "" : "the whole of it";
    }
    if (this == PREDICTION) {
      return brief ? "" : "of this engine";
    }
    if (this == WEIGHING) {
      return brief ? "" : "build against build";
    }
    if (this == DYNO) {
      return brief ? "" : "pulls and verdicts";
    }
    if (this == JOB) {
      return brief ? "" : "route, parts, money";
    }
    int measured = 0;
    int all = 0;
    if (this == CLEARANCES) {
      for (var m : Measurement.values()) {
        if (m.isTest()) {
          continue;
        }
        int places = m.places(build.combination().bottomEnd());
        for (var side : m.valueSides()) {
          int read = readings.over(m, places, side).size();
          // What nobody began to measure is not missing.
          all += read > 0 ? places : 0;
          measured += read;
        }
      }
    } else {
      var inputs = Measured.of(asMeasured, groups);
      measured = inputs.measured();
      all = inputs.all();
    }
    String words = brief ? "%d/%d" : all < 100 ? "%d of %d measured" : "%d/%d measured";
    return words.formatted(measured, all);
  }

  /** The views it is made of, in their order; none where it is one page. */
  public List<ViewName> views() {
    return switch (this) {
      case ENGINE, BRIEF -> List.of();
      case BOTTOM_END ->
          List.of(
              ViewName.BOTTOM_SECTION,
              ViewName.BOTTOM_STACK,
              ViewName.BOTTOM_MOTION,
              ViewName.BOTTOM_FORCES,
              ViewName.BOTTOM_BALANCE,
              ViewName.BOTTOM_LIMITS,
              ViewName.BOTTOM_OIL);
      case COMPRESSION ->
          List.of(
              ViewName.COMPRESSION_VOLUMES,
              ViewName.COMPRESSION_SOLVE,
              ViewName.COMPRESSION_BANKS,
              ViewName.COMPRESSION_FUEL,
              ViewName.COMPRESSION_TESTS);
      case CAM ->
          List.of(
              ViewName.CAM_LOBES,
              ViewName.CAM_CARD,
              ViewName.CAM_EVENTS,
              ViewName.CAM_SEPARATION,
              ViewName.CAM_DEGREEING,
              ViewName.CAM_SPRINGS,
              ViewName.CAM_PISTON,
              ViewName.CAM_MOTION);
      case HEADS ->
          List.of(
              ViewName.HEADS_FLOW,
              ViewName.HEADS_SIZING,
              ViewName.HEADS_SEATS,
              ViewName.HEADS_PORTS);
      case BREATHING ->
          List.of(
              ViewName.BREATHING_PATH,
              ViewName.BREATHING_WAVES,
              ViewName.BREATHING_TUNING,
              ViewName.BREATHING_LOSSES);
      case CLEARANCES ->
          List.of(
              ViewName.BENCH_READINGS,
              ViewName.BENCH_TODO,
              ViewName.BENCH_GUIDED,
              ViewName.BENCH_OWN,
              ViewName.BENCH_TORQUE,
              ViewName.BENCH_ASSEMBLY,
              ViewName.BENCH_FINDINGS,
              ViewName.BENCH_BOOK);
      case PREDICTION ->
          List.of(ViewName.VIEW_ONE, ViewName.VIEW_ALL, ViewName.VIEW_LOSSES, ViewName.VIEW_SLOW);
      case WEIGHING ->
          List.of(
              ViewName.WEIGHING_BESIDE,
              ViewName.WEIGHING_LADDER,
              ViewName.WEIGHING_SHELF,
              ViewName.WEIGHING_SWEEP,
              ViewName.WEIGHING_MAP,
              ViewName.WEIGHING_LIMITS,
              ViewName.WEIGHING_SEARCH,
              ViewName.WEIGHING_DOUBT,
              ViewName.WEIGHING_KEPT);
      case DYNO ->
          List.of(
              ViewName.DYNO_BEFORE,
              ViewName.DYNO_GAUGES,
              ViewName.DYNO_PULLS,
              ViewName.DYNO_LOG,
              ViewName.DYNO_DAYS,
              ViewName.DYNO_CAUSE,
              ViewName.DYNO_LEARN);
      case JOB ->
          List.of(
              ViewName.JOB_ROUTE,
              ViewName.JOB_PARTS,
              ViewName.JOB_ORDERS,
              ViewName.JOB_MONEY,
              ViewName.JOB_STATES);
    };
  }
}
