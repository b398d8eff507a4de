package grandbore.desktop.bench;

import grandbore.desktop.controls.Overlay;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.ViewName;
import grandbore.desktop.controls.Views;
import grandbore.desktop.curve.CurveService;
import grandbore.desktop.look.Look;
import grandbore.desktop.session.Session;
import javafx.scene.Node;

/** The measured book, what follows from it, and what is signed for while it goes together. */
public final class BenchPage {
  private BenchPage() {}

  public static Node make(Session session, CurveService curves, Look look, Overlay overlay) {
    var instruments = new Instruments();
    var views =
        new Views()
            .with(
                ViewName.BENCH_READINGS,
                () -> new ReadingsView(session, curves, look, instruments, overlay))
            .with(ViewName.BENCH_TODO, () -> new ToDoView(session))
            .with(ViewName.BENCH_GUIDED, () -> new GuidedView(session, look, instruments))
            .with(ViewName.BENCH_OWN, () -> new OwnView(session, instruments))
            .with(ViewName.BENCH_TORQUE, () -> new TorqueView(session, look, instruments))
            .with(ViewName.BENCH_ASSEMBLY, () -> new AssemblyView(session))
            .with(ViewName.BENCH_FINDINGS, () -> new FindingsView(session))
            .with(ViewName.BENCH_BOOK, () -> new BookFiles(session));
    return Page.of(
        "Clearances",
        "Type a reading and press Enter: it is kept, and the next place waits. A second reading at"
            + " a place repeats the first. What the model can use goes into the curve at once.",
        views.buttons(),
        views.shown());
  }
}
