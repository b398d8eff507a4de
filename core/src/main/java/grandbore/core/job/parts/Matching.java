package grandbore.core.job.parts;

import grandbore.core.combination.BottomEnd;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/**
 * Finds for pistons, pins and rods the cylinders at which weight, deck and compression come out
 * most alike. Of what is to be alike, the sum over the cylinders of the squares of its differences
 * from the mean is the least possible:
 *
 * <pre>
 *   weight        m_i  = piston + pin + small end of the rod
 *   deck          d_i  = deck height of the block − rod length − pin to crown
 *   compression   V_i  = chamber + dish + bore area · d_i
 *   banks         V_b  = mean chamber of the head + bore area · mean deck clearance
 * </pre>
 *
 * A list that meets one other is an assignment problem, solved exactly: as the mean of all sums is
 * the same however they are paired, the cost of a pair is the square of its own difference from it.
 * Where three lists meet, each is set in its turn against the others until nothing gets better;
 * that ends at the best of single moves.
 */
public final class Matching {
  private static final int TURNS = 50;

  /** What is evened. */
  public enum Goal {
    WEIGHT("reciprocating weight"),
    DECK("deck clearance"),
    COMPRESSION("volume at top centre"),
    /** Heads to banks: their mean chambers against the banks' mean decks. */
    BANKS("volume of the banks");

    private final String title;

    Goal(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /**
   * What is known of one place of the engine.
   *
   * @param deckHeight crank's axis to deck, less half the stroke, m
   * @param chamber volume of the head over it with the gasket's, m³
   */
  public record Place(double deckHeight, double chamber) {}

  /**
   * The parts at their best places.
   *
   * @param at for each part that was given its place, from 1
   * @param before spread of what was evened, greatest less least, as the parts lie; SI
   * @param after the same at their best places
   */
  public record Matched(Goal goal, Map<Item, Integer> at, double before, double after) {
    /** The parts, those of a cylinder together. */
    public List<Item> items() {
      return at.entrySet().stream()
          .sorted(Comparator.comparing(Map.Entry::getValue))
          .map(e -> e.getKey().at(e.getValue()))
          .toList();
    }
  }

  private final double boreArea;
  private final List<Place> places;
  private final Goal goal;

  private Matching(BottomEnd bottom, List<Place> places, Goal goal) {
    boreArea = bottom.boreArea();
    this.places = places;
    this.goal = goal;
  }

  /**
   * The best places; nothing where there are not as many measured parts of any kind as cylinders.
   *
   * @param places one a cylinder
   */
  public static Optional<Matched> of(
      List<Item> items, BottomEnd bottom, List<Place> places, Goal goal) {
    return new Matching(bottom, places, goal).of(items);
  }

  /**
   * The best bank for each head; nothing where their chambers were not measured.
   *
   * @param decks deck clearance of each cylinder, m
   */
  public static Optional<Matched> heads(List<Item> items, BottomEnd bottom, List<Double> decks) {
    var banks = new ArrayList<Place>();
    for (int bank = 0; bank < bottom.banks(); bank++) {
      int here = bank;
      double mean =
          IntStream.rangeClosed(1, decks.size())
              .filter(n -> bottom.bank(n) == here)
              .mapToDouble(n -> decks.get(n - 1))
              .average()
              .orElse(0);
      banks.add(new Place(mean, 0));
    }
    return new Matching(bottom, banks, Goal.BANKS).of(items);
  }

  private List<EnginePart> parts() {
    return switch (goal) {
      case WEIGHT -> List.of(EnginePart.PISTON, EnginePart.PIN, EnginePart.ROD);
      case DECK, COMPRESSION -> List.of(EnginePart.PISTON, EnginePart.ROD);
      case BANKS -> List.of(EnginePart.HEAD);
    };
  }

  private Optional<Matched> of(List<Item> items) {
    int n = places.size();
    var lists = new ArrayList<List<Item>>();
    for (var part : parts()) {
      var all =
          items.stream()
              .filter(i -> i.part() == part && i.measure(measured(part)).isPresent())
              .filter(i -> i.condition() != Condition.REJECT && i.state() != ItemState.SOLD)
              .sorted(Comparator.comparingInt(i -> i.place() == 0 ? n : i.place()))
              .toList();
      if (all.size() == n) {
        lists.add(all);
      }
    }
    if (lists.isEmpty() || goal == Goal.WEIGHT && lists.size() < 2) {
      return Optional.empty();
    }
    double before = spread(lists);
    double least = sumOfSquares(lists);
    for (int turn = 0; turn < TURNS; turn++) {
      for (int k = goal == Goal.WEIGHT ? 1 : 0; k < lists.size(); k++) {
        lists.set(k, set(lists, k));
      }
      double now = sumOfSquares(lists);
      if (now > least * (1 - 1e-12)) {
        break;
      }
      least = now;
    }
    Map<Item, Integer> at = new LinkedHashMap<>();
    lists.forEach(l -> IntStream.range(0, n).forEach(i -> at.put(l.get(i), i + 1)));
    return Optional.of(new Matched(goal, at, before, spread(lists)));
  }

  private ItemMeasure measured(EnginePart part) {
    return switch (goal) {
      case WEIGHT -> part == EnginePart.ROD ? ItemMeasure.SMALL_END : ItemMeasure.WEIGHT;
      case DECK, COMPRESSION ->
          part == EnginePart.ROD ? ItemMeasure.LENGTH : ItemMeasure.PIN_HEIGHT;
      case BANKS -> ItemMeasure.CHAMBER;
    };
  }

  /** One list set anew against all others as they stand. */
  private List<Item> set(List<List<Item>> lists, int k) {
    int n = places.size();
    double[] others = new double[n];
    for (int i = 0; i < n; i++) {
      others[i] = at(i);
      for (int l = 0; l < lists.size(); l++) {
        others[i] += l == k ? 0 : share(lists.get(l).get(i));
      }
    }
    var own = lists.get(k);
    double mean =
        (sum(own, this::share) + IntStream.range(0, n).mapToDouble(i -> others[i]).sum()) / n;
    double[][] costs = new double[n][n];
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        double off = share(own.get(i)) + others[j] - mean;
        costs[i][j] = off * off;
      }
    }
    // In parts of the largest, so that volumes of 1e-9 m³ are not lost in the method's tolerance.
    double most = 0;
    for (var row : costs) {
      for (double c : row) {
        most = Math.max(most, c);
      }
    }
    for (var row : costs) {
      for (int j = 0; j < n; j++) {
        row[j] = most == 0 ? 0 : row[j] / most;
      }
    }
    return Assignment.ordered(own, Assignment.least(costs));
  }

