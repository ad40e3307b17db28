package fernwort.core.live.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.automation.Automation;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** A rule is tried before it may act: what it can do to a tank that mains fill by a motor valve. */
class RuleProofTest {

  /**
   * @param unpowered where the fill valve goes without power; empty where it stays
   */
  private static Rig rig(PositionId unpowered) {
    return CaseRigs.vented(
            CaseRigs.rig().part("tank", "Tank", 0, 0, 1, CaseRigs.tank()), PartId.of("tank"), 1)
        .part("inlet", "Inlet", 0, 0, 0.9, Fittings.inlet(2))
        .part("check", "Check valve", 0, 0, 1, Fittings.check())
        .part("motor", "Fill motor", 0, 0, 1.1, Fittings.motorised(0, unpowered, 6))
        .part("tap", "Tap", 0, 0, 0.5, Fittings.fixture(Type.TAP, false, 6))
        .line("a", "A", "inlet.out > check.in", 12, 1, Material.PEX, 1)
        .line("b", "B", "check.out > motor.a", 12, 1, Material.PEX, 1)
        .line("c", "C", "motor.b > tank.high", 12, 1, Material.PEX, 1)
        .line("d", "D", "tank.low > tap.cold", 12, 1, Material.PEX, 1)
        .build();
  }

  private static final List<Signal> LEVEL =
      List.of(RuleRigs.signal("level", SignalKind.LEVEL, SignalKind.Where.PART, "tank"));

  private static State state(Rig rig) {
    Map<PartId, PositionId> positions = new TreeMap<>(rig.atRest().positions());
    positions.put(PartId.of("inlet"), PositionId.of("mains"));
    return new State(new fernwort.core.rig.Setting(positions), Map.of(), Slope.LEVEL);
  }

  private static Rule keep(Rig rig, double high) {
    return ReadyRules.of(Network.of(rig), LEVEL)
        .of(
            "keep",
            Automation.keepBetween(rig, PartId.of("tank"), PartId.of("motor"), 0.5, high),
            state(rig));
  }

  /**
   * @param lost where the pump's board turns it when the link is lost; empty where it stays
   */
  private static RuleProof.Verdict byPump(String lost) {
    Rig rig = RuleRigs.pumped().build();
    State now = new State(rig.atRest(), Map.of(), Slope.LEVEL);
    List<Signal> signals = new ArrayList<>(LEVEL);
    Signal pump = RuleRigs.signal("pump", SignalKind.PUMP, SignalKind.Where.PART, "pump");
    signals.add(
        new Signal(
            "pump",
            pump.kind(),
            pump.on(),
            pump.as(),
            Optional.empty(),
            "",
            pump.source(),
            Optional.of(
                new Signal.Drive(
                    "van/pump/set",
                    Map.of(PositionId.of("on"), "1", PositionId.of("off"), "0"),
                    PositionId.of(lost)))));
    Network network = Network.of(rig);
    Rule rule =
        ReadyRules.of(network, signals)
            .of(
                "keep",
                Automation.keepBetween(rig, PartId.of("tank"), PartId.of("pump"), 0.5, 0.7),
                now);
    return RuleProof.of(network, signals).verdict(rule, now);
  }

  @Test
  void aRuleThatFillsByAPumpThatStopsWithoutALinkHolds() {
    RuleProof.Verdict verdict = byPump("off");
    assertThat(verdict.stories()).isEmpty();
    assertThat(verdict.acted()).isGreaterThan(10);
    assertThat(verdict.held()).isTrue();
  }

  @Test
  void aPumpThatRunsOnWithoutALinkIsTold() {
    assertThat(byPump("").stories())
        .extracting(RuleProof.Story::fault)
        .containsOnly(RuleFault.LINK_LOST);
  }

  /** Nothing but a second means helps where the one valve sticks open: a float, or a hand. */
  @Test
  void aRuleThatFillsByOneValveFailsWhenThatSticksAndByNothingElse() {
    Rig rig = rig(PositionId.of("shut"));
    RuleProof.Verdict verdict =
        RuleProof.of(Network.of(rig), LEVEL).verdict(keep(rig, 0.75), state(rig));
    assertThat(verdict.reached()).isPositive();
    assertThat(verdict.stories())
        .extracting(RuleProof.Story::fault)
        .containsOnly(RuleFault.MOTOR_STUCK);
  }

