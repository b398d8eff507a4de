package grandbore.core.job.route;

/** The part of a job that a step belongs to. */
public enum Stage {
  PLAN("Plan"),
  STRIP("Strip and look"),
  MACHINE("Machine work"),
  MOCK_UP("Mock-up"),
  ASSEMBLY("Assembly"),
  DYNO("Dyno and hand over");

  private final String title;

  Stage(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
