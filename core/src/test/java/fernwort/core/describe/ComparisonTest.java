package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.demo.DemoRig;
import fernwort.core.demo.LongCoach;
import fernwort.core.demo.ReadyRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.Fixture;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.ways.OpenWays;
import org.junit.jupiter.api.Test;

class ComparisonTest {

  private final Rig before = ReadyRig.find("one-tank").orElseThrow().rig();

  @Test
  void aRigDoesNotDifferFromItself() {
    for (DemoRig demo : DemoRig.all()) {
      assertThat(Comparison.of(demo.rig(), demo.rig()).isNothing()).isTrue();
    }
  }

  @Test
  void whatCameWhatWentAndWhatChangedAreToldApart() {
    Rig less = RigEdit.of(before).remove(PartId.of("drain-cap"));
    Part valve =
        new Part(PartId.of("valve"), "Valve", PlaceId.of("bed"), 0, 0, 1, 0, Fittings.twoWay(0));
    Rig more = RigEdit.of(less).insert(LineId.of("pump-out-sink"), valve, PortId.A, PortId.B);
    Rig after = RigEdit.of(more).change(PartId.of("pump"), p -> p.atHeight(1));
    Comparison c = Comparison.of(before, after);
    assertThat(c.onlyFirst()).extracting(Part::id).containsExactly(PartId.of("drain-cap"));
    assertThat(c.onlySecond()).extracting(Part::id).containsExactly(PartId.of("valve"));
    assertThat(c.changed()).extracting(Part::id).containsExactly(PartId.of("pump"));
    assertThat(c.linesOnlyFirst()).hasSize(1);
    assertThat(c.linesOnlySecond()).hasSize(1);
    assertThat(c.linesChanged()).extracting(Line::id).containsExactly(LineId.of("pump-out-sink"));
    assertThat(c.isNothing()).isFalse();
  }

  @Test
  void comparingTheOtherWayRoundSwapsComingAndGoing() {
    Rig after = RigEdit.of(before).remove(PartId.of("drain-cap"));
    Comparison there = Comparison.of(before, after);
    Comparison back = Comparison.of(after, before);
    assertThat(back.onlySecond()).isEqualTo(there.onlyFirst());
    assertThat(back.linesOnlySecond()).isEqualTo(there.linesOnlyFirst());
  }

  @Test
  void theLongCoachIsAsLongAsItIsAskedToBeAndItsSinksRun() {
    for (int sections : new int[] {1, 2, 8}) {
      DemoRig coach = LongCoach.of(sections);
      assertThat(coach.rig().parts()).hasSize(sections * LongCoach.PARTS_PER_SECTION);
      assertThat(OpenWays.find(Network.of(coach.rig()), coach.state()).ways())
          .filteredOn(w -> coach.rig().part(w.end().part()).kind() instanceof Fixture)
          .hasSize(sections);
    }
  }
}
