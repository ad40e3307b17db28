package fernwort.core.cold;

import fernwort.core.network.Connections;
import fernwort.core.network.DrainRoutes;
import fernwort.core.network.Flood;
import fernwort.core.network.Levels;
import fernwort.core.network.OpenWays;
import fernwort.core.network.Plumbing;
import fernwort.core.network.TankAir;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Point;
import fernwort.core.rig.Position;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Works out how to empty tanks and lines by fall alone.
 *
 * <p>First everything that pushes or heats goes off. Then the chosen tanks run out, the highest
 * first, each by the way that leaves least in it; a tank that would draw a vacuum gets air. If the
 * lines are to be emptied too, the tanks that keep their water are shut off from them, and the
 * handle that lets out most is opened, again and again, until none lets out any more without
 * draining a tank that was not chosen.
 */
public final class Emptying {

  /** What a single handle must let out to be worth turning (m³). */
  private static final double WORTHWHILE = 5e-6;

  private static final double MILLIMETRE = 1e-3;
  private static final int MOST_TURNS = 60;

  private final Plumbing plumbing;
  private final List<EmptyStep> steps = new ArrayList<>();
  private State state;

  private Emptying(Plumbing plumbing, State state) {
    this.plumbing = plumbing;
    this.state = state;
  }

  /**
   * Plans the emptying.
   *
   * @param plumbing the prepared rig
   * @param state the handles and tanks as they are
   * @param tanks ids of the tanks to empty
   * @param lines whether the lines are to be emptied too
   */
  public static EmptyPlan plan(Plumbing plumbing, State state, Set<String> tanks, boolean lines) {
    return new Emptying(plumbing, state).plan(tanks, lines);
  }

  private EmptyPlan plan(Set<String> tanks, boolean lines) {
    stopEverything();
    List<String> stuck = new ArrayList<>();
    List<Part> chosen =
        plumbing
            .rig()
            .tanks()
            .filter(t -> tanks.contains(t.id()))
            .sorted(Comparator.comparingDouble(Part::height).reversed())
            .toList();
    for (Part tank : chosen) {
      if (!empty(tank)) {
        stuck.add(tank.id());
      }
    }
    if (lines) {
      List<Part> kept = plumbing.rig().tanks().filter(t -> !chosen.contains(t)).toList();
      kept.forEach(this::shutOff);
      openLines(kept);
    }
    return new EmptyPlan(steps, state.setting(), leftovers(chosen, lines), stuck);
  }

  private void stopEverything() {
    for (Part part : plumbing.rig().parts()) {
      switch (part.kind()) {
        case Kind.Heater k -> set(part, "off", EmptyStep.Why.SWITCH_OFF);
        case Kind.Pump k -> set(part, "off", EmptyStep.Why.SWITCH_OFF);
        case Kind.Macerator k -> set(part, "off", EmptyStep.Why.SWITCH_OFF);
        default -> {}
      }
    }
    for (Part part : plumbing.rig().parts()) {
      if (part.kind() instanceof Kind.HoseInlet) {
        set(part, "capped", EmptyStep.Why.TAKE_PRESSURE_OFF);
      }
    }
  }

  private void set(Part part, String position, EmptyStep.Why why) {
    if (!state.setting().of(part.id()).equals(position)) {
      steps.add(new EmptyStep(part.id(), position, why));
      state = state.with(part.id(), position);
    }
  }

  private boolean empty(Part tank) {
    Levels levels = Levels.of(plumbing, state);
    DrainRoutes routes = DrainRoutes.of(plumbing, state.setting(), levels);
    Optional<DrainRoutes.Route> route = routes.best(tank);
    double volume = state.volume(tank.id());
    if (route.isEmpty() || below(tank, route.get().crest()) > volume - WORTHWHILE) {
      return volume <= WORTHWHILE;
    }
    giveAir(tank, routes, levels);
    // The handle nearest the open end comes last, so that nothing runs before all else is set.
    route
        .get()
        .needs()
        .forEach((part, position) ->
            set(plumbing.rig().part(part), position, EmptyStep.Why.LET_WATER_OUT));
    double level = Flood.of(plumbing, state.setting(), levels).tankLevel(tank);
    state = state.withVolume(tank.id(), Math.min(volume, below(tank, level)));
    return true;
  }

  private double below(Part tank, double height) {
    double corner = state.slope().heightOf(new Point(tank.x(), tank.y(), tank.height()));
    return plumbing.room(tank.id()).volumeBelow(height - corner, state.slope());
  }

  private void giveAir(Part tank, DrainRoutes routes, Levels levels) {
    boolean breathes =
        OpenWays.find(plumbing, state.setting(), levels)
            .airOf(tank.id())
            .flatMap(TankAir::in)
            .isPresent();
    if (!breathes) {
      routes.airGivers(tank).stream()
          .findFirst()
          .ifPresent(give ->
              set(plumbing.rig().part(give.getKey()), give.getValue(), EmptyStep.Why.LET_AIR_IN));
    }
  }

