package grandbore.desktop.controls;

import grandbore.core.beginning.Ordinary;
import grandbore.core.beginning.Unlike;
import grandbore.core.build.MeasuredBy;
import grandbore.core.combination.InvalidInput;
import grandbore.core.combination.Provenance;
import grandbore.core.combination.Specs;
import grandbore.core.units.Entry;
import grandbore.core.units.Quantity;
import grandbore.desktop.session.Session;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One input in place: its provenance mark, its number, its unit. */
public final class InputField extends VBox {
  private static final PseudoClass MEASURED = PseudoClass.getPseudoClass("measured");
  private static final PseudoClass FAR = PseudoClass.getPseudoClass("far");

  private final Session session;
  private final Specs.Field field;
  private final ProvenanceMark mark = new ProvenanceMark();
  private final Label unit = new Label();
  private final CommitField text;

  /** Under the number: what is specified where it was read, what is usual where it is far off. */
  private final Label beside = new Label();

  private final ReadingOrSpecification ask;
  private boolean hasRoom = true;

  public InputField(Session session, String path) {
    this.session = session;
    field = Specs.field(path);
    String id = path.replace('.', '-');
    var refusal = new Refusal();
    refusal.setId(id + "-refusal");
    text = new CommitField(field.spec().label(), this::take, refusal);
    text.setId(id + "-text");
    text.setPromptText(field.spec().optional() ? "?" : "");
    text.setTooltip(new Tooltip(field.spec().label() + ": " + field.spec().why()));
    getStyleClass().add("input");
    mark.setId(id + "-mark");
    mark.setOnMouseClicked(e -> nextProvenance());
    mark.explain(this::rule);
    unit.getStyleClass().add("unit");
    var row = new HBox(4, mark, text, unit);
    row.setAlignment(Pos.CENTER_LEFT);
    ask = new ReadingOrSpecification(session, field, id);
    beside.setId(id + "-beside");
    beside.getStyleClass().addAll("unit", "beside");
    Page.show(beside, false);
    getChildren().addAll(row, beside, ask, refusal);
    session.benchProperty().subscribe(b -> refresh());
  }

  /** The question lies over what is below the field. */
  @Override
  protected void layoutChildren() {
    super.layoutChildren();
    ask.resizeRelocate(0, getHeight() + 2, ask.prefWidth(-1), ask.prefHeight(ask.prefWidth(-1)));
  }

  /** Whether readings have taken the place of what is specified. */
  private boolean isRead() {
    var given = field.get(session.build().combination());
    return MeasuredBy.of(field.path()).isPresent()
        && !given.equals(field.get(session.engine().combination()));
  }

  private Quantity quantity() {
    return field.spec().quantity();
  }

  private void refresh() {
    var build = session.build();
    var given = field.get(session.engine().combination());
    boolean unsaid = field.spec().optional() && !given.isKnown();
    text.show(unsaid ? "" : quantity().number(given.si(), build.units()));
    unit.setText(symbol(quantity(), build.units()));
    mark.show(given.provenance());
    boolean read = isRead();
    if (read) {
      var said = field.get(build.combination());
      String number = quantity().number(said.si(), build.units());
      beside.setText(number.equals(text.getText()) ? "read" : "read; specified " + number);
    }
    var usual = read ? Optional.<Unlike>empty() : unlike();
    usual.ifPresent(u -> beside.setText("usual " + roughly(u)));
    beside.pseudoClassStateChanged(FAR, usual.isPresent());
    text.pseudoClassStateChanged(FAR, usual.isPresent());
    Page.show(beside, read || hasRoom && usual.isPresent());
    ask.close();
    text.pseudoClassStateChanged(MEASURED, given.provenance().compareTo(Provenance.MEASURED) >= 0);
  }

  /**
   * Where nothing may stand under the number, its colour, tip and menu alone tell it is far off.
   */
  public InputField withoutRoomBeneath() {
    hasRoom = false;
    refresh();
    return this;
  }

  private Optional<Unlike> unlike() {
    return Ordinary.unlike(session.build(), path());
  }

  /** The rule by which the number was assumed, or the one from which it is far. */
  private String rule() {
    return Ordinary.rule(session.build(), path())
        .or(() -> unlike().map(u -> "usual " + show(u) + ": " + u.words()))
        .orElse("");
  }

  private String show(Unlike u) {
    return quantity().show(u.usual(), session.build().units());
  }

  /** To two figures: a rule of thumb has no more. */
  private String roughly(Unlike u) {
    var number = quantity().number(u.usual(), session.build().units());
    return new BigDecimal(number).round(new MathContext(2)).toPlainString();
  }

  /** What is usual for such an engine, with its unit, where this is far from it. */
  public Optional<String> usual() {
    return unlike().map(this::show);
  }

  /** Puts what is usual in the place of what is far from it, assumed. */
  public void takeUsual() {
    var given = field.get(session.build().combination());
    unlike().ifPresent(u -> session.put(field, given.with(u.usual(), Provenance.ASSUMED)));
  }

  /** A unit's symbol as it is read on a screen. */
  public static String symbol(Quantity q, grandbore.core.units.UnitSystem units) {
    return q.unit(units)
        .symbol()
        .replace("deg", "°")
        .replace("in2", "in²")
        .replace("cm2", "cm²")
        .replace("inH2O", "inH₂O");
  }

  private void take(String typed) {
    var given = field.get(session.build().combination());
    if (field.spec().optional() && typed.isBlank()) {
      session.put(field, given.with(0, Provenance.ASSUMED));
      return;
    }
    double si;
    try {
      si = Entry.parse(typed, quantity(), session.build().units(), given.si());
    } catch (InvalidInput e) {
      throw e;
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException(field.spec().label() + ": " + e.getMessage(), e);
    }
    var from = given.provenance() == Provenance.ASSUMED ? Provenance.CARD : given.provenance();
    var wanted = given.with(si, from).as(typed);
    if (isRead()) {
      ask.ask(wanted);
    } else {
      session.put(field, wanted);
    }
  }

  /** A click on the mark says where the number came from: the next kind, round and round. */
  private void nextProvenance() {
    var given = field.get(session.build().combination());
    var all = Provenance.values();
    session.put(
        field, given.with(given.si(), all[(given.provenance().ordinal() + 1) % all.length]));
  }

  /** The input's path. */
  public String path() {
    return field.path();
  }

  /** The name beside it, for rows of inputs. */
  public String label() {
    return field.spec().label();
  }
}
