package fernwort.core.kind.line;

import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.entered.Answers;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.Property;
import java.util.List;
import java.util.Optional;

/**
 * Lets water through from in to out only.
 *
 * @param crackingPressure pressure it takes to open (Pa)
 */
public record CheckValve(double crackingPressure) implements Fitting {

  private static final Purposes PURPOSES = Purposes.of(Purpose.CHECKS);

  @Override
  public List<Position> service() {
    return FITTED;
  }

  @Override
  public List<Link> links(String position) {
    return List.of(new Link(0, 1, Link.Law.CHECK, crackingPressure));
  }

  @Override
  public double loss(double flow) {
    return crackingPressure;
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS;
  }

  @Override
  public boolean blowsClear() {
    return true;
  }

  @Override
  public List<String> ports() {
    return IN_OUT;
  }

  @Override
  public Keeps keeps() {
    return Keeps.ALL;
  }

  /** One that opens only above this lets out what a heater or regulator cannot hold (Pa). */
  private static final double RELIEF = 1e5;

  @Override
  public boolean relieves() {
    return crackingPressure >= RELIEF;
  }

  @Override
  public String frozen(boolean little) {
    return KindWords.BEFORE_SEAT.text();
  }

  @Override
  public String mend() {
    return KindWords.BURST_OF_AIR_OR_UNDO.text();
  }

  @Override
  public Optional<String> wayRound() {
    return Optional.of(KindWords.ARROW.text());
  }

  @Override
  public PortEnd end(String port) {
    return PortEnd.FEMALE_THREAD;
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(
        Goods.Shelf.WATER_ON_BOARD,
        (relieves() ? KindWords.RELIEF_VALVE : KindWords.CHECK_VALVE).with(size),
        true);
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.CRACKING_PRESSURE, crackingPressure));
  }

  @Override
  public Kind with(Answers answers) {
    return new CheckValve(answers.amount(Asked.CRACKING_PRESSURE));
  }

  @Override
  public String figure() {
    return "check";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }
}
