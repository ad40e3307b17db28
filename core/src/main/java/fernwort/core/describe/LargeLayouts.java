package fernwort.core.describe;

import static fernwort.core.describe.LayoutParts.line;

import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Accumulator;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Filter.Grade;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Gauge;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import java.util.ArrayList;
import java.util.List;

/** Ready layouts with three tanks, shore water, or a load for others. */
final class LargeLayouts {

  private LargeLayouts() {}

  static Rig threeInARow() {
    RigBuilder rig =
        LayoutParts.van("Three tanks, one fill")
            .place("rear", "Rear bench", "open the rear doors", -0.6, 0.3, 1.1)
            .part("filler", "Filler neck", -0.9, 0.9, 1.4, new GravityFiller())
            .part("first", "First fresh", -0.8, 0.3, 0.68, chained(0.5, 0.4, 0.4, true, true))
            .part("strainer", "Strainer", -0.9, -0.3, 0.75, 0.04, new Strainer())
            .part("pump", "Pump", -0.8, -0.3, 0.85, 0.1, Fittings.pressurePump(10, 2.8))
            .place("arch", "Wheel arch", "unscrew the kick panel", 0.3, 0.6, 1.0)
            .part("link-1", "First link", 0, 0.5, 0.7, 0.02, Fittings.twoWay(0))
            .part("second", "Second fresh", 0.1, 0.4, 0.68, chained(0.45, 0.35, 0.4, false, true))
            .place("bench", "Bench seat", "lift the seat", 1.4, 0.5, 0.95)
            .part("link-2", "Second link", 0.9, 0.5, 0.7, 0.02, Fittings.twoWay(0))
            .part("third", "Third fresh", 1.1, 0.3, 0.68, chained(0.6, 0.4, 0.4, false, false))
            .part("vent", "Vent", 1.6, 0.9, 1.6, Fittings.end(Role.VENT))
            .part("drain", "Drain cap", 1.2, 0.3, 0.58, new Plug(true))
            .part("drain-1", "First drain cap", -0.6, 0.3, 0.58, new Plug(true))
            .part("drain-2", "Second drain cap", 0.2, 0.4, 0.58, new Plug(true));
    line(rig, "filler.out > first.fill", 30, 0.7);
    line(rig, "first.next > link-1.a", 19, 0.6);
    line(rig, "link-1.b > second.before", 19, 0.3);
    line(rig, "second.next > link-2.a", 19, 0.6);
    line(rig, "link-2.b > third.before", 19, 0.4);
    line(rig, "third.vent > vent.in", 16, 0.7);
    line(rig, "first.feed > strainer.in", 12, 0.7);
    line(rig, "strainer.out > pump.in", 12, 0.2);
    line(rig, "third.drain > drain.in", 19, 0.15);
    line(rig, "first.drain > drain-1.in", 19, 0.15);
    line(rig, "second.drain > drain-2.in", 19, 0.15);
    rig.part("vent-tee-1", "First vent tee", 0.4, 0.9, 1.5, new Tee())
        .part("vent-tee-2", "Second vent tee", 0.6, 0.9, 1.5, new Tee())
        .part("vent-12", "Shared vent", 0.5, 0.9, 1.7, Fittings.end(Role.VENT));
    line(rig, "first.vent > vent-tee-1.a", 16, 1.4);
    line(rig, "second.vent > vent-tee-2.a", 16, 0.9);
    line(rig, "vent-tee-1.b > vent-tee-2.b", 16, 0.3);
    line(rig, "vent-tee-1.c > vent-12.in", 16, 0.3);
    rig.part("vent-cap", "Vent tee plug", 0.7, 0.9, 1.5, new Plug(false));
    line(rig, "vent-tee-2.c > vent-cap.in", 16, 0.1);
    coldHouse(rig, "pump.out");
    return rig.build();
  }

