package fernwort.core.hazard;

import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.ElementId;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Connections;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.network.Relief;
import fernwort.core.rig.Part;
import fernwort.core.run.Event;
import fernwort.core.run.Landmarks;
import fernwort.core.run.LookAhead;
import fernwort.core.run.Simulation;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What goes wrong within three hours if nobody touches anything, found by running the rig from the
 * state. What the other checks tell already gets the time at which it comes; what they cannot know,
 * such as a vent too narrow for the fill or a tank that runs empty behind a pump, is added.
 */
final class Foretold {

  /** How far a run looks ahead (s); own choice, as long as a rig is left alone in daytime. */
  static final double AHEAD = 3 * 3600;

  /** What happens sooner than this happens now (s). */
  private static final double NOW = 2;

  private final Landmarks landmarks;
  private final Hydraulics hydraulics;

  Foretold(Network network, Hydraulics hydraulics) {
    landmarks = Landmarks.of(network);
    this.hydraulics = hydraulics;
  }

  /** Adds what a run from the scene's state meets. */
  void look(Scene scene, List<Warning> found) {
    for (Event h : first(scene)) {
      switch (h.kind()) {
        case BULGES -> bulges(scene, h, found);
        case SUCKED_IN -> suckedIn(scene, h, found);
        case DRAWS_AIR -> drawsAir(scene, h, found);
        case RUNS_OUT -> runsOut(scene, h, found);
        case BACKS_UP -> backsUp(scene, h, found);
        case BURSTS,
            FULL,
            DRY,
            SIPHONS,
            CYCLES,
            RESTS,
            POURED_OUT,
            FLOAT_SHUTS,
            HOT,
            AWAITED,
            HAND -> {}
      }
    }
  }

  /** What runs out already, and the first time that each thing begins. */
  private List<Event> first(Scene scene) {
    Simulation run =
        Simulation.start(
            landmarks, hydraulics, scene.levels().state(scene.setting()), Conditions.ORDINARY);
    List<Event> first = new ArrayList<>();
    run.moment()
        .flows()
        .ends()
        .forEach((end, q) -> {
          if (q > 0) {
            first.add(new Event(0, Event.Kind.RUNS_OUT, end, true));
          }
        });
    LookAhead.of(run, AHEAD).first().stream()
        .filter(h ->
            first.stream().noneMatch(f -> f.kind() == h.kind() && f.subject().equals(h.subject())))
        .forEach(first::add);
    return first;
  }

  private static Message when(Event h) {
    return h.at() < NOW ? Message.of("now") : Says.IN_ABOUT.with(Amount.time(h.at()));
  }

  /** Puts the time to the worst of the warnings told about a part; tells whether there is one. */
  private static boolean timed(List<Warning> found, Warning.Is is, Event h, String pattern) {
    Optional<Warning> told =
        found.stream()
            .filter(w -> w.code().is(is) && w.parts().getFirst().equals(h.subject()))
            .findFirst();
    if (told.isPresent() && h.at() >= NOW) {
      Warning w = told.get();
      Message what = Message.of("{} " + pattern, w.what(), Amount.time(h.at()));
      found.set(
          found.indexOf(w),
          new Warning(w.code(), w.severity(), w.title(), what, w.why(), w.fix(), w.parts()));
    }
    return told.isPresent();
  }

  private static void bulges(Scene scene, Event h, List<Warning> found) {
    if (timed(found, Warning.Is.BULGES, h, Says.THAT_IS_IN_ABOUT.text())) {
      return;
    }
    PartId tank = h.subject().part();
    boolean vented = Relief.of(scene.network(), scene.setting()).has(tank, Optional.empty());
    found.add(
        vented
            ? new Warning(
                Warning.Code.VENT_NARROW,
                Severity.DANGER,
                Says.THE_VENT_OF_IS_TOO_NARROW.with(scene.label(tank)),
                Says.PRESSURE_BUILDS_UP_THE_TANK.with(when(h)),
                Says.MORE_COMES_IN_THAN_ITS_VENT.with(),
                Says.OPEN_THE_TAP_LESS_OR_STOP_WELL.with(),
                List.of(tank))
            : new Warning(
                Warning.Code.NO_AIR_OUT,
                Severity.DANGER,
                Says.FILLS_AND_ITS_AIR_CANNOT_GET_OUT.with(scene.label(tank)),
                Says.PRESSURE_BUILDS_UP_THE_TANK.with(when(h)),
                Says.ITS_VENT_AND_OVERFLOW_ARE_CLOSED.with(),
                Says.OPEN_ITS_VENT_OR_OVERFLOW_FIRST.with(),
                List.of(tank)));
  }

