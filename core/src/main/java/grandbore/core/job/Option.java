package grandbore.core.job;

import grandbore.core.combination.InvalidInput;

/**
 * One of several ways to go on: repair, replace, another donor.
 *
 * @param question that it answers: “the cracked head”
 * @param price in the shop's currency
 * @param hours of the shop's own work
 * @param days until it is there
 * @param step of the route that takes those days, empty where none does
 * @param change thought of for this build that it makes, by its name; empty where the curve stays
 */
public record Option(
    String id,
    String question,
    String title,
    double price,
    double hours,
    int days,
    String step,
    String change) {
  public Option {
    if (id == null || id.isBlank() || question == null || title == null || title.isBlank()) {
      throw new InvalidInput(
          "Option", "without a name", "1 to 160 characters", "it is chosen by it");
    }
    if (question.length() > 160 || title.length() > 160) {
      throw new InvalidInput("Option", "too long", "1 to 160 characters", "it is read");
    }
    if (!(price >= 0 && price <= 10e6)
        || !(hours >= 0 && hours <= 2000)
        || days < 0
        || days > 1000) {
      throw new InvalidInput(
          title,
          "price %s, hours %s, days %d".formatted(price, hours, days),
          "0 to 10,000,000, 0 to 2000, 0 to 1000",
          "they are compared");
    }
    if (step == null || change == null) {
      throw new InvalidInput(title, "no step or change", "words, may be empty", "it is looked up");
    }
  }
}
