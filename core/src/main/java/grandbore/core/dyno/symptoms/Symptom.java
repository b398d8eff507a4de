package grandbore.core.dyno.symptoms;

import grandbore.core.combination.InvalidInput;
import java.util.HashSet;
import java.util.List;
import java.util.Map;

/**
 * Something that an engine does on a dyno.
 *
 * @param name in a few words
 * @param causes that may be behind it
 * @param tests that part them
 */
public record Symptom(String name, List<Cause> causes, List<Test> tests) {
  /**
   * @param word by which tests name it
   * @param label for people
   * @param weight how often it is that, among the causes of this symptom
   * @param suspects words of suspects that, where a pull names one, make it ten times as likely
   */
  public record Cause(String word, String label, double weight, List<String> suspects) {
    public Cause {
      suspects = List.copyOf(suspects);
      if (!(weight > 0)) {
        throw new InvalidInput(
            "Cause “" + label + "”, weight", String.valueOf(weight), "above 0", "it may be that");
      }
    }
  }

  /**
   * @param label what is done
   * @param minutes that it takes
   * @param answers what it may say, each with the words of the causes that are left then
   */
  public record Test(String label, double minutes, Map<String, List<String>> answers) {
    public Test {
      answers = Map.copyOf(answers);
      if (!(minutes > 0) || answers.size() < 2) {
        throw new InvalidInput(
            "Test “" + label + "”",
            minutes + " minutes, " + answers.size() + " answers",
            "more than no time, two answers or more",
            "a test parts causes");
      }
    }
  }

  public Symptom {
    causes = List.copyOf(causes);
    tests = List.copyOf(tests);
    if (name.isBlank() || causes.isEmpty()) {
      throw new InvalidInput(
          "Symptom", "“" + name + "”", "a name and a cause", "it is chosen by it");
    }
    var known = new HashSet<String>();
    causes.forEach(c -> known.add(c.word));
    for (var test : tests) {
      for (var left : test.answers.values()) {
        for (String word : left) {
          if (!known.contains(word)) {
            throw new InvalidInput(
                "Test “" + test.label + "”",
                "cause " + word,
                "one of " + known,
                "none is so called");
          }
        }
      }
    }
  }
}
