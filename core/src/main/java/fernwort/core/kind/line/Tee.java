package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.kind.Goods;
import fernwort.core.kind.InOut;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Shop;
import java.util.List;
import java.util.Optional;

/** A fitting with three ends. */
public record Tee() implements Junction {

  @Override
  public PortFlow flow(PortId port) {
    return PortFlow.EITHER;
  }

  @Override
  public Optional<InOut> through() {
    return Optional.of(new InOut(PortId.A, PortId.B));
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.A, PortId.B, PortId.C);
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Shop.PLUMBING, KindWords.TEE.with(size), true);
  }

  @Override
  public String figure() {
    return "tee";
  }
}
