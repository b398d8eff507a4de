package grandbore.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import grandbore.book.JobBook;
import grandbore.core.job.parts.EnginePart;
import grandbore.core.job.parts.Item;
import grandbore.core.job.parts.ItemMeasure;
import grandbore.desktop.job.JobPictures;
import grandbore.desktop.job.MoneyView;
import grandbore.desktop.job.RouteView;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TableView;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.ImageView;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/**
 * What is written into the job's forms stands in the job, and what can't be is refused in words.
 */
class JobFormsTest extends JobBench {

  @Override
  boolean studies() {
    return true;
  }

  private void toggle(String id) {
    robot.interact(() -> robot.lookup(id).<ToggleButton>query().fire());
    Pulse.await();
  }

  private void pick(String menu, String title) {
    robot.interact(
        () ->
            robot.lookup(menu).<MenuButton>query().getItems().stream()
                .filter(i -> i.getText().equals(title))
                .forEach(
                    i -> {
                      if (i instanceof CheckMenuItem c) {
                        c.setSelected(!c.isSelected());
                      } else {
                        i.fire();
                      }
                    }));
    Pulse.await();
  }

  /** A step of the shop's own, with a check by bolt, ticked, with a picture, done and undone. */
  @Test
  void aStepOfOnesOwnIsWrittenTickedAndPictured() throws Exception {
    int before = job().steps().size();
    pick("#route-add", "Assembly");
    until("it is there", () -> job().steps().size() == before + 1);
    var id = job().steps().getLast().id();
    until("it is shown", () -> text("#step-head").equals("A step of the shop's own"));
    toggle("#step-more");
    write("#step-title", "Link bar clear of the block");
    write("#step-hours", "1.5");
    write("#step-not-before", "yesterday");
    press("#step-keep");
    assertThat(text("#job-trouble"))
        .contains("Not before", "yesterday", "2026-12-04, 4.12. or +10");
    write("#step-not-before", "+20");
    pick("#step-after", "Crank, rods and pistons in");
    pick("#step-parts", "Tappets");
    pick("#step-own", "Rear seal proud");
    // Read everywhere: it is not asked for.
    pick("#step-own", "Wall thickness by sound");
    press("#step-keep");
    until("it is kept", () -> job().step(id).orElseThrow().hours() == 1.5);
    until("it asks", () -> text("#step-waits").contains("to be read: Rear seal proud\n"));
    var step = job().step(id).orElseThrow();
    assertThat(step.title()).isEqualTo("Link bar clear of the block");
    assertThat(step.after()).containsExactly("bottom");
    assertThat(step.parts()).containsExactly(EnginePart.TAPPETS);
    assertThat(step.notBefore()).isEqualTo(LocalDate.now(ZoneId.systemDefault()).plusDays(20));
    write("#step-check", "Paint dab once tightened");
    write("#step-check-places", "4");
    press("#step-check-add");
    until("the check", () -> isShown("#step-tick-0-4"));
    toggle("#step-tick-0-3");
    until("ticked", () -> job().step(id).orElseThrow().checks().getFirst().ticked().contains(3));
    var file = folder.resolve("bar.png");
    ImageIO.write(new BufferedImage(8, 8, BufferedImage.TYPE_INT_RGB), "png", file.toFile());
    write("#step-caption", "with a wire through");
    robot.interact(() -> robot.lookup("#step-pictures").<JobPictures>query().attach(file));
    until(
        "the picture",
        () -> !robot.lookup("#step-pictures .image-view").queryAllAs(ImageView.class).isEmpty());
    // What is changed afterwards loses no picture.
    toggle("#step-tick-0-1");
    until(
        "ticked, too", () -> job().step(id).orElseThrow().checks().getFirst().ticked().contains(1));
    var book = JobBook.of(bench.session().bench().notes());
    assertThat(book.pictures().get("STEP/" + id))
        .singleElement()
        .satisfies(p -> assertThat(p.caption()).isEqualTo("with a wire through"));
    press("#step-remove");
    until("gone", () -> job().steps().size() == before);
    robot.interact(() -> bench.session().undo());
    assertThat(job().steps()).hasSize(before + 1);
    var calendar = folder.resolve("route.ics");
    robot.interact(() -> robot.lookup("#route-view").<RouteView>query().writeCalendar(calendar));
    until("it is written", () -> Files.exists(calendar));
    assertThat(Files.readString(calendar)).contains("Link bar clear of the block");
  }

