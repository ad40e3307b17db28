package fernwort.core.review;

import fernwort.core.describe.PortNames;
import fernwort.core.describe.RigEdit;
import fernwort.core.id.PartId;
import fernwort.core.id.PortId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Plug;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Ports that are neither used nor plugged. */
final class PortCheck implements LayoutCheck {

  private static final double BORE = 0.013;

  /** How long the stub under a plug is (m); own choice. */
  private static final double STUB = 0.05;

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    for (Part part : plan.rig().parts()) {
      List<PortId> open =
          part.kind().ports().stream()
              .filter(port -> plan.lineAt(part, port).isEmpty() && matters(part, port))
              .toList();
      if (!open.isEmpty()) {
        found.add(open(part, open));
      }
    }
  }

  /** A neck's mouth is meant to be open; a waste that goes nowhere runs into a bowl. */
  private static boolean matters(Part part, PortId port) {
    return !(part.kind().is(Purpose.POURED_INTO) && port.equals(PortId.of("mouth")))
        && !(part.kind().is(Purpose.USE) && port.equals(PortId.WASTE))
        && !part.kind().is(Purpose.CARRIED);
  }

  private static Finding open(Part part, List<PortId> ports) {
    boolean one = ports.size() == 1;
    boolean ours = PortNames.isOurs(part.kind(), ports.getFirst());
    boolean tank = part.kind().is(Purpose.HOLDS);
    return new Finding(
        Finding.Code.PORT_OPEN,
        Finding.Risk.LOSS,
        Message.words(
            ours
                ? "%s: %s"
                    .formatted(
                        part.label(), one ? Says.AN_END_IS_OPEN.text() : Says.ENDS_ARE_OPEN.text())
                : (one ? Says.PORT_IS_OPEN : Says.PORTS_ARE_OPEN)
                    .filled(part.label(), PortId.listed(ports))),
        Message.words(one ? Says.NOTHING_IS_JOINED.text() : Says.NOTHING_IS_JOINED_TO_THEM.text()),
        Message.words(
            tank
                ? Says.ALL_THE_WATER_ABOVE_IT_THE_FIRST.text()
                : Says.WHATEVER_REACHES_IT_RUNS_OUT.text()),
        Message.words(
            one ? Says.PLUG_IT_OR_JOIN_A_LINE.text() : Says.PLUG_THEM_OR_JOIN_LINES_TO_THEM.text()),
        List.of(part.id()),
        Optional.of(rig -> {
          Rig plugged = rig;
          for (PortId port : ports) {
            plugged = plug(part, port).apply(plugged);
          }
          return plugged;
        }));
  }

  private static UnaryOperator<Rig> plug(Part part, PortId port) {
    return rig -> {
      PartId id = RigEdit.of(rig).freePart(part.id() + "-" + port + "-plug");
      Part plug =
          new Part(
              id,
              RigEdit.shortened("Plug, " + part.label() + " " + port),
              part.place(),
              part.x(),
              part.y(),
              part.at(port).z(),
              0,
              new Plug(false));
      return RigEdit.of(rig).addAt(plug, PortId.IN, part.port(port), BORE, STUB);
    };
  }
}
