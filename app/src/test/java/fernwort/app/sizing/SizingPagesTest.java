package fernwort.app.sizing;

import static fernwort.app.questions.Trips.TRUCK;
import static fernwort.app.questions.Trips.question;
import static fernwort.app.questions.Trips.row;
import static fernwort.app.questions.Trips.trip;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.app.questions.Chart;
import fernwort.app.questions.Form;
import fernwort.app.questions.Question;
import fernwort.app.store.SizingStore;
import fernwort.app.units.Units;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Vehicle;
import fernwort.core.sizing.Habits;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the pages of Sizing say about the demo rigs. */
class SizingPagesTest {

  private static final DemoRig SAMPHIRE = DemoRig.all().get(1);

  // --- days ------------------------------------------------------------------------------------

  @Test
  void theStayIsShownAsReadFromFullAndForALitreMore() {
    Question stay = question(DaysPage.of(trip()), "stay");
    assertThat(row(stay, "As read").figure()).isEqualTo("2.5 days");
    assertThat(row(stay, "As read").working()).contains("÷", "gray room");
    assertThat(row(stay, "One L more of gray room").working()).contains("gives nothing");
  }

  @Test
  void whatTheDaysNeedIsHeldAgainstWhatTheTanksHold() {
    Question five = question(DaysPage.of(trip("days", "5", "reserve", "0")), "need");
    assertThat(row(five, "Fresh").working()).contains("enough");
    assertThat(row(five, "Gray").working()).contains("too little");
    Question one = question(DaysPage.of(trip("days", "1")), "need");
    assertThat(one.rows()).allMatch(r -> r.working().contains("enough"));
    assertThat(one.charts()).hasSize(2);
  }

  @Test
  void aRigWithoutAGrayTankIsToldToCatchItNotThatRoomIsMissing() {
    Question need = question(DaysPage.of(trip(SAMPHIRE, Units.METRIC)), "need");
    assertThat(row(need, "Gray").working()).contains("no gray tank");
  }

  @Test
  void aStopThatOnlyFillsLeavesTheTripToGray() {
    Question stops =
        question(DaysPage.of(trip("trip-days", "6", "fill-days", "3", "dump-days", "")), "stops");
    assertThat(row(stops, "The trip").figure()).isEqualTo("does not work");
    assertThat(stops.tables().getFirst().rows().getLast().getLast()).contains("gray full on day");
    Question both =
        question(DaysPage.of(trip("trip-days", "6", "fill-days", "3", "dump-days", "3")), "stops");
    assertThat(row(both, "The trip").figure()).isEqualTo("works");
  }

  // --- what was typed --------------------------------------------------------------------------

  @Test
  void whatCannotBeUnderstoodStaysInItsFieldAndIsNamed() {
    Question need = question(DaysPage.of(trip("days", "a few")), "need");
    assertThat(need.problem()).contains("Days");
    assertThat(need.fields().getFirst().value()).isEqualTo("a few");
    assertThat(need.rows()).isEmpty();
  }

  @Test
  void anEntryKeepsItsMeaningForSomebodyWithOtherUnits() {
    Units gallons = Units.of("US gal");
    Map<String, SizingStore.Kept> kept = Map.of("jug", new SizingStore.Kept("2", gallons.signs()));
    Form form = new Form(kept, Units.METRIC);
    double jug = form.amount("jug", "Jug", fernwort.app.units.Measure.VOLUME, 1, "");
    assertThat(jug).isBetween(0.00757, 0.00758);
    assertThat(form.fields().getFirst().value()).startsWith("7.57");
  }

  @ParameterizedTest
  @ValueSource(strings = {"1/2 in", "12,7 mm", "0.5in"})
  void aBoreIsUnderstoodHoweverItIsTyped(String typed) {
    Question narrow =
        question(PumpPage.of(trip("fitting-line", "19", "fitting-bore", typed)), "narrow");
    assertThat(narrow.problem()).isEmpty();
    assertThat(row(narrow, "They take").figure()).endsWith("bar");
  }

  // --- space -----------------------------------------------------------------------------------

  @Test
  void theLargestTankForASpaceComesFirstInThePersonsUnits() {
    Question fits =
        question(SpacePage.of(trip(TRUCK, Units.of("US gal,in"), "space", "arch")), "fits");
    List<List<String>> rows = fits.tables().getFirst().rows();
    assertThat(rows.getFirst().getFirst()).isEqualTo("two lobes and a bridge over the arch");
    assertThat(rows.getFirst()).anyMatch(c -> c.endsWith("US gal")).anyMatch(c -> c.endsWith("in"));
  }

  @Test
  void aSpaceThatIsUsedUpSaysSo() {
    Question fits = question(SpacePage.of(trip("space-height", "60 mm")), "fits");
    assertThat(fits.problem()).contains("Nothing is left");
    assertThat(fits.fields()).isNotEmpty();
  }

