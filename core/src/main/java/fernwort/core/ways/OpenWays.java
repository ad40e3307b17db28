package fernwort.core.ways;

import fernwort.core.effort.Effort;
import fernwort.core.plumbing.End;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.OpenGraph;
import fernwort.core.plumbing.Outlets;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.plumbing.Water;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Finds every open way of a state.
 *
 * <p>In order: mains, running pumps, falls (which do not move against the pressure of the former
 * two), what runs away from fixtures in use, and last the air of each tank over what is left dry.
 */
public final class OpenWays {

  /** A held jug is lifted so far above what it pours into (m). */
  public static final double POURING_HEIGHT = 0.2;

  private static final double LEAST_FALL = 1e-4;

  /** Suction paths that are tried where a pump's two sides meet. */
  private static final int MOST_SUCTION_PATHS = 64;

  private final Plumbing plumbing;
  private final Set<String> running;
  private final Levels levels;
  private final OpenGraph graph;
  private final Outlets outlets;
  private final int[] islands;
  private final Currents currents;
  private final Map<Way.Key, Way> ways = new LinkedHashMap<>();
  private final List<PumpWork> pumps = new ArrayList<>();
  private final Sweep suction;
  private final Sweep delivery;
  private final Sweep single;
  private final boolean[] none;
  private final boolean[] pressed;
  private final boolean[] wet;
  private final double[] mainsHead;

  private OpenWays(Plumbing plumbing, Setting setting, Levels levels, Set<String> running) {
    this.plumbing = plumbing;
    this.running = running;
    this.levels = levels;
    graph = new OpenGraph(plumbing, setting);
    outlets = graph.outlets();
    islands = graph.islands();
    currents = new Currents(graph);
    suction = new Sweep(graph, levels);
    delivery = new Sweep(graph, levels);
    single = new Sweep(graph, levels);
    none = new boolean[plumbing.size()];
    pressed = new boolean[plumbing.size()];
    wet = new boolean[plumbing.size()];
    mainsHead = new double[plumbing.size()];
  }

  /** Returns everything that is open in a state. */
  public static Ways find(Plumbing plumbing, State state) {
    return find(plumbing, state.setting(), Levels.of(plumbing, state));
  }

  /**
   * Returns everything that is open; for trying many settings on the same levels.
   *
   * @param plumbing the prepared rig
   * @param setting a setting of that rig
   * @param levels heights and levels for the state of its tanks
   */
  public static Ways find(Plumbing plumbing, Setting setting, Levels levels) {
    return find(plumbing, setting, levels, Set.of());
  }

  /**
   * The same where it is known that some pumps run, since the pressure behind them is less with
   * what flows than the mains' own.
   *
   * @param running ids of those pumps
   */
  public static Ways find(Plumbing plumbing, Setting setting, Levels levels, Set<String> running) {
    return new OpenWays(plumbing, setting, levels, running).search();
  }

  private Ways search() {
    for (Part part : plumbing.sources()) {
      if (part.kind() instanceof Kind.HoseInlet inlet
          && graph.is(part, Kind.HoseInlet.MAINS.id())) {
        mains(part, inlet, plumbing.first(plumbing.index(part.id())));
      }
    }
    List<Origin> origins = origins();
    for (Part part : plumbing.pumps()) {
      pump(part, plumbing.first(plumbing.index(part.id())), origins);
    }
    pumps.replaceAll(this::boosting);
    origins.forEach(this::fall);
    wastes();
    List<TankAir> air = new AirSearch(graph, levels, outlets.openings(), wet).find();
    return answer(air);
  }

  // --- mains ---------------------------------------------------------------------------------

  private void mains(Part inlet, Kind.HoseInlet kind, int v) {
    Sweep sweep = single.begin(Sweep.Medium.PRESSED);
    sweep.from(v, levels.height(v) + Water.head(kind.mainsPressure())).run(none, -1);
    collect(sweep, new Source(Source.Kind.MAINS, inlet.id()), DrivenBy.MAINS, Optional.empty());
    for (int u = 0; u < none.length; u++) {
      if (sweep.reached(u)) {
        pressed[u] = true;
        wet[u] = true;
        mainsHead[u] = Math.max(mainsHead[u], sweep.head[u] - levels.height(u));
      }
    }
  }

  // --- sources without pressure --------------------------------------------------------------

  /** Water that waits at some ports with its surface at a height. */
  private record Origin(Source source, double surface, int[] ports) {}

