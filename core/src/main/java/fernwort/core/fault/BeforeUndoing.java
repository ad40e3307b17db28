package fernwort.core.fault;

import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.jobs.goal.Uncovered;
import fernwort.core.kind.Given;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Fixture;
import fernwort.core.network.Connections;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * What is done before a part is undone, so that nothing turns, scalds, sprays or runs out of it: in
 * the order of a workbench. Machines off, the outside tap shut, what stands before it closed, and
 * last the pressure let off.
 *
 * <p>For one state; each valve is found in O(V + E).
 */
public final class BeforeUndoing {

  private final Network network;
  private final Rig rig;
  private final State noted;
  private final Levels levels;

  private BeforeUndoing(Network network, State noted) {
    this.network = network;
    rig = network.rig();
    this.noted = noted;
    levels = Levels.of(network, noted);
  }

  /** Prepares for a state, as far as anybody knows it. */
  public static BeforeUndoing of(Network network, State noted) {
    return new BeforeUndoing(network, noted);
  }

  /**
   * What is done first.
   *
   * @param off machines that are switched off
   * @param mains hose inlets whose outside tap is shut
   * @param closed valves that are closed
   * @param above tanks that no valve holds back
   * @param let the tap that lets the pressure off, if one is joined to it
   * @param hot whether what comes out may be hot
   * @param setting where everything stands then, but for that tap
   */
  public record First(
      List<Part> off,
      List<Part> mains,
      List<Part> closed,
      List<Part> above,
      Optional<Part> let,
      boolean hot,
      Setting setting) {

    /** Returns it in words, empty where nothing needs doing. */
    public String words() {
      List<String> said = new ArrayList<>();
      say(said, Says.SWITCH_OFF_FIRST, off);
      say(said, Says.CLOSE_OUTSIDE_TAP, mains);
      say(said, Says.CLOSE_BEFORE, closed.stream().filter(p -> !isSelector(p)).toList());
      closed.stream().filter(First::isSelector).map(this::set).forEach(said::add);
      say(said, Says.NOTHING_HOLDS_BACK, above);
      let.ifPresent(tap -> say(said, Says.LET_IT_OFF, List.of(tap)));
      if (hot) {
        said.add(Says.LET_IT_COOL.text());
      }
      return String.join(" ", said);
    }

    private static boolean isSelector(Part valve) {
      return valve.kind().positions().size() > 2;
    }

    private String set(Part selector) {
      String at =
          selector.kind().positions().stream()
              .filter(p -> setting.has(selector.id(), p.id()))
              .map(Position::words)
              .findFirst()
              .orElseThrow();
      return Says.SET_BEFORE.filled(selector.label(), at);
    }

    private static void say(List<String> said, Says says, List<Part> parts) {
      if (!parts.isEmpty()) {
        said.add(says.filled(parts.stream().map(Part::label).collect(Collectors.joining(", "))));
      }
    }
  }

  /** Returns what is done before a part, a line by its first end, or all in a place is undone. */
  public First at(ElementId on) {
    ElementId part =
        rig.lines().stream()
            .filter(l -> l.id().equals(on))
            .map(l -> (ElementId) l.from().part())
            .findFirst()
            .orElse(on);
    return at(p -> p.id().equals(part) || p.place().equals(on));
  }

  private First at(Predicate<Part> undone) {
    Setting setting = noted.setting();
    List<Part> off = new ArrayList<>();
    List<Part> mains = new ArrayList<>();
    for (Part part : rig.parts()) {
      boolean machine = part.kind().is(Purpose.DRIVES) || part.kind().is(Purpose.HEATS);
      if (machine && on(part) && reaches(undone, part)) {
        off.add(part);
        setting = setting.with(part.id(), part.rest().id());
      }
      if (setting.given(part).filter(g -> g.from() == Given.From.MAINS).isPresent()) {
        mains.add(part);
      }
    }
    setting = Uncovered.turning(rig, setting);
    List<Part> closed = new ArrayList<>();
    List<Part> above = new ArrayList<>();
    for (Part tank : network.tanks()) {
      boolean stands =
          !levels.isEmpty(tank.id())
              && rig.parts().stream()
                  .anyMatch(p -> undone.test(p) && levels.height(p) < levels.surface(tank.id()));
      if (stands && !undone.test(tank)) {
        setting = held(tank, undone, setting, closed, above);
      }
    }
    Setting then = setting;
    Optional<Part> tap =
        rig.parts().stream()
            .filter(undone)
            .findFirst()
            .filter(p -> canBePressed(p.id()))
            .flatMap(p -> tap(p, then));
    boolean hot = off.stream().anyMatch(machine -> heats(machine, undone));
    return new First(off, mains, closed, above, tap, hot, then);
  }

