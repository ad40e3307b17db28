package fernwort.core.winter;

import fernwort.core.drain.Draining;
import fernwort.core.drain.Wintering;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.say.Amount;
import fernwort.core.winter.routes.InjectionPoint;
import fernwort.core.winter.routes.Route;
import fernwort.core.winter.routes.Routes;
import fernwort.core.winter.sheets.Blow;
import fernwort.core.winter.sheets.Operation;
import fernwort.core.winter.sheets.WinterSheet;
import fernwort.core.winter.sheets.WinterStep;
import fernwort.core.winter.sheets.WinterWish;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Lines blown out, one open outlet at a time, the farthest first. */
final class BlowingOut {

  private static final int FEWEST_BURSTS = 3;

  /** What a burst throws out at most (m³). */
  private static final double A_BURST = 3e-4;

  private static final double SECONDS_A_BURST = 20;

  /** Less that runs out is not worth a turn (m³). */
  private static final double A_DROP = 5e-6;

  /** What it takes to let the pressure off and take an adapter off (s). */
  private static final double TAKING_OFF = 60;

  private final WinterSheet sheet;
  private final Network network;
  private final WinterWish wish;

  /** What the outlets are called on whose way air is too slow, each once. */
  private final Set<String> slow = new LinkedHashSet<>();

  BlowingOut(WinterSheet sheet, WinterWish wish) {
    this.sheet = sheet;
    network = sheet.network();
    this.wish = wish;
  }

  void blow(List<Blow> blows) {
    Optional<InjectionPoint.Inlet> found = InjectionPoint.forAir(network, sheet.now());
    if (found.isEmpty()) {
      sheet.note(Says.NO_PLACE_TO_LET_AIR_IN_FIT.with());
      return;
    }
    InjectionPoint.Inlet inlet = found.get();
    List<Route> routes =
        Routes.from(network, sheet.now(), inlet.out()).stream()
            .filter(r -> !r.outlet().equals(inlet.part()))
            .sorted(Comparator.comparingDouble(Route::length).reversed())
            .toList();
    if (routes.isEmpty()) {
      sheet.note(Says.AIR_LET_IN_AT_REACHES_NO_TAP.with(inlet.part().label()));
      return;
    }
    sheet.shutTaps(Says.SO_THAT_NO_AIR_GOES_OUT_HERE.text());
    sheet.add(
        new WinterStep(
                new Operation.Heed(),
                inlet.part().place(),
                Says.REGULATOR_AT_NO_MORE.with(
                    inlet.part().label(),
                    inlet.words(),
                    Amount.pressure(
                        routes.stream().mapToDouble(this::limit).min().orElse(wish.pressure()))),
                Says.NEVER_OVER_2_BAR_NOR.with(),
                120,
                false,
                0)
            .by(WinterStep.Hand.of(inlet.part().id(), WinterStep.Sort.ADAPTER)));
    blowWithDrainsOpen(inlet, routes);
    shutDrains(sheet, inlet, routes);
    for (Route route : Route.byOutlet(routes)) {
      blow(route, blows);
    }
    sheet.heed(
        inlet.part(),
        WinterStep.Hand.of(inlet.part().id(), WinterStep.Sort.ADAPTER).comingOff(),
        Says.AIR_OFF_PRESSURE_LET_OFF_THEN.filled(inlet.part().label(), inlet.done()),
        Says.WHAT_IS_UNDER_PRESSURE_FLIES_OFF.text(),
        TAKING_OFF,
        false);
    if (!slow.isEmpty()) {
      sheet.note(
          Says.COMPRESSOR_OR_ANTIFREEZE_THERE.with(
              Says.AIR_IS_TOO_SLOW_FOR_LOW_SPOTS.filled(String.join(", ", slow))));
    }
    unreached(routes);
  }

  /**
   * Opens taps for the winter where more runs out then: with all of them shut, water hangs in a
   * line like in a straw.
   */
  static void leaveOpen(WinterSheet sheet) {
    for (Part part : sheet.network().rig().parts()) {
      if (part.kind().is(Purpose.USE)
          && sheet.now().state().setting().has(part.id(), Tap.SHUT.id())) {
        part.kind()
            .drained()
            .filter(open -> runsOut(sheet, part, open))
            .ifPresent(open -> sheet.put(part, open, Says.LEAVE_IT_OPEN_ALL_WINTER.text()));
      }
    }
  }

  private static boolean runsOut(WinterSheet sheet, Part tap, PositionId open) {
    Network network = sheet.network();
    Wintering opened = Draining.of(network, sheet.now().with(network.rig(), tap.id(), open));
    return inLines(network, sheet.now()) - inLines(network, opened) > A_DROP;
  }

  private static double inLines(Network network, Wintering now) {
    return network.rig().lines().stream().mapToDouble(now.wetness()::volume).sum();
  }

