package fernwort.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.build.cut.CutList;
import fernwort.core.build.cut.Cutting;
import fernwort.core.build.drill.Penetration;
import fernwort.core.build.joints.BuyList;
import fernwort.core.build.joints.JointCheck;
import fernwort.core.build.joints.JointEnds;
import fernwort.core.build.mount.Hanging;
import fernwort.core.build.mount.UsualBuild;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Shop;
import fernwort.core.network.Network;
import fernwort.core.rig.Built;
import fernwort.core.rig.Joint;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.TankSupport;
import fernwort.core.tank.TankRoom;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is bought, cut and hung, counted by hand. */
class ListsTest {

  private static BuyList.Item item(Rig rig, String what) {
    return BuyList.of(rig, List.of(0.029)).stream()
        .filter(i -> i.what().equals(what))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no " + what));
  }

  @Test
  void partsFittingsClampsAndToolsAreCounted() {
    Rig rig = SmallVan.rig();
    assertThat(item(rig, "Tank: Tank").places()).isEqualTo(Map.of("Under the floor", 1));
    assertThat(item(rig, "Pump").shop()).isEqualTo(Shop.WATER_ON_BOARD);
    assertThat(item(rig, "plug for an opening").needed()).isEqualTo(1);
    assertThat(item(rig, "insect screen for a vent").needed()).isEqualTo(1);
    assertThat(item(rig, "tee, 15 mm tube").all()).isEqualTo(2);
    // Two bulkheads with lines, a spare; tank and pump with tails for the hoses of 13 mm.
    BuyList.Item bulkheads = item(rig, "bulkhead with 1/2 BSP parallel thread, female");
    assertThat(bulkheads.needed()).isEqualTo(2);
    assertThat(bulkheads.spare()).isEqualTo(1);
    assertThat(item(rig, "1/2 BSP parallel thread, male to tail for 13 mm hose").needed())
        .isEqualTo(2);
    assertThat(item(rig, "1/2 BSP parallel thread, female to tail for 13 mm hose").places())
        .isEqualTo(Map.of("Box", 1));
    // Pump and both taps are reached from tube of 15 mm.
    assertThat(item(rig, "1/2 BSP parallel thread, female to push-fit for 15 mm tube").needed())
        .isEqualTo(3);
    // Hose ends: two of the suction, one of the breath, the other hangs free.
    assertThat(item(rig, "hose clamp, stainless, for 13 mm hose").needed()).isEqualTo(3);
    assertThat(item(rig, "flat washer for a parallel thread").needed()).isEqualTo(4);
    assertThat(item(rig, "hole saw, 29 mm").shop()).isEqualTo(Shop.HARDWARE);
    assertThat(item(rig, "tube cutter and deburrer").all()).isEqualTo(1);
    assertThat(BuyList.of(rig, List.of()))
        .extracting(BuyList.Item::what)
        .noneMatch(w -> w.contains("cement") || w.contains("tape"));
    assertThat(BuyList.of(rig, List.of()).stream().map(BuyList.Item::key).distinct())
        .hasSameSizeAs(BuyList.of(rig, List.of()));
  }

  @Test
  void taperedThreadsWantTapeAndSocketsCement() {
    PortRef out = new PortRef(PartId.of("pump"), PortId.OUT);
    Rig tapered =
        described(
            out, new Connection.Thread(Connection.Standard.NPT, "1/2", Connection.Gender.MALE));
    assertThat(item(tapered, "PTFE tape for drinking water").needed()).isEqualTo(1);
    Rig cemented = described(out, new Connection.Socket(Connection.Plastic.PVC, 0.015));
    assertThat(item(cemented, "cement and cleaner for PVC").shop()).isEqualTo(Shop.HARDWARE);
  }

  private static Rig described(PortRef at, Connection.Form form) {
    return SmallVan.rig()
        .with(
            new Built(
                List.of(new Joint(at, Optional.of(new Connection(form)), Optional.empty())),
                List.of()));
  }

  @Test
  void piecesAreTheRunWithWhatGoesIntoTheFittings() {
    List<CutList> lists = CutList.of(SmallVan.rig());
    assertThat(lists)
        .extracting(CutList::sort)
        .containsExactly("13 mm hose, PVC hose", "15 mm tube, PEX");
    // Suction: 1.02 m and 25 mm at both ends less an adapter of 30 mm at both: 1.01 m.
    Cutting.Piece suction = lists.getFirst().pieces().getFirst();
    assertThat(suction.mark()).isEqualTo("suction · Suction");
    assertThat(suction.length()).isCloseTo(1.01, within(1e-9));
    // Breath: 0.714 and 25 mm less 30 mm at the tank, nothing at its free end: 0.709 m.
    assertThat(lists.getFirst().pieces().get(1).length()).isCloseTo(0.709, within(1e-9));
    // Delivery: 0.51, an adapter at the pump, straight into the tee: 0.51 − 0.005 + 0.025.
    assertThat(lists.get(1).pieces().getFirst().length()).isCloseTo(0.53, within(1e-9));
    assertThat(lists.get(1).length())
        .isCloseTo(0.53 + (0.612 + 0.02) + (0.408 + 0.02), within(1e-9));
  }

