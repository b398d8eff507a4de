package grandbore.book;

/** A file that can't be read: says where and why, in one line. */
public final class FormatException extends IllegalArgumentException {
  private static final long serialVersionUID = 1;

  public FormatException(String message) {
    super(message);
  }

  FormatException(String message, Throwable cause) {
    super(message, cause);
  }
}
