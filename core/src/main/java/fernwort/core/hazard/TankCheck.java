package fernwort.core.hazard;

import fernwort.core.flow.Fluid;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Connections;
import fernwort.core.network.End;
import fernwort.core.network.Relief;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.OpenWays;
import fernwort.core.ways.TankAir;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Tanks that fill or empty without air, or without anybody watching; gray with no room left. */
final class TankCheck implements Check {

  /**
   * A closed tank with less air than this share of it may not be left to the warmth; own choice.
   */
  private static final double LITTLE_AIR = 0.005;

  /** How cold water comes from a tap, and how warm a tank gets (°C); own choice, to be cautious. */
  private static final double COLD = 10;

  private static final double WARM = 30;

  /** By how much of itself water grows between the two. */
  private static final double GROWTH =
      Fluid.waterAt(COLD).density() / Fluid.waterAt(WARM).density() - 1;

  /** Gray water at this share of what its tank holds is at the vent; own choice. */
  private static final double AS_GOOD_AS_FULL = 0.98;

  /** Share of fresh water that is taken to become gray; a default, most of what is used does. */
  private static final double BECOMES_GRAY = 0.9;

  @Override
  public void look(Scene scene, List<Warning> found) {
    for (TankAir air : scene.ways().air()) {
      if (air.out().isEmpty()) {
        noAirOut(scene, air.tank(), found);
      }
      if (isSuckedIn(scene, air)) {
        noAirIn(scene, air.tank(), found);
      }
    }
    pressedIn(scene, found);
    warmth(scene, found);
    fillingFromMains(scene, found);
    gray(scene, found);
  }

  private static void noAirOut(Scene scene, PartId tank, List<Warning> found) {
    Optional<FlowPath> filling =
        scene.ways().to(tank).filter(w -> !w.source().part().equals(tank)).findFirst();
    if (filling.isEmpty()) {
      return;
    }
    boolean pressed = filling.get().drive().kind() != DrivenBy.Kind.FALL;
    PartId source = filling.get().source().part();
    Relief relief = Relief.of(scene.network(), scene.setting());
    if (pressed ? isRelieved(relief, tank, source) : relief.hasByVents(tank)) {
      return;
    }
    found.add(
        new Warning(
            Warning.Code.NO_AIR_OUT,
            pressed ? Severity.DANGER : Severity.WARNING,
            Says.FILLS_AND_ITS_AIR_CANNOT_GET_OUT.with(scene.label(tank)),
            Message.words(
                pressed
                    ? Says.PRESSURE_BUILDS_UP_IN_THE_TANK.text()
                    : Says.FILLING_STOPS_BEFORE_THE_TANK.text()),
            Says.EVERY_WAY_FOR_AIR.with(),
            Says.OPEN_ITS_VENT_OR_OVERFLOW_FIRST.with(),
            List.of(tank)));
  }

  /** Tells whether what is pressed into a full tank gets out by more than its outlets. */
  private static boolean isRelieved(Relief relief, PartId tank, PartId source) {
    return relief.has(tank, Optional.of(source)) && !relief.hasAtMostOutlets(tank, source);
  }

  /** What goes wrong later with a tank into which mains or a pump press, if it goes on so. */
  private static void pressedIn(Scene scene, List<Warning> found) {
    Map<PartId, FlowPath> pressing = new LinkedHashMap<>();
    scene.ways().ways().stream()
        .filter(w -> w.end().kind() == End.Kind.TANK && w.drive().kind() != DrivenBy.Kind.FALL)
        .filter(w -> !w.source().part().equals(w.end().part()))
        .forEach(w -> pressing.putIfAbsent(w.end().part(), w));
    if (pressing.isEmpty()) {
      return;
    }
    Relief relief = Relief.of(scene.network(), scene.setting());
    Connections open = Connections.of(scene.network(), scene.setting());
    pressing.forEach((tank, way) -> {
      boolean said =
          found.stream()
              .anyMatch(
                  w -> w.code() == Warning.Code.NO_AIR_OUT && w.parts().getFirst().equals(tank));
      PartId source = way.source().part();
      if (!said && !relief.has(tank, Optional.of(source))) {
        noWayOut(scene, tank, found);
      } else if (!said && relief.hasAtMostOutlets(tank, source)) {
        onlyOutlets(scene, tank, found);
      }
      leaking(scene, open, scene.part(tank), found);
    });
  }

