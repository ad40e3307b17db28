package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is left out of a winter sheet breaks nothing, and what stays in it is needed. */
class OnlyWhatPaysTest {

  private static final double COLD = WinterWish.USUAL.cold();

  private static Wintering inUse(Network network) {
    Map<PartId, Double> volumes = new HashMap<>();
    network.tanks().forEach(t -> volumes.put(t.id(), network.room(t.id()).capacity() / 2));
    return Filled.of(network, new State(network.rig().atRest(), volumes, Slope.LEVEL));
  }

  private static Set<ElementId> breaks(Network network, Wintering now) {
    return FrostRisks.of(network, now, COLD).stream()
        .filter(r -> r.harm() == FrostHarm.DANGER)
        .map(FrostRisk::id)
        .collect(Collectors.toSet());
  }

  /** Everything that gravity opens, before anything is left out. */
  private static WinterSheet whole(Network network, Wintering now) {
    WinterSheet sheet = new WinterSheet(network, now);
    Shutdown.begin(sheet, Plans.of(network).brief());
    DrainingPoints opening = new DrainingPoints(sheet, true);
    opening.open(Set.of());
    opening.turnOn();
    opening.undo(Set.of());
    return sheet;
  }

  static List<Rig> rigs() {
    return ReadyRig.all().stream().map(ReadyRig::rig).toList();
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void whatIsLeftOutBreaksNothing(Rig rig) {
    Network network = Network.of(rig);
    Wintering now = inUse(network);
    WinterSheet whole = whole(network, now);

    WinterSheet lean = OnlyWhatPays.of(whole, now, COLD);

    assertThat(lean.steps()).hasSizeLessThanOrEqualTo(whole.steps().size());
    assertThat(whole.steps()).containsAll(lean.steps());
    assertThat(breaks(network, whole.now())).containsAll(breaks(network, lean.now()));
    Wintering again = now;
    for (WinterStep step : lean.steps()) {
      again = step.act().on(network, again);
    }
    assertThat(again).isEqualTo(lean.now());
  }

  private static WinterPlan plan(Rig rig, WinterizingMethod method) {
    Network network = Network.of(rig);
    return WinterizingMethods.of(Plans.of(network)).plan(method, inUse(network), WinterWish.USUAL);
  }

  private static List<String> said(WinterPlan plan) {
    return plan.steps().stream().map(s -> s.words().toString()).toList();
  }

  @Test
  void theFirstBurstsOfAirGoOutByTheDrainsThatAreClosedThen() {
    assertThat(said(plan(DemoRig.called("marginalia").rig(), WinterizingMethod.AIR)))
        .anyMatch(s -> s.matches("Blow 3 short bursts with .*Cold drain cap.* still open"))
        .contains("Put the cap on Cold drain cap.")
        .anyMatch(s -> s.matches("Blow . bursts to .*"));
  }

  @Test
  void aDrainInALowPlaceIsTheLastToRunColoured() {
    Rig rig = ReadyRig.find("long-stay").orElseThrow().rig();
    WinterPlan plan = plan(rig, WinterizingMethod.ANTIFREEZE);
    int last = 0;
    for (int i = 0; i < plan.steps().size(); i++) {
      boolean tap = said(plan).get(i).matches(".*, open.*: run it until it comes coloured.*");
      last = tap ? i : last;
    }
    List<String> after = said(plan).subList(last, plan.steps().size());
    assertThat(after)
        .anyMatch(s -> s.matches("Cold drain cap: let it run until it comes coloured, about .* mL"))
        .containsSubsequence("Take the cap off Cold drain cap.", "Put the cap on Cold drain cap.");
    Part cap =
        rig.parts().stream().filter(p -> p.label().equals("Cold drain cap")).findFirst().get();
    assertThat(plan.after().glycol()).containsKey(cap.id());
    assertThat(plan.left()).noneMatch(r -> r.id().equals(cap.id()));
  }

  /** A pump that comes off is not run dry before; one that stays on is. */
  @ParameterizedTest
  @MethodSource("rigs")
  void noPumpIsRunDryBeforeItComesOff(Rig rig) {
    List<WinterStep> steps = plan(rig, WinterizingMethod.FALL).steps();
    for (WinterStep step : steps) {
      if (step.act() instanceof Operation.RunDry dry) {
        assertThat(steps)
            .noneMatch(s -> s.act().equals(new Operation.Put(dry.pump(), Kind.UNDONE)));
      }
    }
  }

  /** Gray water never runs over the hands: its valve is closed while the cap comes off. */
  @Tag("slow")
  @ParameterizedTest
  @MethodSource("rigs")
  void theValveOfAFullGrayTankIsClosedBeforeItsCapComesOff(Rig rig) {
    Network network = Network.of(rig);
    WinterizingMethods.Round round =
        WinterizingMethods.of(Plans.of(network)).round(open(network), WinterWish.USUAL);
    for (WinterizingMethod method : WinterizingMethod.values()) {
      WinterPlan plan = round.plan(method);
      Wintering now = open(network);
      for (WinterStep step : plan.steps()) {
        boolean off =
            step.act() instanceof Operation.Put put
                && rig.part(put.part()).kind().is(Purpose.DUMPS)
                && !rig.part(put.part()).kind().rests(put.position());
        if (off && now.state().volume(PartId.of("gray")) > 0.0005) {
          Connections open = Connections.of(network, now.state().setting());
          PartId outlet = ((Operation.Put) step.act()).part();
          assertThat(open.route(PartId.of("gray"), p -> false, p -> p.id().equals(outlet)))
              .as("%s by %s: %s", rig.name(), method, step.words())
              .isEmpty();
        }
        now = step.act().on(network, now);
      }
    }
  }

  /** As in use, and every valve of gray water left open. */
  private static Wintering open(Network network) {
    Wintering now = inUse(network);
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.TURNS) && part.id().value().contains("gray")) {
        now = now.with(network.rig(), part.id(), LowPoints.open(part));
      }
    }
    return now;
  }

  /** Valves at one place are turned in one visit where a pass leads there anyway. */
  @Test
  void aVisitThatAPassMakesAnywayIsTheOnlyOne() {
    WinterPlan plan = plan(DemoRig.called("tern").rig(), WinterizingMethod.ANTIFREEZE);
    int jug = 0;
    while (plan.steps().get(jug).hand().filter(h -> h.sort() == WinterStep.Sort.JUG).isEmpty()) {
      jug++;
    }
    assertThat(plan.steps().subList(0, jug))
        .noneMatch(s -> s.words().toString().equals("Turn Shore to taps half open."));
    assertThat(said(plan).subList(jug, plan.steps().size()))
        .contains("Turn Shore to taps half open.");
  }

  /** Cracked is what each drain of a heater and each ball is for: those stay in the sheet. */
  @ParameterizedTest
  @EnumSource(WinterizingMethod.class)
  void whatASheetKeepsNoOtherStepSpares(WinterizingMethod method) {
    Network network = Network.of(ReadyRig.find("pump-or-drain").orElseThrow().rig());
    Wintering now = inUse(network);
    WinterPlan plan = WinterizingMethods.of(Plans.of(network)).plan(method, now, WinterWish.USUAL);
    Set<PartId> undone =
        plan.steps().stream()
            .map(WinterStep::act)
            .filter(a -> a instanceof Operation.Put p && p.position().equals(Kind.UNDONE))
            .map(a -> ((Operation.Put) a).part())
            .collect(Collectors.toSet());
    for (PartId part : undone) {
      Wintering without = now;
      for (WinterStep step : plan.steps()) {
        if (!(step.act() instanceof Operation.Put put && put.part().equals(part))) {
          without = step.act().on(network, without);
        }
      }
      assertThat(FrostRisks.of(network, without, COLD))
          .as("%s taken off", part)
          .anyMatch(r -> r.harm() != FrostHarm.NONE);
    }
    assertThat(breaks(network, plan.after())).isEmpty();
  }

  @Test
  void whatIsNotNeededIsAFootnote() {
    Network network = Network.of(ReadyRig.find("one-tank").orElseThrow().rig());
    Wintering now = inUse(network);
    WinterSheet whole = whole(network, now);

    WinterSheet lean = OnlyWhatPays.of(whole, now, COLD);

    assertThat(lean.steps().size()).isLessThan(whole.steps().size());
    assertThat(lean.notes().toString()).contains("Not needed here, because what stays");
  }
}
