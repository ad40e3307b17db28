package fernwort.core.jobs.wait;

import fernwort.core.hazard.Severity;
import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Flows;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.ConditionEvaluator;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Harm;
import fernwort.core.jobs.goal.Need;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.run.Event;
import fernwort.core.run.HappeningWords;
import fernwort.core.run.Landmarks;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import fernwort.core.run.water.Dry;
import fernwort.core.say.Message;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;

/**
 * A stage of a plan, done in the simulation as it is written: its turns one after another, then
 * what is waited for. Whatever goes wrong ends it.
 */
public final class StageRun {

  static final String LEAVE_THE_REST = Says.LEAVE_THE_REST_IN_ITS_TANK.text();

  /** Water that does not come within this does not come (s). */
  private static final double LONGEST_ON_ITS_WAY = 3600;

  /** Water that nobody would miss, lost at one end in a whole plan (m³). */
  public static final double SPLASH = 3e-4;

  /** What a tank may gain or lose that has nothing to do with a job (m³). */
  private static final double HARDLY = 5e-4;

  /** Flows that were there before are not a plan's doing (m³/s). */
  private static final double MOVES = 1e-7;

  private final Network network;
  private Simulation run;
  private final Set<PartId> losing;
  private final Set<PartId> concerned;
  private final Moment before;
  private final Losses losses;
  private final Set<PartId> moving = new HashSet<>();
  private final Map<ElementId, Double> arrivals = new TreeMap<>();
  private Optional<Harm> harm = Optional.empty();
  private Optional<TimedWait> timed = Optional.empty();

  /**
   * Begins a stage.
   *
   * @param run how things stand; runs on with the stage
   * @param losing ends at which the job means to lose water
   * @param losses what ran out before
   * @param concerned tanks that the job has to do with
   */
  public StageRun(
      Network network, Simulation run, Set<PartId> losing, Losses losses, Set<PartId> concerned) {
    this.network = network;
    this.run = run;
    this.losing = losing;
    this.losses = losses;
    this.concerned = concerned;
    before = run.moment();
    before
        .gains()
        .forEach((tank, q) -> {
          if (Math.abs(q) > MOVES) {
            moving.add(tank);
          }
        });
  }

  /** Prepares the run of a whole plan. */
  public static Simulation start(Landmarks landmarks, Hydraulics hydraulics, State from, Dry dry) {
    return Simulation.start(landmarks, hydraulics, from, Conditions.ORDINARY, dry);
  }

  /** Returns the run so far. */
  public Simulation run() {
    return run;
  }

  /** Goes back to how things stood, to do otherwise what came of it. */
  void goBackTo(Simulation earlier) {
    run = earlier;
    harm = Optional.empty();
  }

  /** Returns the ends at which water runs out now that did not before and that the job spares. */
  List<PartId> runningOut() {
    return Losses.running(run.moment()).stream()
        .filter(end -> !losses.running().contains(end) && !losing.contains(end))
        .sorted()
        .toList();
  }

  /** Returns what ran out up to now, this stage and those before it. */
  public Losses losses() {
    return losses.after(before, run.moment(), losing);
  }

  /** Returns how things stood when the stage began. */
  Moment before() {
    return before;
  }

  /** Returns when the first water came through dry lines, by part, since the stage began (s). */
  public Map<ElementId, Double> arrivals() {
    return arrivals;
  }

  /** Returns what went into dry lines in this stage (m³). */
  public double wetted() {
    return before.lacking() - run.moment().lacking();
  }

  /** Returns what went wrong, if anything did. */
  public Optional<Harm> harm() {
    return harm;
  }

  void timed(Optional<TimedWait> wait) {
    timed = wait;
  }

  /** Returns the wait of the stage, where it is known how long it takes. */
  public Optional<TimedWait> timed() {
    return timed;
  }

  /** Returns the levels as they are. */
  public Levels levels() {
    return Levels.of(network, run.moment().state());
  }

  /** Makes one turn; an end whose cap or hose is changed stands bare for a part of it. */
  public void turn(PartId part, PositionId position) {
    Optional<PositionId> bare =
        network.rig().part(part).kind().bare(run.moment().state().setting().of(part), position);
    bare.ifPresent(open -> put(part, open, Trial.BARE));
    put(part, position, bare.isPresent() ? Trial.TURN - Trial.BARE : Trial.TURN);
  }

  /** Puts a part somewhere and looks on for so long (s). */
  private void put(PartId part, PositionId position, double seconds) {
    if (harm.isEmpty()) {
      note(run.set(part, position), h -> false);
      pass(seconds);
    }
  }

  private void pass(double seconds) {
    double until = run.time() + seconds;
    while (run.isBefore(until) && harm.isEmpty()) {
      note(run.runToNext(until), h -> false);
    }
  }

  /**
   * Takes note of what began.
   *
   * @param meant whether something that begins is what the stage waits for
   */
  void note(List<Event> happenings, Predicate<Event> meant) {
    for (Event h : happenings) {
      if (h.kind() == Event.Kind.AWAITED && !h.begins()) {
        arrivals.putIfAbsent(h.subject(), h.at() - before.time());
      }
      if (h.begins() && !meant.test(h) && harm.isEmpty()) {
        harm = harmOf(h);
      }
    }
    if (harm.isEmpty()) {
      harm = lost().or(this::moved);
    }
  }

