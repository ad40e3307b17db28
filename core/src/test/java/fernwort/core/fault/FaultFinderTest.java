package fernwort.core.fault;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.fault.Checks.Check;
import fernwort.core.fault.FaultFinder.Feeling;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.SmallHouses;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.run.TankHouses;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every fault that shows, played to its end by a person who answers truly, or once falsely. */
class FaultFinderTest {

  private static final int MOST = 20;

  /** So many faults of each rig are hidden; more in the sweep. */
  private static final int FAULTS = Integer.getInteger("sweep.faults", 3);

  /** So many drawn rigs of each family, in the sweep. */
  private static final int DRAWN = Math.max(10, FAULTS);

  /** A case played to its end. */
  record Played(Fault fault, int checks, boolean found, boolean ended) {}

  private static List<Played> play(
      Rig rig, State noted, int most, boolean lies, long seed, Feeling feeling) {
    FaultFinder finder = FaultFinder.of(rig);
    Random random = new Random(seed);
    List<Fault> all = new ArrayList<>(finder.suspects(noted).keySet());
    java.util.Collections.shuffle(all, random);
    List<Played> played = new ArrayList<>();
    for (Fault hidden : all) {
      if (played.size() >= most) {
        break;
      }
      complaint(finder, rig, noted, hidden)
          .ifPresent(
              c -> played.add(play(finder, rig, noted, hidden, c, lies ? random : null, feeling)));
    }
    return played;
  }

  /** What somebody would notice first who lives on board: water, pump, level, drain, or wet. */
  private static Optional<Observation> complaint(
      FaultFinder finder, Rig rig, State noted, Fault hidden) {
    Prediction sound = Prediction.sound(rig);
    for (Check check : Checks.of(rig, noted.setting(), List.of(), Feeling.PLACE_BY_PLACE)) {
      boolean noticed =
          switch (check.look().kind()) {
            case WATER, WARMTH, PUMP, LEVEL, DRAIN, WET -> true;
            case BUCKET, DIP, HANDLE, POWER, INSPECT -> false;
          };
      if (noticed) {
        Optional<String> here = finder.see(hidden, check.look(), noted);
        Optional<String> usual = sound.value(check.look(), noted, sound);
        if (here.isPresent() && !here.equals(usual)) {
          return Optional.of(check.look().seen(here.get()));
        }
      }
    }
    return Optional.empty();
  }

  private static Played play(
      FaultFinder finder,
      Rig rig,
      State noted,
      Fault hidden,
      Observation complaint,
      Random lies,
      Feeling feeling) {
    List<Observation> seen = new ArrayList<>(List.of(complaint));
    int lie = lies == null ? -1 : 1 + lies.nextInt(3);
    FaultWords words = new FaultWords(rig);
    Set<String> asked = new HashSet<>(Set.of(words.ask(complaint).toString()));
    FaultFinder.Finding finding = finder.find(noted, seen, feeling);
    while (finding.next().isPresent() && seen.size() <= MOST) {
      FaultFinder.Next next = finding.next().get();
      assertThat(asked.add(words.ask(next.look()).toString()))
          .as("%s, asked of %s, is asked in words of its own", next.look(), hidden)
          .isTrue();
      assertThat(dangers(rig, turned(noted, next.look())))
          .as("%s asked of %s", next.look(), hidden)
          .isSubsetOf(dangers(rig, noted));
      String value = finder.see(hidden, next.look(), noted).orElse(Observation.UNSURE);
      if (!next.means().containsKey(value)) {
        value = Observation.UNSURE;
      }
      if (seen.size() == lie) {
        String truth = value;
        List<String> others = next.means().keySet().stream().filter(v -> !v.equals(truth)).toList();
        value = others.get(lies.nextInt(others.size()));
      }
      seen.add(next.look().seen(value));
      finding = finder.find(noted, seen, feeling);
    }
    boolean found =
        !finding.likely().isEmpty()
            && isOneRepair(rig, finding.likely().getFirst().fault(), hidden);
    return new Played(hidden, seen.size() - 1, found, finding.next().isEmpty());
  }

  private static State turned(State noted, Observation look) {
    State state = noted;
    for (var turn : look.positions().entrySet()) {
      state = state.with(turn.getKey(), turn.getValue());
    }
    return state;
  }

  /** The dangers of a state, by the judge that every page uses. */
  private static Set<Warning.Key> dangers(Rig rig, State state) {
    Network network = Network.of(rig);
    return Hazards.of(network)
        .withPower(state.setting(), Levels.of(network, state), OpenWays.find(network, state))
        .stream()
        .filter(w -> w.severity() == Severity.DANGER)
        .map(Warning::key)
        .collect(Collectors.toSet());
  }

