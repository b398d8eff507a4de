package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.book.DynoBook;
import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.Standard;
import java.util.Arrays;
import java.util.stream.Collectors;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** A build with its pulls, and under which standard they are told. */
final class PullsOption {
  @Mixin private BuildOption build = new BuildOption();

  @Option(
      names = "--standard",
      defaultValue = "sae_j1349",
      description = "none, sae_j1349, sae_j607, din_70020 or iso_1585")
  private String standard;

  BuildOption build() {
    return build;
  }

  Standard standard() {
    return Standard.of(standard)
        .orElseThrow(
            () ->
                new InvalidInput(
                    "--standard",
                    standard,
                    Arrays.stream(Standard.values())
                        .map(Standard::word)
                        .collect(Collectors.joining(", ")),
                    "those are known"));
  }

  /**
   * What the build's notes have of the dyno.
   *
   * @throws InvalidInput where there is no pull
   */
  static DynoBook pulls(BuildDocument document) {
    var book = DynoBook.of(document.notes(), document);
    if (book.pulls().isEmpty()) {
      throw new InvalidInput(
          "--build", document.build().name(), "a build with pulls", "pulls import adds some");
    }
    return book;
  }
}
