package fernwort.core.winter;

import fernwort.core.drain.Wintering;
import fernwort.core.glycol.Chain;
import fernwort.core.glycol.Element;
import fernwort.core.hygiene.Dose;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PlaceId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.jobs.find.Jobs;
import fernwort.core.jobs.goal.Job;
import fernwort.core.jobs.goal.Plan;
import fernwort.core.jobs.plan.Plans;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.line.Valve;
import fernwort.core.kind.machine.Pump;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.tank.TankFigures;
import fernwort.core.winter.routes.InjectionPoint;
import fernwort.core.winter.routes.Route;
import fernwort.core.winter.routes.Routes;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterPlan;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterizingMethod;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A rig woken: what the autumn's record says is off or open is closed, flushed, sanitized. What is
 * done of it in between, in a rig in use, are chores.
 */
public final class Spring {

  /** Less than this share of what was filled in counts as clear. */
  private static final double CLEAR = 0.01;

  private static final double CONTACT = 4 * 3600;

  private static final double TAP = 8e-5;

  /** Less than a glass is not worth a figure (m³). */
  private static final double LITTLE = 5e-5;

  private static final double MOST = 0.2;
  private static final double LOOKING = 900;
  private static final double FILLING = 1200;

  private final Plans plans;
  private final Network network;
  private final Setting before;
  private final WinterSheet sheet;
  private final Map<ElementId, Element> elements = new HashMap<>();

  private Spring(Plans plans, Wintering autumn, Setting before) {
    this.plans = plans;
    network = plans.network();
    this.before = before;
    sheet = new WinterSheet(network, autumn);
  }

  /**
   * Returns how a rig is woken.
   *
   * @param plans plans jobs of the rig
   * @param autumn how the autumn left it
   * @param before how its handles stood before
   */
  public static WinterPlan of(Plans plans, Wintering autumn, Setting before) {
    return new Spring(plans.brief().careful(), autumn, before).plan(autumn);
  }

  /** What is done now and then in a rig in use. */
  public enum Chore {
    SANITIZE("Sanitize"),
    LOOK_FOR_LEAKS(Says.LOOK_FOR_LEAKS.text());

    private final String title;

    Chore(String title) {
      this.title = title;
    }

    /** Returns what it is called. */
    public String title() {
      return title;
    }
  }

  /**
   * Returns how a chore is done; the handles stand afterwards as they do now.
   *
   * @param inUse how the rig stands, its lines full
   */
  public static WinterPlan of(Plans plans, Chore chore, Wintering inUse) {
    Spring spring = new Spring(plans.brief().careful(), inUse, inUse.state().setting());
    switch (chore) {
      case SANITIZE -> {
        spring.cartridgesOut();
        spring.runTaps();
        spring.sanitize();
        spring.cartridgesIn();
      }
      case LOOK_FOR_LEAKS -> {
        spring.runTaps();
        spring.look();
      }
    }
    spring.putBack(Says.AS_IT_WAS.text(), part -> spring.before.of(part.id()));
    return plan(inUse, spring.sheet);
  }

  private WinterPlan plan(Wintering autumn) {
    refit();
    cartridgesOut();
    fill();
    runTaps();
    flush(autumn);
    look();
    sanitize();
    cartridgesIn();
    asBefore(Says.AS_IT_WAS_BEFORE_THE_WINTER.text());
    return plan(autumn, sheet);
  }

  private static WinterPlan plan(Wintering autumn, WinterSheet sheet) {
    return new WinterPlan(
        WinterizingMethod.FALL,
        sheet.steps(),
        autumn,
        sheet.now(),
        List.of(),
        sheet.notes(),
        List.of(),
        0,
        OptionalDouble.empty(),
        "");
  }

  /** Bowls on, plugs in, fittings back; then handles and caps as they were. */
  private void refit() {
    for (Part part : sheet.byPlace(network.rig().parts().stream())) {
      if (sheet.now().service().containsKey(part.id())) {
        if (sheet.now().has(part, Valve.HALF)) {
          sheet.put(part, before.of(part.id()), Says.FROM_HALF_WAY.text());
        } else {
          sheet.put(
              part, part.kind().service().getFirst().id(), Says.LOOK_AT_ITS_SEAL_A_NEW.text());
        }
      }
    }
    asBefore(Says.OPEN_SINCE_THE_AUTUMN.text());
  }

  private void asBefore(String why) {
    putBack(why, part -> part.kind().is(Purpose.TURNS) ? before.of(part.id()) : part.rest().id());
  }

  private void putBack(String why, Function<Part, PositionId> position) {
    for (Part part : sheet.byPlace(network.rig().handles())) {
      PositionId rest = position.apply(part);
      if (!sheet.now().state().setting().of(part.id()).equals(rest)) {
        sheet.put(part, rest, why);
      }
    }
  }

