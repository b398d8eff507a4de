package grandbore.book;

/** The shop book can't be used: says why and what was kept, in one line. */
public final class BookException extends RuntimeException {
  private static final long serialVersionUID = 1;

  BookException(String message, Throwable cause) {
    super(message, cause);
  }
}
