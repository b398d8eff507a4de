package grandbore.desktop.controls;

/** The views that stations are made of, by the words on their buttons. */
public enum ViewName {
  BOTTOM_SECTION("Section", "bottom-section"),
  BOTTOM_STACK("Stack and fits", "bottom-stack"),
  BOTTOM_MOTION("Motion", "bottom-motion"),
  BOTTOM_FORCES("Forces", "bottom-forces"),
  BOTTOM_BALANCE("Balance", "bottom-balance"),
  BOTTOM_LIMITS("Limits", "bottom-limits"),
  BOTTOM_OIL("Oil", "bottom-oil"),
  COMPRESSION_VOLUMES("Volumes", "compression-volumes"),
  COMPRESSION_SOLVE("Solve", "compression-solve"),
  COMPRESSION_BANKS("Banks and heads", "compression-banks"),
  COMPRESSION_FUEL("Fuel", "compression-fuel"),
  COMPRESSION_TESTS("Tests", "compression-tests"),
  CAM_LOBES("Lobes", "cam-lobes"),
  CAM_CARD("Card", "cam-card"),
  CAM_EVENTS("Events", "cam-events"),
  CAM_SEPARATION("Separation", "cam-separation"),
  CAM_DEGREEING("Degreeing", "cam-degreeing"),
  CAM_SPRINGS("Springs", "cam-springs"),
  CAM_PISTON("To piston", "cam-piston"),
  CAM_MOTION("Motion", "cam-motion"),
  HEADS_FLOW("Flow", "heads-flow"),
  HEADS_SIZING("Sizing", "heads-sizing"),
  HEADS_SEATS("Seats", "heads-seats"),
  HEADS_PORTS("Ports that differ", "heads-ports"),
  BREATHING_PATH("Path", "breathing-path"),
  BREATHING_WAVES("Waves", "breathing-waves"),
  BREATHING_TUNING("Tuning", "breathing-tuning"),
  BREATHING_LOSSES("Losses", "breathing-losses"),
  BENCH_READINGS("Readings", "bench-readings"),
  BENCH_TODO("To do", "bench-todo"),
  BENCH_GUIDED("Guided", "bench-guided"),
  BENCH_OWN("Own", "bench-own"),
  BENCH_TORQUE("Torque", "bench-torque"),
  BENCH_ASSEMBLY("Assembly", "bench-assembly"),
  BENCH_FINDINGS("Strip-down", "bench-findings"),
  BENCH_BOOK("Book", "bench-book"),
  VIEW_ONE("One speed", "view-one"),
  VIEW_ALL("All speeds", "view-all"),
  VIEW_LOSSES("Losses", "view-losses"),
  VIEW_SLOW("Idle and cranking", "view-slow"),
  WEIGHING_BESIDE("Side by side", "weighing-beside"),
  WEIGHING_LADDER("Ladder", "weighing-ladder"),
  WEIGHING_SHELF("Shelf", "weighing-shelf"),
  WEIGHING_SWEEP("Sweep", "weighing-sweep"),
  WEIGHING_MAP("Map", "weighing-map"),
  WEIGHING_LIMITS("What bites first", "weighing-limits"),
  WEIGHING_SEARCH("Search", "weighing-search"),
  WEIGHING_DOUBT("Doubt and what to measure", "weighing-doubt"),
  WEIGHING_KEPT("Kept", "weighing-kept"),
  DYNO_BEFORE("Before", "dyno-before"),
  DYNO_GAUGES("Gauges", "dyno-gauges"),
  DYNO_PULLS("Pulls", "dyno-pulls"),
  DYNO_LOG("Log", "dyno-log"),
  DYNO_DAYS("Days", "dyno-days"),
  DYNO_CAUSE("Find the cause", "dyno-cause"),
  DYNO_LEARN("Learn", "dyno-learn-view"),
  JOB_ROUTE("Route", "job-route"),
  JOB_PARTS("Parts", "job-parts"),
  JOB_ORDERS("Orders", "job-orders"),
  JOB_MONEY("Money", "job-money"),
  JOB_STATES("States", "job-states");

  private final String title;
  private final String id;

  ViewName(String title, String id) {
    this.title = title;
    this.id = id;
  }

  public String title() {
    return title;
  }

  /** Of its button. */
  public String id() {
    return id;
  }
}
