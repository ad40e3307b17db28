package fernwort.core.demo;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;
import fernwort.core.rig.Rig;
import fernwort.core.rig.Setting;
import fernwort.core.rig.Slope;
import fernwort.core.rig.State;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A demo rig as its people left it.
 *
 * @param id short name for addresses
 * @param rig the rig
 * @param positions what is not as at rest, position by part id
 * @param litres what the tanks hold, in litres by tank id
 */
public record DemoRig(
    String id, Rig rig, Map<PartId, PositionId> positions, Map<PartId, Double> litres) {

  private static final List<DemoRig> ALL =
      ExampleFile.list("rigs/as-left.json", AsLeft.class).stream().map(AsLeft::demo).toList();

  public DemoRig {
    positions = Map.copyOf(positions);
    litres = Map.copyOf(litres);
  }

  /** A demo rig without its rig, as the file lists it. */
  private record AsLeft(String id, Map<PartId, PositionId> positions, Map<PartId, Double> litres) {
    private DemoRig demo() {
      return new DemoRig(id, ExampleFile.rig("rigs/" + id + ".json"), positions, litres);
    }
  }

  /** Returns all demo rigs. */
  public static List<DemoRig> all() {
    return ALL;
  }

  /**
   * Returns one of them.
   *
   * @throws java.util.NoSuchElementException when no demo rig has that short name
   */
  public static DemoRig called(String id) {
    return all().stream().filter(d -> d.id().equals(id)).findFirst().orElseThrow();
  }

  /** Returns the state its people left it in, on level ground. */
  public State state() {
    Setting setting = rig.atRest();
    for (Map.Entry<PartId, PositionId> turned : positions.entrySet()) {
      setting = setting.with(turned.getKey(), turned.getValue());
    }
    Map<PartId, Double> volumes = new TreeMap<>();
    litres.forEach((tank, amount) -> volumes.put(tank, amount / 1000));
    return new State(setting, volumes, Slope.LEVEL);
  }
}