  /**
   * A tank in a row: joined at its floor to the one before and the next.
   *
   * @param first whether it is the one that is filled and drawn from
   * @param more whether another follows
   */
  private static Kind chained(
      double length, double width, double height, boolean first, boolean more) {
    List<TankPort> ports = new ArrayList<>();
    if (first) {
      ports.add(Fittings.port("fill", Use.FILL, 0.05, width - 0.06, height - 0.05));
      ports.add(Fittings.port("feed", Use.FEED, 0.05, 0.05, 0.02));
    } else {
      ports.add(Fittings.port("before", Use.LINK, 0.05, 0.05, 0.03));
    }
    if (more) {
      ports.add(Fittings.port("next", Use.LINK, length - 0.06, 0.05, 0.03));
    }
    ports.add(Fittings.port("vent", Use.VENT, length - 0.06, width - 0.06, height - 0.016));
    ports.add(Fittings.port("drain", Use.DRAIN, length / 2, 0.05, 0.004));
    return Fittings.tank(
        Contents.FRESH,
        new Shape.Box(length, width, height),
        LayoutParts.WALL,
        Fittings.sender(4, length / 2, width / 2),
        ports.toArray(TankPort[]::new));
  }

  static Rig shoreAndBucket() {
    RigBuilder rig =
        LayoutParts.van("Shore water and a bucket")
            .place("step", "Behind the step", "kneel at the sliding door", 0.9, 0.9, 0.9)
            .part("inlet", "Hose inlet", 0.9, 0.95, 0.8, Fittings.inlet(4))
            .part("regulator", "Regulator", 0.8, 0.9, 0.82, 0.02, Fittings.regulator(2.8))
            .part("check", "Inlet check valve", 0.7, 0.9, 0.84, 0.01, Fittings.check())
            .part(
                "shore",
                "Shore water",
                0.6,
                0.9,
                0.9,
                0.03,
                Fittings.selector(
                    new Fittings.Choice("shut", "points out", 270, ""),
                    new Fittings.Choice("taps", "points in", 90, "b"),
                    new Fittings.Choice("tank", "points back", 180, "c")))
            .part("bucket", "Bucket inlet", 1.0, 0.95, 0.75, Fittings.inlet(0))
            .place("bed", "Under the bed", "lift the mattress board", 0.2, 0.3, 1.05)
            .part("fresh", "Fresh", -0.2, 0.2, 0.68, LayoutParts.fresh(1.1, 0.5, 0.28))
            .part("vent", "Fresh vent", 0.9, 0.7, 1.5, Fittings.end(Role.VENT))
            .part(
                "suction",
                "Pump draws from",
                -0.5,
                0.2,
                0.75,
                0.03,
                Fittings.selector(
                    new Fittings.Choice("tank", "lies flat", 0, "b"),
                    new Fittings.Choice("bucket", "stands up", 90, "c")))
            .part("strainer", "Strainer", -0.4, 0.2, 0.8, 0.04, new Strainer())
            .part("pump", "Pump", -0.3, 0.2, 0.9, 0.1, Fittings.pressurePump(11, 2.8))
            .part("house", "House tee", -0.2, 0.2, 1.0, new Tee())
            .place("sill", "Behind the left sill", "reach in behind the rear wheel", -0.6, 0.8, 0.4)
            .part("drain", "Tank drain", -0.6, 0.7, 0.5, 0.02, Fittings.twoWay(0))
            .part("drain-tail", "Drain tail", -0.6, 0.75, 0.3, Fittings.end(Role.DRAIN));
    line(rig, "inlet.out > regulator.in", 13, 0.2);
    line(rig, "regulator.out > check.in", 13, 0.15);
    line(rig, "check.out > shore.a", 13, 0.15);
    line(rig, "shore.c > fresh.fill", 19, 1.1);
    line(rig, "bucket.out > suction.c", 13, 1.9);
    line(rig, "fresh.feed > suction.b", 13, 0.6);
    line(rig, "suction.a > strainer.in", 13, 0.2);
    line(rig, "strainer.out > pump.in", 12, 0.2);
    line(rig, "pump.out > house.a", 12, 0.3);
    line(rig, "shore.b > house.b", 12, 1.2);
    line(rig, "fresh.drain > drain.a", 19, 0.9);
    line(rig, "drain.b > drain-tail.in", 19, 0.4);
    line(rig, "fresh.vent > vent.in", 16, 0.9);
    coldHouse(rig, "house.c");
    return rig.build();
  }