  /** Turns the valve that keeps a tank's water from running out through the lines, if one does. */
  private void shutOff(Part tank) {
    if (state.volume(tank.id()) <= WORTHWHILE || !feeds(tank, state.setting())) {
      return;
    }
    for (Part part :
        plumbing.rig().handles().filter(p -> p.kind() instanceof Kind.Valve).toList()) {
      for (Position position : part.kind().positions()) {
        if (!feeds(tank, state.setting().with(part.id(), position.id()))) {
          set(part, position.id(), EmptyStep.Why.KEEP_IN);
          return;
        }
      }
    }
  }

  /** Tells whether an open way leads from a tank to where water is used. */
  private boolean feeds(Part tank, Setting setting) {
    return Connections.of(plumbing, setting)
        .route(tank.id(), p -> false, p -> p.kind() instanceof Kind.Fixture)
        .isPresent();
  }

  private void openLines(List<Part> kept) {
    Levels levels = Levels.of(plumbing, state);
    Flood before = Flood.of(plumbing, state.setting(), levels);
    List<Part> holding = kept.stream().filter(t -> holds(before, levels, t)).toList();
    for (int turn = 0; turn < MOST_TURNS; turn++) {
      double best = inLines(Flood.of(plumbing, state.setting(), levels)) - WORTHWHILE;
      Part handle = null;
      String to = "";
      for (Part part : plumbing.rig().handles().filter(Emptying::drains).toList()) {
        for (Position position : part.kind().positions()) {
          Setting candidate = state.setting().with(part.id(), position.id());
          Flood flood = Flood.of(plumbing, candidate, levels);
          double left = inLines(flood);
          if (left < best && holding.stream().allMatch(t -> holds(flood, levels, t))) {
            best = left;
            handle = part;
            to = position.id();
          }
        }
      }
      if (handle == null) {
        return;
      }
      set(handle, to, EmptyStep.Why.LET_WATER_OUT);
    }
  }

  /** Tells whether a tank keeps all its water. */
  private static boolean holds(Flood flood, Levels levels, Part tank) {
    return flood.tankLevel(tank) > levels.surface(tank.id()) - MILLIMETRE;
  }

  private static boolean drains(Part part) {
    return part.kind() instanceof Kind.Valve
        || part.kind() instanceof Kind.Fixture
        || part.kind() instanceof Kind.Plug
        || part.kind() instanceof Kind.OpenEnd;
  }

  private double inLines(Flood flood) {
    return plumbing.rig().lines().stream().mapToDouble(flood::stays).sum();
  }

  private List<Leftover> leftovers(List<Part> tanks, boolean lines) {
    List<Leftover> left = new ArrayList<>();
    for (Part tank : tanks) {
      add(left, tank.id(), Leftover.Kind.TANK, state.volume(tank.id()));
    }
    if (lines) {
      Flood flood = Flood.of(plumbing, state.setting(), Levels.of(plumbing, state));
      for (Line line : plumbing.rig().lines()) {
        add(left, line.id(), Leftover.Kind.LINE, flood.stays(line));
      }
      for (Part part : plumbing.rig().parts()) {
        add(left, part.id(), Leftover.Kind.BODY, held(flood, part));
      }
    }
    left.sort(Comparator.comparingDouble(Leftover::volume).reversed());
    return left;
  }

  private static void add(List<Leftover> left, String id, Leftover.Kind kind, double volume) {
    if (volume > WORTHWHILE) {
      left.add(new Leftover(id, kind, volume));
    }
  }

  /** What a body keeps by its kind when everything that can run out has run out. */
  private static double held(Flood flood, Part part) {
    return switch (part.kind()) {
      case Kind.DrainTrap k -> part.volume();
      case Kind.Pump k -> part.volume();
      case Kind.Macerator k -> part.volume();
      case Kind.Filter k -> part.volume();
      case Kind.Strainer k -> part.volume();
      case Kind.CheckValve k -> part.volume();
      case Kind.Regulator k -> part.volume();
      case Kind.TwoWayValve k -> part.volume();
      case Kind.ThreeWayValve k -> part.volume();
      case Kind.Heater k ->
          Math.min(flood.level(part, "cold"), flood.level(part, "hot")) <= part.height() + 0.01
              ? 0
              : part.volume();
      case Kind.Accumulator k ->
          flood.level(part, "in") <= part.height() + 0.01 ? 0 : part.volume();
      case Kind.Manifold k -> flood.level(part, "in") <= part.height() + 0.01 ? 0 : part.volume();
      case Kind.Tank k -> 0;
      case Kind.HoseInlet k -> 0;
      case Kind.GravityFiller k -> 0;
      case Kind.OpenEnd k -> 0;
      case Kind.AirAdmittanceValve k -> 0;
      case Kind.Tee k -> 0;
      case Kind.Fixture k -> 0;
      case Kind.PortableContainer k -> 0;
      case Kind.Plug k -> 0;
    };
  }
}
