package fernwort.core.build.joints;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.build.SmallVan;
import fernwort.core.demo.DemoRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Form;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Made;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Seal;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.Valve;
import fernwort.core.network.Network;
import fernwort.core.rig.Built;
import fernwort.core.rig.Joint;
import fernwort.core.rig.Line;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What is said of ends that somebody described. */
class JointCheckTest {

  private static final DemoRig MARGINALIA = DemoRig.all().getFirst();
  private static final PortRef PUMP_OUT = new PortRef(PartId.of("pump"), PortId.OUT);

  private static Form thread(Standard standard, String size, Gender gender) {
    return new Connection.Thread(standard, size, gender);
  }

  private static Rig joined(Connection port, Connection line) {
    return MARGINALIA
        .rig()
        .with(
            new Built(
                List.of(new Joint(PUMP_OUT, Optional.of(port), Optional.of(line))), List.of()));
  }

  static List<Arguments> pairs() {
    Form npt = thread(Standard.NPT, "1/2", Gender.FEMALE);
    Form bsp = thread(Standard.BSP_PARALLEL, "1/2", Gender.MALE);
    return List.of(
        Arguments.of(npt, bsp, EndFinding.Code.TWO_STANDARDS),
        Arguments.of(bsp, bsp, EndFinding.Code.SAME_HALVES),
        Arguments.of(
            bsp, thread(Standard.BSP_PARALLEL, "3/4", Gender.FEMALE), EndFinding.Code.TWO_SIZES),
        Arguments.of(
            new Connection.HoseTail(0.010),
            new Connection.HoseEnd(0.013),
            EndFinding.Code.TAIL_SMALL),
        Arguments.of(
            new Connection.HoseTail(0.014),
            new Connection.HoseEnd(0.013),
            EndFinding.Code.TAIL_WARMED),
        Arguments.of(
            new Connection.HoseTail(0.016),
            new Connection.HoseEnd(0.013),
            EndFinding.Code.TAIL_LARGE),
        Arguments.of(
            new Connection.Spigot(Plastic.PVC, 0.02),
            new Connection.Spigot(Plastic.PVC, 0.02),
            EndFinding.Code.SAME_HALVES),
        Arguments.of(
            new Connection.Socket(Plastic.POLYPROPYLENE, 0.02),
            new Connection.Spigot(Plastic.POLYPROPYLENE, 0.02),
            EndFinding.Code.NO_CEMENT_HOLDS),
        Arguments.of(
            new Connection.Socket(Plastic.ABS, 0.02),
            new Connection.Spigot(Plastic.PVC, 0.02),
            EndFinding.Code.TWO_PLASTICS));
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void whatDoesNotMateIsNamed(Form port, Form line, EndFinding.Code code) {
    List<EndFinding> found = JointCheck.of(joined(new Connection(port), new Connection(line)));
    assertThat(found).extracting(EndFinding::code).containsExactly(code);
    assertThat(found.getFirst().at()).isEqualTo(PUMP_OUT);
    assertThat(found.getFirst().fix().toString()).isNotBlank();
    assertThat(JointCheck.of(joined(new Connection(line), new Connection(port))))
        .extracting(EndFinding::code)
        .containsExactly(code);
  }

  @Test
  void brassInDrinkingWaterAndTwoSealsAreTold() {
    Connection brass =
        new Connection(
            thread(Standard.BSP_PARALLEL, "1/2", Gender.MALE),
            Optional.of(Made.BRASS),
            Optional.of(Seal.O_RING));
    Connection taped =
        new Connection(
            thread(Standard.BSP_PARALLEL, "1/2", Gender.FEMALE),
            Optional.of(Made.LEAD_FREE_BRASS),
            Optional.of(Seal.TAPE));
    assertThat(JointCheck.of(joined(brass, taped)))
        .extracting(EndFinding::code)
        .containsExactly(EndFinding.Code.BRASS, EndFinding.Code.SEALED_TWICE);
  }

  @Test
  void aReliefTubeThatCanBeShutIsTold() {
    Rig rig = MARGINALIA.rig();
    Line feed =
        rig.lines().stream()
            .filter(l -> rig.part(l.to().part()).kind() instanceof Valve)
            .findFirst()
            .orElseThrow();
    Kind relief = new CheckValve(3.5e5);
    Rig with =
        RigEdit.of(rig)
            .insert(
                feed.id(),
                rig.part(feed.to().part()).called("Relief").with(relief)
                        instanceof fernwort.core.rig.Part p
                    ? new fernwort.core.rig.Part(
                        PartId.of("relief"),
                        "Relief",
                        p.place(),
                        p.x(),
                        p.y(),
                        p.height(),
                        0,
                        relief)
                    : rig.part(feed.to().part()),
                PortId.IN,
                PortId.OUT);
    assertThat(JointCheck.of(with))
        .extracting(EndFinding::code)
        .containsExactly(EndFinding.Code.RELIEF_SHUT);
  }

  @Test
  void aNarrowFittingCostsWhatTheRigLosesByIt() {
    // From 12 mm to 8 mm: β² = 0.444, (0.556/2 + 0.556²)/0.1975 = 2.97 on the line's speed.
    assertThat(Narrow.loss(0.008, 0.012)).isCloseTo(2.97, within(0.01));
    assertThat(Narrow.loss(0.012, 0.012)).isZero();
    // As on the Bench: ½(1 − β²) + (1 − β²)² on the speed inside, for the same flow.
    double flow = 1e-4;
    double inside = flow / (Math.PI / 4 * 0.008 * 0.008);
    double line = flow / (Math.PI / 4 * 0.012 * 0.012);
    double open = 1 - 0.008 * 0.008 / (0.012 * 0.012);
    assertThat(Narrow.loss(0.008, 0.012) * line * line)
        .isCloseTo((open / 2 + open * open) * inside * inside, within(1e-9));
    // A tail for 5 mm where the delivery of 12 mm leaves the pump: 4 mm inside.
    PortRef out = new PortRef(PartId.of("pump"), PortId.OUT);
    Rig van =
        SmallVan.rig()
            .with(
                new Built(
                    List.of(
                        new Joint(
                            out,
                            Optional.of(new Connection(new Connection.HoseTail(0.005))),
                            Optional.empty())),
                    List.of()));
    Hydraulics hydraulics = Hydraulics.of(Network.of(van));
    State running =
        new State(van.atRest(), Map.of(PartId.of("tank"), 0.06), fernwort.core.rig.Slope.LEVEL)
            .with(PartId.of("pump"), Kind.ON)
            .with(PartId.of("sink"), PositionId.of("open"));
    List<Narrow> narrow = Narrow.of(hydraulics, JointEnds.of(van), running);
    Narrow worst = narrow.getFirst();
    assertThat(worst.at()).isEqualTo(out);
    assertThat(worst.bore()).isCloseTo(0.004, within(1e-9));
    double clear = hydraulics.solve(running).fixture(PartId.of("sink"));
    double with =
        hydraulics
            .losing(Map.of(LineId.of("delivery"), Narrow.loss(0.004, 0.012)))
            .solve(running)
            .fixture(PartId.of("sink"));
    assertThat(worst.without()).isCloseTo(clear, within(1e-9));
    assertThat(worst.with()).isCloseTo(with, within(1e-9));
    assertThat(worst.costs()).isCloseTo(clear - with, within(1e-9)).isPositive();
    assertThat(narrow)
        .isSortedAccordingTo(java.util.Comparator.comparingDouble(Narrow::costs).reversed());
    // With the pump off nothing runs, and nothing is told.
    assertThat(
            Narrow.of(
                hydraulics,
                JointEnds.of(van),
                running.with(PartId.of("pump"), PositionId.of("off"))))
        .isEmpty();
  }

  @Test
  void whereNoChainIsKnownItIsSaid() {
    Rig van =
        SmallVan.rig()
            .with(
                new Built(
                    List.of(
                        new Joint(
                            new PortRef(PartId.of("pump"), PortId.OUT),
                            Optional.of(new Connection(new Connection.HoseTail(0.2))),
                            Optional.empty())),
                    List.of()));
    assertThat(JointCheck.of(van))
        .extracting(EndFinding::code)
        .containsExactly(EndFinding.Code.NO_CHAIN);
    assertThat(JointCheck.of(van).getFirst().what().toString())
        .contains("200 mm")
        .contains("15 mm tube");
  }

  @Test
  void aReliefTubeIsFollowedThroughTeesToWhatShutsIt() {
    assertThat(JointCheck.of(relieved(new OpenEnd(OpenEnd.Role.OVERFLOW)))).isEmpty();
    assertThat(JointCheck.of(relieved(new OpenEnd(OpenEnd.Role.DUMP))))
        .extracting(EndFinding::code)
        .containsExactly(EndFinding.Code.RELIEF_SHUT);
    assertThat(JointCheck.of(relieved(new Plug(true))).getFirst().what().toString())
        .contains("Far end");
    // A check valve that opens for a little is no relief.
    assertThat(SmallVan.rig().part(PartId.of("pump")).kind().relieves()).isFalse();
  }

  /** The rinse's branch ends in a relief valve whose tube passes a tee. */
  private static Rig relieved(Kind end) {
    return fernwort.core.rig.RigBuilder.named("Relief")
        .vehicle(SmallVan.VAN)
        .place("box", "Box", "open", 1, 0, 1)
        .part("inlet", "Inlet", 1, 0, 1, fernwort.core.describe.Fittings.inlet(3))
        .part("relief", "Relief", 1.2, 0, 1, new CheckValve(3.5e5))
        .part("tee", "Tee", 1.4, 0, 1, new Tee())
        .part("near", "Near end", 1.5, 0, 0.9, new OpenEnd(OpenEnd.Role.DRAIN))
        .part("far", "Far end", 1.6, 0, 0.8, end)
        .line("a", "A", "inlet.out > relief.in", 12, 0.3, Line.Material.PEX, 1)
        .line("b", "B", "relief.out > tee.a", 12, 0.3, Line.Material.PEX, 1)
        .line("c", "C", "tee.b > near.in", 12, 0.3, Line.Material.PEX, 1)
        .line("d", "D", "tee.c > far.in", 12, 0.3, Line.Material.PEX, 1)
        .build();
  }
}
