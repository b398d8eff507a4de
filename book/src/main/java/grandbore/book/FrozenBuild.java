package grandbore.book;

import grandbore.core.dyno.Frozen;

/**
 * A prediction as it was frozen, with the build and the readings of then.
 *
 * @param model version of the model that predicted
 */
public record FrozenBuild(int model, BuildDocument of, Frozen prediction) {}
