package fernwort.core.live.rule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.automation.Automation;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.line.Tee;
import fernwort.core.live.Signal;
import fernwort.core.live.SignalKind;
import fernwort.core.live.Value;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Rules that are made from what a rig can do: each is tried, and does what it is for. */
class ReadyRulesTest {

  /** Two tanks, each filled from mains by a motor valve and drawn from by one; a frost drain. */
  private static Rig rig() {
    RigBuilder rig =
        CaseRigs.rig()
            .part("left", "Left", 0, 0, 1, CaseRigs.tank())
            .part("right", "Right", 2, 0, 1, CaseRigs.tank())
            .part("inlet", "Inlet", 0, 0, 0.9, Fittings.inlet(2))
            .part("check", "Check valve", 0, 0, 1, Fittings.check())
            .part("fork", "Fill tee", 0, 0, 1.05, new Tee())
            .part(
                "fill-left",
                "Fill left",
                0,
                0,
                1.1,
                Fittings.motorised(0, PositionId.of("shut"), 6))
            .part(
                "fill-right",
                "Fill right",
                0,
                0,
                1.1,
                Fittings.motorised(0, PositionId.of("shut"), 6))
            .part("from-left", "From left", 0, 0, 0.9, Fittings.motorised(0, PositionId.NONE, 6))
            .part("from-right", "From right", 0, 0, 0.9, Fittings.motorised(0, PositionId.NONE, 6))
            .part("join", "Feed tee", 1, 0, 0.9, new Tee())
            .part("cold", "Frost tee", 1, 0, 0.8, new Tee())
            .part("frost", "Frost drain", 1, 0, 0.7, Fittings.motorised(0, PositionId.NONE, 6))
            .part("drain", "Drain", 1, 0, 0.3, Fittings.end(Role.DRAIN))
            .part("pump", "Pump", 1, 0, 0.8, Fittings.pressurePump(10, 3))
            .part("tap", "Tap", 1, 0, 1.5, Fittings.fixture(Type.TAP, true, 6))
            .part("warm", "Loop tee 1", 1, 0, 1.4, new Tee())
            .part("cool", "Loop tee 2", 1.2, 0, 1.4, new Tee())
            .part("loop", "Loop pump", 1.1, 0, 1.3, Fittings.circulationPump(6, 0.1))
            .line("a", "A", "inlet.out > check.in", 12, 1, Material.PEX, 0)
            .line("b", "B", "check.out > fork.a", 12, 1, Material.PEX, 0)
            .line("c", "C", "fork.b > fill-left.a", 12, 1, Material.PEX, 0)
            .line("d", "D", "fork.c > fill-right.a", 12, 1, Material.PEX, 0)
            .line("e", "E", "fill-left.b > left.high", 12, 1, Material.PEX, 0)
            .line("f", "F", "fill-right.b > right.high", 12, 1, Material.PEX, 0)
            .line("g", "G", "left.low > from-left.a", 12, 1, Material.PEX, 0)
            .line("h", "H", "right.low > from-right.a", 12, 1, Material.PEX, 0)
            .line("i", "I", "from-left.b > join.a", 12, 1, Material.PEX, 0)
            .line("j", "J", "from-right.b > join.b", 12, 1, Material.PEX, 0)
            .line("k", "K", "join.c > cold.a", 12, 1, Material.PEX, 0)
            .line("l", "L", "cold.b > frost.a", 12, 1, Material.PEX, 0)
            .line("m", "M", "frost.b > drain.in", 12, 1, Material.PEX, 0)
            .line("n", "N", "cold.c > pump.in", 12, 1, Material.PEX, 0)
            .line("o", "O", "pump.out > warm.a", 12, 1, Material.PEX, 0)
            .line("p", "P", "warm.b > cool.a", 12, 1, Material.PEX, 0)
            .line("q", "Q", "cool.b > tap.cold", 12, 1, Material.PEX, 0)
            .line("r", "R", "cool.c > loop.in", 12, 1, Material.PEX, 0)
            .line("s", "S", "loop.out > warm.c", 12, 1, Material.PEX, 0);
    return CaseRigs.vented(CaseRigs.vented(rig, PartId.of("left"), 1), PartId.of("right"), 1)
        .build();
  }

