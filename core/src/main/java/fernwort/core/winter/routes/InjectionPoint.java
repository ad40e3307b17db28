package fernwort.core.winter.routes;

import fernwort.core.drain.Wintering;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.HoseInlet;
import fernwort.core.network.Connections;
import fernwort.core.network.Network;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Where air or antifreeze can be let into a rig. */
public final class InjectionPoint {

  private InjectionPoint() {}

  /**
   * Where something is let in.
   *
   * @param part the part it is let in at
   * @param out the port from which it goes on into the lines
   * @param words what one does there
   * @param done what one does there afterwards
   * @param giving the position in which it gives what is let in; empty where it has none
   * @param pump the pump that draws it in, if one of the rig's does
   */
  public record Inlet(
      Part part,
      PortRef out,
      String words,
      String done,
      Optional<PositionId> giving,
      Optional<Part> pump) {}

  /** Returns where air goes in: an inlet, else a cap, else a pump's suction; most outlets first. */
  public static Optional<Inlet> forAir(Network network, Wintering now) {
    return network.rig().parts().stream()
        .flatMap(p -> adapter(p).stream())
        .filter(i -> hasLine(network, i))
        .max(
            Comparator.comparingLong((Inlet i) -> reached(network, now, i))
                .thenComparing(i -> i.part().kind().is(Purpose.INLET)));
  }

  /** Returns where antifreeze goes in: the supply pump that feeds most, else an inlet or cap. */
  public static Optional<Inlet> forAntifreeze(Network network, Wintering now) {
    Optional<Inlet> pump =
        network.rig().parts().stream()
            .filter(p -> p.kind().is(Purpose.SUPPLIES))
            .map(p ->
                new Inlet(
                    p,
                    p.port(PortId.OUT),
                    Says.SUCTION_HOSE_OFF.text(),
                    Says.SUCTION_HOSE_OUT_OF_THE_JUG.text(),
                    Optional.empty(),
                    Optional.of(p)))
            .filter(i -> hasLine(network, i))
            .max(Comparator.comparingLong(i -> reached(network, now, i)));
    return pump.flatMap(p -> ownPort(network, now, p.part()))
        .or(() -> pump.filter(p -> reached(network, now, p) > 0))
        .or(() -> forAir(network, now).map(InjectionPoint::byHand));
  }

  /** The rig's own port for it: an inlet by which the pump draws from outside, no tank between. */
  private static Optional<Inlet> ownPort(Network network, Wintering now, Part pump) {
    Connections free = Connections.withHandlesFree(network);
    return network.rig().parts().stream()
        .filter(p ->
            p.kind().is(Purpose.INLET)
                && free.route(p.id(), x -> x.kind().is(Purpose.HOLDS), pump::equals)
                    .filter(way -> drawnBy(network, way, pump))
                    .isPresent())
        .map(p ->
            new Inlet(
                p,
                p.port(PortId.OUT),
                Says.HOSE_INTO_THE_JUG.text(),
                Says.HOSE_OUT_OF_THE_JUG_CAP_ON.text(),
                Optional.of(HoseInlet.OUTSIDE.id()),
                Optional.of(pump)))
        .filter(i -> hasLine(network, i) && reached(network, now, i) > 0)
        .findFirst();
  }

  /** Tells whether a way comes to the suction of a pump and not to what it presses into. */
  private static boolean drawnBy(Network network, List<PartId> way, Part pump) {
    PartId before = way.get(way.size() - 2);
    Line suction = network.rig().linesByPort().get(pump.port(PortId.IN));
    return suction != null && suction.other(pump.port(PortId.IN)).part().equals(before);
  }

  /** Where no pump of the rig presses it in, another has to. */
  private static Inlet byHand(Inlet inlet) {
    return new Inlet(
        inlet.part(),
        inlet.out(),
        Says.A_HAND_PUMP_BEFORE_IT_THAT_DRAWS.filled(inlet.words()),
        inlet.done(),
        Optional.empty(),
        Optional.empty());
  }

  private static Optional<Inlet> adapter(Part part) {
    return part.kind()
        .adapter()
        .map(a ->
            new Inlet(
                part, part.port(a.port()), a.on(), a.off(), Optional.empty(), Optional.empty()));
  }

  private static boolean hasLine(Network network, Inlet inlet) {
    return network.hasLine(inlet.out());
  }

  private static long reached(Network network, Wintering now, Inlet inlet) {
    return Routes.from(network, now, inlet.out()).size();
  }
}
