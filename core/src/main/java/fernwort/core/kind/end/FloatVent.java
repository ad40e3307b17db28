package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Care;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Shop;
import java.util.List;

/**
 * A float air vent at the highest point of a line: its float lets air out, and in again while the
 * line empties, and shuts as water lifts it. Its small cap shuts it for good.
 */
public record FloatVent() implements Kind {

  private static final Purposes PURPOSES = Purposes.of(Purpose.BREATHES);

  public static final NewPart OFFER =
      new NewPart(
          "float-vent",
          KindWords.FLOAT_VENT.text(),
          KindWords.WHAT_A_FLOAT_VENT_IS.text(),
          new FloatVent(),
          0.02);

  private static final Position OPEN = Position.of("open", KindWords.CAP_LOOSE.text());
  private static final Position SHUT = Position.of("shut", KindWords.CAP_TIGHT.text());

  @Override
  public List<PortId> ports() {
    return List.of(PortId.IN);
  }

  @Override
  public List<Position> positions() {
    return List.of(OPEN, SHUT);
  }

  @Override
  public List<Mouth> mouths(PositionId position) {
    return position.equals(OPEN.id()) ? List.of(new Mouth(0, Mouth.Onto.AIR)) : List.of();
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_ITS_LINE_LEAVES;
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS;
  }

  @Override
  public boolean bursts() {
    return true;
  }

  @Override
  public String frozen(boolean little) {
    return KindWords.ROUND_ITS_FLOAT.text();
  }

  @Override
  public String notice(PositionId position) {
    return (rests(position) ? KindWords.HISSES_THEN_STILL : KindWords.CAP_SITS).text();
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.FEMALE_THREAD;
  }

  @Override
  public List<Care> care(String label) {
    return List.of(Care.of(KindWords.LOOK_FOR_DRIP.with(label), Care.A_YEAR));
  }

  @Override
  public String figure() {
    return "float-vent";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Shop.WATER_ON_BOARD, KindWords.BUY_FLOAT_VENT.with(size), false);
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    return switch (to.value()) {
      case "shut" -> KindWords.TIGHTEN_CAP.with(label);
      case "open" -> KindWords.LOOSEN_CAP.with(label);
      default -> Kind.super.act(label, from, to);
    };
  }
}
