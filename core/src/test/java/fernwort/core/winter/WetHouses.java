package fernwort.core.winter;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.ProfilePoint;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Stop;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.network.Turn;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.Vehicle;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;

/** Small rigs of lines at any height, joined at random, to be drained in any order. */
final class WetHouses {

  private WetHouses() {}

  static Rig rig(long seed) {
    Random random = new Random(seed);
    RigBuilder rig =
        RigBuilder.named("Wet")
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
      String id = "p" + rig(ports);
      rig.part(
          id, "Part " + id, 3 * random.nextDouble(), random.nextDouble(), height(random), kind);
      kind.ports().stream()
          .filter(port -> !port.equals(PortId.WASTE))
          .forEach(port -> ports.add(id + "." + port));
    }
    Collections.shuffle(ports, random);
    for (int i = 0; i < ports.size() / 2; i++) {
      rig.line(
          "l" + i,
          "Line " + i,
          ports.get(2 * i) + " > " + ports.get(2 * i + 1),
          random.nextInt(4) == 0 ? 25 : 12,
          0.5 + random.nextDouble(),
          Line.Material.PEX,
          0);
    }
    Rig plain = rig.build();
    return new Rig(
        plain.name(),
        plain.note(),
        plain.vehicle(),
        plain.places(),
        plain.parts().stream().map(p -> holding(p, random)).toList(),
        plain.lines().stream().map(l -> bent(l, random)).toList());
  }

  private static int rig(List<String> ports) {
    return (int) ports.stream().map(p -> p.split("\\.")[0]).distinct().count();
  }

  private static double height(Random random) {
    return 0.4 + 1.4 * random.nextDouble();
  }

  private static Part holding(Part part, Random random) {
    return new Part(
        part.id(),
        part.label(),
        part.place(),
        part.x(),
        part.y(),
        part.height(),
        random.nextInt(2) * 2e-5,
        part.kind());
  }

  private static Line bent(Line line, Random random) {
    List<ProfilePoint> profile = new ArrayList<>();
    int bends = random.nextInt(3);
    for (int i = 1; i <= bends; i++) {
      profile.add(new ProfilePoint(line.length() * i / (bends + 1.0), height(random)));
    }
    return line.along(profile);
  }

  private static List<Kind> kinds(Random random) {
    List<Kind> kinds = new ArrayList<>();
    for (int i = 0; i < 2 + random.nextInt(2); i++) {
      kinds.add(new Tee());
      kinds.add(new Plug(true));
      kinds.add(new Fixture(Fixture.Type.HOSE_POINT, false, 1e-4, 2e5));
    }
    kinds.add(new Fixture(Fixture.Type.MIXER, false, 1e-4, 2e5));
    kinds.add(new HoseInlet(3e5, 0));
    kinds.add(
        new TwoWayValve(
            List.of(
                new Stop(PositionId.of("shut"), "across", 90, List.of()),
                new Stop(PositionId.of("open"), "along", 0, List.of(List.of(PortId.A, PortId.B)))),
            Optional.empty()));
    kinds.add(new CheckValve(random.nextInt(2) * 2000.0));
    return kinds;
  }

  /** Everything opened or off that can be, in any order, some of it shut again. */
  static List<Turn> steps(Rig rig, long seed) {
    Random random = new Random(seed ^ 0xc01d);
    List<Turn> steps = new ArrayList<>();
    List<Part> parts = new ArrayList<>(rig.parts());
    Collections.shuffle(parts, random);
    for (Part part : parts) {
      List<Position> all =
          Stream.concat(part.kind().positions().stream(), part.kind().service().stream()).toList();
      all = all.stream().filter(p -> !p.id().value().matches("turned|fitted|undone")).toList();
      if (!all.isEmpty() && random.nextInt(4) > 0) {
        steps.add(new Turn(part.id(), all.get(random.nextInt(all.size())).id()));
      }
    }
    return steps;
  }

  static Slope slope(long seed) {
    Random random = new Random(seed ^ 0x510e);
    return random.nextBoolean()
        ? Slope.LEVEL
        : new Slope(6 * random.nextDouble() - 3, 6 * random.nextDouble() - 3);
  }
}
