package grandbore.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import grandbore.core.combination.BottomEnd;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.job.parts.Assignment;
import grandbore.core.job.parts.Condition;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Interfaces;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemMeasure;
import grandbore.core.job.parts.ItemState;
import grandbore.core.job.parts.Matching;
import grandbore.core.job.parts.Together;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class MatchingTest {
  private static final BottomEnd EIGHT = DemoBuilds.hillClimbEight().combination().bottomEnd();

  private static double cost(double[][] c, int[] at) {
    return IntStream.range(0, at.length).mapToDouble(i -> c[i][at[i]]).sum();
  }

  /** Up to eight things no arrangement of all is cheaper. */
  @Test
  void noOtherAssignmentIsCheaper() {
    var random = new Random(11);
    for (int n = 1; n <= 8; n++) {
      for (int k = 0; k < (n < 8 ? 20 : 3); k++) {
        double[][] c = new double[n][n];
        for (var row : c) {
          for (int j = 0; j < n; j++) {
            row[j] = random.nextDouble();
          }
        }
        int[] at = Assignment.least(c);
        assertThat(IntStream.of(at).distinct().count()).isEqualTo(n);
        assertThat(cost(c, at)).isCloseTo(least(c, 0, new boolean[n]), within(1e-9));
      }
    }
  }

  private static double least(double[][] c, int row, boolean[] used) {
    if (row == c.length) {
      return 0;
    }
    double best = Double.MAX_VALUE;
    for (int j = 0; j < c.length; j++) {
      if (!used[j]) {
        used[j] = true;
        best = Math.min(best, c[row][j] + least(c, row + 1, used));
        used[j] = false;
      }
    }
    return best;
  }

  private static List<Item> some(
      EnginePart part, int n, ItemMeasure m, double mean, double spread, Random random) {
    var all = new ArrayList<Item>();
    for (int i = 0; i < n; i++) {
      double v = mean + spread * (random.nextDouble() - 0.5);
      all.add(Item.wanted(part + "-" + i, part, i + 1).measured(Map.of(m, v)));
    }
    return all;
  }

  /** Heavy pistons get light pins: the spread that is left is the least of all 40,320 ways. */
  @Test
  void pinsMeetPistonsSoThatPairsWeighAlike() {
    var random = new Random(5);
    var pistons = some(EnginePart.PISTON, 8, ItemMeasure.WEIGHT, 0.52, 0.006, random);
    var pins = some(EnginePart.PIN, 8, ItemMeasure.WEIGHT, 0.145, 0.004, random);
    var all = new ArrayList<>(pistons);
    all.addAll(pins);
    var places = Collections.nCopies(8, new Matching.Place(0.23, 70e-6));
    var found = Matching.of(all, EIGHT, places, Matching.Goal.WEIGHT).orElseThrow();
    assertThat(found.after()).isLessThan(0.5 * found.before());
    double[] pair = new double[8];
    found.items().forEach(i -> pair[i.place() - 1] += i.measure(ItemMeasure.WEIGHT).orElseThrow());
    double mean = IntStream.range(0, 8).mapToDouble(i -> pair[i]).sum() / 8;
    double[][] c = new double[8][8];
    for (int i = 0; i < 8; i++) {
      for (int j = 0; j < 8; j++) {
        double sum =
            pistons.get(i).measure(ItemMeasure.WEIGHT).orElseThrow()
                + pins.get(j).measure(ItemMeasure.WEIGHT).orElseThrow();
        c[i][j] = 1e6 * (sum - mean) * (sum - mean);
      }
    }
    double is = IntStream.range(0, 8).mapToDouble(i -> 1e6 * Math.pow(pair[i] - mean, 2)).sum();
    assertThat(is).isCloseTo(least(c, 0, new boolean[8]), within(1e-6));
  }

  /** Rods and pistons set by length take most of the decks' spread out, and each stands once. */
  @Test
  void rodsAndPistonsAreSetSoThatDecksComeOutAlike() {
    var random = new Random(9);
    var all = some(EnginePart.ROD, 8, ItemMeasure.LENGTH, 0.1448, 0.0001, random);
    all.addAll(some(EnginePart.PISTON, 8, ItemMeasure.PIN_HEIGHT, 0.0396, 0.0001, random));
    var places =
        IntStream.range(0, 8)
            .mapToObj(i -> new Matching.Place(0.1850 + 0.0001 * random.nextDouble(), 70e-6))
            .toList();
    for (var goal : List.of(Matching.Goal.DECK, Matching.Goal.COMPRESSION)) {
      var found = Matching.of(all, EIGHT, places, goal).orElseThrow();
      assertThat(found.after()).isLessThan(0.25 * found.before());
      assertThat(found.at()).hasSize(16);
      assertThat(found.items().stream().filter(i -> i.part() == EnginePart.ROD))
          .extracting(Item::place)
          .containsExactly(1, 2, 3, 4, 5, 6, 7, 8);
    }
    assertThat(Matching.of(all.subList(0, 7), EIGHT, places, Matching.Goal.DECK)).isEmpty();
  }

  /** The head with the larger chambers goes where the deck is the tighter. */
  @Test
  void headsGoToTheBanksThatEvenThem() {
    var large = Item.wanted("a", EnginePart.HEAD, 1).measured(Map.of(ItemMeasure.CHAMBER, 58e-6));
    var small = Item.wanted("b", EnginePart.HEAD, 2).measured(Map.of(ItemMeasure.CHAMBER, 57e-6));
    var decks = new ArrayList<Double>();
    for (int n = 1; n <= 8; n++) {
      decks.add(EIGHT.bank(n) == 0 ? 0.40e-3 : 0.30e-3);
    }
    var found = Matching.heads(List.of(large, small), EIGHT, decks).orElseThrow();
    assertThat(found.at()).containsEntry(large, 2).containsEntry(small, 1);
    double deck = EIGHT.boreArea() * 0.1e-3;
    assertThat(found.before()).isCloseTo(1e-6 + deck, within(1e-12));
    assertThat(found.after()).isCloseTo(Math.abs(1e-6 - deck), within(1e-12));
    assertThat(Matching.heads(List.of(large), EIGHT, decks)).isEmpty();
  }

  @Test
  void whatBelongsTogetherIsToldWhereItIsBroken() {
    var cam = Item.wanted("c", EnginePart.CAM, 1).in(ItemState.ARRIVED);
    var tappets =
        Item.wanted("t", EnginePart.TAPPETS, 1)
            .in(ItemState.ARRIVED)
            .found(true, Condition.WORN, "");
    // A new cam wants new springs and pushrods; used tappets on a new cam are new to it.
    assertThat(Together.broken(List.of(cam, tappets)))
        .extracting(Together.Broken::says)
        .anyMatch(s -> s.startsWith("Cam new, tappets used"))
        .anyMatch(s -> s.startsWith("Cam without valve springs"))
        .anyMatch(s -> s.startsWith("Cam without pushrods"));
    var used = cam.found(true, Condition.SOUND, "");
    assertThat(Together.broken(List.of(used, tappets))).isEmpty();
    var bad = used.found(true, Condition.REJECT, "lobe 5 gone").in(ItemState.FITTED);
    assertThat(Together.broken(List.of(bad)))
        .extracting(Together.Broken::says)
        .anyMatch(s -> s.contains("lobe 5 gone"));
  }

  @Test
  void twoPartsMatchWhereBothAreKnownAndAlike() {
    var one =
        Item.wanted("a", EnginePart.HEAD, 1)
            .matching(Map.of("bolt pattern", "ten, 3/8", "water outlet", "front"));
    var other =
        Item.wanted("b", EnginePart.HEAD, 1)
            .matching(Map.of("bolt pattern", "TEN, 3/8 ", "port", "rectangular"));
    assertThat(Interfaces.of(List.of(one), List.of(other)))
        .extracting(c -> c.name() + " " + c.fit())
        .containsExactly("bolt pattern MATCHES", "port UNKNOWN", "water outlet UNKNOWN");
    assertThat(Interfaces.of(one, one.matching(Map.of("bolt pattern", "fourteen"))))
        .extracting(Interfaces.Compared::fit)
        .contains(Interfaces.Fit.DIFFERS);
  }
}
