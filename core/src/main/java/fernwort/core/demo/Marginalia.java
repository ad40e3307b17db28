package fernwort.core.demo;

import fernwort.core.describe.Fittings;
import fernwort.core.describe.Fittings.Choice;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter.Grade;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.rig.Axle;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Vehicle;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A retired mobile library truck whose couple work along a coast. */
final class Marginalia {

  private Marginalia() {}

  static DemoRig demo() {
    return new DemoRig(
        "marginalia",
        rig(),
        Map.of(
            "tank-selector", "main",
            "pump", "on",
            "heater-in", "open",
            "heater-out", "open",
            "heater", "on",
            "low-overflow-valve", "open",
            "sink", "warm"),
        Map.of("main", 74.0, "low", 52.0, "gray", 41.0));
  }

  private static Rig rig() {
    RigBuilder rig =
        RigBuilder.named("Marginalia")
            .note("Shelves out, bunks in. The pump hangs behind the bench seat.")
            .vehicle(
                new Vehicle(
                    Vehicle.Body.TRUCK,
                    -1.95,
                    5.35,
                    2.34,
                    0.94,
                    3.18,
                    0.3,
                    List.of(new Axle("rear", 0, 4400, 3120), new Axle("front", 3.85, 2700, 2190)),
                    Optional.empty()));
    supply(rig);
    tanks(rig);
    house(rig);
    gray(rig);
    supplyLines(rig);
    houseLines(rig);
    grayLines(rig);
    return rig.build();
  }

  private static void supply(RigBuilder rig) {
    rig.place("rear-locker", "Rear locker", "kneel at the rear doors", -1.5, 0.6, 1.25)
        .part("inlet", "Hose inlet", -1.9, 0.9, 1.05, Fittings.inlet(4.2))
        .part("regulator", "Regulator", -1.75, 0.85, 1.08, 0.03, Fittings.regulator(3.1))
        .part("inlet-check", "Inlet check valve", -1.6, 0.8, 1.1, 0.01, Fittings.check())
        .part("inlet-tee", "Inlet tee", -1.45, 0.75, 1.14, new Tee())
        .part(
            "fill-selector",
            "Fill selector",
            -1.3,
            0.7,
            1.2,
            0.03,
            Fittings.selector(
                new Choice("shut", "points down", 270, ""),
                new Choice("main", "points to Main", 0, "b"),
                new Choice("low", "points to Low", 180, "c")))
        .part("mains-valve", "Mains to house", -1.45, 0.6, 1.5, 0.02, Fittings.twoWay(90))
        .part("rinse-tee", "Rinse tee", -1.5, 0.4, 1.55, new Tee())
        .part("rinse", "Rinse point", -1.85, -0.8, 1.0, Fittings.fixture(Type.HOSE_POINT, false, 8))
        .place("bench", "Bench seat", "lift the seat cushion", 0.1, 0.75, 1.3)
        .part(
            "main",
            "Main fresh",
            -0.4,
            0.35,
            1.02,
            Fittings.tank(
                Contents.FRESH,
                new Shape.Box(1.12, 0.46, 0.27),
                0.006,
                Fittings.sender(8, 0.55, 0.2),
                Fittings.port("fill", Use.FILL, 0.05, 0.4, 0.245),
                Fittings.port("feed", Use.FEED, 0.04, 0.06, 0.022),
                Fittings.port("vent", Use.VENT, 1.06, 0.4, 0.25)))
        .part(
            "tank-selector",
            "Tank selector",
            -0.7,
            0.7,
            1.05,
            0.03,
            Fittings.selector(
                new Choice("shut", "points up", 90, ""),
                new Choice("main", "points to Main", 0, "b"),
                new Choice("low", "points to Low", 270, "c")))
        .part("strainer", "Strainer", -0.8, 0.7, 1.2, 0.05, new Strainer())
        .part("pump", "Pump", -0.6, 0.8, 1.32, 0.12, Fittings.pressurePump(11.3, 2.9))
        .part("surge-tee", "Accumulator tee", -0.35, 0.8, 1.4, new Tee())
        .part("surge", "Accumulator", -0.3, 0.9, 1.45, 0.7, new Accumulator(2.1e5));
  }

