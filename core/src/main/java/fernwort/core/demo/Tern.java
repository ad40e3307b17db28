package fernwort.core.demo;

import fernwort.core.describe.Fittings;
import fernwort.core.describe.Fittings.Choice;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter.Grade;
import fernwort.core.kind.line.LeakTray;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Macerator;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
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

/** A four-season van whose three fresh tanks fill one from the next. */
final class Tern {

  private Tern() {}

  static DemoRig demo() {
    return new DemoRig(
        "tern",
        rig(),
        Map.of(
            "suction", "tanks",
            "delivery", "taps",
            "fore-motor", "open",
            "pump", "on",
            "heater-valve", "open",
            "heater", "on"),
        Map.of("fore", 48.0, "arch", 37.0, "aft", 22.0, "gray", 18.0));
  }

  private static Rig rig() {
    RigBuilder rig =
        RigBuilder.named("Tern")
            .note("Water lives inside the warm shell; only the gray tank hangs below the floor.")
            .vehicle(
                new Vehicle(
                    Vehicle.Body.VAN,
                    -1.25,
                    4.7,
                    2.05,
                    0.62,
                    2.72,
                    0.21,
                    List.of(new Axle("rear", 0, 2250, 1480), new Axle("front", 3.68, 1850, 1520)),
                    Optional.empty()));
    shore(rig);
    tanks(rig);
    house(rig);
    gray(rig);
    supplyLines(rig);
    tankLines(rig);
    houseLines(rig);
    grayLines(rig);
    return rig.build();
  }

  private static void shore(RigBuilder rig) {
    rig.place("locker", "Hose locker", "open the flap at the left rear", -0.95, 0.8, 1.0)
        .part("inlet", "Hose inlet", -1.15, 0.95, 0.85, Fittings.inlet(3.8))
        .part("regulator", "Regulator", -1.1, 0.9, 0.9, 0.02, Fittings.regulator(2.4))
        .part("inlet-check", "Inlet check valve", -1.05, 0.9, 0.95, 0.01, Fittings.check())
        .part("shore-tee", "Shore tee", -1.0, 0.85, 1.0, new Tee())
        .part(
            "shore-taps",
            "Shore to taps",
            -0.95,
            0.85,
            1.1,
            0.02,
            Fittings.twoWay(0, "stands up", "lies along the pipe"))
        .part(
            "shore-tanks",
            "Shore to tanks",
            -0.8,
            0.85,
            1.1,
            0.02,
            Fittings.twoWay(0, "stands up", "lies along the pipe"))
        .part("bucket", "Bucket inlet", -1.15, 0.8, 0.75, Fittings.inlet(0))
        .place("garage", "Garage, right", "open the rear doors, right side", -0.8, -0.6, 1.25)
        .part(
            "suction",
            "Pump draws from",
            -1.1,
            -0.6,
            0.85,
            0.03,
            Fittings.selector(
                new Choice("shut", "points at the door", 180, ""),
                new Choice("tanks", "points at the bed", 0, "b"),
                new Choice("bucket", "points at the floor", 270, "c")))
        .part("strainer", "Strainer", -1.05, -0.6, 0.95, 0.05, new Strainer())
        .part("pump", "Pump", -0.95, -0.6, 1.05, 0.12, Fittings.pressurePump(10.6, 3.1))
        .part(
            "sediment",
            "Sediment filter",
            -0.75,
            -0.7,
            1.2,
            0.6,
            Fittings.filter(Grade.SEDIMENT, 14, 0.22))
        .part("surge-tee", "Accumulator tee", -0.6, -0.6, 1.25, new Tee())
        .part("surge", "Accumulator", -0.55, -0.6, 1.35, 0.5, new Accumulator(2.2e5))
        .part(
            "delivery",
            "Pump sends to",
            -0.5,
            -0.6,
            1.2,
            0.03,
            Fittings.selector(
                new Choice("taps", "points forward", 0, "b"),
                new Choice("tanks", "points left", 90, "c")))
        .part("house-tee", "House tee", -0.4, -0.6, 1.3, new Tee());
  }

