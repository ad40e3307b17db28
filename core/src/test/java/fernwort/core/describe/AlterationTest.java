package fernwort.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.demo.ReadyRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.end.Plug;
import fernwort.core.rig.Joint;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Place;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.TankSupport;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What each step of describing makes of a rig, and what the list of steps says of it. */
class AlterationTest {

  private final Rig rig = ReadyRig.find("one-tank").orElseThrow().rig();

  private static final Part CAP =
      new Part(PartId.of("cap"), "Low cap", PlaceId.of("galley"), 0, 0, 0.4, 0, new Plug(true));

  private Rig after(Alteration step, String words) {
    assertThat(step.words(rig)).isEqualTo(words);
    Rig before = ReadyRig.find("one-tank").orElseThrow().rig();
    Rig after = step.on(rig);
    assertThat(rig).as("the rig before it").isEqualTo(before);
    return after;
  }

  @Test
  void nameVehicleAndPlacesAreChanged() {
    assertThat(after(new Alteration.Renamed("Mine"), "Renamed to Mine").name()).isEqualTo("Mine");
    Vehicle other = ReadyRig.find("long-stay").orElseThrow().rig().vehicle();
    assertThat(after(new Alteration.VehicleChanged(other), "Changed the vehicle").vehicle())
        .isEqualTo(other);
    Place roof = new Place(PlaceId.of("roof"), "Roof", "ladder", 1, 0, 2.7);
    assertThat(after(new Alteration.PlaceAdded(roof), "Added place Roof").place(PlaceId.of("roof")))
        .isEqualTo(roof);
    Place bed = new Place(PlaceId.of("bed"), "Under the bunk", "lift it", 0, 0, 0.9);
    Rig moved = after(new Alteration.PlaceAdded(bed), "Changed place Under the bunk");
    assertThat(moved.place(PlaceId.of("bed"))).isEqualTo(bed);
    assertThat(moved.places()).hasSameSizeAs(rig.places());
  }

  @Test
  void aJointIsDescribedOnceAndForgottenWhereNothingIsSaidOfIt() {
    PortRef at = new PortRef(PartId.of("pump"), PortId.IN);
    Joint barb =
        new Joint(
            at, Optional.of(new Connection(new Connection.HoseTail(0.012))), Optional.empty());
    Rig described = after(new Alteration.Joined(barb), "Described the joint at Pump");
    assertThat(described.built().joints()).containsExactly(barb);
    Joint elsewhere =
        new Joint(new PortRef(PartId.of("pump"), PortId.OUT), barb.port(), Optional.empty());
    assertThat(new Alteration.Joined(elsewhere).on(described).built().joints())
        .containsExactly(barb, elsewhere);
    Joint line = new Joint(at, Optional.empty(), barb.port());
    Rig again = new Alteration.Joined(line).on(described);
    assertThat(again.built().joints()).containsExactly(line);
    Rig nothing =
        new Alteration.Joined(new Joint(at, Optional.empty(), Optional.empty())).on(again);
    assertThat(nothing.built().joints()).isEmpty();
    // What carries a tank stays while a joint is described, and the other way round.
    TankSupport shelf =
        new TankSupport(PartId.of("fresh"), TankSupport.Type.SHELF, 0.1, 0.5, 4, 2000, 3000);
    Alteration supported = new Alteration.Supported(PartId.of("fresh"), List.of(shelf));
    Rig both = supported.on(described);
    assertThat(both.built().joints()).containsExactly(barb);
    assertThat(both.built().supports()).containsExactly(shelf);
    assertThat(new Alteration.Joined(line).on(both).built().supports()).containsExactly(shelf);
    assertThat(supported.words(rig)).isEqualTo("Changed what carries Fresh");
    TankSupport other =
        new TankSupport(PartId.of("gray"), TankSupport.Type.RAIL, 0.1, 0.05, 2, 2000, 3000);
    Rig two = new Alteration.Supported(PartId.of("gray"), List.of(other)).on(both);
    assertThat(two.built().supports()).containsExactlyInAnyOrder(shelf, other);
    assertThat(new Alteration.Supported(PartId.of("fresh"), List.of()).on(two).built().supports())
        .containsExactly(other);
  }

  @Test
  void partsComeChangeAndGo() {
    assertThat(after(new Alteration.PartAdded(CAP), "Added Low cap").part(PartId.of("cap")))
        .isEqualTo(CAP);
    Part higher = rig.part(PartId.of("pump")).atHeight(1).called("Main pump");
    assertThat(after(new Alteration.PartChanged(higher), "Changed Pump").part(PartId.of("pump")))
        .isEqualTo(higher);
    Rig without = after(new Alteration.PartTakenOut(PartId.of("strainer")), "Removed Strainer");
    assertThat(without.parts()).extracting(Part::id).doesNotContain(PartId.of("strainer"));
    assertThat(without.linesByPort().get(new PortRef(PartId.of("pump"), PortId.IN)).from())
        .isEqualTo(new PortRef(PartId.of("fresh"), PortId.of("feed")));
  }

