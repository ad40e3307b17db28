package fernwort.core.guide;

import fernwort.core.hydraulics.Hydraulics;
import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.end.Tap;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import java.util.Map;
import java.util.Optional;

/**
 * What it matters that the lengths of lines were worked out from places: how much the flow at a tap
 * changes when they are a fifth shorter, or a third longer.
 *
 * @param tap what the tap is called
 * @param least the flow through lines a third longer (m³/s)
 * @param most the flow through lines a fifth shorter (m³/s)
 */
record FlowRange(String tap, double least, double most) {

  private static final double SHORTER = 0.8;
  private static final double LONGER = 1.33;
  private static final double HALF = 0.5;

  /** Flows that differ by less, as a share, are the same to whoever stands at the tap. */
  private static final double SAME = 0.02;

  /**
   * Returns it for the shower, or else the first tap of a rig; empty where none runs.
   *
   * @param handles how handles stand while the pump draws, by part
   */
  static Optional<FlowRange> of(Rig rig, Map<PartId, PositionId> handles) {
    Optional<Part> tap =
        rig.parts().stream()
            .filter(p -> p.kind().is(Purpose.USE))
            .min((a, b) -> Boolean.compare(isShower(b), isShower(a)));
    if (tap.isEmpty() || rig.tanks(Contents.FRESH).findAny().isEmpty()) {
      return Optional.empty();
    }
    Setting set = running(rig, handles, tap.orElseThrow());
    PartId id = tap.orElseThrow().id();
    double least = flow(rig, set, id, LONGER);
    double most = flow(rig, set, id, SHORTER);
    return least > 0
        ? Optional.of(new FlowRange(tap.orElseThrow().label(), least, most))
        : Optional.empty();
  }

  private static boolean isShower(Part part) {
    return part.kind() instanceof Tap f && f.showers();
  }

  private static Setting running(Rig rig, Map<PartId, PositionId> handles, Part tap) {
    Setting set = rig.atRest().with(tap.id(), ((Tap) tap.kind()).cold().id());
    for (Map.Entry<PartId, PositionId> handle : handles.entrySet()) {
      set = set.with(handle.getKey(), handle.getValue());
    }
    return set;
  }

  private static double flow(Rig rig, Setting set, PartId tap, double times) {
    Rig other =
        new Rig(
            rig.name(),
            rig.note(),
            rig.vehicle(),
            rig.places(),
            rig.parts(),
            rig.lines().stream().map(l -> l.stretched(times)).toList());
    Network network = Network.of(other);
    State state = new State(set, Map.of(), Slope.LEVEL);
    for (Part tank : other.tanks(Contents.FRESH).toList()) {
      state = state.withVolume(tank.id(), HALF * network.room(tank.id()).capacity());
    }
    return Hydraulics.of(network).solve(state).fixture(tap);
  }

  /** Returns it in words. */
  Message words() {
    if (most - least < SAME * most) {
      return Message.of("{} gives {}", tap, Amount.flow(least));
    }
    return Says.GIVES_TO.with(tap, Amount.flow(least), Amount.flow(most));
  }
}
