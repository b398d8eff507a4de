package grandbore.desktop.controls;

import grandbore.core.combination.Arrangement;
import grandbore.core.combination.Boost;
import grandbore.core.combination.BottomEnd;
import grandbore.core.combination.Brief;
import grandbore.core.combination.Compression;
import grandbore.core.combination.Exhaust;
import grandbore.core.combination.FlowSheet;
import grandbore.core.combination.Given;
import grandbore.core.combination.Intake;
import grandbore.core.combination.LiftTable;
import grandbore.core.combination.Losses;
import grandbore.core.combination.Mixture;
import grandbore.core.combination.MixtureTable;
import grandbore.core.combination.Nitrous;
import grandbore.core.combination.PartSizes;
import grandbore.core.combination.ValveTrain;
import grandbore.core.combination.Weights;
import grandbore.core.combustion.ChamberForm;
import grandbore.core.gas.FuelKind;
import grandbore.core.units.UnitSystem;
import java.util.List;

/** How choices are said on the screen. */
public final class Words {
  private Words() {}

  /** Words that begin a line. */
  public static String capital(String words) {
    return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
  }

  /** What an input of any kind is set to. */
  public static String value(Object value, UnitSystem units) {
    return switch (value) {
      case Given g ->
          g.si() == 0 && g.spread() == 0 ? "not known" : g.quantity().show(g.si(), units);
      case Enum<?> e -> of(e);
      case FlowSheet sheet -> "sheet of %d lifts".formatted(sheet.rows().size());
      case LiftTable table ->
          table.isGiven() ? "table of %d angles".formatted(table.rows().size()) : "no table";
      case MixtureTable table ->
          table.isGiven() ? "table of %d speeds".formatted(table.rows().size()) : "no table";
      case List<?> list -> list.isEmpty() ? "alike" : list.size() + " numbers";
      default -> String.valueOf(value);
    };
  }

  public static String of(Enum<?> choice) {
    return switch (choice) {
      case FuelKind f -> f.label();
      case Arrangement a -> a.label();
      case Mixture.Spark s ->
          switch (s) {
            case BEST_TORQUE -> "best torque";
            case FIXED -> "fixed advance";
            case KNOCK_LIMITED -> "as knock allows";
          };
      case ValveTrain.Follower f ->
          switch (f) {
            case FLAT_PUSHROD -> "flat tappet, pushrod";
            case ROLLER_PUSHROD -> "roller, pushrod";
            case FINGER_OVERHEAD -> "finger, overhead cam";
            case BUCKET_OVERHEAD -> "bucket, overhead cam";
          };
      case ValveTrain.Shafts s ->
          switch (s) {
            case ONE -> "one for both valves";
            case TWO -> "one each";
          };
      case Intake.Manifold m ->
          switch (m) {
            case PLENUM -> "one plenum";
            case INDIVIDUAL -> "a throttle each";
            case DUAL_PLANE -> "dual plane";
          };
      case Intake.Fuelling f ->
          switch (f) {
            case CARBURETTOR -> "carburettor";
            case PORT_INJECTION -> "port injection";
          };
      case Intake.Heating h ->
          switch (h) {
            case HEAD_ONLY -> "from the head";
            case COOLANT -> "coolant";
            case EXHAUST -> "exhaust crossover";
            case INSULATED -> "kept cool";
          };
      case Exhaust.Kind k ->
          switch (k) {
            case CAST_MANIFOLD -> "cast manifold";
            case HEADERS -> "headers, into one";
            case STEPPED -> "headers, 4-2-1";
          };
      case Exhaust.Outlet o ->
          switch (o) {
            case OPEN -> "open";
            case SYSTEM -> "pipes and silencers";
          };
      case Exhaust.Balance b ->
          switch (b) {
            case NONE -> "none";
            case PIPE -> "between the banks";
          };
      case Boost.Kind k ->
          switch (k) {
            case NONE -> "none";
            case TURBOCHARGER -> "turbocharger";
            case CENTRIFUGAL -> "centrifugal, driven";
            case POSITIVE_DISPLACEMENT -> "blower, driven";
          };
      case Nitrous.Kind k ->
          switch (k) {
            case NONE -> "none";
            case FITTED -> "fitted";
          };
      case ChamberForm f ->
          switch (f) {
            case USUAL -> "usual";
            case WEDGE -> "wedge";
            case BATHTUB -> "bathtub";
            case HEMISPHERE -> "hemisphere";
            case PENT_ROOF -> "pent roof";
            case FLAT_HEAD -> "in the piston";
          };
      case Losses.FrictionModel m ->
          switch (m) {
            case COMPONENTS -> "part by part";
            case WHOLE_ENGINE -> "whole engine";
          };
      case Losses.HeatModel m ->
          switch (m) {
            case WOSCHNI -> "Woschni";
            case HOHENBERG -> "Hohenberg";
          };
      case Losses.Windage w ->
          switch (w) {
            case WET_SUMP -> "wet sump";
            case TRAY -> "tray";
            case TRAY_AND_SCRAPER -> "tray and scraper";
            case DRY_SUMP -> "dry sump";
          };
      case Losses.Accessories a ->
          switch (a) {
            case OIL_AND_WATER_PUMP -> "oil, water pump";
            case OIL_PUMP_ONLY -> "oil pump only";
            case ALL -> "all of them";
          };
      case BottomEnd.Layout l ->
          switch (l) {
            case INLINE -> "in line";
            case VEE -> "vee";
            case FLAT -> "flat";
          };
      case BottomEnd.Numbering n ->
          switch (n) {
            case ALTERNATING -> "odd, even banks";
            case BANK_BY_BANK -> "bank by bank";
          };
      case Weights.BalanceShafts s ->
          switch (s) {
            case NONE -> "none";
            case SECONDARY_PAIR -> "a pair, twice the speed";
          };
      case Compression.Head h ->
          switch (h) {
            case ALUMINIUM -> "aluminium";
            case IRON -> "iron";
          };
      case Losses.Counterweights w ->
          switch (w) {
            case PLAIN -> "plain";
            case SHAPED -> "shaped";
          };
      case Brief.Part p ->
          switch (p) {
            case BLOCK -> "block";
            case CRANK -> "crank";
            case RODS -> "rods";
            case PISTONS -> "pistons";
            case HEADS -> "heads";
            case CAM -> "cam";
            case INTAKE -> "intake";
            case EXHAUST -> "exhaust";
          };
      case FlowSheet.Fitting f ->
          switch (f) {
            case NOT_STATED -> "not stated";
            case PORT_ALONE -> "nothing on it";
            case RADIUS_OR_PIPE -> "entry radius, or pipe";
            case MANIFOLD -> "manifold or header";
          };
      case PartSizes.RodMaterial m ->
          switch (m) {
            case STEEL -> "steel";
            case ALUMINIUM -> "aluminium";
            case TITANIUM -> "titanium";
          };
      case PartSizes.PistonMaterial m ->
          switch (m) {
            case FORGED_LOW_EXPANSION -> "forged, low growth";
            case FORGED_HIGH_TOUGHNESS -> "forged, tough";
            case HYPEREUTECTIC -> "hypereutectic, cast";
          };
      default -> choice.name();
    };
  }
}
