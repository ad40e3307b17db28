package fernwort.core.jobs;

import fernwort.core.describe.Fittings;
import fernwort.core.hydraulics.CaseRigs;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Need;
import fernwort.core.kind.Position;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.End;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.Source;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * Small rigs that could be built, each a little different: tanks with a valve on feed, fill and now
 * and then on vent and drain, one pump, one tap, one hose inlet, perhaps a line back to the fills.
 */
public final class SmallHouses {

  private SmallHouses() {}

  public static Rig rig(long seed) {
    Random random = new Random(seed);
    RigBuilder rig = CaseRigs.rig();
    int tanks = 1 + random.nextInt(2);
    rig.part("inlet", "Inlet", -0.5, 0, 0.9, Fittings.inlet(3))
        .part("check", "Check valve", -0.4, 0, 0.9, Fittings.check())
        .part("fills", "Fill manifold", -0.3, 0, 0.9, new Manifold(4))
        .part("feeds", "Feed manifold", 0.5, 0, 0.4, new Manifold(4))
        .line("i1", "Inlet 1", "inlet.out > check.in", 12, 0.2, Material.PEX, 0)
        .line("i2", "Inlet 2", "check.out > fills.in", 12, 0.2, Material.PEX, 0);
    for (int i = 1; i <= tanks; i++) {
      tank(rig, i, random);
    }
    rig.place("front", "Front", "open the lid", 2, 0, 1)
        .part("pump", "Pump", 1.5, 0, 0.5, Fittings.pressurePump(10, 3))
        .part("house", "House tee", 1.8, 0, 0.7, new Tee())
        .part("tap", "Tap", 2, 0, 1.1, Fittings.fixture(Fixture.Type.TAP, true, 4))
        .line("p1", "Suction", "feeds.in > pump.in", 12, 1, Material.PEX, 0)
        .line("p2", "Delivery", "pump.out > house.a", 12, 1, Material.PEX, 0)
        .line("p3", "To the tap", "house.b > tap.cold", 12, 1, Material.PEX, 0);
    if (random.nextBoolean()) {
      rig.part("back", "Back to the tanks", 1.7, 0, 0.8, Fittings.twoWay(0))
          .line("b1", "Back 1", "house.c > back.a", 12, 1, Material.PEX, 0)
          .line("b2", "Back 2", "back.b > fills.4", 12, 1, Material.PEX, 0);
    }
    return rig.build();
  }

  private static void tank(RigBuilder rig, int i, Random random) {
    PartId tank = PartId.of("tank" + i);
    double height = 0.5 + 0.6 * random.nextInt(2);
    rig.place(tank + "-bay", "Bay " + i, "lift the lid", i, 0.5, height)
        .part(tank.value(), "Tank " + i, i, 0, height, CaseRigs.tank())
        .part("feed" + i, "Feed " + i, i, 0, height - 0.05, Fittings.twoWay(0))
        .part("fill" + i, "Fill " + i, i, 0, height + 0.3, Fittings.twoWay(0))
        .part("air" + i, "Air " + i, i, 0, height + 0.9, Fittings.end(Role.VENT))
        .line("f" + i, "Feed", tank + ".low > feed" + i + ".a", 12, 0.2, Material.PEX, 0)
        .line("g" + i, "Feed on", "feed" + i + ".b > feeds." + i, 12, 0.5, Material.PEX, 0)
        .line("h" + i, "Fill", "fills." + i + " > fill" + i + ".a", 12, 0.5, Material.PEX, 0)
        .line("k" + i, "Fill on", "fill" + i + ".b > " + tank + ".high", 12, 0.2, Material.PEX, 0);
    if (random.nextBoolean()) {
      rig.part("vent" + i, "Vent " + i, i, 0, height + 0.6, Fittings.twoWay(0))
          .line("v" + i, "Vent", tank + ".vent > vent" + i + ".a", 19, 0.3, Material.PEX, 0)
          .line("w" + i, "Vent on", "vent" + i + ".b > air" + i + ".in", 19, 0.3, Material.PEX, 0);
    } else {
      rig.line("v" + i, "Vent", tank + ".vent > air" + i + ".in", 19, 0.6, Material.PEX, 0);
    }
    if (random.nextInt(3) == 0) {
      rig.part("drain" + i, "Drain " + i, i, 0, 0.35, Fittings.twoWay(0))
          .part("tail" + i, "Tail " + i, i, 0, 0.3, Fittings.end(Role.DRAIN))
          .line(
              "d" + i,
              "Drain",
              "feeds." + (i + 2) + " > drain" + i + ".a",
              12,
              0.2,
              Material.PEX,
              0)
          .line("e" + i, "Tail", "drain" + i + ".b > tail" + i + ".in", 12, 0.2, Material.PEX, 0);
    }
  }

  /** Handles anyhow, taps shut and hose off; tanks between a quarter and three quarters full. */
  public static State state(Rig rig, long seed) {
    Random random = new Random(seed ^ 0x5eed);
    Setting setting = rig.atRest();
    for (Part part : rig.handles().toList()) {
      List<Position> positions = part.kind().positions();
      if (part.kind() instanceof Valve || part.kind() instanceof Pump) {
        setting = setting.with(part.id(), positions.get(random.nextInt(positions.size())).id());
      }
    }
    Map<PartId, Double> volumes = new HashMap<>();
    rig.tanks().forEach(t -> volumes.put(t.id(), 0.03 * (1 + random.nextInt(3))));
    return new State(setting, volumes, Slope.LEVEL);
  }

  public static Goal goal(Rig rig, long seed) {
    Random random = new Random(seed ^ 0x60a1);
    List<Part> tanks = rig.tanks().toList();
    Part one = tanks.get(random.nextInt(tanks.size()));
    Part other = tanks.get(random.nextInt(tanks.size()));
    Source tank = new Source(Source.Kind.TANK, one.id());
    return switch (random.nextInt(4)) {
      case 0 ->
          Goal.of(
                  Map.of(PartId.of("inlet"), PositionId.of("mains")),
                  List.of(
                      Need.of(
                          new Source(Source.Kind.MAINS, PartId.of("inlet")),
                          new End(End.Kind.TANK, one.id()),
                          Set.of(DrivenBy.Kind.MAINS))))
              .and(new Condition.Breathes(one.id()));
      case 1 -> Goal.of(Map.of()).and(new Condition.Still());
      case 2 ->
          Goal.of(
                  Map.of(),
                  List.of(
                      Need.of(
                          tank, new End(End.Kind.TANK, other.id()), Set.of(DrivenBy.Kind.PUMP))))
              .and(new Condition.Breathes(one.id()), new Condition.Breathes(other.id()));
      default ->
          Goal.of(
              Map.of(),
              List.of(
                  Need.of(
                      tank,
                      new End(End.Kind.FIXTURE, PartId.of("tap")),
                      Set.of(DrivenBy.Kind.PUMP, DrivenBy.Kind.FALL))),
              Map.of(PartId.of("tap"), PositionId.of("open")));
    };
  }
}
