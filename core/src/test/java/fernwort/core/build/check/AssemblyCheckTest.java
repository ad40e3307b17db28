package fernwort.core.build.check;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.build.SmallVan;
import fernwort.core.build.remove.Undoing;
import fernwort.core.demo.DemoRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.Valve;
import fernwort.core.network.Network;
import fernwort.core.network.RandomRigs;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** The fewest trials that tell a right assembly from every single mistake. */
class AssemblyCheckTest {

  @Property(tries = 300)
  void noFewerSetsCoverAll(@ForAll long seed) {
    Random random = new Random(seed);
    List<BitSet> sets = new ArrayList<>();
    BitSet all = new BitSet();
    for (int s = 0; s < 8; s++) {
      BitSet set = new BitSet();
      for (int bit = 0; bit < 12; bit++) {
        set.set(bit, random.nextInt(3) == 0);
      }
      sets.add(set);
      all.or(set);
    }
    List<Integer> chosen = new AssemblyCheck.Cover(sets, all).smallest();
    assertThat(chosen).hasSize(fewest(sets, all));
    BitSet covered = new BitSet();
    chosen.forEach(s -> covered.or(sets.get(s)));
    assertThat(covered).isEqualTo(all);
  }

  private static int fewest(List<BitSet> sets, BitSet all) {
    int fewest = sets.size();
    for (int choice = 0; choice < 1 << sets.size(); choice++) {
      BitSet covered = new BitSet();
      for (int s = 0; s < sets.size(); s++) {
        if ((choice >> s & 1) == 1) {
          covered.or(sets.get(s));
        }
      }
      fewest = covered.equals(all) ? Math.min(fewest, Integer.bitCount(choice)) : fewest;
    }
    return fewest;
  }

  /** The rig with two ends really swapped, as if somebody had built it so. */
  private static Rig swapped(Rig rig, PortRef one, PortRef other) {
    List<Line> lines =
        rig.lines().stream()
            .map(l -> {
              PortRef from = l.from().equals(one) ? other : l.from().equals(other) ? one : l.from();
              PortRef to = l.to().equals(one) ? other : l.to().equals(other) ? one : l.to();
              return new Line(
                  l.id(),
                  l.label(),
                  from,
                  to,
                  l.bore(),
                  l.length(),
                  l.material(),
                  l.minorLoss(),
                  List.of());
            })
            .toList();
    return new Rig(rig.name(), rig.note(), rig.vehicle(), rig.places(), rig.parts(), lines);
  }

  private static int[] across(Network network) {
    int[] across = new int[network.size()];
    Arrays.fill(across, -1);
    for (int i = 0; i < network.rig().lines().size(); i++) {
      across[network.lineFrom(i)] = network.lineTo(i);
      across[network.lineTo(i)] = network.lineFrom(i);
    }
    return across;
  }

  @Property(tries = 80)
  void swappingEndsInPlaceIsLikeBuildingItSo(@ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    Rig rig = RandomRigs.rig(seed);
    Setting setting = RandomRigs.state(rig, seed).setting();
    Network network = Network.of(rig);
    List<PortRef> joints =
        Undoing.joints(rig, rig.parts().stream().map(Part::id).toList()).stream().limit(6).toList();
    int[] outlets = AssemblyCheck.outlets(network);
    PressedWater water = new PressedWater(network, setting, outlets);
    int[] across = across(network);
    byte[] right = water.look(across);
    for (Mistake mistake : Mistake.among(network, joints)) {
      mistake.swap(network, across);
      byte[] made = water.look(across);
      mistake.swap(network, across);
      Network built = Network.of(swapped(rig, mistake.one(), mistake.other()));
      assertThat(made).isEqualTo(new PressedWater(built, setting, outlets).look(across(built)));
    }
    assertThat(water.look(across)).isEqualTo(right);
  }

  @Test
  void whatPressedWaterReachesTheWaysOfTheRigReachToo() {
    DemoRig demo = DemoRig.all().getFirst();
    Network network = Network.of(demo.rig());
    int[] outlets = AssemblyCheck.outlets(network);
    for (CheckSetting trial : CheckSetting.ofJobs(Plans.of(network))) {
      byte[] seen = new PressedWater(network, trial.setting(), outlets).look(across(network));
      for (int o = 0; o < outlets.length; o++) {
        Part part = network.part(outlets[o]);
        if (part.kind() instanceof Fixture tap && network.port(outlets[o]).equals(PortId.COLD)) {
          State state =
              new State(
                  trial.setting().with(part.id(), tap.cold().id()),
                  demo.state().volumes(),
                  demo.state().slope());
          FlowPaths ways = OpenWays.find(network, state);
          Set<PartId> reached =
              ways.ways().stream()
                  .filter(AssemblyCheckTest::isPressed)
                  .map((FlowPath w) -> w.end().part())
                  .collect(Collectors.toSet());
          assertThat(seen[o] != PressedWater.NOTHING)
              .as("%s in %s", part.id(), trial.as())
              .isEqualTo(reached.contains(part.id()));
        }
      }
    }
  }

