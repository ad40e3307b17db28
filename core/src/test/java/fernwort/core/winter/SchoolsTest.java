package fernwort.core.winter;

import static fernwort.core.OnRecord.number;
import static fernwort.core.OnRecord.tell;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.OnRecord;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.ReadyRig;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Rewetting;
import fernwort.core.drain.Wintering;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Pump;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.plumbing.RandomRigs;
import fernwort.core.plumbing.Turn;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Refusal;
import fernwort.core.winter.sheets.Act;
import fernwort.core.winter.sheets.Harm;
import fernwort.core.winter.sheets.Procedure;
import fernwort.core.winter.sheets.Remaining;
import fernwort.core.winter.sheets.School;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
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
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SchoolsTest {

  /** Rigs of fewer parts are woken again for the record; the others would take too long. */
  private static final int SMALL = 20;

  private record Case(String name, Rig rig, State state) {
    @Override
    public String toString() {
      return name;
    }
  }

  static Stream<Case> rigs() {
    return Stream.concat(
        DemoRig.all().stream().map(d -> new Case(d.id(), d.rig(), d.state())),
        ReadyRig.all().stream().map(r -> new Case(r.id(), r.rig(), half(r.rig()))));
  }

  private static State half(Rig rig) {
    Plumbing plumbing = Plumbing.of(rig);
    Map<String, Double> volumes = new HashMap<>();
    plumbing.tanks().forEach(t -> volumes.put(t.id(), plumbing.room(t.id()).capacity() / 2));
    return new State(rig.atRest(), volumes, Slope.LEVEL);
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void everySchoolLeavesNoDangerOrSaysWhatToAdd(Case one) {
    Plumbing plumbing = Plumbing.of(one.rig());
    Wintering now = Filled.of(plumbing, one.state());
    List<String> told = new ArrayList<>();
    Plans plans = Plans.of(plumbing);
    for (WinterPlan plan : Schools.of(plans).all(now, WinterWish.USUAL)) {
      told.addAll(told(plan));
      if (one.rig().parts().size() < SMALL && plan.school() != School.MIX) {
        told.add("--- and awake again");
        told.addAll(told(Spring.of(plans, plan.after(), one.state().setting())));
      }
      List<Remaining> dangers = plan.left().stream().filter(r -> r.harm() == Harm.DANGER).toList();
      assertThat(dangers).as("%s", plan.school()).hasSizeLessThanOrEqualTo(1);
      for (Remaining danger : dangers) {
        assertThat(plan.notes().toString()).contains(danger.mend().toString());
      }
      assertSaysWhatItDoes(plumbing, plan);
      assertPressesWhatItLetsIn(plumbing, plan);
    }
    OnRecord.assertAsRead(OnRecord.file("winter", one.name()), told);
  }

  @Test
  void schoolsThatAreAskedOneByOneSayWhatTheySayTogether() {
    Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();
    Plumbing plumbing = Plumbing.of(rig);
    Wintering now = Filled.of(plumbing, half(rig));
    Schools schools = Schools.of(Plans.of(plumbing));
    Schools.Round round = schools.round(now, WinterWish.USUAL);
    WinterPlan mix = round.plan(School.MIX);
    assertThat(round.plan(School.MIX)).as("kept").isSameAs(mix);
    List<WinterPlan> all = schools.all(now, WinterWish.USUAL);
    assertThat(all).extracting(WinterPlan::school).containsExactly(School.values());
    for (WinterPlan plan : all) {
      assertThat(told(round.plan(plan.school()))).isEqualTo(told(plan));
      assertThat(told(schools.plan(plan.school(), now, WinterWish.USUAL))).isEqualTo(told(plan));
    }
  }

  /** Antifreeze comes while a pump draws it from the jug; what was taken off is put back on. */
  private static void assertPressesWhatItLetsIn(Plumbing plumbing, WinterPlan plan) {
    Wintering now = plan.before();
    Optional<Part> drawing = Optional.empty();
    int open = 0;
    for (WinterStep step : plan.steps()) {
      String words = step.words().toString();
      if (words.contains("into the jug")) {
        drawing = plumbing.pumps().stream().filter(p -> words.startsWith(p.label())).findFirst();
        assertThat(drawing).as(words).isPresent();
      }
      if (words.contains("until it comes coloured") && drawing.isPresent()) {
        assertThat(now.state().setting().of(drawing.get().id())).as(words).isEqualTo(Kind.ON);
      }
      open += words.matches(".*(into the jug|adapter (on|in)).*") ? 1 : 0;
      open -= words.matches(".*(out of the jug|adapter off).*") ? 1 : 0;
      now = step.act().on(plumbing, now);
    }
    assertThat(open).as("%s: what was taken off is back on", plan.school()).isZero();
    drawing.ifPresent(
        pump -> assertThat(plan.after().state().setting().of(pump.id())).isNotEqualTo(Kind.ON));
  }

  private static List<String> told(WinterPlan plan) {
    List<String> told = new ArrayList<>();
    told.add(
        "## %s: %s s, %d places, %d dangers, %d jugs"
            .formatted(
                plan.school(),
                number(plan.seconds()),
                plan.places(),
                plan.count(Harm.DANGER),
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
    for (Remaining left : plan.left()) {
      told.add(
          "stays: %s %s m³, %s. %s %s %s"
              .formatted(
                  left.id(),
                  number(left.volume()),
                  left.harm(),
                  left.how(),
                  left.mend(),
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
    for (School school : School.values()) {
      told.add("%s: %s For: %s".formatted(school.title(), school.gives(), school.whom()));
    }
    for (Spring.Chore chore : Spring.Chore.values()) {
      told.add(chore.title());
    }
    for (Harm harm : Harm.values()) {
      told.add(harm + " " + harm.words());
    }
    OnRecord.assertAsRead("words/schools", told);
  }

  /** Done again step by step from the start, a plan ends where it says. */
  private static void assertSaysWhatItDoes(Plumbing plumbing, WinterPlan plan) {
    Wintering now = plan.before();
    for (WinterStep step : plan.steps()) {
      now = step.act().on(plumbing, now);
    }
    assertThat(now).isEqualTo(plan.after());
    assertThat(Leftovers.of(plumbing, now, WinterWish.USUAL.cold()))
        .extracting(Remaining::id)
        .containsExactlyInAnyOrderElementsOf(plan.left().stream().map(Remaining::id).toList());
  }

  @Test
  void whereWaterCameAgainCountsAsFullAgain() {
    DemoRig van = DemoRig.all().getFirst();
    Plumbing plumbing = Plumbing.of(van.rig());
    Wintering asleep =
        Schools.of(Plans.of(plumbing))
            .plan(School.FALL, Filled.of(plumbing, van.state()), WinterWish.USUAL)
            .after();
    double lacked = asleep.dry(plumbing).all();
    assertThat(lacked).isGreaterThan(0.005);
    // Nothing came: nothing is wet again.
    assertThat(Rewetting.of(plumbing, asleep).dry(plumbing).all()).isEqualTo(lacked);
    // The tank filled and its handles as in use, the pump on: all that it reaches.
    Wintering filled =
        new Wintering(van.state(), asleep.service(), asleep.wetness(), asleep.glycol());
    double pumped = Rewetting.of(plumbing, filled).dry(plumbing).all();
    assertThat(pumped).isLessThan(lacked / 2);
    // With the pump off only what lies lower than the water in the tank.
    Wintering off =
        new Wintering(
            van.state().with("pump", "off"), asleep.service(), asleep.wetness(), asleep.glycol());
    assertThat(Rewetting.of(plumbing, off).dry(plumbing).all())
        .isLessThan(lacked)
        .isGreaterThan(pumped);
  }

  @Test
  void aForgottenPlugOrBowlIsToldWithWhatItKeeps() {
    DemoRig van = DemoRig.all().getFirst();
    Plumbing plumbing = Plumbing.of(van.rig());
    double cold = WinterWish.USUAL.cold();
    WinterPlan plan =
        Schools.of(Plans.of(plumbing))
            .plan(School.FALL, Filled.of(plumbing, van.state()), WinterWish.USUAL);
    List<Forgotten> forgotten = Forgotten.of(plumbing, plan, cold);
    assertThat(forgotten)
        .isSortedAccordingTo(java.util.Comparator.comparingLong(Forgotten::dangers).reversed());
    for (Part part : van.rig().parts()) {
      boolean bowl = part.kind() instanceof Filter || part.kind() instanceof Strainer;
      if (bowl) {
        Forgotten left =
            forgotten.stream()
                .filter(f ->
                    plan.steps().get(f.step()).act() instanceof Act.Put put
                        && put.part().equals(part.id())
                        && put.position().equals(Kind.OFF))
                .findFirst()
                .orElseThrow();
        assertThat(left.keeps())
            .filteredOn(r -> r.id().equals(part.id()))
            .singleElement()
            .satisfies(r -> assertThat(r.harm()).isEqualTo(Harm.DANGER));
      }
    }
  }

  @Test
  void nothingThatPeopleForgetIsMissing() {
    DemoRig tern = DemoRig.all().getLast();
    Plumbing plumbing = Plumbing.of(tern.rig());
    WinterPlan plan =
        Schools.of(Plans.of(plumbing))
            .plan(School.FALL, Filled.of(plumbing, tern.state()), WinterWish.USUAL);
    for (Part part : tern.rig().parts()) {
      boolean kept =
          part.kind() instanceof Fixture
              || part.kind() instanceof Filter
              || part.kind() instanceof DrainTrap
              || part.kind() instanceof Heater;
      if (kept) {
        assertThat(plan.steps())
            .as(part.label())
            .anyMatch(s -> s.act() instanceof Act.Put p && p.part().equals(part.id()));
      }
    }
    assertThat(plan.steps().toString()).contains("macerator");
  }

  @Test
  void antifreezeStandsEverywhereItComesTo() {
    DemoRig marginalia = DemoRig.all().getFirst();
    Plumbing plumbing = Plumbing.of(marginalia.rig());
    WinterPlan plan =
        Schools.of(Plans.of(plumbing))
            .plan(School.ANTIFREEZE, Filled.of(plumbing, marginalia.state()), WinterWish.USUAL);
    assertThat(plan.litres()).isBetween(2e-3, 12e-3);
    assertThat(plan.weakest().orElse(0)).isGreaterThan(0.35);
    assertThat(plan.after().glycol()).doesNotContainKeys("main", "low");
    WinterWish cheaper = new WinterWish(258.15, 1e-3, 150_000, 0.25, 5e-3, 6);
    WinterPlan weak =
        Schools.of(Plans.of(plumbing))
            .plan(School.ANTIFREEZE, Filled.of(plumbing, marginalia.state()), cheaper);
    assertThat(weak.count(Harm.DANGER)).isGreaterThan(plan.count(Harm.DANGER));
  }

  @Property(tries = 40)
  void onRigsThatNobodyDrewAPlanEndsWhereItSays(@ForAll long seed) {
    Rig rig = RandomRigs.rig(seed);
    Plumbing plumbing = Plumbing.of(rig);
    Wintering now = Filled.of(plumbing, RandomRigs.state(rig, seed));
    Schools schools = Schools.of(Plans.of(plumbing));
    for (WinterPlan plan : schools.all(now, WinterWish.USUAL)) {
      assertSaysWhatItDoes(plumbing, plan);
      for (Remaining left : plan.left()) {
        assertThat(left.mend().toString()).isNotEmpty();
        left.help()
            .ifPresent(act -> {
              Wintering after = act.on(plumbing, plan.after());
              double still =
                  Leftovers.of(plumbing, after, WinterWish.USUAL.cold()).stream()
                      .filter(r -> r.id().equals(left.id()))
                      .mapToDouble(Remaining::volume)
                      .sum();
              assertThat(still).as("%s", act).isLessThan(left.volume());
            });
      }
    }
  }

  private static double volume(Plumbing plumbing, Wintering now, String id) {
    return plumbing.rig().lines().stream()
        .filter(l -> l.id().equals(id))
        .findFirst()
        .map((Line l) -> now.wetness().volume(l))
        .orElseGet(() -> now.wetness().body(id) + now.state().volume(id));
  }

  @Test
  void springClosesAllThatTheAutumnOpened() {
    for (Case one : rigs().toList()) {
      Plumbing plumbing = Plumbing.of(one.rig());
      WinterPlan autumn =
          Schools.of(Plans.of(plumbing))
              .plan(School.FALL, Filled.of(plumbing, one.state()), WinterWish.USUAL);
      WinterPlan spring = Spring.of(Plans.of(plumbing), autumn.after(), one.state().setting());
      assertThat(spring.after().service()).as(one.name()).isEmpty();
      assertPumpRunsBeforeTheFirstFlush(one, spring);
      assertAsksForNothingThatIsNotThere(one, spring);
      for (Part part : one.rig().handles().toList()) {
        String expected =
            part.kind() instanceof Valve ? one.state().setting().of(part.id()) : part.rest().id();
        assertThat(spring.after().state().setting().of(part.id()))
            .as(one.name() + " " + part.id())
            .isEqualTo(expected);
      }
    }
  }

  @Test
  void aChoreLeavesEveryHandleAsItWas() {
    for (Case one : rigs().toList()) {
      Plumbing plumbing = Plumbing.of(one.rig());
      Plans plans = Plans.of(plumbing);
      for (Spring.Chore chore : Spring.Chore.values()) {
        WinterPlan plan = Spring.of(plans, chore, Filled.of(plumbing, one.state()));
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
        .isEqualTo(kinds.stream().anyMatch(k -> k.ports().contains("hot")));
    assertThat(told.toLowerCase(Locale.ROOT).contains("cartridge"))
        .as(one.name())
        .isEqualTo(kinds.stream().anyMatch(Filter.class::isInstance));
  }

  /** Water comes from a tap only where what drives it is on. */
  private static void assertPumpRunsBeforeTheFirstFlush(Case one, WinterPlan spring) {
    List<String> pumps =
        one.rig().parts().stream()
            .filter(p ->
                p.kind() instanceof Pump k && k.duty() == Pump.Duty.SUPPLY && !k.works().byHand())
            .map(Part::id)
            .toList();
    boolean on = false;
    for (WinterStep step : spring.steps()) {
      on |=
          step.act() instanceof Act.Put p && pumps.contains(p.part()) && p.position().equals("on");
      if (step.act() instanceof Act.Filled && !pumps.isEmpty() && spring.notes().size() < 2) {
        assertThat(on).as("%s: %s", one.name(), step.words()).isTrue();
      }
    }
  }

  @Test
  void whatCannotBeSetIsRefusedWithTheChoice() {
    DemoRig marginalia = DemoRig.all().getFirst();
    Plumbing plumbing = Plumbing.of(marginalia.rig());
    Wintering now = Filled.of(plumbing, marginalia.state());
    assertThatThrownBy(() -> Procedure.run(plumbing, now, List.of(new Turn("sediment", "ajar"))))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("Sediment filter")
        .hasMessageContaining("\"off\"");
    assertThatThrownBy(() -> new WinterWish(258.15, 1e-3, 300_000, 0.5, 5e-3, 6))
        .hasMessageContaining("2 bar");
  }
}
