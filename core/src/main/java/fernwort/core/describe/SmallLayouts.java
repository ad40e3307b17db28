package fernwort.core.describe;

import static fernwort.core.describe.LayoutParts.line;

import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;

/** Ready layouts with up to two fresh tanks. */
final class SmallLayouts {

  private SmallLayouts() {}

  static Rig can() {
    RigBuilder rig =
        LayoutParts.van("Can and foot pump")
            .place("kitchen", "Kitchen box", "open the tailgate", 0.2, 0.4, 1.1)
            .part("neck", "Can neck", 0.1, 0.4, 1.1, new GravityFiller())
            .part("can", "Fresh can", 0, 0.4, 0.68, LayoutParts.can(Contents.FRESH))
            .part("can-vent", "Can vent", 0.3, 0.5, 1.12, Fittings.end(Role.VENT))
            .part("foot-pump", "Foot pump", 0.2, 0.2, 0.66, 0.05, Fittings.footPump(4, 1.2))
            .part("tap", "Tap", 0.4, 0.4, 1.25, Fittings.fixture(Type.TAP, true, 3))
            .part("gray-can", "Gray can", 0.5, 0.4, 0.66, LayoutParts.can(Contents.GRAY))
            .part("gray-cap", "Gray can cap", 0.5, 0.3, 0.67, new Plug(true))
            .part("gray-vent", "Gray can vent", 0.8, 0.5, 1.1, Fittings.end(Role.VENT));
    line(rig, "neck.out > can.fill", 30, 0.1);
    line(rig, "can.vent > can-vent.in", 10, 0.1);
    line(rig, "can.feed > foot-pump.in", 10, 0.5);
    line(rig, "foot-pump.out > tap.cold", 10, 0.8);
    line(rig, "tap.waste > gray-can.fill", 25, 0.3);
    line(rig, "gray-can.vent > gray-vent.in", 10, 0.1);
    line(rig, "gray-can.feed > gray-cap.in", 25, 0.05);
    return rig.build();
  }

  static Rig oneTank() {
    RigBuilder rig = supply(LayoutParts.van("One tank, one pump"), 0.9, 0.4, 0.26);
    rig.part("drain-cap", "Tank drain cap", 0.5, 0.5, 0.6, new Plug(true));
    line(rig, "fresh.feed > strainer.in", 12, 0.5);
    line(rig, "fresh.drain > drain-cap.in", 19, 0.2);
    galley(rig);
    return rig.build();
  }

  static Rig pumpOrDrain() {
    RigBuilder rig = supply(LayoutParts.van("One tank, pump or drain"), 1.0, 0.45, 0.28);
    rig.part("drain-plug", "Spare port plug", 0.6, 0.5, 0.66, new Plug(false))
        .part(
            "selector",
            "Tank valve",
            -0.3,
            0.6,
            0.66,
            0.03,
            Fittings.selector(
                new Fittings.Choice("shut", "points up", 90, ""),
                new Fittings.Choice("pump", "points to the pump", 0, "b"),
                new Fittings.Choice("drain", "points down", 270, "c")))
        .part("drain-tail", "Drain tail", -0.4, 0.6, 0.35, Fittings.end(Role.DRAIN));
    line(rig, "fresh.feed > selector.a", 16, 0.3);
    line(rig, "selector.b > strainer.in", 12, 0.3);
    line(rig, "selector.c > drain-tail.in", 16, 0.35);
    line(rig, "fresh.drain > drain-plug.in", 19, 0.1);
    galley(rig);
    return rig.build();
  }