  private static boolean isOneRepair(Rig rig, Fault found, Fault hidden) {
    boolean neighbours =
        found.kind() == hidden.kind()
            && rig.lines().stream()
                .filter(l -> l.id().equals(found.on()))
                .anyMatch(l ->
                    rig.lines().stream()
                        .filter(o -> o.id().equals(hidden.on()))
                        .anyMatch(o ->
                            List.of(o.from().part(), o.to().part()).stream()
                                .anyMatch(p ->
                                    (p.equals(l.from().part()) || p.equals(l.to().part()))
                                        && rig.part(p).kind().ports().size() == 2)));
    return neighbours
        || found.on().equals(hidden.on())
            && (found.kind() == hidden.kind()
                || java.util.Set.of("worn", "runs-on").containsAll(kinds(found, hidden))
                || java.util.Set.of("dead", "switch-open").containsAll(kinds(found, hidden))
                || java.util.Set.of("stuck-closed", "reversed").containsAll(kinds(found, hidden)));
  }

  private static List<String> kinds(Fault one, Fault other) {
    return List.of(one.kind().written(), other.kind().written());
  }

  private static State inUse(DemoRig demo) {
    return inUse(demo.rig(), demo.state());
  }

  /** The first tap that there is stands open, and pumps are on. */
  private static State inUse(Rig rig, State left) {
    State state = left;
    for (var part : rig.parts()) {
      if (part.kind().is(Purpose.USE) && part.hasHandle()) {
        return state.with(part.id(), part.kind().positions().get(1).id());
      }
    }
    return state;
  }

  @Test
  @EnabledIfSystemProperty(named = "sweep.faults", matches = "[0-9]+")
  void everyFaultOfTheReadyLayoutsIsFound() {
    for (boolean lies : new boolean[] {false, true}) {
      List<Played> all = new ArrayList<>();
      for (ReadyRig ready : ReadyRig.all()) {
        Rig rig = ready.rig();
        Network network = Network.of(rig);
        State state = new State(rig.atRest(), java.util.Map.of(), Slope.LEVEL);
        for (var part : rig.parts()) {
          if (part.kind().is(Purpose.HOLDS)) {
            state = state.withVolume(part.id(), 0.6 * network.room(part.id()).capacity());
          }
          if (part.kind().is(Purpose.SUPPLIES)) {
            state = state.with(part.id(), PositionId.of("on"));
          }
        }
        List<Played> played = play(rig, inUse(rig, state), FAULTS, lies, 3, Feeling.PLACE_BY_PLACE);
        if (!played.isEmpty()) {
          tell(ready.id() + (lies ? ", one wrong answer" : ""), played);
        }
        all.addAll(played);
      }
      tell(lies ? "layouts, one wrong answer" : "layouts", all);
      assertThat(found(all)).isGreaterThanOrEqualTo(all.size() * (lies ? 7 : 9) / 10);
    }
  }

  /** Rigs that nobody drew, of two families, with handles anyhow and the first tap open. */
  @Test
  @EnabledIfSystemProperty(named = "sweep.faults", matches = "[0-9]+")
  void everyFaultOfDrawnRigsIsFound() {
    for (Feeling feeling : Feeling.values()) {
      for (boolean lies : new boolean[] {false, true}) {
        List<Played> all = new ArrayList<>();
        for (long seed = 0; seed < DRAWN; seed++) {
          Rig rig = SmallHouses.rig(seed);
          State state =
              inUse(rig, SmallHouses.state(rig, seed)).with(PartId.of("pump"), PositionId.of("on"));
          all.addAll(play(rig, state, FAULTS, lies, seed, feeling));
          Rig other = TankHouses.draw(new Random(seed));
          all.addAll(play(other, inUse(other, halfFull(other)), FAULTS, lies, seed, feeling));
        }
        tell("drawn, " + feeling + (lies ? ", one wrong answer" : ""), all);
        assertThat(found(all)).isGreaterThanOrEqualTo(all.size() * (lies ? 7 : 9) / 10);
      }
    }
  }

  private static State halfFull(Rig rig) {
    Network network = Network.of(rig);
    State state = new State(rig.atRest(), java.util.Map.of(), Slope.LEVEL);
    for (var part : rig.parts()) {
      if (part.kind().is(Purpose.HOLDS)) {
        state = state.withVolume(part.id(), 0.5 * network.room(part.id()).capacity());
      }
      if (part.kind().is(Purpose.TURNS)) {
        state = state.with(part.id(), part.kind().positions().get(1).id());
      }
      if (part.kind().is(Purpose.DRIVES)) {
        state = state.with(part.id(), PositionId.of("on"));
      }
    }
    return state;
  }

