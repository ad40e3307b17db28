package fernwort.core.demo;

import fernwort.core.describe.Fittings;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.end.Fixture.Type;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
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
import fernwort.core.rig.RigBuilder;
import fernwort.core.rig.Vehicle;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A touring coach of any length, for trying and measuring what has to work on large rigs. Each
 * section has thirty parts: tank, pump, filter, heater with bypass, three fixtures and a gray tank;
 * valves join its inlet to the next section's.
 */
public final class LongCoach {

  /** Parts in each section. */
  public static final int PARTS_PER_SECTION = 30;

  private static final double SECTION_LENGTH = 2.4;

  private LongCoach() {}

  /**
   * Returns a coach in which every section's sink runs from its pump.
   *
   * @param sections how many, from 1
   */
  public static DemoRig of(int sections) {
    RigBuilder rig =
        RigBuilder.named("Long coach " + sections * PARTS_PER_SECTION).vehicle(vehicle(sections));
    Map<PartId, PositionId> positions = new HashMap<>();
    Map<PartId, Double> litres = new HashMap<>();
    for (int i = 1; i <= sections; i++) {
      Section section = new Section(rig, i, sections);
      section.supply();
      section.house();
      section.gray();
      section.lines();
      section.leave(positions, litres);
    }
    return new DemoRig("coach-" + sections, rig.build(), positions, litres);
  }

  private static Vehicle vehicle(int sections) {
    double length = SECTION_LENGTH * sections + 2;
    return new Vehicle(
        Vehicle.Body.TRUCK,
        -1,
        length - 1,
        2.5,
        0.9,
        3.4,
        0.25,
        List.of(new Axle("rear", 0, 9000, 5000), new Axle("front", length - 3, 6000, 3000)),
        Optional.empty());
  }

  /** One section under construction; part ids carry its number. */
  private record Section(RigBuilder rig, int number, int sections) {

    private String numbered(String name) {
      return name + "-" + number;
    }

    private PartId id(String name) {
      return PartId.of(numbered(name));
    }

    private double x(double along) {
      return SECTION_LENGTH * (number - 1) + along;
    }

    private void part(String name, String label, double along, double height, Kind kind) {
      rig.part(numbered(name), label + " " + number, x(along), 0.4, height, kind);
    }

    private void place(String name, String label, double along, double height) {
      rig.place(numbered(name), label + " " + number, "open the hatch", x(along), 0.5, height);
    }

    private void line(String ends, double bore) {
      String[] both = ends.split(" > ");
      String from = both[0].replace(".", "-" + number + ".");
      String to = both[1].replace(".", "-" + number + ".");
      join(from + " > " + to, bore);
    }

    private void join(String ends, double bore) {
      String name = ends.replaceAll("[^a-z0-9]+", "-");
      rig.line(name, name, ends, bore, 0.8, Material.PEX, 1.2);
    }

    void supply() {
      place("locker", "Locker", 0.4, 1.3);
      part("inlet", "Inlet", 0, 1.1, Fittings.inlet(4));
      part("check", "Check", 0.1, 1.12, Fittings.check());
      part("spine", "Spine", 0.2, 1.15, new Manifold(4));
      part("fill", "Fill", 0.3, 1.3, Fittings.twoWay(0));
      part("mains", "Mains", 0.4, 1.5, Fittings.twoWay(90));
      part("next", "Next", 0.7, 1.2, Fittings.twoWay(0));
      part(
          "fresh",
          "Fresh",
          0.2,
          1.0,
          Fittings.tank(
              Contents.FRESH,
              new Shape.Box(0.9, 0.5, 0.3),
              0.005,
              Fittings.sender(6, 0.4, 0.2),
              Fittings.port(PortId.of("fill"), Use.FILL, 0.1, 0.4, 0.27),
              Fittings.port(PortId.of("feed"), Use.FEED, 0.05, 0.05, 0.02),
              Fittings.port(PortId.of("vent"), Use.VENT, 0.85, 0.4, 0.28)));
      part("feed", "Feed", 0.3, 1.05, Fittings.twoWay(0));
      part("strainer", "Strainer", 0.4, 1.2, new Strainer());
      part("pump", "Pump", 0.5, 1.3, Fittings.pressurePump(10, 2.8));
      part("vent", "Vent", 0.6, 1.6, Fittings.end(Role.VENT));
    }

