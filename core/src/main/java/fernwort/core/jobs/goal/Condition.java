package fernwort.core.jobs.goal;

import fernwort.core.drain.DrainRoutes;
import fernwort.core.drain.EverythingOpen;
import fernwort.core.drain.Wintering;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Connections;
import fernwort.core.network.End;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.network.Relief;
import fernwort.core.network.Turn;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.PumpWork;
import fernwort.core.ways.Source;
import fernwort.core.ways.TankAir;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Something that has to be so for a stage of a job. Each tells whether it is, on the levels it is
 * asked about, and names its own objection when it is not. Those that are said to last are asked
 * about the levels at the end of the stage too.
 */
public sealed interface Condition {

  /**
   * Returns what is wrong.
   *
   * @param scout what looks at settings
   * @param setting the setting
   * @param levels the levels
   */
  Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels);

  /**
   * Tells whether it has to hold from the moment on that water begins to move, so that what it asks
   * for is done before; otherwise it may come true with the last turn.
   */
  default boolean isGuard() {
    return true;
  }

  /** A part is in a position. */
  record Placed(PartId part, PositionId position) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return setting.of(part).equals(position)
          ? Optional.empty()
          : Optional.of(new Objection.Misplaced(part, position));
    }

    @Override
    public boolean isGuard() {
      return false;
    }
  }

  /** A way is open. */
  record Runs(Need need) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return scout.ways(scout.probed(setting), levels).ways().stream().anyMatch(need::isMetBy)
          ? Optional.empty()
          : Optional.of(new Objection.Missing(need));
    }

    @Override
    public boolean isGuard() {
      return false;
    }
  }

  /** Water passes between two tanks long before they are full; their air may besides. */
  record Linked(PartId from, PartId to) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return scout.turnsBetween(from, to, setting, Set.of()) == 0
          ? Optional.empty()
          : Optional.of(new Objection.Unlinked(from, to));
    }

    @Override
    public boolean isGuard() {
      return false;
    }
  }

  /** Open passages join two parts. */
  record Joined(PartId from, PartId to) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return scout.route(setting, from, to).isPresent()
          ? Optional.empty()
          : Optional.of(new Objection.Apart(from, to));
    }

    @Override
    public boolean isGuard() {
      return false;
    }
  }

  /** Nothing would run out at an end with neither cap nor hose. */
  record Dry(PartId end) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return scout.runsOut(setting, scout.network().rig().part(end));
    }

    @Override
    public boolean isGuard() {
      return false;
    }
  }

  /** No open passage joins two parts; a macerator that stands still does not close one. */
  record Parted(PartId from, PartId to) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return scout
          .route(Uncovered.turning(scout.network().rig(), setting), from, to)
          .map(route -> new Objection.Joined(from, to, route));
    }
  }

  /**
   * No water but the job's is drawn from where the job draws or comes to where it goes, and no tank
   * begins to fill that the job has nothing to do with.
   *
   * @param needs the job's ways
   */
  record Alone(List<Need> needs) implements Condition {
    public Alone {
      needs = List.copyOf(needs);
    }

    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return stray(
          scout.ways(scout.probed(setting), levels),
          w -> isStray(w) || scout.isNew(w) && begins(w));
    }

    private boolean isStray(FlowPath way) {
      return way.source().kind() != Source.Kind.WASTE
          && needs.stream()
              .anyMatch(n -> n.source().equals(way.source()) || n.end().equals(way.end()))
          && needs.stream().noneMatch(n -> n.isMetBy(way));
    }

    private boolean begins(FlowPath way) {
      return way.end().kind() == End.Kind.TANK
          && way.source().kind() != Source.Kind.WASTE
          && needs.stream().noneMatch(n -> n.isMetBy(way));
    }
  }

  /** A source or tank gives nothing. */
  record Quiet(PartId source) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return stray(
          scout.ways(scout.probed(setting), levels),
          w -> w.source().kind() != Source.Kind.WASTE && w.source().part().equals(source));
    }
  }

  /** What is moved into a tank does not run back to where it came from. */
  record NoReturn(PartId from, PartId to) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return stray(
          scout.ways(scout.probed(setting), levels),
          w -> w.source().part().equals(to) && w.end().part().equals(from));
    }
  }

  /** Nothing runs out of a tank onto the ground or by its dump. */
  record Kept(PartId tank) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return stray(
          scout.ways(scout.probed(setting), levels),
          w ->
              w.source().kind() == Source.Kind.TANK
                  && w.source().part().equals(tank)
                  && Tight.loses(scout, w));
    }
  }

  /** No water moves at all. */
  record Still() implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return stray(
          scout.ways(scout.probed(setting), levels), w -> w.source().kind() != Source.Kind.WASTE);
    }
  }

  /** The air of a tank can come and go. */
  record Breathes(PartId tank) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      Optional<TankAir> air = scout.ways(scout.probed(setting), levels).airOf(tank);
      boolean free = air.filter(a -> a.in().isPresent() && a.out().isPresent()).isPresent();
      return free ? Optional.empty() : Optional.of(new Objection.Airless(tank));
    }
  }

  /** Air can come into a tank, so that its water can leave. */
  record BreathesIn(PartId tank) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      boolean free =
          scout.ways(setting, levels).airOf(tank).filter(a -> a.in().isPresent()).isPresent();
      return free ? Optional.empty() : Optional.of(new Objection.Airless(tank));
    }
  }

  /** Once a tank is full, what still comes in finds a way out, or a float has shut it off. */
  record Relieved(PartId tank, PartId source) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return Relief.of(scout.network(), setting).has(tank, Optional.of(source))
          ? Optional.empty()
          : Optional.of(new Objection.ShutIn(tank));
    }
  }

  /** Nothing lets a tank out that is being filled, but its own overflow; lasts until it is full. */
  record Tight(PartId tank) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      FlowPaths full = scout.ways(setting, scout.full(levels, tank));
      return full.ways().stream()
          .filter(w ->
              w.source().part().equals(tank)
                  || full.to(tank).anyMatch(in -> in.source().equals(w.source())))
          .filter(w -> loses(scout, w))
          .findFirst()
          .map(w -> new Objection.Leaking(tank, w));
    }

    static boolean loses(ConditionEvaluator scout, FlowPath way) {
      return switch (way.end().kind()) {
        case GROUND -> !scout.network().rig().part(way.end().part()).kind().letsAir();
        case DUMP -> true;
        case TANK, FIXTURE -> false;
      };
    }
  }

  /** Water still comes into a tank when it stands just below one of its floats. */
  record GoesOn(Need need, PortId floatPort) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      double volume = scout.near(need.end().part(), floatPort, -Floats.CLEAR);
      Levels then = scout.holding(need.end().part(), volume);
      return scout.ways(setting, then).ways().stream().anyMatch(need::isMetBy)
          ? Optional.empty()
          : Optional.of(new Objection.StopsShort(need.end().part(), volume));
    }
  }

  /** Nothing comes into a tank any more when it stands just above one of its floats. */
  record Stops(PartId tank, PortId floatPort) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      Levels then = scout.holding(tank, scout.near(tank, floatPort, Floats.CLEAR));
      return stray(scout.ways(setting, then), w -> w.end().part().equals(tank));
    }
  }

  /** No pump is on in the water that a hose presses. */
  record PumpsOff(PartId inlet) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      Connections open = Connections.of(scout.network(), setting);
      for (Part pump : scout.network().rig().parts()) {
        boolean on =
            pump.kind().is(Purpose.PUMPS)
                && !pump.kind().is(Purpose.CIRCULATES)
                && setting.of(pump.id()).equals(Kind.ON);
        if (on
            && (open.route(inlet, x -> false, pump::equals).isPresent()
                || open.route(pump.id(), x -> false, p -> p.id().equals(inlet)).isPresent())) {
          return Optional.of(new Objection.PumpOn(pump.id()));
        }
      }
      return Optional.empty();
    }
  }

  /** A pump has water to draw, and no air, whenever it is on. */
  record Fed(PartId pump) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return scout.ways(scout.probed(setting), levels).pumps().stream()
          .filter(w -> w.pump().equals(pump) && !w.heldOff())
          .filter(w -> w.sources().isEmpty() || w.airThrough().isPresent())
          .findFirst()
          .map(w -> new Objection.Unfed(pump));
    }
  }

  /**
   * A pump turns its water round.
   *
   * @param heater what it has to pass, if anything
   * @param tap a tap to which all water comes through the heater, none of it past it, if any
   */
  record GoesRound(PartId pump, Optional<PartId> heater, Optional<PartId> tap)
      implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      FlowPaths open = scout.ways(scout.probed(setting), levels);
      boolean round =
          open.pumps().stream().anyMatch(w -> w.pump().equals(pump) && passes(w.loop()));
      return round && tap.map(t -> isHot(t, open)).orElse(true)
          ? Optional.empty()
          : Optional.of(new Objection.NotRound(pump, heater));
    }

    private boolean passes(List<PartId> parts) {
      return !parts.isEmpty() && heater.map(parts::contains).orElse(true);
    }

    private boolean isHot(PartId tap, FlowPaths open) {
      List<FlowPath> to = open.ways().stream().filter(w -> w.end().part().equals(tap)).toList();
      return !to.isEmpty() && to.stream().allMatch(w -> passes(w.parts()));
    }

    @Override
    public boolean isGuard() {
      return false;
    }
  }

  /** Nothing that a pump of a tank presses comes back to it but through some filters. */
  record Filtered(PartId tank, List<PartId> filters) implements Condition {
    public Filtered {
      filters = List.copyOf(filters);
    }

    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      Connections open = Connections.of(scout.network(), setting);
      for (PumpWork work : scout.ways(setting, levels).pumps()) {
        boolean draws = work.sources().stream().anyMatch(s -> s.part().equals(tank));
        Optional<List<PartId>> past =
            draws
                ? open.behind(
                    work.pump(),
                    PortId.OUT,
                    p -> filters.contains(p.id()),
                    p -> p.id().equals(tank))
                : Optional.empty();
        if (past.isPresent()) {
          return Optional.of(new Objection.Bypassed(filters.getFirst(), past.get()));
        }
      }
      return Optional.empty();
    }
  }

  /** A tank runs out as far as any way lets it. */
  record RunsOut(PartId tank) implements Condition {
    private static final double MILLIMETRE = 1e-3;

    /** With less than this share in it, what lies under its outlet may be all; own choice. */
    private static final double NEARLY_EMPTY = 0.05;

    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      Part part = scout.network().rig().part(tank);
      Optional<DrainRoutes.Route> best =
          DrainRoutes.of(scout.network(), setting, levels)
              .best(part)
              .filter(r -> leadsOut(scout, levels, r));
      boolean lowest =
          best.isPresent()
              && scout.drained(setting, levels).state().volume(tank)
                  <= scout.below(tank, best.get().crest() + MILLIMETRE);
      if (lowest) {
        return Optional.empty();
      }
      // Where the way stands open and the water stays, it is air that it lacks.
      Map<PartId, PositionId> needs = best.map(DrainRoutes.Route::needs).orElse(Map.of());
      return Optional.of(
          best.isPresent() && needs.isEmpty()
              ? new Objection.Airless(tank)
              : new Objection.Keeping(tank, needs));
    }

    /** A way that climbs over the water of a tank that holds some, by its vent, is none. */
    private boolean leadsOut(ConditionEvaluator scout, Levels levels, DrainRoutes.Route route) {
      return route.crest() < levels.surface(tank)
          || levels.volume(tank) < NEARLY_EMPTY * scout.network().room(tank).capacity();
    }

    @Override
    public boolean isGuard() {
      return false;
    }
  }

  /** No single handle lets more out of the lines, unless it drains a tank that is to be kept. */
  record LinesRunOut(List<PartId> kept) implements Condition {

    /** What a single handle must let out to be worth turning (m³). */
    private static final double WORTHWHILE = 5e-6;

    public LinesRunOut {
      kept = List.copyOf(kept);
    }

    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      Network network = scout.network();
      Wintering now = scout.drained(setting, levels);
      Optional<Turn> turn =
          EverythingOpen.best(
              network,
              now,
              t -> drains(network.rig().part(t.part()), t.position()),
              after ->
                  kept.stream().allMatch(t -> keeps(now, after, t))
                      ? EverythingOpen.weight(network, after)
                      : Double.POSITIVE_INFINITY,
              WORTHWHILE);
      return turn.map(t -> new Objection.Keeping(PartId.NONE, Map.of(t.part(), t.position())));
    }

    /** Tells whether a tank keeps what it holds while more is opened. */
    private static boolean keeps(Wintering now, Wintering after, PartId tank) {
      return after.state().volume(tank) > now.state().volume(tank) - WORTHWHILE;
    }

    private static boolean drains(Part part, PositionId position) {
      Kind kind = part.kind();
      boolean handle = kind.is(Purpose.TURNS) || kind.is(Purpose.CLOSES) || kind.is(Purpose.INLET);
      return handle && kind.positions().stream().anyMatch(p -> p.id().equals(position));
    }

    @Override
    public boolean isGuard() {
      return false;
    }
  }

  /** Water of some sort goes nowhere near an end that it ran out of when this was tried. */
  record NothingTo(PartId end) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return stray(scout.ways(setting, levels), w -> w.end().part().equals(end));
    }
  }

  /** No mains and no pump fills a tank. */
  record NothingFills() implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return stray(
          scout.ways(setting, levels),
          w -> w.end().kind() == End.Kind.TANK && w.drive().kind() != DrivenBy.Kind.FALL);
    }
  }

  /** A way is not open that did harm when it was. */
  record Without(FlowPath.Key way) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return stray(scout.ways(setting, levels), w -> w.key().equals(way));
    }
  }

  /** A condition on the levels that were met when the plan was run. */
  record Then(Levels met, Condition condition) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return condition.objection(scout, setting, met);
    }
  }

  /** A setting that was run to its end, and did not do. */
  record Other(Setting than, Harm harm) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return setting.equals(than) ? Optional.of(new Objection.Disproved(harm)) : Optional.empty();
    }
  }

  /**
   * A condition that no setting on the way may break; what stands at the end is not its matter.
   *
   * @param atLeast what has to hold where no way can keep the condition
   */
  record Passing(Condition condition, Condition atLeast) implements Condition {
    @Override
    public Optional<Objection> objection(ConditionEvaluator scout, Setting setting, Levels levels) {
      return Optional.empty();
    }

    /** Returns what is wrong with a setting on the way. */
    Optional<Objection> onTheWay(ConditionEvaluator scout, Setting setting, Levels levels) {
      return condition.objection(scout, setting, levels);
    }

    /** Returns the least of it. */
    public Passing eased() {
      return new Passing(atLeast, atLeast);
    }
  }

  /** Returns, for some tanks, that each of them breathes. */
  static List<Condition> breathing(List<Part> tanks) {
    List<Condition> all = new ArrayList<>();
    tanks.forEach(t -> all.add(new Breathes(t.id())));
    return all;
  }

  /** Returns the first open way that must not be. */
  private static Optional<Objection> stray(FlowPaths ways, Predicate<FlowPath> unwanted) {
    return ways.ways().stream().filter(unwanted).findFirst().map(Objection.Stray::new);
  }
}
