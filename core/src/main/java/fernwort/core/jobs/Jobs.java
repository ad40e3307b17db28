package fernwort.core.jobs;

import fernwort.core.hazard.Warning;
import fernwort.core.jobs.Job.Stage;
import fernwort.core.jobs.Job.Until;
import fernwort.core.network.Connections;
import fernwort.core.network.Drive;
import fernwort.core.network.End;
import fernwort.core.network.Plumbing;
import fernwort.core.network.Source;
import fernwort.core.network.Turns;
import fernwort.core.network.Turns.Pumped;
import fernwort.core.rig.Contents;
import fernwort.core.rig.Kind;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Finds the jobs of a rig from what it is made of: each source with each end that its passages let
 * it come to.
 */
public final class Jobs {

  private static final Set<Drive.Kind> PUMPED = Set.of(Drive.Kind.PUMP);
  private static final Set<Drive.Kind> FALLING = Set.of(Drive.Kind.FALL);
  private static final Set<Drive.Kind> MAINS = Set.of(Drive.Kind.MAINS);
  private static final Set<Drive.Kind> PUMPED_OR_FALLING = Set.of(Drive.Kind.PUMP, Drive.Kind.FALL);

  /** Drains that are offered for each tank. */
  private static final int MOST_DRAINS = 2;

  /**
   * What a rig cannot do.
   *
   * @param what the job
   * @param why which part is missing
   */
  public record Cannot(String what, String why) {}

  private final Plumbing plumbing;
  private final Rig rig;
  private final Turns turns;
  private final Setting rest;
  private final List<Job> jobs = new ArrayList<>();
  private final List<Cannot> cannot = new ArrayList<>();

  private Jobs(Plumbing plumbing) {
    this.plumbing = plumbing;
    rig = plumbing.rig();
    turns = Turns.full(plumbing);
    rest = rig.atRest();
    List<Part> inlets = parts(p -> p.kind() instanceof Kind.HoseInlet);
    List<Part> fresh = rig.tanks(Contents.FRESH).toList();
    run(fresh, inlets);
    fill(fresh, inlets);
    move(fresh);
    rinse(fresh, inlets);
    hot(fresh, inlets);
    empty(fresh);
    road();
  }

  /** Finds the jobs of a rig. */
  public static Jobs of(Plumbing plumbing) {
    return new Jobs(plumbing);
  }

  /** Returns the jobs, grouped as people meet them. */
  public List<Job> all() {
    return jobs.stream().sorted(Comparator.comparing(Job::kind)).toList();
  }

  /** Returns the job with this id, if the rig has it. */
  public Optional<Job> byId(String id) {
    return jobs.stream().filter(j -> j.id().equals(id)).findFirst();
  }

  /** Returns the other means to the same end. */
  public List<Job> alternatives(Job job) {
    return all().stream()
        .filter(j -> j.title().equals(job.title()) && !j.id().equals(job.id()))
        .toList();
  }

  /** Returns what the rig cannot do, and for want of which part. */
  public List<Cannot> cannot() {
    return List.copyOf(cannot);
  }

  // --- looking ---------------------------------------------------------------------------------

  private List<Part> parts(Predicate<Part> which) {
    return rig.parts().stream().filter(which).toList();
  }

  private boolean joins(String from, String to, Pumped pumped) {
    return turns.from(from, rest).to(to, pumped) < Turns.NEVER;
  }

  private List<Part> taps(String source, Pumped pumped) {
    return parts(p ->
        p.kind() instanceof Kind.Fixture f
            && f.use() != Kind.Fixture.Type.HOSE_POINT
            && joins(source, p.id(), pumped));
  }

  private static Map<String, String> opened(List<Part> taps) {
    Map<String, String> opened = new TreeMap<>();
    taps.forEach(t -> opened.put(t.id(), t.kind().positions().get(1).id()));
    return opened;
  }

  private static List<Need> needs(Source source, List<Part> taps, Set<Drive.Kind> drives) {
    return taps.stream()
        .map(t -> Need.of(source, new End(End.Kind.FIXTURE, t.id()), drives))
        .toList();
  }

  private static Source tank(Part tank) {
    return new Source(Source.Kind.TANK, tank.id());
  }