  private static void tanks(RigBuilder rig) {
    rig.place("seat", "Under the rear seat", "fold the seat forward", 2.1, 0.2, 0.85)
        .part(
            "fore",
            "Fore fresh",
            1.7,
            -0.2,
            0.7,
            Fittings.tank(
                Contents.FRESH,
                new Shape.Box(0.7, 0.42, 0.28),
                0.005,
                Fittings.sender(5, 0.35, 0.2),
                Fittings.port("fill", Use.FILL, 0.05, 0.38, 0.25),
                Fittings.port("feed", Use.FEED, 0.04, 0.05, 0.02),
                Fittings.port("link", Use.VENT, 0.64, 0.2, 0.255)))
        .part("fore-motor", "Fore valve", 1.6, 0.1, 0.72, 0.02, Fittings.motorised(0, "", 6))
        .place("arch-left", "Left wheel arch", "behind the bed's left panel", 0.2, 0.75, 0.95)
        .part(
            "arch",
            "Arch fresh",
            -0.25,
            0.55,
            0.66,
            Fittings.tank(
                Contents.FRESH,
                new Shape.Straddling(
                    List.of(
                        new Shape.Block(0, 0, 0, 0.2, 0.3, 0.46),
                        new Shape.Block(0.2, 0, 0.31, 0.42, 0.3, 0.15),
                        new Shape.Block(0.62, 0, 0, 0.22, 0.3, 0.46))),
                0.005,
                Fittings.sender(5, 0.1, 0.15),
                Fittings.port("fill", Use.FILL, 0.75, 0.2, 0.43),
                Fittings.port("feed", Use.FEED, 0.1, 0.03, 0.02),
                Fittings.port("feed-front", Use.FEED, 0.7, 0.03, 0.02),
                Fittings.port("link", Use.VENT, 0.06, 0.2, 0.435)))
        .part("arch-tee", "Arch tee", 0.2, 0.5, 0.68, new Tee())
        .part("arch-motor", "Arch valve", 0.1, 0.45, 0.68, 0.02, Fittings.motorised(0, "shut", 5))
        .place("bed", "Under the bed", "lift the slats", -0.2, 0, 1.15)
        .part(
            "aft",
            "Aft fresh",
            -0.5,
            -0.3,
            0.68,
            Fittings.tank(
                Contents.FRESH,
                new Shape.LyingCylinder(0.34, 0.66, true),
                0.004,
                new Gauge(Gauge.GaugeKind.SIGHT, 0, 0.16, 0.33),
                Fittings.port("fill", Use.FILL, 0.16, 0.6, 0.31),
                Fittings.port("feed", Use.FEED, 0.16, 0.05, 0.01),
                Fittings.port("vent", Use.VENT, 0.16, 0.1, 0.315)))
        .part("aft-motor", "Aft valve", -0.6, -0.1, 0.7, 0.02, Fittings.motorised(0, "", 6))
        .part("feed-a", "Feed tee 1", -0.3, 0.3, 0.68, new Tee())
        .part("feed-b", "Feed tee 2", -0.45, 0.4, 0.68, new Tee())
        .part("frost-tee", "Frost tee", -0.6, 0.5, 0.66, new Tee())
        .part(
            "frost-motor", "Frost drain", -0.65, 0.5, 0.6, 0.02, Fittings.motorised(270, "open", 8))
        .part("frost-tail", "Frost tail", -0.65, 0.55, 0.28, Fittings.end(Role.DRAIN))
        .part("sump-tee", "Sump tee", -0.7, 0.5, 0.65, new Tee())
        .part(
            "sump",
            "Sump valve",
            -0.75,
            0.5,
            0.6,
            0.02,
            Fittings.twoWay(0, "pushed in", "pulled out"))
        .part("sump-tail", "Sump tail", -0.75, 0.55, 0.3, Fittings.end(Role.DRAIN))
        .part("fill-tee", "Fill tee", -0.6, 0.85, 1.1, new Tee())
        .place("wall", "Rear wall, high", "stand at the rear doors", -1.0, -0.3, 2.2)
        .part("vent-tee", "Vent crest", -1.0, -0.3, 2.1, new Tee())
        .part("vent-air", "Air valve", -1.0, -0.25, 2.2, new AirAdmittanceValve())
        .part("vent-tail", "Overflow tail", -1.15, -0.5, 0.35, Fittings.end(Role.OVERFLOW));
  }

