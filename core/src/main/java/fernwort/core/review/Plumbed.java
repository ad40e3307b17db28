package fernwort.core.review;

import fernwort.core.drain.EverythingOpen;
import fernwort.core.drain.Wetness;
import fernwort.core.kind.tank.Contents;
import fernwort.core.plumbing.Connections;
import fernwort.core.plumbing.Levels;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.Line;
import fernwort.core.rig.Part;
import fernwort.core.rig.PortRef;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.Map;
import java.util.Optional;

/**
 * A rig as the looks see it: with every handle free and every tank empty.
 *
 * @param plumbing the prepared rig
 * @param free what the layout joins
 * @param level the heights on level ground
 * @param stays where water stays when all is open that a hand can open
 * @param lines the line at each port
 */
record Plumbed(
    Plumbing plumbing, Connections free, Levels level, Wetness stays, Map<PortRef, Line> lines) {

  static Plumbed of(Plumbing plumbing) {
    State empty = new State(plumbing.rig().atRest(), Map.of(), Slope.LEVEL);
    Levels level = Levels.of(plumbing, empty);
    return new Plumbed(
        plumbing,
        Connections.withHandlesFree(plumbing),
        level,
        EverythingOpen.of(plumbing, empty).wetness(),
        plumbing.rig().linesByPort());
  }

  Rig rig() {
    return plumbing.rig();
  }

  Part part(String id) {
    return rig().parts().get(plumbing.index(id));
  }

  Optional<Line> lineAt(Part part, String port) {
    return Optional.ofNullable(lines.get(part.port(port)));
  }

  static boolean isTank(Part part, Contents contents) {
    return part.kind().holds(contents);
  }
}
