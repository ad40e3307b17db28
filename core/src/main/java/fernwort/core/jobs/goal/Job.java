package fernwort.core.jobs.goal;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.ways.Source;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Something people do with a rig.
 *
 * @param id short name for addresses, the same as long as the rig's ids are
 * @param kind what sort of job
 * @param title what it is, in a few words
 * @param by by which means, where there may be others; empty for the only one
 * @param stages its stages in order
 * @param cautions what to mind
 */
public record Job(
    String id, Kind kind, Message title, String by, List<Stage> stages, List<Caution> cautions) {

  private static final double LITTLE = 0.1;
  private static final double MUCH = 0.9;

  /** The sorts of job, in the order people meet them. */
  public enum Kind {
    RUN_FROM_TANK("Use", Is.RUNS_TAPS, Is.FROM_TANK, Is.PRESSES),
    RUN_FROM_MAINS("Use", Is.RUNS_TAPS, Is.PRESSES),
    DRAW_OUTSIDE("Use", Is.RUNS_TAPS, Is.OUTSIDE_WATER, Is.PRESSES),
    FILL_FROM_MAINS("Fill", Is.FROM_MAINS, Is.STOPS_AT_A_MARK, Is.PRESSES, Is.PUTS_BACK),
    FILL_ALL("Fill", Is.FROM_MAINS, Is.PUTS_BACK),
    FILL_BY_HAND("Fill", Is.BY_HAND, Is.PUTS_BACK),
    FILL_FROM_JUG("Fill", Is.BY_HAND, Is.PUTS_BACK),
    FILL_FROM_OUTSIDE("Fill", Is.OUTSIDE_WATER, Is.STOPS_AT_A_MARK, Is.PRESSES, Is.PUTS_BACK),
    MOVE("Move", Is.MOVES, Is.PRESSES, Is.PUTS_BACK),
    DELIVER("Move", Is.LETS_A_TANK_OUT, Is.PUTS_BACK),
    FILTER_AGAIN("Move", Is.PUTS_BACK),
    RINSE("Outside", Is.PRESSES),
    HEAT(Says.HOT_WATER.text(), Is.PRESSES),
    RECIRCULATE(Says.HOT_WATER.text(), Is.PRESSES),
    EMPTY_GRAY(Says.DUMP_AND_DRAIN.text(), Is.LETS_A_TANK_OUT, Is.PUTS_BACK),
    EMPTY_OUT(Says.DUMP_AND_DRAIN.text()),
    SHED(Says.DUMP_AND_DRAIN.text(), Is.LETS_A_TANK_OUT, Is.PUTS_BACK),
    DRIVE(Says.DRIVE_AND_PARK.text(), Is.DRIVES_OFF),
    ARRIVE(Says.DRIVE_AND_PARK.text(), Is.ARRIVES),
    REST(Says.DRIVE_AND_PARK.text());

    private final String group;
    private final Set<Is> is;

    Kind(String group, Is... is) {
      this.group = group;
      this.is = Set.of(is);
    }

    /** Tells whether it is one of these. */
    public boolean is(Is what) {
      return is.contains(what);
    }

    /** Returns the heading that jobs of this sort stand under. */
    public String group() {
      return group;
    }
  }

  /** What a sort of job is for those who work with jobs. */
  public enum Is {
    /** Taps on board are run in it; what follows is that somebody opens one. */
    RUNS_TAPS,
    /** The water comes from a tank on board. */
    FROM_TANK,
    /** A tank is filled from the mains. */
    FROM_MAINS,
    /** Water comes from outside by a pump. */
    OUTSIDE_WATER,
    /** Somebody pours, from a jug or into a neck. */
    BY_HAND,
    /** A filling that can be stopped at a mark. */
    STOPS_AT_A_MARK,
    /** Water goes from one tank to another. */
    MOVES,
    /** A tank is let out, so that an empty one leaves nothing to do. */
    LETS_A_TANK_OUT,
    /** What follows is a drive. */
    DRIVES_OFF,
    /** What follows is that water is drawn and filled in. */
    ARRIVES,
    /** A pump or the mains press in its settings. */
    PRESSES,
    /** At its end handles go back to where they stood. */
    PUTS_BACK
  }

  /**
   * One stage.
   *
   * @param goal when it is reached
   * @param until what to wait for then, if for anything
   * @param optional whether it is left out on a rig that cannot do it
   */
  public record Stage(Goal goal, Optional<Until> until, boolean optional) {

    public static Stage of(Goal goal) {
      return new Stage(goal, Optional.empty(), false);
    }

    public static Stage of(Goal goal, Until until) {
      return new Stage(goal, Optional.of(until), false);
    }

    public static Stage ifPossible(Goal goal) {
      return new Stage(goal, Optional.empty(), true);
    }
  }

  /**
   * What is waited for.
   *
   * @param what what sort of thing
   * @param part id of the part it happens to
   * @param mark the volume that is filled to (m³); with {@link What#MARK} and {@link
   *     What#RUNS_OVER} only, else 0
   */
  public record Until(What what, PartId part, double mark) {

    public Until(What what, PartId part) {
      this(what, part, 0);
    }

    /** Tells whether a tank is being filled. */
    public boolean fills() {
      return what == What.FULL || what == What.FIRST_FULL || hasMark() || what == What.POURED_FULL;
    }

    /** Tells whether it is a volume that a tank comes to. */
    public boolean hasMark() {
      return what == What.MARK || what == What.RUNS_OVER;
    }

    /** The sorts of thing. */
    public enum What {
      FULL,
      /** Any tank of the job is full. */
      FIRST_FULL,
      /** A tank holds what was asked for. */
      MARK,
      /** A tank stands at the opening by which it runs over into the next. */
      RUNS_OVER,
      /** Tanks that are joined have come to one level. */
      LEVEL,
      DRY,
      HOT,
      POURED_OUT,
      PRESSURE,
      SLACK,
      RUNS,
      /** A tap's hot side runs without spitting. */
      RUNS_HOT,
      /** A hand has put the hose into an open filler. */
      HOSE_IN(true),
      /** What a hose or jug at a filler fills is full, by the gauge or by the first water. */
      POURED_FULL(true),
      /** A hand has taken the hose out of an open filler. */
      HOSE_OUT(true),
      /** Hands have carried a can out, emptied it and put it back. */
      CARRIED_OUT(true),
      /** A hand has let a little out of a full tank. */
      LET_OUT(true),
      /** A hand has filled a pump and its suction hose with water. */
      PRIMED(true);

      private final boolean byHand;

      What() {
        this(false);
      }

      What(boolean byHand) {
        this.byHand = byHand;
      }

      /** Tells whether hands do it beside the rig, so that no run shows it. */
      public boolean isByHand() {
        return byHand;
      }
    }
  }

  public Job {
    stages = List.copyOf(stages);
    cautions = List.copyOf(cautions);
  }

  /** Returns title and means. */
  public Message name() {
    return by.isEmpty() ? title : Message.of("{}, {}", title, by);
  }

  /** Tells whether the job draws water from a tank. */
  public boolean drawsFrom(PartId tank) {
    return stages.stream()
        .flatMap(s -> s.goal().needs().stream())
        .map(Need::source)
        .anyMatch(s -> s.kind() == Source.Kind.TANK && s.part().equals(tank));
  }

  /** Returns the tanks that the job has to do with. */
  public Set<PartId> tanks(Rig rig) {
    Set<PartId> tanks = new HashSet<>();
    for (Stage stage : stages) {
      for (Need need : stage.goal().needs()) {
        tanks.add(need.source().part());
        tanks.add(need.end().part());
      }
      stage.until().ifPresent(u -> tanks.add(u.part()));
      stage.goal().of(Condition.Joined.class).forEach(j -> tanks.add(j.to()));
      stage.goal().of(Condition.Linked.class).forEach(j -> tanks.add(j.to()));
    }
    if (kind == Kind.FILL_ALL) {
      rig.tanks().forEach(t -> tanks.add(t.id()));
    }
    tanks.retainAll(rig.tanks().map(Part::id).toList());
    return tanks;
  }

  /** Returns the taps that the job is for, each with the position to try it in. */
  public Map<PartId, PositionId> taps() {
    Map<PartId, PositionId> taps = new TreeMap<>();
    for (Stage stage : stages) {
      for (Need need : stage.goal().needs()) {
        PositionId position = stage.goal().probe().get(need.end().part());
        if (position != null) {
          taps.put(need.end().part(), position);
        }
      }
    }
    return taps;
  }

  /** Returns the ends at which a stage means to lose water. */
  public Set<PartId> losing(Rig rig, Stage stage) {
    Set<PartId> ends = new HashSet<>();
    if (kind == Kind.EMPTY_OUT) {
      rig.parts().forEach(p -> ends.add(p.id()));
    }
    for (Need need : stage.goal().needs()) {
      if (need.end().kind() == End.Kind.GROUND || need.end().kind() == End.Kind.DUMP) {
        ends.add(need.end().part());
      }
    }
    return ends;
  }

  /**
   * Returns a state with enough in the tanks that a stage draws from and room in all, to plan the
   * handles with whatever the levels.
   */
  public static State assumed(Network network, State state, Goal goal) {
    Set<PartId> drawn = new HashSet<>();
    goal.of(Condition.Quiet.class).forEach(q -> drawn.add(q.source()));
    for (Need need : goal.needs()) {
      if (need.source().kind() == Source.Kind.TANK) {
        drawn.add(need.source().part());
      }
    }
    State assumed = state;
    for (Part tank : network.tanks()) {
      double capacity = network.room(tank.id()).capacity();
      double volume = state.volume(tank.id());
      if (drawn.contains(tank.id()) && volume < LITTLE * capacity) {
        assumed = assumed.withVolume(tank.id(), capacity / 2);
      } else if (volume > MUCH * capacity) {
        assumed = assumed.withVolume(tank.id(), MUCH * capacity);
      }
    }
    return assumed;
  }
}
