package fernwort.core.review;

import fernwort.core.network.Network;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The standing review of a plan. */
public final class LayoutReview {

  private static final List<LayoutCheck> LOOKS =
      List.of(
          new PortCheck(),
          new DeadEndCheck(),
          new AirCheck(),
          new VentCheck(),
          new OutletCheck(),
          new LobeCheck(),
          new WiringCheck(),
          new SupplyCheck(),
          new HeaterCheck(),
          new DrainCheck(),
          new PlaceCheck());

  private LayoutReview() {}

  /** Returns what is weak about a plan, the worst first. */
  public static List<Finding> of(Network network) {
    Plumbed plan = Plumbed.of(network);
    List<Finding> found = new ArrayList<>();
    LOOKS.forEach(look -> look.over(plan, found));
    found.sort(Comparator.comparing(Finding::risk));
    return List.copyOf(found);
  }
}
