package fernwort.core.build.remove;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Connection;
import fernwort.core.kind.Connection.Gender;
import fernwort.core.kind.Connection.Plastic;
import fernwort.core.kind.Connection.Standard;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What is said to who takes a part out, kind by kind. */
class ApartWordsTest {

  private static final String SHARP = "Edges of cut tube and clamps are sharp";

  private static Part it(Kind kind) {
    return new Part(PartId.of("it"), "It", PlaceId.of("box"), 0, 0, 1, 0, kind);
  }

  private static Kind tank(Contents contents) {
    return new Tank(
        contents,
        new Shape.Box(0.8, 0.4, 0.3),
        0.01,
        List.of(Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.1, 0, 0.05)),
        Fittings.stick(0.1, 0.1),
        1e4,
        -1e4);
  }

  private static List<String> heed(Kind kind, Optional<Part> tap) {
    State state =
        new State(
            new fernwort.core.rig.Setting(Map.of()),
            Map.of(PartId.of("it"), 0.012),
            fernwort.core.rig.Slope.LEVEL);
    return ApartWords.heed(List.of(it(kind)), state, tap).stream().map(Object::toString).toList();
  }

  private static List<String> wayRound(Kind kind) {
    return ApartWords.wayRound(List.of(it(kind))).stream().map(Object::toString).toList();
  }

  static Stream<Arguments> kinds() {
    return Stream.of(
        Arguments.of(new Heater(Heater.Type.STORAGE, true, 0), "it scalds", "cold in, hot out"),
        Arguments.of(Fittings.pressurePump(10, 2.5), "its fuse out", "IN to the tank"),
        Arguments.of(new Macerator(1e-4, 1e4), "its fuse out", "IN to the tank"),
        Arguments.of(
            Fittings.filter(Filter.Grade.SEDIMENT, 10, 0.2), "a bucket under it", "its arrow"),
        Arguments.of(new Strainer(), "a bucket under it", "its arrow"),
        Arguments.of(new CheckValve(2e3), "", "its arrow"),
        Arguments.of(Fittings.regulator(2.8), "", "its arrow"),
        Arguments.of(new DrainTrap(), "gloves, and wash", ""),
        Arguments.of(Fittings.twoWay(90), "", "its handle as it is at rest, across"),
        Arguments.of(new Tee(), "", ""),
        Arguments.of(new Plug(true), "", ""),
        Arguments.of(new Accumulator(1e5), "", ""),
        Arguments.of(Fittings.inlet(3), "", ""));
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void whatToMindAndWhichWayRoundGoesByTheKind(Kind kind, String mind, String way) {
    List<String> heed = heed(kind, Optional.empty());
    assertThat(heed.getLast()).startsWith(SHARP);
    if (mind.isEmpty()) {
      assertThat(heed).hasSize(1);
    } else {
      assertThat(heed).hasSize(2);
      assertThat(heed.getFirst()).startsWith("It: ").contains(mind);
    }
    if (way.isEmpty()) {
      assertThat(wayRound(kind)).isEmpty();
    } else {
      assertThat(wayRound(kind))
          .singleElement()
          .satisfies(w -> assertThat(w).startsWith("It: ").contains(way));
    }
  }

  @Test
  void aTankIsToldWithWhatItWeighsAndGrayWithGloves() {
    assertThat(heed(tank(Contents.FRESH), Optional.empty()))
        .hasSize(2)
        .first()
        .satisfies(t -> assertThat(t).contains("12 kg").contains("a jack under it"));
    assertThat(heed(tank(Contents.GRAY), Optional.empty()))
        .hasSize(3)
        .element(1)
        .satisfies(t -> assertThat(t).contains("gloves"));
    assertThat(wayRound(tank(Contents.FRESH))).isEmpty();
  }

  @Test
  void theTapThatStaysOpenIsNamedFirst() {
    Part tap = new Part(PartId.of("tap"), "Sink", PlaceId.of("box"), 0, 0, 1, 0, new Tee());
    assertThat(heed(new Tee(), Optional.of(tap)))
        .first()
        .satisfies(t -> assertThat(t).startsWith("Sink stays open"));
  }

  @Test
  void whatIsRenewedGoesByHowTheJointIsMade() {
    Connection.Form thread = new Connection.Thread(Standard.BSP_PARALLEL, "1/2", Gender.MALE);
    Connection.Form socket = new Connection.Socket(Plastic.PVC, 0.02);
    assertThat(ApartWords.seal(new Connection.HoseTail(0.013), new Connection.HoseEnd(0.013)))
        .startsWith("a clamp");
    assertThat(
            ApartWords.seal(new Connection.TubeSocket(0.015, false), new Connection.TubeEnd(0.015)))
        .startsWith("the O-ring");
    assertThat(ApartWords.seal(socket, new Connection.Spigot(Plastic.PVC, 0.02)))
        .startsWith("cemented");
    assertThat(ApartWords.seal(thread, new Connection.Spigot(Plastic.PVC, 0.02)))
        .isEqualTo("its washer or tape");
    assertThat(ApartWords.seal(socket, thread)).isEqualTo("its washer or tape");
  }
}