  private static boolean isPressed(FlowPath way) {
    return way.drive().kind() != fernwort.core.ways.DrivenBy.Kind.FALL;
  }

  private static byte[] look(Rig rig, Setting setting) {
    Network network = Network.of(rig);
    return new PressedWater(network, setting, AssemblyCheck.outlets(network)).look(across(network));
  }

  @Test
  void aPumpPressesWhatItDrawsAndNothingWhereItDrawsNothing() {
    // Outlets in the order of the parts: feed, vent, spare of the tank; the vent's end; sink,
    // rinse.
    Rig van = SmallVan.rig();
    Setting rest = van.atRest();
    assertThat(new PressedWater(Network.of(van), rest, new int[0]).isDriven()).isFalse();
    assertThat(look(van, rest)).containsOnly(PressedWater.NOTHING);
    Setting on = rest.with(PartId.of("pump"), Kind.ON);
    assertThat(new PressedWater(Network.of(van), on, new int[0]).isDriven()).isTrue();
    assertThat(look(van, on))
        .containsExactly(
            PressedWater.NOTHING,
            PressedWater.NOTHING,
            PressedWater.NOTHING,
            PressedWater.NOTHING,
            PressedWater.COLD,
            PressedWater.COLD);
    // The pump on the vent draws nothing; turned round it draws nothing either.
    Rig vent =
        swapped(
            van,
            new PortRef(PartId.of("tank"), PortId.of("feed")),
            new PortRef(PartId.of("vent-end"), PortId.IN));
    assertThat(look(vent, on)).containsOnly(PressedWater.NOTHING);
    Rig turned =
        swapped(
            van,
            new PortRef(PartId.of("pump"), PortId.IN),
            new PortRef(PartId.of("pump"), PortId.OUT));
    assertThat(look(turned, on)).containsOnly(PressedWater.NOTHING);
  }

  @Test
  void twoTrialsAreNeededWhereOneLookTellsNotAll() {
    Rig van = SmallVan.rig();
    Network network = Network.of(van);
    List<PortRef> ends =
        Stream.of("pump", "tee")
            .flatMap(p -> Undoing.joints(van, List.of(PartId.of(p))).stream())
            .toList();
    AssemblyCheck check = AssemblyCheck.of(Plans.of(network), ends);
    // Five ends: ten mistakes. Two ends of the tee on each other change nothing that runs.
    assertThat(check.mistakes()).isEqualTo(10);
    assertThat(check.fewest()).isTrue();
    assertThat(check.steps()).hasSize(1);
    assertThat(check.unseen().size() + told(check)).isEqualTo(10);
  }

  private static int told(AssemblyCheck check) {
    return check.steps().stream()
        .flatMap(s -> s.looks().stream())
        .flatMap(l -> l.wrong().stream())
        .mapToInt(w -> w.means().size())
        .sum();
  }

  /** Makes every mistake by itself in every setting that the check tries, and looks. */
  private static void eachAnswerIsMadeByWhatItNames(
      Network network, List<PortRef> joints, AssemblyCheck check) {
    List<Mistake> mistakes = Mistake.among(network, joints);
    int[] outlets = AssemblyCheck.outlets(network);
    for (AssemblyCheck.Step step : check.steps()) {
      PressedWater water = new PressedWater(network, step.trial().setting(), outlets);
      byte[] right = water.look(across(network));
      Map<String, List<byte[]>> made = new HashMap<>();
      for (Mistake mistake : mistakes) {
        int[] across = across(network);
        mistake.swap(network, across);
        made.computeIfAbsent(mistake.words(network).toString(), w -> new ArrayList<>())
            .add(water.look(across));
      }
      for (AssemblyCheck.Look look : step.looks()) {
        int o =
            IntStream.range(0, outlets.length)
                .filter(i -> outlets[i] == network.vertex(look.at()))
                .findFirst()
                .orElseThrow();
        assertThat(look.right().ordinal()).isEqualTo(right[o]);
        for (AssemblyCheck.Wrong wrong : look.wrong()) {
          assertThat(wrong.comes()).isNotEqualTo(look.right());
          assertThat(wrong.means())
              .isNotEmpty()
              .allSatisfy(m ->
                  assertThat(made.get(m.toString()))
                      .as("%s: %s at %s", network.rig().name(), m, look.at())
                      .anyMatch(bytes -> bytes[o] == wrong.comes().ordinal()));
        }
      }
    }
    // Each is told once, or named among those that show nowhere.
    assertThat(told(check) + check.unseen().size())
        .isEqualTo(Math.min(check.mistakes(), told(check) + 40));
    assertThat(check.mistakes()).isEqualTo(mistakes.size());
  }