  static Rig longStay() {
    RigBuilder rig =
        LayoutParts.truck("Filters, manifolds, hot loop")
            .place("locker", "Side locker", "open the locker behind the steps", -1.2, 0.9, 1.3)
            .part("inlet", "Hose inlet", -1.9, 1.0, 1.1, Fittings.inlet(4.5))
            .part("regulator", "Regulator", -1.8, 0.9, 1.12, 0.02, Fittings.regulator(3))
            .part("check", "Inlet check valve", -1.7, 0.9, 1.14, 0.01, Fittings.check())
            .part("sediment", "Sediment filter", -1.6, 0.9, 1.3, 0.6, sediment())
            .part("inlet-tee", "Inlet tee", -1.5, 0.9, 1.35, new Tee())
            .part("fill", "Fill tank", -1.4, 0.9, 1.4, 0.02, Fittings.twoWay(0))
            .part("mains", "Mains to house", -1.4, 0.9, 1.6, 0.02, Fittings.twoWay(90))
            .place("tank-bay", "Tank bay", "lift the floor hatch", 0.2, 0.2, 1.2)
            .part("fresh", "Fresh", -0.6, 0.2, 1.0, LayoutParts.fresh(1.6, 0.6, 0.4))
            .part("vent", "Fresh vent", 1.1, 0.8, 2.4, Fittings.end(Role.VENT))
            .part("tank-valve", "Tank outlet", -0.7, 0.2, 1.02, 0.02, Fittings.twoWay(0))
            .part("strainer", "Strainer", -0.8, 0.2, 1.1, 0.04, new Strainer())
            .part("pump", "Pump", -0.9, 0.2, 1.2, 0.12, Fittings.pressurePump(15, 3.2))
            .part("surge-tee", "Accumulator tee", -0.9, 0.1, 1.3, new Tee())
            .part("surge", "Accumulator", -0.8, 0.1, 1.4, 1, new Accumulator(2.4e5))
            .part("drain", "Tank drain cap", 0.9, 0.3, 0.9, new Plug(true))
            .place("plant", "Plant cupboard", "door opposite the washroom", 1.6, -0.8, 1.7)
            .part("house", "House tee", 1.3, -0.8, 1.5, new Tee())
            .part("carbon", "Carbon filter", 1.4, -0.8, 1.5, 0.6, carbon())
            .part("cold", "Cold manifold", 1.6, -0.8, 1.6, 0.1, new Manifold(5))
            .part("cold-drain", "Cold drain cap", 1.6, -0.9, 1.0, new Plug(true))
            .part("heater-in", "Heater in", 1.8, -0.8, 1.3, 0.02, Fittings.twoWay(0))
            .part("cold-tee", "Cold tee", 1.75, -0.8, 1.35, new Tee())
            .part("bypass", "Bypass", 1.8, -0.8, 1.7, 0.02, Fittings.twoWay(90))
            .part("heater", "Heater", 2.0, -0.8, 1.2, 15, heater())
            .part("hot-tee", "Hot tee", 2.0, -0.8, 1.8, new Tee())
            .part("hot", "Hot manifold", 2.1, -0.8, 1.9, 0.1, new Manifold(4))
            .part("hot-drain", "Hot drain cap", 2.2, -0.9, 1.0, new Plug(true))
            .part("loop-pump", "Loop pump", 2.3, -0.8, 1.6, 0.06, Fittings.circulationPump(6, 0.15))
            .part("loop-check", "Loop check valve", 2.2, -0.8, 1.5, 0.01, Fittings.check())
            .part("return-tee", "Return tee", 1.95, -0.8, 1.25, new Tee());
    line(rig, "inlet.out > regulator.in", 13, 0.2);
    line(rig, "regulator.out > check.in", 13, 0.2);
    line(rig, "check.out > sediment.in", 13, 0.3);
    line(rig, "sediment.out > inlet-tee.a", 13, 0.2);
    line(rig, "inlet-tee.b > fill.a", 13, 0.2);
    line(rig, "fill.b > fresh.fill", 19, 1.4);
    line(rig, "inlet-tee.c > mains.a", 13, 0.4);
    line(rig, "mains.b > house.b", 13, 3.4);
    line(rig, "fresh.feed > tank-valve.a", 13, 0.2);
    line(rig, "tank-valve.b > strainer.in", 13, 0.2);
    line(rig, "strainer.out > pump.in", 13, 0.2);
    line(rig, "pump.out > surge-tee.a", 13, 0.2);
    line(rig, "surge-tee.b > surge.in", 13, 0.2);
    line(rig, "surge-tee.c > house.a", 13, 2.6);
    line(rig, "fresh.vent > vent.in", 19, 1.4);
    line(rig, "fresh.drain > drain.in", 25, 0.2);
    line(rig, "house.c > carbon.in", 13, 0.2);
    line(rig, "carbon.out > cold.in", 13, 0.2);
    line(rig, "cold.4 > cold-tee.a", 12, 0.4);
    line(rig, "cold.5 > cold-drain.in", 12, 0.7);
    line(rig, "cold-tee.b > heater-in.a", 12, 0.15);
    line(rig, "heater-in.b > return-tee.a", 12, 0.2);
    line(rig, "return-tee.b > heater.cold", 12, 0.15);
    line(rig, "cold-tee.c > bypass.a", 12, 0.4);
    line(rig, "bypass.b > hot-tee.b", 12, 0.3);
    line(rig, "heater.hot > hot-tee.a", 12, 0.6);
    line(rig, "hot-tee.c > hot.in", 12, 0.2);
    line(rig, "hot.3 > loop-pump.in", 9.5, 5.0);
    line(rig, "loop-pump.out > loop-check.in", 9.5, 0.2);
    line(rig, "loop-check.out > return-tee.c", 9.5, 0.4);
    line(rig, "hot.4 > hot-drain.in", 12, 1.0);
    washroom(rig);
    return rig.build();
  }

