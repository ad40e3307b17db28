package fernwort.core.review;

import fernwort.core.plumbing.Plumbing;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The standing review of a plan. */
public final class LayoutReview {

  private static final List<Look> LOOKS =
      List.of(
          new PortLook(),
          new DeadEndLook(),
          new AirLook(),
          new VentLook(),
          new OutletLook(),
          new LobeLook(),
          new WiringLook(),
          new SupplyLook(),
          new HeaterLook(),
          new DrainLook(),
          new PlaceLook());

  private LayoutReview() {}

  /** Returns what is weak about a plan, the worst first. */
  public static List<Finding> of(Plumbing plumbing) {
    Plumbed plan = Plumbed.of(plumbing);
    List<Finding> found = new ArrayList<>();
    LOOKS.forEach(look -> look.over(plan, found));
    found.sort(Comparator.comparing(Finding::risk));
    return List.copyOf(found);
  }
}
