package fernwort.core.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.Practised;
import fernwort.core.describe.RigEdit;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.mistake.Slip;
import fernwort.core.jobs.mistake.Slips;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Moved;
import fernwort.core.kind.machine.GangSwitch;
import fernwort.core.network.Network;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.winter.WinterizingMethods;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Jobs that only some rigs have: a loose hose, delivered water, a cascade, one switch for two. */
class OthersJobsTest {

  private static Plan plan(Network network, String job, State from) {
    Plan plan = Plans.of(network).plan(Jobs.of(network).byId(job).orElseThrow(), from);
    assertThat(plan.trouble()).isEmpty();
    return plan;
  }

  private static List<Step.Wait> waits(Plan plan) {
    return plan.steps().stream()
        .filter(Step.Wait.class::isInstance)
        .map(Step.Wait.class::cast)
        .toList();
  }

  @Test
  void aLooseHoseIsOnBothEndsBeforeTheWaterAndShutOffBeforeItComesOff() {
    Network van = Network.of(Practised.rig("auxiliary"));
    State from = Practised.filled(van, 0.5);
    Plan plan = plan(van, "hose-aux-tank-inlet", from);
    List<String> words =
        plan.steps().stream()
            .map(s ->
                switch (s) {
                  case Step.Move move -> move.words();
                  case Step.Wait wait -> wait.words().toString();
                })
            .toList();

    int opened = words.indexOf("Open Aux valve.");
    int shut = words.indexOf("Close Aux valve.");
    assertThat(words.subList(0, opened))
        .contains(
            "Connect the loose transfer hose to Inlet.",
            "Connect the loose transfer hose to Aux hose.");
    assertThat(words.subList(shut, words.size()))
        .filteredOn(w -> w.startsWith("Take the transfer hose off"))
        .hasSize(2);
    // What comes into one tank left the other, and the handles stand as before.
    double gained = plan.after().volume(PartId.of("tank")) - from.volume(PartId.of("tank"));
    assertThat(gained).isGreaterThan(0.04);
    assertThat(from.volume(PartId.of("aux")) - plan.after().volume(PartId.of("aux")))
        .isCloseTo(gained, within(5e-4));
    assertThat(plan.after().setting()).isEqualTo(from.setting());
    // Two tanks that a pump of the rig joins need no loose hose.
    Network joined = Network.of(Practised.rig("motor-valves"));
    assertThat(Jobs.of(joined).all()).noneMatch(j -> j.id().startsWith("hose-"));
  }

  @Test
  void aMistakeWithALooseHoseIsRunWithTheHose() {
    Network van = Network.of(Practised.rig("auxiliary"));
    Job job = Jobs.of(van).byId("hose-aux-tank-inlet").orElseThrow();
    List<Slip> slips = Slips.of(van, Plans.of(van)).of(job, Practised.filled(van, 0.5));
    assertThat(slips)
        .anySatisfy(s -> {
          assertThat(s.kind()).isEqualTo(Slip.Kind.OVERRUN);
          assertThat(s.grade()).isEqualTo(Slip.Grade.GRAVE);
        });
  }

  @Test
  void deliveredWaterIsToldInLitresAndMinutesAndTheValvesAreClosed() {
    Network truck = Network.of(Practised.rig("haulage"));
    State from = Practised.filled(truck, 0.5);
    Plan plan = plan(truck, "deliver-tank-house-hose", from);
    Step.Wait wait = waits(plan).getFirst();
    assertThat(wait.moved()).isGreaterThan(0.85);
    assertThat(wait.seconds().expected()).isGreaterThan(600);
    assertThat(plan.after().setting()).isEqualTo(from.setting());
  }

  @Test
  void aCascadeIsToldTankByTank() {
    Network trailer = Network.of(Practised.rig("water-trailer"));
    Plan plan = plan(trailer, "fill-through-first-inlet", Practised.filled(trailer, 0.5));
    List<Step.Wait> fills = waits(plan).stream().filter(w -> w.until().fills()).toList();
    assertThat(fills.stream().map(w -> w.until().part()))
        .containsExactly(PartId.of("first"), PartId.of("second"), PartId.of("third"));
    // Each takes what is left under its outlet: 1.0 m by 0.8 m, 0.32 m high, from half of 0.35 m.
    assertThat(fills).allSatisfy(w -> assertThat(w.moved()).isCloseTo(0.116, within(0.007)));
    assertThat(fills.getLast().notice()).contains("air is trapped");
    // As it is parked nose up, the opening of the first stands otherwise.
    State level = Practised.filled(trailer, 0.5);
    State leaned = new State(level.setting(), level.volumes(), new Slope(2, 0));
    double sooner =
        waits(plan(trailer, "fill-through-first-inlet", leaned)).getFirst().until().mark();
    assertThat(sooner).isNotCloseTo(fills.getFirst().until().mark(), within(1e-3));
  }

  @Test
  void whatHangsOnOneSwitchIsOneAct() {
    Network trailer = Network.of(Practised.rig("food-trailer"));
    Plan plan = plan(trailer, "run-tank", Practised.filled(trailer, 0.5));
    assertThat(plan.moves().stream().map(Step.Move::words))
        .containsExactly("Turn on Galley switch: Pump, Heater.");
    assertThat(plan.after().setting().of(PartId.of("heater"))).isEqualTo(PositionId.of("on"));
    Rig rig = trailer.rig();
    assertThat(rig.movedAlong(plan.after().setting(), PartId.of("heater"), PositionId.of("off")))
        .isEqualTo(Map.of(PartId.of("pump"), PositionId.of("off")));
    assertThat(rig.movedAlong(rig.atRest(), PartId.of("fill-valve"), PositionId.of("open")))
        .isEmpty();
  }

