package fernwort.core.build.joints;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Form;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.rig.Built;
import fernwort.core.rig.Line;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What goes into what, and what stands between. */
class AdaptersTest {

  private static Form thread(Standard standard, String size, Gender gender) {
    return new Connection.Thread(standard, size, gender);
  }

  @Test
  void halvesOfOneStandardAndSizeMate() {
    Form male = thread(Standard.BSP_PARALLEL, "1/2", Gender.MALE);
    assertThat(Mating.mates(male, thread(Standard.BSP_PARALLEL, "1/2", Gender.FEMALE))).isTrue();
    assertThat(Mating.mates(male, new Connection.Bulkhead(Standard.BSP_PARALLEL, "1/2"))).isTrue();
    assertThat(Mating.mates(male, male)).isFalse();
    assertThat(Mating.mates(male, thread(Standard.BSP_PARALLEL, "3/4", Gender.FEMALE))).isFalse();
    assertThat(Mating.mates(male, thread(Standard.NPT, "1/2", Gender.FEMALE))).isFalse();
  }

  @Test
  void aTaperedMaleSealsInAParallelFemaleNotTheOtherWayRound() {
    assertThat(
            Mating.mates(
                thread(Standard.BSP_TAPERED, "1/2", Gender.MALE),
                thread(Standard.BSP_PARALLEL, "1/2", Gender.FEMALE)))
        .isTrue();
    assertThat(
            Mating.mates(
                thread(Standard.BSP_PARALLEL, "1/2", Gender.MALE),
                thread(Standard.BSP_TAPERED, "1/2", Gender.FEMALE)))
        .isFalse();
  }

  @Test
  void nothingIsCementedToPolyethylene() {
    assertThat(
            Mating.mates(
                new Connection.Socket(Plastic.POLYETHYLENE, 0.02),
                new Connection.Spigot(Plastic.POLYETHYLENE, 0.02)))
        .isFalse();
    assertThat(
            Mating.mates(
                new Connection.Socket(Plastic.PVC, 0.02), new Connection.Spigot(Plastic.PVC, 0.02)))
        .isTrue();
    assertThat(
            Mating.mates(
                new Connection.Socket(Plastic.ABS, 0.02), new Connection.Spigot(Plastic.PVC, 0.02)))
        .isFalse();
  }

  @Test
  void aTankOpeningIsReachedByATailAndAnAmericanThreadByAPieceBetween() {
    Adapters shelf = Adapters.shelf();
    assertThat(
            shelf.between(
                new Connection.Bulkhead(Standard.BSP_PARALLEL, "1/2"),
                new Connection.HoseEnd(0.013)))
        .hasValueSatisfying(chain ->
            assertThat(JointCheck.words(chain))
                .isEqualTo("1/2 BSP parallel thread, male to tail for 13 mm hose"));
    assertThat(
            shelf.between(
                thread(Standard.NPT, "1/2", Gender.MALE),
                thread(Standard.BSP_PARALLEL, "1/2", Gender.MALE)))
        .hasValueSatisfying(chain -> assertThat(chain).hasSize(2));
    assertThat(shelf.between(new Connection.HoseTail(0.012), new Connection.HoseEnd(0.012)))
        .hasValue(List.of());
    assertThat(shelf.between(new Connection.HoseTail(0.2), new Connection.HoseEnd(0.05))).isEmpty();
  }

  @Test
  void matingGoesBothWaysAndEveryFormHasSomethingThatFits() {
    List<Form> forms = Adapters.forms();
    for (Form a : forms) {
      boolean any = false;
      for (Form b : forms) {
        assertThat(Mating.mates(a, b)).as("%s and %s", a, b).isEqualTo(Mating.mates(b, a));
        any |= !(b instanceof Connection.Open) && Mating.mates(a, b);
      }
      boolean glue =
          a instanceof Connection.Socket s && !s.plastic().cements()
              || a instanceof Connection.Spigot p && !p.plastic().cements();
      // A tapered female thread wants a tapered male one, which is on the shelf; cement holds not.
      assertThat(any || glue).as(a.toString()).isTrue();
    }
  }

  @Test
  void tailsTubesAndGrommetsFitWithinALittle() {
    Form hose = new Connection.HoseEnd(0.01);
    assertThat(Mating.mates(new Connection.HoseTail(0.0098), hose)).isTrue();
    assertThat(Mating.mates(new Connection.HoseTail(0.0105), hose)).isTrue();
    assertThat(Mating.mates(new Connection.HoseTail(0.0096), hose)).isFalse();
    assertThat(Mating.mates(new Connection.HoseTail(0.0107), hose)).isFalse();
    Form tube = new Connection.TubeEnd(0.015);
    assertThat(Mating.mates(new Connection.TubeSocket(0.015, true), tube)).isTrue();
    assertThat(Mating.mates(new Connection.TubeSocket(0.0155, false), tube)).isFalse();
    assertThat(Mating.mates(new Connection.Grommet(0.015), tube)).isTrue();
    assertThat(
            Mating.mates(new Connection.Grommet(0.025), new Connection.Spigot(Plastic.PVC, 0.02)))
        .isTrue();
    assertThat(Mating.mates(new Connection.Grommet(0.02), new Connection.Spigot(Plastic.PVC, 0.02)))
        .isFalse();
    assertThat(Mating.mates(new Connection.Open(), hose)).isTrue();
    assertThat(Mating.mates(hose, hose)).isFalse();
    assertThat(
            Mating.mates(
                new Connection.Socket(Plastic.PVC, 0.02),
                new Connection.Spigot(Plastic.PVC, 0.025)))
        .isFalse();
  }

