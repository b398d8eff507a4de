package grandbore.book;

import grandbore.core.combination.InvalidInput;

/**
 * What the builder thinks of a pull.
 *
 * @param pull its number
 * @param good whether it is learned from
 * @param why in words
 */
public record PullVerdict(int pull, boolean good, String why) {
  public PullVerdict {
    if (why.length() > 2000) {
      throw new InvalidInput(
          "Verdict", why.length() + " characters", "up to 2,000", "a verdict is short");
    }
  }
}
