package fernwort.app.workbench;

import static fernwort.app.questions.Trips.question;
import static fernwort.app.questions.Trips.row;
import static fernwort.app.questions.Trips.trip;
import static org.assertj.core.api.Assertions.assertThat;

import fernwort.app.questions.Question;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What the Workbench says. */
class WorkbenchPagesTest {

  @Test
  void theNarrowPieceOfALineIsItsBottleneck() {
    Question pieces =
        question(
            LinePage.of(
                trip(
                    "piece-0-bore",
                    "19 mm",
                    "piece-0-length",
                    "3 m",
                    "piece-0-elbow",
                    "1",
                    "piece-1-bore",
                    "6 mm",
                    "piece-1-length",
                    "0,3 m",
                    "piece-1-elbow",
                    "2")),
            "pieces");
    List<List<String>> rows = pieces.tables().getFirst().rows();
    assertThat(rows.get(1).get(2)).contains("bottleneck");
    assertThat(rows.get(0).get(2)).doesNotContain("bottleneck");
    assertThat(row(pieces, "Flow").figure()).endsWith("L/min");
  }

  @Test
  void aPieceThatIsNoPipeIsNamed() {
    Question half = question(LinePage.of(trip("piece-0-bore", "13 mm")), "pieces");
    assertThat(half.problem()).contains("No pipe");
    Question wrong =
        question(LinePage.of(trip("piece-0-bore", "13 mm", "piece-0-length", "long")), "pieces");
    assertThat(wrong.problem()).contains("length (mm), row 1").contains("long");
  }

  @Test
  void aSlowJugPointsAtWhatIsNearlyShut() {
    Question timed =
        question(
            LinePage.of(
                trip("bench-fixture", "sink", "bench-jug", "5", "bench-seconds", "200 210")),
            "timed");
    assertThat(row(timed, "So").working()).contains("nearly closed");
    assertThat(row(timed, "The model expects").working()).contains("bar");
    Question asModelled =
        question(
            LinePage.of(trip("bench-fixture", "sink", "bench-jug", "5", "bench-seconds", "59")),
            "timed");
    assertThat(row(asModelled, "So").working()).contains("as near");
  }

  @Test
  void aWideVentHoldsWhereANarrowOneBursts() {
    List<List<String>> rows =
        question(LinePage.of(trip("vent-filling", "25")), "vent").tables().getFirst().rows();
    assertThat(rows.getFirst().getLast()).startsWith("△");
    assertThat(rows.getLast().getLast()).isEqualTo("holds");
  }

  @Test
  void aSlopeChangesWhatCanBeUsedAndSaysHowToPark() {
    Question flat = question(SlopePage.of(trip("slope-pitch", "0")), "parked");
    Question tipped = question(SlopePage.of(trip("slope-pitch", "-4")), "parked");
    assertThat(tipped.tables().getFirst().rows()).isNotEqualTo(flat.tables().getFirst().rows());
    assertThat(flat.tables().getFirst().rows().getLast().getLast()).contains("nose -");
    Question absurd = question(SlopePage.of(trip("slope-pitch", "70")), "parked");
    assertThat(absurd.problem()).contains("30°");
  }

  @Test
  void drainingSaysHowLongHowFastAndWhatStays() {
    Question drain =
        question(SlopePage.of(trip("drain-tank", "gray", "drain-bore", "25")), "drain");
    assertThat(row(drain, "Runs for").working()).contains("through its drain");
    assertThat(row(drain, "At first").figure()).endsWith("L/min");
    assertThat(row(drain, "Stays").figure()).endsWith("L");
  }

  @Test
  void aDriveOverAPassLosesWaterUnlessTheTravelValveIsShut() {
    List<List<String>> rows =
        question(SlopePage.of(trip("drive", "0")), "drive").tables().getFirst().rows();
    assertThat(rows).anyMatch(r -> r.get(0).equals("Overflow tail") && r.get(1).contains("L ("));
    assertThat(rows).allMatch(r -> r.get(2).equals("nothing"));
  }

  @Test
  void anOwnDriveIsReadStretchByStretch() {
    Question own =
        question(
            SlopePage.of(
                trip(
                    "drive",
                    "own",
                    "stretch-0-seconds",
                    "60",
                    "stretch-0-climb",
                    "10",
                    "stretch-1-seconds",
                    "5",
                    "stretch-1-pace",
                    "BRAKES_HARD")),
            "drive");
    assertThat(own.problem()).isEmpty();
    Question wrong =
        question(
            SlopePage.of(trip("drive", "own", "stretch-0-seconds", "60", "stretch-0-climb", "80")),
            "drive");
    assertThat(wrong.problem()).contains("50 %");
  }

  @Test
  void everyTankIsCheckedForSiphons() {
    assertThat(question(SlopePage.of(trip()), "siphon").rows()).hasSize(3);
  }
}