  private static End into(Part tank) {
    return new End(End.Kind.TANK, tank.id());
  }

  private void add(
      Job.Kind kind, String id, String title, String by, List<Stage> stages, Caution... cautions) {
    jobs.add(new Job(id, kind, title, by, stages, List.of(cautions)));
  }

  private void missing(String what, String why) {
    cannot.add(new Cannot(what, why));
  }

  /** Switches that a job of pumping turns off at its end. */
  private Map<String, String> pumpsOff() {
    return allTo(
        "off",
        p -> p.kind() instanceof Kind.Pump pump && pump.duty() != Kind.Pump.Duty.CIRCULATION);
  }

  private Map<String, String> allTo(String position, Predicate<Part> which) {
    Map<String, String> all = new LinkedHashMap<>();
    parts(which).forEach(p -> all.put(p.id(), position));
    return all;
  }

  private Optional<String> pressurePump(String source, List<Part> taps) {
    return parts(p -> p.kind() instanceof Kind.Pump k && !k.works().byHand()).stream()
        .map(Part::id)
        .filter(p -> joins(source, p, Pumped.NO) && joins(p, taps.getFirst().id(), Pumped.YES))
        .findFirst();
  }

  // --- running the taps ------------------------------------------------------------------------

  private void run(List<Part> fresh, List<Part> inlets) {
    for (Part tank : fresh) {
      List<Part> taps = taps(tank.id(), Pumped.EITHER);
      if (taps.isEmpty()) {
        missing(
            "Run the taps from " + tank.label(),
            "No line leads from " + tank.label() + " to a tap.");
        continue;
      }
      Goal goal = Goal.of(Map.of(), needs(tank(tank), taps, PUMPED_OR_FALLING), opened(taps));
      Stage stage =
          pressurePump(tank.id(), taps)
              .map(p -> Stage.of(goal, new Until(Until.What.PRESSURE, p)))
              .orElseGet(() -> Stage.of(goal));
      add(
          Job.Kind.RUN_FROM_TANK,
          "run-" + tank.id(),
          "Run the taps from " + tank.label(),
          "",
          List.of(stage));
    }
    runTogether(fresh);
    boolean mains = false;
    for (Part inlet : inlets) {
      List<Part> taps = hasMains(inlet) ? taps(inlet.id(), Pumped.NO) : List.of();
      if (!taps.isEmpty()) {
        mains = true;
        Source source = new Source(Source.Kind.MAINS, inlet.id());
        add(
            Job.Kind.RUN_FROM_MAINS,
            "run-" + inlet.id(),
            "Run the taps from the mains",
            inlets.size() > 1 ? "at " + inlet.label() : "",
            List.of(
                Stage.of(
                    Goal.of(
                        Map.of(inlet.id(), "mains"), needs(source, taps, MAINS), opened(taps)))),
            Caution.DRINKING_HOSE,
            Caution.BACKFLOW);
      }
      outside(inlet);
    }
    if (!mains) {
      missing(
          "Run the taps from the mains",
          "It needs a hose inlet with a line to the taps, best with a regulator and a check valve.");
    }
  }

  private static boolean hasMains(Part inlet) {
    return inlet.kind() instanceof Kind.HoseInlet k && k.mainsPressure() > 0;
  }

  private void runTogether(List<Part> fresh) {
    List<Need> needs = new ArrayList<>();
    List<Part> taps = new ArrayList<>();
    for (Part tank : fresh) {
      List<Part> own = taps(tank.id(), Pumped.EITHER);
      own.stream().findFirst().ifPresent(taps::add);
      needs.addAll(needs(tank(tank), own.stream().limit(1).toList(), PUMPED_OR_FALLING));
    }
    if (needs.size() > 1) {
      add(
          Job.Kind.RUN_FROM_TANK,
          "run-together",
          "Run the taps from all fresh tanks together",
          "",
          List.of(Stage.of(Goal.of(Map.of(), needs, opened(taps.stream().distinct().toList())))));
    }
  }