  private static double sum(List<Item> items, ToDoubleFunction<Item> of) {
    return items.stream().mapToDouble(of).sum();
  }

  /** What a place brings in itself. */
  private double at(int i) {
    return switch (goal) {
      case WEIGHT -> 0;
      case DECK -> places.get(i).deckHeight();
      case COMPRESSION -> places.get(i).chamber() + boreArea * places.get(i).deckHeight();
      case BANKS -> boreArea * places.get(i).deckHeight();
    };
  }

  /** What a part adds to it. */
  private double share(Item i) {
    double v = i.measure(measured(i.part())).orElseThrow();
    return switch (goal) {
      case WEIGHT, BANKS -> v;
      case DECK -> -v;
      case COMPRESSION -> i.measure(ItemMeasure.CROWN).orElse(0.0) - boreArea * v;
    };
  }

  private double[] values(List<List<Item>> lists) {
    return IntStream.range(0, places.size())
        .mapToDouble(i -> at(i) + lists.stream().mapToDouble(l -> share(l.get(i))).sum())
        .toArray();
  }

  private double spread(List<List<Item>> lists) {
    var stats = Arrays.stream(values(lists)).summaryStatistics();
    return stats.getMax() - stats.getMin();
  }

  private double sumOfSquares(List<List<Item>> lists) {
    double[] v = values(lists);
    double mean = Arrays.stream(v).average().orElse(0);
    return Arrays.stream(v).map(x -> (x - mean) * (x - mean)).sum();
  }
}
