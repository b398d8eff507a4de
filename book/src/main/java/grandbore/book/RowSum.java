package grandbore.book;

import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;

/**
 * Checksums of the book's rows: one of a row's own content, by which a changed row shows, and one
 * that links it to the row before, by which a missing row shows. The first sixteen bytes of SHA-256
 * of the fields, each with its kind and length before it.
 */
final class RowSum {
  private static final int BYTES = 16;

  /** What the first row of a table is linked to. */
  static final byte[] START = new byte[BYTES];

  private RowSum() {}

  /** The sum of a row's own fields; numbers are taken by their value, whole or not. */
  static byte[] of(Object... fields) {
    var bytes = new ByteArrayOutputStream();
    try (var out = new DataOutputStream(bytes)) {
      for (Object field : fields) {
        switch (field) {
          case null -> out.writeByte(0);
          case Double d -> {
            out.writeByte(1);
            // Zero has one sign in the book.
            out.writeLong(Double.doubleToLongBits(d + 0.0));
          }
          case Number n -> {
            out.writeByte(2);
            out.writeLong(n.longValue());
          }
          case byte[] raw -> {
            out.writeByte(3);
            out.writeInt(raw.length);
            out.write(raw);
          }
          default -> {
            byte[] text = field.toString().getBytes(StandardCharsets.UTF_8);
            out.writeByte(4);
            out.writeInt(text.length);
            out.write(text);
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return Arrays.copyOf(digest().digest(bytes.toByteArray()), BYTES);
  }

  /** The link of a row to the one before it. */
  static byte[] link(byte[] before, byte[] own) {
    var digest = digest();
    digest.update(before);
    digest.update(own);
    return Arrays.copyOf(digest.digest(), BYTES);
  }

  static MessageDigest digest() {
    try {
      return MessageDigest.getInstance("SHA-256");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }
}
