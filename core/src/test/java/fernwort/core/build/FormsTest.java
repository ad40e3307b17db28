package fernwort.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.build.drill.Penetration;
import fernwort.core.build.joints.Adapter;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.joints.Mating;
import fernwort.core.build.joints.Region;
import fernwort.core.build.joints.Sizes;
import fernwort.core.build.mount.UsualBuild;
import fernwort.core.describe.Fittings;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Form;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Line;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What forms are called, how wide they are, what goes into what, and what is usual where. */
class FormsTest {

  private static Form thread(Standard standard, String size, Gender gender) {
    return new Connection.Thread(standard, size, gender);
  }

  private static final Form MALE = thread(Standard.BSP_PARALLEL, "1/2", Gender.MALE);
  private static final Form FEMALE = thread(Standard.BSP_PARALLEL, "1/2", Gender.FEMALE);
  private static final Form TAPERED = thread(Standard.BSP_TAPERED, "1/2", Gender.MALE);
  private static final Form TAPERED_IN = thread(Standard.BSP_TAPERED, "1/2", Gender.FEMALE);
  private static final Form NPT = thread(Standard.NPT, "1/2", Gender.MALE);
  private static final Form LARGER = thread(Standard.BSP_PARALLEL, "3/4", Gender.FEMALE);
  private static final Form BULKHEAD = new Connection.Bulkhead(Standard.BSP_PARALLEL, "1/2");
  private static final Form TAIL = new Connection.HoseTail(0.013);
  private static final Form HOSE = new Connection.HoseEnd(0.013);
  private static final Form PUSH = new Connection.TubeSocket(0.015, false);
  private static final Form CRIMP = new Connection.TubeSocket(0.015, true);
  private static final Form TUBE = new Connection.TubeEnd(0.015);
  private static final Form SOCKET = new Connection.Socket(Plastic.PVC, 0.02);
  private static final Form SPIGOT = new Connection.Spigot(Plastic.PVC, 0.02);
  private static final Form ABS = new Connection.Spigot(Plastic.ABS, 0.02);
  private static final Form GROMMET = new Connection.Grommet(0.015);
  private static final Form WIDE_GROMMET = new Connection.Grommet(0.025);
  private static final Form OPEN = new Connection.Open();

  private static final List<Form> ALL =
      List.of(
          MALE,
          FEMALE,
          TAPERED,
          TAPERED_IN,
          NPT,
          LARGER,
          BULKHEAD,
          TAIL,
          HOSE,
          PUSH,
          CRIMP,
          TUBE,
          SOCKET,
          SPIGOT,
          ABS,
          GROMMET,
          WIDE_GROMMET);

  /** All that makes a tight joint among them. */
  private static final List<List<Form>> TIGHT =
      List.of(
          List.of(MALE, FEMALE),
          List.of(TAPERED, FEMALE),
          List.of(TAPERED, TAPERED_IN),
          List.of(MALE, BULKHEAD),
          List.of(TAPERED, BULKHEAD),
          List.of(TAIL, HOSE),
          List.of(PUSH, TUBE),
          List.of(CRIMP, TUBE),
          List.of(SOCKET, SPIGOT),
          List.of(GROMMET, TUBE),
          // Pipe of 20 mm is 25 mm outside.
          List.of(WIDE_GROMMET, SPIGOT),
          List.of(WIDE_GROMMET, ABS));

  @Test
  void onlyWhatIsMadeForEachOtherMakesATightJoint() {
    for (Form a : ALL) {
      for (Form b : ALL) {
        boolean tight = TIGHT.contains(List.of(a, b)) || TIGHT.contains(List.of(b, a));
        assertThat(Mating.mates(a, b))
            .as("%s with %s", Adapter.words(a), Adapter.words(b))
            .isEqualTo(tight);
      }
      assertThat(Mating.mates(a, OPEN)).isTrue();
      assertThat(Mating.mates(OPEN, a)).isTrue();
    }
  }

  @ParameterizedTest
  @CsvSource({"12.6, false", "12.62, true", "13.7, true", "13.79, false"})
  void aTailSitsByItsClampWithinAFewPercent(double millimetres, boolean sits) {
    assertThat(Mating.mates(new Connection.HoseTail(millimetres / 1000), HOSE)).isEqualTo(sits);
  }

