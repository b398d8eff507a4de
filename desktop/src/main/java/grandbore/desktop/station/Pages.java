package grandbore.desktop.station;

import grandbore.core.flow.GasPath.Part;
import grandbore.desktop.bench.BenchPage;
import grandbore.desktop.bottomend.BottomEndPage;
import grandbore.desktop.breathing.BreathingPage;
import grandbore.desktop.camshaft.CamPage;
import grandbore.desktop.compression.CompressionPage;
import grandbore.desktop.controls.Overlay;
import grandbore.desktop.controls.Places;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.dyno.DynoPage;
import grandbore.desktop.heads.HeadsPage;
import grandbore.desktop.job.JobPage;
import grandbore.desktop.job.JobState;
import grandbore.desktop.longsection.LongSectionPage;
import grandbore.desktop.look.Look;
import grandbore.desktop.results.ResultsPage;
import grandbore.desktop.session.Session;
import grandbore.desktop.weighing.DoubtService;
import grandbore.desktop.weighing.WeighingPage;
import java.time.Clock;
import java.time.ZoneId;
import java.util.function.Consumer;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.scene.Node;

/** Makes each station's page: the drawing that is the form, then what no drawing shows. */
public final class Pages {
  private final Session session;
  private final CurveService curves;
  private final ReadOnlyDoubleProperty rpm;
  private final Look look;
  private final Consumer<Station> open;
  private final Overlay overlay;
  private final Places places;
  private final DoubtService doubt;
  private final JobState job;

  /** The crank cursor, degrees, one for the whole window. */
  private final DoubleProperty crank = new SimpleDoubleProperty(50);

  /**
   * @param rpm the speed cursor, rev/min
   * @param open goes to a station
   * @param overlay shows something over the whole window
   * @param places goes to an input or a reading
   */
  public Pages(
      Session session,
      CurveService curves,
      ReadOnlyDoubleProperty rpm,
      Look look,
      Consumer<Station> open,
      Overlay overlay,
      Places places) {
    this.places = places;
    doubt = new DoubtService(session, curves);
    job = new JobState(session, Clock.system(ZoneId.systemDefault()));
    this.open = open;
    this.overlay = overlay;
    this.rpm = rpm;
    this.session = session;
    this.curves = curves;
    this.look = look;
  }

  /**
   * Where the inputs of a part of the gas path stand.
   *
   * @param part {@code null} for the cylinder
   */
  private static Station of(Part part) {
    if (part == null) {
      return Station.BOTTOM_END;
    }
    return switch (part) {
      case INTAKE_PORT, EXHAUST_PORT -> Station.HEADS;
      default -> Station.BREATHING;
    };
  }

  /** The page of a station. */
  public Node make(Station station) {
    return switch (station) {
      case ENGINE ->
          new LongSectionPage(session, curves, look, crank, rpm, part -> open.accept(of(part)));
      case BRIEF -> BriefPage.make(session, curves);
      case BOTTOM_END -> BottomEndPage.make(session, curves, crank, rpm, look);
      case COMPRESSION -> CompressionPage.make(session, curves, rpm, look);
      case CAM -> CamPage.make(session, curves, crank, look);
      case HEADS -> HeadsPage.make(session, curves, rpm, look);
      case BREATHING -> BreathingPage.make(session, curves, crank, rpm, look);
      case CLEARANCES -> BenchPage.make(session, curves, look, overlay);
      case PREDICTION -> new ResultsPage(session, curves, rpm, look);
      case WEIGHING ->
          WeighingPage.make(
              session, curves, doubt, look, group -> Station.ofGroup(group).title(), places);
      case DYNO -> DynoPage.make(session, curves, look, overlay);
      case JOB -> JobPage.make(job, curves, look);
    };
  }
}