  // --- weight ----------------------------------------------------------------------------------

  @Test
  void loadsStandBesideTheirLimitsInThePersonsUnits() {
    Question weight = question(WeightPage.of(trip(TRUCK, Units.of("lb"))), "weight");
    List<List<String>> rows = weight.tables().getFirst().rows();
    assertThat(rows).extracting(List::getFirst).contains("rear axle", "front axle");
    assertThat(rows.getFirst().get(4)).isEqualTo("9700 lb");
    assertThat(rows.getFirst().getLast()).doesNotContain("over");
  }

  @Test
  void anyLevelCanBeTriedOnTheAxles() {
    Question empty =
        question(
            WeightPage.of(trip("load-main", "0", "load-low", "0", "load-gray", "0")), "weight");
    assertThat(empty.tables().getFirst().rows().getFirst().get(2)).isEqualTo("3120 kg");
  }

  @Test
  void aShortLegIsFilledOnlyAsFarAsItNeeds() {
    Question light = question(WeightPage.of(trip("leg-days", "2", "leg-reserve", "20")), "light");
    assertThat(row(light, "Needed to draw").figure()).isEqualTo("84 L");
    assertThat(light.rows()).anyMatch(r -> r.working().contains("above the tank's floor"));
    assertThat(row(light, "Saves").figure()).endsWith("kg");
    Question long1 = question(WeightPage.of(trip("leg-days", "20")), "light");
    assertThat(long1.rows()).anyMatch(r -> r.what().equals("Does not fit"));
  }

  @Test
  void everyOrderOfDrawingIsNamedByItsTanksAndChartedAgainstTheLimit() {
    Question orders = question(WeightPage.of(trip()), "orders");
    assertThat(orders.rows()).hasSize(2).allMatch(r -> r.what().contains(", then "));
    assertThat(orders.charts())
        .hasSize(2)
        .allSatisfy(c ->
            assertThat(c.courses())
                .extracting(Chart.Course::style)
                .containsExactly(Chart.Style.EXPECTED, Chart.Style.HIGH, Chart.Style.LIMIT));
  }

  /**
   * Limits that nobody read: no margin is made up, no order is called the best, nothing is over.
   */
  @Test
  void withoutLimitsTheLoadsAreShownAndThePlateIsAskedFor() {
    Vehicle vehicle = TRUCK.rig().vehicle();
    Rig unread =
        RigEdit.of(TRUCK.rig())
            .vehicle(
                vehicle.standingOn(
                    vehicle.axles().stream()
                        .map(a -> new Axle(a.label(), a.x(), Axle.NOT_KNOWN, a.emptyLoad()))
                        .toList(),
                    vehicle.hitch()));
    List<Question> pages =
        WeightPage.of(
            trip(new DemoRig("unread", unread, TRUCK.positions(), TRUCK.litres()), Units.METRIC));
    Question weight = question(pages, "weight");
    assertThat(row(weight, "Axle limits").figure()).isEqualTo("not known: see the plate");
    assertThat(weight.tables().getFirst().rows().getFirst().subList(4, 6))
        .containsExactly("not known", "not known");
    assertThat(row(question(pages, "light"), "Saves").working()).isEqualTo("against full tanks");
    assertThat(question(pages, "orders").problem()).contains("it is on the plate");
    assertThat(pages.toString()).doesNotContain("Infinity", "∞");
  }

  // --- pump and lines --------------------------------------------------------------------------

  @Test
  void fixturesShowWhatTheyGetAloneAndTogether() {
    Question fixtures = question(PumpPage.of(trip()), "fixtures");
    assertThat(fixtures.tables().getFirst().title().toString()).contains("Shower and Sink open");
    assertThat(fixtures.tables().getFirst().rows()).hasSize(6);
    Question chosen = question(PumpPage.of(trip("together-drink", "true")), "fixtures");
    assertThat(chosen.tables().getFirst().title().toString()).contains("with Drinking tap open");
  }

  @Test
  void everyPumpQuestionHasItsTables() {
    List<Question> questions = PumpPage.of(trip());
    assertThat(question(questions, "pump").tables().getFirst().rows()).hasSize(5);
    assertThat(question(questions, "lines").tables()).hasSize(3);
    assertThat(question(questions, "cycling").tables().getFirst().rows()).hasSize(6);
    assertThat(question(questions, "drains").tables().getFirst().rows())
        .extracting(List::getFirst)
        .contains("Sink", "Shower");
  }

  @Test
  void aRigWithoutAPumpStillAnswersWhatItCan() {
    DemoRig still =
        new DemoRig(
            "s", TRUCK.rig(), Map.of(PartId.of("tank-selector"), PositionId.of("shut")), Map.of());
    List<Question> questions = PumpPage.of(trip(still, Units.METRIC));
    assertThat(question(questions, "fixtures").problem()).contains("handles");
    assertThat(question(questions, "drains").tables()).isNotEmpty();
  }

