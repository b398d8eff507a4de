package grandbore.desktop.job;

import grandbore.book.JobJson;
import grandbore.book.JobSheet;
import grandbore.book.TextFile;
import grandbore.core.asked.Answer;
import grandbore.core.job.JobPlan;
import grandbore.core.job.Money;
import grandbore.core.job.route.WorkDays;
import grandbore.desktop.controls.AnswerTable;
import grandbore.desktop.controls.CsvFile;
import grandbore.desktop.controls.InputField;
import grandbore.desktop.controls.Page;
import grandbore.desktop.controls.TypedNumber;
import grandbore.desktop.controls.WhenSeen;
import grandbore.desktop.curve.CurveService;
import java.io.IOException;
import java.nio.file.Path;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What the job costs by stage and by supplier, ways to go on beside one another, the quote. */
public final class MoneyView extends VBox {
  private final JobState state;
  private final CurveService curves;
  private final Label sum = new Label();
  private final Label per = Page.hint("");
  private final VBox tables = new VBox(10);
  private final TextField customer = Fields.field("plan-customer", "as the shop calls them", 20);
  private final TextField tags = Fields.field("plan-tags", "race, spring", 14);
  private final TextField serial = Fields.field("plan-serial", "cast or stamped", 16);
  private final TextField hour = Fields.field("plan-hour", "0", 6);
  private final TextField wanted = Fields.field("plan-wanted", "day, or +10", 11);
  private final TextField hours = Fields.field("plan-hours", "8", 4);
  private final FlowPane week = new FlowPane(3, 3);
  private final Label says = Page.hint("");

  MoneyView(JobState state, CurveService curves) {
    super(10);
    this.state = state;
    this.curves = curves;
    setId("money-view");
    sum.setId("money-sum");
    sum.getStyleClass().add("pane-title");
    sum.setWrapText(true);
    per.setId("money-per");
    says.setId("money-says");
    for (var d : DayOfWeek.values()) {
      var day = new ToggleButton(d.getDisplayName(TextStyle.SHORT, Locale.ENGLISH));
      day.setId("plan-" + d);
      day.getStyleClass().add("small");
      week.getChildren().add(day);
    }
    var keep = Page.button("Keep", "plan-keep");
    keep.setOnAction(e -> state.tried(() -> state.keep(JobJson.note(typed()))));
    var quote = Page.button("Write the quote", "money-quote");
    quote.setOnAction(e -> CsvFile.save(this, "Quote (HTML)", "quote.html", this::writeQuote));
    var plan =
        Page.group(
            "What is agreed on",
            Page.row(
                Page.named("customer", customer),
                Page.named("tags, with commas", tags),
                Page.named("numbers on the engine", serial),
                Page.named("budget", new InputField(state.session(), "brief.budget"))),
            Page.row(
                Page.named("on the dyno by", wanted),
                Page.named("an hour of the shop", hour),
                Page.named("hours a day", hours),
                Page.named("days of work", week)),
            Page.row(keep, quote));
    getChildren().addAll(sum, per, tables, new OptionsPane(state, curves), plan, says);
    WhenSeen.refresh(this, this::refresh, state.plannedProperty(), curves.curve());
  }

  private JobPlan typed() {
    var on = EnumSet.noneOf(DayOfWeek.class);
    for (var d : DayOfWeek.values()) {
      if (((ToggleButton) week.getChildren().get(d.ordinal())).isSelected()) {
        on.add(d);
      }
    }
    return new JobPlan(
        customer.getText().strip(),
        Arrays.stream(tags.getText().split(",", -1))
            .map(String::strip)
            .filter(t -> !t.isEmpty())
            .toList(),
        serial.getText().strip(),
        TypedNumber.plain("Price of an hour", hour),
        Fields.day("On the dyno by", wanted, state.today()),
        new WorkDays(on, TypedNumber.plain("Hours a day", hours)));
  }

  private void refresh() {
    var planned = state.plannedProperty().get();
    if (planned == null) {
      return;
    }
    var money = planned.money();
    var s = money.sum();
    double budget = planned.build().combination().brief().budget().si();
    double left = budget - s.all();
    sum.setText(
        "Spent %,.0f, committed %,.0f, still planned %,.0f: %,.0f in all"
                .formatted(s.spent(), s.committed(), s.planned(), s.all())
            + (budget > 0
                ? left >= 0
                    ? "; ● %,.0f of %,.0f left".formatted(left, budget)
                    : "; ▲ %,.0f over the budget of %,.0f".formatted(-left, budget)
                : ""));
    per(money, planned);
    tables
        .getChildren()
        .setAll(
            table("by stage", "Stage", money.byStage()),
            table("by supplier", "From", money.bySupplier()));
    var plan = planned.job().plan();
    if (!isTyping()) {
      customer.setText(plan.customer());
      tags.setText(String.join(", ", plan.tags()));
      serial.setText(plan.serial());
      hour.setText(Fields.plain(plan.hourPrice()));
      wanted.setText(Fields.plain(plan.wanted()));
      hours.setText(Fields.plain(plan.days().hours()));
      for (var d : DayOfWeek.values()) {
        ((ToggleButton) week.getChildren().get(d.ordinal()))
            .setSelected(plan.days().on().contains(d));
      }
    }
  }

  private boolean isTyping() {
    return List.of(customer, tags, serial, hour, wanted, hours).stream()
        .anyMatch(TextField::isFocused);
  }

  private void per(Money money, JobState.Planned planned) {
    var average =
        curves.curve().getValue() == null
            ? java.util.OptionalDouble.empty()
            : OptionsPane.average(curves.curve().getValue(), planned.build());
    per.setText(
        average.isPresent()
            ? "%,.1f for each %s of the average over the band"
                .formatted(
                    money.per(OptionsPane.unit(planned.build()).fromSi(average.getAsDouble())),
                    OptionsPane.unit(planned.build()).symbol())
            : "");
  }

  private static AnswerTable table(String title, String first, Map<String, Money.Sum> sums) {
    return new AnswerTable(
        new Answer.Table(
            title,
            List.of(first, "Spent", "Committed", "Planned", "In all"),
            sums.entrySet().stream()
                .map(
                    e ->
                        List.of(
                            e.getKey(),
                            shown(e.getValue().spent()),
                            shown(e.getValue().committed()),
                            shown(e.getValue().planned()),
                            shown(e.getValue().all())))
                .toList()));
  }

  private static String shown(double amount) {
    return amount == 0 ? "" : JobSheet.money(amount);
  }

  /** Writes the quote for the customer. */
  public void writeQuote(Path file) {
    try {
      TextFile.write(file, JobSheet.quote(state.session().build(), state.job()));
      says.setText("● The quote is in %s; any browser prints it.".formatted(file.getFileName()));
    } catch (IOException e) {
      says.setText("✕ %s: %s".formatted(file.getFileName(), e.getMessage()));
    }
  }
}