  /** The two large demo rigs, as people feel along their lines and as programs ask. */
  @Test
  @EnabledIfSystemProperty(named = "sweep.faults", matches = "[0-9]+")
  void everyFaultOfTheLargeRigsIsFound() {
    for (Feeling feeling : Feeling.values()) {
      for (boolean lies : new boolean[] {false, true}) {
        List<Played> all = new ArrayList<>();
        for (DemoRig rig : DemoRig.all()) {
          List<Played> played = play(rig.rig(), inUse(rig), FAULTS, lies, 5, feeling);
          tell(rig.id() + ", " + feeling + (lies ? ", one wrong answer" : ""), played);
          all.addAll(played);
        }
        tell("demo rigs, " + feeling + (lies ? ", one wrong answer" : ""), all);
        assertThat(found(all)).isGreaterThanOrEqualTo(all.size() * (lies ? 7 : 9) / 10);
      }
    }
  }

  private static void tell(String what, List<Played> all) {
    List<Integer> checks = all.stream().map(Played::checks).sorted().toList();
    System.out.printf(
        Locale.ROOT,
        "%s: %d of %d found, median %d, 95 of 100 within %d, most %d%n",
        what,
        found(all),
        all.size(),
        median(all),
        checks.get((int) (checks.size() * 0.95)),
        checks.getLast());
  }

  private static long found(List<Played> all) {
    return all.stream().filter(Played::found).count();
  }

  private static int median(List<Played> all) {
    return all.stream().map(Played::checks).sorted().toList().get(all.size() / 2);
  }

  @ParameterizedTest
  @MethodSource("fernwort.core.Sampled#demos")
  void everyFaultIsFoundByWhoeverAnswersTruly(String demo) {
    DemoRig rig = DemoRig.called(demo);
    List<Played> all = play(rig.rig(), inUse(rig), FAULTS, false, 7, Feeling.PLACE_BY_PLACE);
    tell(demo, all);
    assertThat(all).allMatch(Played::ended);
    assertThat(found(all)).isGreaterThanOrEqualTo(all.size() - 1);
    assertThat(median(all)).isLessThanOrEqualTo(6);
  }

  @Test
  void oneWrongAnswerIsBorneMostTimes() {
    DemoRig rig = DemoRig.called("tern");
    List<Played> all = play(rig.rig(), inUse(rig), FAULTS, true, 11, Feeling.PLACE_BY_PLACE);
    tell("tern, one wrong answer", all);
    assertThat(all).allMatch(Played::ended);
    assertThat(found(all)).isGreaterThanOrEqualTo(all.size() / 2);
  }

  @Test
  void nothingIsAskedTwice() {
    DemoRig rig = DemoRig.called("tern");
    FaultFinder finder = FaultFinder.of(rig.rig());
    List<Observation> seen = new ArrayList<>();
    seen.add(new Observation(Look.WATER, tap(rig), "none", java.util.Map.of(), Optional.empty()));
    FaultFinder.Finding finding = finder.find(inUse(rig), seen, Feeling.PLACE_BY_PLACE);
    while (finding.next().isPresent()) {
      Observation unsure = finding.next().get().look().seen(Observation.UNSURE);
      assertThat(seen).doesNotContain(unsure);
      seen.add(unsure);
      finding = finder.find(inUse(rig), seen, Feeling.PLACE_BY_PLACE);
    }
    assertThat(seen.size()).isGreaterThan(3);
  }

  /** Who has felt along every line of a place is not sent back to feel along one of them. */
  @Test
  void aPlaceThatWasFeltAlongStandsForItsLines() {
    DemoRig rig = DemoRig.called("tern");
    FaultFinder finder = FaultFinder.of(rig.rig());
    List<Observation> seen = new ArrayList<>();
    seen.add(new Observation(Look.WATER, tap(rig), "none", java.util.Map.of(), Optional.empty()));
    rig.rig()
        .places()
        .forEach(place ->
            seen.add(
                new Observation(
                    Look.INSPECT,
                    place.id(),
                    Observation.FINE,
                    java.util.Map.of(),
                    Optional.empty())));
    FaultFinder.Finding finding = finder.find(inUse(rig), seen, Feeling.ONE_BY_ONE);
    int asked = 0;
    while (finding.next().isPresent()) {
      Observation look = finding.next().get().look();
      assertThat(look.kind() == Look.INSPECT && look.on() instanceof LineId).isFalse();
      seen.add(look.seen(Observation.UNSURE));
      finding = finder.find(inUse(rig), seen, Feeling.ONE_BY_ONE);
      asked++;
    }
    assertThat(asked).isPositive();
  }

