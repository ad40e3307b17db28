package fernwort.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.build.drill.DrillSheet;
import fernwort.core.build.drill.FaceSheet;
import fernwort.core.build.drill.Hole;
import fernwort.core.build.drill.Template;
import fernwort.core.build.joints.Adapter;
import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Built;
import fernwort.core.rig.Face;
import fernwort.core.rig.Joint;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** How wide a hole is, what stands round it and which waits, by hand. */
class HolesTest {

  /** A box of 800 by 400 by 300 mm outside, walls of 10 mm, its bottom so high (m). */
  private static Rig rig(double bottom, Connection.Form end, TankPort... ports) {
    Rig rig =
        RigBuilder.named("Box")
            .vehicle(SmallVan.VAN)
            .place("bed", "Bed", "reach in", 0, 0, 1)
            .part("tank", "Tank", 1, 0, bottom, SmallVan.tank(ports))
            .part("tap", "Tap", 1, 0, 1, Fittings.fixture(Fixture.Type.TAP, false, 6))
            .line("feed", "Feed", "tank." + ports[0].id() + " > tap.cold", 12, 1, Material.PEX, 1)
            .build();
    return rig.with(
        new Built(
            List.of(
                new Joint(
                    new PortRef(PartId.of("tank"), ports[0].id()),
                    Optional.of(new Connection(end)),
                    Optional.empty())),
            List.of()));
  }

  private static final Connection.Form BULKHEAD =
      new Connection.Bulkhead(Standard.BSP_PARALLEL, "1/2");

  private static DrillSheet sheet(Rig rig) {
    return DrillSheet.of(
        rig,
        rig.part(PartId.of("tank")),
        Network.of(rig).room(PartId.of("tank")),
        DrillSheet.Measured.NOTHING);
  }

  private static List<Hole> holes(Rig rig) {
    return sheet(rig).faces().stream().flatMap(f -> f.holes().stream()).toList();
  }

  static Stream<Arguments> forms() {
    return Stream.of(
        // The body of a bulkhead is 1.35 times its thread, to the next millimetre.
        Arguments.of(BULKHEAD, 29, 46.4),
        Arguments.of(new Connection.Bulkhead(Standard.BSP_PARALLEL, "2"), 81, 129.6),
        // A grommet has no nut: what turns it is 16 mm wider.
        Arguments.of(new Connection.Grommet(0.015), 23, 39),
        // A thread is screwed into its own width, its nut 1.6 times that, 16 mm more at least.
        Arguments.of(
            new Connection.Thread(Standard.BSP_PARALLEL, "1", Gender.FEMALE), 33.249, 53.1984),
        Arguments.of(new Connection.HoseTail(0.013), 13, 29),
        Arguments.of(new Connection.HoseEnd(0.019), 19, 35),
        Arguments.of(new Connection.TubeSocket(0.015, false), 15, 31),
        Arguments.of(new Connection.TubeEnd(0.022), 22, 38),
        // Pipe of 40 mm is 50 mm outside.
        Arguments.of(new Connection.Socket(Plastic.PVC, 0.04), 50, 80),
        Arguments.of(new Connection.Spigot(Plastic.PVC, 0.02), 25, 41),
        // Big ones of tanks for waste.
        Arguments.of(new Connection.Bulkhead(Standard.NPT, "3"), 121, 193.6),
        Arguments.of(new Connection.Bulkhead(Standard.NPT, "4"), 155, 248));
  }