  @Test
  void aPartIsPutIntoALineTeedOffOneOrHungOnAPort() {
    Part valve =
        new Part(
            PartId.of("valve"), "Tap valve", PlaceId.of("galley"), 0, 0, 1, 0, Fittings.twoWay(0));
    Rig in =
        after(
            new Alteration.PartPutIn(LineId.of("pump-out-sink"), valve, PortId.B, PortId.A),
            "Put Tap valve into pump to sink");
    assertThat(in.linesByPort().get(new PortRef(PartId.of("pump"), PortId.OUT)).to())
        .isEqualTo(new PortRef(PartId.of("valve"), PortId.B));
    Rig teed =
        after(
            new Alteration.PartTeedOff(LineId.of("pump-out-sink"), CAP, PortId.IN, 0.4),
            "Teed Low cap off pump to sink");
    Line branch = teed.linesByPort().get(new PortRef(PartId.of("cap"), PortId.IN));
    assertThat(branch.from()).isEqualTo(new PortRef(PartId.of("tee"), PortId.C));
    assertThat(branch.length()).isEqualTo(0.4);
    assertThat(branch.label()).isEqualTo("To Low cap");
    PortRef drain = new PortRef(PartId.of("fresh"), PortId.of("drain"));
    Rig open = RigEdit.of(rig).remove(PartId.of("drain-cap"));
    Alteration hanging = new Alteration.PartHungOn(drain, CAP, PortId.IN, 0.019, 0.3);
    assertThat(hanging.words(open)).isEqualTo("Connected Low cap to Fresh");
    Line line = hanging.on(open).linesByPort().get(drain);
    assertThat(line.to()).isEqualTo(new PortRef(PartId.of("cap"), PortId.IN));
    assertThat(line.bore()).isEqualTo(0.019);
    assertThat(line.length()).isEqualTo(0.3);
    assertThat(line.material()).isEqualTo(Line.Material.PVC_HOSE);
    assertThat(line.minorLoss()).isEqualTo(Fittings.USUAL_LOSS);
  }

  @Test
  void aPartGoesOnlyIntoPortsThatItHas() {
    for (Alteration wrong :
        List.of(
            new Alteration.PartPutIn(LineId.of("pump-out-sink"), CAP, PortId.IN, PortId.OUT),
            new Alteration.PartPutIn(LineId.of("pump-out-sink"), CAP, PortId.A, PortId.IN),
            new Alteration.PartTeedOff(LineId.of("pump-out-sink"), CAP, PortId.OUT, 1))) {
      assertThatThrownBy(() -> wrong.on(rig))
          .hasMessageMatching("Low cap has no port \"(out|a)\"; it has in");
    }
  }

  @Test
  void linesAreJoinedChangedAndTakenOff() {
    Line old = RigEdit.of(rig).line(LineId.of("pump-out-sink"));
    Rig off = after(new Alteration.LineTakenOff(old.id()), "Removed pump to sink");
    assertThat(off.lines()).hasSize(rig.lines().size() - 1).doesNotContain(old);
    assertThat(off.parts()).isEqualTo(rig.parts());
    Alteration.PortsJoined join = Alteration.PortsJoined.of(off, old.from(), old.to(), 0.026, 1.25);
    assertThat(join.words(off)).isEqualTo("Joined Pump to Sink");
    Line joined = join.on(off).linesByPort().get(old.from());
    assertThat(joined.id().value()).isEqualTo("pump-sink");
    assertThat(joined.to()).isEqualTo(old.to());
    assertThat(joined.bore()).isEqualTo(0.026);
    assertThat(joined.length()).isEqualTo(1.25);
    assertThat(joined.material()).isEqualTo(Line.Material.RIGID_PVC);
    assertThat(joined.minorLoss()).isEqualTo(Fittings.USUAL_LOSS);
    Rig longer = after(new Alteration.LineChanged(old.stretched(2)), "Changed line pump to sink");
    assertThat(RigEdit.of(longer).line(old.id()).length()).isEqualTo(2 * old.length());
  }

  @Test
  void whatIsFittedMendedOrAnsweredIsTakenAsItIs() {
    Rig other = ReadyRig.find("jug").orElseThrow().rig();
    assertThat(after(new Alteration.Fitted(r -> other), "Fitted losses and pumps to timed jugs"))
        .isSameAs(other);
    assertThat(after(new Alteration.Answered(rig, other, "Tanks"), "Answered: Tanks"))
        .isEqualTo(other);
    assertThat(after(new Alteration.Mended("No air", r -> other), "Mended: No air"))
        .isSameAs(other);
  }
}
