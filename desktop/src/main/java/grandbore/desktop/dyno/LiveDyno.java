package grandbore.desktop.dyno;

import grandbore.book.DynoJson;
import grandbore.book.PullSpool;
import grandbore.core.clearances.OnDyno;
import grandbore.core.dyno.Channel;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.Recorded;
import grandbore.core.dyno.Standard;
import grandbore.core.dyno.calibration.Coefficient;
import grandbore.core.dyno.simulated.Hidden;
import grandbore.core.dyno.simulated.SimulatedDyno;
import grandbore.core.dyno.simulated.TrueCurveStudy;
import grandbore.core.runs.RunQueue;
import grandbore.core.runs.Urgency;
import grandbore.desktop.session.Books;
import grandbore.desktop.session.Session;
import grandbore.instruments.DynoConsole;
import grandbore.instruments.LivePull;
import grandbore.instruments.PullLine;
import grandbore.instruments.PullLink;
import grandbore.instruments.PullServer;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.EnumSet;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * A dyno on the line, real or simulated. Rows are written beside the book as they come, on the
 * line's own thread; a pull that has ended is kept. The window asks for the newest values.
 */
final class LiveDyno {
  /** A hundred rows of many channels a second want that much. */
  private static final int BAUD = 460_800;

  private final Session session;
  private final RunQueue runs;
  private final DynoState state;
  private final ReadOnlyStringWrapper status = new ReadOnlyStringWrapper("no dyno");
  private final LivePull pull = new LivePull();
  private final ExecutorService worker =
      Executors.newSingleThreadExecutor(Thread.ofPlatform().daemon().name("dyno-run").factory());
  private PullSpool spool;
  private PullServer server;
  private PullLink link;
  private DynoConsole console;
  private Pull about;
  private String spoolTrouble = "";
  private double faster = 1;

  LiveDyno(Session session, RunQueue runs, DynoState state) {
    this.session = session;
    this.runs = runs;
    this.state = state;
  }

  ReadOnlyStringProperty statusProperty() {
    return status.getReadOnlyProperty();
  }

  private Path folder() {
    return session.books().pictures().toAbsolutePath().getParent();
  }

  /** Starts a simulated one with an engine that differs from the build by seeded amounts. */
  void simulate(long seed) {
    drop();
    var engine = session.engine();
    var build = session.build();
    var hidden =
        Hidden.drawn(
            EnumSet.complementOf(EnumSet.of(Coefficient.MIXTURE, Coefficient.METER_FLOW)), seed);
    var dyno =
        new SimulatedDyno(
            engine,
            hidden,
            DayAir.of(engine.combination().weather()),
            (e, speeds) -> runs.submit(new TrueCurveStudy(e, speeds), Urgency.SEEN).await());
    console =
        new DynoConsole(
            dyno,
            engine.combination(),
            build.units(),
            "Rehearsal " + LocalDate.now(ZoneId.systemDefault()),
            Instant.now().truncatedTo(ChronoUnit.SECONDS),
            state.nextNumber(),
            build.speeds().from(),
            build.speeds().to(),
            Math.toRadians(30),
            this::send);
    try {
      server = new PullServer(0);
      link = PullLink.tcp(server.port(), new Hears());
      status.set("simulated dyno, seed %d, port %d".formatted(seed, server.port()));
    } catch (IOException e) {
      status.set("✕ the simulated dyno could not be started: " + e.getMessage());
    }
  }

  /** Listens to a dyno: the number of a port of this machine, or a serial port's name. */
  void connect(String where) {
    drop();
    String name = where.strip();
    status.set("connecting to " + name);
    var hears = new Hears();
    var _ =
        CompletableFuture.supplyAsync(() -> open(name, hears))
            .whenCompleteAsync(
                (opened, wrong) -> {
                  link = opened;
                  status.set(
                      wrong == null
                          ? "listening to " + name
                          : "✕ %s: %s".formatted(name, Books.words(wrong)));
                },
                Platform::runLater);
  }

  /** Doors open slowly at times: off the window's thread. */
  private static PullLink open(String name, PullLink.Listener hears) {
    try {
      return name.matches("\\d{2,5}")
          ? PullLink.tcp(Integer.parseInt(name), hears)
          : PullLink.serial(name, BAUD, hears);
    } catch (IOException e) {
      throw new UncheckedIOException(e.getMessage(), e);
    }
  }

  /** How many times as fast as it is recorded a simulated pull is run. */
  void faster(double times) {
    faster = times;
  }

  /** Whether a dyno is on the line. */
  boolean isOn() {
    return link != null;
  }

