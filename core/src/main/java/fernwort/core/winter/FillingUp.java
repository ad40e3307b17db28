package fernwort.core.winter;

import fernwort.core.drain.Stretch;
import fernwort.core.drain.Wintering;
import fernwort.core.glycol.Chain;
import fernwort.core.glycol.Element;
import fernwort.core.id.ElementId;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.winter.routes.InjectionPoint;
import fernwort.core.winter.routes.Route;
import fernwort.core.winter.routes.Routes;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Antifreeze drawn or pushed in, outlet by outlet, until each runs coloured. */
final class FillingUp {

  /** Coloured: this share of the strength filled in. */
  private static final double COLOURED = 0.9;

  /** An outlet that is not coloured after this is not filled by this way (m³). */
  private static final double MOST = 0.06;

  /** A slow stream by a small pump (m³/s). */
  private static final double SLOW = 5e-5;

  /** What it takes to put a suction hose into a jug (s). */
  private static final double INTO_JUG = 180;

  /** What it takes to put it back (s). */
  private static final double OUT_OF_JUG = 120;

  private final WinterSheet sheet;
  private final Network network;
  private final WinterWish wish;
  private final Map<ElementId, Element> elements = new HashMap<>();

  FillingUp(WinterSheet sheet, WinterWish wish) {
    this.sheet = sheet;
    network = sheet.network();
    this.wish = wish;
  }

  /**
   * Returns the ids of the parts and lines that antifreeze comes into or a jug takes the place of.
   */
  Set<ElementId> passed() {
    Set<ElementId> passed = new HashSet<>();
    InjectionPoint.forAntifreeze(network, sheet.now())
        .ifPresent(inlet -> {
          passed.add(inlet.part().id());
          suction(inlet).ifPresent(passed::add);
          for (Route route : Routes.from(network, sheet.now(), inlet.out())) {
            route.bodies().forEach(part -> passed.add(part.id()));
            route.lines().forEach(line -> passed.add(line.id()));
          }
        });
    return passed;
  }

  /** What was undone on the ways or beside them is put back, tipped out. */
  private void refit(InjectionPoint.Inlet inlet, List<Route> routes) {
    for (Part part : network.rig().parts()) {
      boolean beside =
          part.equals(inlet.part())
              || routes.stream()
                  .flatMap(r -> r.lines().stream())
                  .anyMatch(
                      l -> l.from().part().equals(part.id()) || l.to().part().equals(part.id()));
      if (beside && sheet.now().has(part, Kind.UNDONE)) {
        sheet.put(part, part.kind().service().getFirst().id(), Says.TIPPED_OUT_AND_BACK_ON.text());
      }
    }
  }

  void fill() {
    Optional<InjectionPoint.Inlet> found = InjectionPoint.forAntifreeze(network, sheet.now());
    if (found.isEmpty()) {
      sheet.note(Says.NO_PLACE_TO_LET_ANTIFREEZE.with());
      new TrapDosing(sheet, wish).pour();
      return;
    }
    InjectionPoint.Inlet inlet = found.get();
    List<Route> routes =
        Routes.from(network, sheet.now(), inlet.out()).stream()
            .filter(r -> !r.outlet().equals(inlet.part()))
            .sorted(Comparator.comparingDouble(Route::length))
            .toList();
    List<Route> visits = Route.byOutlet(routes);
    Wintering before = sheet.now();
    sheet.shutTaps(Says.SO_THAT_NONE_RUNS_OUT_HERE.text());
    sheet.add(
        new WinterStep(
                inlet
                    .giving()
                    .<Operation>map(to -> new Operation.Put(inlet.part().id(), to))
                    .orElseGet(() -> letGo(inlet)),
                inlet.part().place(),
                Message.words(inlet.part().label() + ": " + inlet.words()),
                Says.PREMIXED_GLYCOL_FOR_DRINKING.with(),
                INTO_JUG,
                false,
                0)
            .by(WinterStep.Hand.of(inlet.part().id(), WinterStep.Sort.JUG)));
    sheet.shutEnds(inlet.part(), inlet.out(), Says.SO_THAT_NONE_RUNS_OUT_HERE.text());
    sheet.closeBeside(inlet.out(), routes);
    refit(inlet, routes);
    // A pump gives nothing while it is off, and runs dry while the jug is.
    Optional<Part> pump = inlet.pump();
    pump.ifPresent(p -> sheet.put(p, Kind.ON, Says.IT_DRAWS_FROM_THE_JUG_OFF.text()));
    for (Route route : visits) {
      push(inlet, route);
    }
    LowPoints.of(network).forEach(low -> colour(low, routes));
    pump.ifPresent(p -> sheet.put(p, Position.OFF.id(), Says.ALL_LINES_ARE_FILLED.text()));
    sheet.heed(
        inlet.part(),
        WinterStep.Hand.of(inlet.part().id(), WinterStep.Sort.JUG).comingOff(),
        inlet.part().label() + ": " + inlet.done(),
        Says.SO_IT_IS_NOT_FORGOTTEN.text(),
        OUT_OF_JUG,
        false);
    inTheTees(routes);
    sheet.openBeside(before);
    List<Part> missed =
        network.rig().parts().stream()
            .filter(p -> p.kind().is(Purpose.USE))
            .filter(p -> routes.stream().noneMatch(r -> r.outlet().equals(p)))
            .toList();
    for (Part part : missed) {
      sheet.note(Says.ANTIFREEZE_FROM.with(part.label()));
    }
    new TrapDosing(sheet, wish).pour();
  }

