package fernwort.core.run;

import static fernwort.core.hydraulics.CaseRigs.rig;

import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.AirAdmittanceValve;
import fernwort.core.kind.line.Manifold;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.Shape;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.kind.tank.TankPort.Use;
import fernwort.core.network.Network;
import fernwort.core.rig.Line.Material;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Rigs that nobody drew, one or two tanks each with every way of venting that people build: a vent
 * that rises, an overflow that falls, an air valve with a travel valve, a hatch; ports at the lid
 * and below it, vents from four millimetres up; pumps with leaks round them, floats, a hose.
 */
public final class TankHouses {

  private final Random random;
  private final RigBuilder rig = rig();

  private TankHouses(Random random) {
    this.random = random;
  }

  public static Rig draw(Random random) {
    return new TankHouses(random).drawn();
  }

  private boolean once(int in) {
    return random.nextInt(in) == 0;
  }

  private double between(double low, double high) {
    return low + (high - low) * random.nextDouble();
  }

  private Rig drawn() {
    int tanks = 1 + random.nextInt(2);
    for (int i = 1; i <= tanks; i++) {
      tank("tank" + i, Contents.FRESH, between(0.4, 1.2), 2 * i);
    }
    rig.part("feeds", "Feeds", 1, 0, between(0.2, 0.8), new Manifold(3));
    for (int i = 1; i <= tanks; i++) {
      valve("feed" + i, 0.8);
      line("tank" + i + ".feed > feed" + i + ".a", 13);
      line("feed" + i + ".b > feeds." + i, 13);
    }
    pump();
    if (!once(3)) {
      inlet();
    }
    if (tanks == 2 && once(3)) {
      valve("link", 0.5);
      line("tank1.link > link.a", 19);
      line("link.b > tank2.link", 19);
    }
    return rig.build();
  }

  private int lines;

  private void line(String ends, double bore) {
    lines++;
    rig.line("l" + lines, "Line " + lines, ends, bore, between(0.2, 1.8), Material.PEX, 1);
  }

  private void valve(String id, double height) {
    rig.part(id, "Valve " + id, 0.4, 0, height, Fittings.twoWay(0));
  }

  private void tank(String id, Contents contents, double height, double x) {
    double tall = between(0.2, 0.45);
    int venting = random.nextInt(5);
    double port =
        switch (random.nextInt(4)) {
          case 0 -> tall;
          case 1 -> tall - 0.01;
          default -> between(0.6, 1) * tall;
        };
    List<TankPort> ports = new ArrayList<>();
    ports.add(Fittings.port(PortId.of("feed"), Use.FEED, 0.1, 0.1, between(0.005, 0.06)));
    ports.add(Fittings.port(PortId.of("link"), Use.LINK, 0.2, 0.1, 0.03));
    ports.add(Fittings.port(PortId.of("weep"), Use.LINK, 0.2, 0.2, between(0.02, 0.9) * tall));
    ports.add(
        Fittings.port(PortId.of("fill"), once(4) ? Use.FLOAT : Use.FILL, 0.1, 0.2, 0.9 * tall));
    ports.add(Fittings.port(PortId.of("vent"), Use.VENT, 0.3, 0.2, port));
    rig.part(
        id,
        id,
        x,
        0,
        height,
        Fittings.tank(
            contents,
            new Shape.Box(between(0.4, 1), between(0.3, 0.6), tall),
            0,
            Fittings.stick(0.1, 0.1),
            ports.toArray(TankPort[]::new)));
    double bore = once(3) ? 4 + random.nextInt(8) : 13 + random.nextInt(20);
    switch (venting) {
      case 0, 1 -> {
        rig.part(id + "-air", "Air " + id, x, 0, height + tall + between(0, 0.6), end(Role.VENT));
        line(id + ".vent > " + id + "-air.in", bore);
      }
      case 2 -> {
        rig.part(id + "-spout", "Spout " + id, x, 0, between(0.2, height), end(Role.OVERFLOW));
        line(id + ".vent > " + id + "-spout.in", bore);
      }
      case 3 -> {
        double crest = height + tall + between(0, 0.2);
        rig.part(id + "-tee", "Tee " + id, x, 0, crest, new Tee())
            .part(id + "-ball", "Air valve " + id, x, 0, crest + 0.2, new AirAdmittanceValve())
            .part(id + "-tail", "Tail " + id, x, 0, between(0.2, height), end(Role.OVERFLOW));
        valve(id + "-travel", height);
        line(id + ".vent > " + id + "-tee.a", bore);
        line(id + "-tee.b > " + id + "-travel.a", bore);
        line(id + "-travel.b > " + id + "-tail.in", bore);
        line(id + "-tee.c > " + id + "-ball.in", 16);
      }
      default -> {
        rig.part(id + "-hatch", "Hatch " + id, x, 0, height + tall + 0.03, new GravityFiller());
        line(id + "-hatch.out > " + id + ".vent", 100);
      }
    }
  }

