package fernwort.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fernwort.core.demo.DemoRig;
import fernwort.core.id.LineId;
import fernwort.core.id.PartId;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A set of parts by their numbers is a set like any other. */
class PartSetTest {

  private static final Network NETWORK = Network.of(DemoRig.all().getFirst().rig());

  private static PartSet of(int... numbers) {
    BitSet in = new BitSet();
    for (int number : numbers) {
      in.set(number);
    }
    return new PartSet(NETWORK, in);
  }

  private static PartId part(int number) {
    return NETWORK.rig().parts().get(number).id();
  }

  @Test
  void itHoldsTheseInTheOrderOfTheRigAndNoOthers() {
    PartSet set = of(7, 2);
    assertThat(set).containsExactly(part(2), part(7));
    assertThat(set.contains(part(3))).isFalse();
    assertThat(set.contains(PartId.of("not on board"))).isFalse();
    assertThat(set.contains((Object) LineId.of(part(2).value()))).isFalse();
    assertThat(of()).isEmpty();
  }

  @Test
  void itEqualsASetOfTheSameParts() {
    Set<PartId> other = Set.of(part(7), part(2));
    assertThat(of(2, 7)).isEqualTo(other).hasSameHashCodeAs(other);
    assertThat(other).isEqualTo(of(2, 7)).isNotEqualTo(of(2));
  }

  @Test
  void itDoesNotChange() {
    PartSet set = of(2);
    for (Runnable change :
        List.<Runnable>of(() -> set.add(part(3)), () -> set.remove(part(2)), set::clear)) {
      assertThatThrownBy(change::run).isInstanceOf(UnsupportedOperationException.class);
    }
  }
}