  private static void noWayOut(Scene scene, PartId tank, List<Warning> found) {
    found.add(
        new Warning(
            Warning.Code.NO_AIR_OUT,
            Severity.DANGER,
            Says.HAS_NO_OVERFLOW_OPEN_ONCE.with(scene.label(tank)),
            Says.WHEN_THE_WATER_COMES.with(),
            Says.ITS_OVERFLOW_IS_CLOSED_OR_LETS.with(),
            Says.OPEN_ITS_OVERFLOW_OR_TRAVEL.with(),
            List.of(tank)));
  }

  private static void onlyOutlets(Scene scene, PartId tank, List<Warning> found) {
    found.add(
        new Warning(
            Warning.Code.NO_AIR_OUT,
            Severity.DANGER,
            Says.HAS_NO_VENT_OPEN_WHILE_IT_FILLS.with(scene.label(tank)),
            Says.AS_WATER_COVERS_ITS_OUTLETS.with(),
            Says.ITS_AIR_GETS_OUT_ONLY.with(),
            Says.OPEN_ITS_VENT_OR_OVERFLOW_FIRST.with(),
            List.of(tank)));
  }

  /** An end that stands open below what the tank will hold. */
  private static void leaking(Scene scene, Connections open, Part tank, List<Warning> found) {
    double full =
        scene.levels().height(tank)
            + scene.network().room(tank.id()).highest(scene.levels().slope());
    open.leaving(
            tank,
            port -> ((Tank) tank.kind()).port(port).letsOut(),
            p -> isOpenDrain(scene, p) && scene.levels().height(p) < full)
        .map(List::getLast)
        .filter(end ->
            found.stream().noneMatch(w -> w.parts().getFirst().equals(end))
                && scene.ways().to(end).findAny().isEmpty()
                && runsOutWhenFull(scene, tank, end))
        .ifPresent(end ->
            found.add(
                new Warning(
                    Warning.Code.OPEN_TO_GROUND,
                    Severity.WARNING,
                    Says.WHAT_GOES_INTO_RUNS_OUT_AT.with(tank.label(), scene.label(end)),
                    Says.IT_NEVER_FILLS_THE_WATER_RUNS.with(),
                    Says.THE_WAY_FROM_THE_TANK.with(scene.label(end)),
                    Says.CLOSE_IT_BEFORE_THE_TANK_FILLS.with(),
                    List.of(end, tank.id()))));
  }

  /**
   * Tells whether a full tank presses enough to run out at an end: a relief valve holds it back.
   */
  private static boolean runsOutWhenFull(Scene scene, Part tank, PartId end) {
    State full =
        scene
            .levels()
            .state(scene.setting())
            .withVolume(tank.id(), scene.network().figures(tank, scene.levels().slope()).full());
    return OpenWays.find(scene.network(), full).to(end).findAny().isPresent();
  }

  private static boolean isOpenDrain(Scene scene, Part part) {
    return !part.kind().letsAir()
        && scene.network().mouths(scene.network().index(part.id()), scene.setting()).stream()
            .anyMatch(m -> m.onto() == Mouth.Onto.GROUND);
  }

