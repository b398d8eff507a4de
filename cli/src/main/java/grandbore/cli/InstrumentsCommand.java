package grandbore.cli;

import grandbore.core.combination.InvalidInput;
import grandbore.core.units.UnitSystem;
import grandbore.instruments.Console;
import grandbore.instruments.MockUp;
import grandbore.instruments.Rig;
import grandbore.instruments.RigServer;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.BindException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

@Command(
    name = "instruments",
    description =
        "Simulated instruments on a loopback port, driven by commands a line at a time; the word"
            + " help lists them, quit or the end of the input ends them.")
final class InstrumentsCommand implements Callable<Integer> {
  @Mixin private BuildOption build = new BuildOption();

  @Option(
      names = "--port",
      defaultValue = "7417",
      description = "loopback port, 0 for any that is free")
  private int port;

  @Option(names = "--seed", defaultValue = "1", description = "of the noise")
  private long seed;

  @Spec private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    var document = build.read();
    var rig = new Rig(new MockUp(document.build().combination()), seed);
    UnitSystem units = document.build().units();
    var console = new Console(rig, units);
    var out = spec.commandLine().getOut();
    try (var server = new RigServer(rig, port);
        var in = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
      out.println("Instruments speak on port " + server.port() + "; help lists what can be said.");
      out.flush();
      String line = in.readLine();
      while (line != null && !line.strip().equals("quit")) {
        out.println(console.say(line));
        out.flush();
        line = in.readLine();
      }
    } catch (BindException e) {
      throw new InvalidInput(
          "--port", String.valueOf(port), "a port that is free, or 0 for any", "it is taken");
    }
    return 0;
  }
}
