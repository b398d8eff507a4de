package grandbore.book;

import grandbore.core.build.Build;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.OnJob;
import grandbore.core.clearances.Photo;
import grandbore.core.job.Job;
import grandbore.core.job.JobPlan;
import grandbore.core.job.Option;
import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.parts.Item;
import grandbore.core.job.route.Step;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The job of a build as its notes keep it.
 *
 * @param pictures of steps, parts and orders, by {@code STEP/id}
 * @param versions states of the build that have a name, in the order in which they were named
 * @param promisedFirst for which day each part was promised at first, by its number
 */
public record JobBook(
    Job job,
    Map<String, List<Photo>> pictures,
    Map<String, LocalDate> promisedFirst,
    List<Version> versions) {
  public static final JobBook NONE = new JobBook(Job.NONE, Map.of(), Map.of(), List.of());

  /**
   * The build as it stood once.
   *
   * @param document of it, read when it is looked at
   */
  public record Version(String name, Instant at, String document) {
    /**
     * The build itself.
     *
     * @throws FormatException where it is damaged
     */
    public Build build() {
      return BuildJson.read(document).build();
    }
  }

  private record Key(OnJob.Kind kind, String key) {}

  public JobBook {
    pictures = Map.copyOf(pictures);
    promisedFirst = Map.copyOf(promisedFirst);
    versions = List.copyOf(versions);
  }

  /**
   * Reads the notes of a build, the oldest first.
   *
   * @throws FormatException where one can't be read
   */
  public static JobBook of(List<Kept> notes) {
    Map<Key, OnJob> newest = new LinkedHashMap<>();
    Map<String, Item> parts = new LinkedHashMap<>();
    Map<String, LocalDate> first = new LinkedHashMap<>();
    Map<String, Version> versions = new LinkedHashMap<>();
    Map<String, List<Photo>> pictures = new LinkedHashMap<>();
    for (var kept : notes) {
      if (kept.note() instanceof OnJob j && !kept.struck()) {
        newest.put(new Key(j.kind(), j.key()), j);
        if (!j.pictures().isEmpty()) {
          pictures
              .computeIfAbsent(j.kind() + "/" + j.key(), k -> new ArrayList<>())
              .addAll(j.pictures());
        }
        if (j.kind() == OnJob.Kind.VERSION) {
          versions.put(j.key(), new Version(j.key(), kept.at(), j.document()));
        }
        if (j.kind() == OnJob.Kind.ITEM && !j.document().isEmpty()) {
          var item = JobJson.read(j.document(), Item.class);
          parts.put(j.key(), item);
          item.day().ifPresent(d -> first.putIfAbsent(j.key(), d));
        }
      }
    }
    newest.values().removeIf(j -> j.document().isEmpty());
    var plan = JobPlan.NONE;
    var items = new ArrayList<Item>();
    var orders = new ArrayList<WorkOrder>();
    var options = new ArrayList<Option>();
    Map<String, Step> steps = new LinkedHashMap<>();
    List<String> sequence = List.of();
    versions.values().removeIf(v -> v.document().isEmpty());
    for (var j : newest.values()) {
      switch (j.kind()) {
        case PLAN -> plan = JobJson.read(j.document(), JobPlan.class);
        case ITEM -> items.add(parts.get(j.key()));
        case ORDER -> orders.add(JobJson.read(j.document(), WorkOrder.class));
        case OPTION -> options.add(JobJson.read(j.document(), Option.class));
        case STEP -> steps.put(j.key(), JobJson.read(j.document(), Step.class));
        case VERSION -> {}
        case SEQUENCE -> sequence = JobJson.sequence(j.document());
      }
    }
    return new JobBook(
        new Job(plan, items, orders, inOrder(steps, sequence), options),
        pictures,
        first,
        List.copyOf(versions.values()));
  }

  /** What is kept for a job to stand. */
  public static List<OnJob> notes(Job job) {
    var all = new ArrayList<OnJob>();
    all.add(JobJson.note(job.plan()));
    job.items().forEach(i -> all.add(JobJson.note(i)));
    job.orders().forEach(o -> all.add(JobJson.note(o)));
    all.addAll(steps(job.steps()));
    job.options().forEach(o -> all.add(JobJson.note(o)));
    return List.copyOf(all);
  }

  /** What is kept for steps to stand in their order. */
  public static List<OnJob> steps(List<Step> steps) {
    var all = new ArrayList<OnJob>();
    steps.forEach(s -> all.add(JobJson.note(s)));
    all.add(JobJson.sequence(steps.stream().map(Step::id).toList()));
    return List.copyOf(all);
  }

  private static List<Step> inOrder(Map<String, Step> steps, List<String> sequence) {
    var all = new ArrayList<Step>();
    for (var id : sequence) {
      if (steps.containsKey(id)) {
        all.add(steps.get(id));
      }
    }
    steps.values().stream().filter(s -> !sequence.contains(s.id())).forEach(all::add);
    return all;
  }

  /** The first number with some letter that no part, order or option has or had. */
  public static String next(List<Kept> notes, OnJob.Kind kind, String letter) {
    var had =
        notes.stream()
            .filter(k -> k.note() instanceof OnJob j && j.kind() == kind)
            .map(k -> ((OnJob) k.note()).key())
            .toList();
    int n = 1;
    while (had.contains(letter + n)) {
      n++;
    }
    return letter + n;
  }
}