  private boolean on(Part machine) {
    return machine.hasHandle() && !noted.setting().has(machine.id(), machine.rest().id());
  }

  /** Tells whether water can pass between a machine and what is undone, however handles stand. */
  private boolean reaches(Predicate<Part> undone, Part machine) {
    return undone.test(machine)
        || Connections.withHandlesFree(network).route(machine.id(), p -> false, undone).isPresent();
  }

  private boolean heats(Part machine, Predicate<Part> undone) {
    return machine.kind().is(Purpose.HEATS)
        && (undone.test(machine)
            || Connections.of(network, noted.setting())
                .behind(machine.id(), PortId.HOT, p -> p.equals(machine), undone)
                .isPresent());
  }

  /** Closes valve after valve until a tank no longer leads there. */
  private Setting held(
      Part tank, Predicate<Part> undone, Setting before, List<Part> closed, List<Part> above) {
    Setting setting = before;
    for (Optional<List<PartId>> way = way(tank, undone, setting);
        way.isPresent();
        way = way(tank, undone, setting)) {
      Setting open = setting;
      List<PartId> route = way.get();
      Optional<Setting> shut =
          route.subList(1, route.size() - 1).reversed().stream()
              .map(rig::part)
              .filter(p -> p.kind().is(Purpose.TURNS) && p.hasHandle() && !closed.contains(p))
              .flatMap(p -> closing(p, route, tank, open).stream())
              .findFirst();
      if (shut.isEmpty()) {
        above.add(tank);
        return setting;
      }
      setting = shut.get();
      setting.turnedFrom(open).stream().map(rig::part).forEach(closed::add);
    }
    return setting;
  }

  /** The position of a valve in which the tank no longer leads past it. */
  private Optional<Setting> closing(Part valve, List<PartId> route, Part tank, Setting open) {
    PartId next = route.get(route.indexOf(valve.id()) + 1);
    return valve.kind().positions().stream()
        .map(Position::id)
        .map(at -> open.with(valve.id(), at))
        .filter(shut -> {
          Optional<List<PartId>> way = way(tank, p -> p.id().equals(next), shut);
          return way.isEmpty() || !way.get().contains(valve.id());
        })
        .findFirst();
  }

  private Optional<List<PartId>> way(Part tank, Predicate<Part> to, Setting setting) {
    return Connections.of(network, setting)
        .leaving(tank, port -> levels.isCovered(tank.port(port)), to);
  }

  private static boolean isTap(Part part) {
    return part.kind() instanceof Fixture fixture && part.hasHandle() && !fixture.flushes();
  }

  /** Tells whether a pump or a hose can have put it under pressure. */
  private boolean canBePressed(PartId part) {
    return rig.part(part).kind().is(Purpose.SUPPLIES)
        || Connections.withHandlesFree(network)
            .route(
                part, p -> false, p -> p.kind().is(Purpose.SUPPLIES) || p.kind().is(Purpose.MAINS))
            .isPresent();
  }

  private Optional<Part> tap(Part undone, Setting setting) {
    Setting open = setting;
    for (Part tap : rig.parts()) {
      if (tap.kind().is(Purpose.USE) && tap.hasHandle()) {
        open = open.with(tap.id(), tap.kind().positions().getLast().id());
      }
    }
    return Connections.of(network, open)
        .route(undone.id(), p -> false, BeforeUndoing::isTap)
        .map(List::getLast)
        .map(rig::part);
  }
}