  @Test
  void sizesAreThoseOfTheStandards() {
    Sizes.ThreadSize half = Sizes.thread(Standard.BSP_TAPERED, "1/2").orElseThrow();
    assertThat(half.outside()).isCloseTo(0.020955, within(1e-9));
    assertThat(half.pitch()).isCloseTo(0.0254 / 14, within(1e-9));
    assertThat(Sizes.thread(Standard.NPT, "1").orElseThrow().outside())
        .isCloseTo(0.033401, within(1e-9));
    assertThat(Sizes.thread(Standard.NPT, "9")).isEmpty();
    assertThat(Sizes.threadFor(Standard.NPT, 0.018)).isEqualTo("3/4");
    assertThat(Sizes.tubeFor(0.0125, Region.METRIC)).isEqualTo(0.015);
    assertThat(Sizes.tubeBore(0.022)).isCloseTo(0.018, within(1e-12));
    assertThat(Sizes.pipeFor(0.037, Region.METRIC)).isEqualTo(0.04);
    assertThat(
            Sizes.pipes(Region.METRIC).stream()
                .map(Sizes::pipeOutside)
                .map(d -> Math.round(1000 * d)))
        .containsExactly(20L, 25L, 32L, 40L, 50L, 63L, 75L, 110L);
    assertThat(Sizes.pipeOutside(0.08)).isCloseTo(0.1, within(1e-12));
    assertThat(Sizes.bulkheadHole(Standard.BSP_PARALLEL, "3/4").orElseThrow())
        .isCloseTo(0.036, within(1e-9));
    assertThat(Sizes.grommetHole(0.015)).isCloseTo(0.023, within(1e-12));
    assertThat(new Adapter(new Connection.HoseTail(0.01), new Connection.HoseEnd(0.01)).bore())
        .isCloseTo(0.008, within(1e-12));
    assertThat(Adapter.bore(new Connection.Thread(Standard.METRIC, "M22x1.5", Gender.MALE)))
        .isCloseTo(0.013, within(1e-12));
  }

  /** Chains joined at random, some of which lead nowhere. */
  private static Form form(Random random) {
    return switch (random.nextInt(4)) {
      case 0 ->
          thread(
              random.nextBoolean() ? Standard.NPT : Standard.BSP_PARALLEL,
              random.nextBoolean() ? "1/2" : "3/4",
              random.nextBoolean() ? Gender.MALE : Gender.FEMALE);
      case 1 -> new Connection.HoseTail(random.nextBoolean() ? 0.01 : 0.013);
      case 2 -> new Connection.TubeSocket(0.015, false);
      default -> new Connection.HoseEnd(random.nextBoolean() ? 0.01 : 0.013);
    };
  }

  @Property(tries = 300)
  void theChainIsAsShortAsTheShortestOfAll(@ForAll long seed) {
    Random random = new Random(seed);
    List<Adapter> few = new ArrayList<>();
    for (int i = 0; i < 5; i++) {
      few.add(new Adapter(form(random), form(random)));
    }
    Form from = form(random);
    Form to = form(random);
    Optional<List<Adapter>> chain = new Adapters(few).between(from, to);
    assertThat(chain.map(List::size).orElse(-1)).isEqualTo(shortest(few, from, to, 4));
    chain.ifPresent(c -> {
      Form face = from;
      for (Adapter adapter : c) {
        assertThat(Mating.mates(face, adapter.one())).isTrue();
        face = adapter.other();
      }
      assertThat(Mating.mates(face, to)).isTrue();
    });
  }

  /** Tries every chain. */
  private static int shortest(List<Adapter> all, Form face, Form to, int most) {
    if (Mating.mates(face, to)) {
      return 0;
    }
    int best = -1;
    for (Adapter one : all) {
      for (Adapter adapter : List.of(one, one.turned())) {
        if (most > 0 && Mating.mates(face, adapter.one())) {
          int rest = shortest(all, adapter.other(), to, most - 1);
          best = rest >= 0 && (best < 0 || rest + 1 < best) ? rest + 1 : best;
        }
      }
    }
    return best;
  }

  @Test
  void everyEndOfEveryRigWeShipIsReached() {
    Stream<Rig> rigs =
        Stream.concat(
            DemoRig.all().stream().map(DemoRig::rig), ReadyRig.all().stream().map(ReadyRig::rig));
    rigs.forEach(rig -> {
      for (JointEnds ends : JointEnds.of(rig)) {
        assertThat(Adapters.shelf().between(ends.port().form(), ends.end().form()))
            .as("%s: %s at %s", rig.name(), ends.line().id(), ends.at())
            .isPresent();
      }
      assertThat(JointCheck.of(rig)).as(rig.name()).isEmpty();
    });
  }

