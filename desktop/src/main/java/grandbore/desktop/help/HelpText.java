package grandbore.desktop.help;

import grandbore.desktop.controls.Page;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.commonmark.node.Emphasis;
import org.commonmark.node.Heading;
import org.commonmark.node.Paragraph;
import org.commonmark.node.SoftLineBreak;
import org.commonmark.node.StrongEmphasis;

/** A page of the guide as it is read: headings, paragraphs, strong and slanted words. */
final class HelpText extends VBox {
  HelpText(HelpPage page) {
    super(6);
    getStyleClass().add("help-text");
    for (var n = page.text().getFirstChild(); n != null; n = n.getNext()) {
      if (n instanceof Heading h) {
        getChildren().add(heading(h));
      } else if (n instanceof Paragraph) {
        var flow = new TextFlow();
        add(n, List.of(), flow);
        getChildren().add(flow);
      }
    }
  }

  private static Node heading(Heading h) {
    String words = HelpPage.heading(h).orElse("");
    if (h.getLevel() == 1) {
      var title = Page.hint(words);
      title.getStyleClass().setAll("label", "page-title");
      return title;
    }
    return Page.part(words);
  }

  private static void add(org.commonmark.node.Node from, List<String> styles, TextFlow into) {
    for (var n = from.getFirstChild(); n != null; n = n.getNext()) {
      switch (n) {
        case org.commonmark.node.Text t -> {
          var shown = new Text(t.getLiteral());
          shown.getStyleClass().add("help-words");
          shown.getStyleClass().addAll(styles);
          into.getChildren().add(shown);
        }
        case SoftLineBreak _ -> into.getChildren().add(new Text(" "));
        case StrongEmphasis s -> add(s, with(styles, "help-strong"), into);
        case Emphasis e -> add(e, with(styles, "help-slanted"), into);
        default -> add(n, styles, into);
      }
    }
  }

  private static List<String> with(List<String> styles, String more) {
    var all = new ArrayList<>(styles);
    all.add(more);
    return all;
  }

  /** Marks the heading of a part; returns where it stands, from the top, once it is laid out. */
  double mark(String part) {
    for (var c : getChildren()) {
      if (c instanceof Label l && part.equals(l.getText())) {
        l.getStyleClass().add("help-found");
        return l.getBoundsInParent().getMinY();
      }
    }
    return 0;
  }
}