  private static void tanks(RigBuilder rig) {
    rig.place(
            "under-left",
            "Under the floor, left",
            "lie down behind the left rear wheel",
            1.2,
            0.7,
            0.6)
        .part(
            "low",
            "Low fresh",
            0.7,
            0.4,
            0.5,
            Fittings.tank(
                Contents.FRESH,
                new Shape.Box(0.94, 0.52, 0.21),
                0.006,
                Fittings.sender(4, 0.4, 0.25),
                Fittings.port("fill", Use.FILL, 0.05, 0.45, 0.185),
                Fittings.port("feed", Use.FEED, 0.05, 0.05, 0.02),
                Fittings.port("overflow", Use.VENT, 0.88, 0.45, 0.19),
                Fittings.port("drain", Use.DRAIN, 0.46, 0.25, 0.004)))
        .part(
            "low-overflow-valve",
            "Low overflow",
            1.75,
            0.85,
            0.62,
            0.02,
            Fittings.twoWay(270, "lies level", "hangs down"))
        .part("low-tail", "Overflow tail", 1.8, 0.95, 0.34, Fittings.end(Role.OVERFLOW))
        .part("low-drain", "Low drain cap", 1.15, 0.6, 0.42, new Plug(true))
        .place("roof", "Roof, rear corner", "ladder at the rear wall", 0.2, 0.9, 2.9)
        .part("vent-tee", "Vent crest", 0.6, 1.0, 2.85, new Tee())
        .part("vent-air", "Air valve", 0.6, 1.0, 2.95, new AirAdmittanceValve())
        .part("main-tail", "Main tail", 0.3, 1.1, 2.7, Fittings.end(Role.OVERFLOW))
        .part("gray-vent", "Gray vent", 1.8, -0.9, 3.05, Fittings.end(Role.VENT));
  }

  private static void house(RigBuilder rig) {
    rig.place("galley", "Galley", "open the doors under the sink", 1.9, -0.6, 1.5)
        .part("house-tee", "House tee", 1.4, -0.5, 1.3, new Tee())
        .part(
            "sediment",
            "Sediment filter",
            1.55,
            -0.6,
            1.2,
            0.6,
            Fittings.filter(Grade.SEDIMENT, 15, 0.25))
        .part(
            "carbon",
            "Carbon filter",
            1.75,
            -0.6,
            1.2,
            0.6,
            Fittings.filter(Grade.CARBON, 11, 0.35))
        .part("cold", "Cold manifold", 2.0, -0.7, 1.28, 0.1, new Manifold(7))
        .part("sink", "Sink", 2.3, -0.5, 1.95, Fittings.fixture(Type.MIXER, true, 6))
        .part("drink", "Drinking tap", 2.0, -0.5, 1.92, Fittings.fixture(Type.TAP, true, 2.5))
        .part("sink-trap", "Sink trap", 2.3, -0.6, 1.45, 0.15, new DrainTrap())
        .part("cold-drain", "Cold drain cap", 2.2, -0.9, 1.0, new Plug(true))
        .place("wheel-arch", "Wheel-arch cupboard", "unscrew the kick panel", -0.4, -0.8, 1.2)
        .part("heater-tee", "Cold tee", -0.1, -0.7, 1.15, new Tee())
        .part("heater-in", "Heater in", -0.25, -0.7, 1.12, 0.02, Fittings.twoWay(0))
        .part("heater-check", "Heater check valve", -0.35, -0.7, 1.11, 0.01, Fittings.check())
        .part(
            "heater",
            "Heater",
            -0.55,
            -0.8,
            1.05,
            10,
            new Heater(
                Heater.Type.STORAGE,
                true,
                0.02,
                Optional.of(new Heater.Heating(1500, Heater.THERMOSTAT))))
        .part("heater-out", "Heater out", -0.3, -0.9, 1.35, 0.02, Fittings.twoWay(0))
        .part("bypass", "Bypass", -0.15, -0.8, 1.25, 0.02, Fittings.twoWay(90))
        .part("hot-tee", "Hot tee", -0.1, -0.9, 1.36, new Tee())
        .part("hot", "Hot manifold", 0.1, -0.9, 1.4, 0.08, new Manifold(4))
        .part("hot-drain", "Hot drain cap", 0.2, -0.95, 0.98, new Plug(true))
        .place("washroom", "Washroom", "step inside, second door", 0.9, -0.7, 2.1)
        .part("shower", "Shower", 0.6, -0.8, 2.05, Fittings.fixture(Type.SHOWER, false, 7))
        .part("basin", "Basin", 1.0, -0.9, 1.85, Fittings.fixture(Type.MIXER, true, 4))
        .part("toilet", "Toilet", 1.2, -0.6, 1.45, Fittings.fixture(Type.TOILET, false, 5))
        .part("basin-trap", "Basin trap", 1.0, -0.9, 1.4, 0.12, new DrainTrap())
        .part("shower-trap", "Shower trap", 0.6, -0.8, 1.0, 0.18, new DrainTrap());
  }

