package fernwort.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.ReadyRig;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.network.Network;
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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What is left out of a winter sheet breaks nothing, and what stays in it is needed. */
class OnlyWhatPaysTest {

  private static final double COLD = WinterWish.USUAL.cold();

  private static Wintering inUse(Network network) {
    Map<String, Double> volumes = new HashMap<>();
    network.tanks().forEach(t -> volumes.put(t.id(), network.room(t.id()).capacity() / 2));
    return Filled.of(network, new State(network.rig().atRest(), volumes, Slope.LEVEL));
  }

  private static Set<String> breaks(Network network, Wintering now) {
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
    opening.open();
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

  /** Cracked is what each drain of a heater and each ball is for: those stay in the sheet. */
  @ParameterizedTest
  @EnumSource(WinterizingMethod.class)
  void whatASheetKeepsNoOtherStepSpares(WinterizingMethod method) {
    Network network = Network.of(ReadyRig.find("pump-or-drain").orElseThrow().rig());
    Wintering now = inUse(network);
    WinterPlan plan = WinterizingMethods.of(Plans.of(network)).plan(method, now, WinterWish.USUAL);
    Set<String> undone =
        plan.steps().stream()
            .map(WinterStep::act)
            .filter(a -> a instanceof Operation.Put p && p.position().equals(Kind.UNDONE))
            .map(a -> ((Operation.Put) a).part())
            .collect(Collectors.toSet());
    for (String part : undone) {
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
