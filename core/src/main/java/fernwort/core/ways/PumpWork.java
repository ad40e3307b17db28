package fernwort.core.ways;

import fernwort.core.id.PartId;
import java.util.List;
import java.util.Optional;

/**
 * What a running pump does.
 *
 * @param pump id of the pump
 * @param sources what it can draw from
 * @param airThrough id of a part through which it also sucks air, if there is one
 * @param loop parts through which its delivery runs straight back to its inlet; empty for none
 * @param heldOff whether mains pressure behind it keeps its switch open
 */
public record PumpWork(
    PartId pump,
    List<Source> sources,
    Optional<PartId> airThrough,
    List<PartId> loop,
    boolean heldOff) {

  public PumpWork {
    sources = List.copyOf(sources);
    loop = List.copyOf(loop);
  }
}