  @ParameterizedTest
  @EnumSource(Plastic.class)
  void onlySomePlasticsAreCemented(Plastic plastic) {
    boolean cements = plastic != Plastic.POLYETHYLENE && plastic != Plastic.POLYPROPYLENE;
    assertThat(
            Mating.mates(
                new Connection.Socket(plastic, 0.02), new Connection.Spigot(plastic, 0.02)))
        .isEqualTo(cements);
  }

  static Stream<Arguments> words() {
    return Stream.of(
        Arguments.of(MALE, "1/2 BSP parallel thread, male", 13),
        Arguments.of(TAPERED_IN, "1/2 BSP tapered thread, female", 13),
        Arguments.of(NPT, "1/2 NPT thread, male", 13),
        Arguments.of(
            thread(Standard.METRIC, "M22x1.5", Gender.FEMALE), "M22x1.5 metric thread, female", 13),
        Arguments.of(
            thread(Standard.GARDEN_HOSE, "3/4", Gender.MALE), "3/4 garden hose thread, male", 13),
        Arguments.of(BULKHEAD, "bulkhead with 1/2 BSP parallel thread, female", 13),
        Arguments.of(TAIL, "tail for 13 mm hose", 10.4),
        Arguments.of(HOSE, "13 mm hose", 13),
        Arguments.of(PUSH, "push-fit for 15 mm tube", 12),
        Arguments.of(CRIMP, "crimp for 15 mm tube", 12),
        Arguments.of(TUBE, "15 mm tube", 12),
        Arguments.of(new Connection.TubeEnd(0.0127), "3/8 in tube", 9.1),
        Arguments.of(SOCKET, "PVC socket, 20 mm", 20),
        Arguments.of(new Connection.Spigot(Plastic.CPVC, 0.02), "CPVC pipe, 20 mm", 20),
        Arguments.of(ABS, "ABS pipe, 20 mm", 20),
        Arguments.of(
            new Connection.Spigot(Plastic.POLYETHYLENE, 0.02), "polyethylene pipe, 20 mm", 20),
        Arguments.of(
            new Connection.Spigot(Plastic.POLYPROPYLENE, 0.02), "polypropylene pipe, 20 mm", 20),
        Arguments.of(GROMMET, "grommet for 15 mm", 12),
        Arguments.of(OPEN, "nothing to join", Double.POSITIVE_INFINITY));
  }

  @ParameterizedTest
  @MethodSource("words")
  void aFormIsAskedForInWordsAndLeavesItsBore(Form form, String said, double millimetres) {
    assertThat(Adapter.words(form)).isEqualTo(said);
    if (Double.isInfinite(millimetres)) {
      assertThat(Adapter.bore(form)).isInfinite();
    } else {
      assertThat(Adapter.bore(form)).isCloseTo(millimetres / 1000, within(1e-9));
    }
  }

  @Test
  void anAdapterIsAsNarrowAsItsNarrowerEndWhicheverWayItIsTurned() {
    Adapter adapter = new Adapter(MALE, TAIL);
    assertThat(adapter.bore()).isCloseTo(0.0104, within(1e-9));
    assertThat(adapter.turned().bore()).isEqualTo(adapter.bore());
    assertThat(adapter.words()).isEqualTo("1/2 BSP parallel thread, male to tail for 13 mm hose");
    assertThat(adapter.turned().words()).startsWith("tail for 13 mm hose to");
    // A size that we do not know narrows nothing.
    assertThat(Adapter.bore(thread(Standard.NPT, "5/8", Gender.MALE))).isInfinite();
  }

  @ParameterizedTest
  @CsvSource({
    "1/4, 13.157, 1.337, 8",
    "1/2, 20.955, 1.814, 13",
    "1, 33.249, 2.309, 25",
    "2, 59.614, 2.309, 50",
  })
  void parallelThreadsMeasureWhatTheStandardSays(
      String size, double outside, double pitch, double bore) {
    Sizes.ThreadSize thread = Sizes.thread(Standard.BSP_PARALLEL, size).orElseThrow();
    assertThat(thread.outside()).isCloseTo(outside / 1000, within(1e-9));
    assertThat(thread.pitch()).isCloseTo(pitch / 1000, within(1e-6));
    assertThat(thread.bore()).isCloseTo(bore / 1000, within(1e-9));
    assertThat(Sizes.thread(Standard.BSP_TAPERED, size)).contains(thread);
  }

