package grandbore.core.beginning;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import java.util.List;

/**
 * What is asked of a new build, one thing after the other.
 *
 * @param path of the input that answers it
 * @param asks in words
 * @param how where to get the answer
 */
public record Question(String path, String asks, String how) {
  /**
   * In the order of the stations: what moves the curve, and stands alone. A rod, a deck and a pin
   * height only fit together; they are asked for where a new build is begun.
   */
  private static final List<Question> ALL =
      List.of(
          new Question(
              "compression.chamberVolume",
              "How large is a chamber?",
              "filled from a burette, valves and plug in"),
          new Question(
              "compression.pistonVolume",
              "How large is the piston's dish, a dome less than nothing?",
              "the piston's card, or filled down the bore"),
          new Question(
              "compression.gasketThickness",
              "How thick is the head gasket, squeezed?",
              "its maker's sheet"),
          new Question(
              "cam.intakeDuration",
              "How long does the intake lobe last at 0.050 in of lift?",
              "the cam's card"),
          new Question("cam.intakeLobeLift", "How high is the intake lobe?", "the cam's card"),
          new Question("cam.separation", "How far apart are the lobes' centres?", "the cam's card"),
          new Question(
              "cam.intakeCentreline",
              "Where is the intake lobe's centre after top?",
              "the cam's card, or degreed"),
          new Question(
              "valveTrain.intakeRocker",
              "What ratio have the intake rockers?",
              "on the rocker, or lift at the valve over lift at the lobe"),
          new Question("heads.intakeValve", "How wide is the intake valve?", "across its head"),
          new Question("heads.exhaustValve", "How wide is the exhaust valve?", "across its head"),
          new Question(
              "intake.runnerLength",
              "How long is a runner, from the plenum to the head?",
              "a wire through its middle"),
          new Question(
              "intake.throttleFlow",
              "What does the carburettor flow, or the throttle?",
              "its rating"),
          new Question(
              "exhaust.primaryLength", "How long is a primary pipe?", "a tape along its outside"),
          new Question(
              "exhaust.primaryDiameter", "How wide is it inside?", "its outside less two walls"));

  /** Those whose answer nobody has given on an engine. */
  public static List<Question> open(Combination engine) {
    return ALL.stream()
        .filter(q -> Specs.field(q.path()).get(engine).provenance() == Provenance.ASSUMED)
        .toList();
  }
}
