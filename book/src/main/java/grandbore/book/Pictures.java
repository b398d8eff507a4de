package grandbore.book;

import grandbore.core.clearances.Photo;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Collection;
import java.util.Optional;

/** The pictures that lie as files beside a book, each known by its checksum. */
public final class Pictures {
  private Pictures() {}

  /**
   * Copies a picture into the folder beside the book, under a name of its content.
   *
   * @param caption what it shows; its file's name where that is blank
   * @throws IOException where it can't be read or copied
   */
  public static Photo attach(Path picture, Path folder, String caption) throws IOException {
    String sum = Seal.sha256(picture);
    String name = picture.getFileName().toString();
    String kept = sum.substring(0, 12) + name.substring(Math.max(0, name.lastIndexOf('.')));
    Files.createDirectories(folder);
    Files.copy(picture, folder.resolve(kept), StandardCopyOption.REPLACE_EXISTING);
    return new Photo(kept, sum, caption.isBlank() ? name : caption.strip());
  }

  /** Copies those that are noted and sound and not yet there. */
  static void copyAside(Collection<Photo> noted, Path from, Path to) throws IOException {
    for (var photo : noted) {
      var file = from.resolve(photo.file());
      var copy = to.resolve(photo.file());
      if (!Files.exists(copy) && trouble(from, photo).isEmpty()) {
        Files.createDirectories(to);
        var part = to.resolve(photo.file() + ".part");
        Files.copy(file, part, StandardCopyOption.REPLACE_EXISTING);
        Files.move(part, copy, StandardCopyOption.ATOMIC_MOVE);
      }
    }
  }

  /** Brings back those that are missing beside the book. */
  static void bringBack(Path from, Path to) throws IOException {
    if (!Files.isDirectory(from)) {
      return;
    }
    Files.createDirectories(to);
    try (var files = Files.newDirectoryStream(from)) {
      for (var file : files) {
        var there = to.resolve(file.getFileName().toString());
        if (!Files.exists(there)) {
          Files.copy(file, there);
        }
      }
    }
  }

  /** What is wrong with a picture's file, in words; empty where it is as it was attached. */
  public static Optional<String> trouble(Path folder, Photo photo) {
    var file = folder.resolve(photo.file());
    if (!Files.isRegularFile(file)) {
      return Optional.of("its file is missing");
    }
    try {
      return Seal.sha256(file).equals(photo.sha256())
          ? Optional.empty()
          : Optional.of("its file was changed");
    } catch (IOException e) {
      return Optional.of("its file can't be read");
    }
  }
}
