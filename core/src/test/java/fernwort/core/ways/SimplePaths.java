package fernwort.core.ways;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.end.Fixture;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.line.CheckValve;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.line.TwoWayValve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.network.Water;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/**
 * The oracle: every way found by walking all simple paths, with none of the search's machinery.
 * Good for small rigs only, since it is exponential.
 */
final class SimplePaths {

  private final Rig rig;
  private final State state;
  private final Map<PortRef, Line> lines;
  private final Map<PartId, Double> surfaces = new HashMap<>();
  private final Set<PortRef> pressed = new HashSet<>();
  private final Set<FlowPath.Key> found = new HashSet<>();

  private SimplePaths(Rig rig, State state) {
    this.rig = rig;
    this.state = state;
    this.lines = rig.linesByPort();
    rig.tanks().forEach(t -> surfaces.put(t.id(), t.height() + state.volume(t.id()) / (0.6 * 0.3)));
  }

  static Set<FlowPath.Key> ways(Rig rig, State state) {
    SimplePaths paths = new SimplePaths(rig, state);
    Network network = Network.of(rig);
    paths.mains(network);
    paths.pumps();
    paths.falls();
    return paths.found;
  }

  private void mains(Network network) {
    for (Part part : rig.parts()) {
      if (part.kind() instanceof HoseInlet inlet && at(part, PositionId.of("mains"))) {
        double head = part.height() + Water.head(inlet.mainsPressure());
        Source source = new Source(Source.Kind.MAINS, part.id());
        walk(
            part.port(PortId.OUT),
            head,
            true,
            PartId.NONE,
            Set.of(),
            path -> {
              pressed.add(path.port());
              end(path, source, DrivenBy.MAINS);
            });
      }
    }
  }

  private void pumps() {
    Set<PortRef> mainsPressed = Set.copyOf(pressed);
    for (Part pump : rig.parts()) {
      boolean running = pump.kind() instanceof Pump && at(pump, PositionId.of("on"));
      // Every random pump cuts out at 2 bar and the mains bring 3 bar to any height here.
      if (running && !mainsPressed.contains(pump.port(PortId.OUT))) {
        pump(pump);
      }
    }
  }

  private void pump(Part pump) {
    for (Part part : rig.parts()) {
      Source source = source(part);
      if (source == null) {
        continue;
      }
      double surface = part.kind() instanceof Tank ? surfaces.getOrDefault(part.id(), 0.0) : 0.0;
      for (PortRef start : starts(part)) {
        walk(
            start,
            surface + 1.0,
            true,
            pump.id(),
            Set.of(),
            suction -> {
              if (suction.port().equals(pump.port(PortId.IN))) {
                delivered(pump, source, surface, suction);
              }
            });
      }
    }
  }

  private void delivered(Part pump, Source source, double surface, Path suction) {
    double head = surface + Water.head(3e5);
    walk(pump.port(PortId.OUT), head, true, pump.id(), Set.of(), path -> pressed.add(path.port()));
    walk(
        pump.port(PortId.OUT),
        head,
        true,
        pump.id(),
        suction.seen(),
        path -> end(path, source, DrivenBy.pump(pump.id())));
  }

  private Source source(Part part) {
    if (part.kind() instanceof Tank && !starts(part).isEmpty()) {
      return new Source(Source.Kind.TANK, part.id());
    }
    return part.kind() instanceof HoseInlet && at(part, PositionId.of("outside"))
        ? new Source(Source.Kind.OUTSIDE, part.id())
        : null;
  }

  private List<PortRef> starts(Part part) {
    if (part.kind() instanceof Tank) {
      return part.kind().ports().stream().filter(p -> wet(part, p)).map(part::port).toList();
    }
    return List.of(part.port(PortId.OUT));
  }

  private boolean wet(Part tank, PortId port) {
    return state.volume(tank.id()) > 0
        && surfaces.getOrDefault(tank.id(), 0.0) > tank.at(port).z() + 1e-6;
  }

  private void falls() {
    for (Part part : rig.parts()) {
      Source source = source(part);
      if (source != null) {
        double surface = part.kind() instanceof Tank ? surfaces.getOrDefault(part.id(), 0.0) : 0.0;
        for (PortRef start : starts(part)) {
          if (!pressed.contains(start)) {
            walk(start, surface, false, PartId.NONE, Set.of(), path -> fallEnd(path, source));
          }
        }
      }
    }
  }

  private void fallEnd(Path path, Source source) {
    if (path.seen().stream().noneMatch(pressed::contains)) {
      end(path, source, DrivenBy.FALL);
    }
  }

