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
        question(LinePage.of(trip("bench-pieces", "19 mm; 3 m; 1\n6 mm; 0,3 m; 2")), "pieces");
    List<List<String>> rows = pieces.tables().getFirst().rows();
    assertThat(rows.get(1).get(2)).contains("bottleneck");
    assertThat(rows.get(0).get(2)).doesNotContain("bottleneck");
    assertThat(row(pieces, "Flow").figure()).endsWith("L/min");
  }

  @Test
  void aPieceThatIsNoPipeIsNamed() {
    Question half = question(LinePage.of(trip("bench-pieces", "13 mm; 2 m")), "pieces");
    assertThat(half.problem()).contains("13 mm; 2 m");
    Question huge = question(LinePage.of(trip("bench-pieces", "13 m; 2 m; 1")), "pieces");
    assertThat(huge.problem()).contains("no pipe");
  }

  @Test
  void aSlowJugPointsAtWhatIsNearlyShut() {
    Question timed =
        question(
            LinePage.of(
                trip("bench-fixture", "sink", "bench-jug", "5", "bench-seconds", "200 210")),
            "timed");
    assertThat(row(timed, "So").working()).contains("nearly shut");
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
  void drainingTakesLongerThroughANarrowLine() {
    Question wide = question(SlopePage.of(trip("drain-tank", "gray", "drain-bore", "25")), "drain");
    Question narrow =
        question(SlopePage.of(trip("drain-tank", "gray", "drain-bore", "10")), "drain");
    assertThat(minutes(narrow)).isGreaterThan(3 * minutes(wide));
    assertThat(row(wide, "Stays").figure()).endsWith("L");
  }

  private static double minutes(Question question) {
    String[] parts = row(question, "Runs for").figure().split(" ");
    return Double.parseDouble(parts[0]) + Double.parseDouble(parts[2]) / 60;
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
                trip("drive", "own", "drive-own", "60 s; climb 10 %\n5; climb 0; brake 4")),
            "drive");
    assertThat(own.problem()).isEmpty();
    Question wrong =
        question(SlopePage.of(trip("drive", "own", "drive-own", "60; climb 5; jump")), "drive");
    assertThat(wrong.problem()).contains("jump");
  }

  @Test
  void everyTankIsCheckedForSiphons() {
    assertThat(question(SlopePage.of(trip()), "siphon").rows()).hasSize(3);
  }
}
