package grandbore.book;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;

/** Times as documents and tables hold them: ISO 8601, seconds and their fraction if known. */
final class Times {
  /** What a document's time looks like; whether it is a day there is, parsing tells. */
  static final String PATTERN = "^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d(:\\d\\d(\\.\\d{1,9})?)?Z$";

  private Times() {}

  /**
   * @param where it stands, for the refusal
   * @throws FormatException where it is no time that there is
   */
  static Instant read(String text, String where) {
    try {
      return OffsetDateTime.parse(text).toInstant();
    } catch (DateTimeException e) {
      throw new FormatException(
          "%s is “%s”; allowed: a day and a time that there are, such as 2026-05-04T10:00:00Z"
              .formatted(where, Lines.shortened(text)),
          e);
    }
  }
}
