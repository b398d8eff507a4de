package grandbore.core.job;

import grandbore.core.combination.InvalidInput;
import grandbore.core.job.route.WorkDays;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What is agreed on for a build; its budget stands in the brief.
 *
 * @param customer as the shop calls them, may be empty
 * @param tags words by which the shop finds it again
 * @param serial numbers cast or stamped on the engine, may be empty
 * @param hourPrice of an hour of the shop's own work
 * @param wanted the day on which it is to be on the dyno, {@code null} for none
 */
public record JobPlan(
    String customer,
    List<String> tags,
    String serial,
    double hourPrice,
    LocalDate wanted,
    WorkDays days) {
  public static final JobPlan NONE = new JobPlan("", List.of(), "", 0, null, WorkDays.USUAL);

  private static final int TAGS = 20;

  public JobPlan {
    if (customer == null || customer.length() > 200 || serial == null || serial.length() > 200) {
      throw new InvalidInput(
          "Customer or numbers", "none or too long", "up to 200 characters", "they are shown");
    }
    // A plan of before there were tags says nothing of them.
    tags = tags == null ? List.of() : tags.stream().distinct().toList();
    if (tags.size() > TAGS || tags.stream().anyMatch(t -> t.isBlank() || t.length() > 40)) {
      throw new InvalidInput(
          "Tags", String.join(", ", tags), "20 of 1 to 40 characters", "they are shown on a card");
    }
    if (!(hourPrice >= 0 && hourPrice <= 10_000)) {
      throw new InvalidInput("Price of an hour", "" + hourPrice, "0 to 10,000", "it is charged");
    }
    if (days == null) {
      throw new InvalidInput("Days of work", "none", "some", "dates are reckoned with them");
    }
  }

  /** The day on which it is to be on the dyno. */
  public Optional<LocalDate> day() {
    return Optional.ofNullable(wanted);
  }
}
