package fernwort.app.rig;

import fernwort.app.board.Drawing;
import fernwort.core.describe.PortNames;
import fernwort.core.id.PartId;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The free ends of a rig as points to tap, in a row above or below the parts that they belong to.
 */
final class FreeEnds {

  private static final double APART = 18;
  private static final double AWAY = 12;

  private FreeEnds() {}

  static List<DescribeView.FreeEnd> of(Rig rig, PortNames names, Drawing drawing) {
    Map<PartId, Integer> count = new HashMap<>();
    names.free().forEach(p -> count.merge(p.part(), 1, Integer::sum));
    Map<PartId, Integer> next = new HashMap<>();
    List<DescribeView.FreeEnd> ends = new ArrayList<>();
    for (PortRef port : names.free()) {
      int i = next.merge(port.part(), 1, Integer::sum) - 1;
      double aside = (i - (count.getOrDefault(port.part(), 1) - 1) / 2.0) * APART;
      drawing.parts().stream()
          .filter(f -> f.part().equals(port.part().value()))
          .findFirst()
          .map(f ->
              new DescribeView.FreeEnd(
                  AddForm.name(port),
                  names.full(port),
                  f.x() + aside,
                  f.y() + (isLabelledBelow(f) ? -1 : 1) * (f.halfHeight() + AWAY)))
          .ifPresent(ends::add);
    }
    return ends;
  }

  private static boolean isLabelledBelow(Drawing.Figure figure) {
    return !figure.texts().isEmpty() && figure.texts().getFirst().y() > figure.y();
  }
}