  static Rig mainAndLow() {
    RigBuilder rig = supply(LayoutParts.van("Main tank and a low one"), 0.8, 0.45, 0.28);
    rig.part("feed-tee", "Return tee", -0.2, 0.5, 0.95, new Tee())
        .part("main-plug", "Main drain cap", 0.5, 0.5, 0.66, new Plug(true))
        .place("under", "Under the floor", "lie down behind the left rear wheel", 0.8, 0.5, 0.4)
        .part("low", "Low fresh", 0.5, 0.3, 0.33, LayoutParts.fresh(0.85, 0.5, 0.2))
        .part("low-valve", "Low outlet", 0.4, 0.4, 0.36, 0.02, Fittings.twoWay(0))
        .part("low-fill-cap", "Low filler", 1.4, 0.9, 0.75, new GravityFiller())
        .part("low-vent", "Low vent", 1.3, 0.9, 0.9, Fittings.end(Role.VENT))
        .part("low-drain", "Low drain cap", 1.2, 0.4, 0.3, new Plug(true))
        .part("lift-pump", "Lift pump", 0.3, 0.5, 0.45, 0.08, liftPump())
        .part("lift-check", "Lift check valve", 0.2, 0.5, 0.6, 0.01, Fittings.check());
    line(rig, "fresh.feed > strainer.in", 12, 0.5);
    line(rig, "fresh.drain > main-plug.in", 19, 0.2);
    line(rig, "low-fill-cap.out > low.fill", 30, 0.6);
    line(rig, "low.vent > low-vent.in", 16, 0.6);
    line(rig, "low.drain > low-drain.in", 19, 0.1);
    line(rig, "low.feed > low-valve.a", 13, 0.2);
    line(rig, "low-valve.b > lift-pump.in", 13, 0.3);
    line(rig, "lift-pump.out > lift-check.in", 13, 0.2);
    line(rig, "lift-check.out > feed-tee.b", 13, 0.6);
    line(rig, "feed-tee.c > fresh.fill", 19, 0.4);
    galley(rig, "feed-tee.a");
    return rig.build();
  }

  private static Kind liftPump() {
    return new Pump(Pump.Duty.TRANSFER, Pump.Type.DIAPHRAGM, 1.5e5, 1.6e-4, 0.8e5, 1.4e5, 1.5);
  }

  /** Tank, vent, strainer and pump under the bed. */
  private static RigBuilder supply(RigBuilder rig, double length, double width, double height) {
    return rig.place("bed", "Under the bed", "lift the mattress board", 0.1, 0.4, 0.9)
        .part("fresh", "Fresh", -0.2, 0.3, 0.66, LayoutParts.fresh(length, width, height))
        .part("vent", "Fresh vent", 0.8, 0.7, 1.3, Fittings.end(Role.VENT))
        .part("strainer", "Strainer", -0.4, 0.4, 0.75, 0.04, new Strainer())
        .part("pump", "Pump", -0.4, 0.3, 0.85, 0.1, Fittings.pressurePump(9, 2.4));
  }

  private static void galley(RigBuilder rig) {
    galley(rig, "fresh.fill");
  }

  /** Filler, sink with trap, gray tank and dump. */
  private static void galley(RigBuilder rig, String fill) {
    rig.place("side", "Side door", "stand at the side door", 1.2, 0.9, 1.3)
        .part("filler", "Filler neck", 1.0, 0.95, 1.35, new GravityFiller())
        .place("galley", "Galley", "open the doors under the sink", 1.8, -0.5, 1.3)
        .part("sink", "Sink", 1.8, -0.5, 1.55, Fittings.fixture(Type.TAP, true, 5))
        .part("trap", "Sink trap", 1.8, -0.5, 1.05, 0.12, new DrainTrap())
        .place("belly", "Under the galley", "kneel at the right side", 1.9, -0.5, 0.39);
    LayoutParts.grayWater(rig, 1.6, -0.8, 0.3, 0.95, LayoutParts.gray(0.7, 0.45, 0.2));
    line(rig, "filler.out > " + fill, 30, 1.3);
    line(rig, "fresh.vent > vent.in", 16, 0.8);
    line(rig, "strainer.out > pump.in", 12, 0.2);
    line(rig, "pump.out > sink.cold", 12, 2.8);
    line(rig, "sink.waste > trap.in", 32, 0.4);
    line(rig, "trap.out > gray.waste", 32, 0.7);
    LayoutParts.grayLines(rig, 0.8);
  }
}
