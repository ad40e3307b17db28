package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.PressureSide.Made;
import fernwort.core.guide.answers.RigAnswers;
import fernwort.core.guide.answers.RigAnswers.Runs;
import fernwort.core.guide.answers.RigAnswers.Spot;
import fernwort.core.guide.answers.RigAnswers.Tap;
import fernwort.core.guide.answers.RigAnswers.Use;
import fernwort.core.guide.answers.TankAnswers;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.end.GravityFiller;
import fernwort.core.kind.end.OpenEnd.Role;
import fernwort.core.kind.line.DrainTrap;
import fernwort.core.kind.line.Tee;
import fernwort.core.kind.tank.Contents;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** From the taps to the gray tank, and out of it. */
final class WasteSide {

  private static final double TRAP_BODY = 1.2e-4;

  /** How wide the outlet of a gray tank usually is (m). */
  private static final double OUTLET = 0.038;

  /** How high the inlet of a separator is over the floor or the tank (m). */
  private static final double SEAT = 0.4;

  private static final PortId RINSE = PortId.of("rinse");

  /** How far below its tap a trap hangs (m). */
  private static final double BELOW = 0.45;

  /** How high above the floor the trap of a shower lies, under its tray (m). */
  private static final double TRAY = 0.07;

  private final Assembly rig;
  private final RigAnswers answers;
  private final List<Message> ways;
  private final double bore;

  WasteSide(Assembly rig, RigAnswers answers, List<Message> ways) {
    this.rig = rig;
    this.answers = answers;
    this.ways = ways;
    bore = answers.bores().waste();
  }

  /** What runs into a gray tank through one trap: taps, or the inlet of a separator. */
  private record Into(List<Made> taps, boolean separator) {}

  /**
   * Joins the wastes of the taps to the gray tanks, and empties these.
   *
   * @return the gray tanks' parts, by the short names of their answers
   */
  Map<String, PartId> join(TankMaker maker, List<Made> taps) {
    Map<String, PartId> tanks = new HashMap<>();
    List<TankAnswers> gray = answers.tanks(Contents.GRAY);
    List<Into> drops = drops(taps);
    for (int i = 0; i < gray.size(); i++) {
      List<Into> own = i == 0 ? drops : List.of();
      boolean rinsed = i == 0 && answers.waste().parts().rinse();
      int lines = answers.waste().parts().meet() ? Math.min(1, own.size()) : own.size();
      List<PortId> inlets = new ArrayList<>();
      for (int n = 0; n < lines; n++) {
        inlets.add(n == 0 ? PortId.WASTE : PortId.of("waste-" + (n + 1)));
      }
      if (rinsed) {
        inlets.add(RINSE);
      }
      PartId tank = maker.add(gray.get(i), inlets);
      List<PortRef> into = inlets.stream().map(inlet -> rig.get(tank).port(inlet)).toList();
      drop(own, into, gray.get(i));
      if (rinsed) {
        rinse(gray.get(i), into.getLast());
      }
      dump(gray.get(i), tank);
      tanks.put(gray.get(i).id(), tank);
    }
    for (Made made : taps) {
      boolean ground = made.tap().runs() == Runs.GROUND || gray.isEmpty();
      if (hasWaste(made) && ground) {
        ground(made.tap(), made.id());
      }
    }
    return tanks;
  }

  /** What runs in, each through its trap into an opening, or all into one where they meet. */
  private void drop(List<Into> own, List<PortRef> into, TankAnswers tank) {
    boolean meet = answers.waste().parts().meet() && own.size() > 1;
    if (!meet) {
      for (int n = 0; n < own.size(); n++) {
        drop(own.get(n), into.get(n), tank);
      }
      return;
    }
    PortRef at = into.getFirst();
    double height = rig.get(at.part()).at(at.port()).z() + 5 * Assembly.STEP;
    for (Into one : own.subList(0, own.size() - 1)) {
      PartId tee =
          rig.part(
              QuestionPage.WASTE,
              Says.GRAY_TEE.filled(tank.label()),
              tank.spot(),
              height,
              0,
              new Tee());
      rig.join(rig.get(tee).port(PortId.C), at, bore);
      drop(one, rig.get(tee).port(PortId.A), tank);
      at = rig.get(tee).port(PortId.B);
    }
    drop(own.getLast(), at, tank);
  }

  private void drop(Into one, PortRef into, TankAnswers tank) {
    if (one.separator()) {
      separator(into, tank);
    } else {
      drop(one.taps(), into, tank);
    }
  }

  /** The taps whose wastes meet in one trap, group by group, and the separator's inlet. */
  private List<Into> drops(List<Made> taps) {
    List<Into> drops = new ArrayList<>();
    List<Made> shared = new ArrayList<>();
    for (Made made : taps) {
      if (!hasWaste(made) || made.tap().runs() == Runs.GROUND) {
        continue;
      }
      boolean trapped = made.tap().runs() == Runs.TANK;
      if (trapped && answers.waste().sharedTrap().contains(made.tap().use())) {
        shared.add(made);
      } else {
        drops.add(new Into(List.of(made), false));
      }
    }
    if (!shared.isEmpty()) {
      drops.addFirst(new Into(shared, false));
    }
    if (answers.waste().parts().separator()) {
      drops.add(new Into(List.of(), true));
    }
    return drops;
  }

