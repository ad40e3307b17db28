package fernwort.core.jobs.automation;

import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.kind.Motor;
import fernwort.core.network.Network;
import fernwort.core.network.Turn;
import fernwort.core.rig.State;
import fernwort.core.run.Acted;
import fernwort.core.run.Actor;
import fernwort.core.run.Event;
import fernwort.core.run.Moment;
import fernwort.core.run.Simulation;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Runs automations on the simulated rig: simulated senders are looked at every few seconds, and a
 * motor takes its travel time to turn its valve, one after another.
 */
public final class AutomationRun implements Actor {

  /** How often the senders are looked at (s). */
  private static final double LOOK = 10;

  private static final int MOST_EVENTS = 200;

  /**
   * Something that happened.
   *
   * @param at when (s)
   * @param happening what, when it is of the water
   * @param turn what a motor did, when it is of a valve
   */
  public record Noted(double at, Optional<Event> happening, Optional<Turn> turn) {}

  /**
   * What came of it.
   *
   * @param events what happened, in order
   * @param lowest least that each tank held (m³)
   * @param highest most that each tank held (m³)
   * @param lost what ran out (m³)
   */
  public record Course(
      List<Noted> events, Map<PartId, Double> lowest, Map<PartId, Double> highest, double lost) {}

  private final Network network;
  private final List<Automation> automations;
  private final double leakAt;
  private final List<Noted> events = new ArrayList<>();

  /** When each motor has turned its valve (s). */
  private final Map<Turn, Double> turning = new LinkedHashMap<>();

  private final Map<PartId, Double> lowest = new LinkedHashMap<>();
  private final Map<PartId, Double> highest = new LinkedHashMap<>();
  private final Set<Automation.Rule> acting = new HashSet<>();

  /** When the senders are looked at next (s). */
  private double nextLook;

  private AutomationRun(Network network, List<Automation> automations, double leakAt) {
    this.network = network;
    this.automations = automations;
    this.leakAt = leakAt;
  }

  /**
   * Runs automations from a state.
   *
   * @param network the prepared rig
   * @param automations what the motors do
   * @param from handles and levels to begin with
   * @param seconds how long (s)
   * @param leakAt when the leak sensor gets wet (s); infinite for never
   */
  public static Course run(
      Network network, List<Automation> automations, State from, double seconds, double leakAt) {
    AutomationRun motors = new AutomationRun(network, automations, leakAt);
    Simulation run = Simulation.start(network, Hydraulics.of(network), from, Conditions.ORDINARY);
    new Acted(run, List.of(motors), motors::noteWater, motors::noteTurn).runTo(seconds);
    motors.remember(run.moment().state());
    double lost = run.moment().totals().allOut();
    return new Course(motors.events, motors.lowest, motors.highest, lost);
  }

  @Override
  public double next(Moment now) {
    return turning.values().stream().reduce(nextLook, Math::min);
  }

  @Override
  public List<Act> act(Moment now) {
    if (Actor.isDue(nextLook, now)) {
      remember(now.state());
      look(now);
      nextLook = now.time() + LOOK;
    }
    List<Turn> due =
        turning.entrySet().stream()
            .filter(e -> Actor.isDue(e.getValue(), now))
            .map(Map.Entry::getKey)
            .toList();
    due.forEach(turning::remove);
    return due.stream().map(t -> new Act(t.part(), t.position())).toList();
  }

  private void remember(State now) {
    network
        .tanks()
        .forEach(t -> {
          lowest.merge(t.id(), now.volume(t.id()), Math::min);
          highest.merge(t.id(), now.volume(t.id()), Math::max);
        });
  }

  private void look(Moment now) {
    for (Automation automation : automations) {
      for (Automation.Rule rule : automation.rules()) {
        boolean due = isDue(rule.when(), now.state(), now.time() >= leakAt);
        if (due && acting.add(rule)) {
          double at = now.time();
          for (Turn turn : rule.turns()) {
            if (!now.state().setting().of(turn.part()).equals(turn.position())) {
              turning.keySet().removeIf(t -> t.part().equals(turn.part()));
              at += travel(turn);
              turning.put(turn, at);
            }
          }
        } else if (!due) {
          acting.remove(rule);
        }
      }
    }
  }

  private double travel(Turn turn) {
    return network.rig().part(turn.part()).kind().motor().map(Motor::travelTime).orElse(0.0);
  }

  private boolean isDue(Automation.When when, State now, boolean leaking) {
    return switch (when) {
      case Automation.Low low -> share(now, low.tank()) <= low.share();
      case Automation.High high -> share(now, high.tank()) >= high.share();
      case Automation.Leak leak -> leaking;
      // It is neither cold in these runs, nor does anybody press a button.
      case Automation.Cold cold -> false;
      case Automation.Button button -> false;
    };
  }

  private double share(State now, PartId tank) {
    return now.volume(tank) / network.room(tank).capacity();
  }

  private void noteTurn(double at, Act act) {
    note(new Noted(at, Optional.empty(), Optional.of(new Turn(act.part(), act.position()))));
  }

  private void noteWater(Event h) {
    note(new Noted(h.at(), Optional.of(h), Optional.empty()));
  }

  private void note(Noted event) {
    if (events.size() < MOST_EVENTS) {
      events.add(event);
    }
  }
}