  /** A travel valve left open after a fill harms nobody until somebody goes over a pass. */
  @Test
  void aMistakeIsJudgedOverTheNextDriveAsWell() {
    Network trailer = Network.of(Practised.rig("two-travel-valves"));
    State from = Practised.filled(trailer, 0.8);
    Slips mistakes = Slips.of(trailer, Plans.of(trailer));
    Job fill = Jobs.of(trailer).byId("fill-rear-inlet").orElseThrow();
    assertThat(mistakes.of(fill, from))
        .filteredOn(s -> s.words().toString().startsWith("Rear travel valve is left out"))
        .anySatisfy(s -> {
          assertThat(s.leads().toString())
              .containsPattern("\\d L run out at Rear overflow on the next drive over a pass");
          assertThat(s.grade()).isEqualTo(Slip.Grade.BAD);
        });
  }

  /** A valve left open between two tanks, by a line so narrow that nobody sees it run. */
  @Test
  void aMistakeIsJudgedOverTheNextNightAsWell() {
    Rig rig = Practised.rig("two-travel-valves");
    rig = RigEdit.of(rig).change(PartId.of("front"), p -> p.atHeight(1.2));
    rig = RigEdit.of(rig).changeLine(LineId.of("l13"), l -> l.ofBore(0.002));
    Network trailer = Network.of(rig);
    State from =
        Practised.filled(trailer, 0.85)
            .with(PartId.of("front-valve"), PositionId.of("open"))
            .with(PartId.of("front-travel-valve"), PositionId.of("open"))
            .with(PartId.of("rear-travel-valve"), PositionId.of("open"));
    Job use = Jobs.of(trailer).byId("run-rear").orElseThrow();
    assertThat(Slips.of(trailer, Plans.of(trailer)).of(use, from))
        .filteredOn(s -> s.words().toString().startsWith("Front valve is left out"))
        .anySatisfy(s -> {
          assertThat(s.leads()).hasToString("62 L run out at Rear overflow overnight.");
          assertThat(s.grade()).isEqualTo(Slip.Grade.BAD);
        });
  }

  /** The switch that draws the tank down heats as well: the heater cools after that, not before. */
  @Test
  void aWinterSheetNamesTheSwitchAndLetsTheHeaterCoolAfterIt() {
    Network trailer = Network.of(Practised.rig("food-trailer"));
    Wintering now = Filled.of(trailer, Practised.filled(trailer, 0.5));
    WinterPlan winter =
        WinterizingMethods.of(Plans.of(trailer))
            .plan(WinterizingMethod.FALL, now, WinterWish.USUAL);
    assertThat(winter.steps().stream().map(s -> s.words().toString()))
        .containsSubsequence(
            "Turn on Galley switch: Pump, Heater.",
            "Turn off Galley switch: Pump, Heater.",
            "Heater: let it cool until a hot tap runs cold",
            "Open the drain of Heater.",
            "Take Pump off and tip the water out.")
        .doesNotHaveDuplicates();
  }

  @Test
  void aSwitchMovesOnlyWhatIsThere() {
    Rig rig = Practised.rig("food-trailer");
    assertThatThrownBy(() ->
            RigEdit.of(rig)
                .change(
                    PartId.of("galley-switch"),
                    p ->
                        p.with(
                            new GangSwitch(
                                List.of(
                                    new Moved(PartId.of("boat"), PositionId.of("on")),
                                    new Moved(PartId.of("pump"), PositionId.of("sideways")))))))
        .isInstanceOfSatisfying(
            InvalidRigException.class,
            e ->
                assertThat(e.problems().stream().map(p -> p.fault()))
                    .containsExactly(
                        "it moves \"boat\", which is no part",
                        "it moves pump to \"sideways\", which it has not"));
  }

  @Test
  void aTankThatIsFullToTheTopIsLetOutALittleBeforeADrive() {
    Network van = Network.of(Practised.rig("flatbed"));
    double full = van.figures(van.rig().part(PartId.of("tank")), Slope.LEVEL).full();
    State from = Practised.filled(van, 0.2).withVolume(PartId.of("tank"), full);
    Plan plan = plan(van, "drive", from);
    assertThat(waits(plan).getFirst().until().what()).isEqualTo(Job.Until.What.LET_OUT);
    assertThat(full - plan.after().volume(PartId.of("tank"))).isCloseTo(0.02 * full, within(1e-3));
    assertThat(plan(van, "drive", Practised.filled(van, 0.5)).steps()).isEmpty();
  }

  @Tag("slow")
  @Test
  void aDiverterIsTurnedWhileTheWaterRuns() {
    Network trailer = Network.of(Practised.rig("two-travel-valves"));
    Plan plan = plan(trailer, "fill-all-inlet", Practised.filled(trailer, 0.5));
    List<PartId> turned = plan.moves().stream().map(Step.Move::part).toList();
    assertThat(turned.indexOf(PartId.of("diverter")))
        .isLessThan(turned.lastIndexOf(PartId.of("inlet")));
    assertThat(plan.moves().stream().filter(m -> m.to().equals(PositionId.of("mains")))).hasSize(1);
  }
}