  private Optional<Harm> harmOf(Event h) {
    return switch (h.kind()) {
      case BULGES, BURSTS ->
          harm(Harm.Kind.STRAINED, h, Says.OPEN_ITS_VENT_OR_OVERFLOW_OR_FIT.with());
      case SUCKED_IN -> harm(Harm.Kind.STRAINED, h, Says.OPEN_ITS_VENT_OR_FIT.with());
      case DRAWS_AIR ->
          harm(
              Harm.Kind.DREW_AIR,
              h,
              network.rig().part(h.subject().part()).kind().is(Purpose.CUTS)
                  ? Message.of(LEAVE_THE_REST)
                  : Says.FILL_THE_TANK_THAT_IT_DRAWS.with());
      case BACKS_UP -> harm(Harm.Kind.BACKED_UP, h, Says.EMPTY_GRAY_FIRST.with());
      case FULL,
          DRY,
          RUNS_OUT,
          SIPHONS,
          CYCLES,
          RESTS,
          POURED_OUT,
          FLOAT_SHUTS,
          HOT,
          AWAITED,
          HAND ->
          Optional.empty();
    };
  }

  private Optional<Harm> harm(Harm.Kind kind, Event h, Message fix) {
    return HappeningWords.harm(network.rig(), h)
        .map(words -> new Harm(kind, h.subject().part(), h.at(), Message.words(words), fix));
  }

  private Optional<Harm> lost() {
    Moment now = run.moment();
    for (PartId end : now.totals().out().keySet()) {
      Part part = network.rig().part(end);
      boolean meant =
          losing.contains(end) || losses.running().contains(end) || part.kind().is(Purpose.USE);
      if (!meant && losses.lost(end, before, now) > SPLASH) {
        return Optional.of(
            new Harm(
                Harm.Kind.LOST,
                part.id(),
                now.time(),
                Says.WATER_RUNS_OUT_AT.with(part.label()),
                Message.of(
                    letsAir(part)
                        ? Says.A_TANK_IS_TOO_FULL.text()
                        : Says.CLOSE_A_VALVE_THERE_OR_CATCH_IT.text())));
      }
    }
    return Optional.empty();
  }

  private static boolean letsAir(Part part) {
    return part.kind().is(Purpose.OUTLET) && part.kind().letsAir();
  }

  private Optional<Harm> moved() {
    Moment now = run.moment();
    for (Part tank : network.tanks()) {
      double change = now.state().volume(tank.id()) - before.state().volume(tank.id());
      boolean waste = ((Tank) tank.kind()).contents() == Contents.GRAY && change > 0;
      boolean meant = concerned.contains(tank.id()) || moving.contains(tank.id()) || waste;
      if (Math.abs(change) > HARDLY && !meant) {
        return Optional.of(
            new Harm(
                change > 0 ? Harm.Kind.GAINED : Harm.Kind.DRAINED,
                tank.id(),
                now.time(),
                Message.words(
                    tank.label()
                        + (change > 0 ? Says.FILLS_AS_WELL.text() : Says.RUNS_OUT_AS_WELL.text())),
                Says.FIT_A_VALVE_THAT_CLOSES_IT_OFF.with()));
      }
    }
    return Optional.empty();
  }

  /** Says that something else went wrong. */
  void fail(Harm.Kind kind, PartId part, String words, String fix) {
    fail(kind, part, Message.words(words), Message.words(fix));
  }

  void fail(Harm.Kind kind, PartId part, Message words, Message fix) {
    if (harm.isEmpty()) {
      harm = Optional.of(new Harm(kind, part, run.time(), words, fix));
    }
  }

  /** Opens each tap of a goal for a moment, by itself, to see whether water comes. */
  public void tryTaps(Goal goal) {
    for (Need need : goal.needs()) {
      PartId tap = need.end().part();
      if (goal.probe().containsKey(tap) && harm.isEmpty()) {
        Simulation tried = run.copy();
        tried.set(tap, goal.probe().getOrDefault(tap, PositionId.NONE));
        awaitWater(tried, tap);
        Flows flows = tried.moment().flows();
        if (flows.fixture(tap) < Flows.TRICKLE) {
          fail(
              Harm.Kind.NO_WATER, tap, Says.NO_WATER_COMES_AT.filled(label(tap)), why(need, flows));
        }
      }
    }
  }

  /** Lets a tap run until water has come through lines that were dry. */
  private void awaitWater(Simulation tried, PartId tap) {
    double opened = tried.time();
    if (tried.moment().lacking() > 0) {
      tried
          .copy()
          .runUntil(Event.Kind.AWAITED, tap, false, opened + LONGEST_ON_ITS_WAY)
          .ifPresent(at -> arrivals.putIfAbsent(tap, at - opened));
      tried.fillLines();
    }
  }

  private String why(Need need, Flows flows) {
    PartId source = need.source().part();
    boolean air = flows.pumps().values().stream().anyMatch(p -> p.does() == Flows.Does.DRAWS_AIR);
    boolean tank = network.rig().part(source).kind().is(Purpose.HOLDS);
    return tank && (air || Marks.isDry(network, run.moment().state(), source))
        ? Says.FILL_FIRST_AS_IT_IS_PARKED.filled(label(source))
        : Says.SEE_WHAT_HOLDS_IT_BACK_HEIGHT.text();
  }

  /** Says so when something would go on that no run shows, since it is of what water it is. */
  public void look(ConditionEvaluator scout) {
    if (harm.isPresent()) {
      return;
    }
    State now = run.moment().state();
    scout
        .unseen(now.setting(), Levels.of(network, now))
        .filter(w -> w.severity() == Severity.DANGER)
        .ifPresent(w ->
            harm =
                Optional.of(
                    new Harm(
                        Harm.Kind.SPOILT,
                        w.parts().getFirst().part(),
                        run.time(),
                        w.title(),
                        w.fix(),
                        Optional.of(w))));
  }

  private String label(PartId part) {
    return network.rig().part(part).label();
  }
}
