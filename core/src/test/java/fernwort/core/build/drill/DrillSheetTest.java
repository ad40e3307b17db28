package fernwort.core.build.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fernwort.core.build.SmallVan;
import fernwort.core.demo.DemoRig;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.Fittings;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Network;
import fernwort.core.rig.Face;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Where to drill, by hand and by folding. */
class DrillSheetTest {

  /** A box of 800 by 400 by 300 mm outside, walls of 10 mm. */
  private static Rig rig(TankPort... ports) {
    return RigBuilder.named("Box")
        .vehicle(SmallVan.VAN)
        .place("bed", "Bed", "reach in", 0, 0, 1)
        .part("tank", "Tank", 1, 0, 0.7, SmallVan.tank(ports))
        .part("tap", "Tap", 1, 0, 1, Fittings.fixture(Fixture.Type.TAP, false, 6))
        .line("feed", "Feed", "tank." + ports[0].id() + " > tap.cold", 12, 1, Material.PEX, 1)
        .build();
  }

  private static DrillSheet sheet(Rig rig, DrillSheet.Measured measured) {
    return DrillSheet.of(
        rig, rig.part(PartId.of("tank")), Network.of(rig).room(PartId.of("tank")), measured);
  }

  private static Hole hole(DrillSheet sheet, Face face, PortId port) {
    return sheet.faces().stream()
        .filter(f -> f.face() == face)
        .flatMap(f -> f.holes().stream())
        .filter(h -> h.port().equals(port))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void holesAreMeasuredFromTheEdgesThatOneSeesFromOutside() {
    // 100 mm inside from the rear and 50 mm up, on the left side: the front is at the left there.
    DrillSheet left =
        sheet(
            rig(Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.1, 0.38, 0.05)),
            DrillSheet.Measured.NOTHING);
    Hole feed = hole(left, Face.LEFT, PortId.of("feed"));
    assertThat(feed.across()).isCloseTo(0.8 - 0.11, within(1e-9));
    assertThat(feed.up()).isCloseTo(0.06, within(1e-9));
    assertThat(left.faces().getFirst().fromLeft()).isEqualTo(Face.FRONT);
    DrillSheet right =
        sheet(
            rig(Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.1, 0, 0.05)),
            DrillSheet.Measured.NOTHING);
    assertThat(hole(right, Face.RIGHT, PortId.of("feed")).across()).isCloseTo(0.11, within(1e-9));
    DrillSheet below =
        sheet(
            rig(Fittings.port(PortId.of("drain"), TankPort.Use.DRAIN, 0.3, 0.1, 0)),
            DrillSheet.Measured.NOTHING);
    // From below, the front at the right, the left side is the lower edge: 380 − 100 + 10.
    assertThat(hole(below, Face.BOTTOM, PortId.of("drain")).up()).isCloseTo(0.29, within(1e-9));
    assertThat(below.faces().getFirst().fromBelow()).isEqualTo(Face.LEFT);
  }

  @Test
  void theUsualHoleIsThatOfTheBulkheadUntilSomebodyMeasuresHis() {
    Rig rig = rig(Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0.1));
    Hole usual = hole(sheet(rig, DrillSheet.Measured.NOTHING), Face.RIGHT, PortId.of("feed"));
    // A half-inch thread is 20.955 mm, its body 1.35 times that: 28.3, so 29 mm.
    assertThat(usual.diameter().orElseThrow()).isCloseTo(0.029, within(1e-9));
    assertThat(usual.usual()).isTrue();
    DrillSheet mine =
        sheet(
            rig,
            new DrillSheet.Measured(Map.of(PortId.of("feed"), 0.032), Set.of(), Optional.empty()));
    assertThat(hole(mine, Face.RIGHT, PortId.of("feed")).diameter()).contains(0.032);
    assertThat(mine.saws()).containsExactly(0.032);
    DrillSheet there =
        sheet(rig, new DrillSheet.Measured(Map.of(), Set.of("feed"), Optional.empty()));
    assertThat(there.saws()).isEmpty();
  }

  @Test
  void whatIsTooNearAnEdgeANeighbourOrASeamIsToldWithHowFarToMove() {
    Rig rig =
        rig(
            Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0.02),
            Fittings.port(PortId.of("drain"), TankPort.Use.DRAIN, 0.44, 0, 0.15),
            Fittings.port(PortId.of("gauge"), TankPort.Use.GAUGE, 0.46, 0, 0.15));
    DrillSheet sheet = sheet(rig, new DrillSheet.Measured(Map.of(), Set.of(), Optional.of(0.16)));
    assertThat(hole(sheet, Face.RIGHT, PortId.of("feed")).slips().getFirst().toString())
        .contains("lower edge");
    // The nut of 46.4 mm needs 23.2 and 15 mm from the edge; 30 mm are there.
    assertThat(hole(sheet, Face.RIGHT, PortId.of("feed")).slips().getFirst().toString())
        .contains("8.2");
    assertThat(hole(sheet, Face.RIGHT, PortId.of("drain")).slips().toString())
        .contains("gauge")
        .contains("seam");
  }

  @Test
  void aVentCloseUnderTheFloorWaitsUntilTheTankHangs() {
    Rig rig = rig(Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.4, 0.2, 0.28));
    Rig hung =
        fernwort.core.describe.RigEdit.of(rig).change(PartId.of("tank"), p -> p.atHeight(0.25));
    assertThat(hole(sheet(hung, DrillSheet.Measured.NOTHING), Face.TOP, PortId.of("vent")).late())
        .contains("hangs");
    assertThat(hole(sheet(rig, DrillSheet.Measured.NOTHING), Face.TOP, PortId.of("vent")).late())
        .isEmpty();
  }

  private static Stream<DrillSheet> sheets() {
    return Stream.concat(
            DemoRig.all().stream().map(DemoRig::rig), ReadyRig.all().stream().map(ReadyRig::rig))
        .flatMap(rig -> {
          Network network = Network.of(rig);
          return rig.tanks()
              .map((Part t) ->
                  DrillSheet.of(rig, t, network.room(t.id()), DrillSheet.Measured.NOTHING));
        });
  }

  @Test
  void mirroredSheetsFoldOntoEachOther() {
    sheets()
        .flatMap(s -> s.faces().stream())
        .forEach(face -> {
          FaceSheet mirror = face.mirrored();
          assertThat(mirror.holes()).hasSameSizeAs(face.holes());
          for (Hole hole : face.holes()) {
            Hole same =
                mirror.holes().stream()
                    .filter(h -> h.port().equals(hole.port()))
                    .findFirst()
                    .orElseThrow();
            assertThat(same.across() + hole.across()).isCloseTo(face.width(), within(1e-12));
            assertThat(same.up()).isEqualTo(hole.up());
            Hole turned =
                face.upsideDown().holes().stream()
                    .filter(h -> h.port().equals(hole.port()))
                    .findFirst()
                    .orElseThrow();
            assertThat(turned.up() + hole.up()).isCloseTo(face.height(), within(1e-12));
            assertThat(turned.across()).isEqualTo(same.across());
          }
          assertThat(mirror.fromLeft()).isNotEqualTo(face.fromLeft());
          assertThat(mirror.mirrored().fromLeft()).isEqualTo(face.fromLeft());
        });
  }

  @Test
  void everyHoleIsOnSomeSheetOfTheTemplateWithItsMiddleAtTrueSize() {
    for (Template.Paper paper : Template.Paper.values()) {
      sheets()
          .flatMap(s -> s.faces().stream())
          .forEach(face -> {
            Template template = Template.of("t", face, paper, paper == Template.Paper.A4);
            for (Hole hole : face.holes()) {
              assertThat(
                      template.pages().stream()
                          .flatMap(p -> p.marks().stream())
                          .filter(m ->
                              m instanceof Template.Ring r
                                  && Math.abs(r.radius() - 500 * hole.diameter().orElseThrow())
                                      < 1e-9)
                          .count())
                  .isPositive();
            }
            assertThat(template.pages())
                .allSatisfy(p ->
                    assertThat(p.marks())
                        .anySatisfy(m ->
                            assertThat(
                                    m instanceof Template.Segment s
                                        && Math.abs(s.x2() - s.x1() - 100) < 1e-9
                                        && s.y1() == s.y2())
                                .isTrue()));
          });
    }
  }

  private static FaceSheet top(Shape shape) {
    Kind tank =
        SmallVan.tank(shape, Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.1, 0.1, 0.28));
    Rig rig =
        RigBuilder.named("Shape")
            .vehicle(SmallVan.VAN)
            .place("bed", "Bed", "reach in", 0, 0, 1)
            .part("tank", "Tank", 1, 0, 0.7, tank)
            .build();
    DrillSheet sheet = sheet(rig, DrillSheet.Measured.NOTHING);
    assertThat(sheet.flat()).isEqualTo(shape instanceof Shape.Box);
    assertThat(sheet.steps()).hasSize(6);
    return sheet.faces().getFirst();
  }

  @Test
  void facesAreAsLargeAsTheBoxRoundTheTank() {
    assertThat(top(new Shape.Box(0.8, 0.4, 0.3)).width()).isCloseTo(0.8, within(1e-9));
    assertThat(top(new Shape.UprightCylinder(0.5, 0.3)).height()).isCloseTo(0.5, within(1e-9));
    FaceSheet lying = top(new Shape.LyingCylinder(0.3, 0.9, false));
    assertThat(lying.width()).isCloseTo(0.9, within(1e-9));
    assertThat(lying.height()).isCloseTo(0.3, within(1e-9));
    assertThat(top(new Shape.LyingCylinder(0.3, 0.9, true)).width()).isCloseTo(0.3, within(1e-9));
    List<Shape.Corner> section =
        List.of(
            new Shape.Corner(0, 0),
            new Shape.Corner(0.6, 0),
            new Shape.Corner(0.5, 0.3),
            new Shape.Corner(0, 0.3));
    FaceSheet prism = top(new Shape.Prism(section, 0.35));
    assertThat(prism.width()).isCloseTo(0.6, within(1e-9));
    assertThat(prism.height()).isCloseTo(0.35, within(1e-9));
    assertThat(
            top(new Shape.Straddling(
                    List.of(
                        new Shape.Block(0, 0, 0, 0.4, 0.3, 0.3),
                        new Shape.Block(0.3, 0, 0, 0.6, 0.3, 0.3))))
                .width())
        .isCloseTo(0.9, within(1e-9));
  }

  @Test
  void holesThroughTheFloorNameWhatLiesThere() {
    Rig marginalia = DemoRig.all().getFirst().rig();
    List<Penetration> holes = Penetration.of(marginalia);
    assertThat(holes).isNotEmpty();
    assertThat(holes.stream().filter(h -> !h.wall()))
        .allSatisfy(h -> assertThat(h.at().z()).isEqualTo(marginalia.vehicle().floor()));
  }

  /** An inlet under the floor has no wall to be cut: only its line goes through the floor. */
  @Test
  void whatComesThroughTheFloorIsNotCutThroughAWallAsWell() {
    Rig marginalia = DemoRig.all().getFirst().rig();
    PartId inlet = PartId.of("inlet");
    Rig low =
        RigEdit.of(marginalia).change(inlet, p -> p.atHeight(marginalia.vehicle().floor() - 0.2));
    String label = low.part(inlet).label();
    assertThat(Penetration.of(marginalia).stream().filter(Penetration::wall))
        .extracting(Penetration::what)
        .contains(label);
    assertThat(Penetration.of(low).stream().filter(Penetration::wall))
        .extracting(Penetration::what)
        .doesNotContain(label);
  }
}
