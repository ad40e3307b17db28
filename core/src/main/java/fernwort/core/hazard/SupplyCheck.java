package fernwort.core.hazard;

import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Kind;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.kind.end.Tank;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.network.Connections;
import fernwort.core.network.End;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.say.Message;
import fernwort.core.ways.DrivenBy;
import fernwort.core.ways.FlowPath;
import fernwort.core.ways.Source;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Drinking water that can be spoilt, tap water that can be fouled, water that runs to the ground.
 */
final class SupplyCheck implements Check {

  /** Least height of an air gap (m); a cautious default, local codes have their own. */
  private static final double AIR_GAP = 0.02;

  /** Sources that some setting of the handles lets reach where people drink. */
  private final Set<PartId> mayReachDrinking;

  SupplyCheck(Network network) {
    Connections free = Connections.withHandlesFree(network);
    mayReachDrinking =
        network.sources().stream()
            .filter(s ->
                free.route(s.id(), SupplyCheck::purifies, p -> isForDrinking(s.id(), p))
                    .isPresent())
            .map(Part::id)
            .collect(Collectors.toUnmodifiableSet());
  }

  @Override
  public void look(Scene scene, List<Warning> found) {
    List<Part> mains =
        scene.network().sources().stream()
            .filter(p -> p.kind().is(Purpose.INLET) && scene.is(p.id(), HoseInlet.MAINS.id()))
            .toList();
    List<Source> unsafe =
        unsafeSources(scene).stream().filter(s -> mayReachDrinking.contains(s.part())).toList();
    if (!mains.isEmpty() || !unsafe.isEmpty()) {
      Connections connections = Connections.of(scene.network(), scene.setting());
      mains.stream()
          .filter(inlet -> !inlet.kind().is(Purpose.PROTECTS))
          .forEach(inlet -> backflow(scene, connections, inlet, found));
      unsafe.forEach(source -> unsafe(scene, connections, source, found));
    }
    ground(scene, found);
    heaters(scene, found);
  }

  private static void backflow(
      Scene scene, Connections connections, Part inlet, List<Warning> found) {
    scene
        .network()
        .rig()
        .tanks()
        .filter(tank -> scene.levels().volume(tank.id()) > 0)
        .filter(tank ->
            connections
                .leaving(tank, port -> goesBack(scene, tank, port), p -> p.equals(inlet))
                .isPresent())
        .max(
            Comparator.comparingDouble((Part tank) -> scene.levels().surface(tank.id()))
                .thenComparing(Part::id))
        .ifPresent(tank -> found.add(backflow(scene, connections, inlet, tank)));
  }

  private static Warning backflow(Scene scene, Connections connections, Part inlet, Part tank) {
    boolean covered =
        connections
            .leaving(
                tank,
                port ->
                    goesBack(scene, tank, port)
                        && (scene.levels().isCovered(tank.port(port))
                            || scene.levels().isBrimFull(tank.id())),
                p -> p.equals(inlet))
            .isPresent();
    return new Warning(
        Warning.Code.BACKFLOW,
        Severity.DANGER,
        Says.CAN_RUN_BACK_INTO_THE_TAP.with(tank.label()),
        covered ? Says.WHEN_THE_MAINS_WATER_PRESSURE.with() : Says.WHEN_THE_TANK_FILLS.with(),
        Says.THERE_IS_NO_CHECK_VALVE_BETWEEN.with(),
        Says.CLOSE_A_VALVE_BETWEEN_THEM.with(),
        List.of(tank.id(), inlet.id()));
  }

  /**
   * Tells whether water can go back by a port: not by a float valve, nor across an air gap, which
   * is a port so far above the lowest vent that water never comes up to it.
   */
  private static boolean goesBack(Scene scene, Part tank, PortId port) {
    Tank kind = (Tank) tank.kind();
    double lowest =
        kind.tankPorts().stream()
            .filter(p -> p.use() == TankPort.Use.VENT)
            .mapToDouble(p -> scene.levels().height(tank.port(p.id())))
            .min()
            .orElse(Double.POSITIVE_INFINITY);
    return kind.port(port).letsOut() && scene.levels().height(tank.port(port)) < lowest + AIR_GAP;
  }

  private static void unsafe(
      Scene scene, Connections connections, Source source, List<Warning> found) {
    connections
        .route(source.part(), SupplyCheck::purifies, part -> isForDrinking(source.part(), part))
        .ifPresent(route -> found.add(unsafe(scene, source, route)));
  }

  /** Unsafe sources that something moves now, or that stand open to the lines. */
  private static List<Source> unsafeSources(Scene scene) {
    List<Source> sources = new ArrayList<>();
    for (Part part : scene.network().sources()) {
      Optional<Source.Kind> kind =
          part.kind().is(Purpose.HOLDS)
              ? Optional.of(Source.Kind.TANK).filter(k -> part.kind().holds(Contents.GRAY))
              : scene.setting().given(part).filter(g -> !g.drinkable()).flatMap(Source.Kind::of);
      kind.map(k -> new Source(k, part.id())).filter(scene::isUnsafe).ifPresent(sources::add);
    }
    return sources;
  }

