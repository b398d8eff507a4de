package grandbore.instruments;

import grandbore.core.dyno.Column;
import grandbore.core.dyno.Recorded;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A pull as its lines come in; rows that never came are counted. */
public final class LivePull {
  private final List<Column> channels = new ArrayList<>();
  private final List<Double> seconds = new ArrayList<>();
  private final List<List<Double>> values = new ArrayList<>();
  private int number;
  private int lastRow;
  private int missed;
  private boolean ended;

  /** Takes the next line; a beginning forgets what was before. */
  public void take(PullLine line) {
    switch (line.word()) {
      case BEGIN -> {
        clear();
        number = line.number();
        for (String word : line.channels()) {
          channels.add(PullLine.channel(word));
          values.add(new ArrayList<>());
        }
      }
      case ROW -> {
        if (!ended && !channels.isEmpty() && line.values().size() == channels.size()) {
          missed += Math.max(0, line.number() - lastRow - 1);
          lastRow = line.number();
          seconds.add(line.seconds());
          for (int k = 0; k < values.size(); k++) {
            values.get(k).add(line.values().get(k));
          }
        }
      }
      case END -> {
        missed += Math.max(0, line.number() - lastRow);
        ended = true;
      }
    }
  }

  private void clear() {
    channels.clear();
    seconds.clear();
    values.clear();
    lastRow = 0;
    missed = 0;
    ended = false;
  }

  public int number() {
    return number;
  }

  public int rows() {
    return seconds.size();
  }

  /** Rows that were sent and did not come. */
  public int missed() {
    return missed;
  }

  public boolean isEnded() {
    return ended;
  }

  /** The last value of a channel; not a number where there is none. */
  public double last(grandbore.core.dyno.Channel channel) {
    for (int k = 0; k < channels.size(); k++) {
      if (channels.get(k).channel() == channel && !values.get(k).isEmpty()) {
        return values.get(k).getLast();
      }
    }
    return Double.NaN;
  }

  /** What has come so far; empty before two rows. */
  public Optional<Recorded> recorded() {
    if (seconds.size() < 2) {
      return Optional.empty();
    }
    var columns = new ArrayList<Column>();
    for (int k = 0; k < channels.size(); k++) {
      var c = channels.get(k);
      columns.add(new Column(c.channel(), c.place(), values.get(k)));
    }
    return Optional.of(new Recorded(seconds, columns));
  }
}
