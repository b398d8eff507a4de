package grandbore.desktop.bench;

import grandbore.core.build.Build;
import grandbore.desktop.session.Books;
import grandbore.instruments.Console;
import grandbore.instruments.Kind;
import grandbore.instruments.Link;
import grandbore.instruments.Message;
import grandbore.instruments.MockUp;
import grandbore.instruments.Rig;
import grandbore.instruments.RigServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** The instruments at hand: real ones on a line, or simulated ones of this program's own. */
final class Instruments {
  private static final int BAUD = 9600;
  private static final long SEED = 20_261_125L;
  private static final int MOST_WAITING = 5000;

  /** Longest that readings hold the window up at a time, ns. */
  private static final long SHARE_OF_A_PULSE = 8_000_000L;

  private final Map<Kind, Message> latest = new EnumMap<>(Kind.class);
  private final ReadOnlyStringWrapper status = new ReadOnlyStringWrapper("no instrument");
  private final ReadOnlyLongWrapper beats = new ReadOnlyLongWrapper();
  private Consumer<String> takes = typed -> {};
  private Kind wanted = Kind.DIAL;
  private Link link;
  private RigServer server;
  private Console console;
  private double highest = Double.NaN;
  private boolean turnedBack;

  /** What is connected, in words. */
  ReadOnlyStringProperty statusProperty() {
    return status.getReadOnlyProperty();
  }

  /** Counts what came in. */
  ReadOnlyLongProperty beatsProperty() {
    return beats.getReadOnlyProperty();
  }

  /** What the last line of an instrument said. */
  Optional<Message> latest(Kind kind) {
    return Optional.ofNullable(latest.get(kind));
  }

  /** Who takes a reading that is sent, and from which kind of instrument. */
  void wants(Kind kind, Consumer<String> takesTyped) {
    wanted = kind;
    takes = takesTyped;
  }

  /** Whether the crank was turned back since it was last asked. */
  synchronized boolean turnedBack() {
    boolean was = turnedBack;
    turnedBack = false;
    highest = Double.NaN;
    return was;
  }

  /** A port's number for instruments on this machine, or a serial port's name. */
  void connect(String where, Link.Sends sends) {
    drop();
    String name = where.strip();
    status.set("connecting to " + name);
    var hears = new Hears();
    var _ =
        CompletableFuture.supplyAsync(() -> open(name, sends, hears))
            .whenCompleteAsync(
                (opened, e) -> {
                  link = opened;
                  status.set(
                      e == null ? "connected to " + name : "✕ " + name + ": " + Books.words(e));
                },
                Platform::runLater);
  }

  /** Doors open slowly at times: off the window's thread. */
  private static Link open(String name, Link.Sends sends, Link.Listener hears) {
    try {
      return name.matches("\\d{2,5}")
          ? Link.tcp(Integer.parseInt(name), sends, hears)
          : Link.serial(name, BAUD, sends, hears);
    } catch (IOException e) {
      throw new UncheckedIOException(e.getMessage(), e);
    }
  }

  /** Starts simulated ones on an engine like this build. */
  void simulate(Build build) {
    drop();
    try {
      var rig = new Rig(new MockUp(build.combination()), SEED);
      server = new RigServer(rig, 0);
      console = new Console(rig, build.units());
      link = Link.tcp(server.port(), Link.Sends.MESSAGES, new Hears());
      status.set("simulated instruments, port " + server.port());
    } catch (IOException e) {
      status.set("✕ the simulated instruments could not be started: " + e.getMessage());
    }
  }

  /** Tells the simulated ones something. */
  String say(String line) {
    return console == null ? "✕ start the simulated instruments first" : console.say(line);
  }

  void drop() {
    if (link != null) {
      link.close();
      link = null;
    }
    if (server != null) {
      try {
        server.close();
      } catch (IOException e) {
        status.set("✕ " + e.getMessage());
      }
      server = null;
    }
    console = null;
    latest.clear();
    status.set("no instrument");
  }

  /** What came in and was not shown yet: live lines by their newest, readings each of them. */
  private final class Hears implements Link.Listener {
    private final Map<Kind, Message> live = new EnumMap<>(Kind.class);
    private final Deque<Runnable> readings = new ArrayDeque<>();
    private boolean asked;

    @Override
    public synchronized void message(Message m) {
      if (m.kind() == Kind.ENCODER) {
        // Every line of it, also those that are too many to be shown.
        direction(m.si());
      }
      if (m.word() == Message.Word.SENT) {
        enter(() -> heard(m));
      } else {
        live.put(m.kind(), m);
        soon();
      }
    }

    @Override
    public synchronized void text(String line) {
      enter(() -> takes.accept(line));
    }

    private void enter(Runnable reading) {
      if (readings.size() == MOST_WAITING) {
        tooMany();
        return;
      }
      readings.add(reading);
      soon();
    }

    /** One errand to the window's thread at a time, however much comes in. */
    private void soon() {
      if (!asked) {
        asked = true;
        Platform.runLater(this::show);
      }
    }

    private synchronized Runnable next() {
      return readings.poll();
    }

    private synchronized List<Message> newest() {
      var all = List.copyOf(live.values());
      live.clear();
      return all;
    }

    private void show() {
      newest().forEach(Instruments.this::heard);
      long end = System.nanoTime() + SHARE_OF_A_PULSE;
      Runnable reading = next();
      while (reading != null) {
        reading.run();
        reading = System.nanoTime() < end ? next() : null;
      }
      synchronized (this) {
        asked = false;
        if (!readings.isEmpty() || !live.isEmpty()) {
          soon();
        }
      }
    }

    @Override
    public void tooMany() {
      Platform.runLater(
          () -> status.set("✕ more readings come in than anybody takes: some were left out"));
    }

    @Override
    public void lost(String why) {
      Platform.runLater(() -> status.set("✕ instruments lost: " + why + "; type the reading"));
    }
  }

  private void heard(Message m) {
    latest.put(m.kind(), m);
    if (m.word() == Message.Word.SENT) {
      if (m.state() == Message.State.FLAT) {
        status.set(
            "✕ the %s has a flat battery: type the reading, or feeler leaves as 0.012+0.008"
                .formatted(m.kind().label()));
      } else if (m.kind() == wanted) {
        takes.accept(m.typed());
      } else {
        status.set(
            "the %s sent %s; a %s is waited for"
                .formatted(m.kind().label(), m.typed(), wanted.label()));
      }
    }
    beats.set(beats.get() + 1);
  }

  private synchronized void direction(double angle) {
    double back = Math.toRadians(1);
    if (!Double.isNaN(highest)) {
      double by = angle - highest;
      by -= 2 * Math.PI * Math.rint(by / (2 * Math.PI));
      turnedBack |= by < -back;
      if (by < 0 && by >= -back) {
        return;
      }
    }
    highest = angle;
  }
}
