package grandbore.desktop.weighing;

import grandbore.book.BuildDocument;
import grandbore.book.KeptStudy;
import grandbore.book.StudyJson;
import grandbore.core.asked.Answer;
import grandbore.core.asked.Question;
import grandbore.core.clearances.Studied;
import grandbore.core.prediction.ModelVersion;
import grandbore.desktop.controls.Page;
import grandbore.desktop.session.Session;
import javafx.scene.control.Button;

/** Keeps a study with its build: what was asked, of the engine as it was, and what came out. */
final class StudyKeeper extends Button {
  private final Session session;
  private KeptStudy waiting;

  /**
   * @param id of the button
   */
  StudyKeeper(Session session, String id) {
    super("Keep this study");
    this.session = session;
    setId(id);
    setMinWidth(USE_PREF_SIZE);
    setOnAction(e -> keep());
    Page.show(this, false);
  }

  /** From now on the answer to this is waited for; it is of the engine as it is now. */
  void asked(Question question) {
    var of = new BuildDocument(session.build(), session.readings().all());
    waiting = new KeptStudy(ModelVersion.CURRENT, of, question, null);
    Page.show(this, false);
  }

  /** The answer is there, and may be kept. */
  void answered(Answer answer) {
    waiting = new KeptStudy(waiting.model(), waiting.of(), waiting.asked(), answer);
    Page.show(this, true);
  }

  private void keep() {
    session.keep(new Studied(StudyJson.write(waiting)), "");
    Page.show(this, false);
  }
}
