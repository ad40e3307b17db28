package fernwort.core.network;

import fernwort.core.id.PartId;
import java.util.AbstractSet;
import java.util.BitSet;
import java.util.Iterator;
import org.jspecify.annotations.Nullable;

/**
 * Some of a rig's parts, in its order. It is made at no cost, where a set that hashes each of them
 * takes a quarter of a search of ways; it does not change.
 */
public final class PartSet extends AbstractSet<PartId> {

  private final Network network;
  private final BitSet numbers;

  /**
   * Makes the set of some parts.
   *
   * @param numbers where they stand in the rig's list of parts; not to be changed from then on
   */
  public PartSet(Network network, BitSet numbers) {
    this.network = network;
    this.numbers = numbers;
  }

  @Override
  public boolean contains(@Nullable Object id) {
    return id instanceof PartId part && network.has(part) && numbers.get(network.index(part));
  }

  @Override
  public Iterator<PartId> iterator() {
    return numbers.stream().mapToObj(i -> network.rig().parts().get(i).id()).iterator();
  }

  @Override
  public int size() {
    return numbers.cardinality();
  }
}