  private void cartridgesOut() {
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.FILTERS)) {
        sheet.heed(
            part.place(),
            Says.LEAVE_THE_CARTRIDGE_OUT_BOWL_ON.filled(part.label()),
            Says.CHLORINE_AND_ANTIFREEZE_SPOIL.text(),
            60,
            false);
      }
    }
  }

  private void fill() {
    for (Part tank : network.rig().tanks(Contents.FRESH).toList()) {
      sheet.heed(
          tank.place(),
          Says.FILL_A_THIRD_WITH_DRINKING_WATER.filled(tank.label()),
          Says.BY_THE_WAY_YOU_ALWAYS_FILL.text(),
          FILLING,
          false);
    }
  }

  /** Handles and pump as the taps need them, from the first tank from which they run. */
  private void runTaps() {
    State third = sheet.now().state();
    for (Part tank : network.rig().tanks(Contents.FRESH).toList()) {
      third = third.withVolume(tank.id(), network.room(tank.id()).capacity() / 3);
    }
    State filled = third;
    running(j -> j.kind() == Job.Kind.RUN_FROM_MAINS, filled)
        .or(() -> running(j -> j.kind().is(Job.Is.FROM_TANK), filled))
        .ifPresentOrElse(
            plan ->
                plan.moves().forEach(m -> sheet.put(network.rig().part(m.part()), m.to(), m.why())),
            () -> sheet.note(Says.THE_TAPS_RUN_FROM_NO_TANK.with()));
  }

  private Optional<Plan> running(Predicate<Job> by, State filled) {
    return Jobs.of(network).all().stream()
        .filter(by)
        .map(j -> plans.plan(j, filled))
        .filter(p -> p.trouble().isEmpty())
        .findFirst();
  }

  /** Where the water comes in that flushes: the hose, where one is on, else as antifreeze did. */
  private Optional<InjectionPoint.Inlet> flushedFrom() {
    return network.rig().parts().stream()
        .filter(p -> p.kind().is(Purpose.MAINS))
        .filter(p -> sheet.now().state().setting().has(p.id(), HoseInlet.MAINS.id()))
        .findFirst()
        .map(p ->
            new InjectionPoint.Inlet(
                p, p.port(PortId.OUT), "", "", Optional.empty(), Optional.empty()))
        .or(() -> InjectionPoint.forAntifreeze(network, sheet.now()));
  }

  /** What is low runs last, until it is clear, too. */
  private void flushLow() {
    for (Part part : LowPoints.of(network)) {
      PositionId open = LowPoints.open(part);
      sheet.put(part, open, Says.UNTIL_IT_RUNS_CLEAR_A_CUP.text());
      sheet.put(part, part.rest().id(), Says.THEN_CLOSE_IT.text());
    }
  }

  /** Each outlet, cold until clear, then hot, then what is low. */
  private void flush(Wintering autumn) {
    Optional<InjectionPoint.Inlet> inlet = flushedFrom();
    if (inlet.isEmpty()) {
      sheet.note(Says.NO_PUMP_OR_INLET_LEADS.with());
      return;
    }
    double strongest = autumn.glycol().values().stream().mapToDouble(s -> s).max().orElse(0);
    List<Route> routes = nearestFirst(Routes.from(network, sheet.now(), inlet.get().out()));
    routes.removeIf(r -> r.outlet().equals(inlet.get().part()));
    double sum = 0;
    Set<ElementId> wet = new HashSet<>();
    for (Route route : routes) {
      double dry =
          route.lines().stream()
                  .filter(l -> wet.add(l.id()))
                  .mapToDouble(l -> l.volume() - autumn.wetness().volume(l))
                  .sum()
              + route.bodies().stream()
                  .filter(p -> wet.add(p.id()))
                  .mapToDouble(p -> p.volume() - autumn.wetness().body(p.id()))
                  .sum();
      double litres = dry + flushing(route, strongest);
      sum += litres;
      sheet.put(route.outlet(), route.position(), Says.SLOWLY_IT_SPITS_AIR_AT_FIRST.text());
      sheet.add(
          new WinterStep(
                  new Operation.Filled(none(route)),
                  route.outlet().place(),
                  litres < LITTLE
                      ? Says.UNTIL_NO_MORE_AIR_COMES.with(route.outlet().label())
                      : strongest > 0
                          ? Says.UNTIL_IT_RUNS_CLEAR.with(
                              route.outlet().label(), Amount.volume(litres))
                          : Says.FIRST_WATER_AFTER_GO.with(
                              route.outlet().label(),
                              Amount.time(Math.max(1, dry / TAP)),
                              Amount.volume(litres)),
                  Says.THEN_CLOSE_IT_AND_THE_NEXT.with(),
                  litres / TAP,
                  true,
                  0)
              .by(WinterStep.Hand.of(route.outlet().id(), WinterStep.Sort.RUN).running(litres)));
      sheet.put(route.outlet(), Tap.SHUT.id(), Says.THEN_THE_NEXT.text());
    }
    flushLow();
    if (sum >= LITTLE) {
      sheet.note(Says.FLUSHING_TAKES_IN_ALL_THE_GRAY.with(Amount.volume(sum)));
    }
  }

  /**
   * Returns the ways to the nearest outlet first, cold before hot, so that each is gone to once.
   */
  private static List<Route> nearestFirst(List<Route> routes) {
    Map<PartId, Double> near = new HashMap<>();
    routes.forEach(r -> near.merge(r.outlet().id(), r.length(), Math::min));
    List<Route> sorted = new ArrayList<>(routes);
    sorted.sort(
        Comparator.comparingDouble((Route r) -> near.getOrDefault(r.outlet().id(), 0.0))
            .thenComparing(r -> r.outlet().id())
            .thenComparing(r -> r.position().equals(Tap.HOT.id())));
    return sorted;
  }

  private Map<ElementId, Double> none(Route route) {
    Map<ElementId, Double> none = new HashMap<>();
    route.lines().forEach(l -> none.put(l.id(), 0.0));
    route.bodies().stream().filter(p -> p.volume() > 0).forEach(p -> none.put(p.id(), 0.0));
    return none;
  }

  /** Litres until less than a hundredth of the antifreeze's strength is left (m³). */
  private double flushing(Route route, double strongest) {
    List<Element> chain = new ArrayList<>();
    for (Route.Leg leg : route.legs()) {
      if (leg instanceof Route.Leg.Body body && body.part().volume() <= 0) {
        continue;
      }
      chain.add(
          switch (leg) {
            case Route.Leg.Through t ->
                elements.computeIfAbsent(
                    t.line().id(),
                    id -> new Element.Pipe(t.line().volume(), sheet.now().strength(id)));
            case Route.Leg.Body b ->
                elements.computeIfAbsent(
                    b.part().id(),
                    id -> new Element.Vessel(b.part().volume(), sheet.now().strength(id)));
          });
    }
    return strongest <= 0 ? 0 : new Chain(chain).flush(CLEAR * strongest, MOST);
  }

  private void look() {
    boolean pressed = pumps().anyMatch(pump -> !pump.works().byHand());
    boolean worked = pumps().anyMatch(pump -> pump.works().byHand());
    sheet.heed(
        PlaceId.NONE,
        Says.CLOSED_LOOK_AT_EVERY_JOINT.filled(
            (pressed ? Says.PRESSURE_ON_EVERYTHING.text() : "Everything")),
        pressed
            ? Says.A_QUARTER_OF_AN_HOUR_THE_PUMP.text()
            : Says.A_QUARTER_OF_AN_HOUR.filled(
                (worked ? Says.LOOK_BEHIND_THE_PUMP_AGAIN_WHILE.text() : "")),
        LOOKING,
        true);
  }

  private void sanitize() {
    for (Part part : network.rig().tanks(Contents.FRESH).toList()) {
      sheet.heed(
          part.place(),
          Says.OF_PLAIN_BLEACH_OF_6_G_100.with(part.label(), Amount.volume(dose(part).bleach())),
          Says.FOR_50_MG_L_THE_PRODUCTS_LABEL.text(),
          FILLING,
          false);
    }
    sheet.heed(
        PlaceId.NONE,
        Says.RUN_EACH_TAP_UNTIL_IT_SMELLS.filled(
            has(p -> p.kind().ports().contains(PortId.HOT)) ? Says.COLD_AND_HOT.text() : ""),
        (has(p -> p.kind().is(Purpose.FILTERS)) ? Says.CARTRIDGES_STAY_OUT.text() : "")
            + (has(p -> p.kind().is(Purpose.HEATS)) ? Says.THE_HEATER_STAYS_OFF.text() : "")
            + Says.UNTIL_THEN_NOBODY_DRINKS_IT.text(),
        CONTACT,
        true);
    for (Part part : network.rig().tanks(Contents.FRESH).toList()) {
      int changes = dose(part).changes();
      sheet.heed(
          part.place(),
          Says.DRAIN_AND_FILL_IT_RUNNING_EVERY.filled(
              part.label(), changes == 1 ? "once" : changes + " times"),
          Says.THEN_NO_MORE_THAN_0_5_MG.text(),
          FILLING * changes,
          false);
    }
  }

  private boolean has(Predicate<Part> wanted) {
    return network.rig().parts().stream().anyMatch(wanted);
  }

  /** Pumps that bring water to taps. */
  private Stream<Pump> pumps() {
    return network.pumps().stream()
        .map(Part::kind)
        .filter(Pump.class::isInstance)
        .map(Pump.class::cast)
        .filter(pump -> pump.duty() == Pump.Duty.SUPPLY);
  }

  private Dose dose(Part tank) {
    TankFigures figures = network.figures(tank, sheet.now().state().slope());
    return Dose.sanitizing(figures.full(), figures.stranded());
  }

  private void cartridgesIn() {
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.FILTERS)) {
        sheet.heed(
            part.place(),
            Says.CARTRIDGE_BACK_IN.filled(part.label()),
            Says.RINSE_IT_AS_ITS_MAKER_SAYS.text(),
            120,
            false);
      }
    }
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.HEATS)) {
        sheet.heed(
            part.place(),
            Says.FULL_BEFORE_IT_IS_LIT_A_HOT.filled(part.label()),
            Says.GAS_AND_MAINS_ELECTRICITY.text(),
            60,
            false);
      }
    }
  }
}