  /** A suction hose that comes off a pump lets go of its water. */
  private Operation letGo(InjectionPoint.Inlet inlet) {
    return suction(inlet)
        .<Operation>map(line -> new Operation.Blown(List.of(line), List.of()))
        .orElseGet(Operation.Heed::new);
  }

  /** The suction hose that comes off a pump to draw from the jug. */
  private Optional<LineId> suction(InjectionPoint.Inlet inlet) {
    return inlet.part().kind().is(Purpose.PUMPS)
        ? network.lineId(inlet.part().port(PortId.IN))
        : Optional.empty();
  }

  private void push(InjectionPoint.Inlet inlet, Route route) {
    List<ElementId> ids = new ArrayList<>();
    List<Element> chain = new ArrayList<>();
    if (inlet.part().kind().is(Purpose.PUMPS)) {
      ids.add(inlet.part().id());
      chain.add(body(inlet.part()));
    }
    PortRef at = inlet.out();
    for (Route.Leg leg : route.legs()) {
      switch (leg) {
        case Route.Leg.Through through -> {
          Line line = through.line();
          boolean back = line.to().equals(at);
          at = line.other(at);
          ids.add(line.id());
          chain.add(elements.computeIfAbsent(line.id(), id -> pipe(line, back)));
        }
        case Route.Leg.Body body -> {
          at = onward(body.part(), route, at);
          ids.add(body.part().id());
          chain.add(body(body.part()));
        }
      }
    }
    Chain pushed = new Chain(chain);
    double litres = pushed.pushUntil(wish.strength(), COLOURED * wish.strength(), MOST);
    for (Map.Entry<PartId, PositionId> need : route.needs().entrySet()) {
      sheet.put(
          network.rig().part(need.getKey()), need.getValue(), Says.SO_THAT_IT_GOES_THIS_WAY.text());
    }
    sheet.put(route.outlet(), route.position(), Says.A_BUCKET_UNDER_IT.text());
    Map<ElementId, Double> strengths = new HashMap<>();
    for (int i = 0; i < ids.size(); i++) {
      if (chain.get(i).volume() > 0) {
        strengths.put(ids.get(i), chain.get(i).strength());
      }
    }
    sheet.add(
        new WinterStep(
                new Operation.Filled(strengths),
                route.outlet().place(),
                Says.RUN_IT_UNTIL_IT_COMES_COLOURED.with(
                    route.outlet().label(), route.words(), Amount.volume(litres)),
                Says.THEN_IT_IS_NINE_TENTHS_AS_STRONG.with(),
                Math.max(20, litres / SLOW),
                true,
                litres)
            .by(WinterStep.Hand.of(route.outlet().id(), WinterStep.Sort.RUN).running(litres)));
    sheet.put(route.outlet(), Tap.SHUT.id(), Says.THEN_THE_NEXT.text());
    if (litres >= MOST) {
      sheet.note(
          Says.DOES_NOT_COME_COLOURED_WITHIN.with(route.outlet().label(), Amount.volume(MOST)));
    }
  }

