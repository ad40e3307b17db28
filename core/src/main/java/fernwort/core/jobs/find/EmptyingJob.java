package fernwort.core.jobs.find;

import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Dumps;
import fernwort.core.jobs.goal.Goal;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Job.Until;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * Emptying what somebody chooses, tanks and lines, by gravity alone: a job like any other, whose
 * name holds the choice.
 */
public final class EmptyingJob {

  private static final String NAME = "empty-out";
  private static final String LINES = "~~lines";

  private static final Warning.Code[] INHERENT = {
    Warning.Code.OPEN_TO_GROUND, Warning.Code.OVERFLOWING, Warning.Code.POWER_LOSS
  };

  private final Rig rig;
  private final Network network;
  private final Set<PartId> tanks;
  private final boolean lines;

  private EmptyingJob(Network network, Set<PartId> tanks, boolean lines) {
    this.network = network;
    this.tanks = new TreeSet<>(tanks);
    this.lines = lines;
    rig = network.rig();
  }

  /**
   * Returns the job of emptying some tanks.
   *
   * @param network the prepared rig
   * @param tanks ids of the tanks
   * @param lines whether the lines are to be emptied, too
   * @throws Refusal when one of them is no tank, or nothing is chosen
   */
  public static Job of(Network network, Set<PartId> tanks, boolean lines) {
    for (PartId tank : tanks) {
      if (!network.rig().part(tank).kind().is(Purpose.HOLDS)) {
        throw new Refusal(Says.IS_NOT_A_TANK_CHOOSE_TANKS.with(network.rig().part(tank).label()));
      }
    }
    if (tanks.isEmpty() && !lines) {
      throw new Refusal(Says.NOTHING_IS_CHOSEN_TICK_A_TANK.with());
    }
    return new EmptyingJob(network, tanks, lines).job();
  }

  /** Returns the job of this name, if it is one of emptying what the rig has. */
  public static Optional<Job> named(Network network, String id) {
    boolean lines = id.endsWith(LINES);
    String chosen = lines ? id.substring(0, id.length() - LINES.length()) : id;
    List<String> names = Arrays.asList(chosen.split("~"));
    Set<PartId> tanks = names.stream().skip(1).map(PartId::of).collect(Collectors.toSet());
    boolean known =
        names.getFirst().equals(NAME)
            && network.tanks().stream().map(Part::id).toList().containsAll(tanks)
            && (lines || !tanks.isEmpty());
    return known ? Optional.of(of(network, tanks, lines)) : Optional.empty();
  }

  /** Returns the tanks that a job empties; none for another sort of job. */
  public static Set<PartId> tanksOf(Job job) {
    return job.kind() == Job.Kind.EMPTY_OUT
        ? job.stages().stream()
            .flatMap(s -> s.goal().of(Condition.RunsOut.class).stream())
            .map(Condition.RunsOut::tank)
            .collect(Collectors.toSet())
        : Set.of();
  }

  /** Tells whether a job empties the lines. */
  public static boolean emptiesLines(Job job) {
    return job.id().endsWith(LINES);
  }

  private Job job() {
    List<Part> chosen =
        rig.tanks()
            .filter(t -> tanks.contains(t.id()))
            .sorted(Comparator.comparingDouble(Part::height).reversed())
            .toList();
    List<Stage> stages = new ArrayList<>();
    stages.add(Stage.of(resting(Map.of())));
    chosen.forEach(t -> stages.add(runningOut(t)));
    if (lines) {
      stages.add(Stage.of(linesOut(chosen)));
    }
    chosen.stream().filter(EmptyingJob::isGray).forEach(gray -> dumpsShut(gray, stages));
    return new Job(
        NAME
            + tanks.stream().map(t -> "~" + t).collect(Collectors.joining())
            + (lines ? LINES : ""),
        Job.Kind.EMPTY_OUT,
        Message.words("Empty " + what(chosen)),
        Says.BY_GRAVITY.text(),
        stages,
        cautions(chosen));
  }

  private String what(List<Part> chosen) {
    List<String> names = new ArrayList<>(chosen.stream().map(Part::label).toList());
    if (lines) {
      names.add(Says.ALL_LINES.text());
    }
    return String.join(", ", names);
  }

  private static boolean isGray(Part tank) {
    return ((Tank) tank.kind()).contents() == Contents.GRAY;
  }

  private List<Caution> cautions(List<Part> chosen) {
    List<Caution> cautions = new ArrayList<>(List.of(Caution.LOCAL_RULES));
    if (rig.hasHeater()) {
      cautions.addFirst(Caution.HEATER);
    }
    if (chosen.stream().anyMatch(EmptyingJob::isGray)) {
      cautions.addFirst(Caution.SEWAGE);
    }
    cautions.add(Caution.UNDER_VEHICLE);
    return cautions;
  }

  /** Whatever pushes, heats or gives water is off, and more is as it has to be. */
  private Goal resting(Map<PartId, PositionId> more) {
    Map<PartId, PositionId> musts = new TreeMap<>();
    for (Part part : rig.parts()) {
      Kind kind = part.kind();
      boolean gives = kind.is(Purpose.SOURCE) && !kind.is(Purpose.HOLDS);
      boolean hose = kind.is(Purpose.INLET);
      boolean off = kind.is(Purpose.DRIVES) || kind.is(Purpose.HEATS) || gives && !(hose && lines);
      if (off) {
        musts.put(part.id(), part.rest().id());
      }
    }
    musts.putAll(more);
    List<Condition> conditions = new ArrayList<>();
    musts.forEach((part, position) -> conditions.add(new Condition.Placed(part, position)));
    return new Goal(conditions, Map.of(), Set.of(INHERENT));
  }

  private Stage runningOut(Part tank) {
    Goal goal =
        resting(Map.of())
            .and(new Condition.RunsOut(tank.id()), new Condition.BreathesIn(tank.id()));
    return new Stage(goal, Optional.of(new Until(Until.What.DRY, tank.id())), true);
  }

  /** Every tap open, cold and hot, so that air can follow, and whatever else lets the lines out. */
  private Goal linesOut(List<Part> chosen) {
    Map<PartId, PositionId> open = new TreeMap<>();
    for (Part part : rig.parts()) {
      if (part.kind().is(Purpose.USE)) {
        part.kind().drained().ifPresent(p -> open.put(part.id(), p));
      }
      if (part.kind().is(Purpose.INLET)) {
        open.put(part.id(), HoseInlet.OPEN.id());
      }
    }
    List<PartId> kept =
        network.tanks().stream().filter(t -> !chosen.contains(t)).map(Part::id).toList();
    List<Condition> conditions = new ArrayList<>();
    kept.forEach(t -> conditions.add(new Condition.Quiet(t)));
    conditions.add(new Condition.LinesRunOut(kept));
    return resting(open).and(conditions);
  }

  /** The valve is shut before the hose comes off. */
  private void dumpsShut(Part gray, List<Stage> stages) {
    for (Condition held : Dumps.of(network).held()) {
      if (held instanceof Condition.Parted parted && parted.from().equals(gray.id())) {
        stages.add(Stage.ifPossible(resting(Map.of()).and(parted)));
        stages.add(Stage.ifPossible(resting(Map.of(parted.to(), OpenEnd.CAPPED.id())).and(parted)));
      }
    }
  }
}
