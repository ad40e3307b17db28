package fernwort.core.guide;

import fernwort.core.describe.Fittings;
import fernwort.core.guide.RigAnswers.Runs;
import fernwort.core.guide.RigAnswers.Spot;
import fernwort.core.guide.RigAnswers.Tap;
import fernwort.core.guide.RigAnswers.Use;
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

  /**
   * Joins the wastes of the taps (ids by their answers) to the gray tanks, and empties these.
   *
   * @return the gray tanks' parts, by the short names of their answers
   */
  Map<String, String> join(TankMaker maker, Map<Tap, String> taps) {
    Map<String, String> tanks = new HashMap<>();
    List<RigAnswers.Tank> gray = answers.tanks(Contents.GRAY);
    List<List<Tap>> groups = groups(taps);
    for (int i = 0; i < gray.size(); i++) {
      List<List<Tap>> own = i == 0 ? groups : List.of();
      List<String> inlets = new ArrayList<>();
      for (int n = 0; n < own.size(); n++) {
        inlets.add(n == 0 ? "waste" : "waste-" + (n + 1));
      }
      String tank = maker.add(gray.get(i), inlets);
      for (int n = 0; n < own.size(); n++) {
        drop(own.get(n), taps, rig.get(tank).port(inlets.get(n)), gray.get(i));
      }
      dump(gray.get(i), tank);
      tanks.put(gray.get(i).id(), tank);
    }
    taps.forEach((tap, id) -> {
      boolean ground = tap.runs() == Runs.GROUND || gray.isEmpty();
      if (hasWaste(tap, id) && ground) {
        ground(tap, id);
      }
    });
    return tanks;
  }

  /** The taps whose wastes meet in one trap, group by group. */
  private List<List<Tap>> groups(Map<Tap, String> taps) {
    List<List<Tap>> groups = new ArrayList<>();
    List<Tap> shared = new ArrayList<>();
    taps.forEach((tap, id) -> {
      if (!hasWaste(tap, id) || tap.runs() == Runs.GROUND) {
        return;
      }
      if (answers.waste().sharedTrap().contains(tap.use())) {
        shared.add(tap);
      } else {
        groups.add(List.of(tap));
      }
    });
    if (!shared.isEmpty()) {
      groups.addFirst(shared);
    }
    return groups;
  }

  /** What a toilet is flushed with goes to a bowl of its own. */
  private boolean hasWaste(Tap tap, String id) {
    return tap.use() != Use.TOILET && rig.get(id).kind().ports().contains("waste");
  }

  private void drop(List<Tap> sharing, Map<Tap, String> taps, PortRef into, RigAnswers.Tank tank) {
    List<Part> above = sharing.stream().map(taps::get).map(rig::get).toList();
    Spot spot = sharing.getFirst().spot();
    double inlet = rig.get(into.part()).at(into.port()).z();
    double lowest = sharing.stream().mapToDouble(this::trap).min().orElseThrow();
    double height = Math.max(inlet + 0.05, lowest);
    Optional<PortRef> at = Optional.empty();
    for (Part tap : above) {
      PortRef waste = tap.port("waste");
      if (at.isPresent()) {
        String tee =
            rig.part(QuestionPage.WASTE, Says.WASTE_TEE.text(), spot, height + 0.05, 0, new Tee());
        rig.join(at.orElseThrow(), rig.get(tee).port("a"), bore);
        rig.join(waste, rig.get(tee).port("b"), bore);
        waste = rig.get(tee).port("c");
      }
      at = Optional.of(waste);
    }
    List<String> labels = above.stream().map(Part::label).toList();
    String trap =
        rig.part(
            QuestionPage.WASTE,
            labels.getFirst() + " trap",
            spot,
            height,
            TRAP_BODY,
            new DrainTrap());
    rig.join(at.orElseThrow(), rig.get(trap).port("in"), bore);
    rig.join(rig.get(trap).port("out"), into, bore);
    ways.add(Says.TRAP.with(String.join(", ", labels), tank.label()));
  }

  /** Returns how high the trap of a tap hangs where nothing is in its way (m). */
  private double trap(Tap tap) {
    double hung = tap.height() - BELOW;
    return tap.use() == Use.SHOWER ? Math.min(hung, rig.vehicle().floor() + TRAY) : hung;
  }

  private void ground(Tap tap, String id) {
    double low = rig.vehicle().clearance() + 0.1;
    String end =
        rig.part(
            QuestionPage.TAPS,
            rig.get(id).label() + " waste",
            tap.spot(),
            low,
            0,
            Fittings.end(Role.DRAIN));
    rig.join(rig.get(id).port("waste"), rig.get(end).port("in"), bore);
    ways.add(Says.THE_GROUND.with(rig.get(id).label()));
  }

  private void dump(RigAnswers.Tank tank, String id) {
    double low = rig.get(id).at("drain").z();
    double out = Math.max(rig.vehicle().clearance() + 0.01, low - 0.05);
    PortRef at = rig.get(id).port("drain");
    String words = tank.label();
    if (answers.waste().dumpValve()) {
      String valve =
          rig.part(
              QuestionPage.WASTE,
              tank.label() + " dump",
              tank.spot(),
              Math.max(out, low - 0.02),
              8e-5,
              Fittings.twoWay(0, Says.PUSHED_IN.text(), Says.PULLED_OUT.text()));
      rig.join(at, rig.get(valve).port("a"), 0.038);
      at = rig.get(valve).port("b");
      words += Says.DUMP_VALVE.text();
    }
    String outlet =
        rig.part(
            QuestionPage.WASTE,
            tank.label() + " outlet",
            tank.spot(),
            out,
            0,
            Fittings.end(Role.DUMP));
    rig.join(at, rig.get(outlet).port("in"), 0.038);
    ways.add(Says.OUTLET_WITH_ITS_CAP.with(words));
  }
}
