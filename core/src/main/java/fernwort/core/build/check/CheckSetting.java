package fernwort.core.build.check;

import fernwort.core.hazard.Hazards;
import fernwort.core.hazard.Severity;
import fernwort.core.hazard.Warning;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.goal.Step;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.line.Valve;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Message;
import fernwort.core.ways.OpenWays;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * A setting in which somebody can look where water comes: one that a job of the rig comes by, or
 * one turn from it in which nothing else goes wrong.
 *
 * @param setting the handles
 * @param as by which job it is reached
 * @param also the turn from there, if there is one; empty for none
 */
public record CheckSetting(Setting setting, Message as, Message also) {

  /** Half full tanks: water to draw, room to fill. */
  private static final double HALF = 0.5;

  /** Returns the settings that the jobs of a rig come by in which something is pressed. */
  static List<CheckSetting> ofJobs(Plans plans) {
    Network network = plans.network();
    State start = new State(network.rig().atRest(), half(network), Slope.LEVEL);
    Map<Setting, CheckSetting> found = new LinkedHashMap<>();
    for (Job job : Jobs.of(network).all()) {
      if (job.kind().is(Job.Is.PRESSES)) {
        Plan plan = plans.plan(job, start);
        if (plan.trouble().isEmpty()) {
          passed(network.rig(), plan, start.setting())
              .forEach(s -> found.putIfAbsent(s, new CheckSetting(s, job.name(), Message.NOTHING)));
        }
      }
    }
    return List.copyOf(found.values());
  }

  private static Map<PartId, Double> half(Network network) {
    Map<PartId, Double> volumes = new TreeMap<>();
    network.tanks().forEach(t -> volumes.put(t.id(), HALF * network.room(t.id()).capacity()));
    return volumes;
  }

  /** The settings before each wait and at the end, taps shut. */
  private static List<Setting> passed(Rig rig, Plan plan, Setting start) {
    List<Setting> passed = new ArrayList<>();
    Setting now = start;
    for (Step step : plan.steps()) {
      if (step instanceof Step.Move move) {
        now = rig.turned(now, move.part(), move.to());
      } else {
        passed.add(now);
      }
    }
    passed.add(now);
    return passed;
  }

  /** Returns the settings one turn of a valve from others in which nothing else goes wrong. */
  static List<CheckSetting> around(Network network, List<CheckSetting> trials) {
    Hazards hazards = Hazards.of(network);
    Map<Setting, CheckSetting> found = new LinkedHashMap<>();
    for (CheckSetting trial : trials) {
      Set<Warning.Key> before = wrong(network, hazards, trial.setting());
      for (Part part : network.rig().handles().toList()) {
        if (part.kind() instanceof Valve valve) {
          for (Position position : valve.positions()) {
            Setting other = trial.setting().with(part.id(), position.id());
            if (!found.containsKey(other) && before.containsAll(wrong(network, hazards, other))) {
              found.put(
                  other,
                  new CheckSetting(
                      other, trial.as(), Message.of("{} {}", part.label(), position.words())));
            }
          }
        }
      }
    }
    trials.forEach(t -> found.remove(t.setting()));
    return List.copyOf(found.values());
  }

  /** What goes wrong in a setting, notes left out. */
  private static Set<Warning.Key> wrong(Network network, Hazards hazards, Setting setting) {
    State state = new State(setting, half(network), Slope.LEVEL);
    Levels levels = Levels.of(network, state);
    return hazards.withPower(setting, levels, OpenWays.find(network, setting, levels)).stream()
        .filter(w -> w.severity() != Severity.NOTE)
        .map(Warning::key)
        .collect(Collectors.toSet());
  }

  /** Returns what to turn to come to it from a setting, taps left out. */
  public Map<PartId, PositionId> turns(Network network, Setting from) {
    Map<PartId, PositionId> turns = new TreeMap<>();
    for (Part part : network.rig().handles().toList()) {
      PositionId to = setting.of(part.id());
      if (!part.kind().is(Purpose.USE) && !to.equals(from.of(part.id()))) {
        turns.put(part.id(), to);
      }
    }
    return turns;
  }
}