  /** The inlet of a urine separator, with a trap below it. */
  private void separator(PortRef into, TankAnswers tank) {
    double over = rig.get(into.part()).at(into.port()).z();
    PartId inlet =
        rig.part(
            QuestionPage.WASTE,
            Says.SEPARATOR.text(),
            tank.spot(),
            Math.max(over, rig.vehicle().floor()) + SEAT,
            0,
            new GravityFiller());
    PartId trap =
        rig.part(
            QuestionPage.WASTE,
            Says.SEPARATOR_TRAP.text(),
            tank.spot(),
            Math.max(over, rig.vehicle().floor()) + TRAY,
            TRAP_BODY,
            new DrainTrap());
    rig.join(rig.get(inlet).port(PortId.OUT), rig.get(trap).port(PortId.IN), bore);
    rig.join(rig.get(trap).port(PortId.OUT), into, bore);
    ways.add(Says.SEPARATOR_INTO.with(tank.label()));
  }

  /** A hose inlet that rinses the tank; a check valve keeps what is in it out of the hose. */
  private void rinse(TankAnswers tank, PortRef into) {
    double height = rig.get(into.part()).at(into.port()).z() + 10 * Assembly.STEP;
    double pipe = answers.bores().supply();
    PartId inlet =
        rig.part(
            QuestionPage.WASTE, Says.RINSE_INLET.text(), tank.spot(), height, 0, Fittings.inlet(4));
    PartId check =
        rig.part(
            QuestionPage.WASTE,
            Says.RINSE_CHECK_VALVE.text(),
            tank.spot(),
            height,
            Run.VALVE,
            Fittings.check());
    rig.join(rig.get(inlet).port(PortId.OUT), rig.get(check).port(PortId.IN), pipe);
    rig.join(rig.get(check).port(PortId.OUT), into, pipe);
  }

  /** What a toilet is flushed with goes to a bowl of its own. */
  private boolean hasWaste(Made made) {
    return made.tap().use() != Use.TOILET
        && rig.get(made.id()).kind().ports().contains(PortId.WASTE);
  }

  private void drop(List<Made> sharing, PortRef into, TankAnswers tank) {
    List<Part> above = sharing.stream().map(m -> rig.get(m.id())).toList();
    Spot spot = sharing.getFirst().tap().spot();
    double inlet = rig.get(into.part()).at(into.port()).z();
    double lowest = sharing.stream().mapToDouble(m -> trap(m.tap())).min().orElseThrow();
    double height = Math.max(inlet + 5 * Assembly.STEP, lowest);
    Optional<PortRef> at = Optional.empty();
    for (Part tap : above) {
      PortRef waste = tap.port(PortId.WASTE);
      if (at.isPresent()) {
        PartId tee =
            rig.part(
                QuestionPage.WASTE,
                Says.WASTE_TEE.text(),
                spot,
                height + 5 * Assembly.STEP,
                0,
                new Tee());
        rig.join(at.orElseThrow(), rig.get(tee).port(PortId.A), bore);
        rig.join(waste, rig.get(tee).port(PortId.B), bore);
        waste = rig.get(tee).port(PortId.C);
      }
      at = Optional.of(waste);
    }
    List<String> labels = above.stream().map(Part::label).toList();
    if (sharing.getFirst().tap().runs() == Runs.STRAIGHT) {
      rig.join(at.orElseThrow(), into, bore);
      ways.add(Says.STRAIGHT_INTO.with(String.join(", ", labels), tank.label()));
      return;
    }
    PartId trap =
        rig.part(
            QuestionPage.WASTE,
            labels.getFirst() + " trap",
            spot,
            height,
            TRAP_BODY,
            new DrainTrap());
    rig.join(at.orElseThrow(), rig.get(trap).port(PortId.IN), bore);
    rig.join(rig.get(trap).port(PortId.OUT), into, bore);
    ways.add(Says.TRAP.with(String.join(", ", labels), tank.label()));
  }

  /** Returns how high the trap of a tap hangs where nothing is in its way (m). */
  private double trap(Tap tap) {
    double hung = tap.height() - BELOW;
    return tap.use() == Use.SHOWER ? Math.min(hung, rig.vehicle().floor() + TRAY) : hung;
  }

  private void ground(Tap tap, PartId id) {
    double low = rig.vehicle().clearance() + 10 * Assembly.STEP;
    PartId end =
        rig.part(
            QuestionPage.TAPS,
            rig.get(id).label() + " waste",
            tap.spot(),
            low,
            0,
            Fittings.end(Role.DRAIN));
    rig.join(rig.get(id).port(PortId.WASTE), rig.get(end).port(PortId.IN), bore);
    ways.add(Says.THE_GROUND.with(rig.get(id).label()));
  }

  private void dump(TankAnswers tank, PartId id) {
    if (tank.drain() == TankAnswers.Drain.CARRIED) {
      ways.add(Says.IT_IS_CARRIED_OUT.with(tank.label()));
      return;
    }
    double wide = answers.waste().parts().outlet().orElse(OUTLET);
    double low = rig.get(id).at(PortId.of("drain")).z();
    double out = Math.max(rig.vehicle().clearance() + 1 * Assembly.STEP, low - 5 * Assembly.STEP);
    PortRef at = rig.get(id).port(PortId.of("drain"));
    String words = tank.label();
    if (answers.waste().dumpValve()) {
      PartId valve =
          rig.part(
              QuestionPage.WASTE,
              tank.label() + " dump",
              tank.spot(),
              Math.max(out, low - 2 * Assembly.STEP),
              8e-5,
              Fittings.twoWay(0, Says.PUSHED_IN.text(), Says.PULLED_OUT.text()));
      rig.join(at, rig.get(valve).port(PortId.A), wide);
      at = rig.get(valve).port(PortId.B);
      words += Says.DUMP_VALVE.text();
    }
    PartId outlet =
        rig.part(
            QuestionPage.WASTE,
            tank.label() + " outlet",
            tank.spot(),
            out,
            0,
            Fittings.end(Role.DUMP));
    rig.join(at, rig.get(outlet).port(PortId.IN), wide);
    ways.add(Says.OUTLET_WITH_ITS_CAP.with(words));
  }
}
