package grandbore.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.json.JsonMapper;
import grandbore.book.Csv;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Prints rows of named values. */
final class Tables {
  private Tables() {}

  static void print(PrintWriter out, List<? extends Map<String, ?>> rows, TableFormat format) {
    try {
      switch (format) {
        case JSON ->
            out.println(
                JsonMapper.builder()
                    .build()
                    .writerWithDefaultPrettyPrinter()
                    .writeValueAsString(rows));
        case CSV -> {
          var csv = new CSVPrinter(out, CSVFormat.RFC4180.builder().setRecordSeparator("\n").get());
          csv.printRecord(rows.getFirst().keySet());
          for (var row : rows) {
            csv.printRecord(
                row.values().stream().map(v -> v instanceof String s ? Csv.cell(s) : v).toList());
          }
          csv.flush();
        }
      }
    } catch (JsonProcessingException e) {
      throw new IllegalStateException(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    out.flush();
  }
}
