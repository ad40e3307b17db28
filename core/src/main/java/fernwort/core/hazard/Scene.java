package fernwort.core.hazard;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.Levels;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.ways.FlowPaths;
import fernwort.core.ways.Source;

/**
 * What a check looks at.
 *
 * @param network the prepared rig
 * @param setting the handles
 * @param levels the heights
 * @param ways what is open
 */
record Scene(Network network, Setting setting, Levels levels, FlowPaths ways) {

  String label(PartId part) {
    return part(part).label();
  }

  Part part(PartId id) {
    return network.rig().parts().get(network.index(id));
  }

  boolean isTank(PartId part, Contents contents) {
    return part(part).kind().holds(contents);
  }

  /** Tells whether this is water that people must not drink. */
  boolean isUnsafe(Source source) {
    return switch (source.kind()) {
      case WASTE -> true;
      case MAINS -> false;
      case TANK -> isTank(source.part(), Contents.GRAY);
      case OUTSIDE, JUG ->
          part(source.part()).kind().gives().stream().anyMatch(g -> !g.drinkable());
    };
  }

  boolean is(PartId part, PositionId position) {
    return setting.has(part, position);
  }
}
