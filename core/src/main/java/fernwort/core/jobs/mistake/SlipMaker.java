package fernwort.core.jobs.mistake;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.goal.Trial;
import fernwort.core.jobs.goal.Trial.Act;
import fernwort.core.jobs.goal.Trial.Pause;
import fernwort.core.jobs.goal.Trial.Turned;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.line.ThreeWayValve;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The single slips of a job, each as what is done in its place: a step forgotten, turned too far,
 * swapped, done at a neighbour, waited for too long, or met by a failing power.
 */
final class SlipMaker {

  /** How long the rig is left alone at the end (s). */
  private static final double ALONE = 1200;

  private final Rig rig;
  private final boolean lastLook;

  /** What a person does next with the job. */
  private final List<Act> next;

  /** Whether the taps that are looked at are those that the job is for. */
  private final boolean own;

  /**
   * Prepares a rig.
   *
   * @param lastLook whether somebody looks round before leaving: pumps off, taps shut, hoses off
   */
  SlipMaker(Rig rig, boolean lastLook) {
    this(rig, lastLook, List.of(new Trial.Serve()), true);
  }

  private SlipMaker(Rig rig, boolean lastLook, List<Act> next, boolean own) {
    this.rig = rig;
    this.lastLook = lastLook;
    this.next = List.copyOf(next);
    this.own = own;
  }

  /**
   * Returns the same for a job after which somebody does something more before leaving.
   *
   * @param own whether the taps that are looked at are those that the job is for
   */
  SlipMaker followedBy(List<Act> acts, boolean own) {
    return new SlipMaker(rig, lastLook, acts, own);
  }

  /** Returns what is done when nothing goes wrong. */
  List<Act> right(Plan plan) {
    return ended(Trial.acts(plan));
  }

  /** Returns what is done at rest when nothing is bumped. */
  List<Act> alone() {
    return List.of(new Pause(ALONE));
  }

  /** Returns every handle bumped to every other position while the rig is at rest. */
  List<Try> bumps(State rest) {
    List<Try> bumps = new ArrayList<>();
    for (Part part : rig.handles().filter(SlipMaker::canBeBumped).toList()) {
      for (Position position : part.kind().positions()) {
        if (!position.id().equals(rest.setting().of(part.id()))) {
          bumps.add(
              new Try(
                  Slip.Kind.BUMPED,
                  -1,
                  Says.GETS_KNOCKED.with(part.label(), position.words()),
                  List.of(new Turned(part.id(), position.id()), new Pause(ALONE))));
        }
      }
    }
    return bumps;
  }

  private static boolean canBeBumped(Part part) {
    return !part.kind().is(Purpose.INLET) && !part.kind().is(Purpose.CARRIED);
  }

  /** Returns the slips of a plan from how things stand, in the order of its steps. */
  List<Try> of(Plan plan, State from) {
    List<Act> right = Trial.acts(plan);
    List<Try> tries = new ArrayList<>();
    for (int i = 0; i < right.size(); i++) {
      switch (plan.steps().get(i)) {
        case Step.Move move -> atMove(plan, right, i, move, tries);
        case Step.Wait wait -> atWait(from, right, i, wait, tries);
      }
    }
    if (right.stream().noneMatch(Pause.class::isInstance)) {
      powerLost(from, right, right.size(), tries);
    }
    tapsOpen(right, tries);
    return tries;
  }

  private void atMove(Plan plan, List<Act> right, int i, Step.Move move, List<Try> tries) {
    Part part = rig.part(move.part());
    String twice = part.kind().positions().size() == 2 ? Says.OR_UNDONE_AGAIN.text() : ".";
    tries.add(
        new Try(
            Slip.Kind.MISSED,
            i,
            Says.IS_LEFT_OUT.with(part.label(), twice),
            ended(without(right, i))));
    capLeftOff(right, i, move, tries);
    tooFar(right, i, move, tries);
    if (i + 1 < right.size() && plan.steps().get(i + 1) instanceof Step.Move next) {
      List<Act> swapped = new ArrayList<>(right);
      swapped.set(i, right.get(i + 1));
      swapped.set(i + 1, right.get(i));
      tries.add(
          new Try(
              Slip.Kind.SWAPPED,
              i,
              next.part().equals(part.id())
                  ? Says.THE_NEXT_STEP_FIRST.with(part.label())
                  : Says.IS_DONE_BEFORE.with(rig.part(next.part()).label(), part.label()),
              ended(swapped)));
    }
    for (Part other : neighbours(part)) {
      Position next = nextPosition(other, plan, i);
      tries.add(
          new Try(
              Slip.Kind.NEIGHBOUR,
              i,
              Says.IS_TURNED_IN_PLACE_OF.with(other.label(), part.label()),
              ended(with(right, i, new Turned(other.id(), next.id())))));
    }
  }

  /** The hose comes off and the cap is forgotten: the end stays open. */
  private void capLeftOff(List<Act> right, int i, Step.Move move, List<Try> tries) {
    Part part = rig.part(move.part());
    part.kind()
        .bare(move.from(), move.to())
        .filter(bare -> part.kind().rests(move.to()))
        .ifPresent(bare ->
            tries.add(
                new Try(
                    Slip.Kind.MISSED,
                    i,
                    Says.THE_CAP_STAYS_OFF.with(part.label()),
                    ended(with(right, i, new Turned(part.id(), bare))))));
  }

