package fernwort.core.demo;

import fernwort.core.rig.Rig;
import java.util.List;
import java.util.Optional;

/**
 * A layout to start from.
 *
 * @param id short name
 * @param title what it is, in a few words
 * @param forWhom whom it suits
 * @param rig the rig, to be made one's own
 */
public record ReadyRig(String id, String title, String forWhom, Rig rig) {

  private static final List<ReadyRig> ALL =
      ExampleFile.list("layouts/layouts.json", Listed.class).stream().map(Listed::ready).toList();

  /** A layout without its rig, as the file lists it. */
  private record Listed(String id, String title, String forWhom) {
    private ReadyRig ready() {
      return new ReadyRig(id, title, forWhom, ExampleFile.rig("layouts/" + id + ".json"));
    }
  }

  /** Returns all layouts, the smallest first. */
  public static List<ReadyRig> all() {
    return ALL;
  }

  /** Returns the layout with this short name. */
  public static Optional<ReadyRig> find(String id) {
    return ALL.stream().filter(r -> r.id().equals(id)).findFirst();
  }
}
