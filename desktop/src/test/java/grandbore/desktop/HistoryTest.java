package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.BuildDocument;
import grandbore.core.clearances.AssemblyCheck;
import grandbore.core.clearances.Band;
import grandbore.core.clearances.Kept;
import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.Reading;
import grandbore.core.clearances.Rule;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.demo.DemoBuilds;
import grandbore.desktop.session.Session;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Edits, readings and notes in any order: undo walks back through all of them, redo forward. */
class HistoryTest extends BenchTest {
  @Override
  List<BuildDocument> documents() {
    return List.of(
        new BuildDocument(DemoBuilds.hillClimbEight(), List.of()),
        new BuildDocument(DemoBuilds.paddockFour(), List.of()));
  }

  /** What the book holds as far as it counts: what is struck does not. */
  private record Seen(double runner, List<Double> readings, List<Object> notes) {}

  private Seen seen() {
    var s = bench.session();
    return new Seen(
        // The book keeps twelve digits.
        Math.rint(1e9 * s.build().combination().intake().runnerLength().si()),
        s.readings().all().stream().filter(r -> !r.struck()).map(Reading::value).toList(),
        s.bench().notes().stream()
            .filter(k -> !k.struck())
            .map(Kept::note)
            .map(n -> (Object) n)
            .toList());
  }

  private void done(Runnable what) {
    robot.interact(what);
    bench.session().settled().join();
    Pulse.await();
  }

  private void opened(long build) {
    robot.interact(() -> bench.session().open(build));
    until("it is on the bench", () -> bench.session().id() == build);
  }

  private void anything(Random random, int step) {
    Session s = bench.session();
    switch (random.nextInt(4)) {
      case 0 -> {
        var field = Specs.field("intake.runnerLength");
        var old = field.get(s.build().combination());
        done(() -> s.put(field, old.with(old.si() + 1e-3, Provenance.MEASURED)));
      }
      case 1 ->
          done(
              () ->
                  s.read(
                      new Reading(
                          0,
                          Measurement.CHAMBER,
                          1 + random.nextInt(8),
                          Reading.Side.NONE,
                          57e-6 + 1e-8 * step,
                          "",
                          "burette",
                          Instant.now(),
                          false)));
      case 2 ->
          done(
              () ->
                  s.keep(
                      AssemblyCheck.values()[random.nextInt(AssemblyCheck.values().length)].tick(),
                      "Ines"));
      default -> {
        var standing = s.readings().all().stream().filter(r -> !r.struck()).toList();
        if (standing.isEmpty()) {
          done(
              () ->
                  s.keep(
                      new Rule(
                          Measurement.CHAMBER,
                          Reading.Side.NONE,
                          Band.Source.MAKER,
                          56e-6,
                          58e-6,
                          "sheet " + step),
                      ""));
        } else {
          var hit = standing.get(random.nextInt(standing.size()));
          done(() -> s.strike(hit.id(), true));
        }
      }
    }
  }

  @Test
  void undoWalksBackThroughEverythingAndRedoForward() {
    var random = new Random(23);
    var states = new ArrayList<Seen>();
    states.add(seen());
    for (int step = 0; step < 24; step++) {
      anything(random, step);
      states.add(seen());
    }
    for (int i = states.size() - 2; i >= 0; i--) {
      done(bench.session()::undo);
      assertThat(seen()).as("undo to " + i).isEqualTo(states.get(i));
    }
    for (int i = 1; i < states.size(); i++) {
      done(bench.session()::redo);
      assertThat(seen()).as("redo to " + i).isEqualTo(states.get(i));
    }
    // Nothing was deleted on the way: every reading that was taken is still in the book.
    long taken = bench.session().readings().all().size();
    for (int i = 0; i < 10; i++) {
      done(bench.session()::undo);
    }
    assertThat(bench.session().readings().all()).hasSize((int) taken);
  }

  /** Another build has its own readings and notes; the shop's rule is there too. */
  @Test
  void buildsKeepTheirOwnBooks() {
    var s = bench.session();
    long first = s.id();
    long second = s.books().builds().getLast().id();
    done(() -> s.keep(AssemblyCheck.PRIMED.tick(), "Ines"));
    done(
        () ->
            s.keep(
                new Rule(
                    Measurement.ROD_FILLET,
                    Reading.Side.NONE,
                    Band.Source.HOUSE,
                    0.5e-3,
                    0,
                    "ours"),
                ""));
    opened(second);
    assertThat(s.bench().notes())
        .singleElement()
        .satisfies(k -> assertThat(k.note()).isInstanceOf(Rule.class));
    assertThat(s.ledger().bands().all(Measurement.ROD_FILLET, Reading.Side.NONE))
        .extracting(Band::source)
        .containsExactly(Band.Source.PRACTICE, Band.Source.HOUSE);
    opened(first);
    assertThat(s.bench().notes()).hasSize(2);
  }
}