  private void outside(Part inlet) {
    List<Part> taps = taps(inlet.id(), Pumped.YES);
    if (!taps.isEmpty()) {
      Source source = new Source(Source.Kind.OUTSIDE, inlet.id());
      Goal goal =
          Goal.of(Map.of(inlet.id(), "outside"), needs(source, taps, PUMPED), opened(taps))
              .accepting(Warning.Code.UNSAFE_WATER);
      add(
          Job.Kind.DRAW_OUTSIDE,
          "draw-" + inlet.id(),
          "Run the taps from a bladder, stream or low supply",
          "by " + inlet.label(),
          List.of(Stage.of(goal)),
          Caution.UNSAFE_SOURCE);
    }
  }

  // --- filling ---------------------------------------------------------------------------------

  private void fill(List<Part> fresh, List<Part> inlets) {
    for (Part tank : fresh) {
      int before = jobs.size();
      for (Part inlet : inlets) {
        fillFromMains(tank, inlet, inlets.size() > 1);
        fillFromOutside(tank, inlet);
      }
      parts(p -> p.kind() instanceof Kind.GravityFiller).forEach(f -> fillByHand(tank, f));
      parts(p -> p.kind() instanceof Kind.PortableContainer).forEach(j -> fillFromJug(tank, j));
      if (jobs.size() == before) {
        missing(
            "Fill " + tank.label(),
            "It needs a hose inlet or a filler with a line to "
                + tank.label()
                + ", unless another tank overflows into it.");
      }
    }
    inlets.forEach(inlet -> fillAll(fresh, inlet));
    inlets.forEach(inlet -> fillThrough(fresh, inlet));
  }

  /** Tanks that fill one from the next: the first by the hose, each other by what runs over. */
  private void fillThrough(List<Part> fresh, Part inlet) {
    for (Part first : fresh) {
      if (!hasMains(inlet) || !joins(inlet.id(), first.id(), Pumped.NO)) {
        continue;
      }
      List<Part> chain = new ArrayList<>(List.of(first));
      Optional<Part> next = overflowsInto(first, fresh, chain, inlet);
      while (next.isPresent()) {
        chain.add(next.get());
        next = overflowsInto(next.get(), fresh, chain, inlet);
      }
      if (chain.size() > 1) {
        Stage filling = filling(first, inlet);
        List<Stage> stages = new ArrayList<>();
        stages.add(Stage.of(filling.goal(), new Until(Until.What.FULL, chain.getLast().id())));
        stages.addAll(hoseOff(inlet));
        add(
            Job.Kind.FILL_ALL,
            "fill-through-" + first.id() + "-" + inlet.id(),
            "Fill all fresh tanks, one after another",
            chain.stream().map(Part::label).collect(Collectors.joining(", then ")),
            stages,
            Caution.DRINKING_HOSE,
            Caution.STAY,
            Caution.BACKFLOW);
      }
    }
  }

  /** The tank that water from a full one runs on into, with no other way to fill it. */
  private Optional<Part> overflowsInto(Part full, List<Part> fresh, List<Part> but, Part inlet) {
    return fresh.stream()
        .filter(t -> !but.contains(t) && !joins(inlet.id(), t.id(), Pumped.NO))
        .filter(t ->
            Connections.of(plumbing, rest)
                .route(full.id(), p -> false, p -> p.id().equals(t.id()))
                .isPresent())
        .findFirst();
  }

  private void fillFromMains(Part tank, Part inlet, boolean many) {
    if (hasMains(inlet) && joins(inlet.id(), tank.id(), Pumped.NO)) {
      List<Stage> stages = new ArrayList<>();
      stages.add(filling(tank, inlet));
      stages.addAll(hoseOff(inlet));
      add(
          Job.Kind.FILL_FROM_MAINS,
          "fill-" + tank.id() + "-" + inlet.id(),
          "Fill " + tank.label(),
          "from the mains" + (many ? " at " + inlet.label() : ""),
          stages,
          Caution.DRINKING_HOSE,
          Caution.STAY,
          Caution.BACKFLOW);
    }
  }

  private static Stage filling(Part tank, Part inlet) {
    Need need = Need.of(new Source(Source.Kind.MAINS, inlet.id()), into(tank), MAINS);
    return Stage.of(
        Goal.of(Map.of(inlet.id(), "mains"), List.of(need))
            .breathing(tank.id())
            .accepting(Warning.Code.FILLING_UNWATCHED),
        new Until(Until.What.FULL, tank.id()));
  }

