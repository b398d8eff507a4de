package grandbore.desktop;

import grandbore.core.combination.Combination;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.Intake;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Engines with every input moved at random within what is allowed together. */
public final class RandomEngines {
  private RandomEngines() {}

  public static List<Combination> of(long seed, int count) {
    var random = new Random(seed);
    var all = new ArrayList<Combination>();
    for (int k = 0; k < count; k++) {
      var c =
          k % 2 == 0
              ? DemoBuilds.hillClimbEight().combination()
              : DemoBuilds.paddockFour().combination();
      c =
          c.with("exhaust.kind", Exhaust.Kind.values()[random.nextInt(3)])
              .with("exhaust.outlet", Exhaust.Outlet.values()[random.nextInt(2)])
              .with("intake.manifold", Intake.Manifold.values()[random.nextInt(3)]);
      for (var f : Specs.fields()) {
        double was = f.get(c).si();
        try {
          double by = Math.exp(0.5 * random.nextGaussian());
          double si = Math.clamp(was * by, f.spec().min(), f.spec().max());
          c = was == 0 ? c : f.with(c, f.get(c).with(si, Provenance.CARD));
        } catch (InvalidInput refused) {
          // Such an engine can't be built.
        }
      }
      all.add(c);
    }
    return all;
  }
}
