package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import java.util.List;

/** A fitting in whose middle lines meet. */
public interface Junction extends Fitting {

  Purposes PURPOSES = Purposes.of(Purpose.JOINS);

  @Override
  default Purposes purposes() {
    return PURPOSES;
  }

  @Override
  default List<Link> links(PositionId position) {
    return Link.star(ports().size());
  }

  @Override
  default Keeps keeps() {
    return Keeps.UNTIL_ITS_MIDDLE_LEAVES;
  }

  @Override
  default Frost frost() {
    return Frost.AS_ITS_LINE;
  }

  @Override
  default boolean blowsClear() {
    return true;
  }

  @Override
  default PortEnd end(PortId port) {
    return PortEnd.GRIPS_LINE;
  }
}