  /** A valve shuts the water off before the hose comes off, where there is one. */
  private static List<Stage> hoseOff(Part inlet) {
    return List.of(
        Stage.ifPossible(Goal.of(Map.of(inlet.id(), "mains")).quiet(inlet.id())),
        Stage.of(Goal.of(Map.of(inlet.id(), "capped")).quiet(inlet.id())));
  }

  private void fillAll(List<Part> fresh, Part inlet) {
    List<Part> tanks =
        fresh.stream()
            .filter(t -> hasMains(inlet) && joins(inlet.id(), t.id(), Pumped.NO))
            .sorted(Comparator.comparingDouble(Part::height))
            .toList();
    if (tanks.size() > 1) {
      List<Stage> stages = new ArrayList<>();
      tanks.forEach(t -> stages.add(filling(t, inlet)));
      stages.addAll(hoseOff(inlet));
      add(
          Job.Kind.FILL_ALL,
          "fill-all-" + inlet.id(),
          "Fill all fresh tanks, one after another",
          "from the mains",
          stages,
          Caution.DRINKING_HOSE,
          Caution.STAY,
          Caution.BACKFLOW);
    }
  }

  private void fillFromOutside(Part tank, Part inlet) {
    if (joins(inlet.id(), tank.id(), Pumped.YES)) {
      Need need = Need.of(new Source(Source.Kind.OUTSIDE, inlet.id()), into(tank), PUMPED);
      Goal goal =
          Goal.of(Map.of(inlet.id(), "outside"), List.of(need))
              .breathing(tank.id())
              .accepting(Warning.Code.UNSAFE_WATER);
      Map<String, String> after = new LinkedHashMap<>(pumpsOff());
      after.put(inlet.id(), "capped");
      add(
          Job.Kind.FILL_FROM_OUTSIDE,
          "lift-" + tank.id() + "-" + inlet.id(),
          "Fill " + tank.label(),
          "by pump from a low supply at " + inlet.label(),
          List.of(Stage.of(goal, new Until(Until.What.FULL, tank.id())), Stage.of(Goal.of(after))),
          Caution.UNSAFE_SOURCE,
          Caution.STAY);
    }
  }

  private void fillByHand(Part tank, Part filler) {
    if (joins(filler.id(), tank.id(), Pumped.NO)) {
      Goal goal =
          Goal.of(Map.of(filler.id(), "open")).joining(filler.id(), tank.id()).breathing(tank.id());
      add(
          Job.Kind.FILL_BY_HAND,
          "pour-" + tank.id() + "-" + filler.id(),
          "Fill " + tank.label(),
          "by hand at " + filler.label(),
          List.of(
              Stage.of(goal, new Until(Until.What.RUNS, tank.id())),
              Stage.of(Goal.of(Map.of(filler.id(), "shut")))),
          Caution.DRINKING_HOSE,
          Caution.STAY);
    }
  }

  private void fillFromJug(Part tank, Part jug) {
    if (joins(jug.id(), tank.id(), Pumped.NO)) {
      Need need = Need.of(new Source(Source.Kind.JUG, jug.id()), into(tank), FALLING);
      Goal goal =
          Goal.of(Map.of(jug.id(), "pouring"), List.of(need))
              .breathing(tank.id())
              .accepting(Warning.Code.UNSAFE_WATER);
      Map<String, String> after = new LinkedHashMap<>();
      after.put(jug.id(), "stowed");
      after.putAll(allTo("shut", p -> p.kind() instanceof Kind.GravityFiller));
      add(
          Job.Kind.FILL_FROM_JUG,
          "jug-" + tank.id() + "-" + jug.id(),
          "Fill " + tank.label(),
          "from " + jug.label(),
          List.of(
              Stage.of(goal, new Until(Until.What.POURED_OUT, jug.id())), Stage.of(Goal.of(after))),
          Caution.UNSAFE_SOURCE);
    }
  }

  // --- moving ----------------------------------------------------------------------------------