  /** Tells the simulated one something; a pull is run beside the window. */
  void say(String line, Consumer<String> answer) {
    if (console == null) {
      answer.accept("✕ start the simulated dyno first");
      return;
    }
    var of = console;
    var _ =
        CompletableFuture.supplyAsync(() -> of.say(line), worker)
            .whenCompleteAsync(
                (said, wrong) -> answer.accept(wrong == null ? said : "✕ " + Books.words(wrong)),
                Platform::runLater);
  }

  /** A simulated pull goes over the line like any other. */
  private void send(Pull simulated) {
    synchronized (pull) {
      about = simulated;
    }
    try {
      server.send(simulated.number(), simulated.rows(), faster, () -> false);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  /** The newest value of a channel; not a number where there is none. */
  double last(Channel channel) {
    synchronized (pull) {
      return pull.last(channel);
    }
  }

  /** Rows that have come, and rows that were sent and did not. */
  String rows() {
    synchronized (pull) {
      String missed = pull.missed() > 0 ? ", ✕ %d were lost".formatted(pull.missed()) : "";
      return pull.rows() == 0
          ? ""
          : "pull %d: %d rows%s%s%s"
              .formatted(
                  pull.number(),
                  pull.rows(),
                  missed,
                  pull.isEnded() ? ", ended and kept" : "",
                  spoolTrouble);
    }
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
    status.set("no dyno");
  }

  /** What a program that was killed has left of a pull, told off the window's thread. */
  void left(Consumer<Optional<Recorded>> then) {
    var _ =
        CompletableFuture.supplyAsync(
                () -> {
                  try {
                    return PullSpool.left(folder());
                  } catch (IOException e) {
                    throw new UncheckedIOException(e);
                  }
                },
                worker)
            .whenCompleteAsync(
                (found, wrong) -> {
                  if (wrong == null) {
                    then.accept(found);
                  } else {
                    status.set("✕ the pull that was under way: " + Books.words(wrong));
                  }
                },
                Platform::runLater);
  }

  /** Keeps what was left as a pull, or lets it go. */
  void settle(Optional<Recorded> kept) {
    kept.ifPresent(
        rows ->
            keep(
                new Pull(
                    state.nextNumber(),
                    LocalDate.now(ZoneId.systemDefault()).toString(),
                    Instant.now().truncatedTo(ChronoUnit.SECONDS),
                    Pull.How.SWEEP,
                    0,
                    0,
                    Optional.empty(),
                    Standard.NONE,
                    Double.NaN,
                    "",
                    Optional.empty(),
                    "a pull that was broken off",
                    "the program ended while it ran",
                    rows)));
    var _ =
        CompletableFuture.runAsync(
            () -> {
              try {
                PullSpool.forget(folder());
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
            },
            worker);
  }

  private void keep(Pull whole) {
    var pull = whole.numbered(state.nextNumber());
    session.keep(new OnDyno(OnDyno.Kind.PULL, DynoJson.write(pull)), "");
  }

  /** On the line's own thread. */
  private final class Hears implements PullLink.Listener {
    @Override
    public void line(PullLine line) {
      Optional<Pull> ended = Optional.empty();
      synchronized (pull) {
        pull.take(line);
        try {
          spool(line);
        } catch (IOException e) {
          spoolTrouble = ", ✕ not written beside the book: " + e.getMessage();
        }
        if (line.word() == PullLine.Word.END) {
          ended = pull.recorded().map(this::whole);
        }
      }
      ended.ifPresent(p -> Platform.runLater(() -> keep(p)));
    }

    private void spool(PullLine line) throws IOException {
      switch (line.word()) {
        case BEGIN ->
            spool =
                PullSpool.begin(folder(), line.channels().stream().map(PullLine::channel).toList());
        case ROW -> {
          if (spool != null) {
            spool.row(line.seconds(), line.values());
          }
        }
        case END -> {
          if (spool != null) {
            spool.done();
            spool = null;
          }
        }
      }
    }

    /** The rows as they came over the line, with what is known of the pull. */
    private Pull whole(Recorded rows) {
      var known = about;
      about = null;
      return known != null && known.number() == pull.number()
          ? new Pull(
              known.number(),
              known.day(),
              known.at(),
              known.how(),
              known.rate(),
              known.inertia(),
              known.air(),
              known.carries(),
              known.spark(),
              known.changed(),
              known.fitted(),
              known.source(),
              known.note(),
              rows)
          : new Pull(
              1,
              LocalDate.now(ZoneId.systemDefault()).toString(),
              Instant.now().truncatedTo(ChronoUnit.SECONDS),
              Pull.How.SWEEP,
              0,
              0,
              Optional.empty(),
              Standard.NONE,
              Double.NaN,
              "",
              Optional.empty(),
              "live",
              "",
              rows);
    }

    @Override
    public void lost(String why) {
      Platform.runLater(() -> status.set("✕ the dyno is lost: " + why));
    }
  }
}