  private List<Origin> origins() {
    List<Origin> origins = new ArrayList<>();
    for (Part part : plumbing.sources()) {
      int v = plumbing.first(plumbing.index(part.id()));
      switch (part.kind()) {
        case Kind.Tank tank -> {
          int[] under =
              IntStream.range(v, v + tank.tankPorts().size()).filter(levels::wet).toArray();
          if (under.length > 0) {
            origins.add(
                new Origin(
                    new Source(Source.Kind.TANK, part.id()), levels.surface(part.id()), under));
          }
        }
        case Kind.HoseInlet inlet -> {
          if (graph.is(part, Kind.HoseInlet.OUTSIDE.id())) {
            origins.add(
                new Origin(
                    new Source(Source.Kind.OUTSIDE, part.id()),
                    inlet.outsideHeight(),
                    new int[] {v}));
          }
        }
        case Kind.PortableContainer jug -> {
          if (graph.is(part, Kind.PortableContainer.POURING.id())) {
            origins.add(jug(part, v));
          }
        }
        case Kind.GravityFiller _,
            Kind.OpenEnd _,
            Kind.Valve _,
            Kind.Pump _,
            Kind.Heater _,
            Kind.Fixture _,
            Kind.Macerator _,
            Kind.Plug _,
            Kind.Fitting _ -> {}
      }
    }
    return origins;
  }

  private Origin jug(Part part, int v) {
    int into = plumbing.across(part.port("spout"));
    double lip = into < 0 ? levels.height(v) : Math.max(levels.height(v), levels.height(into));
    return new Origin(new Source(Source.Kind.JUG, part.id()), lip + POURING_HEIGHT, new int[] {v});
  }

  // --- pumps ---------------------------------------------------------------------------------

  private void pump(Part part, int in, List<Origin> origins) {
    if (!graph.is(part, Kind.ON)) {
      return;
    }
    switch ((Kind.Driven) part.kind()) {
      case Kind.Pump p -> {
        if (isHeldOff(part, p, in + 1)) {
          pumps.add(new PumpWork(part.id(), List.of(), Optional.empty(), List.of(), true));
        } else {
          run(part, in, Water.head(p.shutOffPressure()), p.selfPriming(), origins);
        }
      }
      case Kind.Macerator m -> run(part, in, Water.head(m.shutOffPressure()), 0, origins);
    }
  }

  /**
   * Tells whether the mains, at their full pressure, keep a pump's switch open, unless it is known
   * to run all the same. A circulation pump knows only its own pressure.
   */
  private boolean isHeldOff(Part part, Kind.Pump pump, int out) {
    return !pump.works().byHand()
        && pump.duty() != Kind.Pump.Duty.CIRCULATION
        && !running.contains(part.id())
        && mainsHead[out] >= Water.head(pump.cutOut());
  }

  private void run(Part part, int in, double lift, double priming, List<Origin> origins) {
    DrivenBy drive = DrivenBy.pump(part.id());
    List<Source> drawn = new ArrayList<>();
    boolean[] delivered = new boolean[none.length];
    Set<String> loop = new LinkedHashSet<>();
    for (Origin origin : origins) {
      Effort.look();
      if (!isJoined(origin, in)) {
        continue;
      }
      suction.begin(Sweep.Medium.PRESSED);
      for (int v : origin.ports()) {
        suction.from(v, origin.surface() + priming);
      }
      suction.run(none, in);
      if (!suction.reached(in)) {
        continue;
      }
      drawn.add(origin.source());
      deliver(delivery, in, origin.surface() + lift, none);
      mark(delivery, delivered);
      if (delivery.reached(in)) {
        loop.addAll(partsOf(routeTo(delivery, in)));
      }
      deliverFrom(origin, drive, in, lift);
    }
    for (int v = 0; v < delivered.length; v++) {
      pressed[v] |= delivered[v];
      wet[v] |= delivered[v];
    }
    Optional<String> air = airIntake(in, delivered);
    pumps.add(new PumpWork(part.id(), drawn, air, List.copyOf(loop), false));
  }

  /** A pump that draws from no tank but sits in water that mains or another pump press. */
  private PumpWork boosting(PumpWork work) {
    int in = plumbing.first(plumbing.index(work.pump()));
    if (!work.sources().isEmpty() || work.heldOff() || !pressed[in]) {
      return work;
    }
    deliver(delivery, in, Double.MAX_VALUE, none);
    List<String> loop = delivery.reached(in) ? partsOf(routeTo(delivery, in)) : List.of();
    return new PumpWork(work.pump(), pressers(in), Optional.empty(), loop, false);
  }

  /** The mains, and what other pumps draw from, in the water that a port is joined to. */
  private List<Source> pressers(int vertex) {
    List<Source> pressers = new ArrayList<>();
    for (Part part : plumbing.sources()) {
      boolean joined = islands[plumbing.first(plumbing.index(part.id()))] == islands[vertex];
      if (joined
          && part.kind() instanceof Kind.HoseInlet
          && graph.is(part, Kind.HoseInlet.MAINS.id())) {
        pressers.add(new Source(Source.Kind.MAINS, part.id()));
      }
    }
    for (PumpWork other : pumps) {
      if (islands[plumbing.first(plumbing.index(other.pump()))] == islands[vertex]) {
        pressers.addAll(other.sources());
      }
    }
    return pressers;
  }