  private void end(Path path, Source source, DrivenBy drive) {
    Part part = rig.part(path.port().part());
    switch (part.kind()) {
      case OpenEnd k ->
          found.add(new FlowPath.Key(source, new End(End.Kind.GROUND, part.id()), drive));
      case HoseInlet k when at(part, PositionId.of("outside")) -> {
        boolean own = part.id().equals(source.part());
        if (!own && path.head() > k.outsideHeight() + 1e-4) {
          found.add(new FlowPath.Key(source, new End(End.Kind.GROUND, part.id()), drive));
        }
      }
      case HoseInlet k when at(part, PositionId.of("open")) ->
          found.add(new FlowPath.Key(source, new End(End.Kind.GROUND, part.id()), drive));
      case Fixture k when at(part, PositionId.of("open")) ->
          found.add(new FlowPath.Key(source, new End(End.Kind.FIXTURE, part.id()), drive));
      case Tank k -> {
        PortId port = path.port().port();
        double against =
            wet(part, port) ? surfaces.getOrDefault(part.id(), 0.0) : part.at(port).z();
        boolean same = drive.equals(DrivenBy.FALL) && part.id().equals(source.part());
        if (!same && path.head() > against + 1e-4) {
          found.add(new FlowPath.Key(source, new End(End.Kind.TANK, part.id()), drive));
        }
      }
      default -> {}
    }
  }

  private boolean at(Part part, PositionId position) {
    return state.setting().has(part.id(), position);
  }

  /** A simple path so far: where it stands, the head there, and what it has passed. */
  private record Path(PortRef port, double head, Set<PortRef> seen) {}

  private void walk(
      PortRef start,
      double head,
      boolean throughPumps,
      PartId notThrough,
      Set<PortRef> forbidden,
      Consumer<Path> visit) {
    if (rig.part(start.part()).at(start.port()).z() <= head || start.equals(startOf(notThrough))) {
      Set<PortRef> seen = new LinkedHashSet<>(Set.of(start));
      step(new Path(start, head, seen), throughPumps, notThrough, forbidden, visit);
    }
  }

  private PortRef startOf(PartId pump) {
    return new PortRef(pump, PortId.OUT);
  }

  private void step(
      Path path,
      boolean throughPumps,
      PartId notThrough,
      Set<PortRef> forbidden,
      Consumer<Path> visit) {
    visit.accept(path);
    for (PortRef next : next(path.port(), throughPumps, notThrough)) {
      boolean middle = rig.part(next.part()).kind() instanceof Tee && sameTee(path, next);
      boolean high = rig.part(next.part()).at(next.port()).z() > path.head() + 1e-9;
      boolean middleTaken =
          middle && forbidden.stream().filter(f -> f.part().equals(next.part())).count() > 1;
      if (!path.seen().contains(next)
          && !forbidden.contains(next)
          && !high
          && !middleTaken
          && !(middle && passedTwice(path, next))) {
        Set<PortRef> seen = new LinkedHashSet<>(path.seen());
        seen.add(next);
        step(new Path(next, path.head(), seen), throughPumps, notThrough, forbidden, visit);
      }
    }
  }

  private static boolean sameTee(Path path, PortRef next) {
    return path.port().part().equals(next.part());
  }

  /** A tee is passed once: a third port of it would pass its middle again. */
  private static boolean passedTwice(Path path, PortRef next) {
    return path.seen().stream().filter(p -> p.part().equals(next.part())).count() > 1;
  }

  private List<PortRef> next(PortRef port, boolean throughPumps, PartId notThrough) {
    java.util.ArrayList<PortRef> next = new java.util.ArrayList<>();
    Line line = lines.get(port);
    if (line != null) {
      next.add(line.other(port));
    }
    Part part = rig.part(port.part());
    boolean in = port.port().equals(PortId.IN);
    switch (part.kind()) {
      case Tee k ->
          k.ports().stream().map(part::port).filter(p -> !p.equals(port)).forEach(next::add);
      case TwoWayValve k when at(part, PositionId.of("open")) ->
          next.add(part.port(port.port().equals(PortId.A) ? PortId.B : PortId.A));
      case CheckValve k when in -> next.add(part.port(PortId.OUT));
      case Pump k when at(part, PositionId.of("on")) -> {
        if (in && throughPumps && !part.id().equals(notThrough)) {
          next.add(part.port(PortId.OUT));
        }
      }
      case Pump k -> {
        boolean passes =
            switch (k.works()) {
              case DIAPHRAGM, FOOT, HAND -> in;
              case CENTRIFUGAL, SUBMERSIBLE -> true;
              case IMPELLER -> false;
            };
        if (passes) {
          next.add(part.port(in ? PortId.OUT : PortId.IN));
        }
      }
      default -> {}
    }
    return next;
  }
}
