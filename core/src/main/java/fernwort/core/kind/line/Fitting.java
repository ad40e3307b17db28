package fernwort.core.kind.line;

import fernwort.core.id.PositionId;
import fernwort.core.kind.InLine;
import fernwort.core.kind.Kind;

/** A kind that sits in a line and has no handle: nobody opens, shuts or switches it. */
public interface Fitting extends Kind {

  @Override
  default InLine inLine() {
    return InLine.PASSED;
  }

  @Override
  default boolean opensToDrain(PositionId position) {
    return position.equals(OFF) || position.equals(UNDONE);
  }
}