  /** Water that warms needs room, and a tank that is shut has only what air is left in it. */
  private static void warmth(Scene scene, List<Warning> found) {
    for (Part tank : scene.network().tanks()) {
      double capacity = scene.network().room(tank.id()).capacity();
      double volume = scene.levels().volume(tank.id());
      boolean full = volume >= (1 - LITTLE_AIR) * capacity;
      if (full && !Relief.of(scene.network(), scene.setting()).has(tank.id(), Optional.empty())) {
        found.add(
            new Warning(
                Warning.Code.NO_ROOM,
                Severity.WARNING,
                Says.IS_FULL_AND_CLOSED_NO_ROOM.with(tank.label()),
                Says.ITS_WATER_GROWS_BY_AS_IT_WARMS.with(Amount.roughly(volume * GROWTH)),
                Says.HARDLY_ANY_AIR_IS_LEFT.with(),
                Says.LET_ABOUT_OUT_OR_OPEN_ITS_VENT.with(
                    Amount.roughly(Math.ceil(1000 * volume * GROWTH) / 1000)),
                List.of(tank.id())));
      }
    }
  }

  /** Tells whether a tank's walls give before its vacuum brings air in. */
  private static boolean isSuckedIn(Scene scene, TankAir air) {
    double vacuum = Fluid.WATER.pressure(air.vacuum(scene.levels().surface(air.tank())));
    return vacuum > -((Tank) scene.part(air.tank()).kind()).lowestPressure();
  }

  private static void noAirIn(Scene scene, PartId tank, List<Warning> found) {
    Optional<FlowPath> drawing =
        scene.ways().from(tank).filter(w -> !w.end().part().equals(tank)).findFirst();
    if (drawing.isEmpty()) {
      return;
    }
    boolean pumped = drawing.get().drive().kind() == DrivenBy.Kind.PUMP;
    found.add(
        new Warning(
            Warning.Code.NO_AIR_IN,
            pumped ? Severity.DANGER : Severity.WARNING,
            Says.EMPTIES_AND_NO_AIR_CAN_GET_IN.with(scene.label(tank)),
            Message.words(
                pumped ? Says.THE_PUMP_SUCKS_THE_TANK.text() : Says.THE_FLOW_SLOWS_TO_GULPS.text()),
            Says.EVERY_WAY_FOR_AIR_INTO_IT_IS_CLOSED.with(),
            Says.OPEN_ITS_VENT_OR_TRAVEL_VALVE_BEFORE_DRAWING.with(),
            List.of(tank)));
  }

  private static void fillingFromMains(Scene scene, List<Warning> found) {
    boolean inUse =
        scene.ways().ways().stream()
            .anyMatch(
                w -> w.drive().kind() == DrivenBy.Kind.MAINS && w.end().kind() == End.Kind.FIXTURE);
    scene.ways().ways().stream()
        .filter(w -> w.drive().kind() == DrivenBy.Kind.MAINS && w.end().kind() == End.Kind.TANK)
        .map(w -> w.end().part())
        .distinct()
        .forEach(tank ->
            found.add(
                stopsByFloat(scene, tank) ? floating(scene, tank) : filling(scene, tank, inUse)));
  }

  /** Tells whether all that the mains push into a tank comes by its float valve. */
  private static boolean stopsByFloat(Scene scene, PartId tank) {
    return scene
        .ways()
        .to(tank)
        .filter(w -> w.drive().kind() == DrivenBy.Kind.MAINS)
        .allMatch(w -> comesByFloat(scene, w));
  }

  private static boolean comesByFloat(Scene scene, FlowPath way) {
    Rig rig = scene.network().rig();
    Line last = rig.lines().get(scene.network().lineNumber(way.lines().getLast()));
    PortRef port = last.to().part().equals(way.end().part()) ? last.to() : last.from();
    return scene
        .part(port.part())
        .kind()
        .opening(port.port())
        .filter(p -> !p.letsOut())
        .isPresent();
  }

  private static Warning floating(Scene scene, PartId tank) {
    String label = scene.label(tank);
    return new Warning(
        Warning.Code.FILLING,
        Severity.NOTE,
        Says.FILLS_FROM_MAINS_WATER.with(label),
        Says.IT_STOPS_BY_ITSELF_A_FLOAT.with(),
        Says.A_FLOAT_VALVE_CLOSES_THE_LINE.with(),
        Says.LOOK_AT_ITS_OVERFLOW_THE_FIRST.with(),
        List.of(tank));
  }

