package grandbore.book;

import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.calibration.PooledCases;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Builds with their pulls in a folder, at any depth.
 *
 * @param leftOut what is no case, with the reason
 */
public record CaseFiles(List<PooledCases.Case> cases, List<String> leftOut) {
  public CaseFiles {
    cases = List.copyOf(cases);
    leftOut = List.copyOf(leftOut);
  }

  /**
   * Reads them all; what is no case is left out.
   *
   * @throws InvalidInput where none is there
   */
  public static CaseFiles in(Path folder) {
    List<Path> files;
    try (var walk = Files.walk(folder)) {
      files = walk.filter(p -> p.toString().endsWith(".json")).sorted().toList();
    } catch (IOException e) {
      throw new InvalidInput("Cases", folder.toString(), "a folder of cases", e.toString());
    }
    var cases = new ArrayList<PooledCases.Case>();
    var leftOut = new ArrayList<String>();
    for (var file : files) {
      String name = folder.relativize(file).toString();
      try {
        var document = BuildJson.read(TextFile.read(file));
        var book = DynoBook.of(document.notes(), document);
        if (book.good().isEmpty()) {
          leftOut.add(name + ": no good pull; left out");
        } else {
          var engine = book.frozen().map(FrozenBuild::of).orElse(document).engine();
          cases.add(new PooledCases.Case(name, engine, book.good(), book.pointer()));
        }
      } catch (IllegalArgumentException e) {
        leftOut.add("%s: %s; left out".formatted(name, e.getMessage()));
      }
    }
    if (cases.isEmpty()) {
      throw new InvalidInput(
          "Cases",
          folder.toString(),
          "build documents with good pulls",
          leftOut.isEmpty() ? "there is none" : String.join("; ", leftOut));
    }
    return new CaseFiles(cases, leftOut);
  }
}
