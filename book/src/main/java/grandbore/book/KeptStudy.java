package grandbore.book;

import grandbore.core.asked.Answer;
import grandbore.core.asked.Question;

/**
 * A study that is kept: it can be opened, and asked again, also when its build is gone.
 *
 * @param model version of the model that answered
 * @param of the build as it was, with the readings of then
 * @param asked what
 * @param answer what came out
 */
public record KeptStudy(int model, BuildDocument of, Question asked, Answer answer) {}
