package fernwort.core.jobs.find;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.goal.Caution;
import fernwort.core.jobs.goal.Condition;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Job.Stage;
import fernwort.core.jobs.goal.Need;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.say.Message;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.HandleDistance;
import fernwort.core.ways.HandleDistance.Pumped;
import fernwort.core.ways.Source;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;

/**
 * What finders of jobs share: the rig, what its passages allow, and where they put what they find.
 */
public abstract class Finder {

  static final Set<DrivenBy.Kind> PUMPED = Set.of(DrivenBy.Kind.PUMP);
  static final Set<DrivenBy.Kind> FALLING = Set.of(DrivenBy.Kind.FALL);
  static final Set<DrivenBy.Kind> MAINS = Set.of(DrivenBy.Kind.MAINS);
  public static final Set<DrivenBy.Kind> PUMPED_OR_FALLING =
      Set.of(DrivenBy.Kind.PUMP, DrivenBy.Kind.FALL);

  final Network network;
  final Rig rig;
  final HandleDistance turns;
  private final HandleDistance primed;
  final Setting rest;
  final List<Part> fresh;

  /** Tanks that are filled: fresh ones, and those for other water. */
  final List<Part> filled;

  final List<Part> jugs;
  final List<Part> inlets;
  private final List<Job> jobs;
  private final List<Jobs.Cannot> cannot;

  Finder(Network network, Distances distances, List<Job> jobs, List<Jobs.Cannot> cannot) {
    this.network = network;
    this.jobs = jobs;
    this.cannot = cannot;
    rig = network.rig();
    turns = distances.asItIs();
    primed = distances.primed();
    rest = rig.atRest();
    fresh = rig.tanks(Contents.FRESH).toList();
    filled = rig.tanks().filter(t -> ((Tank) t.kind()).contents() != Contents.GRAY).toList();
    jugs = parts(p -> p.kind().is(Purpose.CARRIED));
    inlets = parts(p -> p.kind().is(Purpose.INLET));
  }

  /** Adds the jobs of one family, and what is missing for them. */
  abstract void find();

  /** Returns how many jobs have been found so far. */
  final int found() {
    return jobs.size();
  }

  final List<Part> parts(Predicate<Part> which) {
    return rig.parts().stream().filter(which).toList();
  }

  final boolean joins(PartId from, PartId to, Pumped pumped) {
    // Outside water is drawn from far below; a pump that does not draw air is primed for it.
    boolean drawn = pumped == Pumped.YES && rig.part(from).kind().is(Purpose.INLET);
    return (drawn ? primed : turns).from(from, rest).to(to, pumped) < HandleDistance.NEVER;
  }

  final List<Part> taps(PartId source, Pumped pumped) {
    return parts(p ->
        p.kind().is(Purpose.USE) && !p.kind().is(Purpose.OUTSIDE) && joins(source, p.id(), pumped));
  }

  static Map<PartId, PositionId> opened(List<Part> taps) {
    Map<PartId, PositionId> opened = new TreeMap<>();
    taps.forEach(t -> opened.put(t.id(), ((Tap) t.kind()).cold().id()));
    return opened;
  }

  /** Ways to taps: by pump where the layout has one between, by gravity to the others. */
  final List<Need> drawn(Source source, List<Part> taps) {
    return taps.stream()
        .map(t ->
            Need.of(
                source,
                new End(End.Kind.FIXTURE, t.id()),
                joins(source.part(), t.id(), Pumped.YES) ? PUMPED : FALLING))
        .toList();
  }

  /** What a tank needs that is filled under pressure: air, no leak, and a way out once full. */
  static Condition[] fillable(PartId tank, PartId source) {
    return new Condition[] {
      new Condition.Breathes(tank),
      new Condition.Tight(tank),
      new Condition.Relieved(tank, source),
      new Condition.PumpsOff(source)
    };
  }

  static List<Need> needs(Source source, List<Part> taps, Set<DrivenBy.Kind> drives) {
    return taps.stream()
        .map(t -> Need.of(source, new End(End.Kind.FIXTURE, t.id()), drives))
        .toList();
  }

  static Source tank(Part tank) {
    return new Source(Source.Kind.TANK, tank.id());
  }

  static End into(Part tank) {
    return new End(End.Kind.TANK, tank.id());
  }

  final void add(
      Job.Kind kind, String id, String title, String by, List<Stage> stages, Caution... cautions) {
    add(kind, id, Message.words(title), by, stages, cautions);
  }

  void add(
      Job.Kind kind, String id, Message title, String by, List<Stage> stages, Caution... cautions) {
    Set<Caution> mind = EnumSet.noneOf(Caution.class);
    mind.addAll(List.of(cautions));
    if (stages.stream().anyMatch(this::isOnTheMains)) {
      mind.add(Caution.DRINKING_HOSE);
      mind.add(Caution.BACKFLOW);
    }
    if (!rig.hasHeater()) {
      mind.remove(Caution.HEATER);
    }
    jobs.add(new Job(id, kind, title, by, stages, List.copyOf(mind)));
  }

  /** Whatever it is for, a hose on the mains wants a clean hose and a guard against backflow. */
  private boolean isOnTheMains(Stage stage) {
    return inlets.stream()
        .anyMatch(i -> HoseInlet.MAINS.id().equals(stage.goal().musts().get(i.id())));
  }

  final void missing(String what, String why) {
    cannot.add(new Jobs.Cannot(what, why));
  }

  /** Switches that a job of pumping turns off at its end. */
  final Map<PartId, PositionId> pumpsOff() {
    return allTo(
        Position.OFF.id(), p -> p.kind().is(Purpose.PUMPS) && !p.kind().is(Purpose.CIRCULATES));
  }

  final Map<PartId, PositionId> allTo(PositionId position, Predicate<Part> which) {
    Map<PartId, PositionId> all = new LinkedHashMap<>();
    parts(which).forEach(p -> all.put(p.id(), position));
    return all;
  }

  static boolean holdsTheSame(Part a, Part b) {
    return ((Tank) a.kind()).contents() == ((Tank) b.kind()).contents();
  }

  static boolean hasMains(Part inlet) {
    return inlet.kind().is(Purpose.MAINS);
  }
}