  private static void house(RigBuilder rig) {
    rig.place("galley", "Galley", "open the drawer under the sink", 2.7, -0.6, 1.4)
        .part("cold", "Cold manifold", 2.4, -0.6, 0.9, 0.08, new Manifold(6))
        .part("sink", "Sink", 2.6, -0.6, 1.5, Fittings.fixture(Type.MIXER, false, 5.5))
        .part("purifier", "Purifier", 2.9, -0.7, 1.05, 0.5, Fittings.filter(Grade.PURIFIER, 4, 0.6))
        .part("drink", "Drinking tap", 2.9, -0.6, 1.48, Fittings.fixture(Type.TAP, true, 2))
        .part("sink-trap", "Sink trap", 2.6, -0.6, 0.95, 0.12, new DrainTrap())
        .place("heater-bay", "Heater bay", "behind the galley's right door", 1.4, -0.7, 0.95)
        .part("cold-tee", "Heater tee", 1.2, -0.7, 0.8, new Tee())
        .part(
            "heater-valve",
            "Heater in",
            1.3,
            -0.7,
            0.8,
            0.02,
            Fittings.twoWay(0, "across the pipe", "along the pipe"))
        .part(
            "heater",
            "Heater",
            1.5,
            -0.7,
            0.78,
            7,
            new Heater(
                Heater.Type.STORAGE,
                true,
                0.02,
                Optional.of(new Heater.Heating(900, Heater.THERMOSTAT))))
        .part("tray", "Leak tray", 1.5, -0.7, 0.74, new LeakTray(0.004, true))
        .part("hot", "Hot manifold", 1.8, -0.7, 1.1, 0.08, new Manifold(4))
        .part("loop-pump", "Loop pump", 1.5, -0.6, 1.2, 0.06, Fittings.circulationPump(6, 0.12))
        .part("loop-check", "Loop check valve", 1.3, -0.6, 1.0, 0.01, Fittings.check())
        .place("washroom", "Wet room", "slide the door", 1.2, 0.6, 1.7)
        .part("shower", "Shower", 1.0, 0.7, 1.75, Fittings.fixture(Type.SHOWER, false, 6))
        .part("basin", "Basin", 1.3, 0.7, 1.45, Fittings.fixture(Type.MIXER, false, 4))
        .part("toilet", "Toilet", 1.5, 0.6, 1.05, Fittings.fixture(Type.TOILET, false, 4))
        .part("wash-trap", "Shower trap", 1.0, 0.6, 0.64, 0.18, new DrainTrap())
        .part("basin-trap", "Basin trap", 1.3, 0.7, 1.0, 0.1, new DrainTrap());
  }

  private static void gray(RigBuilder rig) {
    rig.place("under", "Under the floor", "lie down behind the right front wheel", 1.7, -0.3, 0.4)
        .part("gray-tee", "Gray tee", 1.1, 0.3, 0.52, new Tee())
        .part(
            "gray",
            "Gray",
            1.3,
            -0.7,
            0.3,
            Fittings.tank(
                Contents.GRAY,
                new Shape.Prism(
                    List.of(
                        new Shape.Corner(0, 0.05),
                        new Shape.Corner(0.55, 0),
                        new Shape.Corner(0.9, 0.05),
                        new Shape.Corner(0.9, 0.23),
                        new Shape.Corner(0, 0.23)),
                    0.48),
                0.005,
                Fittings.sender(4, 0.45, 0.2),
                Fittings.port("sink", Use.FILL, 0.8, 0.4, 0.215),
                Fittings.port("wash", Use.FILL, 0.05, 0.4, 0.2),
                Fittings.port("vent", Use.VENT, 0.15, 0.05, 0.215),
                Fittings.port("drain", Use.DRAIN, 0.54, 0.2, 0.006),
                Fittings.port("suction", Use.DRAIN, 0.52, 0.4, 0.02)))
        .part(
            "gray-valve",
            "Gray drain",
            2.0,
            -0.4,
            0.27,
            0.06,
            Fittings.twoWay(0, "pushed in", "pulled out"))
        .part("gray-cap", "Gray outlet", 2.2, -0.5, 0.25, Fittings.end(Role.DUMP))
        .part("macerator", "Macerator", 1.0, -0.5, 0.32, 0.2, new Macerator(6e-4, 0.9e5))
        .part("mace-outlet", "Pumped outlet", 0.7, -0.8, 0.5, Fittings.end(Role.DUMP))
        .part("gray-vent", "Gray vent", 2.4, -0.9, 0.9, Fittings.end(Role.VENT));
  }

