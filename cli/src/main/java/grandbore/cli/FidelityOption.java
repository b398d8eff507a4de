package grandbore.cli;

import grandbore.core.prediction.Fidelity;
import picocli.CommandLine.Option;

/** How much of an engine is solved, for every command that predicts. */
final class FidelityOption {
  @Option(
      names = "--fidelity",
      defaultValue = "full",
      description =
          "live: one cylinder; placed: those that hear the others differently; full: every one")
  private Fidelity fidelity;

  Fidelity fidelity() {
    return fidelity;
  }
}