  @Test
  void aFittingWiderThanItsLineIsRefused() {
    Question narrow = question(PumpPage.of(trip("fitting-bore", "20 mm")), "narrow");
    assertThat(narrow.problem()).contains("narrower than the line");
  }

  // --- supply ----------------------------------------------------------------------------------

  @Test
  void twoTimedPointsFindTheBottleneck() {
    Question jug =
        question(SupplyPage.of(trip("jug", "10", "jug-near", "40 41", "jug-far", "80; 82")), "jug");
    assertThat(row(jug, "Lost between the two").figure()).isEqualTo("75 % of the pressure");
    assertThat(row(jug, "Flow").working()).contains("2 goes");
    assertThat(row(jug, "Fills Main fresh").figure()).endsWith("min");
  }

  @Test
  void aJugThatWasNotTimedIsAskedFor() {
    assertThat(question(SupplyPage.of(trip()), "jug").problem()).contains("how long it took");
  }

  @Test
  void hauledWaterIsTiedDownOrSaysItIsNot() {
    Question weak = question(SupplyPage.of(trip("haul-rating", "40")), "hauling");
    assertThat(row(weak, "Tie-down").figure()).contains("does not hold");
    Question strong = question(SupplyPage.of(trip("haul-rating", "500")), "hauling");
    assertThat(row(strong, "Tie-down").figure()).isEqualTo("holds");
    assertThat(row(strong, "Trips").working()).contains("on a trip");
  }

  @Test
  void fillingTimesAreGivenForEveryWay() {
    Question filling = question(SupplyPage.of(trip()), "filling");
    assertThat(filling.tables().getFirst().rows()).hasSize(2).allMatch(r -> r.size() == 7);
  }

  @Test
  void fillingTakesTheHoseAsItWasTimed() {
    HoseInlet inlet = (HoseInlet) trip().rig().part(PartId.of("inlet")).kind();
    double timed = 60_000 * inlet.tapFlow().orElseThrow();
    Question filling = question(SupplyPage.of(trip()), "filling");
    assertThat(filling.fields())
        .filteredOn(f -> f.name().equals("fill-tap"))
        .singleElement()
        .satisfies(f -> assertThat(Double.parseDouble(f.value())).isCloseTo(timed, within(0.1)));
  }

  // --- habits ----------------------------------------------------------------------------------

  @Test
  void aHabitThatWasNotTouchedKeepsItsSource() {
    Map<String, String> form = asTyped(Habits.DEFAULT, Units.METRIC);
    form.put("times-shower", "1");
    Habits read = HabitsForm.read(Habits.DEFAULT, form, Units.METRIC);
    assertThat(read.habits().get(0)).isEqualTo(Habits.DEFAULT.habits().get(0));
    assertThat(read.habits().get(3).source()).isEqualTo("Entered by hand");
    assertThat(read.freshPerDay()).isGreaterThan(Habits.DEFAULT.freshPerDay());
  }

  @Test
  void habitsAreReadInGallonsAndANewOneIsAdded() {
    Units gallons = Units.of("US gal");
    Map<String, String> form = asTyped(Habits.DEFAULT, gallons);
    form.putAll(
        Map.of(
            "new-label",
            "Coffee stall",
            "new-per",
            "RIG",
            "times-new",
            "1",
            "each-new",
            "2",
            "gray-new",
            "10"));
    Habits read = HabitsForm.read(Habits.DEFAULT, form, gallons);
    assertThat(read.habits()).hasSize(Habits.DEFAULT.habits().size() + 1);
    assertThat(read.habits().subList(0, 8)).isEqualTo(Habits.DEFAULT.habits());
    assertThat(read.habits().getLast().litres()).isBetween(7.5, 7.6);
    form.put("each-new", "lots");
    assertThatThrownBy(() -> HabitsForm.read(Habits.DEFAULT, form, gallons))
        .hasMessageContaining("Coffee stall");
  }

  private static Map<String, String> asTyped(Habits habits, Units units) {
    Map<String, String> form = new HashMap<>();
    HabitsForm shown = HabitsForm.of(habits, units);
    form.put("people", Integer.toString(shown.people()));
    form.put("pets", Integer.toString(shown.pets()));
    for (HabitsForm.Row row : shown.rows()) {
      form.put("times-" + row.id(), row.times());
      form.put("each-" + row.id(), row.each());
      form.put("minutes-" + row.id(), row.minutes());
      form.put("share-" + row.id(), row.share());
      form.put("gray-" + row.id(), row.gray());
      form.put("heat-" + row.id(), row.heat());
    }
    return form;
  }
}