  private boolean isJoined(Origin origin, int vertex) {
    for (int v : origin.ports()) {
      if (islands[v] == islands[vertex]) {
        return true;
      }
    }
    return false;
  }

  private static void deliver(Sweep sweep, int in, double head, boolean[] blocked) {
    sweep.begin(Sweep.Medium.PRESSED).from(in + 1, head).run(blocked, in);
  }

  private void deliverFrom(Origin origin, DrivenBy drive, int in, double lift) {
    BitSet path = routeTo(suction, in);
    if (path.stream().noneMatch(delivery::reached)) {
      collect(delivery, origin.source(), drive, Optional.of(new Intake(suction, in)));
      return;
    }
    for (BitSet simple : new SuctionPaths(suction, in, origin.ports()).find(MOST_SUCTION_PATHS)) {
      boolean[] blocked = new boolean[none.length];
      simple.stream().forEach(v -> blocked[v] = true);
      deliver(single, in, origin.surface() + lift, blocked);
      collect(single, origin.source(), drive, Optional.of(new Intake(suction, in)));
    }
  }

  /** The suction side of a pump: how a source reaches its inlet. */
  private record Intake(Sweep suction, int in) {}

  private Optional<String> airIntake(int in, boolean[] delivered) {
    Sweep air = single.begin(Sweep.Medium.AIR);
    boolean[] blocked = delivered.clone();
    for (int v : outlets.openings()) {
      if (!blocked[v] && islands[v] == islands[in]) {
        air.from(v, 0);
      }
    }
    for (int tank = 0; tank < plumbing.tanks().size(); tank++) {
      for (int v : plumbing.tankVertices(tank)) {
        if (islands[v] == islands[in] && levels.breathes(v)) {
          air.from(v, 0);
        }
      }
    }
    air.run(blocked, -1);
    if (!air.reached(in)) {
      return Optional.empty();
    }
    int v = in;
    while (air.arrival[v] >= 0) {
      v = graph.from(air.arrival[v]);
    }
    return Optional.of(plumbing.part(v).id());
  }

  // --- falls and wastes ----------------------------------------------------------------------

  private void fall(Origin origin) {
    Sweep sweep = single.begin(Sweep.Medium.FALLING);
    for (int v : origin.ports()) {
      if (!pressed[v]) {
        sweep.from(v, origin.surface());
      }
    }
    sweep.run(pressed, -1);
    collect(sweep, origin.source(), DrivenBy.FALL, Optional.empty());
    mark(sweep, wet);
  }

  private void wastes() {
    Set<String> running = new LinkedHashSet<>();
    for (Way way : ways.values()) {
      if (way.end().kind() == End.Kind.FIXTURE) {
        running.add(way.end().part());
      }
    }
    for (String id : running) {
      Part part = plumbing.rig().parts().get(plumbing.index(id));
      if (part.kind().ports().contains("waste") && plumbing.hasLine(part.port("waste"))) {
        int v = plumbing.vertex(part, "waste");
        fall(
            new Origin(
                new Source(Source.Kind.WASTE, id), levels.height(v) + LEAST_FALL, new int[] {v}));
      }
    }
  }

  // --- gathering -----------------------------------------------------------------------------

  private void collect(Sweep sweep, Source source, DrivenBy drive, Optional<Intake> intake) {
    BitSet ends = new BitSet();
    for (Outlets.Outlet outlet : reached(sweep)) {
      if (accepts(sweep, source, drive, outlet)) {
        ends.set(outlet.vertex());
        ways.computeIfAbsent(
            new Way.Key(source, outlet.end(), drive),
            key -> way(key, sweep, outlet.vertex(), intake));
      }
    }
    if (!ends.isEmpty()) {
      intake.ifPresent(i -> currents.addRoute(i.suction(), i.in()));
      currents.add(sweep, ends);
    }
  }

  /** The outlets that a sweep reached, in the order of the rig. */
  private List<Outlets.Outlet> reached(Sweep sweep) {
    BitSet found = new BitSet();
    for (int i = 0; i < sweep.touches(); i++) {
      int outlet = outlets.at(sweep.touched(i));
      if (outlet >= 0) {
        found.set(outlet);
      }
    }
    List<Outlets.Outlet> inOrder = new ArrayList<>();
    for (int i = found.nextSetBit(0); i >= 0; i = found.nextSetBit(i + 1)) {
      inOrder.add(outlets.ends().get(i));
    }
    return inOrder;
  }

