package fernwort.core.hazard;

import fernwort.core.flow.Fluid;
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
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.FlowPath;
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

  private static void noAirOut(Scene scene, String tank, List<Warning> found) {
    Optional<FlowPath> filling =
        scene.ways().to(tank).filter(w -> !w.source().part().equals(tank)).findFirst();
    if (filling.isEmpty()) {
      return;
    }
    boolean pressed = filling.get().drive().kind() != DrivenBy.Kind.FALL;
    String source = filling.get().source().part();
    Relief relief = Relief.of(scene.network(), scene.setting());
    if (pressed ? isRelieved(relief, tank, source) : relief.hasByVents(tank)) {
      return;
    }
    found.add(
        new Warning(
            Warning.Code.NO_AIR_OUT,
            pressed ? Severity.DANGER : Severity.WARNING,
            Message.words(scene.label(tank) + " fills and its air cannot get out"),
            Message.words(
                pressed
                    ? "Pressure builds up in the tank: it bulges, and can burst."
                    : "Filling stops before the tank is full, and can spit back."),
            Message.of("Every way for air out of it is closed or under water."),
            Message.of("Open its vent or overflow first, then go on filling."),
            List.of(tank)));
  }

  /** Tells whether what is pressed into a full tank gets out by more than its outlets. */
  private static boolean isRelieved(Relief relief, String tank, String source) {
    return relief.has(tank, Optional.of(source)) && !relief.hasAtMostOutlets(tank, source);
  }

  /** What goes wrong later with a tank into which mains or a pump press, if it goes on so. */
  private static void pressedIn(Scene scene, List<Warning> found) {
    Map<String, FlowPath> pressing = new LinkedHashMap<>();
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
      String source = way.source().part();
      if (!said && !relief.has(tank, Optional.of(source))) {
        noWayOut(scene, tank, found);
      } else if (!said && relief.hasAtMostOutlets(tank, source)) {
        onlyOutlets(scene, tank, found);
      }
      leaking(scene, open, scene.part(tank), found);
    });
  }

  private static void noWayOut(Scene scene, String tank, List<Warning> found) {
    found.add(
        new Warning(
            Warning.Code.NO_AIR_OUT,
            Severity.DANGER,
            Message.words(scene.label(tank) + " has no overflow open once it is full"),
            Message.of(
                "When the water comes up to its vent, pressure builds up: it bulges, and can burst."),
            Message.of("Its overflow is closed, or lets out air only."),
            Message.of("Open its overflow or travel valve first, then go on filling."),
            List.of(tank)));
  }

  private static void onlyOutlets(Scene scene, String tank, List<Warning> found) {
    found.add(
        new Warning(
            Warning.Code.NO_AIR_OUT,
            Severity.DANGER,
            Message.words(scene.label(tank) + " has no vent open while it fills"),
            Message.of(
                "As water covers its outlets, and more comes than they let out, pressure builds up: it bulges, and can burst."),
            Message.of("Its air gets out only by its outlets, or back by the line that fills it."),
            Message.of("Open its vent or overflow first, then go on filling."),
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
                && scene.ways().to(end).findAny().isEmpty())
        .ifPresent(end ->
            found.add(
                new Warning(
                    Warning.Code.OPEN_TO_GROUND,
                    Severity.WARNING,
                    Message.of("What goes into {} runs out at {}", tank.label(), scene.label(end)),
                    Message.of(
                        "It never fills: the water runs onto the ground as soon as it stands high enough."),
                    Message.words("The way from the tank to " + scene.label(end) + " is open."),
                    Message.of("Close it before the tank fills."),
                    List.of(end, tank.id()))));
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
                Message.of("{} is full and closed: no room for warm water", tank.label()),
                Message.of(
                    "Its water grows by {} as it warms, and the tank bulges.",
                    Amount.roughly(volume * GROWTH)),
                Message.of("Hardly any air is left in it, and every vent is closed."),
                Message.of(
                    "Let about {} out, or open its vent.",
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

  private static void noAirIn(Scene scene, String tank, List<Warning> found) {
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
            Message.words(scene.label(tank) + " empties and no air can get in"),
            Message.words(
                pumped
                    ? "The pump sucks the tank in: its walls cave, and the flow dies."
                    : "The flow slows to gulps and stops with water still in the tank."),
            Message.of("Every way for air into it is closed or under water."),
            Message.of("Open its vent or travel valve before drawing."),
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
  private static boolean stopsByFloat(Scene scene, String tank) {
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

  private static Warning floating(Scene scene, String tank) {
    String label = scene.label(tank);
    return new Warning(
        Warning.Code.FILLING,
        Severity.NOTE,
        Message.words(label + " fills from mains water until its float closes"),
        Message.of("It stops by itself; a float that sticks lets it run over."),
        Message.of("A float valve closes the line when the water reaches it."),
        Message.of(
            "Look at its overflow the first time after a winter, and close the tap when away."),
        List.of(tank));
  }

  private static Warning filling(Scene scene, String tank, boolean inUse) {
    boolean blind = ((Tank) scene.part(tank).kind()).gauge().showsNothing();
    String label = scene.label(tank);
    if (inUse || blind) {
      return new Warning(
          Warning.Code.FILLING_UNWATCHED,
          Severity.WARNING,
          Message.words("Mains water pushes into " + label + ", which nobody watches"),
          Message.of("It fills until it runs over, or until something gives."),
          Message.words(
              inUse
                  ? "The handles let the taps and the tank run from mains water at the same time."
                  : "Mains water does not stop by itself, and this tank has no gauge."),
          Message.words(
              "Close a valve into " + label + ", or stay at its overflow until it is full."),
          List.of(tank));
    }
    return new Warning(
        Warning.Code.FILLING,
        Severity.NOTE,
        Message.words(label + " fills from mains water"),
        Message.of("It runs over at its overflow when it is full."),
        Message.of("Mains water does not stop by itself."),
        Message.of("Stay with it, and close the tap at the first water from the overflow."),
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
              Message.of("Gray will be full before fresh is used up"),
              Message.of(
                  "Gray is full after you use about {} more.", Amount.roughly(room / BECOMES_GRAY)),
              Message.of(
                  "There is room for {} of gray, and about {} will come from the fresh on board.",
                  Amount.roughly(room),
                  Amount.roughly(coming)),
              Message.of("Plan to dump gray first; filling more fresh does not help."),
              grays.stream().map(Part::id).toList()));
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
            Message.words(tank.label() + " is full"),
            Message.of("Gray water comes back up the lowest drain, or leaves by the vent."),
            Message.words(
                more ? "Water is running into it now." : "There is no room for what is used next."),
            Message.of("Dump it where that is permitted before using more water."),
            List.of(tank.id())));
  }
}
