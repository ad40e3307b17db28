package fernwort.core.describe;

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
      List.of(
          new ReadyRig(
              "jug",
              "Can and foot pump",
              "A weekend car or small trailer: no electricity, one can in and one can out.",
              SmallLayouts.can()),
          new ReadyRig(
              "one-tank",
              "One tank, one pump",
              "The usual first van: a tank inside, a pressure pump, one tap.",
              SmallLayouts.oneTank()),
          new ReadyRig(
              "pump-or-drain",
              "One tank, pump or drain",
              "One valve by the door turns the tank to the pump, to the drain, or shut.",
              SmallLayouts.pumpOrDrain()),
          new ReadyRig(
              "main-and-low",
              "Main tank and a low one",
              "More water under the floor, moved up into the main tank by a second pump.",
              SmallLayouts.mainAndLow()),
          new ReadyRig(
              "three-in-a-row",
              "Three tanks, one fill",
              "Three tanks that fit three corners and fill one from the next.",
              LargeLayouts.threeInARow()),
          new ReadyRig(
              "shore-and-bucket",
              "Shore water and a bucket",
              "Hose to the taps or into the tank; the pump also draws from a bucket beside the van.",
              LargeLayouts.shoreAndBucket()),
          new ReadyRig(
              "long-stay",
              "Filters, manifolds, hot loop",
              "A large vehicle to live in: filters, cold and hot manifolds, hot water at once.",
              LargeLayouts.longStay()),
          new ReadyRig(
              "haulage",
              "Haulage tank with engine pump",
              "Fetches water for others: fills itself from a stream, delivers by hose.",
              LargeLayouts.haulage()));

  /** Returns all layouts, the smallest first. */
  public static List<ReadyRig> all() {
    return ALL;
  }

  /** Returns the layout with this short name. */
  public static Optional<ReadyRig> find(String id) {
    return ALL.stream().filter(r -> r.id().equals(id)).findFirst();
  }
}
