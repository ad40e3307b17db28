package fernwort.core.demo;

import fernwort.core.describe.Fittings;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.end.PortableContainer;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Hitch;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A two-wheel beach trailer with one tank, a foot pump, a gravity filler and a jug. */
final class Samphire {

  private Samphire() {}

  static DemoRig demo() {
    return new DemoRig("samphire", rig(), Map.of(), Map.of("tank", 31.0));
  }

  private static Rig rig() {
    return RigBuilder.named("Samphire")
        .note("Pulled by hand over the dunes, or behind a small car. One jug is one walk.")
        .vehicle(
            new Vehicle(
                Vehicle.Body.TRAILER,
                -0.95,
                1.75,
                1.3,
                0.48,
                1.28,
                0.24,
                List.of(new Axle("only", 0, 450, 205)),
                Optional.of(new Hitch(1.7, 10, 50, Optional.of(24.0)))))
        .place("side-hatch", "Side hatch", "stand at the left side, lift the hatch", 0.7, 0.5, 1.05)
        .part("filler", "Filler neck", 0.55, 0.55, 1.02, new GravityFiller())
        .part("jug", "Jug", 0.8, 0.5, 0.9, new PortableContainer(0.015, true))
        .place("bed", "Trailer bed", "kneel at the left wheel", 0.1, 0.1, 0.6)
        .part(
            "tank",
            "Tank",
            -0.3,
            -0.2,
            0.5,
            Fittings.tank(
                Contents.FRESH,
                new Shape.Box(0.72, 0.42, 0.24),
                0.005,
                Fittings.stick(0.6, 0.2),
                Fittings.port("fill", Use.FILL, 0.66, 0.38, 0.215),
                Fittings.port("vent", Use.VENT, 0.04, 0.38, 0.222),
                Fittings.port("feed", Use.FEED, 0.03, 0.1, 0.018),
                Fittings.port("drain", Use.DRAIN, 0.35, 0.2, 0.006)))
        .part("drain-cap", "Drain cap", 0.05, 0, 0.36, new Plug(true))
        .place("kitchen", "Tailgate kitchen", "stand behind the trailer", -0.8, 0, 0.95)
        .part("strainer", "Strainer", -0.62, 0, 0.56, 0.04, new Strainer())
        .part("foot-pump", "Foot pump", -0.85, 0.2, 0.34, 0.09, Fittings.footPump(6.5, 1.2))
        .part("tap", "Swan-neck tap", -0.8, -0.1, 1.12, Fittings.fixture(Fixture.Type.TAP, true, 5))
        .part("vent", "Vent", -0.7, 0.45, 1.1, Fittings.end(OpenEnd.Role.VENT))
        .line(
            "pour", "Pouring spout", "jug.spout > filler.mouth", 30, 0.12, Material.POLYETHYLENE, 1)
        .line("fill", "Fill hose", "filler.out > tank.fill", 38, 0.42, Material.PVC_HOSE, 1.2)
        .line("vent-hose", "Vent hose", "tank.vent > vent.in", 10, 0.85, Material.PVC_HOSE, 1.6)
        .line(
            "drain-line",
            "Drain stub",
            "tank.drain > drain-cap.in",
            19,
            0.18,
            Material.PVC_HOSE,
            0.8)
        .line("suction", "Suction hose", "tank.feed > strainer.in", 12, 0.45, Material.PVC_HOSE, 1)
        .line(
            "to-pump",
            "Hose to the pump",
            "strainer.out > foot-pump.in",
            12,
            0.4,
            Material.PVC_HOSE,
            0.9)
        .line("riser", "Tap hose", "foot-pump.out > tap.cold", 12, 0.95, Material.PVC_HOSE, 1.1)
        .build();
  }
}
