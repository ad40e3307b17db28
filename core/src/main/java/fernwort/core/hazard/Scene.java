package fernwort.core.hazard;

import fernwort.core.kind.tank.Contents;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Part;
import fernwort.core.rig.Setting;
import fernwort.core.ways.Source;
import fernwort.core.ways.Ways;

/**
 * What a check looks at.
 *
 * @param plumbing the prepared rig
 * @param setting the handles
 * @param levels the heights
 * @param ways what is open
 */
record Scene(Plumbing plumbing, Setting setting, Levels levels, Ways ways) {

  String label(String part) {
    return part(part).label();
  }

  Part part(String id) {
    return plumbing.rig().parts().get(plumbing.index(id));
  }

  boolean isTank(String part, Contents contents) {
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

  boolean is(String part, String position) {
    return setting.has(part, position);
  }
}
