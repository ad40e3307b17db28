package fernwort.app.jobs;

import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Strainer;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.machine.Heater;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Rigs that nobody drew, from a seed: one to three fresh tanks at any heights, with or without
 * inlet, check valve, filler, drains, vents with valves, overflow tails below, a heater, a line
 * back to the tanks, a gray tank. Some are half built, and some no plumber would build.
 */
final class DrawnRigs {

  private final Random random;
  private final RigBuilder rig;

  private DrawnRigs(Random random) {
    this.random = random;
    rig =
        RigBuilder.named("Drawn by lot")
            .vehicle(ReadyRig.find("one-tank").orElseThrow().rig().vehicle())
            .place("inside", "Inside", "open the door", 0, 0, 1);
  }

  static Rig draw(Random random) {
    return new DrawnRigs(random).drawn();
  }

  private boolean once(int in) {
    return random.nextInt(in) == 0;
  }

  private double between(double low, double high) {
    return low + (high - low) * random.nextDouble();
  }

  private Rig drawn() {
    int tanks = 1 + random.nextInt(3);
    rig.part("feeds", "Feeds", 0.6, 0, between(0.2, 0.9), new Manifold(4))
        .part("fills", "Fills", 0.2, 0, between(0.5, 1.6), new Manifold(5));
    for (int i = 1; i <= tanks; i++) {
      fresh(i);
    }
    if (tanks > 1 && once(3)) {
      valve("link", between(0.3, 0.9));
      join("link-1", "tank1.link > link.a");
      join("link-2", "link.b > tank2.link");
    }
    supply();
    if (!once(4)) {
      inlet();
    }
    if (!once(4)) {
      gray();
    }
    return rig.build();
  }

  private void join(String id, String ends) {
    double bore = 10 + random.nextInt(10);
    rig.line(id, id, ends, bore, between(0.3, 2.5), Material.PEX, between(0, 3));
  }

  private void wide(String id, String ends) {
    rig.line(id, id, ends, 16 + random.nextInt(25), between(0.3, 2), Material.PVC_HOSE, 1);
  }

  private void valve(String id, double height) {
    rig.part(id, "Valve " + id, 0.4, 0, height, Fittings.twoWay(0));
  }

  private void fresh(int i) {
    String tank = "tank" + i;
    double height = between(0.25, 1.5);
    double tall = between(0.2, 0.5);
    List<TankPort> ports = new ArrayList<>();
    ports.add(Fittings.port(PortId.of("feed"), Use.FEED, 0.1, 0.1, between(0.005, 0.07)));
    ports.add(Fittings.port(PortId.of("fill"), Use.FILL, 0.1, 0.2, once(3) ? 0.05 : tall - 0.03));
    ports.add(
        Fittings.port(PortId.of("vent"), Use.VENT, 0.3, 0.2, once(4) ? 0.7 * tall : tall - 0.01));
    ports.add(Fittings.port(PortId.of("drain"), Use.DRAIN, 0.3, 0.1, 0.004));
    ports.add(Fittings.port(PortId.of("link"), Use.LINK, 0.2, 0.1, 0.04));
    ports.add(Fittings.port(PortId.of("neck"), Use.FILL, 0.2, 0.2, tall - 0.02));
    rig.part(
        tank,
        "Tank " + i,
        i - 1,
        0,
        height,
        Fittings.tank(
            Contents.FRESH,
            new Shape.Box(between(0.4, 0.9), between(0.3, 0.5), tall),
            0,
            Fittings.sender(4, 0.1, 0.1),
            ports.toArray(TankPort[]::new)));
    boolean tail = once(3);
    rig.part(
        "air" + i,
        "Air " + i,
        i - 1,
        0,
        tail ? between(0.2, height) : height + tall + between(0.05, 0.5),
        Fittings.end(tail ? Role.OVERFLOW : Role.VENT));
    if (once(4)) {
      valve("vent" + i, height + tall);
      wide("v" + i, tank + ".vent > vent" + i + ".a");
      wide("w" + i, "vent" + i + ".b > air" + i + ".in");
    } else {
      wide("v" + i, tank + ".vent > air" + i + ".in");
    }
    valve("feed" + i, height);
    join("f" + i, tank + ".feed > feed" + i + ".a");
    join("g" + i, "feed" + i + ".b > feeds." + i);
    valve("fill" + i, height + tall);
    join("h" + i, "fills." + i + " > fill" + i + ".a");
    join("k" + i, "fill" + i + ".b > " + tank + ".fill");
    if (once(2)) {
      valve("drain" + i, height - 0.02);
      rig.part("tail" + i, "Tail " + i, i, 0, between(0.16, height), Fittings.end(Role.DRAIN));
      join("d" + i, tank + ".drain > drain" + i + ".a");
      join("e" + i, "drain" + i + ".b > tail" + i + ".in");
    }
    if (once(3)) {
      double neck = height + tall + between(0.05, 0.4);
      rig.part("neck" + i, "Filler " + i, i, 0.9, neck, new GravityFiller());
      wide("n" + i, "neck" + i + ".out > " + tank + ".neck");
    }
  }