  /** A three-way valve has positions beyond the one that is meant. */
  private void tooFar(List<Act> right, int i, Step.Move move, List<Try> tries) {
    Part part = rig.part(move.part());
    if (part.kind() instanceof ThreeWayValve valve) {
      for (Position position : valve.positions()) {
        if (!position.id().equals(move.to()) && !position.id().equals(move.from())) {
          tries.add(
              new Try(
                  Slip.Kind.TOO_FAR,
                  i,
                  Says.IS_TURNED_TOO_FAR.with(part.label(), position.words()),
                  ended(with(right, i, new Turned(part.id(), position.id())))));
        }
      }
    }
  }

  /** Handles of the same sort within reach. */
  private List<Part> neighbours(Part part) {
    boolean valve = part.kind().is(Purpose.TURNS);
    return rig.handles()
        .filter(p -> p.place().equals(part.place()) && !p.equals(part))
        .filter(
            p -> valve ? p.kind().is(Purpose.TURNS) : p.kind().getClass() == part.kind().getClass())
        .toList();
  }

  private Position nextPosition(Part part, Plan plan, int before) {
    PositionId now = plan.after().setting().of(part.id());
    for (int i = plan.steps().size() - 1; i >= 0; i--) {
      if (plan.steps().get(i) instanceof Step.Move m && m.part().equals(part.id())) {
        now = i >= before ? m.from() : now;
      }
    }
    List<Position> positions = part.kind().positions();
    PositionId at = now;
    int index =
        positions.indexOf(
            positions.stream()
                .filter(p -> p.id().equals(at))
                .findFirst()
                .orElse(positions.getFirst()));
    return positions.get((index + 1) % positions.size());
  }

  private void atWait(State from, List<Act> right, int i, Step.Wait wait, List<Try> tries) {
    if (wait.seconds().isKnown() && !wait.until().what().isByHand()) {
      List<Act> overrun = new ArrayList<>(right.subList(0, i + 1));
      tries.add(
          new Try(Slip.Kind.OVERRUN, i, Says.NOBODY_COMES_BACK.with(wait.words()), left(overrun)));
    }
    powerLost(from, right, i, tries);
  }

  /**
   * The power fails after so many acts: heaters go out, pumps stop, motors fall back. What hands
   * still can do is done to its end, for somebody is there.
   */
  private void powerLost(State from, List<Act> right, int after, List<Try> tries) {
    List<Act> dark = new ArrayList<>(right.subList(0, after));
    rig.parts().stream()
        .sorted(Comparator.comparing(p -> !p.kind().is(Purpose.HEATS)))
        .forEach(p ->
            p.kind()
                .unpowered()
                .filter(rest -> !rest.equals(stands(from, p, right, after)))
                .ifPresent(rest -> dark.add(new Turned(p.id(), rest))));
    if (dark.size() > after) {
      right.subList(after, right.size()).stream().filter(this::goesByHand).forEach(dark::add);
      String when = after == 0 ? Says.BEFORE_IT_BEGINS.text() : Says.AT_THIS_POINT.text();
      tries.add(
          new Try(
              Slip.Kind.POWER_LOST,
              Math.min(after, right.size() - 1),
              Says.THE_POWER_FAILS.with(when),
              left(dark)));
    }
  }

  /** Tells whether an act needs no power: what would only switch something on comes to nothing. */
  private boolean goesByHand(Act act) {
    return !(act instanceof Turned turned)
        || rig.part(turned.part())
            .kind()
            .unpowered()
            .filter(rest -> !rest.equals(turned.position()))
            .isEmpty();
  }

  /** Where a part stands after so many acts. */
  private static PositionId stands(State from, Part part, List<Act> acts, int after) {
    PositionId at = from.setting().of(part.id());
    for (Act act : acts.subList(0, after)) {
      if (act instanceof Turned turned && turned.part().equals(part.id())) {
        at = turned.position();
      }
    }
    return at;
  }

  /** A tap left open that drains into a tank, and one that drains onto the ground. */
  private void tapsOpen(List<Act> right, List<Try> tries) {
    for (boolean drained : new boolean[] {true, false}) {
      rig.parts().stream()
          .filter(p -> p.kind().is(Purpose.USE))
          .filter(p -> p.kind().ports().contains(PortId.WASTE) == drained)
          .findFirst()
          .ifPresent(tap -> {
            List<Act> open = new ArrayList<>();
            open.add(new Turned(tap.id(), ((Tap) tap.kind()).cold().id()));
            open.addAll(right);
            tries.add(
                new Try(
                    Slip.Kind.TAP_OPEN,
                    -1,
                    Says.WAS_LEFT_OPEN_ALL_THE_WHILE.with(tap.label()),
                    ended(open)));
          });
    }
  }

  private static List<Act> without(List<Act> acts, int i) {
    List<Act> fewer = new ArrayList<>(acts);
    fewer.remove(i);
    return fewer;
  }

  private static List<Act> with(List<Act> acts, int i, Act other) {
    List<Act> changed = new ArrayList<>(acts);
    changed.set(i, other);
    return changed;
  }

  /** Done, looked over if that is the habit, and left alone. */
  List<Act> ended(List<Act> acts) {
    List<Act> ended = new ArrayList<>(acts);
    ended.addAll(next);
    if (lastLook) {
      rig.shutDown().forEach((part, position) -> ended.add(new Turned(part, position)));
    }
    ended.add(new Pause(ALONE));
    return ended;
  }

  /** Left alone as it is, with nobody there to look. */
  private List<Act> left(List<Act> acts) {
    List<Act> left = new ArrayList<>(acts);
    if (own) {
      left.add(new Trial.Serve());
    }
    left.add(new Pause(ALONE));
    return left;
  }
}
