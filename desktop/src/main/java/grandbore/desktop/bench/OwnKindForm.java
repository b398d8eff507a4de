package grandbore.desktop.bench;

import grandbore.core.clearances.Measurement.Place;
import grandbore.core.clearances.OwnKind;
import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.Refusal;
import grandbore.desktop.controls.ShownAs;
import grandbore.desktop.controls.TypedNumber;
import grandbore.desktop.session.Session;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Adds a kind of reading of the shop's own, or changes one. */
final class OwnKindForm extends VBox {
  /** Kinds that shops often take; their bands are for makers and the shop to say. */
  private static final List<OwnKind> OFTEN =
      List.of(
          length("Rear seal proud", Place.ENGINE, List.of("left", "right"), -0.002, 0.005),
          length("Link bar to block", Place.CYLINDER, List.of(), 0, 0.02),
          length("Wall thickness by sound", Place.CYLINDER, wall(), 0, 0.02),
          length("Cam bearing clearance", Place.MAIN, List.of(), 0, 0.0005),
          length("Lifter bore clearance", Place.CYLINDER, List.of("intake", "exhaust"), 0, 0.0005),
          new OwnKind(
              "Oil hole covered by shell",
              Quantity.SHARE,
              Place.MAIN,
              List.of(),
              0,
              1,
              0,
              0,
              false,
              "",
              false));

  private static final List<Quantity> UNITS =
      List.of(
          Quantity.CLEARANCE,
          Quantity.VOLUME,
          Quantity.ANGLE,
          Quantity.FORCE,
          Quantity.MASS,
          Quantity.SHARE,
          Quantity.TORQUE,
          Quantity.CYLINDER_PRESSURE,
          Quantity.TEMPERATURE);

  private final Session session;
  private final Consumer<String> kept;
  private final TextField label = Page.words("own-label", "what is measured", 20);
  private final ComboBox<Quantity> quantity = new ComboBox<>();
  private final ComboBox<Place> place = new ComboBox<>();
  private final TextField points = Page.words("own-points", "front; rear", 24);
  private final TextField least = Page.words("own-least", "least", 8);
  private final TextField most = Page.words("own-most", "most", 8);
  private final TextField from = Page.words("own-from", "least", 8);
  private final TextField to = Page.words("own-to", "most, if any", 8);
  private final CheckBox perBore = new CheckBox("band for each unit of bore");
  private final TextField said = Page.words("own-said", "by whom", 16);
  private final Refusal refusal = new Refusal();
  private OwnKind shown;

  OwnKindForm(Session session, Consumer<String> kept) {
    super(6);
    this.session = session;
    this.kept = kept;
    setId("own-form");
    getStyleClass().add("group");
    quantity.getItems().setAll(UNITS);
    quantity.setConverter(ShownAs.of(this::unit));
    quantity.setValue(Quantity.CLEARANCE);
    quantity.setId("own-quantity");
    place.getItems().setAll(Place.values());
    place.setConverter(ShownAs.of(OwnKindForm::where));
    place.setValue(Place.CYLINDER);
    place.setId("own-place");
    perBore.setId("own-per-bore");
    var often = new MenuButton("One that is often taken");
    often.setId("own-often");
    often.setMinWidth(USE_PREF_SIZE);
    for (var k : OFTEN) {
      var item = new MenuItem(k.label());
      item.setId("own-often-" + k.key().replace(' ', '-'));
      item.setOnAction(e -> keep(k));
      often.getItems().add(item);
    }
    var keep = Page.button("Keep", "own-keep");
    keep.setOnAction(e -> keep());
    var drop = Page.button("Take it no more", "own-drop");
    drop.setOnAction(e -> drop());
    getChildren()
        .addAll(
            Page.part("A kind of reading of the shop's own"),
            Page.row(often),
            Page.row(
                Page.named("name", label), Page.named("in", quantity), Page.named("taken", place)),
            Page.row(Page.named("at points, apart by semicolons", points)),
            Page.row(
                Page.named("an instrument shows at least", least),
                Page.named("at most", most),
                Page.named("band from", from),
                Page.named("to", to),
                perBore,
                Page.named("said by", said)),
            refusal,
            Page.row(keep, drop));
  }

  private static String where(Place p) {
    return p == Place.ENGINE ? "once an engine" : "at each " + p.name().toLowerCase(Locale.ROOT);
  }

  private static OwnKind length(
      String label, Place place, List<String> points, double least, double most) {
    return new OwnKind(
        label, Quantity.CLEARANCE, place, points, least, most, 0, 0, false, "", false);
  }

  /** Four points at three depths. */
  private static List<String> wall() {
    return List.of("top", "middle", "foot").stream()
        .flatMap(
            depth ->
                List.of("front", "thrust", "rear", "far side").stream().map(p -> depth + ", " + p))
        .toList();
  }

  private UnitSystem units() {
    return session.build().units();
  }

  private String unit(Quantity q) {
    String symbol = q.unit(units()).symbol();
    return symbol.isEmpty() ? q.name().toLowerCase(Locale.ROOT) : symbol;
  }

  /** Fills the fields with a kind, unless it is the one that they hold. */
  void show(Optional<OwnKind> kind) {
    var k = kind.orElse(null);
    if (k == null || k.equals(shown)) {
      shown = k;
      return;
    }
    shown = k;
    label.setText(k.label());
    quantity.setValue(k.quantity());
    place.setValue(k.place());
    points.setText(String.join("; ", k.points()));
    least.setText(k.quantity().show(k.least(), units()));
    most.setText(k.quantity().show(k.most(), units()));
    perBore.setSelected(k.perBore());
    from.setText(k.from() == 0 && k.to() == 0 ? "" : band(k, k.from()));
    to.setText(k.to() == 0 ? "" : band(k, k.to()));
    said.setText(k.said());
  }

  private String band(OwnKind k, double value) {
    return k.perBore()
        ? Quantity.FACTOR.show(value, units()).strip()
        : k.quantity().show(value, units());
  }

  private void keep() {
    try {
      var q = quantity.getValue();
      var band = perBore.isSelected() ? Quantity.FACTOR : q;
      keep(
          new OwnKind(
              label.getText().strip(),
              q,
              place.getValue(),
              Arrays.stream(points.getText().split(";"))
                  .map(String::strip)
                  .filter(p -> !p.isEmpty())
                  .toList(),
              TypedNumber.of("Least", least, q, units()),
              TypedNumber.of("Most", most, q, units()),
              TypedNumber.of("Band from", from, band, units()),
              TypedNumber.of("Band to", to, band, units()),
              perBore.isSelected(),
              said.getText().strip(),
              false));
    } catch (IllegalArgumentException e) {
      refusal.say(e.getMessage());
    }
  }

  private void keep(OwnKind k) {
    session.keep(k, "");
    refusal.clear();
    kept.accept(k.key());
  }

  private void drop() {
    if (shown != null) {
      var k = shown;
      session.keep(
          new OwnKind(
              k.label(),
              k.quantity(),
              k.place(),
              k.points(),
              k.least(),
              k.most(),
              k.from(),
              k.to(),
              k.perBore(),
              k.said(),
              true),
          "");
    }
  }
}
