package fernwort.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.build.drill.DrillSheet;
import fernwort.core.build.drill.FaceSheet;
import fernwort.core.build.joints.BuyList;
import fernwort.core.build.joints.EndFinding;
import fernwort.core.build.joints.JointCheck;
import fernwort.core.build.mount.Hanging;
import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Made;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Seal;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
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
import fernwort.core.rig.TankSupport;
import fernwort.core.tank.TankRoom;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Lists, drawings and loads counted by hand. */
class BuildSumsTest {

  private static List<String> bought(Rig rig) {
    return BuyList.of(rig, List.of(0.029, 0.0225)).stream()
        .map(i -> "%d+%d %s".formatted(i.needed(), i.spare(), i.what()))
        .toList();
  }

  @Test
  void theWholeListOfASmallVan() {
    assertThat(bought(SmallVan.rig()))
        .containsExactlyInAnyOrder(
            // Parts, and what closes the opening that no line leads to.
            "1+0 Tank: Tank",
            "1+0 plug for an opening",
            "1+0 insect screen for a vent",
            "1+0 Pump",
            "1+1 tee, 15 mm tube",
            "1+0 Sink",
            "1+0 Rinse",
            // Two hoses at the tank, one at the pump; the vent's other end hangs open.
            "2+1 bulkhead with 1/2 BSP parallel thread, female",
            "2+1 1/2 BSP parallel thread, male to tail for 13 mm hose",
            "1+1 1/2 BSP parallel thread, female to tail for 13 mm hose",
            "3+1 hose clamp, stainless, for 13 mm hose",
            // Tube at the pump, the sink and the rinse.
            "3+1 1/2 BSP parallel thread, female to push-fit for 15 mm tube",
            "4+1 flat washer for a parallel thread",
            "1+0 hole saw, 29 mm",
            "1+0 hole saw, 23 mm",
            "1+0 tube cutter and deburrer");
  }

  private static Rig with(Kind kind, String first, String second) {
    return RigBuilder.named("One")
        .vehicle(SmallVan.VAN)
        .place("box", "Box", "open", 1, 0, 1)
        .part("in", "Inlet", 1, 0, 1, Fittings.inlet(3))
        .part("it", "It", 1.2, 0, 1, kind)
        .part("end", "End", 1.4, 0, 0.9, Fittings.end(OpenEnd.Role.DRAIN))
        .line("a", "A", "in.out > it." + first, 12, 0.3, Material.PEX, 1)
        .line("b", "B", "it." + second + " > end.in", 12, 0.3, Material.PEX, 1)
        .build();
  }

