package grandbore.cli;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.util.List;

/** What a command left behind. */
record Ran(int code, String out, String err) {
  static Ran run(String... arguments) {
    var out = new StringWriter();
    var err = new StringWriter();
    int code = Main.run(new PrintWriter(out), new PrintWriter(err), arguments);
    return new Ran(code, out.toString(), err.toString());
  }

  /** The table's rows, commas inside quotes kept. */
  List<String[]> rows() {
    return out.lines().map(l -> l.split(",(?=(?:[^\"]*\"[^\"]*\")*[^\"]*$)", -1)).toList();
  }
}