  private static void shutDrains(
      WinterSheet sheet, InjectionPoint.Inlet inlet, List<Route> routes) {
    sheet.shutEnds(inlet.part(), inlet.out(), Says.SO_THAT_NO_AIR_GOES_OUT_HERE.text());
    sheet.closeBeside(inlet.out(), routes);
  }

  /** The first bursts go out by what is low and open, if anything is. */
  private void blowWithDrainsOpen(InjectionPoint.Inlet inlet, List<Route> routes) {
    WinterSheet trial = sheet.copy();
    shutDrains(trial, inlet, routes);
    List<String> open =
        trial.steps().stream()
            .skip(sheet.steps().size())
            .flatMap(step -> step.hand().stream())
            .map(hand -> network.rig().part(hand.part()).label())
            .distinct()
            .toList();
    if (open.isEmpty()) {
      return;
    }
    sheet.add(
        new WinterStep(
                new Operation.Heed(),
                inlet.part().place(),
                Says.BLOW_SHORT_BURSTS_WITH.with(
                    Integer.toString(FEWEST_BURSTS), String.join(", ", open)),
                Says.LOW_SPOTS_EMPTY_BY_THE_DRAINS.with(),
                FEWEST_BURSTS * SECONDS_A_BURST,
                true,
                0)
            .by(WinterStep.Hand.of(inlet.part().id(), WinterStep.Sort.ADAPTER)));
  }

  private void blow(Route route, List<Blow> blows) {
    Tap outlet = (Tap) route.outlet().kind();
    double limit = limit(route);
    AirStream stream =
        AirStream.of(wish.air(), limit, AirStream.area(outlet.ratedFlow(), outlet.ratedPressure()));
    List<Blow.Swept> swept = new ArrayList<>();
    List<LineId> carried = new ArrayList<>();
    double held = 0;
    for (Line line : route.lines()) {
      double wallis = stream.wallis(line.bore());
      double left = sheet.now().wetness().volume(line);
      held += left;
      boolean goes = wallis >= 1;
      if (goes) {
        carried.add(line.id());
      }
      swept.add(
          new Blow.Swept(
              line.id(),
              stream.speed(line.bore()),
              wallis,
              goes ? Blow.LEAST_FILM * line.volume() : Math.min(left, slug(line, left, stream)),
              goes ? Blow.MOST_FILM * line.volume() : left));
    }
    int bursts = FEWEST_BURSTS + (int) Math.ceil(held / A_BURST);
    boolean weak = swept.stream().anyMatch(s -> !s.isCarried() && s.high() > 0);
    blows.add(
        new Blow(
            route.outlet().id(),
            route.length(),
            stream.pressure() - AirStream.OPEN,
            bursts,
            swept));
    for (Map.Entry<PartId, PositionId> need : route.needs().entrySet()) {
      sheet.put(
          network.rig().part(need.getKey()),
          need.getValue(),
          Says.SO_THAT_THE_AIR_GOES_THIS_WAY.text());
    }
    sheet.put(route.outlet(), route.position(), Says.THE_ONLY_ONE_THAT_IS_OPEN.text());
    sheet.add(
        new WinterStep(
                new Operation.Blown(carried, cleared(route)),
                route.outlet().place(),
                (weak ? Says.BLOW_BURSTS_TO_LOW_SPOTS_KEEP : Says.BLOW_BURSTS_TO_UNTIL_ONLY_MIST)
                    .with(Integer.toString(bursts), route.outlet().label()),
                Says.OF_AIR_AT_THE_OUTLET.with(
                    Amount.length(route.length()),
                    Amount.pressure(stream.pressure() - AirStream.OPEN)),
                bursts * SECONDS_A_BURST,
                true,
                0)
            .by(WinterStep.Hand.of(route.outlet().id(), WinterStep.Sort.RUN)));
    sheet.put(route.outlet(), Tap.SHUT.id(), Says.THEN_THE_NEXT.text());
    if (weak) {
      slow.add(route.outlet().label());
    }
  }

  /** What the weakest line on the way bears, and no more than was asked for (Pa). */
  private double limit(Route route) {
    double weakest =
        route.lines().stream()
            .mapToDouble(line -> line.material().bears())
            .min()
            .orElse(wish.pressure());
    return Math.min(wish.pressure(), weakest);
  }

  /** What a full belly first loses where the pressure exceeds its height (m³). */
  private double slug(Line line, double left, AirStream stream) {
    double full = line.volume();
    return stream.pressure() - AirStream.OPEN > 0 && left > 0.9 * full ? left / 2 : left;
  }

  private static List<PartId> cleared(Route route) {
    return route.bodies().stream().filter(p -> p.kind().blowsClear()).map(Part::id).toList();
  }

  private void unreached(List<Route> routes) {
    for (Part part : network.rig().parts()) {
      if (part.kind().is(Purpose.USE) && routes.stream().noneMatch(r -> r.outlet().equals(part))) {
        sheet.note(
            Says.LEAVE_IT_OPEN_AND_LET_GRAVITY.with(
                Says.AIR_FROM_THERE_DOES_NOT_REACH.filled(part.label())));
      }
    }
  }
}
