package grandbore.desktop;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.OwnKind;
import grandbore.core.combination.Specs;
import grandbore.desktop.bench.OwnView;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Places;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.station.Station;
import grandbore.desktop.weighing.SweepView;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;

/** Goes to where something stands: the station, its view, the field; the cursor into it. */
final class Guide implements Places {
  /** Stations whose pages hold inputs of their own. */
  private static final List<Station> WITH_INPUTS =
      List.of(
          Station.BRIEF,
          Station.BOTTOM_END,
          Station.COMPRESSION,
          Station.CAM,
          Station.HEADS,
          Station.BREATHING);

  private final Rail rail;
  private final Function<Station, Node> pages;
  private final ScrollPane scroll;
  private final Consumer<String> say;

  /**
   * @param pages the page of a station
   * @param scroll that they stand in
   * @param say told why a place can't be gone to
   */
  Guide(Rail rail, Function<Station, Node> pages, ScrollPane scroll, Consumer<String> say) {
    this.rail = rail;
    this.pages = pages;
    this.scroll = scroll;
    this.say = say;
  }

  /** Goes to an input; one that this engine has no part for is said to be so. */
  @Override
  public void toInput(String path) {
    var field = Specs.field(path);
    var id = "#" + path.replace('.', '-') + "-text";
    var stations = new ArrayList<Station>();
    stations.add(Station.ofGroup(field.group()));
    WITH_INPUTS.stream().filter(s -> !stations.contains(s)).forEach(stations::add);
    var before = rail.chosenProperty().get();
    for (var s : stations) {
      rail.choose(s);
      var found = reveal(pages.apply(s), id);
      if (found.isPresent()) {
        show(found.get());
        return;
      }
    }
    rail.choose(before);
    say.accept(field.spec().label() + ": this engine has no such part");
  }

  private static Optional<Node> reveal(Node page, String id) {
    var here = Optional.ofNullable(page.lookup(id));
    return here.isPresent()
        ? here
        : Views.in(page).flatMap(v -> v.reveal(view -> Optional.ofNullable(view.lookup(id))));
  }

  /** Goes to where a measurement is read; its next place waits for a number. */
  @Override
  public void toReading(Measurement m) {
    rail.choose(Station.CLEARANCES);
    var page = pages.apply(Station.CLEARANCES);
    press(page, "#bench-readings");
    press(page, "#group-" + m.group().name().toLowerCase(Locale.ROOT));
    press(page, "#measure-" + m.name().toLowerCase(Locale.ROOT));
  }

  /** Goes to where a kind of the shop's own is read; its first place waits for a number. */
  void toOwn(OwnKind kind) {
    toView(Station.CLEARANCES, ViewName.BENCH_OWN);
    if (pages.apply(Station.CLEARANCES).lookup("#own-view") instanceof OwnView own) {
      own.read(kind);
    }
  }

  /** Goes to a view of a station. */
  void toView(Station station, ViewName view) {
    rail.choose(station);
    press(pages.apply(station), "#" + view.id());
  }

  /** Sweeps the input that something on the page stands in; says so where it stands in none. */
  void toSweep(Node focused) {
    for (Node n = focused; n != null; n = n.getParent()) {
      if (n instanceof InputField input) {
        toView(Station.WEIGHING, ViewName.WEIGHING_SWEEP);
        if (pages.apply(Station.WEIGHING).lookup(".sweep-view") instanceof SweepView sweep) {
          sweep.sweep(input.path());
        }
        return;
      }
    }
    say.accept("Sweep: put the cursor in an input first");
  }

  private static void press(Node page, String id) {
    if (page.lookup(id) instanceof ToggleButton button) {
      button.fire();
    }
  }

  /** Scrolls a field into sight and puts the cursor in it. */
  private void show(Node field) {
    var content = scroll.getContent();
    scroll.applyCss();
    scroll.layout();
    var at = content.sceneToLocal(field.localToScene(field.getBoundsInLocal()));
    double hidden = content.getLayoutBounds().getHeight() - scroll.getViewportBounds().getHeight();
    if (hidden > 0) {
      double middle = at.getCenterY() - scroll.getViewportBounds().getHeight() / 2;
      scroll.setVvalue(Math.clamp(middle / hidden, 0, 1));
    }
    field.requestFocus();
  }
}