  private final Rig rig = rig();
  private final Network network = Network.of(rig);

  private static final List<Signal> SIGNALS =
      List.of(
          RuleRigs.signal("left", SignalKind.LEVEL, SignalKind.Where.PART, "left"),
          RuleRigs.signal("right", SignalKind.LEVEL, SignalKind.Where.PART, "right"),
          RuleRigs.signal("outside", SignalKind.TEMPERATURE, SignalKind.Where.OUTSIDE, "outside"),
          RuleRigs.signal("feed", SignalKind.TEMPERATURE, SignalKind.Where.LINE, "k"),
          RuleRigs.signal("loop", SignalKind.TEMPERATURE, SignalKind.Where.LINE, "r"));

  private Slope slope = Slope.LEVEL;

  private State now() {
    return new State(rig.atRest(), Map.of(PartId.of("left"), 0.05, PartId.of("right"), 0.05), slope)
        .with(PartId.of("frost"), PositionId.of("shut"));
  }

  private Rule of(Automation automation) {
    return ReadyRules.of(network, SIGNALS).of("rule", automation, now());
  }

  private RuleProof.Verdict verdict(Rule rule, State now) {
    return RuleProof.of(network, SIGNALS).verdict(rule.checked(rig, SIGNALS), now);
  }

  @Test
  void theNextTankIsFilledWhenTheFirstIsFullAndBothAreClosedThen() {
    Automation automation =
        Automation.fillInTurn(
            rig,
            PartId.of("left"),
            PartId.of("right"),
            PartId.of("fill-left"),
            PartId.of("fill-right"),
            0.8);
    Rule rule = of(automation);
    assertThat(rule.onlyIf())
        .containsExactly(new Rule.Handle(PartId.of("fill-left"), PositionId.of("open")));
    assertThat(rule.acts().subList(0, 2))
        .containsExactly(
            new Rule.Move(new Turn(PartId.of("fill-right"), PositionId.of("open"))),
            new Rule.Move(new Turn(PartId.of("fill-left"), PositionId.of("shut"))));
    assertThat(rule.then())
        .containsExactly(new Turn(PartId.of("fill-right"), PositionId.of("shut")));
    RuleProof.Verdict verdict =
        verdict(rule, now().with(PartId.of("inlet"), PositionId.of("mains")));
    assertThat(verdict.reached()).isPositive();
    // By hand the first tank would have run over; one motor that sticks leaves that as it is.
    assertThat(verdict.stories())
        .extracting(RuleProof.Story::fault)
        .allMatch(RuleFault.MOTOR_STUCK::equals);
  }

  @Test
  void afterAChangeTheAirIsLetOutAndAHandIsAskedForTheRest() {
    Rule rule =
        of(
            Automation.changeWhenDry(
                rig,
                PartId.of("left"),
                PartId.of("right"),
                PartId.of("from-left"),
                PartId.of("from-right"),
                0.1,
                PartId.of("frost")));
    assertThat(rule.acts())
        .containsExactly(
            new Rule.Move(new Turn(PartId.of("from-right"), PositionId.of("open"))),
            new Rule.Move(new Turn(PartId.of("from-left"), PositionId.of("shut"))),
            new Rule.Move(new Turn(PartId.of("frost"), PositionId.of("open"))),
            new Rule.Pause(20),
            new Rule.Move(new Turn(PartId.of("frost"), PositionId.of("shut"))),
            new Rule.Say("Changed to Right. Open a cold tap until no air comes, then a hot one."));
    assertThat(rule.onFailure())
        .as("what lets the air out")
        .startsWith(new Turn(PartId.of("frost"), PositionId.of("shut")));
  }

