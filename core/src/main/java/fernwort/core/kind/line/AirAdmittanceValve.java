package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import java.util.List;

/** A float ball: air passes both ways, water shuts it. */
public record AirAdmittanceValve() implements Fitting {

  private static final Purposes PURPOSES = Purposes.of(Purpose.BREATHES);

  @Override
  public InLine inLine() {
    return InLine.END;
  }

  @Override
  public List<Mouth> mouths(PositionId position) {
    return List.of(new Mouth(0, Mouth.Onto.AIR));
  }

  @Override
  public boolean letsAir() {
    return true;
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS;
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.IN);
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_ITS_LINE_LEAVES;
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.FEMALE_THREAD;
  }

  @Override
  public String figure() {
    return "air";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }
}