  private boolean accepts(Sweep sweep, Source source, DrivenBy drive, Outlets.Outlet outlet) {
    int v = outlet.vertex();
    return switch (outlet.end().kind()) {
      case TANK -> {
        String tank = outlet.end().part();
        boolean same = tank.equals(source.part()) && drive.kind() == DrivenBy.Kind.FALL;
        double against = levels.wet(v) ? levels.surface(tank) : levels.height(v);
        yield !same && !levels.floatShut(v) && sweep.head[v] > against + LEAST_FALL / 2;
      }
      case GROUND ->
          isOutside(v)
              ? !outlet.end().part().equals(source.part())
                  && sweep.head[v] > outside(v) + LEAST_FALL
              : !(source.kind() == Source.Kind.JUG && sweep.arrival[v] >= 0 && isMouth(v));
      case FIXTURE, DUMP -> true;
    };
  }

  /** A hose that hangs in outside water lets water out into it, too. */
  private boolean isOutside(int v) {
    Part part = plumbing.part(v);
    return part.kind() instanceof Kind.HoseInlet && graph.is(part, Kind.HoseInlet.OUTSIDE.id());
  }

  private double outside(int v) {
    return plumbing.part(v).kind() instanceof Kind.HoseInlet inlet ? inlet.outsideHeight() : 0;
  }

  /** Water poured into a neck passes its mouth without being lost there. */
  private boolean isMouth(int v) {
    return plumbing.part(v).kind() instanceof Kind.GravityFiller;
  }

  private Way way(Way.Key key, Sweep sweep, int end, Optional<Intake> intake) {
    List<String> parts = new ArrayList<>();
    Set<String> lines = new LinkedHashSet<>();
    intake.ifPresent(i -> addRoute(i.suction(), i.in(), parts, lines));
    addRoute(sweep, end, parts, lines);
    return new Way(key.source(), key.end(), key.drive(), parts, List.copyOf(lines));
  }

  private void addRoute(Sweep sweep, int end, List<String> parts, Set<String> lines) {
    List<Integer> backwards = new ArrayList<>();
    int v = end;
    while (sweep.arrival[v] >= 0) {
      backwards.add(sweep.arrival[v]);
      v = graph.from(sweep.arrival[v]);
    }
    append(parts, plumbing.part(v).id());
    for (int e : backwards.reversed()) {
      if (graph.line(e) >= 0) {
        lines.add(plumbing.rig().lines().get(graph.line(e)).id());
      }
      append(parts, plumbing.part(graph.to(e)).id());
    }
  }

  /** A part that is entered and left is named once; a tank that water returns to, twice. */
  private static void append(List<String> parts, String part) {
    if (parts.isEmpty() || !parts.getLast().equals(part)) {
      parts.add(part);
    }
  }

  private BitSet routeTo(Sweep sweep, int end) {
    BitSet route = new BitSet();
    for (int v = end; ; v = graph.from(sweep.arrival[v])) {
      route.set(v);
      if (sweep.arrival[v] < 0) {
        return route;
      }
    }
  }

  private List<String> partsOf(BitSet vertices) {
    return vertices.stream().mapToObj(v -> plumbing.part(v).id()).distinct().toList();
  }

  private static void mark(Sweep sweep, boolean[] marks) {
    for (int i = 0; i < sweep.touches(); i++) {
      marks[sweep.touched(i)] = true;
    }
  }

  private Ways answer(List<TankAir> air) {
    Map<String, Boolean> moving = new HashMap<>();
    for (int i = 0; i < plumbing.rig().lines().size(); i++) {
      if (currents.direction(i) != 0) {
        moving.put(plumbing.rig().lines().get(i).id(), currents.direction(i) > 0);
      }
    }
    Set<String> live = new HashSet<>();
    for (TankAir a : air) {
      a.out().ifPresent(r -> live.addAll(r.parts()));
      a.in().ifPresent(r -> live.addAll(r.parts()));
    }
    Set<String> pressedParts = new HashSet<>();
    Set<String> wetted = new HashSet<>();
    List<Part> parts = plumbing.rig().parts();
    for (int i = 0; i < parts.size(); i++) {
      String id = parts.get(i).id();
      int from = plumbing.first(i);
      int to = plumbing.first(i + 1);
      if (currents.movesAny(from, to)) {
        live.add(id);
      }
      if (any(pressed, from, to)) {
        pressedParts.add(id);
      }
      if (any(wet, from, to)) {
        wetted.add(id);
      }
    }
    Set<String> dead = new LinkedHashSet<>();
    parts.stream().map(Part::id).filter(p -> !live.contains(p)).forEach(dead::add);
    return new Ways(List.copyOf(ways.values()), air, pumps, moving, pressedParts, wetted, dead);
  }

  private static boolean any(boolean[] marks, int from, int to) {
    for (int v = from; v < to; v++) {
      if (marks[v]) {
        return true;
      }
    }
    return false;
  }
}
