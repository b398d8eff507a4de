package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.book.KeptStudy;
import grandbore.book.StudyJson;
import grandbore.book.TextFile;
import grandbore.core.asked.Question;
import grandbore.core.combination.InvalidInput;
import grandbore.core.prediction.ModelVersion;
import java.io.IOException;
import java.nio.file.Path;
import picocli.CommandLine.Option;

/** Where a study is written as a document. */
final class KeepOption {
  @Option(
      names = "--keep",
      paramLabel = "FILE",
      description = "also writes the study: what was asked, the build, what came out")
  private Path file;

  /**
   * Runs what is asked of a build, and writes it where that is wanted.
   *
   * @param from where the build was read, which is never written over
   */
  <T> T run(BuildOption from, BuildDocument of, Question.Posed<T> posed, Question asked) {
    if (file != null) {
      from.output("--keep", file);
    }
    var found = StudyRun.of(posed.study());
    if (file != null) {
      var document = new BuildDocument(of.build(), of.readings());
      var answer = posed.answer().apply(found, of.build().units());
      try {
        TextFile.write(
            file,
            StudyJson.write(new KeptStudy(ModelVersion.CURRENT, document, asked, answer)) + "\n");
      } catch (IOException e) {
        throw new InvalidInput(
            "--keep", file.toString(), "a file that can be written", e.toString());
      }
    }
    return found;
  }
}