  static Stream<Arguments> kinds() {
    return Stream.of(
        Arguments.of(Fittings.twoWay(90), "a", "b", "1+0 valve, 15 mm tube"),
        Arguments.of(
            Fittings.motorised(90, PositionId.of("shut"), 5),
            "a",
            "b",
            "1+0 motor valve, 15 mm tube"),
        Arguments.of(new CheckValve(2e3), "in", "out", "1+1 check valve, 15 mm tube"),
        Arguments.of(new CheckValve(3e5), "in", "out", "1+1 relief valve, 15 mm tube"),
        Arguments.of(new Manifold(2), "in", "1", "1+0 manifold, 2 outlets, 15 mm tube"),
        Arguments.of(new Strainer(), "in", "out", "1+0 It"),
        Arguments.of(Fittings.regulator(2.8), "in", "out", "1+0 It"));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void eachPartIsAskedForByWhatItIs(Kind kind, String first, String second, String asked) {
    assertThat(bought(with(kind, first, second)))
        .contains(asked, "1+0 Inlet", "1+0 end for a line, 15 mm tube");
  }

  @Test
  void cementAndTapeAreBoughtWhereTheyHold() {
    Rig glued =
        RigBuilder.named("Glued")
            .vehicle(SmallVan.VAN)
            .place("box", "Box", "open", 1, 0, 1)
            .part("a", "Cap", 1, 0, 1, new Plug(true))
            .part("tee", "Tee", 1.2, 0, 1, new Tee())
            .line("l", "L", "a.in > tee.a", 20, 0.3, Material.RIGID_PVC, 1)
            .build();
    assertThat(bought(glued))
        .contains("1+0 cement and cleaner for PVC", "1+0 plug, PVC pipe, 20 mm")
        .noneMatch(s -> s.contains("tape") || s.contains("tube cutter"));
    Rig taped =
        SmallVan.rig()
            .with(
                new Built(
                    List.of(
                        new Joint(
                            new PortRef(PartId.of("pump"), PortId.OUT),
                            Optional.of(
                                new Connection(
                                    new Connection.Thread(Standard.NPT, "1/2", Gender.MALE))),
                            Optional.empty())),
                    List.of()));
    assertThat(bought(taped)).contains("1+0 PTFE tape for drinking water");
    assertThat(bought(SmallVan.rig())).noneMatch(s -> s.contains("PTFE"));
  }

  @Test
  void supportsAreBoughtWithTheirBolts() {
    TankSupport strap =
        new TankSupport(PartId.of("tank"), TankSupport.Type.STRAP, 0.2, 0.05, 2, 2500, 1800);
    TankSupport rail =
        new TankSupport(PartId.of("tank"), TankSupport.Type.RAIL, 0.6, 0.05, 3, 2500, 1800);
    Rig hung = SmallVan.rig().with(new Built(List.of(), List.of(strap, rail)));
    assertThat(bought(hung))
        .contains(
            "1+0 strap, 50 mm wide",
            "1+0 rail, 50 mm wide",
            "5+1 bolt with nut, washers and lock, working load 2.5 kN in pull");
  }

  private static Rig box(Shape shape, TankPort port) {
    Kind tank = SmallVan.tank(shape, port);
    return RigBuilder.named("Box")
        .vehicle(SmallVan.VAN)
        .place("bed", "Bed", "reach in", 0, 0, 1)
        .part("tank", "Tank", 1, 0, 0.7, tank)
        .part("tap", "Tap", 1, 0, 1, Fittings.fixture(Fixture.Type.TAP, false, 6))
        .line("feed", "Feed", "tank.feed > tap.cold", 12, 1, Material.PEX, 1)
        .build();
  }

  private static FaceSheet face(Rig rig, DrillSheet.Measured measured) {
    return DrillSheet.of(
            rig, rig.part(PartId.of("tank")), Network.of(rig).room(PartId.of("tank")), measured)
        .faces()
        .getFirst();
  }

  /** A feed on the right face of a box of 800 by 400 by 300 mm, walls of 10 mm. */
  private static List<String> slips(double across, double up, Optional<Double> seam) {
    return face(
            box(
                new Shape.Box(0.8, 0.4, 0.3),
                Fittings.port(PortId.of("feed"), TankPort.Use.FEED, across - 0.01, 0, up - 0.01)),
            new DrillSheet.Measured(Map.of(), Set.of(), seam))
        .holes()
        .getFirst()
        .slips()
        .stream()
        .map(Object::toString)
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    // Half a nut of 46.4 mm and 15 mm to the rounded edge: 38.2 mm from each.
    "38.1, 150, from the left edge of the drawing",
    "761.9, 150, from the right edge of the drawing",
    "400, 38.1, from the lower edge of the drawing",
    "400, 261.9, from the upper edge of the drawing",
  })
  void aNutTooNearAnEdgeIsTold(double across, double up, String told) {
    assertThat(slips(across / 1000, up / 1000, Optional.empty()))
        .singleElement()
        .satisfies(s -> assertThat(s).contains(told).contains("its nut needs 38"));
    double inward = 0.0002;
    assertThat(
            slips(
                across / 1000 + Math.signum(400 - across) * inward,
                up / 1000 + Math.signum(150 - up) * inward,
                Optional.empty()))
        .isEmpty();
  }