  private static Kind sediment() {
    return Fittings.filter(Grade.SEDIMENT);
  }

  private static Kind carbon() {
    return Fittings.filter(Grade.CARBON);
  }

  private static Kind heater() {
    return new Heater(Heater.Type.STORAGE, true, 0.02);
  }

  private static void washroom(RigBuilder rig) {
    rig.place("washroom", "Washroom", "step in", 3.0, -0.7, 2.2)
        .part("shower", "Shower", 3.2, -0.8, 2.3, Fittings.fixture(Type.SHOWER, false, 7))
        .part("shower-trap", "Shower trap", 3.2, -0.8, 1.02, 0.2, new DrainTrap())
        .part("sink", "Sink", 2.8, -0.6, 1.95, Fittings.fixture(Type.MIXER, true, 6))
        .part("sink-trap", "Sink trap", 2.8, -0.6, 1.4, 0.15, new DrainTrap())
        .part("toilet", "Toilet", 3.4, -0.6, 1.5, Fittings.fixture(Type.TOILET, false, 5))
        .place("under", "Under the floor", "kneel at the right side", 2.6, -0.6, 0.65)
        .part("gray-tee", "Gray tee", 2.7, -0.6, 0.85, new Tee());
    LayoutParts.grayWater(rig, 2.2, -1.0, 0.45, 1.6, LayoutParts.gray(1.3, 0.6, 0.26));
    line(rig, "cold.1 > sink.cold", 9.5, 1.5);
    line(rig, "cold.2 > shower.cold", 9.5, 2.2);
    line(rig, "cold.3 > toilet.cold", 9.5, 2.4);
    line(rig, "hot.1 > sink.hot", 9.5, 1.2);
    line(rig, "hot.2 > shower.hot", 9.5, 1.8);
    line(rig, "sink.waste > sink-trap.in", 32, 0.4);
    line(rig, "sink-trap.out > gray-tee.a", 32, 0.8);
    line(rig, "shower.waste > shower-trap.in", 38, 0.1);
    line(rig, "shower-trap.out > gray-tee.b", 38, 0.6);
    line(rig, "gray-tee.c > gray.waste", 38, 0.3);
    LayoutParts.grayLines(rig, 1.3);
  }

