package grandbore.book;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;

/** Keeps a book to one program at a time; the system lets go when the program ends, however. */
final class BookLock implements AutoCloseable {
  private final FileChannel channel;

  private BookLock(FileChannel channel) {
    this.channel = channel;
  }

  /**
   * @throws BookException where another program has the book
   */
  static BookLock on(Path book) {
    var file = book.resolveSibling(book.getFileName() + ".lock");
    FileChannel channel = null;
    try {
      channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      if (channel.tryLock() != null) {
        return new BookLock(channel);
      }
    } catch (OverlappingFileLockException e) {
      // Another part of this very program has it: the same trouble, told below.
    } catch (IOException e) {
      throw new BookException(
          "The folder of the shop book "
              + book
              + " is read-only: nothing could be kept. Make it writable, or open another with"
              + " --book",
          e);
    }
    shut(channel);
    throw new BookException(
        "The shop book "
            + book
            + " is open in another window: nothing was changed; close that one and try again",
        null);
  }

  private static void shut(FileChannel channel) {
    try {
      channel.close();
    } catch (IOException e) {
      throw new BookException("The lock of a shop book can't be let go", e);
    }
  }

  @Override
  public void close() {
    shut(channel);
  }
}
