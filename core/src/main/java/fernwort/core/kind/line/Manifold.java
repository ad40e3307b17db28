package fernwort.core.kind.line;

import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.entered.Answers;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.Property;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A fitting with one inlet and many outlets.
 *
 * @param outlets how many
 */
public record Manifold(int outlets) implements Fitting {

  private static final Purposes PURPOSES = Purposes.of(Purpose.JOINS);

  @Override
  public List<Link> links(String position) {
    return Link.star(ports().size());
  }

  @Override
  public Optional<InOut> through() {
    return Optional.of(new InOut("in", "1"));
  }

  @Override
  public Frost frost() {
    return Frost.AS_ITS_LINE;
  }

  @Override
  public boolean blowsClear() {
    return true;
  }

  @Override
  public List<String> ports() {
    List<String> names = new ArrayList<>();
    names.add("in");
    for (int i = 1; i <= Math.min(outlets, 64); i++) {
      names.add(Integer.toString(i));
    }
    return List.copyOf(names);
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_ITS_MIDDLE_LEAVES;
  }

  @Override
  public PortEnd end(String port) {
    return PortEnd.GRIPS_LINE;
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Goods.Shelf.PLUMBING, KindWords.MANIFOLD.with(outlets, size), false);
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.OUTLETS, outlets));
  }

  @Override
  public Kind with(Answers answers) {
    return new Manifold((int) answers.amount(Asked.OUTLETS));
  }

  @Override
  public String figure() {
    return "manifold";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }
}