  @Test
  void oneThatMayRunForHoursOverflowsWhenItsSensorSticksAndIsShownAsAStory() {
    Rig rig = rig(PositionId.of("shut"));
    Rule rule = keep(rig, 0.75).within(2 * 3600);
    RuleProof.Verdict verdict = RuleProof.of(Network.of(rig), LEVEL).verdict(rule, state(rig));
    assertThat(verdict.held()).isFalse();
    assertThat(verdict.stories())
        .anySatisfy(s -> {
          assertThat(s.fault()).isEqualTo(RuleFault.SENSOR_STUCK);
          assertThat(s.harm()).contains("ater runs out");
          assertThat(s.story())
              .extracting(RuleProof.Line::words)
              .contains("The rule begins")
              .anyMatch(w -> w.startsWith("It turns Fill motor"));
          assertThat(s.story())
              .isSortedAccordingTo(java.util.Comparator.comparingDouble(RuleProof.Line::at));
        });
  }

  @Test
  void aValveThatStaysOpenWithoutALinkOverflows() {
    Rig rig = rig(PositionId.NONE);
    RuleProof.Verdict verdict =
        RuleProof.of(Network.of(rig), LEVEL).verdict(keep(rig, 0.75), state(rig));
    assertThat(verdict.stories()).extracting(RuleProof.Story::fault).contains(RuleFault.LINK_LOST);
  }

  @Test
  void aRuleThatNeverDoesAnythingIsNotHeld() {
    Rig rig = rig(PositionId.of("shut"));
    Rule never =
        new Rule(
            "never",
            List.of(new Rule.Amount("level", true, 10, 0, 0)),
            List.of(),
            List.of(new Rule.Move(new Turn(PartId.of("motor"), PositionId.of("shut")))),
            60,
            List.of(),
            List.of());
    RuleProof.Verdict verdict = RuleProof.of(Network.of(rig), LEVEL).verdict(never, state(rig));
    assertThat(verdict.acted()).isZero();
    assertThat(verdict.held()).isFalse();
  }

  @Test
  void stoppingAtFullHoldsWhateverTheValveDoesWithoutPower() {
    Rig rig = rig(PositionId.NONE);
    Rule stop =
        ReadyRules.of(Network.of(rig), LEVEL)
            .of(
                "stop",
                Automation.stopWhenFull(rig, PartId.of("tank"), PartId.of("motor"), 0.8),
                state(rig));
    RuleProof.Verdict verdict =
        RuleProof.of(Network.of(rig), LEVEL)
            .verdict(stop, state(rig).with(PartId.of("motor"), PositionId.of("open")));
    assertThat(verdict.stories()).isEmpty();
    assertThat(verdict.held()).isTrue();
  }

  @Test
  void whatNobodyBoundCannotAct() {
    Rig rig = rig(PositionId.of("shut"));
    Rule rule = keep(rig, 0.75);
    assertThatThrownBy(() -> rule.canAct(rig, LEVEL))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Fill motor cannot be told to move");
    List<Signal> bound = new ArrayList<>(LEVEL);
    bound.add(motor(Map.of(PositionId.of("open"), "1")));
    assertThatThrownBy(() -> rule.canAct(rig, bound)).hasMessageContaining("Nothing is sent for");
    bound.set(1, motor(Map.of(PositionId.of("open"), "1", PositionId.of("shut"), "0")));
    rule.canAct(rig, bound);
  }

  private static Signal motor(Map<PositionId, String> payloads) {
    Signal told = RuleRigs.signal("motor", SignalKind.POSITION, SignalKind.Where.PART, "motor");
    return new Signal(
        told.name(),
        told.kind(),
        told.on(),
        told.as(),
        Optional.empty(),
        "",
        told.source(),
        Optional.of(new Signal.Drive("van/motor/set", payloads, PositionId.NONE)));
  }

  @Test
  void whatARuleNamesHasToBeThere() {
    Rig rig = rig(PositionId.of("shut"));
    Rule good = keep(rig, 0.75);
    assertThat(good.checked(rig, LEVEL)).isEqualTo(good);
    assertThatThrownBy(() -> good.checked(rig, List.of()))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("no signal “level”");
    assertThatThrownBy(() -> good.within(0).checked(rig, LEVEL)).hasMessageContaining("at most");
    Rule byHand =
        new Rule(
            "x",
            good.when(),
            List.of(),
            List.of(new Rule.Move(new Turn(PartId.of("tap"), PositionId.of("cold")))),
            60,
            List.of(),
            List.of());
    assertThatThrownBy(() -> byHand.checked(rig, LEVEL)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() ->
            ReadyRules.of(Network.of(rig), List.of())
                .of("leak", Automation.shutOnLeak(rig), state(rig)))
        .hasMessageContaining("no leak sensor");
  }
}