  private void supply() {
    Kind pump =
        once(5)
            ? new Pump(Pump.Duty.SUPPLY, Pump.Type.DIAPHRAGM, 2.5e5, 1e-4, 0, 2.5e5, 1.5)
            : Fittings.pressurePump(between(5, 12), between(1.5, 3.5));
    rig.part("strainer", "Strainer", 0.8, 0, 0.6, new Strainer())
        .part("pump", "Pump", 0.9, 0, between(0.2, 1.2), pump)
        .part("cold", "Cold", 1.2, 0, between(0.4, 1.2), new Manifold(6));
    join("s1", "feeds.in > strainer.in");
    join("s2", "strainer.out > pump.in");
    join("s3", "pump.out > cold.in");
    boolean heats = once(2);
    if (heats) {
      rig.part("heater", "Heater", 1.5, 0, 0.5, new Heater(Heater.Type.STORAGE, true, 0.02))
          .part("hot", "Hot", 1.6, 0, 0.8, new Manifold(3));
      join("h-in", "cold.4 > heater.cold");
      join("h-out", "heater.hot > hot.in");
    }
    int taps = 1 + random.nextInt(3);
    for (int i = 1; i <= taps; i++) {
      Type type = Type.values()[random.nextInt(Type.values().length)];
      rig.part("tap" + i, "Tap " + i, 1.8, 0, between(0.6, 1.8), Fittings.fixture(type, i == 1, 6));
      join("t" + i, "cold." + i + " > tap" + i + ".cold");
      if (heats && type.mixes()) {
        join("u" + i, "hot." + i + " > tap" + i + ".hot");
      }
    }
    if (once(3)) {
      valve("back", 1);
      join("b1", "cold.6 > back.a");
      join("b2", "back.b > fills.4");
    }
    if (once(3)) {
      valve("low", 0.3);
      rig.part("low-tail", "Low tail", 1, 0, 0.2, Fittings.end(Role.DRAIN));
      join("l1", "feeds.4 > low.a");
      join("l2", "low.b > low-tail.in");
    }
  }

  private void inlet() {
    rig.part("inlet", "Inlet", -0.5, 0.9, between(0.5, 1), Fittings.inlet(between(1.5, 5)));
    String from = "inlet.out";
    if (!once(3)) {
      rig.part("regulator", "Regulator", -0.4, 0.8, 0.9, Fittings.regulator(2.8));
      join("i1", from + " > regulator.in");
      from = "regulator.out";
    }
    if (!once(3)) {
      rig.part("check", "Check valve", -0.3, 0.8, 0.9, Fittings.check());
      join("i2", from + " > check.in");
      from = "check.out";
    }
    rig.part("inlet-tee", "Inlet tee", -0.2, 0.8, 0.9, new Tee());
    join("i3", from + " > inlet-tee.a");
    join("i4", "inlet-tee.b > fills.in");
    if (once(2)) {
      valve("town", 0.9);
      join("i5", "inlet-tee.c > town.a");
      join("i6", "town.b > cold.5");
    }
  }

  private void gray() {
    rig.part("wastes", "Wastes", 1.8, 0, 0.55, new Manifold(3))
        .part(
            "gray",
            "Gray",
            1.5,
            0,
            0.25,
            Fittings.tank(
                Contents.GRAY,
                new Shape.Box(0.8, 0.5, 0.2),
                0,
                Fittings.sender(4, 0.1, 0.1),
                Fittings.port(PortId.WASTE, Use.FILL, 0.1, 0.1, 0.18),
                Fittings.port(PortId.of("vent"), Use.VENT, 0.1, 0.2, 0.19),
                Fittings.port(PortId.of("drain"), Use.DRAIN, 0.7, 0.2, 0.005)))
        .part("gray-air", "Gray air", 1.5, 0, once(3) ? 0.5 : 2, Fittings.end(Role.VENT))
        .part("outlet", "Outlet", 2.4, 0, 0.2, Fittings.end(Role.DUMP));
    valve("dump", 0.24);
    wide("y1", "wastes.in > gray.waste");
    wide("y2", "gray.vent > gray-air.in");
    wide("y3", "gray.drain > dump.a");
    wide("y4", "dump.b > outlet.in");
    Rig sofar = rig.build();
    for (int i = 1; i <= 3; i++) {
      PartId tap = PartId.of("tap" + i);
      if (sofar.parts().stream()
          .anyMatch(p -> p.id().equals(tap) && p.kind().ports().contains(PortId.WASTE))) {
        wide("z" + i, tap + ".waste > wastes." + i);
      }
    }
  }
}