  /** A part's fields, a bad one among them; a kind added at every place; what matches another. */
  @Test
  void aPartIsWrittenAndComparedWithAnotherEngines() {
    view("job-parts");
    item(EnginePart.PISTON);
    write("#item-maker", "Own stock");
    write("#item-WEIGHT", "80 lbf");
    press("#item-keep");
    assertThat(text("#job-trouble")).contains("weight");
    write("#item-WEIGHT", "441.5 g");
    write("#item-interfaces", "pin diameter");
    press("#item-keep");
    assertThat(text("#job-trouble")).contains("pin diameter", "colon");
    write("#item-interfaces", "pin: 0.927; deck: flat");
    press("#item-keep");
    until("kept", () -> job().items(EnginePart.PISTON).getFirst().maker().equals("Own stock"));
    var piston = job().items(EnginePart.PISTON).getFirst();
    assertThat(piston.measure(ItemMeasure.WEIGHT)).contains(0.4415);
    // What was not typed stays to the last digit.
    assertThat(piston.measure(ItemMeasure.PIN_HEIGHT)).contains(0.033274 - 1e-5);
    assertThat(piston.interfaces()).containsEntry("pin", "0.927");
    write("#items-words", "northgate");
    until(
        "found",
        () ->
            robot.lookup("#items-table").<TableView<Item>>query().getItems().stream()
                .allMatch(i -> i.supplier().startsWith("Northgate")));
    write("#items-words", "");
    pick("#items-add", "Main cap");
    until("at every place", () -> job().items(EnginePart.MAIN_CAP).size() == 5);
    assertThat(job().items(EnginePart.MAIN_CAP)).extracting(Item::place).contains(1, 5);
    assertThat(job().items().stream().map(Item::id).distinct().count())
        .isEqualTo(job().items().size());
    robot.interact(() -> bench.session().shelf().copy("A second one"));
    until("the copy", () -> bench.session().build().name().equals("A second one"));
    item(EnginePart.PISTON);
    write("#item-interfaces", "pin: 0.912; deck: flat");
    press("#item-keep");
    until(
        "another pin",
        () -> job().items(EnginePart.PISTON).getFirst().interfaces().containsValue("0.912"));
    robot.interact(
        () -> {
          var menu = robot.lookup("#fits-build").<MenuButton>query();
          menu.getOnShowing().handle(null);
          menu.getItems().stream()
              .filter(i -> i.getText().equals("Club hill-climb V8"))
              .forEach(i -> i.fire());
        });
    until("compared", () -> words("#fits-pane").contains("▲ differs"));
    assertThat(words("#fits-pane")).contains("● matches", "pin", "0.912", "0.927");
  }

