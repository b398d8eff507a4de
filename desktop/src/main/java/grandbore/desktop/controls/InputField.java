package grandbore.desktop.controls;

import grandbore.core.beginning.Ordinary;
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
    var usual = read ? Optional.<String>empty() : usual();
    usual.ifPresent(u -> beside.setText("usual " + rounded(u)));
    beside.pseudoClassStateChanged(FAR, usual.isPresent());
    Page.show(beside, read || usual.isPresent());
    ask.close();
    text.pseudoClassStateChanged(MEASURED, given.provenance().compareTo(Provenance.MEASURED) >= 0);
  }

  /** The rule by which the number was assumed, or the one from which it is far. */
  private String rule() {
    var build = session.build();
    return Ordinary.rule(build, path())
        .or(
            () ->
                Ordinary.unlike(build, path())
                    .map(
                        u ->
                            "usual "
                                + quantity().show(u.usual(), build.units())
                                + ": "
                                + u.words()))
        .orElse("");
  }

  /** What is usual for such an engine, in the build's units, where this is far from it. */
  public Optional<String> usual() {
    var build = session.build();
    return Ordinary.unlike(build, path()).map(u -> quantity().number(u.usual(), build.units()));
  }

  /** To two figures: a rule of thumb has no more. */
  private static String rounded(String number) {
    return new BigDecimal(number).round(new MathContext(2)).toPlainString();
  }

  /** Puts what is usual in the place of what is far from it, assumed. */
  public void takeUsual() {
    Ordinary.unlike(session.build(), path())
        .ifPresent(
            u ->
                session.put(
                    field,
                    field.get(session.build().combination()).with(u.usual(), Provenance.ASSUMED)));
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
