package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.book.KeptStudy;
import grandbore.book.StudyJson;
import grandbore.book.TextFile;
import grandbore.core.asked.Question;
import grandbore.core.prediction.ModelVersion;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import picocli.CommandLine.Option;

/** Where a study is written as a document. */
final class KeepOption {
  @Option(
      names = "--keep",
      paramLabel = "FILE",
      description = "also writes the study: what was asked, the build, what came out")
  private Path file;

  /** Runs what is asked of a build, and writes it where that is wanted. */
  <T> T run(BuildDocument of, Question.Posed<T> posed, Question asked) {
    var found = StudyRun.of(posed.study());
    if (file != null) {
      var document = new BuildDocument(of.build(), of.readings());
      var answer = posed.answer().apply(found, of.build().units());
      try {
        TextFile.write(
            file,
            StudyJson.write(new KeptStudy(ModelVersion.CURRENT, document, asked, answer)) + "\n");
      } catch (IOException e) {
        throw new UncheckedIOException("%s can't be written".formatted(file), e);
      }
    }
    return found;
  }
}