  @Property(tries = 60)
  void answersOnRigsNobodyDrew(@ForAll @LongRange(min = 0, max = 1 << 20) long seed) {
    Rig rig = RandomRigs.rig(seed);
    Network network = Network.of(rig);
    List<PortRef> joints =
        Undoing.joints(rig, rig.parts().stream().map(Part::id).toList()).stream().limit(9).toList();
    Setting drawn = RandomRigs.state(rig, seed).setting();
    List<CheckSetting> trials =
        Stream.of(drawn, rig.atRest(), RandomRigs.state(rig, seed + 1).setting())
            .map(s -> new CheckSetting(s, Message.words("drawn"), Message.NOTHING))
            .toList();
    eachAnswerIsMadeByWhatItNames(
        network, joints, AssemblyCheck.of(network, trials, joints, seed % 2 == 0));
  }

  @Test
  void oneTurnMoreTellsMoreAndLetsNothingElseGoWrong() {
    int more = 0;
    for (DemoRig demo : DemoRig.all()) {
      Network network = Network.of(demo.rig());
      List<CheckSetting> jobs = CheckSetting.ofJobs(Plans.of(network).brief());
      List<PortRef> joints =
          Undoing.joints(
              demo.rig(),
              demo.rig().parts().stream()
                  .filter(p -> p.kind() instanceof Valve || p.kind() instanceof Tee)
                  .map(Part::id)
                  .toList());
      AssemblyCheck few = AssemblyCheck.of(network, jobs, joints, false);
      AssemblyCheck check = AssemblyCheck.of(network, jobs, joints, true);
      eachAnswerIsMadeByWhatItNames(network, joints, few);
      eachAnswerIsMadeByWhatItNames(network, joints, check);
      assertThat(told(check)).isGreaterThanOrEqualTo(told(few));
      more += told(check) - told(few);
      assertThat(CheckSetting.around(network, jobs))
          .doesNotContainAnyElementsOf(jobs)
          .allSatisfy(t -> assertThat(t.also()).isNotEqualTo(Message.NOTHING));
    }
    assertThat(more).isPositive();
  }

  @Test
  void everyMistakeThatShowsAnywhereShowsInTheChosenTrials() {
    for (DemoRig demo : DemoRig.all().subList(0, 2)) {
      Network network = Network.of(demo.rig());
      Plans plans = Plans.of(network);
      for (PlaceId place :
          demo.rig().places().stream().map(fernwort.core.rig.Place::id).limit(2).toList()) {
        List<PortRef> joints =
            Undoing.joints(
                demo.rig(),
                demo.rig().parts().stream()
                    .filter(p -> p.place().equals(place))
                    .map(Part::id)
                    .toList());
        AssemblyCheck check = AssemblyCheck.of(plans, joints);
        List<Message> told = new ArrayList<>(check.unseen());
        for (AssemblyCheck.Step step : check.steps()) {
          for (AssemblyCheck.Look look : step.looks()) {
            assertThat(look.wrong()).isNotEmpty();
            look.wrong()
                .forEach(w -> {
                  assertThat(w.comes()).isNotEqualTo(look.right());
                  told.addAll(w.means());
                });
          }
        }
        assertThat(told.size())
            .as(demo.id() + " " + place)
            .isGreaterThanOrEqualTo(Math.min(check.mistakes(), 30));
      }
    }
  }

  @Test
  void aPumpPutBackTheWrongWayRoundShowsAtTheFirstTap() {
    DemoRig demo = DemoRig.all().getFirst();
    Network network = Network.of(demo.rig());
    AssemblyCheck check =
        AssemblyCheck.of(Plans.of(network), Undoing.joints(demo.rig(), List.of(PartId.of("pump"))));
    assertThat(check.mistakes()).isEqualTo(1);
    assertThat(check.steps()).hasSize(1);
    AssemblyCheck.Look look = check.steps().getFirst().looks().getFirst();
    assertThat(look.right()).isNotEqualTo(AssemblyCheck.What.NOTHING);
    assertThat(look.wrong().getFirst().means().toString()).contains("wrong way round");
    assertThat(check.unseen()).isEmpty();
  }
}
