package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.kind.Goods;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Shop;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A fitting with one inlet and many outlets.
 *
 * @param outlets how many
 */
public record Manifold(int outlets) implements Junction {

  @Override
  public Optional<InOut> through() {
    return Optional.of(new InOut(PortId.IN, PortId.of("1")));
  }

  @Override
  public List<PortId> ports() {
    List<PortId> names = new ArrayList<>();
    names.add(PortId.IN);
    for (int i = 1; i <= Math.min(outlets, 64); i++) {
      names.add(PortId.of(Integer.toString(i)));
    }
    return List.copyOf(names);
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Shop.PLUMBING, KindWords.MANIFOLD.with(outlets, size), false);
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.OUTLETS, outlets));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new Manifold((int) answers.amount(Asked.OUTLETS));
  }

  @Override
  public String figure() {
    return "manifold";
  }
}
