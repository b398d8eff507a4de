package grandbore.desktop.find;

import grandbore.core.clearances.Measurement;
import grandbore.core.clearances.OwnKind;
import grandbore.core.clearances.OwnLedger;
import grandbore.core.combination.Specs;
import grandbore.core.working.Figure;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.find.Target.Kind;
import grandbore.desktop.help.HelpPage;
import grandbore.desktop.session.Session;
import grandbore.desktop.station.Station;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Consumer;

/** Everything that can be found on the bench as it is now, with its value. */
public final class Findable {
  private final Session session;
  private final List<Command> commands;
  private final Consumer<String> toInput;
  private final Consumer<Measurement> toReading;
  private final Consumer<OwnKind> toOwn;
  private final Consumer<Station> toStation;
  private final BiConsumer<Station, ViewName> toView;
  private final BiConsumer<HelpPage, String> toHelp;

  /**
   * @param toInput goes to an input, by its path
   * @param toReading goes to where a measurement is read
   * @param toOwn goes to where a kind of the shop's own is read
   * @param toStation goes to a station
   * @param toView goes to a view of a station
   * @param toHelp opens a page of the guide at one of its parts
   */
  public Findable(
      Session session,
      List<Command> commands,
      Consumer<String> toInput,
      Consumer<Measurement> toReading,
      Consumer<OwnKind> toOwn,
      Consumer<Station> toStation,
      BiConsumer<Station, ViewName> toView,
      BiConsumer<HelpPage, String> toHelp) {
    this.session = session;
    this.commands = commands;
    this.toInput = toInput;
    this.toReading = toReading;
    this.toOwn = toOwn;
    this.toStation = toStation;
    this.toView = toView;
    this.toHelp = toHelp;
  }

  public List<Target> all() {
    var all = new ArrayList<Target>();
    var units = session.build().units();
    var c = session.engine().combination();
    for (var f : Specs.fields()) {
      var given = f.get(c);
      boolean unsaid = f.spec().optional() && !given.isKnown();
      String value =
          unsaid
              ? "not said"
              : f.spec().quantity().number(given.si(), units)
                  + " "
                  + InputField.symbol(f.spec().quantity(), units);
      all.add(
          new Target(
              Kind.INPUT,
              f.spec().label(),
              Station.ofGroup(f.group()).title(),
              value,
              "",
              () -> toInput.accept(f.path())));
    }
    for (Figure f : session.figures()) {
      var station = Station.ofFigure(f.name());
      all.add(
          new Target(
              Kind.FIGURE,
              f.label(),
              station.title(),
              f.quantity().show(f.si(), units),
              "",
              () -> toStation.accept(station)));
    }
    var ledger = session.ledger();
    for (var m : Measurement.values()) {
      all.add(
          new Target(
              Kind.READING,
              m.label(),
              "Clearances, " + m.group().label(),
              "%d of %d read".formatted(ledger.filled(m), ledger.wanted(m)),
              "",
              () -> toReading.accept(m)));
    }
    var own = new OwnLedger(c, session.bench().notes());
    for (var k : own.kinds()) {
      all.add(
          new Target(
              Kind.READING,
              k.label(),
              "Clearances, own",
              "%d of %d read".formatted(own.over(k).size(), own.wanted(k)),
              "",
              () -> toOwn.accept(k)));
    }
    for (var s : Station.values()) {
      all.add(new Target(Kind.VIEW, s.title(), "station", "", "", () -> toStation.accept(s)));
      for (var v : s.views()) {
        all.add(new Target(Kind.VIEW, v.title(), s.title(), "", "", () -> toView.accept(s, v)));
      }
    }
    for (var command : commands) {
      all.add(new Target(Kind.COMMAND, command.title(), "", "", command.keyName(), command.act()));
    }
    for (var page : HelpPage.values()) {
      all.add(new Target(Kind.HELP, page.title(), "guide", "", "", () -> toHelp.accept(page, "")));
      for (var part : page.parts()) {
        all.add(
            new Target(
                Kind.HELP,
                part,
                "guide, " + page.title(),
                "",
                "",
                () -> toHelp.accept(page, part)));
      }
    }
    return all;
  }
}
