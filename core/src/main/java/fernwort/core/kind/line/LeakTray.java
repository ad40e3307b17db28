package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.kind.Care;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Shop;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import java.util.List;

/**
 * A tray under a tank or pump that catches what leaks. No line leads to it.
 *
 * @param holds what it holds (m³)
 * @param contact whether a contact in it tells that water stands there
 */
public record LeakTray(double holds, boolean contact) implements Fitting {

  private static final Purposes PURPOSES = Purposes.of(Purpose.CATCHES);

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }

  @Override
  public InLine inLine() {
    return InLine.STUB;
  }

  @Override
  public Frost frost() {
    return Frost.LIFTS;
  }

  @Override
  public List<PortId> ports() {
    return List.of();
  }

  @Override
  public Keeps keeps() {
    return Keeps.NOTHING;
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.OPEN;
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(
        Shop.WATER_ON_BOARD,
        (contact ? KindWords.LEAK_TRAY_WITH_CONTACT : KindWords.LEAK_TRAY).with(label),
        false);
  }

  @Override
  public List<Care> care(String label) {
    return contact
        ? List.of(Care.of(KindWords.WET_THE_CONTACT.with(label), Care.HALF_A_YEAR))
        : List.of();
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.TRAY_HOLDS, holds), Property.of(Asked.CONTACT, contact));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new LeakTray(answers.amount(Asked.TRAY_HOLDS), answers.ticked(Asked.CONTACT));
  }

  @Override
  public String figure() {
    return "tray";
  }
}