  private void move(List<Part> fresh) {
    for (Part from : fresh) {
      for (Part to : fresh) {
        if (!from.equals(to)) {
          move(from, to, PUMPED, "by pump");
          move(from, to, FALLING, "by fall");
        }
      }
      parts(p -> p.kind() instanceof Kind.Filter).forEach(f -> filterAgain(from, f));
    }
  }

  private void move(Part from, Part to, Set<Drive.Kind> drives, String by) {
    Need need = Need.of(tank(from), into(to), drives);
    if (!joins(from.id(), to.id(), need.pumped())
        || drives == FALLING && from.height() <= to.height()) {
      return;
    }
    Goal goal = Goal.of(Map.of(), List.of(need)).breathing(from.id(), to.id());
    Goal end = Goal.of(drives == PUMPED ? pumpsOff() : Map.of()).quiet(from.id());
    add(
        Job.Kind.MOVE,
        "move-" + from.id() + "-" + to.id() + (drives == PUMPED ? "-pump" : "-fall"),
        "Move water from %s to %s".formatted(from.label(), to.label()),
        by,
        List.of(Stage.of(goal, new Until(Until.What.FULL, to.id())), Stage.of(end)),
        Caution.STAY);
  }

  private void filterAgain(Part tank, Part filter) {
    if (joins(tank.id(), filter.id(), Pumped.YES)
        && joins(tank.id(), tank.id(), Pumped.YES)
        && turns.behind(filter.id(), "out", rest).to(tank.id(), Pumped.EITHER) < Turns.NEVER) {
      Need need = new Need(tank(tank), into(tank), PUMPED, Optional.of(filter.id()));
      Goal goal = Goal.of(Map.of(), List.of(need)).breathing(tank.id());
      add(
          Job.Kind.FILTER_AGAIN,
          "filter-" + tank.id() + "-" + filter.id(),
          "Filter the water of %s again".formatted(tank.label()),
          "through " + filter.label(),
          List.of(
              Stage.of(goal, new Until(Until.What.RUNS, tank.id())),
              Stage.of(Goal.of(pumpsOff()))));
    }
  }

  // --- outside, hot ----------------------------------------------------------------------------

  private void rinse(List<Part> fresh, List<Part> inlets) {
    List<Part> points =
        parts(p -> p.kind() instanceof Kind.Fixture f && f.use() == Kind.Fixture.Type.HOSE_POINT);
    if (points.isEmpty()) {
      missing("Rinse outside", "It needs a hose point with a line to pump or mains.");
    }
    for (Part point : points) {
      List<Part> tap = List.of(point);
      for (Part inlet : inlets) {
        if (hasMains(inlet) && joins(inlet.id(), point.id(), Pumped.NO)) {
          Source source = new Source(Source.Kind.MAINS, inlet.id());
          rinse(
              point,
              inlet,
              "from the mains",
              Goal.of(Map.of(inlet.id(), "mains"), needs(source, tap, MAINS), opened(tap)));
        }
      }
      for (Part tank : fresh) {
        if (joins(tank.id(), point.id(), Pumped.EITHER)) {
          rinse(
              point,
              tank,
              "from " + tank.label(),
              Goal.of(Map.of(), needs(tank(tank), tap, PUMPED_OR_FALLING), opened(tap)));
        }
      }
    }
  }

  private void rinse(Part point, Part source, String by, Goal goal) {
    add(
        Job.Kind.RINSE,
        "rinse-" + point.id() + "-" + source.id(),
        "Rinse outside at " + point.label(),
        by,
        List.of(Stage.of(goal, new Until(Until.What.RUNS, point.id()))),
        Caution.LOCAL_RULES);
  }

  private void hot(List<Part> fresh, List<Part> inlets) {
    List<Part> heaters = parts(p -> p.kind() instanceof Kind.Heater);
    if (heaters.isEmpty()) {
      missing("Heat water", "It needs a heater between the cold line and a mixer.");
    }
    for (Part heater : heaters) {
      List<Source> sources = new ArrayList<>();
      fresh.forEach(t -> sources.add(tank(t)));
      inlets.stream()
          .filter(Jobs::hasMains)
          .forEach(i -> sources.add(new Source(Source.Kind.MAINS, i.id())));
      sources.forEach(s -> heat(heater, s));
    }
    parts(p -> p.kind() instanceof Kind.Pump k && k.duty() == Kind.Pump.Duty.CIRCULATION)
        .forEach(this::recirculate);
  }

