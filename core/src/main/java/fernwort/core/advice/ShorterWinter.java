package fernwort.core.advice;

import fernwort.core.describe.Fittings;
import fernwort.core.describe.RigEdit;
import fernwort.core.drain.Filled;
import fernwort.core.drain.Wintering;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.OpenEnd;
import fernwort.core.network.Network;
import fernwort.core.review.Finding;
import fernwort.core.review.LayoutReview;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import fernwort.core.winter.WinterizingMethods;
import fernwort.core.winter.sheets.FrostHarm;
import fernwort.core.winter.sheets.Groups;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;

/**
 * Finds the one part that would shorten a rig's winter most: each is put in and the sheet worked
 * out again.
 */
public final class ShorterWinter {

  /** A part is worth telling of from so many acts on; own choice. */
  private static final int ACTS = 2;

  /** So much antifreeze counts as an act (m³); own choice. */
  static final double AN_ACT = 5e-4;

  /** More parts than this are not tried: each is a winter worked out anew. */
  private static final int MOST = 4;

  /** What a small ball valve holds; own choice (m³). */
  private static final double A_BALL = 2e-5;

  /** How far a drain hangs below what it drains (m); own choice. */
  private static final double BELOW = 0.1;

  private static final Set<Finding.Code> FITTINGS =
      Set.of(Finding.Code.HEATER_BYPASS, Finding.Code.NO_LOW_DRAIN);

  /**
   * A part that would shorten the winter.
   *
   * @param words what to fit
   * @param acts how many acts fewer the sheet takes
   * @param antifreeze how much less antifreeze it takes (m³)
   * @param seconds how much sooner it is done (s)
   * @param parts ids of the parts that it is fitted at
   */
  public record Found(
      Message words, int acts, double antifreeze, double seconds, List<ElementId> parts) {

    private double worth() {
      return acts + antifreeze / AN_ACT;
    }
  }

  private record Trial(Message words, List<ElementId> parts, UnaryOperator<Rig> change) {}

  private final Network network;
  private final State state;
  private final WinterizingMethod school;
  private final WinterWish wish;

  private ShorterWinter(Network network, State state, WinterizingMethod school, WinterWish wish) {
    this.network = network;
    this.state = state;
    this.school = school;
    this.wish = wish;
  }

  /**
   * Returns the part that shortens one way through the winter most, if one is worth it.
   *
   * @param network the prepared rig
   * @param state how it stands, its lines full
   * @param school the way through the winter
   * @param wish what is asked of it
   */
  public static Optional<Found> of(
      Network network, State state, WinterizingMethod school, WinterWish wish) {
    return new ShorterWinter(network, state, school, wish).best();
  }

  private Optional<Found> best() {
    WinterPlan plan = plan(network, state);
    List<Trial> trials = new ArrayList<>();
    for (Finding finding : LayoutReview.of(network)) {
      // A way round the heater is worth its valves where antifreeze would fill it.
      boolean wanted = finding.code() != Finding.Code.HEATER_BYPASS || plan.litres() > 0;
      if (FITTINGS.contains(finding.code()) && wanted) {
        finding
            .change()
            .ifPresent(c -> {
              Message words = Message.of("{}. {}", finding.title(), finding.fix());
              trials.add(new Trial(words, finding.parts(), c));
            });
      }
    }
    if (plan.litres() > 0) {
      network.rig().parts().stream()
          .filter(p -> p.kind().is(Purpose.SUPPLIES))
          .forEach(pump -> suction(pump).ifPresent(line -> trials.add(port(pump, line))));
    }
    for (WinterStep step : plan.steps()) {
      step.hand()
          .filter(h -> h.sort() == WinterStep.Sort.UNDO)
          .flatMap(h -> drain(network.rig().part(h.part())))
          .ifPresent(trials::add);
    }
    return trials.stream()
        .limit(MOST)
        .flatMap(trial -> gain(trial, plan).stream())
        .max(Comparator.comparingDouble(Found::worth));
  }

  private Optional<Found> gain(Trial trial, WinterPlan plan) {
    try {
      Network changed = Network.of(trial.change().apply(network.rig()));
      WinterPlan shorter = plan(changed, on(changed));
      boolean safe = breaks(shorter) <= breaks(plan);
      Found found =
          new Found(
              trial.words(),
              acts(plan) - acts(shorter),
              plan.litres() - shorter.litres(),
              plan.seconds() - shorter.seconds(),
              trial.parts());
      return safe && found.worth() >= ACTS ? Optional.of(found) : Optional.empty();
    } catch (Refusal e) {
      // It does not fit in there: that is no advice.
      return Optional.empty();
    }
  }

  private static long breaks(WinterPlan plan) {
    return plan.left().stream().filter(r -> r.harm() == FrostHarm.DANGER).count();
  }

