package fernwort.core.winter.routes;

import fernwort.core.drain.Wintering;
import fernwort.core.kind.Purpose;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import java.util.Comparator;
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
   */
  public record Inlet(Part part, PortRef out, String words, String done) {}

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
                    p.port("out"),
                    "suction hose off and into the jug",
                    "suction hose out of the jug and back on"))
            .filter(i -> hasLine(network, i))
            .max(Comparator.comparingLong(i -> reached(network, now, i)));
    return pump.filter(p -> reached(network, now, p) > 0)
        .or(() -> forAir(network, now).map(InjectionPoint::byHand));
  }

  /** Where no pump of the rig presses it in, another has to. */
  private static Inlet byHand(Inlet inlet) {
    return new Inlet(
        inlet.part(),
        inlet.out(),
        inlet.words() + ", a hand pump before it that draws from the jug",
        inlet.done());
  }

  private static Optional<Inlet> adapter(Part part) {
    return part.kind().adapter().map(a -> new Inlet(part, part.port(a.port()), a.on(), a.off()));
  }

  private static boolean hasLine(Network network, Inlet inlet) {
    return network.hasLine(inlet.out());
  }

  private static long reached(Network network, Wintering now, Inlet inlet) {
    return Routes.from(network, now, inlet.out()).size();
  }
}
