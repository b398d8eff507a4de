package grandbore.core.clearances;

import grandbore.core.combination.InvalidInput;

/**
 * A picture that belongs to the build, kept as a file beside the book.
 *
 * @param file its name there
 * @param sha256 of its content, in hexadecimal digits
 * @param caption what it shows
 */
public record Photo(String file, String sha256, String caption) implements Note {
  /** No folder, drive, hidden file or sign that a file's name can't hold everywhere. */
  private static final String NAME = "[^./\\\\:*?\"<>|\\p{Cntrl}][^/\\\\:*?\"<>|\\p{Cntrl}]{0,119}";

  public Photo {
    if (file == null || !file.matches(NAME)) {
      throw new InvalidInput(
          "Picture",
          String.valueOf(file),
          "a file's name without a folder, up to 120 signs",
          "it lies by the book");
    }
    if (sha256 == null || !sha256.matches("[0-9a-f]{64}") || caption == null) {
      throw new InvalidInput(
          "Picture " + file, "no checksum or caption", "both", "they tell it from others");
    }
  }
}