  @Test
  void changingTanksHoldsWithEverySingleFault() {
    Rule rule =
        of(
            Automation.changeWhenDry(
                rig,
                PartId.of("left"),
                PartId.of("right"),
                PartId.of("from-left"),
                PartId.of("from-right"),
                0.1,
                PartId.NONE));
    RuleProof.Verdict verdict =
        verdict(
            rule,
            now()
                .with(PartId.of("from-left"), PositionId.of("open"))
                .with(PartId.of("pump"), PositionId.of("on")));
    assertThat(verdict.stories()).isEmpty();
    assertThat(verdict.held()).isTrue();
  }

  /** Acts that do no harm and come to their end, and are not what the rule is for. */
  private String missed(String signal, boolean above, double amount, Turn... turns) {
    List<Rule.Act> acts = new ArrayList<>();
    for (Turn turn : turns) {
      acts.add(new Rule.Move(turn));
    }
    Rule rule =
        new Rule(
            "rule",
            List.of(
                signal.equals("leak")
                    ? new Rule.Contact(signal, true, 0)
                    : new Rule.Amount(signal, above, amount, 0.001, 5)),
            List.of(),
            acts,
            600,
            List.of(),
            List.of(turns));
    List<Signal> signals = new ArrayList<>(SIGNALS);
    signals.add(RuleRigs.signal("leak", SignalKind.LEAK, SignalKind.Where.PLACE, "here"));
    State now = now().with(PartId.of("from-left"), PositionId.of("open"));
    return RuleProof.of(network, signals).verdict(rule, now).stories().stream()
        .filter(story -> story.fault() == RuleFault.NONE)
        .map(RuleProof.Story::harm)
        .findFirst()
        .orElse("");
  }

  private static Turn turn(String part, String position) {
    return new Turn(PartId.of(part), PositionId.of(position));
  }

  @Test
  void aChangeIsProvenByThePumpThatDrawsFromTheOtherTank() {
    Turn right = turn("from-right", "open");
    assertThat(missed("left", false, 0.01, right, turn("from-left", "shut"))).isEmpty();
    assertThat(missed("left", false, 0.01, turn("from-left", "open"), turn("from-right", "shut")))
        .as("turned to the empty tank")
        .startsWith("Pump still draws air when the rule is done");
    assertThat(missed("left", false, 0.01, turn("fill-right", "open")))
        .as("another valve")
        .startsWith("Pump still draws air when the rule is done");
    slope = new Slope(5, 0);
    assertThat(missed("left", false, 0.0001, right, turn("from-left", "shut")))
        .as("a mark below what the tank strands on a slope")
        .startsWith("Pump draws air before the rule begins");
  }

  /** A van with three tanks, five taps and jobs that draw from several tanks at once. */
  @Test
  void aChangeOfAWholeVanIsProvenAsWell() {
    DemoRig tern = DemoRig.called("tern");
    Turn foreOpen = turn("fore-motor", "open");
    Turn foreShut = turn("fore-motor", "shut");
    assertThat(changed(tern, foreShut, turn("aft-motor", "open"))).isEmpty();
    assertThat(changed(tern, foreOpen, turn("aft-motor", "shut")))
        .singleElement()
        .asString()
        .startsWith("Pump still draws air when the rule is done");
  }

  private static List<String> changed(DemoRig rig, Turn... turns) {
    List<Rule.Act> acts = new ArrayList<>();
    for (Turn turn : turns) {
      acts.add(new Rule.Move(turn));
    }
    Rule rule =
        new Rule(
            "change",
            List.of(new Rule.Amount("fore", false, 0.01, 0, 0)),
            List.of(),
            acts,
            600,
            List.of(),
            List.of(turns));
    List<Signal> fore =
        List.of(RuleRigs.signal("fore", SignalKind.LEVEL, SignalKind.Where.PART, "fore"));
    return RuleProof.of(Network.of(rig.rig()), fore).verdict(rule, rig.state()).stories().stream()
        .filter(story -> story.fault() == RuleFault.NONE)
        .map(RuleProof.Story::harm)
        .toList();
  }