  /** Deck by its corners and stroke by an offset grind, said in the shop's units. */
  @Test
  void cutPlansAreReckonedWhereTheyAreOrdered() {
    view("job-orders");
    write("#write-FRONT_VALLEY", "8.697");
    write("#write-FRONT_OUTER", "8.699");
    write("#write-REAR_VALLEY", "8.701");
    press("#write-square");
    assertThat(text("#job-trouble")).contains("Deck, rear, outer", "empty");
    write("#write-REAR_OUTER", "8.703");
    write("#write-height", "8.690");
    press("#write-square");
    assertThat(text("#write-plan"))
        .startsWith("● To 8.6900 in: front, valley 0.0070 in; front, outer 0.0090 in;")
        .contains("rear, outer 0.0130 in", "cleans up at 8.6970 in");
    write("#write-journal", "2.000");
    press("#write-grind");
    assertThat(text("#write-plan")).contains("up to 0.0500 in more stroke, 3.1000 in in all");
    write("#write-journal", "2.2");
    press("#write-grind");
    assertThat(text("#job-trouble")).contains("a grind only takes off");
    // Any other work goes on an order of its own, and on the same until that is sent.
    write("#write-supplier", "Valley Machine");
    write("#write-words", "hot tank");
    press("#write-other");
    until("ordered", () -> job().order("W3").isPresent());
    write("#write-words", "crack test as well");
    press("#write-other");
    until("on the same", () -> job().order("W3").orElseThrow().lines().size() == 2);
    // A plan goes into it as it was reckoned.
    write("#write-journal", "2.000");
    press("#write-grind");
    press("#write-planned");
    until("the plan, too", () -> job().order("W3").orElseThrow().lines().size() == 3);
    assertThat(job().order("W3").orElseThrow().lines().getLast().words())
        .contains("up to 0.0500 in more stroke");
  }

  /** Agreed days and days of work move dates and money; ways to go on are predicted and dated. */
  @Test
  void moneyAndDaysFollowWhatIsAgreedOn() throws Exception {
    view("job-money");
    until("the sum", () -> text("#money-sum").startsWith("Spent"));
    String sum = text("#money-sum");
    write("#plan-hour", "60");
    write("#plan-tags", "race, , spring");
    write("#plan-wanted", "+40");
    toggle("#plan-" + DayOfWeek.SATURDAY);
    press("#plan-keep");
    until("dearer", () -> !text("#money-sum").equals(sum));
    assertThat(job().plan().hourPrice()).isEqualTo(60);
    assertThat(job().plan().tags()).containsExactly("race", "spring");
    assertThat(job().plan().days().on()).contains(DayOfWeek.SATURDAY);
    write("#plan-hours", "90");
    press("#plan-keep");
    assertThat(text("#job-trouble")).contains("Hours of a day", "0.25 to 24");
    assertThat(job().plan().days().hours()).isEqualTo(6);
    press("#options-predict");
    until("predicted", () -> words("#options-table").stream().anyMatch(w -> w.contains(" hp at ")));
    assertThat(words("#options-table").stream().filter(w -> w.contains(" hp at "))).hasSize(3);
    var quote = folder.resolve("quote.html");
    robot.interact(() -> robot.lookup("#money-view").<MoneyView>query().writeQuote(quote));
    assertThat(Files.readString(quote)).contains("Hill-climb club, car 8");
    view("job-route");
    until("in time", () -> text("#job-dyno").startsWith("●"));
  }

  /** Home: what to do today, each a press away; a card a build. */
  @Test
  void homeLeadsToWhatThereIsToDo() {
    until(
        "the job is told of",
        () -> bench.session().books().builds().getFirst().line().orElseThrow().steps() > 0);
    robot.interact(() -> bench.session().open(2));
    until("the four", () -> bench.session().id() == 2);
    robot.interact(
        () ->
            bench.scene().getAccelerators().entrySet().stream()
                .filter(e -> e.getKey().getDisplayText().endsWith("B"))
                .forEach(e -> e.getValue().run()));
    until("home", () -> isShown("#home-today"));
    assertThat(words("#home-today"))
        .anyMatch(w -> w.startsWith("Club hill-climb V8: ▶ Pistons in their bores"));
    assertThat(words("#home-cards"))
        .anyMatch(w -> w.contains("of 27 steps done"))
        .anyMatch(w -> w.startsWith("waits: Rod shells, promised for"))
        .anyMatch(w -> w.contains("spent") && w.endsWith("of 9,500"));
    // Found by a tag and by the customer, as by its name.
    for (var said : List.of("winter", "car 8", "hill-climb v8")) {
      write("#builds-find", said);
      assertThat(robot.lookup("#builds-table").<TableView<?>>query().getItems())
          .as(said)
          .hasSize(1);
    }
    press("#today-1");
    until("on the bench", () -> bench.session().id() == 1);
  }
}
