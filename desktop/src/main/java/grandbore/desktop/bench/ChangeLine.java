package grandbore.desktop.bench;

import grandbore.core.prediction.Curve;
import grandbore.core.prediction.Peak;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.results.Shown;
import grandbore.desktop.session.Session;
import java.util.Locale;
import javafx.scene.control.Label;

/** What the last readings did to the curve. */
final class ChangeLine extends Label {
  private final Session session;
  private final CurveService curves;
  private Curve before;

  ChangeLine(Session session, CurveService curves) {
    this.session = session;
    this.curves = curves;
    setId("bench-change");
    getStyleClass().add("soft");
    setWrapText(true);
    WhenSeen.refresh(this, this::refresh, curves.curve());
  }

  private void refresh() {
    var now = curves.curve().getValue();
    if (now == null || now.peakPower().isEmpty() || now.equals(before)) {
      return;
    }
    if (before != null && before.peakPower().isPresent()) {
      var shown = new Shown(session.build().units());
      double power = peak(now).power() - peak(before).power();
      double torque =
          now.peakTorque().orElseThrow().torque() - before.peakTorque().orElseThrow().torque();
      setText(
          String.format(
              Locale.US,
              "The last change moved peak power by %+.1f %s and peak torque by %+.1f %s.",
              shown.power().fromSi(power),
              shown.power().symbol(),
              shown.torque().fromSi(torque),
              shown.torque().symbol()));
    }
    before = now;
  }

  private static Peak peak(Curve curve) {
    return curve.peakPower().orElseThrow();
  }
}
