package fernwort.core.rig;

import fernwort.core.id.PartId;
import fernwort.core.kind.Purpose;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * How a rig is put together, as far as somebody described it.
 *
 * @param joints what its ends and ports offer to each other
 * @param supports what carries its tanks
 */
public record Built(List<Joint> joints, List<TankSupport> supports) {

  /** Nobody said anything: all is as usual. */
  public static final Built AS_USUAL = new Built(List.of(), List.of());

  public Built {
    joints = List.copyOf(joints);
    supports = List.copyOf(supports);
  }

  /** Returns what was said of a port. */
  public Optional<Joint> joint(PortRef at) {
    return joints.stream().filter(j -> j.at().equals(at)).findFirst();
  }

  /** Returns what carries a tank, from its rear on. */
  public List<TankSupport> supports(PartId tank) {
    return supports.stream().filter(s -> s.tank().equals(tank)).toList();
  }

  /** Returns what of it is still there in a rig of these parts. */
  public Built within(List<Part> parts) {
    Set<PortRef> ports =
        parts.stream()
            .flatMap(p -> p.kind().ports().stream().map(p::port))
            .collect(Collectors.toSet());
    Set<PartId> tanks =
        parts.stream()
            .filter(p -> p.kind().is(Purpose.HOLDS))
            .map(Part::id)
            .collect(Collectors.toSet());
    return new Built(
        joints.stream().filter(j -> ports.contains(j.at())).toList(),
        supports.stream().filter(s -> tanks.contains(s.tank())).toList());
  }
}
