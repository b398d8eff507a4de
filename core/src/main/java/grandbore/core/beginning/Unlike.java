package grandbore.core.beginning;

/**
 * An input that is far from what is usual for such an engine: more than twice of it, or less than
 * half. It may be right; more often it was said for another part, or a digit slipped.
 *
 * @param usual what its rule makes of all else as it stands, SI
 * @param words the rule
 */
public record Unlike(double usual, String words) {}
