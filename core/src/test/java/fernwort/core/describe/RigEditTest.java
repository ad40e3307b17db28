package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.rig.Contents;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RigEditTest {

  private final Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();

  private static Part valve(String id) {
    return new Part(id, "New valve", "bed", 0, 0, 0.8, 2e-5, Fittings.twoWay(0));
  }

  @Test
  void aPartPutIntoALineCutsItInTwoAndKeepsItsLength() {
    Line before = RigEdit.of(rig).line("pump-out-sink");
    Rig changed = RigEdit.of(rig).insert("pump-out-sink", valve("tap-valve"), "a", "b");
    List<Line> at = RigEdit.of(changed).linesAt("tap-valve");
    assertThat(at).hasSize(2);
    assertThat(at.stream().mapToDouble(Line::length).sum())
        .isCloseTo(before.length(), within(1e-9));
    assertThat(at.getFirst().from()).isEqualTo(new PortRef("pump", "out"));
    assertThat(at.getLast().to()).isEqualTo(new PortRef("sink", "cold"));
  }

  @Property(tries = 100)
  void takingOutWhatWasPutInGivesTheOldConnectionsBack(@ForAll @IntRange(max = 60) int index) {
    Rig big = DemoRig.all().getFirst().rig();
    Line line = big.lines().get(index % big.lines().size());
    Part added =
        new Part("extra", "Extra", big.places().getFirst().id(), 0, 0, 1, 0, Fittings.twoWay(0));
    Rig back = RigEdit.of(RigEdit.of(big).insert(line.id(), added, "a", "b")).remove("extra");
    Line closed = RigEdit.of(back).line(line.id());
    assertThat(List.of(closed.from(), closed.to())).containsExactly(line.from(), line.to());
    assertThat(back.lines()).hasSameSizeAs(big.lines());
    assertThat(back.parts()).isEqualTo(big.parts());
  }

  @Test
  void aPartThatOthersNeedIsNotTakenOutAndTheyAreNamed() {
    Rig big = DemoRig.all().getFirst().rig();
    assertThatThrownBy(() -> RigEdit.of(big).remove("cold"))
        .hasMessageContaining("Cold manifold is needed by")
        .hasMessageContaining("Sink cold");
    assertThatThrownBy(() -> RigEdit.of(rig).remove("nothing")).hasMessageContaining("no part");
  }

  @Test
  void aPartAtTheEndOfALineTakesTheLineWithIt() {
    Rig changed = RigEdit.of(rig).remove("drain-cap");
    assertThat(RigEdit.of(changed).freePorts("fresh")).containsExactly("drain");
  }

  @Test
  void aBranchIsTeedOffWithItsPartAtTheEnd() {
    Part drain = new Part("low-drain", "Low drain", "galley", 0, 0, 0.7, 0, new Kind.Plug(true));
    Rig changed = RigEdit.of(rig).teeOff("pump-out-sink", drain, "in", 0.4);
    Part tee =
        changed.parts().stream()
            .filter(p -> p.kind() instanceof Kind.Tee)
            .findFirst()
            .orElseThrow();
    assertThat(RigEdit.of(changed).linesAt(tee.id())).hasSize(3);
    assertThat(tee.height()).isBetween(0.85, 1.55);
  }

  @Test
  void aPartMovesToAnotherPlaceAndHeight() {
    Part moved = RigEdit.of(rig).move("pump", "galley", 1.1).part("pump");
    assertThat(moved.place()).isEqualTo("galley");
    assertThat(moved.height()).isEqualTo(1.1);
    assertThat(moved.x()).isEqualTo(rig.place("galley").x());
    assertThat(RigEdit.of(rig).move("pump", "bed", 0.7).part("pump").x())
        .isEqualTo(rig.part("pump").x());
  }

  @Test
  void portsAreJoinedOnceAndAgainAfterTheirLineIsOff() {
    Line extra =
        new Line(
            "extra",
            "Extra",
            new PortRef("pump", "out"),
            new PortRef("sink", "cold"),
            0.012,
            1,
            Line.Material.PEX,
            0,
            List.of());
    assertThatThrownBy(() -> RigEdit.of(rig).connect(extra))
        .isInstanceOf(InvalidRigException.class)
        .hasMessageContaining("already joined");
    Rig off = RigEdit.of(rig).disconnect("pump-out-sink");
    assertThat(RigEdit.of(off).connect(extra).lines()).contains(extra);
  }

  @Test
  void aPlaceInUseStaysAndAnEmptyOneGoes() {
    assertThatThrownBy(() -> RigEdit.of(rig).removePlace("bed")).hasMessageContaining("Fresh");
    Rig more = RigEdit.of(rig).place(new Place("roof", "Roof", "ladder", 1, 0, 2.7));
    assertThat(RigEdit.of(more).removePlace("roof")).isEqualTo(rig);
  }

  @Test
  void idsAreMadeFromWordsAndNeverTwice() {
    RigEdit edit = RigEdit.of(rig);
    assertThat(edit.freeId("Pump")).isEqualTo("pump-2");
    assertThat(edit.freeId("Überlauf, links!")).isEqualTo("berlauf-links");
    assertThat(edit.freeId("???")).isEqualTo("item");
  }

  @Test
  void nothingIsChangedInTheRigItStartedFrom() {
    Rig before = ReadyRig.find("one-tank").orElseThrow().rig();
    RigEdit.of(rig).rename("Mine");
    RigEdit.of(rig).change("fresh", p -> p);
    assertThat(rig).isEqualTo(before);
    assertThat(rig.tanks(Contents.GRAY)).hasSize(1);
  }
}
