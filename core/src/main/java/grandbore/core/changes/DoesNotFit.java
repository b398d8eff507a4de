package grandbore.core.changes;

/** A change that an engine can't have: names the change, the input, its value and its bound. */
public final class DoesNotFit extends IllegalArgumentException {
  private static final long serialVersionUID = 1;

  DoesNotFit(String change, IllegalArgumentException why) {
    super("“%s” does not fit: %s".formatted(change, why.getMessage()), why);
  }
}
