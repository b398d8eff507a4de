package grandbore.desktop.weighing;

import grandbore.core.changes.Change;
import grandbore.core.combination.Specs;
import grandbore.core.studies.Search;
import grandbore.core.studies.SearchStudy;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.Node;

/** What a search found, a column each: what it comes to, what it is made of, and into the build. */
final class SearchTable extends SideTable {
  private final List<Search.Candidate> shown;

  SearchTable(
      String title,
      List<Search.Candidate> shown,
      SearchStudy study,
      UnitSystem units,
      Consumer<Search.Candidate> take) {
    super(title, IntStream.rangeClosed(1, shown.size()).mapToObj(i -> "No. " + i).toList());
    this.shown = shown;
    setId("search-table");
    say(study.goal().label(), c -> study.goal().show(c.goal(), units));
    study.second().ifPresent(g -> say(g.label(), c -> g.show(c.second(), units)));
    for (int i = 0; i < study.free().size(); i++) {
      int at = i;
      var spec = Specs.field(study.free().get(i).path()).spec();
      say(spec.label(), c -> spec.quantity().show(c.values().get(at), units));
    }
    if (!study.changes().isEmpty()) {
      say(
          "changes made",
          c ->
              c.chosen().isEmpty()
                  ? "none"
                  : c.chosen().stream().map(Change::name).collect(Collectors.joining("; ")));
      say("money", c -> String.format(Locale.US, "%,.0f", c.money()));
    }
    if (shown.stream().anyMatch(c -> !c.broken().isEmpty())) {
      say("does not hold", c -> String.join("; ", c.broken()));
    } else {
      cells("", buttons(take));
    }
  }

  private List<Node> buttons(Consumer<Search.Candidate> take) {
    return IntStream.range(0, shown.size())
        .mapToObj(
            i -> {
              var button = Page.button("Take it", "search-take-" + (i + 1));
              button.setAccessibleText("take number " + (i + 1) + " into the build");
              button.setOnAction(e -> take.accept(shown.get(i)));
              return (Node) button;
            })
        .toList();
  }

  private void say(String name, Function<Search.Candidate, String> words) {
    line(name, shown.stream().map(words).toList());
  }
}