  private static void suckedIn(Scene scene, Event h, List<Warning> found) {
    if (timed(found, Warning.Is.SUCKS_IN, h, Says.THAT_IS_IN_ABOUT.text())) {
      return;
    }
    found.add(
        new Warning(
            Warning.Code.NO_AIR_IN,
            Severity.DANGER,
            Says.EMPTIES_AND_NOT_ENOUGH_AIR_GETS.with(scene.label(h.subject().part())),
            Says.ITS_WALLS_ARE_SUCKED.with(when(h)),
            Says.MORE_LEAVES_THAN_ITS_VENT_LETS.with(),
            Says.OPEN_ITS_VENT_OR_TRAVEL_VALVE.with(),
            List.of(h.subject())));
  }

  private static void drawsAir(Scene scene, Event h, List<Warning> found) {
    if (timed(found, Warning.Is.DRAWS_AIR, h, Says.THAT_IS_IN_ABOUT.text())) {
      return;
    }
    boolean byHand = scene.part(h.subject().part()).kind().byHand();
    found.add(
        new Warning(
            Warning.Code.PUMP_DRY_SOON,
            Severity.NOTE,
            Says.DRAWS_AIR.with(scene.label(h.subject().part()), when(h)),
            byHand ? Says.NO_MORE_WATER_COMES_THEN.with() : Says.IT_RUNS_DRY.with(),
            Says.THE_TANK_THAT_IT_DRAWS.with(),
            Says.SWITCH_IT_OFF.with(),
            List.of(h.subject())));
  }

  private static void runsOut(Scene scene, Event h, List<Warning> found) {
    ElementId end = h.subject();
    boolean told =
        found.stream()
            .anyMatch(w ->
                w.parts().getFirst().equals(end)
                    && Set.of(
                            Warning.Code.OVERFLOWING,
                            Warning.Code.OPEN_TO_GROUND,
                            Warning.Code.TANK_RUNS_OUT)
                        .contains(w.code()));
    boolean meant =
        scene.part(end.part()).kind().is(Purpose.USE)
            || scene.ways().to(end.part()).anyMatch(w -> w.end().kind() == End.Kind.DUMP);
    if (told || meant) {
      return;
    }
    Connections open = Connections.of(scene.network(), scene.setting());
    if (ofAFill(scene, open, h, found)) {
      return;
    }
    boolean gray =
        scene.network().tanks().stream()
            .filter(t -> scene.isTank(t.id(), Contents.GRAY))
            .anyMatch(t -> open.leaving(t, p -> isVent(t, p), p -> p.id().equals(end)).isPresent());
    found.add(
        new Warning(
            Warning.Code.RUNS_OVER_SOON,
            gray ? Severity.WARNING : Severity.NOTE,
            Says.WATER_RUNS_OUT_AT.with(scene.label(end.part()), when(h)),
            gray ? Says.GRAY_WATER_GOES_ONTO_THE_GROUND.with() : Says.WHAT_COMES.with(),
            Says.A_TANK_IS_FULL.with(),
            Says.STOP_BEFORE_THAT.with(),
            List.of(end)));
  }

  /** A tank that fills from the mains runs over there: its own warning says when. */
  private static boolean ofAFill(Scene scene, Connections open, Event h, List<Warning> found) {
    Optional<Warning> fill =
        found.stream()
            .filter(
                w -> w.code() == Warning.Code.FILLING || w.code() == Warning.Code.FILLING_UNWATCHED)
            .filter(w -> {
              Part tank = scene.part(w.parts().getFirst().part());
              return open.leaving(tank, p -> isVent(tank, p), p -> p.id().equals(h.subject()))
                  .isPresent();
            })
            .findFirst();
    fill.ifPresent(w ->
        found.set(
            found.indexOf(w),
            new Warning(
                w.code(),
                w.severity(),
                w.title(),
                Says.WATER_RUNS_OUT_AT_STOP.with(scene.label(h.subject().part()), when(h)),
                w.why(),
                w.fix(),
                w.parts())));
    return fill.isPresent();
  }

  private static boolean isVent(Part tank, PortId port) {
    return ((Tank) tank.kind()).port(port).use() == TankPort.Use.VENT;
  }

  private static void backsUp(Scene scene, Event h, List<Warning> found) {
    boolean told =
        found.stream()
            .anyMatch(w ->
                w.code() == Warning.Code.GRAY_FULL || w.code() == Warning.Code.GRAY_NEARLY_FULL);
    if (told) {
      return;
    }
    found.add(
        new Warning(
            Warning.Code.GRAY_NEARLY_FULL,
            Severity.NOTE,
            Says.GRAY_WATER_COMES_BACK_UP_AT.with(scene.label(h.subject().part()), when(h)),
            Says.THE_GRAY_TANK_IS_FULL_THEN.with(),
            Says.MORE_RUNS_IN_THAN_IT_HAS_ROOM.with(),
            Says.DUMP_GRAY_FIRST_OR_CLOSE_THE_TAP.with(),
            List.of(h.subject())));
  }
}