  @Test
  void aSeamIsKeptClearOfOnTheSidesOnly() {
    assertThat(slips(0.4, 0.15, Optional.of(0.16)))
        .singleElement()
        .satisfies(s -> assertThat(s).contains("Over the weld or seam"));
    assertThat(slips(0.4, 0.15, Optional.of(0.25))).isEmpty();
    FaceSheet top =
        face(
            box(
                new Shape.Box(0.8, 0.4, 0.3),
                Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0.15, 0.28)),
            new DrillSheet.Measured(Map.of(), Set.of(), Optional.of(0.16)));
    assertThat(top.face()).isEqualTo(Face.TOP);
    assertThat(top.holes().getFirst().slips()).isEmpty();
  }

  static Stream<Arguments> shapes() {
    return Stream.of(
        Arguments.of(new Shape.Box(0.8, 0.4, 0.3), 0.8, 0.3),
        Arguments.of(new Shape.UprightCylinder(0.4, 0.6), 0.4, 0.6),
        Arguments.of(new Shape.LyingCylinder(0.4, 0.8, false), 0.8, 0.4),
        Arguments.of(new Shape.LyingCylinder(0.4, 0.8, true), 0.4, 0.4),
        Arguments.of(
            new Shape.Prism(
                List.of(
                    new Shape.Corner(0.1, 0),
                    new Shape.Corner(0.7, 0),
                    new Shape.Corner(0.7, 0.3),
                    new Shape.Corner(0.1, 0.3)),
                0.5),
            0.6,
            0.3),
        Arguments.of(
            new Shape.Straddling(
                List.of(
                    new Shape.Block(0, 0, 0, 0.5, 0.4, 0.3),
                    new Shape.Block(0.5, 0, 0, 0.3, 0.4, 0.3))),
            0.8,
            0.3),
        // Inside as measured by filling, and a wall all round.
        Arguments.of(
            new Shape.DepthTable(0.8, List.of(new Shape.Row(0.1, 0.02), new Shape.Row(0.3, 0.096))),
            0.82,
            0.32));
  }

  @ParameterizedTest
  @MethodSource("shapes")
  void aFaceIsDrawnAsLargeAsItIsOutside(Shape shape, double width, double height) {
    FaceSheet right =
        face(
            box(shape, Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.15, 0, 0.12)),
            DrillSheet.Measured.NOTHING);
    assertThat(right.face()).isEqualTo(Face.RIGHT);
    assertThat(right.width()).isCloseTo(width, within(1e-6));
    assertThat(right.height()).isCloseTo(height, within(4e-4));
  }

  @ParameterizedTest
  @EnumSource(Face.class)
  void aFaceLiesOverAgainstItsOpposite(Face face) {
    assertThat(face.opposite()).isNotEqualTo(face);
    assertThat(face.opposite().opposite()).isEqualTo(face);
    fernwort.core.kind.tank.Point size = new fernwort.core.kind.tank.Point(0.8, 0.4, 0.3);
    fernwort.core.kind.tank.Point on = face.point(0.1, 0.1, size);
    assertThat(face.away(on, size)).isZero();
    double through = face.opposite().away(on, size);
    assertThat(through).isIn(0.8, 0.4, 0.3);
    assertThat(face.words()).isEqualToIgnoringCase(face.name());
  }

  @Test
  void aFullTankWeighsItsWaterAndItself() {
    TankRoom room = Network.of(SmallVan.rig()).room(PartId.of("tank"));
    // 780 by 380 by 280 mm inside, and 6 % for the tank.
    assertThat(Hanging.fullMass(room)).isCloseTo(1.06 * 0.78 * 0.38 * 0.28 * 999.1, within(1e-6));
    TankSupport near =
        new TankSupport(PartId.of("tank"), TankSupport.Type.STRAP, 0.1, 0.05, 2, 2500, 1800);
    TankSupport far =
        new TankSupport(PartId.of("tank"), TankSupport.Type.STRAP, 0.7, 0.05, 2, 1000, 1800);
    Hanging hanging = Hanging.of(80, 0.4, 0, 0, 0.4, List.of(near, far), Hanging.Moving.USUAL);
    assertThat(hanging.fullest().orElseThrow().support()).isEqualTo(far);
    assertThat(hanging.moveToCentre()).isCloseTo(0, within(1e-12));
    assertThat(hanging.tips()).isFalse();
    assertThat(hanging.fallsWithoutOne()).isTrue();
    Hanging off = Hanging.of(80, 0.75, 0, 0, 0.4, List.of(near, far), Hanging.Moving.USUAL);
    assertThat(off.tips()).isTrue();
    assertThat(off.moveToCentre()).isCloseTo(0.35, within(1e-12));
  }

  private static Rig joined(PortRef at, Connection port, Connection line) {
    return SmallVan.rig()
        .with(new Built(List.of(new Joint(at, Optional.of(port), Optional.of(line))), List.of()));
  }

  private static Connection thread(Gender gender, Made made, Optional<Seal> seal) {
    return new Connection(
        new Connection.Thread(Standard.BSP_PARALLEL, "1/2", gender), Optional.of(made), seal);
  }

  @Test
  void brassIsToldInDrinkingWaterAndNowhereElse() {
    Connection port = thread(Gender.MALE, Made.PLASTIC, Optional.empty());
    Connection brass = thread(Gender.FEMALE, Made.BRASS, Optional.empty());
    assertThat(JointCheck.of(joined(new PortRef(PartId.of("pump"), PortId.OUT), port, brass)))
        .extracting(EndFinding::code)
        .containsExactly(EndFinding.Code.BRASS);
    Connection leadFree = thread(Gender.FEMALE, Made.LEAD_FREE_BRASS, Optional.empty());
    assertThat(JointCheck.of(joined(new PortRef(PartId.of("pump"), PortId.OUT), port, leadFree)))
        .isEmpty();
    // The vent carries air.
    Connection bulkhead =
        new Connection(
            new Connection.Bulkhead(Standard.BSP_PARALLEL, "1/2"),
            Optional.of(Made.BRASS),
            Optional.empty());
    Connection male = thread(Gender.MALE, Made.BRASS, Optional.empty());
    assertThat(
            JointCheck.of(
                joined(new PortRef(PartId.of("tank"), PortId.of("vent")), bulkhead, male)))
        .isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "O_RING, TAPE, true",
    "TAPE, O_RING, true",
    "FLAT_WASHER, TAPE, true",
    "TAPE, TAPE, false",
    "O_RING, FLAT_WASHER, false",
  })
  void tapeOnAJointThatARingSealsIsTold(Seal port, Seal line, boolean told) {
    Rig rig =
        joined(
            new PortRef(PartId.of("pump"), PortId.OUT),
            thread(Gender.MALE, Made.PLASTIC, Optional.of(port)),
            thread(Gender.FEMALE, Made.PLASTIC, Optional.of(line)));
    assertThat(JointCheck.of(rig))
        .extracting(EndFinding::code)
        .isEqualTo(told ? List.of(EndFinding.Code.SEALED_TWICE) : List.of());
  }

  static Stream<Arguments> quarrels() {
    Connection.Form male = new Connection.Thread(Standard.BSP_PARALLEL, "1/2", Gender.MALE);
    Connection.Form tapered = new Connection.Thread(Standard.BSP_TAPERED, "3/4", Gender.MALE);
    return Stream.of(
        Arguments.of(
            new Connection.Thread(Standard.NPT, "1/2", Gender.MALE),
            new Connection.Bulkhead(Standard.BSP_PARALLEL, "1/2"),
            EndFinding.Code.TWO_STANDARDS),
        // Tapered and parallel threads of one family differ in size only.
        Arguments.of(
            tapered,
            new Connection.Bulkhead(Standard.BSP_PARALLEL, "1/2"),
            EndFinding.Code.TWO_SIZES),
        Arguments.of(
            new Connection.Thread(Standard.BSP_PARALLEL, "1/2", Gender.FEMALE),
            new Connection.Bulkhead(Standard.BSP_PARALLEL, "1/2"),
            EndFinding.Code.SAME_HALVES),
        Arguments.of(male, new Connection.HoseEnd(0.013), EndFinding.Code.OTHER),
        Arguments.of(
            new Connection.Socket(Plastic.PVC, 0.02),
            new Connection.Spigot(Plastic.PVC, 0.025),
            EndFinding.Code.TWO_SIZES));
  }

  @ParameterizedTest
  @MethodSource("quarrels")
  void whatTwoFormsHaveAgainstEachOtherIsTheSameFromBothSides(
      Connection.Form a, Connection.Form b, EndFinding.Code code) {
    assertThat(JointCheck.code(a, b)).isEqualTo(code);
    assertThat(JointCheck.code(b, a)).isEqualTo(code);
  }
}