  @Test
  void sizesAreFoundByTheirBore() {
    assertThat(Sizes.threadFor(Standard.BSP_PARALLEL, 0.012)).isEqualTo("1/2");
    assertThat(Sizes.threadFor(Standard.BSP_TAPERED, 0.018)).isEqualTo("3/4");
    assertThat(Sizes.threadFor(Standard.NPT, 0.1)).isEqualTo("4");
    assertThat(Sizes.thread(Standard.NPT, "9/16")).isEmpty();
    assertThat(Sizes.tubeFor(0.0115, Region.METRIC)).isCloseTo(0.015, within(1e-9));
    assertThat(Sizes.tubeBore(0.022)).isCloseTo(0.018, within(1e-9));
    // A tube of some other outside is no wider inside than outside.
    assertThat(Sizes.tubeBore(0.005)).isEqualTo(0.005);
    assertThat(Sizes.pipeFor(0.022, Region.METRIC)).isCloseTo(0.02, within(1e-9));
    assertThat(Sizes.bulkheadHole(Standard.BSP_PARALLEL, "1/2").orElseThrow())
        .isCloseTo(0.029, within(1e-9));
    assertThat(Sizes.bulkheadHole(Standard.NPT, "unknown")).isEmpty();
    assertThat(Sizes.grommetHole(0.015)).isCloseTo(0.023, within(1e-9));
  }

  private static final PortRef SOMEWHERE = new PortRef(PartId.of("a"), PortId.of("x"));

  private static Line line(Material material, double bore) {
    return new Line(LineId.of("l"), "L", SOMEWHERE, SOMEWHERE, bore, 1, material, 1, List.of());
  }

  @ParameterizedTest
  @CsvSource({
    "PEX, 15 mm tube, push-fit for 15 mm tube",
    "POLYETHYLENE, 15 mm tube, push-fit for 15 mm tube",
    "COPPER, 15 mm tube, push-fit for 15 mm tube",
    "STAINLESS, 15 mm tube, push-fit for 15 mm tube",
    "PVC_HOSE, 12 mm hose, tail for 12 mm hose",
    "SILICONE_HOSE, 12 mm hose, tail for 12 mm hose",
    "RIGID_PVC, 'PVC pipe, 15 mm', 'PVC socket, 15 mm'",
  })
  void theCutEndOfALineIsGrippedByWhatFitsIt(Material material, String end, String grip) {
    Line line = line(material, 0.012);
    assertThat(Adapter.words(JointEnds.usualEnd(line, Region.METRIC))).isEqualTo(end);
    assertThat(Adapter.words(JointEnds.gripping(line, Region.METRIC))).isEqualTo(grip);
    assertThat(
            Mating.mates(
                JointEnds.usualEnd(line, Region.METRIC), JointEnds.gripping(line, Region.METRIC)))
        .isTrue();
  }

  private static String usual(Kind kind, PortId port, double bore) {
    Part part = new Part(PartId.of("p"), "P", PlaceId.of("box"), 0, 0, 1, 0, kind);
    return Adapter.words(JointEnds.usualPort(part, port, line(Material.PEX, bore), Region.METRIC));
  }

  private static Tank tank(Optional<Double> bore) {
    return new Tank(
        Contents.FRESH,
        new Shape.Box(0.8, 0.4, 0.3),
        0.01,
        List.of(
            new TankPort(
                PortId.of("feed"),
                TankPort.Use.FEED,
                new fernwort.core.kind.tank.Point(0.1, 0, 0.05),
                bore)),
        Fittings.stick(0.1, 0.1),
        1e4,
        -1e4);
  }

