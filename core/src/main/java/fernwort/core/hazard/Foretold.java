package fernwort.core.hazard;

import fernwort.core.hydraulics.Conditions;
import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Connections;
import fernwort.core.network.End;
import fernwort.core.network.Relief;
import fernwort.core.rig.Part;
import fernwort.core.run.Event;
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

  private final Hydraulics hydraulics;

  Foretold(Hydraulics hydraulics) {
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
        case FULL, DRY, SIPHONS, CYCLES, RESTS, POURED_OUT, FLOAT_SHUTS, HOT, AWAITED, HAND -> {}
      }
    }
  }

  /** What runs out already, and the first time that each thing begins. */
  private List<Event> first(Scene scene) {
    Simulation run =
        Simulation.start(
            scene.network(),
            hydraulics,
            scene.levels().state(scene.setting()),
            Conditions.ORDINARY);
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
    return h.at() < NOW ? Message.of("now") : Message.of("in about {}", Amount.time(h.at()));
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
          new Warning(w.code(), w.severity(), w.title(), what, w.why(), w.mend(), w.parts()));
    }
    return told.isPresent();
  }

  private static void bulges(Scene scene, Event h, List<Warning> found) {
    if (timed(found, Warning.Is.BULGES, h, "That is in about {}.")) {
      return;
    }
    String tank = h.subject();
    boolean vented = Relief.of(scene.network(), scene.setting()).has(tank, Optional.empty());
    found.add(
        vented
            ? new Warning(
                Warning.Code.VENT_NARROW,
                Severity.DANGER,
                Message.of("The vent of {} is too narrow for this fill", scene.label(tank)),
                Message.of("Pressure builds up: the tank bulges {}, and can burst.", when(h)),
                Message.of("More comes in than its vent or overflow lets out."),
                Message.of(
                    "Open the tap less, or stop well before the tank is full. Fit a wider vent."),
                List.of(tank))
            : new Warning(
                Warning.Code.NO_AIR_OUT,
                Severity.DANGER,
                Message.of("{} fills and its air cannot get out", scene.label(tank)),
                Message.of("Pressure builds up: the tank bulges {}, and can burst.", when(h)),
                Message.of("Its vent and overflow are closed, or let out air only."),
                Message.of("Open its vent or overflow first, then go on filling."),
                List.of(tank)));
  }

  private static void suckedIn(Scene scene, Event h, List<Warning> found) {
    if (timed(found, Warning.Is.SUCKS_IN, h, "That is in about {}.")) {
      return;
    }
    found.add(
        new Warning(
            Warning.Code.NO_AIR_IN,
            Severity.DANGER,
            Message.of("{} empties and not enough air gets in", scene.label(h.subject())),
            Message.of("Its walls are sucked in {}, and the flow dies.", when(h)),
            Message.of("More leaves than its vent lets in."),
            Message.of("Open its vent or travel valve, or draw more slowly."),
            List.of(h.subject())));
  }

  private static void drawsAir(Scene scene, Event h, List<Warning> found) {
    if (timed(found, Warning.Is.DRAWS_AIR, h, "That is in about {}.")) {
      return;
    }
    boolean byHand = scene.part(h.subject()).kind().byHand();
    found.add(
        new Warning(
            Warning.Code.PUMP_DRY_SOON,
            Severity.NOTE,
            Message.of("{} draws air {}", scene.label(h.subject()), when(h)),
            byHand
                ? Message.of("No more water comes then.")
                : Message.of("It runs dry from then on, and wears out."),
            Message.of("The tank that it draws from is down to its outlet then."),
            Message.of("Switch it off before that, or change to a tank that has water."),
            List.of(h.subject())));
  }

  private static void runsOut(Scene scene, Event h, List<Warning> found) {
    String end = h.subject();
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
        scene.part(end).kind().is(Purpose.USE)
            || scene.ways().to(end).anyMatch(w -> w.end().kind() == End.Kind.DUMP);
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
            Message.of("Water runs out at {} {}", scene.label(end), when(h)),
            gray
                ? Message.of("Gray water goes onto the ground.")
                : Message.of("What comes in from then on is lost onto the ground."),
            Message.of("A tank is full then, and its overflow or vent leads there."),
            Message.of("Stop before that."),
            List.of(end)));
  }

  /** A tank that fills from the mains runs over there: its own warning says when. */
  private static boolean ofAFill(Scene scene, Connections open, Event h, List<Warning> found) {
    Optional<Warning> fill =
        found.stream()
            .filter(
                w -> w.code() == Warning.Code.FILLING || w.code() == Warning.Code.FILLING_UNWATCHED)
            .filter(w -> {
              Part tank = scene.part(w.parts().getFirst());
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
                Message.of("Water runs out at {} {}.", scene.label(h.subject()), when(h)),
                w.why(),
                w.mend(),
                w.parts())));
    return fill.isPresent();
  }

  private static boolean isVent(Part tank, String port) {
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
            Message.of("Gray water comes back up at {} {}", scene.label(h.subject()), when(h)),
            Message.of("The gray tank is full then."),
            Message.of("More runs in than it has room for."),
            Message.of("Dump gray first, or close the tap before that."),
            List.of(h.subject())));
  }
}