  private static void supplyLines(RigBuilder rig) {
    rig.line("s1", "Inlet 1", "inlet.out > regulator.in", 12, 0.12, Material.PEX, 0.6)
        .line("s2", "Inlet 2", "regulator.out > inlet-check.in", 12, 0.12, Material.PEX, 0.5)
        .line("s3", "Inlet 3", "inlet-check.out > shore-tee.a", 12, 0.18, Material.PEX, 0.6)
        .line("s4", "Shore 1", "shore-tee.b > shore-taps.a", 12, 0.15, Material.PEX, 0.5)
        .line("s5", "Shore 2", "shore-tee.c > shore-tanks.a", 12, 0.3, Material.PEX, 0.7)
        .line("s6", "Shore to house", "shore-taps.b > house-tee.b", 12, 2.1, Material.PEX, 2.4)
        .line("s7", "Shore to fill", "shore-tanks.b > fill-tee.a", 16, 0.5, Material.PEX, 1.1)
        .line("s8", "Fill line", "fill-tee.c > fore.fill", 16, 3.4, Material.PEX, 2.2)
        .line("d1", "Bucket line", "bucket.out > suction.c", 16, 1.8, Material.PVC_HOSE, 1.4)
        .line("d2", "Suction", "suction.a > strainer.in", 16, 0.2, Material.PVC_HOSE, 0.7)
        .line("d3", "To the pump", "strainer.out > pump.in", 13, 0.2, Material.PVC_HOSE, 0.6)
        .line("d4", "Pump delivery", "pump.out > sediment.in", 12, 0.3, Material.PVC_HOSE, 0.9)
        .line("d5", "Filtered", "sediment.out > surge-tee.a", 12, 0.2, Material.PEX, 0.6)
        .line("d6", "Accumulator stub", "surge-tee.b > surge.in", 12, 0.12, Material.PEX, 0.4)
        .line("d7", "To the delivery", "surge-tee.c > delivery.a", 12, 0.2, Material.PEX, 0.7)
        .line("d8", "To the house", "delivery.b > house-tee.a", 12, 0.2, Material.PEX, 0.7)
        .line("d9", "Pump to fill", "delivery.c > fill-tee.b", 13, 1.7, Material.PEX, 1.8);
  }

  private static void tankLines(RigBuilder rig) {
    rig.line("t1", "Fore to Arch", "fore.link > arch.fill", 19, 1.9, Material.PVC_HOSE, 1.5)
        .line("t2", "Arch to Aft", "arch.link > aft.fill", 19, 0.6, Material.PVC_HOSE, 1.3)
        .line("t3", "Aft vent", "aft.vent > vent-tee.a", 19, 1.6, Material.PVC_HOSE, 1.4)
        .line("t4", "Vent top", "vent-tee.b > vent-air.in", 19, 0.12, Material.PVC_HOSE, 0.3)
        .line("t5", "Overflow", "vent-tee.c > vent-tail.in", 19, 1.9, Material.PVC_HOSE, 1.2)
        .line("f1", "Fore feed", "fore.feed > fore-motor.a", 16, 0.2, Material.PVC_HOSE, 0.6)
        .line("f2", "Fore suction", "fore-motor.b > feed-a.a", 16, 2.0, Material.PVC_HOSE, 1.2)
        .line("f3", "Arch feed, rear", "arch.feed > arch-tee.a", 13, 0.35, Material.PVC_HOSE, 0.7)
        .line(
            "f4",
            "Arch feed, front",
            "arch.feed-front > arch-tee.b",
            13,
            0.5,
            Material.PVC_HOSE,
            0.7)
        .line("f5", "Arch both", "arch-tee.c > arch-motor.a", 16, 0.15, Material.PVC_HOSE, 0.5)
        .line("f6", "Arch suction", "arch-motor.b > feed-a.b", 16, 0.5, Material.PVC_HOSE, 0.8)
        .line("f7", "Joint suction", "feed-a.c > feed-b.a", 16, 0.2, Material.PVC_HOSE, 0.5)
        .line("f8", "Aft feed", "aft.feed > aft-motor.a", 16, 0.2, Material.PVC_HOSE, 0.6)
        .line("f9", "Aft suction", "aft-motor.b > feed-b.b", 16, 0.4, Material.PVC_HOSE, 0.7)
        .line("f10", "To the frost tee", "feed-b.c > frost-tee.a", 16, 0.25, Material.PVC_HOSE, 0.5)
        .line(
            "f11",
            "Frost drain line",
            "frost-tee.b > frost-motor.a",
            16,
            0.12,
            Material.PVC_HOSE,
            0.4)
        .line(
            "f12",
            "Frost tail line",
            "frost-motor.b > frost-tail.in",
            16,
            0.35,
            Material.PVC_HOSE,
            0.5)
        .line("f13", "Suction main", "frost-tee.c > sump-tee.a", 16, 0.2, Material.PVC_HOSE, 0.6)
        .line(
            "f14", "To the pump's valve", "sump-tee.b > suction.b", 16, 1.5, Material.PVC_HOSE, 1.3)
        .line("f15", "Sump line", "sump-tee.c > sump.a", 16, 0.1, Material.PVC_HOSE, 0.4)
        .line("f16", "Sump tail line", "sump.b > sump-tail.in", 16, 0.4, Material.PVC_HOSE, 0.5);
  }