  static Rig haulage() {
    RigBuilder rig =
        LayoutParts.truck("Haulage tank with engine pump")
            .place("bed", "Truck bed", "climb up by the tailgate", 0, 0, 1.6)
            .part(
                "tank",
                "Haulage tank",
                -0.9,
                -0.55,
                1.0,
                Fittings.tank(
                    Contents.FRESH,
                    new Shape.LyingCylinder(1.1, 1.6, false),
                    0.008,
                    new Gauge(Gauge.GaugeKind.SIGHT, 0, 0, 0),
                    Fittings.port("hatch", Use.FILL, 0.8, 0.54, 1.07),
                    Fittings.port("return", Use.FILL, 0.1, 0.54, 1.05),
                    Fittings.port("feed", Use.FEED, 0.02, 0.54, 0.03),
                    Fittings.port("vent", Use.VENT, 1.5, 0.54, 1.07)))
            .part("hatch", "Hatch", -0.1, 0, 2.15, new GravityFiller())
            .part("vent", "Tank vent", 0.6, 0, 2.3, Fittings.end(Role.VENT))
            .place("tail", "Tailgate", "stand behind the truck", -1.6, 0, 1.0)
            .part(
                "suction",
                "Suction valve",
                -1.2,
                0,
                1.0,
                0.1,
                Fittings.selector(
                    new Fittings.Choice("shut", "points up", 90, ""),
                    new Fittings.Choice("tank", "points to the tank", 0, "b"),
                    new Fittings.Choice("outside", "points to the hose", 180, "c")))
            .part("outside", "Suction hose", -1.9, 0.3, 0.9, Fittings.inlet(0))
            .part("strainer", "Strainer", -1.4, 0, 0.95, 0.3, new Strainer())
            .part("engine-pump", "Engine pump", -1.5, 0, 1.0, 0.8, enginePump())
            .part(
                "delivery",
                "Delivery valve",
                -1.6,
                -0.2,
                1.2,
                0.1,
                Fittings.selector(
                    new Fittings.Choice("shut", "points up", 90, ""),
                    new Fittings.Choice("tank", "points to the tank", 0, "b"),
                    new Fittings.Choice("hose", "points to the hose", 180, "c")))
            .part(
                "hose",
                "Delivery hose",
                -1.9,
                -0.4,
                1.0,
                Fittings.fixture(Type.HOSE_POINT, false, 120));
    line(rig, "hatch.out > tank.hatch", 150, 0.1);
    line(rig, "tank.vent > vent.in", 80, 0.3);
    line(rig, "tank.feed > suction.b", 50, 0.5);
    line(rig, "outside.out > suction.c", 50, 0.8);
    line(rig, "suction.a > strainer.in", 50, 0.2);
    line(rig, "strainer.out > engine-pump.in", 50, 0.2);
    line(rig, "engine-pump.out > delivery.a", 50, 0.3);
    line(rig, "delivery.b > tank.return", 50, 1.6);
    line(rig, "delivery.c > hose.cold", 50, 0.5);
    return rig.build();
  }

  private static Kind enginePump() {
    return new Pump(Pump.Duty.TRANSFER, Pump.Type.CENTRIFUGAL, 2.8e5, 8e-3, 0, 2.8e5, 6);
  }

  /** One cold tap with its gray tank. */
  private static void coldHouse(RigBuilder rig, String from) {
    rig.place("galley", "Galley", "open the doors under the sink", 2.4, -0.5, 1.4)
        .part("sink", "Sink", 2.4, -0.5, 1.6, Fittings.fixture(Type.TAP, true, 5))
        .part("trap", "Sink trap", 2.4, -0.5, 1.1, 0.12, new DrainTrap())
        .part("house-drain", "House drain cap", 2.3, -0.5, 0.7, new Plug(true))
        .part("low-tee", "Low point tee", 2.3, -0.5, 0.8, new Tee())
        .place("under", "Under the floor", "kneel at the right side", 2.5, -0.5, 0.4);
    LayoutParts.grayWater(rig, 2.2, -0.8, 0.3, 1.0, LayoutParts.gray(0.8, 0.5, 0.22));
    line(rig, from + " > low-tee.a", 12, 3.0);
    line(rig, "low-tee.b > sink.cold", 12, 1.0);
    line(rig, "low-tee.c > house-drain.in", 12, 0.2);
    line(rig, "sink.waste > trap.in", 32, 0.4);
    line(rig, "trap.out > gray.waste", 32, 0.7);
    LayoutParts.grayLines(rig, 0.8);
  }
}
