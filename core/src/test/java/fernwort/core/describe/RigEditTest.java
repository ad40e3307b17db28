package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Line;
import fernwort.core.rig.LineCourse;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class RigEditTest {

  private final Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();

  private static Part valve(PartId id) {
    return new Part(id, "New valve", PlaceId.of("bed"), 0, 0, 0.8, 2e-5, Fittings.twoWay(0));
  }

  @Test
  void aPartPutIntoALineCutsItInTwoAndKeepsItsLength() {
    Line before = RigEdit.of(rig).line(LineId.of("pump-out-sink"));
    Rig changed =
        RigEdit.of(rig)
            .insert(LineId.of("pump-out-sink"), valve(PartId.of("tap-valve")), PortId.A, PortId.B);
    List<Line> at = RigEdit.of(changed).linesAt(PartId.of("tap-valve"));
    assertThat(at).hasSize(2);
    assertThat(at.stream().mapToDouble(Line::length).sum())
        .isCloseTo(before.length(), within(1e-9));
    assertThat(at.getFirst().from()).isEqualTo(new PortRef(PartId.of("pump"), PortId.OUT));
    assertThat(at.getLast().to()).isEqualTo(new PortRef(PartId.of("sink"), PortId.COLD));
  }

  /** A rig whose lines rise and sag anyhow on their way. */
  private static Rig bent(Rig rig, Random random) {
    return new Rig(
        rig.name(),
        rig.note(),
        rig.vehicle(),
        rig.places(),
        rig.parts(),
        rig.lines().stream()
            .map(l -> {
              int bends = random.nextInt(4);
              return l.along(
                  IntStream.rangeClosed(1, bends)
                      .mapToObj(i ->
                          new ProfilePoint(
                              l.length() * i / (bends + 1.0), 0.3 + 2 * random.nextDouble()))
                      .toList());
            })
            .toList());
  }

  @Property(tries = 100)
  void takingOutWhatWasPutInGivesTheOldLineBackAsItRan(
      @ForAll @IntRange(max = 60) int index, @ForAll boolean turned, @ForAll long seed) {
    Rig big = bent(DemoRig.all().getFirst().rig(), new Random(seed));
    Line line = big.lines().get(index % big.lines().size());
    RigEdit edit = RigEdit.of(big);
    double height = edit.middle(line.id()).height();
    Part added =
        new Part(
            PartId.of("extra"),
            "Extra",
            big.places().getFirst().id(),
            0,
            0,
            height,
            0,
            Fittings.twoWay(0));
    Rig cut =
        edit.insert(line.id(), added, turned ? PortId.B : PortId.A, turned ? PortId.A : PortId.B);
    Rig back = RigEdit.of(cut).remove(PartId.of("extra"));
    Line closed = RigEdit.of(back).line(line.id());
    assertThat(List.of(closed.from(), closed.to())).containsExactly(line.from(), line.to());
    assertThat(closed.minorLoss()).isCloseTo(line.minorLoss(), within(1e-9));
    assertThat(back.lines()).hasSameSizeAs(big.lines());
    assertThat(back.parts()).isEqualTo(big.parts());
    assertThat(closed.length()).isCloseTo(Math.max(0.1, line.length()), within(1e-9));
    if (line.length() > 0.1) {
      LineCourse before = LineCourse.of(big, line);
      LineCourse after = LineCourse.of(back, closed);
      for (double share = 0; share <= 1; share += 0.05) {
        double along = share * line.length();
        assertThat(after.heightAt(along)).isCloseTo(before.heightAt(along), within(1e-3));
      }
    }
  }

  @Test
  void aLineGoesOnPassingWhereAPartWasThatIsTakenOut() {
    Part crest =
        new Part(PartId.of("crest"), "Crest", PlaceId.of("bed"), 0, 0, 1.9, 0, Fittings.twoWay(0));
    Rig raised = RigEdit.of(rig).insert(LineId.of("pump-out-sink"), crest, PortId.A, PortId.B);
    double half = RigEdit.of(rig).line(LineId.of("pump-out-sink")).length() / 2;
    Line over =
        RigEdit.of(RigEdit.of(raised).remove(PartId.of("crest"))).line(LineId.of("pump-out-sink"));
    assertThat(over.profile()).containsExactly(new ProfilePoint(half, 1.9));
    // Told from its other end it is the same line.
    List<Line> turnedRound = new ArrayList<>();
    raised
        .lines()
        .forEach(l ->
            turnedRound.add(
                l.id().equals(LineId.of("pump-out-sink"))
                    ? new Line(
                        l.id(),
                        l.label(),
                        l.to(),
                        l.from(),
                        l.bore(),
                        0.7,
                        l.material(),
                        1,
                        List.of(new ProfilePoint(0.2, 1.7)))
                    : l));
    Rig other =
        new Rig(
            raised.name(),
            raised.note(),
            raised.vehicle(),
            raised.places(),
            raised.parts(),
            turnedRound);
    Line back =
        RigEdit.of(RigEdit.of(other).remove(PartId.of("crest"))).line(LineId.of("pump-out-sink"));
    assertThat(back.from()).isEqualTo(new PortRef(PartId.of("sink"), PortId.COLD));
    assertThat(back.to()).isEqualTo(new PortRef(PartId.of("pump"), PortId.OUT));
    assertThat(back.length()).isCloseTo(half + 0.7, within(1e-9));
    assertThat(back.profile()).hasSize(2);
    assertThat(back.profile().getFirst().along()).isCloseTo(half, within(1e-9));
    assertThat(back.profile().getFirst().height()).isEqualTo(1.9);
    assertThat(back.profile().getLast().along()).isCloseTo(half + 0.2, within(1e-9));
    assertThat(back.profile().getLast().height()).isEqualTo(1.7);
  }

  @Test
  void aBranchLeavesALineWhereItIsToldTo() {
    Line line = RigEdit.of(rig).line(LineId.of("pump-out-sink"));
    Rig sagging =
        RigEdit.of(rig).changeLine(line.id(), l -> l.along(List.of(new ProfilePoint(0.3, 0.4))));
    LineCourse course = LineCourse.of(sagging, RigEdit.of(sagging).line(line.id()));
    Part drain =
        new Part(
            PartId.of("low-drain"),
            "Low drain",
            PlaceId.of("galley"),
            0,
            0,
            0.3,
            0,
            new Plug(true));
    Rig low = RigEdit.of(sagging).teeOff(line.id(), drain, PortId.IN, 0.4, course.lowest());
    assertThat(low.part(PartId.of("tee")).height()).isEqualTo(0.4);
    List<Line> at = RigEdit.of(low).linesAt(PartId.of("tee"));
    assertThat(at.getFirst().length()).isCloseTo(0.3, within(1e-9));
    assertThat(at.getFirst().profile()).isEmpty();
    assertThat(at.getFirst().minorLoss() / line.minorLoss())
        .isCloseTo(0.3 / line.length(), within(1e-9));
    assertThat(at.get(1).length()).isCloseTo(line.length() - 0.3, within(1e-9));
    assertThat(at.getLast().minorLoss()).isEqualTo(1);
    assertThat(at.getLast().length()).isEqualTo(0.4);
    // The middle of a sagging line is where it passes, not halfway between its ends.
    Rig middle = RigEdit.of(sagging).teeOff(line.id(), drain, PortId.IN, 0.4);
    assertThat(middle.part(PartId.of("tee")).height())
        .isCloseTo(course.heightAt(line.length() / 2), within(1e-9));
  }

  @Test
  void aPartThatOthersNeedIsNotTakenOutAndTheyAreNamed() {
    Rig big = DemoRig.all().getFirst().rig();
    assertThatThrownBy(() -> RigEdit.of(big).remove(PartId.of("cold")))
        .hasMessageContaining("Cold manifold is needed by")
        .hasMessageContaining("Sink cold");
    assertThatThrownBy(() -> RigEdit.of(rig).remove(PartId.of("nothing")))
        .hasMessageContaining("no part");
  }

  @Test
  void aPartAtTheEndOfALineTakesTheLineWithIt() {
    Rig changed = RigEdit.of(rig).remove(PartId.of("drain-cap"));
    assertThat(RigEdit.of(changed).freePorts(PartId.of("fresh")))
        .containsExactly(PortId.of("drain"));
  }

  @Test
  void aBranchIsTeedOffWithItsPartAtTheEnd() {
    Part drain =
        new Part(
            PartId.of("low-drain"),
            "Low drain",
            PlaceId.of("galley"),
            0,
            0,
            0.7,
            0,
            new Plug(true));
    Rig changed = RigEdit.of(rig).teeOff(LineId.of("pump-out-sink"), drain, PortId.IN, 0.4);
    Part tee =
        changed.parts().stream().filter(p -> p.kind() instanceof Tee).findFirst().orElseThrow();
    assertThat(RigEdit.of(changed).linesAt(tee.id())).hasSize(3);
    assertThat(tee.height()).isBetween(0.85, 1.55);
  }

  @Test
  void aPartMovesToAnotherPlaceAndHeight() {
    Part moved =
        RigEdit.of(rig).move(PartId.of("pump"), PlaceId.of("galley"), 1.1).part(PartId.of("pump"));
    assertThat(moved.place().value()).isEqualTo("galley");
    assertThat(moved.height()).isEqualTo(1.1);
    assertThat(moved.x()).isEqualTo(rig.place(PlaceId.of("galley")).x());
    assertThat(
            RigEdit.of(rig)
                .move(PartId.of("pump"), PlaceId.of("bed"), 0.7)
                .part(PartId.of("pump"))
                .x())
        .isEqualTo(rig.part(PartId.of("pump")).x());
  }

  @Test
  void portsAreJoinedOnceAndAgainAfterTheirLineIsOff() {
    Line extra =
        new Line(
            LineId.of("extra"),
            "Extra",
            new PortRef(PartId.of("pump"), PortId.OUT),
            new PortRef(PartId.of("sink"), PortId.COLD),
            0.012,
            1,
            Line.Material.PEX,
            0,
            List.of());
    assertThatThrownBy(() -> RigEdit.of(rig).connect(extra))
        .isInstanceOf(InvalidRigException.class)
        .hasMessageContaining("already joined");
    Rig off = RigEdit.of(rig).disconnect(LineId.of("pump-out-sink"));
    assertThat(RigEdit.of(off).connect(extra).lines()).contains(extra);
  }

  @Test
  void aPlaceInUseStaysAndAnEmptyOneGoes() {
    assertThatThrownBy(() -> RigEdit.of(rig).removePlace(PlaceId.of("bed")))
        .hasMessageContaining("Fresh");
    Rig more = RigEdit.of(rig).place(new Place(PlaceId.of("roof"), "Roof", "ladder", 1, 0, 2.7));
    assertThat(RigEdit.of(more).removePlace(PlaceId.of("roof"))).isEqualTo(rig);
  }

  @Test
  void idsAreMadeFromWordsAndNeverTwice() {
    RigEdit edit = RigEdit.of(rig);
    assertThat(edit.freeId("Pump")).isEqualTo("pump-2");
    assertThat(RigEdit.freeId("Pump", Set.of("pump", "pump-2", "pump-3"))).isEqualTo("pump-4");
    assertThat(RigEdit.freeId("x".repeat(70), Set.of())).hasSize(50);
    assertThat(edit.freeId("Überlauf, links!")).isEqualTo("berlauf-links");
    assertThat(edit.freeId("???")).isEqualTo("item");
  }

  @Test
  void nothingIsChangedInTheRigItStartedFrom() {
    Rig before = ReadyRig.find("one-tank").orElseThrow().rig();
    RigEdit.of(rig).rename("Mine");
    RigEdit.of(rig).change(PartId.of("fresh"), p -> p);
    assertThat(rig).isEqualTo(before);
    assertThat(rig.tanks(Contents.GRAY)).hasSize(1);
  }
}