  private void heat(Part heater, Source source) {
    boolean mains = source.kind() == Source.Kind.MAINS;
    Pumped pumped = mains ? Pumped.NO : Pumped.EITHER;
    Optional<Part> tap =
        rig.parts().stream()
            .filter(p ->
                p.kind() instanceof Kind.Fixture f
                    && f.use().mixes()
                    && joins(heater.id(), p.id(), Pumped.NO)
                    && joins(source.part(), heater.id(), pumped))
            .findFirst();
    tap.ifPresent(t -> {
      Need need =
          new Need(
              source,
              new End(End.Kind.FIXTURE, t.id()),
              mains ? MAINS : PUMPED_OR_FALLING,
              Optional.of(heater.id()));
      Map<String, String> first = new LinkedHashMap<>();
      first.put(heater.id(), "off");
      Map<String, String> then = new LinkedHashMap<>();
      then.put(heater.id(), "on");
      if (mains) {
        first.put(source.part(), "mains");
        then.put(source.part(), "mains");
      }
      Map<String, String> probe = Map.of(t.id(), "hot");
      add(
          Job.Kind.HEAT,
          "heat-" + heater.id() + "-" + source.part(),
          "Heat water in " + heater.label(),
          "from " + (mains ? "the mains" : rig.part(source.part()).label()),
          List.of(
              Stage.of(Goal.of(first, List.of(need), probe), new Until(Until.What.RUNS, t.id())),
              Stage.of(
                  Goal.of(then, List.of(need), probe), new Until(Until.What.HOT, heater.id()))),
          Caution.HEATER,
          Caution.SCALDING);
    });
  }

  private void recirculate(Part pump) {
    add(
        Job.Kind.RECIRCULATE,
        "round-" + pump.id(),
        "Send hot water round with " + pump.label(),
        "",
        List.of(Stage.of(Goal.of(Map.of(pump.id(), "on")).circulating(pump.id()))),
        Caution.SCALDING);
  }

  // --- emptying --------------------------------------------------------------------------------

  private void empty(List<Part> fresh) {
    List<Part> dumps =
        parts(p -> p.kind() instanceof Kind.OpenEnd e && e.role() == Kind.OpenEnd.Role.DUMP);
    rig.tanks(Contents.GRAY)
        .forEach(gray -> {
          int before = jobs.size();
          dumps.forEach(d -> emptyGray(gray, d));
          if (jobs.size() == before) {
            missing(
                "Empty " + gray.label(),
                "It needs a drain valve and a dump outlet with a cap below " + gray.label() + ".");
          }
        });
    fresh.forEach(this::shed);
  }

  private void emptyGray(Part gray, Part dump) {
    for (Set<Drive.Kind> drives : List.of(FALLING, PUMPED)) {
      Need need = Need.of(tank(gray), new End(End.Kind.DUMP, dump.id()), drives);
      if (joins(gray.id(), dump.id(), need.pumped())) {
        Map<String, String> shut = new LinkedHashMap<>();
        shut.put(dump.id(), "hose");
        if (drives == PUMPED) {
          shut.putAll(allTo("off", p -> p.kind() instanceof Kind.Macerator));
        }
        add(
            Job.Kind.EMPTY_GRAY,
            "empty-" + gray.id() + "-" + dump.id() + (drives == PUMPED ? "-pump" : ""),
            "Empty " + gray.label(),
            drives == PUMPED ? "by pump out of " + dump.label() : "by fall out of " + dump.label(),
            List.of(
                Stage.of(
                    Goal.of(Map.of(dump.id(), "hose"), List.of(need)).breathing(gray.id()),
                    new Until(Until.What.DRY, gray.id())),
                Stage.ifPossible(Goal.of(shut).quiet(gray.id())),
                Stage.of(Goal.of(Map.of(dump.id(), "capped")).quiet(gray.id()))),
            Caution.SEWAGE,
            Caution.LOCAL_RULES);
      }
    }
  }