  @Test
  void whatIsWellBuiltHoldsAndStaysAsItWasDescribed() {
    Stream.concat(
            DemoRig.all().stream().map(DemoRig::rig), ReadyRig.all().stream().map(ReadyRig::rig))
        .map(UsualBuild::on)
        .forEach(rig -> {
          assertThat(JointCheck.of(rig)).as(rig.name()).isEmpty();
          Network network = Network.of(rig);
          rig.tanks()
              .forEach(t -> {
                TankRoom room = network.room(t.id());
                List<TankSupport> supports = rig.built().supports(t.id());
                assertThat(supports).hasSizeBetween(2, 3);
                assertThat(supports).allMatch(s -> s.fasteners() >= 2 && s.width() > 0);
                boolean under = t.height() < rig.vehicle().floor();
                assertThat(supports)
                    .allMatch(s -> (s.type() == TankSupport.Type.BOX) == under)
                    .allMatch(s -> s.along() > 0);
                Hanging hung =
                    Hanging.of(
                        1000 * room.capacity(),
                        room.centroid(
                                room.highest(fernwort.core.rig.Slope.LEVEL),
                                fernwort.core.rig.Slope.LEVEL)
                            .x(),
                        0,
                        0,
                        0.4,
                        supports,
                        Hanging.Moving.USUAL);
                assertThat(hung.tips()).as(rig.name() + " " + t.id()).isFalse();
              });
          assertThat(UsualBuild.on(rig)).isEqualTo(rig);
        });
    Rig van = UsualBuild.on(SmallVan.rig());
    assertThat(
            van.built()
                .joint(new PortRef(PartId.of("tank"), PortId.of("feed")))
                .orElseThrow()
                .port()
                .orElseThrow())
        .isEqualTo(
            new Connection(
                new Connection.Bulkhead(Connection.Standard.BSP_PARALLEL, "1/2"),
                Optional.of(Connection.Made.PLASTIC),
                Optional.of(Connection.Seal.O_RING)));
    assertThat(
            van.built()
                .joint(new PortRef(PartId.of("pump"), PortId.IN))
                .orElseThrow()
                .port()
                .orElseThrow()
                .seal())
        .contains(Connection.Seal.FLAT_WASHER);
    assertThat(van.built().joint(new PortRef(PartId.of("tee"), PortId.A))).isEmpty();
  }

  @Test
  void supportsAreBoughtWithTheirBolts() {
    Rig van = UsualBuild.on(SmallVan.rig());
    assertThat(item(van, "box, 200 mm wide").needed()).isEqualTo(3);
    assertThat(item(van, "bolt with nut, washers and lock, working load 2.0 kN in pull").needed())
        .isEqualTo(van.built().supports().stream().mapToInt(TankSupport::fasteners).sum());
  }

  @Test
  void whatNobodySaidIsAskedOfAppliancesOnly() {
    Rig van = SmallVan.rig();
    assertThat(JointEnds.of(van).stream().filter(e -> e.isAsked(van)).map(e -> e.at().toString()))
        .containsExactlyInAnyOrder(
            new PortRef(PartId.of("tank"), PortId.of("feed")).toString(),
            new PortRef(PartId.of("pump"), PortId.IN).toString(),
            new PortRef(PartId.of("pump"), PortId.OUT).toString(),
            new PortRef(PartId.of("sink"), PortId.COLD).toString(),
            new PortRef(PartId.of("rinse"), PortId.COLD).toString(),
            new PortRef(PartId.of("tank"), PortId.of("vent")).toString());
  }

  @Test
  void theFloorIsPassedWhereTheLineIsAtItsHeight() {
    // From 0.33 m to 0.8 m: the floor at 0.6 m is 0.27/0.47 of the way from x 1.4 to 2.
    List<Penetration> holes = Penetration.of(SmallVan.rig());
    assertThat(holes).extracting(Penetration::what).containsExactly("Suction", "Breath");
    Penetration suction = holes.getFirst();
    assertThat(suction.at().x()).isCloseTo(1.4 + 0.6 * 0.27 / 0.47, within(1e-6));
    assertThat(suction.at().z()).isEqualTo(0.6);
    assertThat(suction.wall()).isFalse();
    // A hose of 13 mm is 18.2 mm outside, its grommet sits in 8 mm more.
    assertThat(suction.diameter()).isCloseTo(0.0262, within(1e-9));
    assertThat(suction.inside()).startsWith("Pump");
    assertThat(suction.outside()).doesNotContain("Pump");
  }
}
