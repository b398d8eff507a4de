package grandbore.core.job;

import grandbore.core.job.orders.WorkOrder;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.core.job.route.Step;
import java.util.List;
import java.util.Optional;

/** All that makes a build a job: what is agreed on, its parts, orders, steps, options. */
public record Job(
    JobPlan plan,
    List<Item> items,
    List<WorkOrder> orders,
    List<Step> steps,
    List<Option> options) {
  public static final Job NONE = new Job(JobPlan.NONE, List.of(), List.of(), List.of(), List.of());

  public Job {
    items = List.copyOf(items);
    orders = List.copyOf(orders);
    steps = List.copyOf(steps);
    options = List.copyOf(options);
  }

  /** The step of a name. */
  public Optional<Step> step(String id) {
    return steps.stream().filter(s -> s.id().equals(id)).findFirst();
  }

  /** The order that a step waits for, the newest of several. */
  public Optional<WorkOrder> orderOf(Step step) {
    return orders.stream().filter(o -> o.step().equals(step.id())).reduce((a, b) -> b);
  }

  /** The order of a number. */
  public Optional<WorkOrder> order(String number) {
    return orders.stream().filter(o -> o.number().equals(number)).findFirst();
  }

  /** The parts of a kind. */
  public List<Item> items(EnginePart part) {
    return items.stream().filter(i -> i.part() == part).toList();
  }

  public boolean isEmpty() {
    return items.isEmpty() && orders.isEmpty() && steps.isEmpty();
  }
}