  private static Kind end(Role role) {
    return Fittings.end(role);
  }

  private void pump() {
    Kind pump =
        switch (random.nextInt(3)) {
          case 0 -> Fittings.transferPump(between(5, 20), between(0.5, 2));
          case 1 -> Fittings.footPump(between(3, 8), 1);
          default -> Fittings.pressurePump(between(6, 15), between(2, 3.5));
        };
    rig.part("pump", "Pump", 1.5, 0, 0.5, pump)
        .part("house", "House", 1.8, 0, 0.6, new Manifold(3))
        .part("tap", "Tap", 2, 0, 1.1, Fittings.fixture(Fixture.Type.TAP, true, 6));
    line("feeds.in > pump.in", 13);
    line("pump.out > house.in", 13);
    line("house.1 > tap.cold", 13);
    if (once(3)) {
      valve("leak", 0.6);
      line("house.2 > leak.a", 13);
      rig.line("weep", "Weep", "leak.b > tank1.weep", between(1, 2.5), 0.3, Material.PEX, 1);
    }
    if (once(4)) {
      rig.part("drip", "Drip", 2, 0, between(0.2, 1), end(Role.DRAIN))
          .line("drip", "Drip", "house.3 > drip.in", between(1, 2.5), 0.2, Material.PEX, 1);
    }
  }

  private void inlet() {
    rig.part("inlet", "Inlet", 0, 0, 0.8, Fittings.inlet(between(0.5, 4)));
    valve("fill", 1);
    if (once(3)) {
      line("inlet.out > fill.a", 13);
    } else {
      rig.part("check", "Check", 0, 0, 0.8, Fittings.check());
      line("inlet.out > check.in", 13);
      line("check.out > fill.a", 13);
    }
    line("fill.b > tank1.fill", 13);
  }

  /** Every handle anywhere; tanks from empty to the brim, also to the very height of a port. */
  public static State state(Network network, Random random) {
    Setting setting = network.rig().atRest();
    for (Part part : network.rig().handles().toList()) {
      List<Position> all = part.kind().positions();
      setting = setting.with(part.id(), all.get(random.nextInt(all.size())).id());
    }
    Map<PartId, Double> volumes = new HashMap<>();
    for (Part tank : network.tanks()) {
      volumes.put(tank.id(), volume(network, tank, random));
    }
    return new State(setting, volumes, Slope.LEVEL);
  }

  private static double volume(Network network, Part tank, Random random) {
    double capacity = network.room(tank.id()).capacity();
    List<TankPort> ports = ((Tank) tank.kind()).tankPorts();
    double port = ports.get(random.nextInt(ports.size())).at().z();
    double off = 0.001 * (random.nextInt(3) - 1);
    return switch (random.nextInt(6)) {
      case 0 -> random.nextInt(2) * capacity;
      case 1, 2 -> network.room(tank.id()).volumeBelow(port + off, Slope.LEVEL);
      case 3 -> (1 - 0.01 * random.nextDouble()) * capacity;
      default -> random.nextDouble() * capacity;
    };
  }
}