  private static void gray(RigBuilder rig) {
    rig.place(
            "under-right", "Under the floor, right", "kneel behind the right step", 2.2, -0.6, 0.6)
        .part("gray-tee", "Gray tee", 1.5, -0.6, 0.84, new Tee())
        .part(
            "gray",
            "Gray",
            1.7,
            -1.0,
            0.5,
            Fittings.tank(
                Contents.GRAY,
                new Shape.Box(1.05, 0.5, 0.22),
                0.006,
                Fittings.sender(4, 0.5, 0.25),
                Fittings.port("sink", Use.FILL, 0.7, 0.4, 0.2),
                Fittings.port("wash", Use.FILL, 0.05, 0.4, 0.19),
                Fittings.port("vent", Use.VENT, 0.2, 0.08, 0.205),
                Fittings.port("drain", Use.DRAIN, 0.99, 0.25, 0.006)))
        .part(
            "gray-dump",
            "Gray dump",
            2.85,
            -0.75,
            0.46,
            0.1,
            Fittings.twoWay(0, "pushed in", "pulled out"))
        .part("dump-outlet", "Dump outlet", 2.95, -0.9, 0.4, Fittings.end(Role.DUMP));
  }

  private static void supplyLines(RigBuilder rig) {
    rig.line("s1", "Inlet 1", "inlet.out > regulator.in", 13, 0.2, Material.PEX, 0.8)
        .line("s2", "Inlet 2", "regulator.out > inlet-check.in", 13, 0.18, Material.PEX, 0.5)
        .line("s3", "Inlet 3", "inlet-check.out > inlet-tee.a", 13, 0.2, Material.PEX, 0.5)
        .line(
            "s4",
            "To the fill selector",
            "inlet-tee.b > fill-selector.a",
            13,
            0.25,
            Material.PEX,
            0.9)
        .line(
            "s5", "To the mains valve", "inlet-tee.c > mains-valve.a", 13, 0.45, Material.PEX, 0.9)
        .line(
            "fill-main",
            "Main fill",
            "fill-selector.b > main.fill",
            19,
            1.35,
            Material.PVC_HOSE,
            2.1)
        .line("fill-low", "Low fill", "fill-selector.c > low.fill", 19, 2.9, Material.PVC_HOSE, 2.8)
        .line(
            "feed-main",
            "Main feed",
            "main.feed > tank-selector.b",
            13,
            0.55,
            Material.PVC_HOSE,
            1.4)
        .line(
            "feed-low",
            "Low feed",
            "low.feed > tank-selector.c",
            13,
            1.9,
            Material.PVC_HOSE,
            2.3,
            0.4,
            0.46)
        .line("p1", "Suction 1", "tank-selector.a > strainer.in", 13, 0.25, Material.PVC_HOSE, 0.8)
        .line("p2", "Suction 2", "strainer.out > pump.in", 13, 0.3, Material.PVC_HOSE, 0.8)
        .line("p3", "Pump delivery", "pump.out > surge-tee.a", 12, 0.35, Material.PVC_HOSE, 0.9)
        .line("p4", "Accumulator stub", "surge-tee.b > surge.in", 12, 0.15, Material.PEX, 0.5)
        .line("p5", "House line", "surge-tee.c > house-tee.a", 12, 2.6, Material.PEX, 3.2)
        .line("p6", "Mains line", "rinse-tee.b > house-tee.b", 12, 3.6, Material.PEX, 3.6)
        .line("p7", "Mains stub", "mains-valve.b > rinse-tee.a", 12, 0.15, Material.PEX, 0.5)
        .line("vent-main", "Main vent", "main.vent > vent-tee.a", 19, 2.0, Material.PVC_HOSE, 1.9)
        .line("vent-cap", "Vent top", "vent-tee.b > vent-air.in", 16, 0.1, Material.PVC_HOSE, 0.3)
        .line(
            "tail-main",
            "Main overflow",
            "vent-tee.c > main-tail.in",
            16,
            0.5,
            Material.PVC_HOSE,
            1.0)
        .line(
            "over-low",
            "Low overflow hose",
            "low.overflow > low-overflow-valve.a",
            16,
            0.35,
            Material.PVC_HOSE,
            1.1)
        .line(
            "over-tail",
            "Low tail",
            "low-overflow-valve.b > low-tail.in",
            16,
            0.35,
            Material.PVC_HOSE,
            1.0)
        .line(
            "drain-low", "Low drain", "low.drain > low-drain.in", 19, 0.14, Material.PVC_HOSE, 0.6);
  }

