package fernwort.app.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.LuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import fernwort.app.services.JobBook;
import fernwort.app.services.OpenRig;
import fernwort.app.services.StepText;
import fernwort.app.store.RunStore;
import fernwort.app.store.RunStore.Mark;
import fernwort.app.units.Units;
import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.rig.Setting;
import fernwort.core.say.Times;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the pages of jobs say, without a browser. */
class JobWordsTest {

  private static final DemoRig TRUCK = DemoRig.all().getFirst();
  private static final OpenRig RIG = OpenRig.of("truck", 1, TRUCK.rig());
  private static final JobBook BOOK = JobBook.of(RIG);
  private static final StepText TEXT = new StepText();

  private static Plan plan(String job) {
    return BOOK.plans().plan(BOOK.job(job), TRUCK.state());
  }

  // --- steps as they are kept --------------------------------------------------------------------

  @Test
  void stepsThatWereKeptAreReadAsTheyWere() {
    for (var job : BOOK.offered()) {
      Plan plan = BOOK.plans().plan(job, TRUCK.state());
      List<Step> read =
          TEXT.planned(plan).stream().map(RunStore.Planned::step).map(TEXT::read).toList();
      assertThat(read).as("%s", job.name()).isEqualTo(plan.steps());
    }
  }

  @ParameterizedTest
  @CsvSource({
    "0.2, 1 s",
    "45, 45 s",
    "89, 89 s",
    "90, 2 min",
    "840, 14 min",
    "5940, 99 min",
    "7260, 2 h 01 min"
  })
  void timesAreSaidAsPeopleSayThem(double seconds, String words) {
    assertThat(Times.of(seconds)).isEqualTo(words);
  }

  @Test
  void aTimeIsARangeOnlyWhereItIsOne() {
    assertThat(Times.of(800, 840, 1100)).isEqualTo("about 14 min (13 min to 18 min)");
    assertThat(Times.of(838, 840, 842)).isEqualTo("about 14 min");
    assertThat(Times.of(0, 20, 0)).isEqualTo("about 20 s");
  }

  @Test
  void aStepSaysWhereItIsHowTheHandleLooksAndInWhoseUnits() {
    Plan plan = plan("fill-low-inlet");
    StepView turn = StepView.of(TRUCK.rig(), plan.steps().getFirst(), Units.METRIC);
    assertThat(turn.what().toString()).isEqualTo("Set Fill selector: points to Low.");
    assertThat(turn.place()).isEqualTo("Rear locker");
    assertThat(turn.reach()).isEqualTo("kneel at the rear doors");
    assertThat(turn.symbol()).hasValueSatisfying(s -> assertThat(s.figure()).isEqualTo("valve"));
    StepView wait = StepView.of(TRUCK.rig(), plan.steps().get(2), Units.of("US gal"));
    assertThat(wait.amount()).endsWith("US gal");
    assertThat(wait.levels()).contains("Low fresh").contains("US gal");
    assertThat(wait.seconds()).isPositive();
  }

  @Test
  void aPlanSaysWhatItCosts() {
    assertThat(JobView.sum(RIG, plan("fill-low-inlet"), Units.METRIC))
        .matches("5 things to do in 1 place · \\d+ (s|min) wait · [\\d.]+ L");
    assertThat(JobView.sum(RIG, plan("arrive"), Units.METRIC)).isEqualTo("nothing to do");
  }

  @Test
  void theDoorSheetBeginsWithTheRigAtRest() {
    JobView sheet = JobView.fromRest(RIG, BOOK, "fill-low-inlet", Units.METRIC);
    assertThat(sheet.trouble()).isEmpty();
    assertThat(sheet.steps())
        .extracting(StepView::what)
        .contains("Set Fill selector: points to Low.")
        .anyMatch(what -> what.endsWith("Low overflow."));
  }

  // --- how a sheet stands ------------------------------------------------------------------------

