package fernwort.core.plumbing;

import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** Where water can leave the lines in one setting, and where the lines meet the open air. */
public final class Outlets {

  /** One port at which water ends. */
  public record Outlet(int vertex, End end) {}

  private final List<Outlet> ends = new ArrayList<>();

  private final IntStream.Builder open = IntStream.builder();
  private final int[] openings;
  private final int[] at;

  public Outlets(OpenGraph graph) {
    List<Part> parts = graph.plumbing().rig().parts();
    for (int i = 0; i < parts.size(); i++) {
      add(graph, parts.get(i), graph.plumbing().first(i));
    }
    openings = open.build().toArray();
    at = new int[graph.plumbing().size()];
    Arrays.fill(at, -1);
    for (int i = 0; i < ends.size(); i++) {
      at[ends.get(i).vertex()] = i;
    }
  }

  /** Returns the ports where air can come in or go out. */
  public int[] openings() {
    return openings;
  }

  /** Returns the index in {@link #ends} of the outlet at a vertex, or −1. */
  public int at(int vertex) {
    return at[vertex];
  }

  private void add(OpenGraph graph, Part part, int v) {
    switch (part.kind()) {
      case Kind.Tank k -> {
        for (int i = 0; i < k.tankPorts().size(); i++) {
          ends.add(new Outlet(v + i, new End(End.Kind.TANK, part.id())));
        }
      }
      case Kind.Fixture k -> addFixture(graph, part, k, v);
      case Kind.OpenEnd k -> endKind(graph, part, k).ifPresent(e -> open(part, v, e));
      case Kind.Plug k -> {
        if (k.removable() && graph.is(part, Kind.Plug.OUT.id())) {
          open(part, v, End.Kind.GROUND);
        }
      }
      case Kind.GravityFiller k -> {
        if (graph.is(part, Kind.GravityFiller.OPEN.id())) {
          open(part, v, End.Kind.GROUND);
        }
      }
      case Kind.AirAdmittanceValve k -> open.add(v);
      case Kind.HoseInlet k -> {
        if (graph.is(part, Kind.HoseInlet.OPEN.id())) {
          open(part, v, End.Kind.GROUND);
        }
        if (graph.is(part, Kind.HoseInlet.OUTSIDE.id())) {
          ends.add(new Outlet(v, new End(End.Kind.GROUND, part.id())));
        }
      }
      case Kind.TwoWayValve k -> {}
      case Kind.ThreeWayValve k -> {}
      case Kind.CheckValve k -> {}
      case Kind.Regulator k -> {}
      case Kind.Strainer k -> {}
      case Kind.Filter k -> {}
      case Kind.Pump k -> {}
      case Kind.Accumulator k -> {}
      case Kind.Heater k -> {}
      case Kind.Tee k -> {}
      case Kind.Manifold k -> {}
      case Kind.DrainTrap k -> {}
      case Kind.LeakTray k -> {}
      case Kind.PortableContainer k -> {}
      case Kind.Macerator k -> {}
    }
  }

  private static Optional<End.Kind> endKind(OpenGraph graph, Part part, Kind.OpenEnd end) {
    if (end.role() != Kind.OpenEnd.Role.DUMP) {
      return Optional.of(End.Kind.GROUND);
    }
    if (graph.is(part, Kind.OpenEnd.HOSE.id())) {
      return Optional.of(End.Kind.DUMP);
    }
    return graph.is(part, Kind.OpenEnd.OPEN.id()) ? Optional.of(End.Kind.GROUND) : Optional.empty();
  }

  private void open(Part part, int v, End.Kind kind) {
    ends.add(new Outlet(v, new End(kind, part.id())));
    open.add(v);
  }

  private void addFixture(OpenGraph graph, Part part, Kind.Fixture fixture, int v) {
    String position = graph.setting().of(part.id());
    End end = new End(End.Kind.FIXTURE, part.id());
    if (fixture.opensCold(position)) {
      ends.add(new Outlet(v, end));
      open.add(v);
    }
    if (fixture.opensHot(position)) {
      ends.add(new Outlet(v + 1, end));
      open.add(v + 1);
    }
  }

  /** Returns the ports at which water can leave. */
  public List<Outlet> ends() {
    return ends;
  }
}