  private static void houseLines(RigBuilder rig) {
    rig.line("h1", "To the filters", "house-tee.c > sediment.in", 12, 0.25, Material.PEX, 1.0)
        .line("h2", "Between filters", "sediment.out > carbon.in", 12, 0.15, Material.PEX, 0.8)
        .line("h3", "Cold main", "carbon.out > cold.in", 12, 0.3, Material.PEX, 0.8)
        .line("c1", "Sink cold", "cold.1 > sink.cold", 9.5, 0.9, Material.PEX, 1.6)
        .line("c2", "Drinking", "cold.2 > drink.cold", 6.5, 0.8, Material.PEX, 1.4)
        .line("c3", "Basin cold", "cold.3 > basin.cold", 9.5, 1.6, Material.PEX, 2.0)
        .line("c4", "Shower cold", "cold.4 > shower.cold", 9.5, 2.3, Material.PEX, 2.2)
        .line("c5", "Toilet fill", "cold.5 > toilet.cold", 9.5, 1.2, Material.PEX, 1.5)
        .line("c6", "Heater cold", "cold.6 > heater-tee.a", 12, 2.4, Material.PEX, 2.2, 1.2, 1.02)
        .line("c7", "Cold drain", "cold.7 > cold-drain.in", 12, 0.4, Material.PEX, 0.8)
        .line("b1", "Heater feed", "heater-tee.b > heater-in.a", 12, 0.15, Material.PEX, 0.5)
        .line("b2", "Heater feed 2", "heater-in.b > heater-check.in", 12, 0.1, Material.PEX, 0.5)
        .line("b3", "Heater feed 3", "heater-check.out > heater.cold", 12, 0.2, Material.PEX, 0.7)
        .line("b4", "Heater hot", "heater.hot > heater-out.a", 12, 0.35, Material.PEX, 0.9)
        .line("b5", "Hot out", "heater-out.b > hot-tee.a", 12, 0.2, Material.PEX, 0.5)
        .line("b6", "Bypass low", "heater-tee.c > bypass.a", 12, 0.15, Material.PEX, 0.6)
        .line("b7", "Bypass high", "bypass.b > hot-tee.b", 12, 0.15, Material.PEX, 0.6)
        .line("b8", "Hot main", "hot-tee.c > hot.in", 12, 0.25, Material.PEX, 0.6)
        .line("w1", "Sink hot", "hot.1 > sink.hot", 9.5, 2.9, Material.PEX, 2.6)
        .line("w2", "Basin hot", "hot.2 > basin.hot", 9.5, 1.4, Material.PEX, 1.8)
        .line("w3", "Shower hot", "hot.3 > shower.hot", 9.5, 1.1, Material.PEX, 1.6)
        .line("w4", "Hot drain", "hot.4 > hot-drain.in", 12, 0.5, Material.PEX, 0.8)
        .line("rinse-line", "Rinse line", "rinse-tee.c > rinse.cold", 12, 1.7, Material.PEX, 1.8);
  }

  private static void grayLines(RigBuilder rig) {
    rig.line("g1", "Sink waste", "sink.waste > sink-trap.in", 32, 0.45, Material.RIGID_PVC, 0.6)
        .line("g2", "Sink drain", "sink-trap.out > gray.sink", 32, 0.9, Material.RIGID_PVC, 1.4)
        .line("g3", "Basin waste", "basin.waste > basin-trap.in", 32, 0.4, Material.RIGID_PVC, 0.6)
        .line("g4", "Basin drain", "basin-trap.out > gray-tee.a", 32, 0.9, Material.RIGID_PVC, 1.3)
        .line(
            "g5", "Shower waste", "shower.waste > shower-trap.in", 38, 0.1, Material.RIGID_PVC, 0.5)
        .line(
            "g6", "Shower drain", "shower-trap.out > gray-tee.b", 38, 1.0, Material.RIGID_PVC, 1.0)
        .line("g7", "Wash drain", "gray-tee.c > gray.wash", 38, 0.4, Material.RIGID_PVC, 0.8)
        .line("g8", "Gray vent", "gray.vent > gray-vent.in", 19, 2.6, Material.PVC_HOSE, 1.8)
        .line("g9", "Gray drain", "gray.drain > gray-dump.a", 38, 0.2, Material.RIGID_PVC, 0.5)
        .line(
            "g10", "Dump stub", "gray-dump.b > dump-outlet.in", 38, 0.15, Material.RIGID_PVC, 0.5);
  }
}
