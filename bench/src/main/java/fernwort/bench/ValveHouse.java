package fernwort.bench;

import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.rig.Vehicle;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A made-up haulage rig of eight tanks, each with a valve on feed, fill and vent: 24 valves. */
final class ValveHouse {

  private static final int TANKS = 8;

  private ValveHouse() {}

  static Rig rig() {
    RigBuilder rig =
        RigBuilder.named("Eight tanks")
            .vehicle(
                new Vehicle(
                    Vehicle.Body.VAN,
                    -1,
                    8,
                    2,
                    0.6,
                    2.6,
                    0.2,
                    List.of(new Axle("rear", 0, 6000, 2200)),
                    Optional.empty()))
            .place("pump-bay", "Pump bay", "open the side door", -0.5, 0, 0.8)
            .part("feeds", "Feed manifold", -0.3, 0, 0.4, new Manifold(TANKS))
            .part("fills", "Fill manifold", -0.3, 0, 1.2, new Manifold(TANKS + 1))
            .part("pump", "Pump", -0.5, 0, 0.5, Fittings.pressurePump(12, 3))
            .part("house", "House tee", -0.6, 0, 0.9, new Tee())
            .part("tap", "Tap", -0.7, 0, 1.2, Fittings.fixture(Fixture.Type.TAP, true, 6))
            .line("suction", "Suction", "feeds.in > pump.in", 16, 1, Material.PVC_HOSE, 1)
            .line("delivery", "Delivery", "pump.out > house.a", 13, 1, Material.PEX, 1)
            .line("to-tap", "To the tap", "house.b > tap.cold", 13, 1, Material.PEX, 1)
            .line("back", "Back to the tanks", "house.c > fills.in", 13, 1, Material.PEX, 1);
    for (int i = 1; i <= TANKS; i++) {
      tank(rig, i);
    }
    return rig.build();
  }

  private static void tank(RigBuilder rig, int i) {
    String tank = "tank" + i;
    rig.place(tank + "-bay", "Bay " + i, "lift the lid", i, 0.5, 0.8)
        .part(
            tank,
            "Tank " + i,
            i,
            0,
            0.6,
            Fittings.tank(
                Contents.FRESH,
                new Shape.Box(0.6, 0.5, 0.4),
                0.006,
                Fittings.stick(0.1, 0.1),
                Fittings.port(PortId.of("feed"), Use.FEED, 0.1, 0.1, 0.02),
                Fittings.port(PortId.of("fill"), Use.FILL, 0.4, 0.1, 0.36),
                Fittings.port(PortId.of("vent"), Use.VENT, 0.5, 0.3, 0.37)))
        .part("feed" + i, "Feed " + i, i, 0, 0.55, Fittings.twoWay(0))
        .part("fill" + i, "Fill " + i, i, 0, 1.1, Fittings.twoWay(0))
        .part("vent" + i, "Vent " + i, i, 0, 1.2, Fittings.twoWay(0))
        .part("air" + i, "Air " + i, i, 0, 1.6, Fittings.end(OpenEnd.Role.VENT))
        .line("a" + i, "Feed " + i, tank + ".feed > feed" + i + ".a", 16, 0.2, Material.PEX, 1)
        .line("b" + i, "Feed on " + i, "feed" + i + ".b > feeds." + i, 16, 1, Material.PEX, 1)
        .line("c" + i, "Fill " + i, "fills." + i + " > fill" + i + ".a", 16, 1, Material.PEX, 1)
        .line(
            "d" + i,
            "Fill on " + i,
            "fill" + i + ".b > " + tank + ".fill",
            16,
            0.2,
            Material.PEX,
            1)
        .line("e" + i, "Vent " + i, tank + ".vent > vent" + i + ".a", 19, 0.3, Material.PEX, 1)
        .line(
            "f" + i, "Vent on " + i, "vent" + i + ".b > air" + i + ".in", 19, 0.4, Material.PEX, 1);
  }

  /** Feeds and fills of all other tanks open, of the two that matter shut, and every vent shut. */
  static State tangled(Rig rig, String from, String to) {
    Map<PartId, Double> volumes = new HashMap<>();
    rig.tanks().forEach(t -> volumes.put(t.id(), 0.05));
    State state = new State(rig.atRest(), volumes, Slope.LEVEL);
    for (int i = 1; i <= TANKS; i++) {
      boolean matters = from.equals("tank" + i) || to.equals("tank" + i);
      if (!matters) {
        state =
            state
                .with(PartId.of("feed" + i), PositionId.of("open"))
                .with(PartId.of("fill" + i), PositionId.of("open"));
      }
    }
    return state;
  }
}
