package grandbore.cli;

import grandbore.core.asked.Question;
import grandbore.core.build.MeasuredBy;
import grandbore.core.clearances.Measurement;
import grandbore.core.prediction.BuiltEngine;
import grandbore.core.prediction.WantedBand;
import grandbore.core.studies.Doubt;
import grandbore.core.studies.EffectsStudy;
import grandbore.core.studies.ModelSpread;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(
    name = "doubt",
    description =
        "How far the curve may lie off because its inputs do, what matters most of them, and what"
            + " to measure next.")
final class DoubtCommand implements Callable<Integer> {
  /** What is printed. */
  enum Show {
    /** Torque by speed: where four fifths of the samples lie, without and with the model's own. */
    band,
    /** Inputs by their share of the variance of the band's average. */
    next,
    /** Each input alone down and up by its spread. */
    spread,
    /** Each input alone down and up by one per cent. */
    percent
  }

  @Mixin private BuildOption build = new BuildOption();

  @Option(
      names = "--show",
      defaultValue = "band",
      description = "band, next (what to measure next), spread or percent (each input alone)")
  private Show show;

  @Option(names = "--samples", defaultValue = "200", description = "10 to 2,000")
  private int samples;

  @Option(names = "--seed", defaultValue = "1", description = "of all random draws")
  private long seed;

  @Option(
      names = "--model-off",
      paramLabel = "PERCENT",
      description = "the model's own doubt, one standard deviation, as check --cases prints it")
  private Double modelOff;

  @Mixin private KeepOption keep = new KeepOption();

  @Mixin private TableOption table = new TableOption();

  @Override
  public Integer call() {
    var model =
        modelOff == null ? ModelSpread.OWN : new ModelSpread(modelOff / 100, 1, "--model-off");
    var document = build.read();
    var engine = document.engine();
    var band = WantedBand.of(document.build().combination().brief());
    var range = document.build().speeds();
    var rows =
        switch (show) {
          case spread -> alone(engine, band, EffectsStudy.Step.SPREAD);
          case percent -> alone(engine, band, EffectsStudy.Step.PERCENT);
          default -> {
            var asked = new Question.OfDoubt(band, range.from(), range.to(), samples, seed);
            var doubt = keep.run(build, document, asked.to(engine), asked);
            yield show == Show.band ? band(doubt, model) : next(doubt);
          }
        };
    table.print(rows);
    return 0;
  }

  private static List<Map<String, Object>> band(Doubt doubt, ModelSpread model) {
    var rows = new ArrayList<Map<String, Object>>();
    for (int k = 0; k < doubt.stands().points().size(); k++) {
      var point = doubt.stands().points().get(k);
      var range = doubt.torque(k);
      var whole = model.with(range, point.torque());
      var row = new LinkedHashMap<String, Object>();
      row.put("rpm", StudyRun.round(point.rpm(), 0));
      row.put("torque_nm", StudyRun.round(point.torque(), 1));
      row.put("low_nm", StudyRun.round(range.low(), 1));
      row.put("high_nm", StudyRun.round(range.high(), 1));
      row.put("low_with_model_nm", StudyRun.round(whole.low(), 1));
      row.put("high_with_model_nm", StudyRun.round(whole.high(), 1));
      row.put("samples", doubt.samples().size());
      row.put("refused", doubt.refused());
      row.put("seed", doubt.seed());
      rows.add(row);
    }
    return rows;
  }

  private static List<Map<String, Object>> next(Doubt doubt) {
    var shares = doubt.shares();
    var rows = new ArrayList<Map<String, Object>>();
    for (var s : shares.shares()) {
      var row = new LinkedHashMap<String, Object>();
      row.put("input", s.input().path());
      row.put("from", s.input().provenance().word());
      row.put("share_percent", StudyRun.round(100 * s.share(), 2));
      row.put("error_percent", StudyRun.round(100 * s.error(), 2));
      row.put(
          "settled_by",
          MeasuredBy.of(s.input().path())
              .map(MeasuredBy::measurement)
              .map(Measurement::label)
              .orElse(""));
      row.put("not_told_percent", StudyRun.round(100 * shares.unexplained(), 2));
      rows.add(row);
    }
    return rows;
  }

  private static List<Map<String, Object>> alone(
      BuiltEngine engine, WantedBand band, EffectsStudy.Step step) {
    var found = StudyRun.of(new EffectsStudy(engine, band.fewSpeeds(), band, step));
    var rows = new ArrayList<Map<String, Object>>();
    for (var e : found.told()) {
      var row = new LinkedHashMap<String, Object>();
      row.put("input", e.input().path());
      row.put("from", e.input().provenance().word());
      row.put("lower_kw", StudyRun.round(e.low() / 1e3, 3));
      row.put("higher_kw", StudyRun.round(e.high() / 1e3, 3));
      row.put("lower_percent", StudyRun.round(100 * e.low() / found.stands(), 3));
      row.put("higher_percent", StudyRun.round(100 * e.high() / found.stands(), 3));
      rows.add(row);
    }
    return rows;
  }
}