  @ParameterizedTest
  @CsvSource({
    "PEX, 0.0123, 1/2 in tube, crimp for 1/2 in PEX tube",
    "PEX, 0.017, 3/4 in tube, crimp for 3/4 in PEX tube",
    "COPPER, 0.0125, 1/2 in tube, push-fit for 1/2 in tube",
    "PVC_HOSE, 0.013, 1/2 in hose, barb for 1/2 in hose",
    "PVC_HOSE, 0.038, 1-1/2 in hose, barb for 1-1/2 in hose",
    "PVC_HOSE, 0.022, 22 mm hose, tail for 22 mm hose",
    "RIGID_PVC, 0.013, 'PVC pipe, 1/2 in', 'PVC hub, 1/2 in'",
    "RIGID_PVC, 0.074, 'ABS pipe, 3 in', 'ABS hub, 3 in'",
  })
  void aLineInInchesIsWhatIsSoldThere(
      Line.Material material, double bore, String end, String grip) {
    Line line =
        new Line(
            LineId.of("l"),
            "l",
            new PortRef(PartId.of("a"), PortId.of("x")),
            new PortRef(PartId.of("b"), PortId.of("y")),
            bore,
            1,
            material,
            0,
            List.of());
    assertThat(Adapter.words(JointEnds.usualEnd(line, Region.US))).isEqualTo(end);
    assertThat(Adapter.words(JointEnds.gripping(line, Region.US))).isEqualTo(grip);
    assertThat(
            Mating.mates(JointEnds.usualEnd(line, Region.US), JointEnds.gripping(line, Region.US)))
        .isTrue();
  }

  /** Whatever a demo has, a shop in either region has the pieces for it, and only its own. */
  @ParameterizedTest
  @EnumSource(Region.class)
  void everyEndIsReachedWithWhatARegionSells(Region region) {
    for (DemoRig demo : DemoRig.all()) {
      Rig rig = demo.rig();
      Rig bare = rig.with(Built.AS_USUAL);
      for (JointEnds ends : JointEnds.of(bare, region)) {
        var chain = Adapters.shelf().between(ends.port().form(), ends.end().form());
        assertThat(chain).as("%s in %s", ends, region).isPresent();
        String words = ends.port().form() + " " + chain.orElseThrow();
        assertThat(words).doesNotContain(region == Region.US ? "BSP" : "NP");
      }
      assertThat(BuyList.of(bare, List.of(0.029), region).toString())
          .doesNotContain(region == Region.US ? "BSP" : "NPT")
          .contains(region == Region.US ? "hole saw, 1-3/16 in" : "hole saw, 29 mm");
    }
  }

  /** Every crimped joint needs its ring, and all of them one tool. */
  @Test
  void everyCrimpedJointHasItsRing() {
    Rig rig = DemoRig.called("marginalia").rig().with(Built.AS_USUAL);
    List<BuyList.Item> list = BuyList.of(rig, List.of(), Region.US);
    long crimped = 0;
    for (JointEnds ends : JointEnds.of(rig, Region.US)) {
      String chain =
          ends.port().form()
              + " "
              + Adapters.shelf().between(ends.port().form(), ends.end().form()).orElseThrow();
      crimped += chain.split("crimped=true", -1).length - 1;
    }
    assertThat(crimped).isGreaterThan(20);
    assertThat(
            list.stream()
                .filter(item -> item.what().startsWith("crimp ring"))
                .mapToLong(BuyList.Item::needed)
                .sum())
        .isEqualTo(crimped);
    assertThat(list).filteredOn(item -> item.what().startsWith("crimp tool")).hasSize(1);
    assertThat(BuyList.of(rig, List.of())).noneMatch(item -> item.what().contains("crimp"));
  }

  /** Somebody with a van from elsewhere joins its tube to what the shop beside the road has. */
  @ParameterizedTest
  @CsvSource({"0.015, 0.015875", "0.016, 0.015", "0.022, 0.022225", "0.015, 0.0127"})
  void tubeOfOneRegionIsJoinedToThatOfAnother(double one, double other) {
    assertThat(Adapters.shelf().between(new Connection.TubeEnd(one), new Connection.TubeEnd(other)))
        .hasValueSatisfying(chain -> assertThat(chain).hasSizeBetween(1, 4));
  }

  @ParameterizedTest
  @CsvSource({
    "0.029, METRIC, 29 mm",
    "0.029, US, 1-3/16 in",
    "0.0127, US, 1/2 in",
    "0.1207, US, 4-13/16 in",
    "0.0254, US, 1 in",
    "0.003, US, 1/8 in",
  })
  void aSawIsCalledByWhatItCuts(double hole, Region region, String called) {
    assertThat(Sizes.saw(hole, region)).isEqualTo(called);
  }
}
