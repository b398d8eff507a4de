package grandbore.core.combination;

import grandbore.core.units.Quantity;
import grandbore.core.units.UnitSystem;
import java.util.Map;
import java.util.TreeMap;

/** One engine, whole: every part that the prediction needs, checked against one another. */
public record Combination(
    String name,
    BottomEnd bottomEnd,
    Compression compression,
    Weights weights,
    PartSizes partSizes,
    Ratings ratings,
    Cam cam,
    ValveTrain valveTrain,
    Heads heads,
    Seats seats,
    Intake intake,
    Exhaust exhaust,
    Boost boost,
    Nitrous nitrous,
    Mixture mixture,
    Losses losses,
    Weather weather,
    CamCard camCard,
    ValveHardware valveHardware,
    Degreed degreed,
    Brief brief,
    Worksheet worksheet,
    Learned learned) {

  public Combination {
    if (name == null || name.isBlank() || name.length() > 120) {
      throw new InvalidInput("Name (name)", "“" + name + "”", "1 to 120 characters", "it is shown");
    }
    require("bottomEnd", bottomEnd);
    require("compression", compression);
    require("weights", weights);
    require("partSizes", partSizes);
    require("ratings", ratings);
    require("cam", cam);
    require("valveTrain", valveTrain);
    require("heads", heads);
    require("seats", seats);
    require("intake", intake);
    require("exhaust", exhaust);
    require("boost", boost);
    require("nitrous", nitrous);
    require("mixture", mixture);
    require("losses", losses);
    require("weather", weather);
    require("camCard", camCard);
    require("valveHardware", valveHardware);
    require("degreed", degreed);
    require("brief", brief);
    require("worksheet", worksheet);
    require("learned", learned);
    double gap = bottomEnd.deckClearance() + compression.gasketThickness().si();
    if (gap < 0.0003) {
      throw new InvalidInput(
          "Piston to head (bottomEnd.blockDeck)",
          Quantity.CLEARANCE.show(gap, UnitSystem.METRIC),
          "at least 0.300 mm (0.0118 in) with the gasket",
          "the piston would meet the head");
    }
    if (bottomEnd.deckClearance() > 0.3 * bottomEnd.stroke().si()) {
      throw new InvalidInput(
          "Deck clearance (bottomEnd.blockDeck)",
          Quantity.CLEARANCE.show(bottomEnd.deckClearance(), UnitSystem.METRIC),
          "at most 0.3 strokes",
          "throw, rod and compression height do not reach the deck");
    }
    if (compression.gasketBore().si() < 0.98 * bottomEnd.bore().si()) {
      throw new InvalidInput(
          "Gasket bore (compression.gasketBore)",
          Quantity.LENGTH.show(compression.gasketBore().si(), UnitSystem.METRIC),
          "at least 0.98 bores",
          "the gasket would stand in the cylinder");
    }
    double ratio = staticRatio(bottomEnd, compression, bottomEnd.deckClearance());
    if (!(ratio >= 5 && ratio <= 20)) {
      throw new InvalidInput(
          "Compression ratio (compression.chamberVolume)",
          Quantity.RATIO.show(ratio, UnitSystem.METRIC),
          "5.00 to 20.00",
          "the volumes above the piston do not make a working engine");
    }
    double across =
        Math.sqrt(heads.intakeValves()) * heads.intakeValve().si()
            + Math.sqrt(heads.exhaustValves()) * heads.exhaustValve().si();
    if (across > 1.1 * bottomEnd.bore().si()) {
      throw new InvalidInput(
          "Valves (heads.intakeValve, heads.exhaustValve)",
          Quantity.LENGTH.show(across, UnitSystem.METRIC) + " side by side",
          "up to 1.10 bores",
          "they would not find room in the chamber");
    }
    count("heads.intakeShares", heads.intakeShares().size(), bottomEnd.cylinders());
    count("heads.exhaustShares", heads.exhaustShares().size(), bottomEnd.cylinders());
    count("intake.runnerChanges", intake.runnerChanges().size(), bottomEnd.cylinders());
    count("mixture.byCylinder", mixture.byCylinder().size(), bottomEnd.cylinders());
    layouts(bottomEnd, intake, exhaust, boost);
    lift("Intake", cam.intakeLobeLift(), valveTrain.intakeRocker(), valveTrain.intakeLash());
    lift("Exhaust", cam.exhaustLobeLift(), valveTrain.exhaustRocker(), valveTrain.exhaustLash());
  }

  private static void count(String field, int is, int cylinders) {
    if (is != 0 && is != cylinders) {
      throw new InvalidInput(
          "By cylinder (" + field + ")",
          is + " numbers",
          "none, or one for each of " + cylinders + " cylinders",
          "each belongs to a cylinder");
    }
  }

  private static void layouts(BottomEnd bottom, Intake intake, Exhaust exhaust, Boost boost) {
    int bank = bottom.cylinders() / bottom.banks();
    if (exhaust.kind() == Exhaust.Kind.STEPPED && (bank < 4 || bank % 2 != 0)) {
      throw new InvalidInput(
          "Exhaust (exhaust.kind)",
          "STEPPED with " + bank + " cylinders in a bank",
          "an even number of four or more",
          "primaries meet in twos or threes");
    }
    if (exhaust.balance() == Exhaust.Balance.PIPE && bottom.banks() < 2) {
      throw new InvalidInput(
          "Balance pipe (exhaust.balance)", "PIPE", "NONE with one bank", "it joins two banks");
    }
    if (intake.manifold() == Intake.Manifold.DUAL_PLANE
        && (bottom.cylinders() < 4 || bottom.cylinders() % 2 != 0)) {
      throw new InvalidInput(
          "Manifold (intake.manifold)",
          "DUAL_PLANE with " + bottom.cylinders() + " cylinders",
          "an even number of four or more",
          "each plane feeds every other cylinder of the firing order");
    }
    if (intake.manifold() == Intake.Manifold.INDIVIDUAL
        && boost.kind() == Boost.Kind.POSITIVE_DISPLACEMENT) {
      throw new InvalidInput(
          "Boost (boost.kind)",
          "POSITIVE_DISPLACEMENT with a throttle a runner",
          "a manifold with a plenum",
          "the blower delivers into one");
    }
  }

  private static void require(String group, Record value) {
    if (value == null) {
      throw new InvalidInput(group, "missing", "the whole group", "a combination is whole");
    }
  }

  private static void lift(String side, Given lobe, Given rocker, Given lash) {
    if (lobe.si() * rocker.si() - lash.si() > 0.030) {
      throw new InvalidInput(
          side + " valve lift (cam." + side.toLowerCase(java.util.Locale.ROOT) + "LobeLift)",
          Quantity.LENGTH.show(lobe.si() * rocker.si() - lash.si(), UnitSystem.METRIC),
          "up to 30.00 mm (1.181 in)",
          "no valve train lifts further");
    }
  }

  private static double staticRatio(BottomEnd bottom, Compression compression, double deck) {
    double v = clearanceVolume(bottom, compression, compression.chamberVolume().si(), deck);
    return (bottom.sweptVolume() + v) / v;
  }

  /** Volume above the piston at top centre, m³, with a given chamber and deck clearance. */
  public double clearanceVolume(double chamber, double deck) {
    return clearanceVolume(bottomEnd, compression, chamber, deck);
  }

  private static double clearanceVolume(
      BottomEnd bottom, Compression compression, double chamber, double deck) {
    double crevice =
        Math.PI
            / 2
            * bottom.bore().si()
            * compression.landClearance().si()
            * compression.landHeight().si();
    return chamber
        + compression.gasketHole()
        + bottom.boreArea() * deck
        + compression.pistonVolume().si()
        + crevice;
  }

  /** Volume above the piston at top centre by the sum of the inputs, m³. */
  public double clearanceVolume() {
    return clearanceVolume(compression.chamberVolume().si(), bottomEnd.deckClearance());
  }

  public double staticRatio() {
    return staticRatio(bottomEnd, compression, bottomEnd.deckClearance());
  }

  /** Net lift of the intake valve, m. */
  public double intakeLift() {
    return netLift(
        cam.intakeTable().isGiven() ? cam.intakeTable().peak() : cam.intakeLobeLift().si(),
        valveTrain.intakeRocker(),
        valveTrain.intakeLash());
  }

  /** Net lift of the exhaust valve, m. */
  public double exhaustLift() {
    return netLift(
        cam.exhaustTable().isGiven() ? cam.exhaustTable().peak() : cam.exhaustLobeLift().si(),
        valveTrain.exhaustRocker(),
        valveTrain.exhaustLash());
  }

  private double netLift(double lobe, Given rocker, Given lash) {
    return lobe * rocker.si() * 0.5 * (1 + valveTrain.rockerOffSeat().si()) - lash.si();
  }

  /** From the plenum to the valve, m. */
  public double intakePath() {
    return intake.runnerLength().si() + heads.intakePortLength().si();
  }

  public Combination named(String newName) {
    return Specs.rebuild(this, "name", newName);
  }

  /** This combination with one component of one group replaced, checked whole. */
  public Combination with(String path, Object value) {
    int dot = path.indexOf('.');
    String group = path.substring(0, dot);
    var changed = Specs.rebuild((Record) Specs.read(this, group), path.substring(dot + 1), value);
    return Specs.rebuild(this, group, changed);
  }

  /**
   * This combination with several components replaced at once, each group and the whole checked.
   *
   * @param byPath new values by their paths: {@code exhaust.primaryLength}
   * @throws IllegalArgumentException where there is no such component
   */
  public Combination with(Map<String, ?> byPath) {
    var byGroup = new TreeMap<String, Map<String, Object>>();
    byPath.forEach(
        (path, value) -> {
          int dot = path.indexOf('.');
          if (dot < 0) {
            throw new IllegalArgumentException("There is no input " + path);
          }
          byGroup
              .computeIfAbsent(path.substring(0, dot), g -> new TreeMap<>())
              .put(path.substring(dot + 1), value);
        });
    var groups = new TreeMap<String, Object>();
    byGroup.forEach(
        (group, values) ->
            groups.put(group, Specs.changed((Record) Specs.read(this, group), values)));
    return Specs.changed(this, groups);
  }

  /** A component of a group by its path. */
  public Object at(String path) {
    int dot = path.indexOf('.');
    return Specs.read(Specs.read(this, path.substring(0, dot)), path.substring(dot + 1));
  }

  /** Whether the engine has what a group of inputs describes. */
  public boolean has(String group) {
    return switch (group) {
      case "boost" -> boost.isFitted();
      case "nitrous" -> nitrous.isFitted();
      case "learned" -> learned.isAny();
      default -> true;
    };
  }

  /** Whether the engine has the part that an input describes. */
  public boolean isFitted(String path) {
    return has(path.substring(0, path.indexOf('.')))
        && switch (path) {
          case "exhaust.secondaryLength", "exhaust.secondaryDiameter" ->
              exhaust.kind() == Exhaust.Kind.STEPPED;
          case "exhaust.silencerVolume", "exhaust.systemFlow" ->
              exhaust.outlet() == Exhaust.Outlet.SYSTEM;
          case "exhaust.balanceDiameter" -> exhaust.balance() == Exhaust.Balance.PIPE;
          case "intake.ductLength", "intake.ductSection" -> intake.airBox().isKnown();
          case "boost.ratedSpeed" -> boost.kind() == Boost.Kind.CENTRIFUGAL;
          case "boost.sweptPerTurn", "boost.filling" ->
              boost.kind() == Boost.Kind.POSITIVE_DISPLACEMENT;
          case "boost.turbineArea", "boost.turbineEfficiency" ->
              boost.kind() == Boost.Kind.TURBOCHARGER;
          default -> true;
        };
  }

  /** This combination with one of its groups replaced, checked whole. */
  public Combination with(Record group) {
    for (var c : Combination.class.getRecordComponents()) {
      if (c.getType() == group.getClass()) {
        return Specs.rebuild(this, c.getName(), group);
      }
    }
    throw new IllegalArgumentException(group.getClass() + " is no group of a combination");
  }
}
