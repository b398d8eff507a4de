package grandbore.core.guided;

import static grandbore.core.units.Quantity.ANGLE;

import grandbore.core.guided.Step.Count;
import java.util.List;

/** The steps of degreeing a cam, for the intake's lobe or the exhaust's. */
final class DegreeSteps {
  private DegreeSteps() {}

  static List<Step> of(Subject side) {
    boolean intake = side == Subject.INTAKE;
    String opens = intake ? "before top" : "before bottom";
    String nose = intake ? "after top" : "before top";
    String closes = intake ? "after bottom" : "after top";
    var openCount = intake ? Count.BEFORE_TOP : Count.BEFORE_BOTTOM;
    var noseCount = intake ? Count.AS_READ : Count.BEFORE_TOP;
    return List.of(
        Step.read(
            "top",
            "At true top centre: what does the wheel read? Zero, or by the stop.",
            ANGLE,
            "encoder"),
        Step.act(
            "set",
            "Indicator on the %s tappet, on the base circle, to zero.".formatted(side.word())),
        forward(
                "opens",
                "Turn forward until the tappet has risen 0.050 in. Read degrees %s.",
                opens)
            .counted(openCount),
        forward("rise", "Go on until it is 0.050 in short of full lift. Read degrees %s.", nose)
            .counted(noseCount),
        forward("fall", "Go on over the nose to the same lift. Read degrees %s.", nose)
            .counted(noseCount),
        forward("closes", "Go on until 0.050 in is left. Read degrees %s.", closes)
            .counted(intake ? Count.AFTER_BOTTOM : Count.AFTER_TOP),
        Step.read(
                "back",
                "To see the play: turn back past opening to 0.050 in again. Degrees %s."
                    .formatted(opens),
                ANGLE,
                "encoder")
            .counted(openCount));
  }

  private static Step forward(String key, String does, String from) {
    return Step.forward(key, does.formatted(from), ANGLE, "encoder");
  }
}
