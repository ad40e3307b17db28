package fernwort.core.winter;

import static fernwort.core.OnRecord.number;
import static fernwort.core.OnRecord.tell;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.OnRecord;
import fernwort.core.Sampled;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.drain.Draining;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Rewetting;
import fernwort.core.drain.Wintering;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.Network;
import fernwort.core.network.RandomRigs;
import fernwort.core.network.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.FrostRisk;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.Procedure;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class WinterizingMethodsTest {

  /** Rigs of fewer parts are woken again for the record; the others would take too long. */
  private static final int SMALL = 20;

  /** So many of the rigs every day, all in the sweep. */
  private static final int FEW = 6;

  private record Case(String name, Rig rig, State state) {
    @Override
    public String toString() {
      return name;
    }
  }

  static Stream<Case> rigs() {
    List<Case> all =
        Stream.concat(
                DemoRig.all().stream().map(d -> new Case(d.id(), d.rig(), d.state())),
                ReadyRig.all().stream().map(r -> new Case(r.id(), r.rig(), half(r.rig()))))
            .toList();
    return Sampled.of(all, FEW).stream();
  }

  private static State half(Rig rig) {
    Network network = Network.of(rig);
    Map<PartId, Double> volumes = new HashMap<>();
    network.tanks().forEach(t -> volumes.put(t.id(), network.room(t.id()).capacity() / 2));
    return new State(rig.atRest(), volumes, Slope.LEVEL);
  }

  @Tag("slow")
  @ParameterizedTest
  @MethodSource("rigs")
  void everySchoolLeavesNoDangerOrSaysWhatToAdd(Case one) {
    Network network = Network.of(one.rig());
    Wintering now = Filled.of(network, one.state());
    List<String> told = new ArrayList<>();
    Plans plans = Plans.of(network);
    for (WinterPlan plan : WinterizingMethods.of(plans).all(now, WinterWish.USUAL)) {
      told.addAll(told(plan));
      if (one.rig().parts().size() < SMALL && plan.school() != WinterizingMethod.MIX) {
        told.add("--- and awake again");
        told.addAll(told(Spring.of(plans, plan.after(), one.state().setting())));
      }
      List<FrostRisk> dangers =
          plan.left().stream().filter(r -> r.harm() == FrostHarm.DANGER).toList();
      assertThat(dangers).as("%s", plan.school()).hasSizeLessThanOrEqualTo(1);
      for (FrostRisk danger : dangers) {
        assertThat(plan.notes().toString()).contains(danger.fix().toString());
      }
      assertSaysWhatItDoes(network, plan);
      assertPressesWhatItLetsIn(network, plan);
    }
    OnRecord.assertAsRead(OnRecord.file("winter", one.name()), told);
  }

  @Test
  void schoolsThatAreAskedOneByOneSayWhatTheySayTogether() {
    Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();
    Network network = Network.of(rig);
    Wintering now = Filled.of(network, half(rig));
    WinterizingMethods schools = WinterizingMethods.of(Plans.of(network));
    WinterizingMethods.Round round = schools.round(now, WinterWish.USUAL);
    WinterPlan mix = round.plan(WinterizingMethod.MIX);
    assertThat(round.plan(WinterizingMethod.MIX)).as("kept").isSameAs(mix);
    List<WinterPlan> all = schools.all(now, WinterWish.USUAL);
    assertThat(all).extracting(WinterPlan::school).containsExactly(WinterizingMethod.values());
    for (WinterPlan plan : all) {
      assertThat(told(round.plan(plan.school()))).isEqualTo(told(plan));
      assertThat(told(schools.plan(plan.school(), now, WinterWish.USUAL))).isEqualTo(told(plan));
    }
  }

  /** Antifreeze comes while a pump draws it from the jug; what was taken off is put back on. */
  private static void assertPressesWhatItLetsIn(Network network, WinterPlan plan) {
    Wintering now = plan.before();
    Optional<Part> drawing = Optional.empty();
    int open = 0;
    for (WinterStep step : plan.steps()) {
      String words = step.words().toString();
      if (words.contains("into the jug")) {
        drawing =
            network.pumps().stream()
                .filter(p -> words.startsWith(p.label()))
                .findFirst()
                .or(() ->
                    network.pumps().stream()
                        .filter(p -> p.kind() instanceof Pump k && k.duty() == Pump.Duty.SUPPLY)
                        .findFirst());
        assertThat(drawing).as(words).isPresent();
      }
      if (words.contains("until it comes coloured") && drawing.isPresent()) {
        assertThat(now.state().setting().of(drawing.get().id()).value())
            .as(words)
            .isEqualTo(Kind.ON.value());
      }
      open += words.matches(".*(into the jug|adapter (on|in)).*") ? 1 : 0;
      open -= words.matches(".*(out of the jug|adapter off).*") ? 1 : 0;
      now = step.act().on(network, now);
    }
    assertThat(open).as("%s: what was taken off is back on", plan.school()).isZero();
    drawing.ifPresent(pump ->
        assertThat(plan.after().state().setting().of(pump.id()).value())
            .isNotEqualTo(Kind.ON.value()));
  }

  private static List<String> told(WinterPlan plan) {
    List<String> told = new ArrayList<>();
    told.add(
        "## %s: %s s, %d places, %d dangers, %d jugs"
            .formatted(
                plan.school(),
                number(plan.seconds()),
                plan.places(),
                plan.count(FrostHarm.DANGER),
                plan.jugs(WinterWish.USUAL.jug())));
    plan.notes().forEach(n -> told.add("! " + n));
    for (WinterStep step : plan.steps()) {
      told.add(
          "%s: %s %s (%s s%s%s)"
              .formatted(
                  step.place().isEmpty() ? "-" : step.place(),
                  step.words(),
                  step.why(),
                  number(step.seconds()),
                  step.timed() ? ", timed" : "",
                  step.litres() > 0 ? ", " + number(step.litres()) + " m³" : ""));
    }
    for (FrostRisk left : plan.left()) {
      told.add(
          "stays: %s %s m³, %s. %s %s %s"
              .formatted(
                  left.id(),
                  number(left.volume()),
                  left.harm(),
                  left.how(),
                  left.fix(),
                  tell(left.help())));
    }
    plan.air().forEach(blow -> told.add("air: " + tell(blow)));
    if (plan.litres() > 0) {
      told.add(
          "antifreeze: %s m³, weakest %s at %s"
              .formatted(number(plan.litres()), tell(plan.weakest()), plan.weakestAt()));
    }
    told.add(
        "after: "
            + tell(plan.after().state().setting().positions())
            + " "
            + tell(plan.after().service()));
    return told;
  }

  @Test
  void whatTheSchoolsAreCalledIsOnRecord() {
    List<String> told = new ArrayList<>();
    for (WinterizingMethod school : WinterizingMethod.values()) {
      told.add("%s: %s For: %s".formatted(school.title(), school.gives(), school.whom()));
    }
    for (Spring.Chore chore : Spring.Chore.values()) {
      told.add(chore.title());
    }
    for (FrostHarm harm : FrostHarm.values()) {
      told.add(harm + " " + harm.words());
    }
    OnRecord.assertAsRead("words/schools", told);
  }

  /** Done again step by step from the start, a plan ends where it says. */
  private static void assertSaysWhatItDoes(Network network, WinterPlan plan) {
    Wintering now = plan.before();
    for (WinterStep step : plan.steps()) {
      now = step.act().on(network, now);
    }
    assertThat(now).isEqualTo(plan.after());
    assertThat(FrostRisks.of(network, now, WinterWish.USUAL.cold()))
        .extracting(FrostRisk::id)
        .containsExactlyInAnyOrderElementsOf(plan.left().stream().map(FrostRisk::id).toList());
  }

  @Test
  void whereWaterCameAgainCountsAsFullAgain() {
    DemoRig van = DemoRig.all().getFirst();
    Network network = Network.of(van.rig());
    Wintering asleep =
        WinterizingMethods.of(Plans.of(network))
            .plan(WinterizingMethod.FALL, Filled.of(network, van.state()), WinterWish.USUAL)
            .after();
    double lacked = asleep.dry(network).all();
    assertThat(lacked).isGreaterThan(0.005);
    // Nothing came: nothing is wet again.
    Wintering settled = Draining.of(network, Rewetting.of(network, asleep));
    assertThat(settled.dry(network).all()).isEqualTo(lacked);
    // The tank filled and its handles as in use, the pump on: all that it reaches.
    Wintering filled =
        new Wintering(van.state(), asleep.service(), asleep.wetness(), asleep.glycol());
    double pumped = Rewetting.of(network, filled).dry(network).all();
    assertThat(pumped).isLessThan(lacked / 2);
    // With the pump off only what lies lower than the water in the tank.
    Wintering off =
        new Wintering(
            van.state().with(PartId.of("pump"), PositionId.of("off")),
            asleep.service(),
            asleep.wetness(),
            asleep.glycol());
    assertThat(Rewetting.of(network, off).dry(network).all())
        .isLessThan(lacked)
        .isGreaterThan(pumped);
  }

  @Tag("slow")
  @Test
  void aForgottenPlugOrBowlIsToldWithWhatItKeeps() {
    DemoRig van = DemoRig.all().getFirst();
    Network network = Network.of(van.rig());
    double cold = WinterWish.USUAL.cold();
    WinterPlan plan =
        WinterizingMethods.of(Plans.of(network))
            .plan(WinterizingMethod.FALL, Filled.of(network, van.state()), WinterWish.USUAL);
    List<Forgotten> forgotten = Forgotten.of(network, plan, cold);
    assertThat(forgotten)
        .isSortedAccordingTo(java.util.Comparator.comparingLong(Forgotten::dangers).reversed());
    for (Part part : van.rig().parts()) {
      boolean bowl = part.kind() instanceof Filter || part.kind() instanceof Strainer;
      if (bowl) {
        Forgotten left =
            forgotten.stream()
                .filter(f ->
                    plan.steps().get(f.step()).act() instanceof Operation.Put put
                        && put.part().equals(part.id())
                        && put.position().equals(Kind.OFF))
                .findFirst()
                .orElseThrow();
        assertThat(left.keeps())
            .filteredOn(r -> r.id().equals(part.id()))
            .singleElement()
            .satisfies(r -> assertThat(r.harm()).isEqualTo(FrostHarm.DANGER));
      }
    }
  }

  @Test
  void nothingThatPeopleForgetIsMissing() {
    DemoRig tern = DemoRig.all().getLast();
    Network network = Network.of(tern.rig());
    WinterPlan plan =
        WinterizingMethods.of(Plans.of(network))
            .plan(WinterizingMethod.FALL, Filled.of(network, tern.state()), WinterWish.USUAL);
    for (Part part : tern.rig().parts()) {
      boolean kept =
          part.kind() instanceof Fixture
              || part.kind() instanceof Filter
              || part.kind() instanceof DrainTrap
              || part.kind() instanceof Heater;
      if (kept) {
        assertThat(plan.steps())
            .as(part.label())
            .anyMatch(s -> s.act() instanceof Operation.Put p && p.part().equals(part.id()));
      }
    }
    assertThat(plan.steps().toString()).contains("macerator");
  }

  @Tag("slow")
  @Test
  void antifreezeStandsEverywhereItComesTo() {
    DemoRig marginalia = DemoRig.all().getFirst();
    Network network = Network.of(marginalia.rig());
    WinterPlan plan =
        WinterizingMethods.of(Plans.of(network))
            .plan(
                WinterizingMethod.ANTIFREEZE,
                Filled.of(network, marginalia.state()),
                WinterWish.USUAL);
    assertThat(plan.litres()).isBetween(2e-3, 12e-3);
    assertThat(plan.weakest().orElse(0)).isGreaterThan(0.35);
    assertThat(plan.after().glycol()).doesNotContainKeys(PartId.of("main"), PartId.of("low"));
    WinterWish cheaper = new WinterWish(258.15, 1e-3, 150_000, 0.25, 5e-3, 6);
    WinterPlan weak =
        WinterizingMethods.of(Plans.of(network))
            .plan(WinterizingMethod.ANTIFREEZE, Filled.of(network, marginalia.state()), cheaper);
    assertThat(weak.count(FrostHarm.DANGER)).isGreaterThan(plan.count(FrostHarm.DANGER));
  }

  @Property(tries = 40)
  void onRigsThatNobodyDrewAPlanEndsWhereItSays(@ForAll long seed) {
    Rig rig = RandomRigs.rig(seed);
    Network network = Network.of(rig);
    Wintering now = Filled.of(network, RandomRigs.state(rig, seed));
    WinterizingMethods schools = WinterizingMethods.of(Plans.of(network));
    for (WinterPlan plan : schools.all(now, WinterWish.USUAL)) {
      assertSaysWhatItDoes(network, plan);
      for (FrostRisk left : plan.left()) {
        assertThat(left.fix().toString()).isNotEmpty();
        left.help()
            .ifPresent(act -> {
              Wintering after = act.on(network, plan.after());
              double still =
                  FrostRisks.of(network, after, WinterWish.USUAL.cold()).stream()
                      .filter(r -> r.id().equals(left.id()))
                      .mapToDouble(FrostRisk::volume)
                      .sum();
              assertThat(still).as("%s", act).isLessThan(left.volume());
            });
      }
    }
  }

  private static double volume(Network network, Wintering now, PartId id) {
    return network.rig().lines().stream()
        .filter(l -> l.id().value().equals(id.value()))
        .findFirst()
        .map((Line l) -> now.wetness().volume(l))
        .orElseGet(() -> now.wetness().body(id) + now.state().volume(id));
  }

  @Tag("slow")
  @Test
  void springClosesAllThatTheAutumnOpened() {
    for (Case one : rigs().toList()) {
      Network network = Network.of(one.rig());
      WinterPlan autumn =
          WinterizingMethods.of(Plans.of(network))
              .plan(WinterizingMethod.FALL, Filled.of(network, one.state()), WinterWish.USUAL);
      WinterPlan spring = Spring.of(Plans.of(network), autumn.after(), one.state().setting());
      assertThat(spring.after().service()).as(one.name()).isEmpty();
      assertPumpRunsBeforeTheFirstFlush(one, spring);
      assertAsksForNothingThatIsNotThere(one, spring);
      for (Part part : one.rig().handles().toList()) {
        PositionId expected =
            part.kind() instanceof Valve ? one.state().setting().of(part.id()) : part.rest().id();
        assertThat(spring.after().state().setting().of(part.id()).value())
            .as(one.name() + " " + part.id())
            .isEqualTo(expected.value());
      }
    }
  }

  @Test
  void aChoreLeavesEveryHandleAsItWas() {
    for (Case one : rigs().toList()) {
      Network network = Network.of(one.rig());
      Plans plans = Plans.of(network);
      for (Spring.Chore chore : Spring.Chore.values()) {
        WinterPlan plan = Spring.of(plans, chore, Filled.of(network, one.state()));
        assertThat(plan.steps()).as(one.name()).isNotEmpty();
        assertThat(plan.after().state().setting())
            .as(one.name() + " " + chore)
            .isEqualTo(one.state().setting());
      }
    }
  }

  /** Nobody waits for a pump that starts by a foot, or runs hot where nothing is hot. */
  private static void assertAsksForNothingThatIsNotThere(Case one, WinterPlan spring) {
    String told =
        spring.steps().stream().map(s -> s.words() + " " + s.why()).collect(Collectors.joining());
    List<Kind> kinds = one.rig().parts().stream().map(Part::kind).toList();
    assertThat(told.contains("start by itself"))
        .as(one.name())
        .isEqualTo(
            kinds.stream()
                .anyMatch(
                    k -> k instanceof Pump p && p.duty() == Pump.Duty.SUPPLY && p.cutIn() > 0));
    assertThat(told.contains("cold and hot"))
        .as(one.name())
        .isEqualTo(kinds.stream().anyMatch(k -> k.ports().contains(PortId.HOT)));
    assertThat(told.toLowerCase(Locale.ROOT).contains("cartridge"))
        .as(one.name())
        .isEqualTo(kinds.stream().anyMatch(Filter.class::isInstance));
  }

  /** Water comes from a tap only where what drives it is on. */
  private static void assertPumpRunsBeforeTheFirstFlush(Case one, WinterPlan spring) {
    List<PartId> pumps =
        one.rig().parts().stream()
            .filter(p ->
                p.kind() instanceof Pump k && k.duty() == Pump.Duty.SUPPLY && !k.works().byHand())
            .map(Part::id)
            .toList();
    boolean on = false;
    for (WinterStep step : spring.steps()) {
      on |=
          step.act() instanceof Operation.Put p
              && (pumps.contains(p.part()) && p.position().equals(PositionId.of("on"))
                  || p.position().equals(PositionId.of("mains")));
      if (step.act() instanceof Operation.Filled && !pumps.isEmpty() && spring.notes().size() < 2) {
        assertThat(on).as("%s: %s", one.name(), step.words()).isTrue();
      }
    }
  }

  @Test
  void whatCannotBeSetIsRefusedWithTheChoice() {
    DemoRig marginalia = DemoRig.all().getFirst();
    Network network = Network.of(marginalia.rig());
    Wintering now = Filled.of(network, marginalia.state());
    assertThatThrownBy(() ->
            Procedure.run(
                network, now, List.of(new Turn(PartId.of("sediment"), PositionId.of("ajar")))))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Sediment filter")
        .hasMessageContaining("\"off\"");
    assertThatThrownBy(() -> new WinterWish(258.15, 1e-3, 300_000, 0.5, 5e-3, 6))
        .hasMessageContaining("2 bar");
  }
}
