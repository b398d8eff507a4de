package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.desktop.weighing.SpentTime;
import java.nio.file.Files;
import javafx.scene.control.Button;
import org.junit.jupiter.api.Test;

/** Builds side by side: what differs, what it comes to, what it costs and why. */
class SideBySideTest extends WeighingBench {
  /** The number that begins some words. */
  private static double number(String words) {
    return Double.parseDouble(words.split(" ", 2)[0]);
  }

  @Test
  void twoBuildsAreHeldAgainstTheOneOnTheBench() throws Exception {
    go("weighing-beside");
    robot.clickOn("#beside-add").clickOn("#beside-2");
    until("their figures", () -> isShown("#beside-figures"));
    robot.clickOn("#beside-add").clickOn("#beside-3");
    until(
        "both",
        () -> isShown("#beside-figures") && words("#beside-figures").contains("The same again"));
    var figures = words("#beside-figures");
    int gained = figures.indexOf("Gained by it");
    // More compression gives more; the same again nothing that can be told.
    assertThat(figures.get(gained + 2)).startsWith("+").endsWith("kW");
    assertThat(figures.get(gained + 3)).isEqualTo("no difference it can tell");
    var inputs = words("#beside-inputs");
    assertThat(inputs).contains("Compression", "Chamber volume");
    assertThat(inputs).doesNotContain("Breathing");
    // More of it asks for better fuel and cranks harder.
    int octane = figures.indexOf("Octane wanted in the band, (R+M)/2");
    assertThat(number(figures.get(octane + 2))).isGreaterThan(number(figures.get(octane + 1)));
    assertThat(figures.get(octane + 3)).isEqualTo(figures.get(octane + 1));
    until("cranked", () -> isShown("#beside-slow") && !words("#beside-slow").contains("…"));
    var slow = words("#beside-slow");
    int cranked = slow.indexOf("Cranking pressure by the gauge");
    assertThat(number(slow.get(cranked + 2))).isGreaterThan(number(slow.get(cranked + 1)));
    assertThat(slow.get(cranked + 3)).isEqualTo(slow.get(cranked + 1)).endsWith("bar");
    // The limits of all three beside one another, the tightest first.
    until("their limits", () -> isShown("#beside-limits"));
    var limits = words("#beside-limits");
    assertThat(limits).contains("Simulated knock margin, worst speed");
    int knock = limits.indexOf("Simulated knock margin, worst speed");
    assertThat(limits.get(knock + 1)).isEqualTo(limits.get(knock + 3)).matches(".* (left|beyond)");
    assertThat(limits.get(knock + 2)).isNotEqualTo(limits.get(knock + 1));
    // By the time it spends at speeds, typed or from a log.
    type("#spent-words", "4500 two");
    assertThat(words("#spent-time")).anyMatch(w -> w.contains("4500 two"));
    type("#spent-words", "4500 1, 5500 3");
    until("weighted", () -> words("#beside-figures").contains("Average power by time at speed"));
    assertThat(text("#spent-words")).isEqualTo("4500 25.0, 5500 75.0");
    var log = Files.writeString(folder.resolve("log.csv"), "time,rpm\n0,5100\n1,5130\n2,0\n");
    robot.interact(() -> robot.lookup("#spent-time").<SpentTime>query().read(log));
    assertThat(text("#spent-words")).isEqualTo("5125 100");
    // Kept, it is asked again of what it was asked of, and comes to the same.
    press("#beside-keep");
    view("weighing-kept");
    until("kept", () -> robot.lookup("Ask it again as it was").tryQuery().isPresent());
    robot.clickOn("Open");
    var said = text("#kept-said");
    assertThat(said).contains("Tight four: +", "The same again: none it can tell");
    robot.clickOn("Ask it again as it was");
    until("again", () -> words("#kept-studies").stream().anyMatch(w -> w.contains("as it was on")));
    assertThat(text("#kept-said")).isEqualTo(said);
    view("weighing-beside");
    // One taken away is gone from the table, and comes back from the list.
    robot.clickOn("#beside-chip-3");
    until("one of them", () -> !words("#beside-figures").contains("The same again"));
    robot.clickOn("#beside-chip-2");
    Pulse.await();
    assertThat(robot.lookup("#beside-figures").tryQuery()).isEmpty();
  }

  /** The shares of a difference add up to it. */
  @Test
  void whyTwoBuildsDifferIsSharedOut() {
    go("weighing-beside");
    robot.clickOn("#beside-add");
    Pulse.await();
    robot.clickOn("Tight four");
    until("compared", () -> isShown("#why-ask"));
    robot.interact(() -> robot.lookup("#why-ask").<Button>query().fire());
    until("shared", () -> isShown("#why-table"));
    var all = words("#why-table");
    int one = all.indexOf("compression, size and burn");
    int whole = all.indexOf("All of it");
    assertThat(one).isPositive();
    // Only compression differs: its share is all of it.
    assertThat(all.subList(one + 1, one + 4)).isEqualTo(all.subList(whole + 1, whole + 4));
    assertThat(all.get(one + 1)).matches("\\+\\d+\\.\\d");
  }
}
