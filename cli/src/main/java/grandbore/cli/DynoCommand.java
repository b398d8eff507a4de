package grandbore.cli;

import grandbore.book.BuildDocument;
import grandbore.book.DynoBook;
import grandbore.book.DynoJson;
import grandbore.book.FrozenBuild;
import grandbore.core.clearances.OnDyno;
import grandbore.core.combination.InvalidInput;
import grandbore.core.dyno.DayAir;
import grandbore.core.dyno.Pull;
import grandbore.core.dyno.calibration.Coefficient;
import grandbore.core.dyno.plan.FreezeStudy;
import grandbore.core.dyno.simulated.Hidden;
import grandbore.core.dyno.simulated.SimulatedDyno;
import grandbore.core.prediction.Fidelity;
import grandbore.core.prediction.ModelVersion;
import grandbore.core.prediction.Predictor;
import grandbore.core.prediction.WarmStarts;
import grandbore.core.studies.ModelSpread;
import grandbore.instruments.DynoConsole;
import grandbore.instruments.PullServer;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.BindException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "dyno",
    description =
        "A simulated dyno with an engine that differs from the build by seeded amounts; commands a"
            + " line at a time, the word help lists them. Pulls go to whoever listens on the port,"
            + " and into the build that is written.")
final class DynoCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Option(
      names = "--port",
      defaultValue = "0",
      description = "loopback port, 0 for any that is free")
  private int port;

  @Option(names = "--seed", defaultValue = "1", description = "of the hidden truth and the noise")
  private long seed;

  @Option(names = "--day", defaultValue = "Rehearsal", description = "name of the session")
  private String day;

  @Option(names = "--at", defaultValue = "2026-10-03T08:30:00Z", description = "when it begins")
  private String at;

  @Option(names = "--faster", defaultValue = "10", description = "times as fast as it is recorded")
  private double faster;

  @Option(names = "--freeze", description = "freezes the prediction before the first pull")
  private boolean freeze;

  @Mixin private OutOption out = new OutOption();
  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    var document = build.read();
    out.check(build);
    var engine = document.engine();
    var c = engine.combination();
    var range = document.build().speeds();
    var notes = new ArrayList<OnDyno>();
    var begins = begins();
    if (freeze) {
      var speeds = range.points(19);
      var study =
          new FreezeStudy(
              engine,
              "Before " + day,
              begins,
              speeds,
              Collections.nCopies(speeds.size(), ModelSpread.OWN.share()));
      var of = new BuildDocument(document.build(), document.readings());
      var frozen = new FrozenBuild(ModelVersion.CURRENT, of, StudyRun.of(study));
      notes.add(new OnDyno(OnDyno.Kind.FROZEN, DynoJson.write(frozen)));
    }
    var which = EnumSet.allOf(Coefficient.class);
    which.removeAll(EnumSet.of(Coefficient.MIXTURE, Coefficient.METER_FLOW));
    try (var predictor = new Predictor();
        var server = new PullServer(port);
        var in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
      var starts = new WarmStarts();
      var dyno =
          new SimulatedDyno(
              engine,
              Hidden.drawn(which, seed),
              DayAir.of(c.weather()),
              (e, speeds) ->
                  predictor.predictNext(e, speeds, Fidelity.PLACED, starts, p -> {}, () -> false));
      var console =
          new DynoConsole(
              dyno,
              c,
              document.build().units(),
              day,
              begins,
              DynoBook.of(document.notes(), document).nextNumber(),
              range.from(),
              range.to(),
              Math.toRadians(30),
              p -> keep(p, server, notes));
      var printed = spec.commandLine().getOut();
      printed.println(
          "The dyno speaks on port " + server.port() + "; help lists what can be said.");
      printed.flush();
      String line = in.readLine();
      while (line != null && !line.strip().equals("quit")) {
        printed.println(console.say(line));
        printed.flush();
        line = in.readLine();
      }
    } catch (BindException e) {
      throw new InvalidInput(
          "--port", String.valueOf(port), "a port that is free, or 0 for any", "it is taken");
    }
    out.write(OutOption.with(document, notes));
    return 0;
  }

  private Instant begins() {
    try {
      return Instant.parse(at.toUpperCase(Locale.ROOT));
    } catch (java.time.DateTimeException e) {
      throw new InvalidInput("--at", at, "a time such as 2026-10-03T08:30:00Z", "it is no time");
    }
  }

  private void keep(Pull pull, PullServer server, List<OnDyno> notes) {
    notes.add(new OnDyno(OnDyno.Kind.PULL, DynoJson.write(pull)));
    if (server.listeners() > 0) {
      try {
        server.send(pull.number(), pull.rows(), faster, () -> false);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }
}