  @ParameterizedTest
  @MethodSource("forms")
  void aHoleIsAsWideAsWhatGoesIntoIt(Connection.Form form, double wide, double room) {
    Hole hole =
        holes(rig(0.7, form, Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0.15)))
            .getFirst();
    assertThat(1000 * hole.diameter().orElseThrow()).isCloseTo(wide, within(1e-3));
    assertThat(1000 * hole.room()).isCloseTo(room, within(2e-3));
    assertThat(hole.fitting()).isEqualTo(Adapter.words(form));
  }

  static Stream<Connection.Form> sizesNobodyKnows() {
    return Stream.of(
        new Connection.Bulkhead(Standard.NPT, "9/16"),
        new Connection.Thread(Standard.METRIC, "M17x1", Gender.FEMALE),
        new Connection.Open());
  }

  /** Nobody saws a hole by a guess: no size, no saw, no ring on the template. */
  @ParameterizedTest
  @MethodSource("sizesNobodyKnows")
  void aSizeNobodyKnowsGivesNoHole(Connection.Form form) {
    Rig rig = rig(0.7, form, Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0.15));
    Hole hole = holes(rig).getFirst();
    assertThat(hole.diameter()).isEmpty();
    assertThat(hole.slips()).isEmpty();
    assertThat(sheet(rig).saws()).isEmpty();
    Template template =
        Template.of("Tank", sheet(rig).faces().getFirst(), Template.Paper.A4, false);
    List<Template.Mark> marks = template.pages().stream().flatMap(p -> p.marks().stream()).toList();
    assertThat(marks).noneMatch(Template.Ring.class::isInstance);
    assertThat(marks.toString()).contains("feed: size not known, measure its fitting");
  }

  @Test
  void aJointThatWasDescribedCountsWhereNoLineLeads() {
    Rig rig =
        rig(
            0.7,
            BULKHEAD,
            Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.2, 0, 0.15),
            Fittings.port(PortId.of("spare"), TankPort.Use.FILL, 0.6, 0, 0.15));
    Built built = rig.built();
    Joint spare =
        new Joint(
            new PortRef(PartId.of("tank"), PortId.of("spare")),
            Optional.of(new Connection(new Connection.Grommet(0.022))),
            Optional.empty());
    Rig described =
        rig.with(new Built(List.of(built.joints().getFirst(), spare), built.supports()));
    assertThat(holes(described))
        .extracting(Hole::port, h -> Math.round(1000 * h.diameter().orElseThrow()))
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(PortId.of("feed"), 29L),
            org.assertj.core.groups.Tuple.tuple(PortId.of("spare"), 30L));
    // Nobody said, and no line tells: half an inch.
    assertThat(holes(rig).getLast().fitting()).startsWith("bulkhead with 1/2");
    assertThat(sheet(described).saws()).containsExactly(0.029, 0.03);
  }

  @ParameterizedTest
  @CsvSource({
    // Two nuts of 46.4 mm and a hand of 20 mm: 66.4 mm from middle to middle.
    "66.5, 0, false",
    "66.3, 0, true",
    "0, 66.5, false",
    "0, 66.3, true",
    // 3, 4, 5 times 13.3 mm is 66.5.
    "39.9, 53.2, false",
  })
  void twoNutsAndAHandHaveRoom(double across, double up, boolean tooNear) {
    Rig rig =
        rig(
            0.7,
            BULKHEAD,
            Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.3, 0, 0.1),
            Fittings.port(
                PortId.of("drain"), TankPort.Use.DRAIN, 0.3 + across / 1000, 0, 0.1 + up / 1000));
    assertThat(holes(rig)).hasSize(2).allMatch(h -> h.slips().isEmpty() != tooNear);
    if (tooNear) {
      assertThat(holes(rig).getFirst().slips().toString())
          .contains("66 mm from drain")
          .contains("need 66 mm")
          .contains("by 0.1 mm");
    }
  }

  @Test
  void holesStandFromTheLeftAsOneSeesThem() {
    Rig rig =
        rig(
            0.7,
            BULKHEAD,
            Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.6, 0, 0.1),
            Fittings.port(PortId.of("drain"), TankPort.Use.DRAIN, 0.1, 0, 0.1),
            Fittings.port(PortId.of("gauge"), TankPort.Use.GAUGE, 0.4, 0, 0.1));
    assertThat(holes(rig))
        .extracting(Hole::port)
        .containsExactly(PortId.of("drain"), PortId.of("gauge"), PortId.of("feed"));
  }

  @ParameterizedTest
  @CsvSource({
    // Its top is 280 mm above its bottom, the floor at 600 mm: 150 mm under it to 50 mm over it.
    "0.16, false",
    "0.18, true",
    "0.32, true",
    "0.36, true",
    "0.38, false",
    "0.7, false",
  })
  void aVentThatComesCloseUnderTheFloorWaits(double bottom, boolean waits) {
    Rig rig =
        rig(
            bottom,
            BULKHEAD,
            Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0.1),
            Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.4, 0.2, 0.28),
            Fittings.port(PortId.of("fill"), TankPort.Use.FILL, 0.2, 0.2, 0.28),
            Fittings.port(PortId.of("air"), TankPort.Use.VENT, 0.2, 0.38, 0.2));
    assertThat(holes(rig))
        .filteredOn(h -> !h.late().isEmpty())
        .extracting(Hole::port)
        .isEqualTo(waits ? List.of(PortId.of("vent")) : List.of());
    List<String> steps = sheet(rig).steps().stream().map(Object::toString).toList();
    assertThat(steps.stream().filter(s -> s.startsWith("Leave until the tank hangs: vent.")))
        .hasSize(waits ? 1 : 0);
    // What is there already waits for nothing.
    DrillSheet there =
        DrillSheet.of(
            rig,
            rig.part(PartId.of("tank")),
            Network.of(rig).room(PartId.of("tank")),
            new DrillSheet.Measured(Map.of(), Set.of("vent"), Optional.empty()));
    assertThat(there.steps()).hasSize(6);
  }

  /** The rear of a tank of such a shape with walls of 10 mm. */
  private static FaceSheet rear(Shape shape) {
    Kind tank =
        SmallVan.tank(shape, Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0, 0.2, 0.15));
    Rig rig =
        RigBuilder.named("Ends")
            .vehicle(SmallVan.VAN)
            .place("bed", "Bed", "reach in", 0, 0, 1)
            .part("tank", "Tank", 1, 0, 0.7, tank)
            .build();
    FaceSheet rear = sheet(rig).faces().getFirst();
    assertThat(rear.face()).isEqualTo(Face.REAR);
    return rear;
  }

  static Stream<Arguments> ends() {
    return Stream.of(
        Arguments.of(new Shape.LyingCylinder(0.4, 0.8, true), 0.8),
        Arguments.of(
            new Shape.Straddling(
                List.of(
                    new Shape.Block(0, 0, 0, 0.5, 0.4, 0.3),
                    new Shape.Block(0.5, 0.1, 0, 0.3, 0.5, 0.3))),
            0.6),
        // Known by its depths, it is as broad as a box of its water: 96 L over 0.8 m and 0.3 m of
        // depth make 0.4 m, and a wall on both sides.
        Arguments.of(
            new Shape.DepthTable(0.8, List.of(new Shape.Row(0.1, 0.02), new Shape.Row(0.3, 0.096))),
            0.42));
  }

  @ParameterizedTest
  @MethodSource("ends")
  void theRearIsAsWideAsTheTank(Shape shape, double width) {
    assertThat(rear(shape).width()).isCloseTo(width, within(1e-3));
  }
}
