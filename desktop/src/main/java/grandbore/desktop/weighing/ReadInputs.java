package grandbore.desktop.weighing;

import grandbore.core.combination.Specs;
import grandbore.desktop.session.Session;
import java.util.stream.Stream;

/**
 * Inputs whose readings stand over what is specified, so that a new value would be seen nowhere.
 */
final class ReadInputs {
  static final String SAYS = "It was read on this engine: the new part is to be read in its place.";

  private ReadInputs() {}

  /** Whether one of these was read on the engine on the bench. */
  static boolean among(Session session, Stream<String> paths) {
    return paths
        .map(Specs::field)
        .anyMatch(
            f ->
                f.get(session.build().combination()).si()
                    != f.get(session.engine().combination()).si());
  }
}
