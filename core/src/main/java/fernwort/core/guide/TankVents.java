package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.guide.answers.Venting;
import fernwort.core.guide.answers.Venting.Second;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.end.Plug;
import fernwort.core.kind.line.Tee;
import fernwort.core.rig.Part;
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
  void add(TankAnswers tank, String id) {
    Venting venting = tank.venting();
    PortRef at = rig.get(id).port("vent");
    if (venting.valve()) {
      at =
          rig.valved(
              QuestionPage.VENTS,
              Says.VENT_VALVE.filled(tank.label()),
              tank.spot(),
              rig.get(id).at("vent").z() + 2 * Assembly.STEP,
              at,
              answers.bores().vent());
    }
    at = shared(tank, id, at);
    Optional<PortRef> other =
        venting.joins().map(joined -> vents.getOrDefault(joined, new ArrayDeque<>()).pollFirst());
    if (other.isPresent()) {
      rig.join(at, other.orElseThrow(), answers.bores().vent());
    } else {
      end(tank, at, tank.ventEnd(), tank.ventRises());
    }
    if (venting.second() != Second.NONE) {
      overflow(tank, id);
    }
  }

  /** A tee for each tank whose vent runs into this one's. */
  private PortRef shared(TankAnswers tank, String id, PortRef from) {
    PortRef at = from;
    Deque<PortRef> free = new ArrayDeque<>();
    double high = rig.get(id).at("vent").z() + 5 * Assembly.STEP;
    for (TankAnswers other : answers.tanks()) {
      if (other.venting().joins().filter(tank.id()::equals).isPresent() && !other.equals(tank)) {
        String tee =
            rig.part(QuestionPage.VENTS, Says.VENT_TEE.text(), tank.spot(), high, 0, new Tee());
        rig.join(at, rig.get(tee).port("a"), answers.bores().vent());
        free.add(rig.get(tee).port("b"));
        at = rig.get(tee).port("c");
      }
    }
    vents.put(tank.id(), free);
    return at;
  }

  /** Closes the branches that wait for a vent which was joined to nothing in the end. */
  void closeOpen() {
    vents.forEach((tank, free) ->
        free.forEach(port -> {
          Part tee = rig.get(port.part());
          String plug =
              rig.part(
                  QuestionPage.VENTS,
                  Says.TEE_PLUG.text(),
                  answers.tanks().getFirst().spot(),
                  tee.height(),
                  0,
                  new Plug(false));
          rig.join(port, rig.get(plug).port("in"), answers.bores().vent());
        }));
  }

  private void end(TankAnswers tank, PortRef at, double end, boolean rises) {
    boolean over = tank.venting().overflow();
    String vent =
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
    rig.join(at, rig.get(vent).port("in"), answers.bores().vent(), loop);
  }

  /** An overflow of its own, which lets water out under the vehicle. */
  private void overflow(TankAnswers tank, String id) {
    double bore = answers.bores().vent();
    PortRef at = rig.get(id).port(TankOpenings.OVERFLOW);
    if (tank.venting().second() == Second.VALVED) {
      at =
          rig.valved(
              QuestionPage.VENTS,
              Says.OVERFLOW_VALVE.filled(tank.label()),
              tank.spot(),
              rig.get(id).at(TankOpenings.OVERFLOW).z() + 2 * Assembly.STEP,
              at,
              bore);
    }
    String end =
        rig.part(
            QuestionPage.VENTS,
            Says.OVERFLOW_OF.filled(tank.label()),
            tank.spot(),
            Math.min(
                rig.overGround() + 5 * Assembly.STEP, rig.get(id).at(TankOpenings.OVERFLOW).z()),
            0,
            Fittings.end(Role.OVERFLOW));
    rig.join(at, rig.get(end).port("in"), bore);
  }
}