  private static final RunStore.Run RUN =
      new RunStore.Run(
          "run",
          "truck",
          "fill-low-inlet",
          "Fill Low fresh",
          "ada",
          Instant.EPOCH,
          Optional.empty(),
          RunStore.Outcome.RUNNING,
          0);

  private static List<RunStore.Row> rows(Mark... marks) {
    List<RunStore.Planned> planned = TEXT.planned(plan("fill-low-inlet"));
    List<RunStore.Row> rows = new ArrayList<>();
    for (int i = 0; i < planned.size(); i++) {
      Mark mark = i < marks.length ? marks[i] : Mark.OPEN;
      rows.add(
          new RunStore.Row(
              i + 1,
              planned.get(i).stage(),
              planned.get(i).step(),
              mark,
              Optional.empty(),
              "",
              "",
              Optional.empty()));
    }
    return rows;
  }

  private static RunView view(Setting now, Mark... marks) {
    return RunView.of(
        RIG, RUN, rows(marks), TEXT, (rig, part, position) -> Optional.empty(), now, Units.METRIC);
  }

  @Test
  void theFirstOpenStepIsNext() {
    Setting now = TRUCK.state().setting().with(PartId.of("fill-selector"), PositionId.of("low"));
    RunView run = view(now, Mark.DONE);
    assertThat(run.done()).isEqualTo(1);
    assertThat(run.lines().stream().filter(RunView.Line::next).map(RunView.Line::number))
        .containsExactly(2);
    assertThat(run.drift()).isEmpty();
  }

  @Test
  void aHandleThatWasTurnedElsewhereIsNamed() {
    assertThat(view(TRUCK.state().setting(), Mark.DONE).drift())
        .containsExactly("Fill selector is “points down”, not “points to Low”");
    assertThat(
            view(TRUCK.state().setting().with(PartId.of("inlet"), PositionId.of("mains"))).drift())
        .containsExactly("Hose inlet is “hose from a tap”, not “cap on”");
  }

  @Test
  void whatANewerPlanReplacedIsNotShown() {
    RunView run = view(TRUCK.state().setting(), Mark.REPLACED, Mark.SKIPPED);
    assertThat(run.lines()).hasSize(5);
    assertThat(run.skipped())
        .extracting(l -> l.step().what())
        .containsExactly(
            "Take the cap off, connect the drinking-water hose to Hose inlet and open its tap"
                + " slowly.");
  }

  // --- the code of a card ------------------------------------------------------------------------

  /** The modules of a code as a picture, eight dots to a module. */
  private static final class Picture extends LuminanceSource {
    private static final int DOTS = 8;
    private static final Pattern MODULE = Pattern.compile("M(\\d+) (\\d+)h");
    private final byte[] dots;

    Picture(QrCode code) {
      super(DOTS * code.size(), DOTS * code.size());
      dots = new byte[getWidth() * getHeight()];
      Arrays.fill(dots, (byte) 0xff);
      Matcher module = MODULE.matcher(code.path());
      while (module.find()) {
        int x = DOTS * Integer.parseInt(module.group(1));
        int y = DOTS * Integer.parseInt(module.group(2));
        for (int dy = 0; dy < DOTS; dy++) {
          Arrays.fill(dots, (y + dy) * getWidth() + x, (y + dy) * getWidth() + x + DOTS, (byte) 0);
        }
      }
    }

    @Override
    public byte[] getRow(int y, byte[] row) {
      return Arrays.copyOfRange(dots, y * getWidth(), (y + 1) * getWidth());
    }

    @Override
    public byte[] getMatrix() {
      return dots;
    }
  }

  @Test
  void aReaderReadsTheLinkFromTheCode() throws ReaderException {
    String link = "http://192.168.4.20:8080/c/z6X-2i7A3aV7zjYROtc2aX9q1NyQUaMp";
    BinaryBitmap picture = new BinaryBitmap(new HybridBinarizer(new Picture(QrCode.of(link))));
    assertThat(new QRCodeReader().decode(picture).getText()).isEqualTo(link);
  }
}
