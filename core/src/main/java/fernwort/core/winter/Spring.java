package fernwort.core.winter;

import fernwort.core.drain.Wintering;
import fernwort.core.glycol.Chain;
import fernwort.core.glycol.Element;
import fernwort.core.hygiene.Dose;
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
import fernwort.core.say.Message;
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
  private final Map<String, Element> elements = new HashMap<>();

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
    LOOK_FOR_LEAKS("Look for leaks");

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
    spring.putBack("As it was.", part -> spring.before.of(part.id()));
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
    asBefore("As it was before the winter.");
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
          sheet.put(part, before.of(part.id()), "From half way.");
        } else {
          sheet.put(
              part,
              part.kind().service().getFirst().id(),
              "Look at its seal; a new one costs little.");
        }
      }
    }
    asBefore("Open since the autumn.");
  }

  private void asBefore(String why) {
    putBack(why, part -> part.kind().is(Purpose.TURNS) ? before.of(part.id()) : part.rest().id());
  }

  private void putBack(String why, Function<Part, String> position) {
    for (Part part : sheet.byPlace(network.rig().handles())) {
      String rest = position.apply(part);
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
            part.label() + ": leave the cartridge out, bowl on",
            "Chlorine and antifreeze spoil it; it comes back last.",
            60,
            false);
      }
    }
  }

  private void fill() {
    for (Part tank : network.rig().tanks(Contents.FRESH).toList()) {
      sheet.heed(
          tank.place(),
          "Fill " + tank.label() + " a third, with drinking water",
          "By the way you always fill it. Look under it and at its fittings meanwhile.",
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
            () ->
                sheet.note(
                    Message.words(
                        "The taps run from no tank by themselves: flush them as you use them.")));
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
            new InjectionPoint.Inlet(p, p.port("out"), "", "", Optional.empty(), Optional.empty()))
        .or(() -> InjectionPoint.forAntifreeze(network, sheet.now()));
  }

  /** What is low runs last, until it is clear, too. */
  private void flushLow() {
    for (Part part : LowPoints.of(network)) {
      String open = LowPoints.open(part);
      sheet.put(part, open, "Until it runs clear, a cup or two.");
      sheet.put(part, part.rest().id(), "Then close it.");
    }
  }

  /** Each outlet, cold until clear, then hot, then what is low. */
  private void flush(Wintering autumn) {
    Optional<InjectionPoint.Inlet> inlet = flushedFrom();
    if (inlet.isEmpty()) {
      sheet.note(
          Message.words("No pump or inlet leads to a tap: flush each by hand, from its tank."));
      return;
    }
    double strongest = autumn.glycol().values().stream().mapToDouble(s -> s).max().orElse(0);
    List<Route> routes =
        Routes.from(network, sheet.now(), inlet.get().out()).stream()
            .filter(r -> !r.outlet().equals(inlet.get().part()))
            .sorted(
                Comparator.comparing((Route r) -> r.position().equals(Tap.HOT.id()))
                    .thenComparingDouble(Route::length))
            .toList();
    double sum = 0;
    Set<String> wet = new HashSet<>();
    for (Route route : routes) {
      double dry =
          route.lines().stream()
              .filter(l -> !wet.contains(l.id()))
              .mapToDouble(l -> l.volume() - autumn.wetness().volume(l))
              .sum();
      route.lines().forEach(l -> wet.add(l.id()));
      double litres = dry + flushing(route, strongest);
      sum += litres;
      sheet.put(route.outlet(), route.position(), "Slowly: it spits air at first.");
      sheet.add(
          new WinterStep(
                  new Operation.Filled(none(route)),
                  route.outlet().place(),
                  litres < LITTLE
                      ? Message.of("{}: until no more air comes", route.outlet().label())
                      : strongest > 0
                          ? Message.of(
                              "{}: until it runs clear and no longer foams, about {}",
                              route.outlet().label(),
                              Amount.volume(litres))
                          : Message.of(
                              "{}: first water after {}, {} go into the lines",
                              route.outlet().label(),
                              Amount.time(Math.max(1, dry / TAP)),
                              Amount.volume(litres)),
                  Message.words("Then close it, and the next."),
                  litres / TAP,
                  true,
                  0)
              .by(WinterStep.Hand.of(route.outlet().id(), WinterStep.Sort.RUN).running(litres)));
      sheet.put(route.outlet(), Tap.SHUT.id(), "Then the next.");
    }
    flushLow();
    if (sum >= LITTLE) {
      sheet.note(
          Message.of(
              "Flushing takes {} in all; the gray tank needs room for it, or empty it in between"
                  + " where local rules permit.",
              Amount.volume(sum)));
    }
  }

  private Map<String, Double> none(Route route) {
    Map<String, Double> none = new HashMap<>();
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
        "",
        (pressed ? "Pressure on, everything" : "Everything")
            + " closed: look at every joint with a dry tissue",
        pressed
            ? "A quarter of an hour; the pump must not start by itself meanwhile."
            : "A quarter of an hour; there is no pressure here, so leaks drip slowly."
                + (worked ? " Look behind the pump again while somebody works it." : ""),
        LOOKING,
        true);
  }

  private void sanitize() {
    for (Part part : network.rig().tanks(Contents.FRESH).toList()) {
      sheet.heed(
          part.place(),
          Message.of(
              "{}: {} of plain bleach of 6 g/100 mL with a jug of water, then fill it up",
              part.label(),
              Amount.volume(dose(part).bleach())),
          "50 mg/L: the product's label and local rules first. Never with acids or other cleaners.",
          FILLING,
          false);
    }
    sheet.heed(
        "",
        "Run each tap%s until it smells of it; then wait 4 hours"
            .formatted(has(p -> p.kind().ports().contains("hot")) ? ", cold and hot," : ""),
        (has(p -> p.kind().is(Purpose.FILTERS)) ? "Cartridges stay out. " : "")
            + (has(p -> p.kind().is(Purpose.HEATS)) ? "The heater stays off. " : "")
            + "Until then, nobody drinks it.",
        CONTACT,
        true);
    for (Part part : network.rig().tanks(Contents.FRESH).toList()) {
      int changes = dose(part).changes();
      sheet.heed(
          part.place(),
          "%s: drain and fill it %s, running every tap each time"
              .formatted(part.label(), changes == 1 ? "once" : changes + " times"),
          "Then no more than 0.5 mg/L is left of it.",
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
            part.label() + ": cartridge back in",
            "Rinse it as its maker says.",
            120,
            false);
      }
    }
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.HEATS)) {
        sheet.heed(
            part.place(),
            part.label() + ": full before it is lit; a hot tap runs without air",
            "Gas and mains electricity are for licensed hands.",
            60,
            false);
      }
    }
  }
}
