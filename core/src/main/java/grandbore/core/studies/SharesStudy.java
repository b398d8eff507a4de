package grandbore.core.studies;

import grandbore.core.runs.Desk;
import grandbore.core.runs.Study;
import java.util.List;

/**
 * What each input carries of a doubt that was sampled.
 *
 * @param doubt of ten samples or more
 */
public record SharesStudy(Doubt doubt) implements Study<Doubt.Shares> {
  @Override
  public String title() {
    return "What to measure next";
  }

  @Override
  public List<Object> key() {
    return List.of(doubt.inputs(), doubt.samples());
  }

  @Override
  public Doubt.Shares solve(Desk<Doubt.Shares> desk) {
    return desk.alone(stop -> doubt.shares());
  }
}
