package grandbore.core.prediction;

import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Intake;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Which cylinders are solved, and where the others stand as their copies.
 *
 * @param each in firing order, the first to fire first
 * @param alike whether all are taken as the mean of them
 */
record RepresentativeCylinders(List<Role> each, boolean alike) {
  /**
   * A cylinder that is solved.
   *
   * @param numbers its own and those whose results are its own too
   * @param firesAt crank angle after the first firing, rad
   * @param bank that it is solved in, from 0
   * @param group of the bank's primaries that meet first, from 0
   * @param along a log, from the end that is shut: cylinders of the bank before it
   * @param share of the bank's length before its middle
   * @param plane of the manifold, from 0
   */
  record Role(
      List<Integer> numbers,
      double firesAt,
      int bank,
      int group,
      int along,
      double share,
      int plane,
      Others onPlenum,
      Others onCollector) {
    int number() {
      return numbers.getFirst();
    }
  }

  /** Every cylinder. */
  static RepresentativeCylinders every(Combination c) {
    var bottom = c.bottomEnd();
    return new RepresentativeCylinders(
        IntStream.range(0, bottom.cylinders())
            .mapToObj(
                place -> role(c, place, bank(bottom, place), List.of(), Others.NONE, Others.NONE))
            .toList(),
        false);
  }

  /**
   * Every cylinder, those left out that are others over again: where the engine, turned on by an
   * angle, is itself. On a log and along a box each has its own place.
   */
  static RepresentativeCylinders full(BuiltEngine engine) {
    var c = engine.combination();
    boolean alike =
        Stream.of(
                engine.clearances(),
                c.intake().runnerChanges(),
                c.heads().intakeShares(),
                c.heads().exhaustShares(),
                c.mixture().byCylinder())
            .allMatch(each -> each.stream().distinct().count() <= 1);
    return alike ? placed(c, GasGraph.of(c, true), true) : every(c);
  }

  /** Mean cylinders, one for each place that sees the others differently. */
  static RepresentativeCylinders placed(Combination c) {
    return placed(c, GasGraph.of(c, c.intake().isBox()), false);
  }

  private static RepresentativeCylinders placed(Combination c, GasGraph graph, boolean named) {
    var bottom = c.bottomEnd();
    var turns = graph.turns();
    if (turns.isEmpty()) {
      return every(c);
    }
    var onPlenum = new Others(turns.stream().map(t -> new Others.Later(t.by(), 1)).toList());
    var onBank =
        new Others(
            turns.stream()
                .filter(t -> !swapsBanks(bottom, t))
                .map(t -> new Others.Later(t.by(), 1))
                .toList());
    boolean oneBank = turns.stream().anyMatch(t -> swapsBanks(bottom, t));
    var roles = new ArrayList<Role>();
    var played = new boolean[bottom.cylinders()];
    for (int place = 0; place < played.length; place++) {
      if (played[place] || oneBank && bank(bottom, place) != bank(bottom, 0)) {
        continue;
      }
      var copies = new ArrayList<Integer>();
      for (var turn : turns) {
        int other = turn.onto().get(place);
        played[other] = true;
        copies.add(bottom.firingOrder().get(other));
      }
      int bank = oneBank ? 0 : bank(bottom, place);
      roles.add(role(c, place, bank, named ? copies : List.of(), onPlenum, onBank));
    }
    return new RepresentativeCylinders(roles, true);
  }

  private static boolean swapsBanks(BottomEnd bottom, GasGraph.Turn turn) {
    return bank(bottom, turn.onto().getFirst()) != bank(bottom, 0);
  }

  /**
   * One mean cylinder for all where they fire evenly. On an unevenly firing bank it hears of the
   * others what they hear of each other on the mean: where two of four follow half a turn later,
   * half a cylinder does. A box is one volume to it.
   */
  static RepresentativeCylinders live(Combination c) {
    var bottom = c.bottomEnd();
    boolean planesApart =
        planes(c) == 2 && (c.intake().planeWindow().si() > 0 || c.intake().airBox().isKnown());
    boolean exhaustApart = ExhaustSide.groups(c) > 1 || ExhaustSide.tiesBanks(c);
    if (!bottom.firesEvenly() || planesApart || exhaustApart) {
      return placed(c);
    }
    var onPlenum = onTheMean(bottom, place -> place % planes(c));
    var onBank = onTheMean(bottom, place -> bank(bottom, place));
    return new RepresentativeCylinders(List.of(role(c, 0, 0, List.of(), onPlenum, onBank)), true);
  }

  private static Role role(
      Combination c, int place, int bank, List<Integer> copies, Others plenum, Others collector) {
    var bottom = c.bottomEnd();
    var numbers = new ArrayList<>(List.of(bottom.firingOrder().get(place)));
    numbers.addAll(copies);
    return new Role(
        List.copyOf(numbers),
        bottom.firesAt(place),
        bank,
        group(c, place),
        along(bottom, place),
        (along(bottom, place) + 0.5) * bottom.banks() / bottom.cylinders(),
        place % planes(c),
        plenum,
        collector);
  }

  /** Planes that every cylinder of the firing order takes turns at. */
  static int planes(Combination c) {
    return c.intake().manifold() == Intake.Manifold.DUAL_PLANE ? 2 : 1;
  }

  /** A bank's groups take turns in its firing order. */
  static int group(Combination c, int place) {
    var bottom = c.bottomEnd();
    long before =
        IntStream.range(0, place).filter(k -> bank(bottom, k) == bank(bottom, place)).count();
    return (int) (before % ExhaustSide.groups(c));
  }

  /** Cylinders of the same bank with a lower number. */
  static int along(BottomEnd bottom, int place) {
    int number = bottom.firingOrder().get(place);
    return (int)
        bottom.firingOrder().stream()
            .filter(n -> n < number && bottom.bank(n) == bottom.bank(number))
            .count();
  }

  static int bank(BottomEnd bottom, int place) {
    return bottom.bank(bottom.firingOrder().get(place));
  }

  private static Others onTheMean(BottomEnd bottom, IntUnaryOperator volume) {
    int cylinders = bottom.cylinders();
    var counts = new TreeMap<Long, Integer>();
    for (int mine = 0; mine < cylinders; mine++) {
      for (int other = 0; other < cylinders; other++) {
        if (other != mine && volume.applyAsInt(mine) == volume.applyAsInt(other)) {
          double later = Math.toDegrees(bottom.firesAt(other) - bottom.firesAt(mine));
          counts.merge(Math.floorMod(Math.round(later), 720L), 1, Integer::sum);
        }
      }
    }
    return new Others(
        counts.entrySet().stream()
            .map(
                e ->
                    new Others.Later(Math.toRadians(e.getKey()), (double) e.getValue() / cylinders))
            .toList());
  }

  /** Banks that are solved. */
  int banks() {
    return 1 + each.stream().mapToInt(Role::bank).max().orElse(0);
  }

  /** Planes that are solved. */
  int planes() {
    return 1 + each.stream().mapToInt(Role::plane).max().orElse(0);
  }

  boolean haveCopies() {
    return each.stream().anyMatch(r -> !r.onPlenum().each().isEmpty());
  }
}
