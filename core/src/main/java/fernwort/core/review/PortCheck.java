package fernwort.core.review;

import fernwort.core.describe.PortNames;
import fernwort.core.describe.RigEdit;
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

  @Override
  public void over(Plumbed plan, List<Finding> found) {
    for (Part part : plan.rig().parts()) {
      List<String> open =
          part.kind().ports().stream()
              .filter(port -> plan.lineAt(part, port).isEmpty() && matters(part, port))
              .toList();
      if (!open.isEmpty()) {
        found.add(open(part, open));
      }
    }
  }

  /** A neck's mouth is meant to be open; a waste that goes nowhere runs into a bowl. */
  private static boolean matters(Part part, String port) {
    return !(part.kind().is(Purpose.POURED_INTO) && port.equals("mouth"))
        && !(part.kind().is(Purpose.USE) && port.equals("waste"))
        && !part.kind().is(Purpose.CARRIED);
  }

  private static Finding open(Part part, List<String> ports) {
    boolean one = ports.size() == 1;
    boolean ours = PortNames.isOurs(part.kind(), ports.getFirst());
    boolean tank = part.kind().is(Purpose.HOLDS);
    return new Finding(
        Finding.Code.PORT_OPEN,
        Finding.Risk.LOSS,
        Message.words(
            ours
                ? "%s: %s".formatted(part.label(), one ? "an end is open" : "ends are open")
                : (one ? "%s: port %s is open" : "%s: ports %s are open")
                    .formatted(part.label(), String.join(", ", ports))),
        Message.words(
            one
                ? "Nothing is joined to it and nothing closes it."
                : "Nothing is joined to them and nothing closes them."),
        Message.words(
            tank
                ? "All the water above it, the first time the tank is filled."
                : "Whatever reaches it runs out."),
        Message.words(one ? "Plug it, or join a line to it." : "Plug them, or join lines to them."),
        List.of(part.id()),
        Optional.of(rig -> {
          Rig plugged = rig;
          for (String port : ports) {
            plugged = plug(part, port).apply(plugged);
          }
          return plugged;
        }));
  }

  private static UnaryOperator<Rig> plug(Part part, String port) {
    return rig -> {
      String id = RigEdit.of(rig).freeId(part.id() + "-" + port + "-plug");
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
      return RigEdit.of(rig).addAt(plug, "in", part.port(port), 0.013, 0.05);
    };
  }
}