  /** Lets a drain beside the ways run until it comes coloured: its stub holds what is in it. */
  private void colour(Part low, List<Route> routes) {
    Optional<Line> stub =
        network.rig().lines().stream()
            .filter(l -> l.from().part().equals(low.id()) || l.to().part().equals(low.id()))
            .filter(l -> routes.stream().noneMatch(r -> r.lines().contains(l)))
            .filter(l -> isPassed(l, routes))
            .findFirst();
    if (stub.isEmpty() || !LowPoints.isShut(low, sheet.now())) {
      return;
    }
    Line line = stub.get();
    boolean back = line.from().part().equals(low.id());
    double litres =
        new Chain(List.of(pipe(line, back), body(low)))
            .pushUntil(wish.strength(), COLOURED * wish.strength(), MOST);
    sheet.put(low, LowPoints.open(low), Says.A_BUCKET_UNDER_IT.text());
    sheet.add(
        new WinterStep(
                new Operation.Filled(
                    Map.of(line.id(), wish.strength(), low.id(), COLOURED * wish.strength())),
                low.place(),
                Says.LET_IT_RUN_UNTIL_IT_COMES.with(low.label(), Amount.volume(litres)),
                Says.SO_THAT_NOTHING_IN_THE_PIPE.with(),
                Math.max(20, litres / SLOW),
                true,
                litres)
            .by(WinterStep.Hand.of(low.id(), WinterStep.Sort.of(low.kind())).running(litres)));
    sheet.put(low, low.rest().id(), Says.THEN_CLOSE_IT.text());
  }

  /** Tells whether a line begins or ends at a part that antifreeze goes through. */
  private static boolean isPassed(Line line, List<Route> routes) {
    return routes.stream()
        .flatMap(r -> r.bodies().stream())
        .anyMatch(p -> p.id().equals(line.from().part()) || p.id().equals(line.to().part()));
  }

  /** The port by which a way leaves a body: where its next line begins. */
  private PortRef onward(Part part, Route route, PortRef in) {
    boolean after = false;
    for (Line line : route.lines()) {
      if (after) {
        return line.from().part().equals(part.id()) && !line.from().equals(in)
            ? line.from()
            : line.to();
      }
      after = line.from().equals(in) || line.to().equals(in);
    }
    return in;
  }

  private Element body(Part part) {
    return elements.computeIfAbsent(
        part.id(),
        id -> new Element.Vessel(part.volume(), sheet.now().wetness().body(id.part()), 0));
  }

  private Element pipe(Line line, boolean back) {
    List<Element.Pipe.Plug> plugs = new ArrayList<>();
    double area = line.volume() / line.length();
    double at = 0;
    for (Stretch stretch : sheet.now().wetness().of(line)) {
      if (stretch.from() > at) {
        plugs.add(new Element.Pipe.Plug(area * (stretch.from() - at), 0, true));
      }
      plugs.add(new Element.Pipe.Plug(area * stretch.length(), 0, false));
      at = stretch.to();
    }
    if (line.length() > at) {
      plugs.add(new Element.Pipe.Plug(area * (line.length() - at), 0, true));
    }
    return new Element.Pipe(line.volume(), back ? plugs.reversed() : plugs);
  }

  /** A branch that no outlet stands on keeps what its fall leaves, and is told. */
  private void inTheTees(List<Route> routes) {
    for (Line line : network.rig().lines()) {
      boolean filled = routes.stream().anyMatch(r -> r.lines().contains(line));
      boolean coloured = sheet.now().strength(line.id()) > 0;
      if (!filled && !coloured && sheet.now().wetness().volume(line) > 0) {
        sheet.note(Says.NO_ANTIFREEZE_COMES_INTO_LINE.with(line.label()));
      }
    }
  }
}