  private static boolean purifies(Part part) {
    return part.kind().is(Purpose.PURIFIES);
  }

  private static boolean isForDrinking(PartId source, Part part) {
    return part.kind().forDrinking() && !part.id().equals(source);
  }

  private static Warning unsafe(Scene scene, Source source, List<PartId> route) {
    PartId end = route.getLast();
    boolean moving = scene.ways().from(source.part()).anyMatch(w -> w.end().part().equals(end));
    String from =
        source.kind() == Source.Kind.OUTSIDE
            ? Says.OUTSIDE_WATER.text()
            : scene.label(source.part());
    return new Warning(
        Warning.Code.UNSAFE_WATER,
        moving ? Severity.DANGER : Severity.WARNING,
        Message.words(
            from + (moving ? Says.RUNS_TO.text() : Says.CAN_REACH.text()) + scene.label(end)),
        Says.WATER_THAT_IS_NOT_FIT_TO_DRINK.with(),
        Says.THE_WAY_BETWEEN_THEM_IS_OPEN.with(),
        Says.CLOSE_A_VALVE_BETWEEN_THEM_IF_IT_HAS_HAPPENED.with(),
        List.of(source.part(), end));
  }

  private static void ground(Scene scene, List<Warning> found) {
    Map<List<PartId>, FlowPath> losses = new LinkedHashMap<>();
    for (FlowPath way : scene.ways().ways()) {
      if (way.end().kind() == End.Kind.GROUND) {
        losses.putIfAbsent(List.of(way.end().part(), way.source().part()), way);
      }
    }
    losses.values().forEach(way -> found.add(loss(scene, way)));
  }

  private static Warning loss(Scene scene, FlowPath way) {
    String at = scene.label(way.end().part());
    boolean gray =
        way.source().kind() == Source.Kind.WASTE
            || scene.isTank(way.source().part(), Contents.GRAY);
    boolean overflow =
        scene.part(way.end().part()).kind().is(Purpose.OUTLET)
            && scene.part(way.end().part()).kind().letsAir();
    String who =
        switch (way.source().kind()) {
          case MAINS -> Says.TAP_WATER.text();
          case OUTSIDE -> Says.OUTSIDE_WATER.text();
          case WASTE -> Says.WASTE_OF.filled(scene.label(way.source().part()));
          case TANK, JUG -> scene.label(way.source().part());
        };
    if (scene.part(way.end().part()).kind().is(Purpose.INLET) && isInWater(scene, way)) {
      return runsOut(scene, way, who);
    }
    String driven =
        way.drive().kind() == DrivenBy.Kind.FALL
            ? Says.BY_GRAVITY.text()
            : Says.UNDER_PRESSURE.text();
    return new Warning(
        overflow ? Warning.Code.OVERFLOWING : Warning.Code.OPEN_TO_GROUND,
        Severity.WARNING,
        Says.RUNS_ONTO_THE_GROUND_AT.with(who, at),
        Says.IT_RUNS_OUT_UNTIL_IT_IS_STOPPED.with(driven),
        Says.THE_WAY_TO_IS_OPEN.with(at),
        Message.words(
            gray
                ? Says.CLOSE_IT_UNLESS_YOU_MEAN.text()
                : Says.CLOSE_IT_UNLESS_YOU_MEAN_TO_DRAIN.text()),
        List.of(way.end().part(), way.source().part()));
  }

  private static boolean isInWater(Scene scene, FlowPath way) {
    return scene.is(way.end().part(), HoseInlet.OUTSIDE.id());
  }

  private static Warning runsOut(Scene scene, FlowPath way, String who) {
    String at = scene.label(way.end().part());
    return new Warning(
        Warning.Code.TANK_RUNS_OUT,
        Severity.WARNING,
        Says.RUNS_OUT_THROUGH_THE_HOSE_AT.with(who, at),
        Says.IT_RUNS_INTO_THE_OUTSIDE_WATER.with(),
        Says.THE_WAY_THERE_IS_OPEN.with(),
        Says.CLOSE_A_VALVE_ON_THE_WAY.with(),
        List.of(way.end().part(), way.source().part()));
  }

  private static void heaters(Scene scene, List<Warning> found) {
    for (Part part : scene.network().rig().parts()) {
      if (part.kind().is(Purpose.HEATS)
          && scene.is(part.id(), Kind.ON)
          && !scene.ways().wetted().contains(part.id())) {
        found.add(
            new Warning(
                Warning.Code.HEATER_DRY,
                Severity.DANGER,
                Says.HEATS_AND_NO_WATER_CAN_REACH_IT.with(part.label()),
                Says.WHAT_IS_LEFT_IN_IT_BOILS_OFF.with(),
                Says.NOTHING_THAT_HAS_WATER.with(),
                Says.SWITCH_IT_OFF_FILL.with(),
                List.of(part.id())));
      }
    }
  }
}
