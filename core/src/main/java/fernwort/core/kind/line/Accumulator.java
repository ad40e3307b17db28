package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.kind.Care;
import fernwort.core.kind.Frost;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import java.util.List;

/**
 * A vessel with an air cushion on one side.
 *
 * @param precharge air pressure without water (Pa)
 */
public record Accumulator(double precharge) implements Fitting {

  private static final Purposes PURPOSES = Purposes.of(Purpose.CUSHIONS);

  @Override
  public List<Position> service() {
    return FITTED;
  }

  @Override
  public InLine inLine() {
    return InLine.STUB;
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
  public List<PortId> ports() {
    return List.of(PortId.IN);
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_ITS_LINE_IS_DRY;
  }

  @Override
  public String frozen(boolean little) {
    return KindWords.UNDER_MEMBRANE.text();
  }

  @Override
  public String fix() {
    return KindWords.ITS_AIR_PUSHES.text();
  }

  @Override
  public boolean appliance() {
    return true;
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.THREAD;
  }

  @Override
  public List<Care> care(String label) {
    return List.of(Care.of(KindWords.CHECK_AIR.with(label), Care.A_YEAR));
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.PRECHARGE, precharge));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new Accumulator(answers.amount(Asked.PRECHARGE));
  }

  @Override
  public String figure() {
    return "surge";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }
}
