package fernwort.core.demo;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.OnRecord;
import fernwort.core.describe.PortNames;
import fernwort.core.describe.RigEdit;
import fernwort.core.format.RigFormat;
import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.streams.Directions;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.OpenWays;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ReadyRigTest {

  static List<ReadyRig> all() {
    return ReadyRig.all();
  }

  private static State halfFull(Rig rig, String turned) {
    Setting setting = rig.atRest();
    for (String turn : turned.split(" ")) {
      String[] both = turn.split("=");
      rig.position(PartId.of(both[0]), PositionId.of(both[1]));
      setting = setting.with(PartId.of(both[0]), PositionId.of(both[1]));
    }
    Network network = Network.of(rig);
    Map<PartId, Double> volumes = new HashMap<>();
    rig.tanks(Contents.FRESH)
        .forEach(t -> volumes.put(t.id(), network.room(t.id()).capacity() / 2));
    return new State(setting, volumes, Slope.LEVEL);
  }

  @Test
  void thereAreEightEachWithItsOwnName() {
    assertThat(ReadyRig.all()).hasSize(8).extracting(ReadyRig::id).doesNotHaveDuplicates();
    assertThat(ReadyRig.all()).extracting(r -> r.rig().name()).doesNotHaveDuplicates();
  }

  /** What ships is a file like any other: schema and limits hold for it, and it is canonical. */
  @ParameterizedTest
  @MethodSource("all")
  void itIsReadAsAUsersFileIs(ReadyRig ready) throws IOException {
    RigFormat format = new RigFormat();
    byte[] bytes = format.write(ready.rig()).getBytes(StandardCharsets.UTF_8);
    assertThat(format.read(bytes)).isEqualTo(ready.rig());
    try (InputStream ships =
        ReadyRig.class.getResourceAsStream("layouts/" + ready.id() + ".json")) {
      assertThat(ships).isNotNull().hasBinaryContent(bytes);
    }
  }

  /** Where everything of it is and how large, and how its ends are called. */
  @ParameterizedTest
  @MethodSource("all")
  void itIsOnRecord(ReadyRig ready) {
    Rig rig = ready.rig();
    List<String> told = new ArrayList<>();
    told.add("%s: %s %s".formatted(ready.id(), ready.title(), ready.forWhom()));
    told.addAll(OnRecord.rig(rig));
    PortNames names = PortNames.of(rig);
    for (Part part : rig.parts()) {
      part.kind().ports().forEach(port -> told.add("port " + names.full(part.port(port))));
    }
    OnRecord.assertAsRead(OnRecord.file("layouts", ready.id()), told);
  }

  @ParameterizedTest
  @MethodSource("all")
  void everyPortIsJoinedOrTheFreeEndOfSomething(ReadyRig ready) {
    RigEdit edit = RigEdit.of(ready.rig());
    for (Part part : ready.rig().parts()) {
      assertThat(edit.freePorts(part.id()))
          .as(part.label())
          .allMatch(port -> port.equals(PortId.of("mouth")) || port.equals(PortId.WASTE));
    }
    assertThat(Directions.of(Network.of(ready.rig())).reversedCheckValves()).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({
    "jug, foot-pump=on tap=open, tap",
    "one-tank, pump=on sink=open, sink",
    "pump-or-drain, selector=pump pump=on sink=open, sink",
    "main-and-low, pump=on sink=open, sink",
    "main-and-low, low-valve=open lift-pump=on, fresh",
    "three-in-a-row, pump=on sink=open, sink",
    "three-in-a-row, link-1=open, second",
    "shore-and-bucket, suction=tank pump=on sink=open, sink",
    "shore-and-bucket, inlet=mains shore=taps sink=open, sink",
    "shore-and-bucket, inlet=mains shore=tank, fresh",
    "shore-and-bucket, bucket=outside suction=bucket pump=on sink=open, sink",
    "long-stay, tank-valve=open pump=on heater-in=open shower=warm, shower",
    "haulage, outside=outside suction=outside engine-pump=on delivery=tank, tank",
    "haulage, suction=tank engine-pump=on delivery=hose hose=open, hose"
  })
  void doesItsJobWithTheRightHandles(String id, String turned, PartId end) {
    Rig rig = ReadyRig.find(id).orElseThrow().rig();
    State state = halfFull(rig, turned);
    if (id.equals("three-in-a-row")) {
      state = state.withVolume(PartId.of("first"), 0.055).withVolume(PartId.of("second"), 0.005);
    }
    assertThat(OpenWays.find(Network.of(rig), state).to(end)).isNotEmpty();
  }

  @ParameterizedTest
  @MethodSource("all")
  void isInNoDangerAtRest(ReadyRig ready) {
    State rest = halfFull(ready.rig(), firstRest(ready.rig()));
    Network network = Network.of(ready.rig());
    Levels levels = Levels.of(network, rest);
    FlowPaths ways = OpenWays.find(network, rest.setting(), levels);
    assertThat(Hazards.of(network).warnings(rest.setting(), levels, ways))
        .noneMatch(w -> w.severity() == Severity.DANGER);
  }

  private static String firstRest(Rig rig) {
    Part handle = rig.handles().findFirst().orElseThrow();
    return handle.id() + "=" + handle.kind().positions().getFirst().id();
  }
}
