package fernwort.core.kind.line;

import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import java.util.List;
import java.util.Optional;

/** A fitting with three ends. */
public record Tee() implements Fitting {

  private static final Purposes PURPOSES = Purposes.of(Purpose.JOINS);

  @Override
  public List<Link> links(String position) {
    return Link.star(3);
  }

  @Override
  public PortFlow flow(String port) {
    return PortFlow.EITHER;
  }

  @Override
  public Optional<InOut> through() {
    return Optional.of(new InOut("a", "b"));
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
    return List.of("a", "b", "c");
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
    return new Goods(Goods.Shelf.PLUMBING, KindWords.TEE.with(size), true);
  }

  @Override
  public String figure() {
    return "tee";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }
}
