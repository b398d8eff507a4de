package grandbore.book;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.zip.DataFormatException;
import java.util.zip.Deflater;
import java.util.zip.Inflater;

/**
 * A document's text as the book keeps it: deflated (RFC 1951) against a fixed sample document, so
 * that a revision takes little more than what makes it differ from any other. The sample is part of
 * the format and is never changed; a better one would get a mark of its own.
 */
final class Packed {
  private static final byte FIRST_SAMPLE = 1;
  private static final int LARGEST = 16_000_000;
  private static final byte[] SAMPLE = sample();

  private Packed() {}

  private static byte[] sample() {
    try (var in = Packed.class.getResourceAsStream("revision-sample-1.json")) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static byte[] pack(String text) {
    try (var deflater = new Deflater(Deflater.DEFAULT_COMPRESSION, true)) {
      deflater.setDictionary(SAMPLE);
      deflater.setInput(text.getBytes(StandardCharsets.UTF_8));
      deflater.finish();
      var out = new ByteArrayOutputStream();
      out.write(FIRST_SAMPLE);
      var buffer = new byte[8192];
      while (!deflater.finished()) {
        out.write(buffer, 0, deflater.deflate(buffer));
      }
      return out.toByteArray();
    }
  }

  /**
   * @throws FormatException where it is damaged
   */
  static String unpack(byte[] packed) {
    if (packed == null || packed.length < 2 || packed[0] != FIRST_SAMPLE) {
      throw new FormatException("a packed document that is not of a known kind");
    }
    try (var inflater = new Inflater(true)) {
      inflater.setDictionary(SAMPLE);
      inflater.setInput(packed, 1, packed.length - 1);
      var out = new ByteArrayOutputStream();
      var buffer = new byte[8192];
      while (!inflater.finished()) {
        int count = inflater.inflate(buffer);
        if (count == 0 && (inflater.needsInput() || inflater.needsDictionary())
            || out.size() > LARGEST) {
          throw new FormatException("a packed document that ends early");
        }
        out.write(buffer, 0, count);
      }
      return out.toString(StandardCharsets.UTF_8);
    } catch (DataFormatException e) {
      throw new FormatException("a packed document that is damaged: " + e.getMessage(), e);
    }
  }
}
