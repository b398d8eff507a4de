package grandbore.book;

import java.io.Serial;

/** The shop book can't be used: says why and what was kept, in one line. */
public sealed class BookException extends RuntimeException permits BookMissing {
  @Serial private static final long serialVersionUID = 1;

  BookException(String message, Throwable cause) {
    super(message, cause);
  }
}