  /** The acts of a sheet; what is only waited for is none. */
  static int acts(WinterPlan plan) {
    List<Integer> groups = Groups.of(plan.steps());
    Set<Integer> acts = new HashSet<>();
    for (int i = 0; i < groups.size(); i++) {
      if (!plan.steps().get(i).isWait()) {
        acts.add(groups.get(i));
      }
    }
    return acts.size();
  }

  private WinterPlan plan(Network rig, State stands) {
    Wintering full = Filled.of(rig, stands);
    return WinterizingMethods.of(Plans.of(rig)).plan(school, full, wish);
  }

  /** The same state in a changed rig: what is new stands at rest. */
  private State on(Network changed) {
    Map<PartId, PositionId> positions = new TreeMap<>(changed.rig().atRest().positions());
    state.setting().positions().forEach((part, at) -> positions.replace(part, at));
    Map<PartId, Double> volumes = new HashMap<>();
    changed.tanks().forEach(t -> volumes.put(t.id(), state.volume(t.id())));
    return new State(new Setting(positions), volumes, state.slope());
  }

  private Optional<Line> suction(Part pump) {
    return Optional.ofNullable(network.rig().linesByPort().get(pump.port(PortId.IN)));
  }

  /** A selector in the suction line, with a hose that goes into the jug. */
  private static Trial port(Part pump, Line suction) {
    return new Trial(
        Says.FIT_AN_ANTIFREEZE_PORT.with(pump.label()),
        List.of(pump.id()),
        rig -> {
          boolean towards = suction.to().part().equals(pump.id());
          Part valve =
              new Part(
                  RigEdit.of(rig).freePart(pump.id() + "-port"),
                  Says.ANTIFREEZE_PORT.text(),
                  pump.place(),
                  pump.x(),
                  pump.y(),
                  pump.height(),
                  A_BALL,
                  Fittings.selector(
                      new Fittings.Choice(
                          PositionId.of("tank"), Says.POINTS_TO_THE_TANK.text(), 0, PortId.B),
                      new Fittings.Choice(
                          PositionId.of("jug"), Says.POINTS_TO_THE_JUG.text(), 180, PortId.C)));
          Rig split =
              RigEdit.of(rig)
                  .insert(
                      suction.id(),
                      valve,
                      towards ? PortId.B : PortId.A,
                      towards ? PortId.A : PortId.B);
          Part hose =
              new Part(
                  RigEdit.of(split).freePart(pump.id() + "-jug-hose"),
                  Says.ANTIFREEZE_HOSE.text(),
                  pump.place(),
                  pump.x(),
                  pump.y(),
                  pump.height() + BELOW,
                  0,
                  Fittings.inlet(0));
          return RigEdit.of(split)
              .addAt(hose, PortId.OUT, valve.port(PortId.C), suction.bore(), 0.5);
        });
  }

  /** A drain valve at the line beside a part that a spanner has to take off. */
  private Optional<Trial> drain(Part part) {
    return network.rig().lines().stream()
        .filter(l -> l.from().part().equals(part.id()) || l.to().part().equals(part.id()))
        .findFirst()
        .map(line ->
            new Trial(
                Says.FIT_A_DRAIN_VALVE_AT_THE_LOWEST.with(part.label()),
                List.of(part.id()),
                rig -> {
                  double height = RigEdit.of(rig).middle(line.id()).height();
                  Part valve =
                      new Part(
                          RigEdit.of(rig).freePart(part.id() + "-drain"),
                          RigEdit.shortened(part.label() + " drain"),
                          part.place(),
                          part.x(),
                          part.y(),
                          height - BELOW,
                          A_BALL,
                          Fittings.twoWay(90));
                  Rig teed = RigEdit.of(rig).teeOff(line.id(), valve, PortId.A, BELOW);
                  Part tail =
                      new Part(
                          RigEdit.of(teed).freePart(part.id() + "-tail"),
                          RigEdit.shortened(part.label() + " tail"),
                          part.place(),
                          part.x(),
                          part.y(),
                          height - 2 * BELOW,
                          0,
                          Fittings.end(OpenEnd.Role.DRAIN));
                  return RigEdit.of(teed)
                      .addAt(tail, PortId.IN, valve.port(PortId.B), line.bore(), BELOW);
                }));
  }

  /** Returns in a sentence what a part saves. */
  public static Message saves(Found found) {
    List<Message> saved = new ArrayList<>();
    if (found.acts() > 0) {
      saved.add(
          Message.words(
              found.acts() == 1
                  ? Says.FOR_1_THING_TO_DO.text()
                  : Says.THINGS_TO_DO.filled(found.acts())));
    }
    if (found.antifreeze() > AN_ACT) {
      saved.add(Says.OF_ANTIFREEZE.with(Amount.volume(found.antifreeze())));
    }
    return Says.IT_SAVES.with(Message.joined(" and ", saved));
  }
}