  private static Warning filling(Scene scene, PartId tank, boolean inUse) {
    boolean blind = ((Tank) scene.part(tank).kind()).gauge().showsNothing();
    String label = scene.label(tank);
    if (inUse || blind) {
      return new Warning(
          Warning.Code.FILLING_UNWATCHED,
          Severity.WARNING,
          Says.MAINS_WATER_PUSHES.with(label),
          Says.IT_FILLS_UNTIL_IT_RUNS.with(),
          Message.words(
              inUse ? Says.THE_HANDLES_LET_THE_TAPS.text() : Says.MAINS_WATER_DOES_NOT_STOP.text()),
          Says.CLOSE_A_VALVE_INTO_OR_STAY.with(label),
          List.of(tank));
    }
    return new Warning(
        Warning.Code.FILLING,
        Severity.NOTE,
        Says.FILLS_FROM_MAINS_WATER_OF.with(label),
        Says.IT_RUNS_OVER_AT_ITS_OVERFLOW.with(),
        Says.MAINS_WATER_DOES_NOT_STOP_BY_ITSELF.with(),
        Says.STAY_WITH_IT_AND_CLOSE_THE_TAP.with(),
        List.of(tank));
  }

  private static void gray(Scene scene, List<Warning> found) {
    List<Part> grays =
        scene.network().tanks().stream().filter(t -> scene.isTank(t.id(), Contents.GRAY)).toList();
    if (grays.isEmpty()) {
      return;
    }
    double room = 0;
    for (Part tank : grays) {
      double holds = holds(scene, tank);
      room += Math.max(0, holds - scene.levels().volume(tank.id()));
      if (scene.levels().volume(tank.id()) >= AS_GOOD_AS_FULL * holds) {
        full(scene, tank, found);
      }
    }
    double coming =
        BECOMES_GRAY
            * scene.network().tanks().stream()
                .filter(t -> scene.isTank(t.id(), Contents.FRESH))
                .mapToDouble(t ->
                    Math.max(
                        0, scene.levels().volume(t.id()) - scene.levels().figures(t).stranded()))
                .sum();
    if (room < coming && found.stream().noneMatch(w -> w.code() == Warning.Code.GRAY_FULL)) {
      found.add(
          new Warning(
              Warning.Code.GRAY_NEARLY_FULL,
              Severity.NOTE,
              Says.GRAY_WILL_BE_FULL_BEFORE_FRESH.with(),
              Says.GRAY_IS_FULL_AFTER_YOU_USE_ABOUT.with(Amount.roughly(room / BECOMES_GRAY)),
              Says.THERE_IS_ROOM_FOR_OF_GRAY.with(Amount.roughly(room), Amount.roughly(coming)),
              Says.PLAN_TO_DUMP_GRAY_FIRST_FILLING.with(),
              grays.stream().<ElementId>map(Part::id).toList()));
    }
  }

  /** What a tank holds up to its lowest vent (m³). */
  private static double holds(Scene scene, Part tank) {
    return scene.levels().figures(tank).full();
  }

  private static void full(Scene scene, Part tank, List<Warning> found) {
    boolean more = scene.ways().to(tank.id()).anyMatch(w -> !w.source().part().equals(tank.id()));
    found.add(
        new Warning(
            Warning.Code.GRAY_FULL,
            more ? Severity.DANGER : Severity.WARNING,
            Says.IS_FULL.with(tank.label()),
            Says.GRAY_WATER_COMES_BACK.with(),
            Message.words(
                more ? Says.WATER_IS_RUNNING_INTO_IT_NOW.text() : Says.THERE_IS_NO_ROOM.text()),
            Says.DUMP_IT_WHERE_THAT_IS_PERMITTED.with(),
            List.of(tank.id())));
  }
}
