package grandbore.core.prediction;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Combination;
import grandbore.core.combination.Given;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.core.demo.DynoCases;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Valid combinations drawn over the whole range of every input, sensible and silly ones. */
public final class RandomEngines {
  private static final double SILLY = 0.3;

  private final Random random;
  private final List<Combination> models = new ArrayList<>();

  public RandomEngines(long seed) {
    random = new Random(seed);
    models.add(DemoBuilds.hillClimbEight().combination());
    models.add(DemoBuilds.paddockFour().combination());
    DynoCases.all().forEach(c -> models.add(c.combination()));
  }

  public Combination next() {
    var c = models.get(random.nextInt(models.size()));
    var arrangements = Arrangement.values();
    c = arrangements[random.nextInt(arrangements.length)].of(c);
    for (var f : Specs.fields()) {
      double dice = random.nextDouble();
      if (dice < SILLY) {
        c = kept(c, f.path(), drawn(f, f.spec().min(), f.spec().max(), f.get(c)));
      } else if (dice < 2 * SILLY) {
        double is = f.get(c).si();
        c =
            kept(
                c,
                f.path(),
                drawn(
                    f,
                    Math.max(f.spec().min(), is - 0.3 * Math.abs(is)),
                    Math.min(f.spec().max(), is + 0.3 * Math.abs(is)),
                    f.get(c)));
      }
    }
    for (var group : Combination.class.getRecordComponents()) {
      if (!group.getType().isRecord()) {
        continue;
      }
      for (var part : group.getType().getRecordComponents()) {
        boolean choice = part.getType().isEnum() && !group.getName().equals("bottomEnd");
        if (choice && random.nextDouble() < 0.5) {
          var all = part.getType().getEnumConstants();
          c = kept(c, group.getName() + "." + part.getName(), all[random.nextInt(all.length)]);
        }
      }
    }
    if (random.nextDouble() < 0.3) {
      c = kept(c, "heads.intakeShares", shares(c.bottomEnd().cylinders()));
      c = kept(c, "intake.throttles", 1 + random.nextInt(4));
    }
    return c;
  }

  double speed() {
    return 500 * Math.pow(24, random.nextDouble());
  }

  private List<Double> shares(int cylinders) {
    return random.doubles(cylinders, 0.8, 1.2).boxed().toList();
  }

  private Given drawn(Specs.Field f, double low, double high, Given like) {
    double share = random.nextDouble();
    double value =
        low > 0 && high / low > 20 ? low * Math.pow(high / low, share) : low + share * (high - low);
    return new Given(value, f.spec().quantity(), like.provenance(), like.spread());
  }

  /** The change where it is valid, the combination as it was where not. */
  private static Combination kept(Combination c, String path, Object value) {
    try {
      return c.with(path, value);
    } catch (InvalidInput refused) {
      return c;
    }
  }
}
