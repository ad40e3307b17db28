package fernwort.core.kind.machine;

import fernwort.core.id.PortId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Moved;
import fernwort.core.kind.NewPart;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Shop;
import java.util.List;

/**
 * One switch that moves several parts, such as a pump and a heater on one switch. It has no
 * position of its own: it is on where every part stands as it moves it.
 *
 * @param moves what it moves
 */
public record GangSwitch(List<Moved> moves) implements Kind {

  /** One that moves nothing yet. */
  public static final NewPart OFFER =
      new NewPart(
          "switch",
          KindWords.SWITCH.text(),
          KindWords.WHAT_A_SWITCH_IS.text(),
          new GangSwitch(List.of()),
          0);

  public GangSwitch {
    moves = List.copyOf(moves);
  }

  @Override
  public String figure() {
    return "switch";
  }

  @Override
  public List<PortId> ports() {
    return List.of();
  }

  @Override
  public InLine inLine() {
    return InLine.STUB;
  }

  @Override
  public Keeps keeps() {
    return Keeps.NOTHING;
  }

  @Override
  public Frost frost() {
    return Frost.LIFTS;
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.OPEN;
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Shop.WATER_ON_BOARD, KindWords.SWITCH_FOR.with(label), false);
  }
}
