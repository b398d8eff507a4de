package grandbore.book;

import grandbore.core.dyno.Channel;
import grandbore.core.dyno.Column;
import grandbore.core.dyno.Recorded;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Rows of a pull as they stream in, written at once beside the book and onto the disk a few times a
 * second: a program that is killed in the middle of a pull has the rows when it is opened again.
 */
public final class PullSpool implements AutoCloseable {
  private static final String FILE = "pull-under-way.csv";
  private static final long FLUSH = 250_000_000L;

  private final Path file;
  private final FileChannel channel;
  private long flushed;

  private PullSpool(Path file, FileChannel channel) {
    this.file = file;
    this.channel = channel;
  }

  /**
   * Begins one; what was there before is gone.
   *
   * @param folder of the book
   * @param columns whose channels come, with or without rows
   */
  public static PullSpool begin(Path folder, List<Column> columns) throws IOException {
    var file = folder.resolve(FILE);
    var channel =
        FileChannel.open(
            file,
            StandardOpenOption.CREATE,
            StandardOpenOption.WRITE,
            StandardOpenOption.TRUNCATE_EXISTING);
    var spool = new PullSpool(file, channel);
    var words = new ArrayList<String>(List.of("seconds"));
    columns.forEach(c -> words.add(c.channel().word() + ":" + c.place()));
    spool.write(String.join(",", words));
    return spool;
  }

  /** One row; a number that is none is a gap. */
  public void row(double seconds, List<Double> values) throws IOException {
    var line = new StringBuilder().append(seconds);
    for (double v : values) {
      line.append(',');
      if (Double.isFinite(v)) {
        line.append(v);
      }
    }
    write(line.toString());
    if (System.nanoTime() - flushed > FLUSH) {
      channel.force(false);
      flushed = System.nanoTime();
    }
  }

  private void write(String line) throws IOException {
    channel.write(ByteBuffer.wrap((line + "\n").getBytes(StandardCharsets.UTF_8)));
  }

  /** The pull is in the book: the rows are wanted no more. */
  public void done() throws IOException {
    channel.close();
    Files.deleteIfExists(file);
  }

  /** Leaves the rows where they are. */
  @Override
  public void close() throws IOException {
    channel.force(true);
    channel.close();
  }

  /**
   * What a program that was killed has left, the last row where it is whole; empty for nothing.
   *
   * @throws FormatException where it is no such file
   */
  public static Optional<Recorded> left(Path folder) throws IOException {
    var file = folder.resolve(FILE);
    if (!Files.exists(file)) {
      return Optional.empty();
    }
    String text = Files.readString(file, StandardCharsets.UTF_8);
    // A row that was being written has no end.
    int end = text.lastIndexOf('\n');
    var lines = text.substring(0, Math.max(0, end)).split("\n", -1);
    var seconds = new ArrayList<Double>();
    var channels = new ArrayList<Column>();
    var values = new ArrayList<List<Double>>();
    for (String word : List.of(lines[0].split(",", -1)).subList(1, columns(lines[0]))) {
      var parts = word.split(":", -1);
      var channel =
          Channel.of(parts[0])
              .orElseThrow(
                  () ->
                      new FormatException(
                          FILE + ": no channel is called " + Lines.shortened(word)));
      channels.add(
          new Column(channel, parts.length > 1 ? Integer.parseInt(parts[1]) : 0, List.of()));
      values.add(new ArrayList<>());
    }
    for (int k = 1; k < lines.length; k++) {
      var cells = lines[k].split(",", -1);
      if (cells.length == channels.size() + 1) {
        seconds.add(Double.parseDouble(cells[0]));
        for (int c = 0; c < channels.size(); c++) {
          values.get(c).add(cells[c + 1].isEmpty() ? Double.NaN : Double.parseDouble(cells[c + 1]));
        }
      }
    }
    if (seconds.size() < 2) {
      return Optional.empty();
    }
    var columns = new ArrayList<Column>();
    for (int c = 0; c < channels.size(); c++) {
      columns.add(new Column(channels.get(c).channel(), channels.get(c).place(), values.get(c)));
    }
    return Optional.of(new Recorded(seconds, columns));
  }

  private static int columns(String heading) {
    return heading.split(",", -1).length;
  }

  /** What was left is in the book, or not wanted. */
  public static void forget(Path folder) throws IOException {
    Files.deleteIfExists(folder.resolve(FILE));
  }
}