  private static void houseLines(RigBuilder rig) {
    rig.line("h1", "Cold main", "house-tee.c > cold.in", 12, 3.3, Material.PEX, 2.4)
        .line("c1", "Sink cold", "cold.1 > sink.cold", 9.5, 0.8, Material.PEX, 1.3)
        .line("c2", "Drinking 1", "cold.2 > purifier.in", 9.5, 0.6, Material.PEX, 1.2)
        .line("c3", "Drinking 2", "purifier.out > drink.cold", 6.5, 0.6, Material.PEX, 1.0)
        .line("c4", "Shower cold", "cold.3 > shower.cold", 9.5, 2.4, Material.PEX, 2.0)
        .line("c5", "Basin cold", "cold.4 > basin.cold", 9.5, 2.1, Material.PEX, 1.8)
        .line("c6", "Toilet fill", "cold.5 > toilet.cold", 9.5, 1.8, Material.PEX, 1.6)
        .line("c7", "Heater cold", "cold.6 > cold-tee.a", 12, 1.3, Material.PEX, 1.4)
        .line("b1", "Heater feed", "cold-tee.b > heater-valve.a", 12, 0.12, Material.PEX, 0.4)
        .line("b2", "Heater feed 2", "heater-valve.b > heater.cold", 12, 0.2, Material.PEX, 0.6)
        .line("b3", "Heater hot", "heater.hot > hot.in", 12, 0.4, Material.PEX, 0.9)
        .line("w1", "Sink hot", "hot.1 > sink.hot", 9.5, 1.2, Material.PEX, 1.6)
        .line("w2", "Shower hot", "hot.2 > shower.hot", 9.5, 2.2, Material.PEX, 1.9)
        .line("w3", "Basin hot", "hot.3 > basin.hot", 9.5, 1.9, Material.PEX, 1.8)
        .line("w4", "Return", "hot.4 > loop-pump.in", 9.5, 0.5, Material.PEX, 1.0)
        .line("w5", "Return 2", "loop-pump.out > loop-check.in", 9.5, 0.3, Material.PEX, 0.8)
        .line("w6", "Return 3", "loop-check.out > cold-tee.c", 9.5, 0.3, Material.PEX, 0.8);
  }

  private static void grayLines(RigBuilder rig) {
    rig.line("g1", "Sink waste", "sink.waste > sink-trap.in", 32, 0.5, Material.RIGID_PVC, 0.6)
        .line("g2", "Sink drain", "sink-trap.out > gray.sink", 32, 0.9, Material.RIGID_PVC, 1.2)
        .line("g3", "Basin waste", "basin.waste > basin-trap.in", 25, 0.4, Material.RIGID_PVC, 0.6)
        .line("g4", "Basin drain", "basin-trap.out > gray-tee.a", 25, 0.6, Material.RIGID_PVC, 1.0)
        .line("g5", "Shower waste", "shower.waste > wash-trap.in", 32, 0.1, Material.RIGID_PVC, 0.5)
        .line("g6", "Shower drain", "wash-trap.out > gray-tee.b", 32, 0.3, Material.RIGID_PVC, 0.6)
        .line("g7", "Wash drain", "gray-tee.c > gray.wash", 32, 0.5, Material.RIGID_PVC, 0.8)
        .line("g8", "Gray vent line", "gray.vent > gray-vent.in", 16, 1.3, Material.PVC_HOSE, 1.4)
        .line(
            "g9", "Gray drain line", "gray.drain > gray-valve.a", 38, 0.3, Material.RIGID_PVC, 0.5)
        .line("g10", "Gray stub", "gray-valve.b > gray-cap.in", 38, 0.2, Material.RIGID_PVC, 0.5)
        .line(
            "g11", "Macerator feed", "gray.suction > macerator.in", 38, 0.5, Material.PVC_HOSE, 0.6)
        .line(
            "g12",
            "Macerator hose",
            "macerator.out > mace-outlet.in",
            25,
            0.6,
            Material.PVC_HOSE,
            1.0);
  }
}