    void house() {
      place("galley", "Galley", 1.6, 1.8);
      part("house", "House", 1.2, 1.4, new Tee());
      part("filter", "Filter", 1.3, 1.3, Fittings.filter(Grade.CARBON, 11, 0.35));
      part("cold", "Cold", 1.4, 1.3, new Manifold(5));
      part("drink", "Drinking tap", 1.2, 2.0, Fittings.fixture(Type.TAP, true, 2));
      part("split", "Split", 1.5, 1.2, new Tee());
      part("heat", "Heat", 1.6, 1.2, Fittings.twoWay(0));
      part("heater", "Heater", 1.7, 1.2, new Heater(Heater.Type.STORAGE, true, 0.02));
      part("bypass", "Bypass", 1.7, 1.4, Fittings.twoWay(0));
      part("mix", "Mix", 1.8, 1.4, new Tee());
      part("hot", "Hot", 1.9, 1.4, new Manifold(2));
      part("sink", "Sink", 1.5, 2.0, Fittings.fixture(Type.MIXER, true, 6));
      part("sink-trap", "Sink trap", 1.5, 1.5, new DrainTrap());
      part("shower", "Shower", 1.9, 2.2, Fittings.fixture(Type.SHOWER, false, 7));
      part("shower-trap", "Shower trap", 1.9, 1.0, new DrainTrap());
      part("drain", "Drain", 1.6, 1.0, new Plug(true));
    }

    void gray() {
      place("under", "Under the floor", 1.2, 0.6);
      part(
          "gray",
          "Gray",
          1.2,
          0.45,
          Fittings.tank(
              Contents.GRAY,
              new Shape.Box(0.8, 0.5, 0.25),
              0.005,
              Fittings.sender(4, 0.4, 0.2),
              Fittings.port(PortId.of("sink"), Use.FILL, 0.1, 0.4, 0.23),
              Fittings.port(PortId.of("wash"), Use.FILL, 0.7, 0.4, 0.22),
              Fittings.port(PortId.of("vent"), Use.VENT, 0.4, 0.1, 0.235),
              Fittings.port(PortId.of("drain"), Use.DRAIN, 0.75, 0.2, 0.005)));
      part("gray-vent", "Gray vent", 1.4, 0.8, Fittings.end(Role.VENT));
      part("dump", "Dump", 2.0, 0.42, Fittings.twoWay(0));
      part("outlet", "Outlet", 2.1, 0.4, Fittings.end(Role.DUMP));
    }

    void lines() {
      line("inlet.out > check.in", 13);
      line("check.out > spine.in", 13);
      line("spine.1 > fill.a", 13);
      line("fill.b > fresh.fill", 19);
      line("spine.2 > mains.a", 13);
      line("spine.3 > next.a", 13);
      line("fresh.feed > feed.a", 13);
      line("fresh.vent > vent.in", 16);
      line("feed.b > strainer.in", 13);
      line("strainer.out > pump.in", 13);
      line("pump.out > house.a", 12);
      line("mains.b > house.b", 12);
      line("house.c > filter.in", 12);
      line("filter.out > cold.in", 12);
      line("cold.1 > sink.cold", 9.5);
      line("cold.2 > shower.cold", 9.5);
      line("cold.3 > split.a", 12);
      line("cold.4 > drain.in", 12);
      line("cold.5 > drink.cold", 6.5);
      line("split.b > heat.a", 12);
      line("heat.b > heater.cold", 12);
      line("heater.hot > mix.a", 12);
      line("split.c > bypass.a", 12);
      line("bypass.b > mix.b", 12);
      line("mix.c > hot.in", 12);
      line("hot.1 > sink.hot", 9.5);
      line("hot.2 > shower.hot", 9.5);
      line("sink.waste > sink-trap.in", 32);
      line("sink-trap.out > gray.sink", 32);
      line("shower.waste > shower-trap.in", 32);
      line("shower-trap.out > gray.wash", 32);
      line("gray.vent > gray-vent.in", 19);
      line("gray.drain > dump.a", 38);
      line("dump.b > outlet.in", 38);
      if (number < sections) {
        join(String.format(Locale.ROOT, "%s.b > spine-%d.4", id("next"), number + 1), 13);
      }
    }

    void leave(Map<PartId, PositionId> positions, Map<PartId, Double> litres) {
      positions.put(id("feed"), PositionId.of("open"));
      positions.put(id("pump"), PositionId.of("on"));
      positions.put(id("heat"), PositionId.of("open"));
      positions.put(id("sink"), PositionId.of("warm"));
      litres.put(id("fresh"), 60.0 + 5 * number);
      litres.put(id("gray"), 20.0);
    }
  }
}