  /** No water with the pump switched off is no fault: that is said first, by its name. */
  @Test
  void whatIsSwitchedOffIsNamedBeforeAnythingIsAsked() {
    DemoRig rig = DemoRig.called("tern");
    FaultFinder finder = FaultFinder.of(rig.rig());
    FaultWords words = new FaultWords(rig.rig());
    List<Observation> none =
        List.of(
            new Observation(
                Look.WATER,
                tap(rig),
                "none",
                java.util.Map.of(tap(rig), PositionId.of("cold")),
                Optional.empty()));
    State off = new State(rig.rig().atRest(), inUse(rig).volumes(), inUse(rig).slope());
    assertThat(finder.find(off, none, Feeling.PLACE_BY_PLACE).asNoted()).isTrue();
    assertThat(words.asNoted(off, none).toString()).startsWith("Today has Pump switched off");
    assertThat(finder.find(inUse(rig), none, Feeling.PLACE_BY_PLACE).asNoted()).isFalse();
  }

  /** Its level falls with all taps closed, and water runs out by the tail: the walls draw in. */
  @Test
  void aSiphonIsFoundAndBrokenByAir() {
    DemoRig demo = DemoRig.called("marginalia");
    State noted = inUse(demo).with(PartId.of("low-overflow-valve"), PositionId.of("open"));
    Fault siphon = new Fault(LineId.of("over-low"), FaultKind.SIPHONS);
    FaultFinder finder = FaultFinder.of(demo.rig());
    Observation falls =
        new Observation(
            Look.LEVEL, PartId.of("low"), "falls", java.util.Map.of(), Optional.empty());
    assertThat(finder.see(siphon, falls, noted)).contains("falls");
    assertThat(finder.see(siphon, shut(falls), noted)).contains("steady");
    Played played = play(finder, demo.rig(), noted, siphon, falls, null, Feeling.PLACE_BY_PLACE);
    assertThat(played.found()).isTrue();
    assertThat(played.checks()).isLessThanOrEqualTo(5);
    assertThat(finder.suspects(noted).keySet())
        .filteredOn(f -> f.kind() == FaultKind.SIPHONS)
        .extracting(Fault::on)
        .containsExactly(siphon.on());
  }

  private static Observation shut(Observation look) {
    return new Observation(
        look.kind(),
        look.on(),
        look.value(),
        java.util.Map.of(PartId.of("low-overflow-valve"), PositionId.of("shut")),
        look.seconds());
  }

  /** Two lines of one name are asked about in words that tell them apart. */
  @Test
  void linesOfOneNameAreToldApart() {
    Rig rig = DemoRig.called("samphire").rig();
    List<LineId> all = rig.lines().stream().map(l -> l.id()).toList();
    Rig alike = rig;
    for (LineId line : all) {
      alike =
          RigEdit.of(alike)
              .changeLine(
                  line,
                  l ->
                      new Line(
                          l.id(),
                          "Hose",
                          l.from(),
                          l.to(),
                          l.bore(),
                          l.length(),
                          l.material(),
                          l.minorLoss(),
                          l.profile()));
    }
    FaultWords words = new FaultWords(alike);
    assertThat(all.stream().map(l -> words.label(l.value())).distinct()).hasSameSizeAs(all);
  }

  private static PartId tap(DemoRig rig) {
    return rig.rig().parts().stream()
        .filter(p -> p.kind().is(Purpose.USE))
        .findFirst()
        .orElseThrow()
        .id();
  }

  @Test
  void withoutAnythingSeenNothingIsAsked() {
    DemoRig rig = DemoRig.called("samphire");
    FaultFinder.Finding finding =
        FaultFinder.of(rig.rig()).find(rig.state(), List.of(), Feeling.PLACE_BY_PLACE);
    assertThat(finding.next()).isEmpty();
    assertThat(finding.likely()).isNotEmpty();
    assertThat(finding.likely().stream().mapToDouble(FaultFinder.Likely::share).sum())
        .isLessThan(1.0001);
  }

  @Test
  void everyFaultAndLookHasItsWords() {
    for (DemoRig demo : DemoRig.all()) {
      FaultWords words = new FaultWords(demo.rig());
      FaultFinder.of(demo.rig())
          .suspects(demo.state())
          .keySet()
          .forEach(f -> {
            assertThat(words.wrong(f).toString()).doesNotContain("{}");
            assertThat(words.mend(f.kind())).isNotBlank();
          });
      for (Check check :
          Checks.of(demo.rig(), demo.state().setting(), List.of(), Feeling.PLACE_BY_PLACE)) {
        assertThat(words.ask(check.look()).toString()).doesNotContain("{}");
        check
            .look()
            .kind()
            .choices()
            .forEach(
                v -> assertThat(words.seen(check.look(), v)).isNotEqualTo("normal").isNotBlank());
      }
    }
  }
}
