package fernwort.core.network;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Point;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.rig.Vehicle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** Small rigs joined at random, in a random setting, with tanks filled at random. */
public final class RandomRigs {

  private RandomRigs() {}

  public static State state(Rig rig, long seed) {
    Random random = new Random(seed ^ 0x5eed);
    Setting setting = rig.atRest();
    for (Part part : rig.handles().toList()) {
      List<Position> positions = part.kind().positions();
      setting = setting.with(part.id(), positions.get(random.nextInt(positions.size())).id());
    }
    Map<PartId, Double> volumes = new HashMap<>();
    rig.tanks().forEach(t -> volumes.put(t.id(), random.nextInt(4) * 0.018));
    return new State(setting, volumes, Slope.LEVEL);
  }

  public static Rig rig(long seed) {
    Random random = new Random(seed);
    RigBuilder rig =
        RigBuilder.named("Random")
            .vehicle(
                new Vehicle(
                    Vehicle.Body.VAN,
                    -1,
                    4,
                    2,
                    0.6,
                    2.6,
                    0.2,
                    List.of(new Axle("rear", 0, 2000, 1200)),
                    Optional.empty()))
            .place("box", "Box", "reach in", 0, 0, 1);
    List<String> ports = new ArrayList<>();
    for (Kind kind : kinds(random)) {
      String id = "p" + ports.size();
      rig.part(id, "Part " + id, 0, 0, 0.3 + 0.15 * random.nextInt(12), kind);
      kind.ports().forEach(port -> ports.add(id + "." + port));
    }
    Collections.shuffle(ports, random);
    int lines = Math.min(ports.size() / 2, 8 + random.nextInt(8));
    for (int i = 0; i < lines; i++) {
      rig.line(
          "l" + i,
          "Line " + i,
          ports.get(2 * i) + " > " + ports.get(2 * i + 1),
          12,
          1,
          Material.PEX,
          0);
    }
    return rig.build();
  }

  private static List<Kind> kinds(Random random) {
    List<Kind> kinds = new ArrayList<>(List.of(tank(), tank(), new HoseInlet(3e5, 0)));
    kinds.add(pump(Pump.Type.values()[random.nextInt(3)]));
    for (int i = 0; i < 3 + random.nextInt(3); i++) {
      kinds.add(new Tee());
    }
    for (int i = 0; i < 2; i++) {
      kinds.add(valve());
      kinds.add(new OpenEnd(OpenEnd.Role.DRAIN));
      kinds.add(new Fixture(Fixture.Type.HOSE_POINT, false, 1e-4, 2e5));
    }
    kinds.add(new CheckValve(0));
    if (random.nextBoolean()) {
      kinds.add(new CheckValve(0));
      kinds.add(pump(Pump.Type.CENTRIFUGAL));
    }
    return kinds;
  }

  private static Kind valve() {
    return new TwoWayValve(
        List.of(
            new Stop(PositionId.of("shut"), "across", 90, List.of()),
            new Stop(PositionId.of("open"), "along", 0, List.of(List.of(PortId.A, PortId.B)))),
        Optional.empty());
  }

  private static Kind pump(Pump.Type type) {
    return new Pump(Pump.Duty.SUPPLY, type, 3e5, 1e-4, 1e5, 2e5, 1.0);
  }

  private static Kind tank() {
    return new Tank(
        Contents.FRESH,
        new Shape.Box(0.6, 0.3, 0.3),
        0,
        List.of(
            new TankPort(PortId.of("low"), TankPort.Use.FEED, new Point(0.1, 0.1, 0.02)),
            new TankPort(PortId.of("mid"), TankPort.Use.FILL, new Point(0.3, 0.1, 0.15)),
            new TankPort(PortId.of("top"), TankPort.Use.VENT, new Point(0.5, 0.1, 0.28))),
        new Gauge(Gauge.GaugeKind.NONE, 0, 0, 0),
        5000,
        -2000);
  }
}
