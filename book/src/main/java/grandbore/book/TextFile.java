package grandbore.book;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;

/** Documents and tables as files: whole texts in UTF-8, no larger than any that is meant. */
public final class TextFile {
  /** Larger than any document or table of a shop, bytes. */
  public static final int LARGEST = 8_000_000;

  private TextFile() {}

  /**
   * Reads a file's text.
   *
   * @throws FormatException where it is no plain file, too large, or no text
   */
  public static String read(Path file) {
    String name = Lines.shortened(file.toString());
    try {
      if (!Files.exists(file)) {
        throw new NoSuchFileException(name);
      }
      if (!Files.isRegularFile(file)) {
        throw new FormatException(name + " is no plain file: a document or a table is one");
      }
      byte[] bytes;
      try (var in = Files.newInputStream(file)) {
        bytes = in.readNBytes(LARGEST + 1);
      }
      if (bytes.length > LARGEST) {
        throw new FormatException(name + " is larger than 8 MB: no document or table is");
      }
      return Lines.unmarked(
          StandardCharsets.UTF_8
              .newDecoder()
              .onMalformedInput(CodingErrorAction.REPORT)
              .decode(ByteBuffer.wrap(bytes))
              .toString());
    } catch (NoSuchFileException e) {
      throw new FormatException(name + " can't be read: there is no such file", e);
    } catch (AccessDeniedException e) {
      throw new FormatException(name + " can't be read: this is not allowed", e);
    } catch (CharacterCodingException e) {
      throw new FormatException(name + " is not text in UTF-8", e);
    } catch (IOException e) {
      throw new FormatException(name + " can't be read: " + Lines.shortened(e.toString()), e);
    }
  }

  /** Writes a file whole, or not at all: what was there stays until all of it is on the disk. */
  public static void write(Path file, String text) throws IOException {
    var whole = file.toAbsolutePath();
    if (Files.exists(whole) && !Files.isRegularFile(whole)) {
      throw new IOException("it is no plain file");
    }
    var part = whole.resolveSibling(whole.getFileName() + ".part");
    Files.writeString(part, text);
    Files.move(part, whole, StandardCopyOption.REPLACE_EXISTING);
  }
}
