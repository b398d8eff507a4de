package grandbore.core.beginning;

import java.util.function.ToDoubleFunction;

/**
 * How one input is filled in where nobody said it.
 *
 * @param path of the input
 * @param words the rule, for its working
 * @param value SI, from what is known already
 */
record Rule(String path, String words, ToDoubleFunction<Sizes> value) {}
