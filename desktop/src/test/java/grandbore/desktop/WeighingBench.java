package grandbore.desktop;

import grandbore.book.BuildDocument;
import grandbore.core.combination.Given;
import grandbore.core.demo.DemoBuilds;
import grandbore.desktop.station.Station;
import java.util.List;

/** A four, the same with more compression, and the same again, to be weighed up. */
abstract class WeighingBench extends BenchTest {
  @Override
  Station station() {
    return Station.BREATHING;
  }

  @Override
  boolean studies() {
    return true;
  }

  @Override
  List<BuildDocument> documents() {
    var four = DemoBuilds.paddockFour();
    var c = four.combination();
    var ratio = (Given) c.at("compression.chamberVolume");
    var tight =
        four.with(
            c.with("compression.chamberVolume", ratio.with(0.93 * ratio.si(), ratio.provenance()))
                .named("Tight four"));
    return List.of(
        new BuildDocument(four, List.of()),
        new BuildDocument(tight, List.of()),
        new BuildDocument(four.with(c.named("The same again")), List.of()));
  }

  final void go(String view) {
    robot.interact(() -> bench.rail().choose(Station.WEIGHING));
    view(view);
  }
}