  @Test
  void aFillIsProvenToHaveStopped() {
    assertThat(missed("left", true, 0.04, turn("fill-left", "shut"))).isEmpty();
    assertThat(missed("left", true, 0.04, turn("fill-right", "shut")))
        .startsWith("Left goes on filling when the rule is done");
  }

  @Test
  void aLeakRuleIsProvenByTheTapThatGivesNothingMore() {
    assertThat(missed("leak", true, 0, turn("pump", "off"))).isEmpty();
    assertThat(missed("leak", true, 0, turn("fill-left", "shut")))
        .startsWith("water still comes at Tap when the rule is done");
  }

  @Test
  void aFrostDrainOpensInTheColdAndThatItRunsOutIsMeant() {
    Rule rule = of(Automation.drainInFrost(rig, PartId.of("frost"), 2));
    assertThat(rule.when()).containsExactly(new Rule.Amount("outside", false, 2, 1, 600));
    assertThat(rule.acts())
        .startsWith(
            new Rule.Move(new Turn(PartId.of("loop"), PositionId.of("off"))),
            new Rule.Move(new Turn(PartId.of("pump"), PositionId.of("off"))),
            new Rule.Move(new Turn(PartId.of("frost"), PositionId.of("open"))));
    RuleProof.Verdict verdict =
        verdict(
            rule,
            now()
                .with(PartId.of("from-left"), PositionId.of("open"))
                .with(PartId.of("pump"), PositionId.of("on")));
    assertThat(verdict.stories()).isEmpty();
    assertThat(verdict.held()).isTrue();
  }

  /** The same opening for another reason than cold is harm. */
  @Test
  void aDrainThatOpensAtALevelIsHarm() {
    Rule frost = of(Automation.drainInFrost(rig, PartId.of("frost"), 2));
    Rule level =
        new Rule(
            "level",
            List.of(new Rule.Amount("left", false, 0.04, 0.001, 0)),
            List.of(),
            frost.acts(),
            600,
            List.of(),
            List.of());
    RuleProof.Verdict verdict =
        verdict(level, now().with(PartId.of("from-left"), PositionId.of("open")));
    assertThat(verdict.stories())
        .extracting(RuleProof.Story::harm)
        .anyMatch(h -> h.contains("out"));
  }

  @Test
  void hotWaterGoesRoundAtAButtonUntilTheLoopIsWarm() {
    Rule rule = of(Automation.circulate(rig, PartId.of("loop")));
    assertThat(rule.hasButton()).isTrue();
    assertThat(rule.acts())
        .startsWith(
            new Rule.Move(new Turn(PartId.of("loop"), PositionId.of("on"))),
            new Rule.Until(List.of(new Rule.Amount("loop", true, 40, 1, 0))),
            new Rule.Move(new Turn(PartId.of("loop"), PositionId.of("off"))));
    RuleProof.Verdict verdict =
        verdict(
            rule,
            now()
                .with(PartId.of("from-left"), PositionId.of("open"))
                .with(PartId.of("pump"), PositionId.of("on")));
    assertThat(verdict.stories()).isEmpty();
    assertThat(verdict.held()).isTrue();
    // Without a sensor in the loop it takes its time.
    assertThat(
            ReadyRules.of(network, SIGNALS.subList(0, 4))
                .of("loop", Automation.circulate(rig, PartId.of("loop")), now())
                .acts())
        .contains(new Rule.Pause(60));
  }

