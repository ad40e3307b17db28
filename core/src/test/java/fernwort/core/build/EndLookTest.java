package fernwort.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Built;
import fernwort.core.rig.Connection;
import fernwort.core.rig.Connection.Form;
import fernwort.core.rig.Connection.Gender;
import fernwort.core.rig.Connection.Made;
import fernwort.core.rig.Connection.Plastic;
import fernwort.core.rig.Connection.Seal;
import fernwort.core.rig.Connection.Standard;
import fernwort.core.rig.Joint;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What is said of ends that somebody described. */
class EndLookTest {

  private static final DemoRig MARGINALIA = DemoRig.all().getFirst();
  private static final PortRef PUMP_OUT = new PortRef("pump", "out");

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
    List<EndFinding> found = EndLook.of(joined(new Connection(port), new Connection(line)));
    assertThat(found).extracting(EndFinding::code).containsExactly(code);
    assertThat(found.getFirst().at()).isEqualTo(PUMP_OUT);
    assertThat(found.getFirst().mend().toString()).isNotBlank();
    assertThat(EndLook.of(joined(new Connection(line), new Connection(port))))
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
    assertThat(EndLook.of(joined(brass, taped)))
        .extracting(EndFinding::code)
        .containsExactly(EndFinding.Code.BRASS, EndFinding.Code.SEALED_TWICE);
  }

  @Test
  void aReliefTubeThatCanBeShutIsTold() {
    Rig rig = MARGINALIA.rig();
    Line feed =
        rig.lines().stream()
            .filter(l -> rig.part(l.to().part()).kind() instanceof Kind.Valve)
            .findFirst()
            .orElseThrow();
    Kind relief = new Kind.CheckValve(3.5e5);
    Rig with =
        RigEdit.of(rig)
            .insert(
                feed.id(),
                rig.part(feed.to().part()).called("Relief").with(relief)
                        instanceof fernwort.core.rig.Part p
                    ? new fernwort.core.rig.Part(
                        "relief", "Relief", p.place(), p.x(), p.y(), p.height(), 0, relief)
                    : rig.part(feed.to().part()),
                "in",
                "out");
    assertThat(EndLook.of(with))
        .extracting(EndFinding::code)
        .containsExactly(EndFinding.Code.RELIEF_SHUT);
  }

  @Test
  void aNarrowFittingCostsWhatTheRigLosesByIt() {
    // From 12 mm to 8 mm: β² = 0.444, (0.556/2 + 0.556²)/0.1975 = 2.97 on the line's speed.
    assertThat(Narrow.loss(0.008, 0.012)).isCloseTo(2.97, within(0.01));
    assertThat(Narrow.loss(0.012, 0.012)).isZero();
    Plumbing plumbing = Plumbing.of(MARGINALIA.rig());
    Hydraulics hydraulics = Hydraulics.of(plumbing);
    State running =
        MARGINALIA
            .state()
            .with("pump", Kind.ON)
            .with(
                MARGINALIA.rig().parts().stream()
                    .filter(p -> p.kind() instanceof Kind.Fixture)
                    .findFirst()
                    .orElseThrow()
                    .id(),
                "cold");
    for (Narrow narrow : Narrow.of(hydraulics, Ends.of(MARGINALIA.rig()), running)) {
      assertThat(narrow.costs()).isPositive();
      assertThat(narrow.bore()).isLessThan(narrow.line().bore());
    }
  }
}
