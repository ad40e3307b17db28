package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.Venting;
import fernwort.core.guide.answers.Venting.Second;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.rig.PortRef;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** How tanks breathe: a vent each, vents that run into each other, overflows, valves on them. */
final class TankVents {

  private final Assembly rig;
  private final RigAnswers answers;

  /** Free branches of each tank's vent, for the vents that run into it. */
  private final Map<String, Deque<PortRef>> vents = new HashMap<>();

  TankVents(Assembly rig, RigAnswers answers) {
    this.rig = rig;
    this.answers = answers;
  }

  /** Adds the vent of a tank (its part), and its overflow. */
  void add(TankAnswers tank, PartId id) {
    Venting venting = tank.venting();
    Run run = run(tank, rig.get(id).port(PortId.of("vent")));
    double high = rig.get(id).at(PortId.of("vent")).z();
    if (venting.valve()) {
      run.openValve(
          Says.VENT_VALVE.filled(tank.label()), high + 2 * Assembly.STEP, Fittings.twoWay(0));
    }
    share(tank, run, high + 5 * Assembly.STEP);
    Optional<PortRef> other =
        venting
            .joins()
            .filter(joined -> !joined.equals(tank.id()))
            .map(joined -> vents.getOrDefault(joined, new ArrayDeque<>()).pollFirst());
    if (other.isPresent()) {
      run.to(other.orElseThrow());
    } else {
      end(tank, run.at(), tank.ventEnd(), tank.ventRises());
    }
    if (venting.second() != Second.NONE) {
      overflow(tank, id);
    }
  }

  /** A tee for each tank whose vent runs into this one's. */
  private void share(TankAnswers tank, Run run, double high) {
    Deque<PortRef> free = new ArrayDeque<>();
    for (TankAnswers other : answers.tanks()) {
      if (other.venting().joins().filter(tank.id()::equals).isPresent() && !other.equals(tank)) {
        free.add(run.branch(Says.VENT_TEE.text(), high));
      }
    }
    vents.put(tank.id(), free);
  }

  private Run run(TankAnswers tank, PortRef from) {
    return new Run(rig, QuestionPage.VENTS, tank.spot(), answers.bores().vent(), from);
  }

  /** Closes the branches that wait for a vent which was joined to nothing in the end. */
  void closeOpen() {
    for (TankAnswers tank : answers.tanks()) {
      for (PortRef port : vents.getOrDefault(tank.id(), new ArrayDeque<>())) {
        double height = rig.get(port.part()).height();
        run(tank, port).endsIn(Says.TEE_PLUG.text(), height, new Plug(false));
      }
    }
  }

  private void end(TankAnswers tank, PortRef at, double end, boolean rises) {
    boolean over = tank.venting().overflow();
    PartId vent =
        rig.part(
            QuestionPage.VENTS,
            (over ? Says.OVERFLOW_OF : Says.VENT_OF).filled(tank.label()),
            tank.spot(),
            end,
            0,
            Fittings.end(over ? Role.OVERFLOW : Role.VENT));
    double loop =
        rises
            ? Math.max(end, rig.get(at.part()).at(at.port()).z()) + 25 * Assembly.STEP
            : Double.NaN;
    rig.join(at, rig.get(vent).port(PortId.IN), answers.bores().vent(), loop);
  }

  /** An overflow of its own, which lets water out under the vehicle. */
  private void overflow(TankAnswers tank, PartId id) {
    double high = rig.get(id).at(TankOpenings.OVERFLOW).z();
    Run run = run(tank, rig.get(id).port(TankOpenings.OVERFLOW));
    if (tank.venting().second() == Second.VALVED) {
      run.openValve(
          Says.OVERFLOW_VALVE.filled(tank.label()), high + 2 * Assembly.STEP, Fittings.twoWay(0));
    }
    run.endsIn(
        Says.OVERFLOW_OF.filled(tank.label()),
        Math.min(rig.overGround() + 5 * Assembly.STEP, high),
        Fittings.end(Role.OVERFLOW));
  }
}