  @Test
  void aRuleAtAButtonBeginsWhenItIsPressedAndOnlyThen() {
    RuleRun run = new RuleRun(of(Automation.circulate(rig, PartId.of("loop"))));
    Map<PartId, PositionId> positions =
        new HashMap<>(Map.of(PartId.of("loop"), PositionId.of("off")));
    Sight sight =
        new Sight() {
          @Override
          public Optional<Value> value(String signal) {
            return Optional.of(new Value.Amount(20));
          }

          @Override
          public PositionId position(PartId part) {
            return positions.get(part);
          }

          @Override
          public boolean failed(PartId part) {
            return false;
          }
        };
    assertThat(run.go(sight, true, 1)).isEmpty();
    run.press(2);
    // What another rule holds is not waited for.
    assertThat(run.go(sight, false, 3)).isEmpty();
    assertThat(run.go(sight, true, 4)).isEmpty();
    run.press(5);
    // Nor does it begin long after, when the link is there again.
    assertThat(run.go(sight, true, 60)).isEmpty();
    run.press(61);
    assertThat(run.go(sight, true, 62)).contains(new RuleRun.Begun());
  }

  @Test
  void anyOneOfSeveralLeaksIsEnoughThoughAnotherSensorIsSilent() {
    List<Signal> leaks =
        List.of(
            RuleRigs.signal("one", SignalKind.LEAK, SignalKind.Where.PLACE, "here"),
            RuleRigs.signal("two", SignalKind.LEAK, SignalKind.Where.PLACE, "there"));
    Rule rule = ReadyRules.of(network, leaks).of("leak", Automation.shutOnLeak(rig), now());
    RuleRun run = new RuleRun(rule);
    Map<String, Value> values = new HashMap<>(Map.of("two", new Value.Contact(false)));
    Sight sight =
        new Sight() {
          @Override
          public Optional<Value> value(String signal) {
            return Optional.ofNullable(values.get(signal));
          }

          @Override
          public PositionId position(PartId part) {
            return rig.atRest().of(part);
          }

          @Override
          public boolean failed(PartId part) {
            return false;
          }
        };
    assertThat(run.go(sight, true, 1)).isEmpty();
    values.put("two", new Value.Contact(true));
    assertThat(run.go(sight, true, 2)).contains(new RuleRun.Begun());
    assertThat(rule.signals()).containsExactly("one", "two");
  }

  /** Whatever a demo rig's jobs turn by motors alone can be had at a button, and is tried. */
  @Test
  void aJobWhoseHandlesAllHaveMotorsIsHadAtAButton() {
    Rig tern = DemoRig.called("tern").rig();
    Network net = Network.of(tern);
    State now =
        new State(
            tern.atRest(), Map.of(PartId.of("fore"), 0.04, PartId.of("aft"), 0.04), Slope.LEVEL);
    List<Signal> levels =
        tern.tanks()
            .map(t ->
                RuleRigs.signal(
                    t.id().value(), SignalKind.LEVEL, SignalKind.Where.PART, t.id().value()))
            .toList();
    Plans plans = Plans.of(net);
    int made = 0;
    int byHand = 0;
    for (Job job : fernwort.core.jobs.find.Jobs.of(net).all()) {
      var plan = plans.plan(job, now);
      if (plan.trouble().isPresent() || plan.moves().isEmpty()) {
        continue;
      }
      boolean motors = plan.moves().stream().allMatch(m -> tern.part(m.part()).kind().setsItself());
      ReadyRules ready = ReadyRules.of(net, levels);
      if (motors) {
        Rule rule = ready.atButton("job", plan, now).checked(tern, levels);
        assertThat(rule.hasButton()).isTrue();
        assertThat(rule.parts()).containsAll(plan.moves().stream().map(m -> m.part()).toList());
        made++;
      } else {
        assertThatThrownBy(() -> ready.atButton("job", plan, now)).isInstanceOf(Refusal.class);
        byHand++;
      }
    }
    assertThat(made).isPositive();
    assertThat(byHand).isPositive();
  }
}
