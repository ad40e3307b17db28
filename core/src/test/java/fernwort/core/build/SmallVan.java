package fernwort.core.build;

import fernwort.core.describe.Fittings;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Optional;

/** A van that one can count by hand: a tank under the floor, a pump, a tee, two taps. */
public final class SmallVan {

  public static final Vehicle VAN =
      new Vehicle(
          Vehicle.Body.VAN,
          -1,
          4,
          2,
          0.6,
          2.6,
          0.2,
          List.of(new Axle("rear", 0, 2000, 1200)),
          Optional.empty());

  private SmallVan() {}

  public static Kind tank(TankPort... ports) {
    return tank(new Shape.Box(0.8, 0.4, 0.3), ports);
  }

  /** A tank of some shape with walls of 10 mm. */
  public static Kind tank(Shape shape, TankPort... ports) {
    return new Tank(
        Contents.FRESH, shape, 0.01, List.of(ports), Fittings.stick(0.1, 0.1), 1e4, -1e4);
  }

  public static Rig rig() {
    return RigBuilder.named("Small")
        .vehicle(VAN)
        .place("under", "Under the floor", "lie down", 1, 0, 0.4)
        .part(
            "tank",
            "Tank",
            1,
            -0.2,
            0.28,
            tank(
                Fittings.port(PortId.of("feed"), TankPort.Use.FEED, 0.4, 0, 0.05),
                Fittings.port(PortId.of("vent"), TankPort.Use.VENT, 0.4, 0.2, 0.28),
                Fittings.port(PortId.of("spare"), TankPort.Use.FILL, 0.1, 0, 0.15)))
        .part("vent-end", "Vent end", 1.4, 0.3, 0.62, Fittings.end(OpenEnd.Role.VENT))
        .place("box", "Box", "open the door", 2, 0.4, 1)
        .part("pump", "Pump", 2, 0, 0.8, 0.1, Fittings.pressurePump(10, 2.8))
        .part("tee", "Tee", 2, 0.2, 0.9, new Tee())
        .part("sink", "Sink", 2, 0.4, 1.2, Fittings.fixture(Fixture.Type.TAP, true, 6))
        .part("rinse", "Rinse", 2, 0.6, 1.1, Fittings.fixture(Fixture.Type.HOSE_POINT, false, 6))
        .line("suction", "Suction", "tank.feed > pump.in", 13, 1, Material.PVC_HOSE, 1)
        .line("delivery", "Delivery", "pump.out > tee.a", 12, 0.5, Material.PEX, 1)
        .line("to-sink", "To the sink", "tee.b > sink.cold", 12, 0.6, Material.PEX, 1)
        .line("to-rinse", "To the rinse", "tee.c > rinse.cold", 12, 0.4, Material.PEX, 1)
        .line("breath", "Breath", "tank.vent > vent-end.in", 13, 0.7, Material.PVC_HOSE, 1)
        .build();
  }
}