  @Test
  void appliancesHaveThreadsAndFittingsGripTheirLine() {
    String half = "1/2 BSP parallel thread, male";
    assertThat(usual(Fittings.pressurePump(10, 2.5), PortId.IN, 0.008)).isEqualTo(half);
    assertThat(usual(Fittings.pressurePump(10, 2.5), PortId.IN, 0.019)).startsWith("3/4");
    assertThat(usual(new Heater(Heater.Type.STORAGE, true, 0), PortId.HOT, 0.012)).isEqualTo(half);
    assertThat(usual(Fittings.inlet(3), PortId.OUT, 0.012)).isEqualTo(half);
    assertThat(usual(new Accumulator(1e5), PortId.IN, 0.012)).isEqualTo(half);
    assertThat(usual(Fittings.twoWay(90), PortId.A, 0.012))
        .isEqualTo("1/2 BSP parallel thread, female");
    assertThat(usual(Fittings.check(), PortId.IN, 0.008))
        .isEqualTo("1/4 BSP parallel thread, female");
    assertThat(usual(new Plug(true), PortId.IN, 0.012)).endsWith("female");
    assertThat(usual(Fittings.fixture(Fixture.Type.TAP, true, 6), PortId.COLD, 0.019))
        .isEqualTo(half);
    assertThat(usual(Fittings.fixture(Fixture.Type.TAP, true, 6), PortId.WASTE, 0.012))
        .isEqualTo("push-fit for 15 mm tube");
    assertThat(usual(new Tee(), PortId.A, 0.012)).isEqualTo("push-fit for 15 mm tube");
    assertThat(usual(new Macerator(1e-4, 1e4), PortId.IN, 0.012)).startsWith("push-fit");
    assertThat(usual(new GravityFiller(), PortId.of("mouth"), 0.012)).isEqualTo("nothing to join");
    assertThat(usual(new GravityFiller(), PortId.OUT, 0.012)).startsWith("push-fit");
    assertThat(usual(Fittings.end(OpenEnd.Role.DRAIN), PortId.IN, 0.012))
        .isEqualTo("nothing to join");
    // A tank's own opening, where somebody measured it, else the line's bore.
    assertThat(usual(tank(Optional.of(0.025)), PortId.of("feed"), 0.012))
        .startsWith("bulkhead with 1 BSP");
    assertThat(usual(tank(Optional.empty()), PortId.of("feed"), 0.012))
        .startsWith("bulkhead with 1/2 BSP");
  }

  @Test
  void whatAnApplianceHasIsAskedForUntilItIsDescribed() {
    List<JointEnds> ends = JointEnds.of(SmallVan.rig());
    assertThat(ends).hasSize(10);
    assertThat(ends)
        .filteredOn(e -> e.isAsked(SmallVan.rig()))
        .extracting(e -> e.at().part())
        .containsExactly(
            PartId.of("tank"),
            PartId.of("pump"),
            PartId.of("pump"),
            PartId.of("sink"),
            PartId.of("rinse"),
            PartId.of("tank"));
    Rig known = UsualBuild.on(SmallVan.rig());
    assertThat(JointEnds.of(known))
        .filteredOn(e -> e.isAsked(known))
        .extracting(e -> e.at().part())
        .containsExactly(PartId.of("sink"), PartId.of("rinse"));
  }

  @Test
  void aHoleThroughTheFloorLiesWhereTheLinePassesIt() {
    List<Penetration> holes = Penetration.of(SmallVan.rig());
    // From the tank at (1.4, -0.2, 0.33) to the pump at (2, 0, 0.8): the floor at 0.6 is at 57 %.
    Penetration suction =
        holes.stream().filter(h -> h.what().equals("Suction")).findFirst().orElseThrow();
    double part = 0.27 / 0.47;
    assertThat(suction.wall()).isFalse();
    assertThat(suction.at().x()).isCloseTo(1.4 + 0.6 * part, within(1e-9));
    assertThat(suction.at().y()).isCloseTo(-0.2 + 0.2 * part, within(1e-9));
    assertThat(suction.at().z()).isEqualTo(0.6);
    // Hose of 13 mm is 18.2 mm outside, and its grommet takes 8 mm more.
    assertThat(suction.diameter()).isCloseTo(0.0262, within(1e-9));
    assertThat(suction.inside()).startsWith("Pump");
    assertThat(holes).extracting(Penetration::what).containsExactly("Suction", "Breath");
    Rig shore =
        RigBuilder.named("Shore")
            .vehicle(SmallVan.VAN)
            .place("side", "Side", "outside", 0, 1, 0.8)
            .part("inlet", "Inlet", 0, 1, 0.8, Fittings.inlet(3))
            .part("low", "Low", 0.1, 1, 0.4, new Plug(true))
            .part("far", "Far", 1, 1, 0.8, new Plug(true))
            .line("a", "A", "inlet.out > far.in", 12, 1.2, Material.PEX, 1)
            .build();
    assertThat(Penetration.of(shore))
        .singleElement()
        .satisfies(h -> {
          assertThat(h.wall()).isTrue();
          assertThat(h.diameter()).isEqualTo(0.075);
          assertThat(h.inside()).isEmpty();
          assertThat(h.outside()).containsExactly("Low");
        });
  }
}