  private void shed(Part tank) {
    Stream<Part> drains =
        rig.parts().stream()
            .filter(p -> isDrain(p) && p.height() < top(tank))
            .filter(p -> joins(tank.id(), p.id(), Pumped.NO))
            .sorted(
                Comparator.comparingInt(p -> turns.from(tank.id(), rest).to(p.id(), Pumped.NO)));
    List<Part> nearest = drains.limit(MOST_DRAINS).toList();
    if (nearest.isEmpty()) {
      missing(
          "Shed the water of " + tank.label(),
          "It needs a drain that lies lower than " + tank.label() + ".");
    }
    nearest.forEach(drain -> shed(tank, drain));
  }

  private double top(Part tank) {
    return tank.height() + plumbing.room(tank.id()).highest(Slope.LEVEL);
  }

  private static boolean isDrain(Part part) {
    return part.kind() instanceof Kind.Plug plug && plug.removable()
        || part.kind() instanceof Kind.OpenEnd end && end.role() == Kind.OpenEnd.Role.DRAIN;
  }

  private void shed(Part tank, Part drain) {
    Need need = Need.of(tank(tank), new End(End.Kind.GROUND, drain.id()), FALLING);
    boolean capped = drain.hasHandle();
    Goal goal =
        Goal.of(capped ? Map.of(drain.id(), "off") : Map.of(), List.of(need))
            .breathing(tank.id())
            .accepting(Warning.Code.OPEN_TO_GROUND);
    Map<String, String> shut = new LinkedHashMap<>(tailShut(drain));
    if (capped) {
      shut.put(drain.id(), "on");
    }
    add(
        Job.Kind.SHED,
        "shed-" + tank.id() + "-" + drain.id(),
        "Shed the water of " + tank.label(),
        "at " + drain.label(),
        List.of(
            Stage.of(goal, new Until(Until.What.DRY, tank.id())),
            Stage.of(Goal.of(shut).quiet(tank.id()))),
        Caution.LOCAL_RULES,
        Caution.UNDER_VEHICLE);
  }

  /** The valve that stands next to a drain's tail, shut; nothing where none does. */
  private Map<String, String> tailShut(Part drain) {
    Line line = rig.linesByPort().get(drain.port("in"));
    if (line == null) {
      return Map.of();
    }
    Part next = rig.part(line.other(drain.port("in")).part());
    return next.kind() instanceof Kind.Valve valve
        ? valve.stops().stream()
            .filter(s -> s.joins().isEmpty())
            .findFirst()
            .map(s -> Map.of(next.id(), s.id()))
            .orElse(Map.of())
        : Map.of();
  }

  // --- the road --------------------------------------------------------------------------------

  private void road() {
    Map<String, String> shut = new LinkedHashMap<>();
    for (Part part : rig.parts()) {
      boolean closes =
          switch (part.kind()) {
            case Kind.Pump k -> true;
            case Kind.Macerator k -> true;
            case Kind.Heater k -> true;
            case Kind.HoseInlet k -> true;
            case Kind.GravityFiller k -> true;
            case Kind.PortableContainer k -> true;
            case Kind.Fixture k -> true;
            case Kind.OpenEnd k -> part.hasHandle();
            case Kind.Plug k -> part.hasHandle();
            default -> false;
          };
      if (closes) {
        shut.put(part.id(), part.kind().positions().getFirst().id());
      }
    }
    shut.putAll(fernwort.core.network.run.Drive.travelValves(rig));
    add(
        Job.Kind.DRIVE,
        "drive",
        "Make ready to drive",
        "",
        List.of(Stage.of(Goal.of(shut).allStill())),
        Caution.HEATER);
    add(
        Job.Kind.ARRIVE,
        "arrive",
        "Arrive: let the tanks breathe",
        "",
        List.of(
            Stage.of(
                Goal.of(Map.of()).breathing(rig.tanks().map(Part::id).toArray(String[]::new)))));
    add(
        Job.Kind.REST,
        "rest",
        "Hand the rig over at rest",
        "",
        List.of(Stage.of(Goal.of(rest.positions()))),
        Caution.PRESSURE,
        Caution.HEATER);
  }
}
