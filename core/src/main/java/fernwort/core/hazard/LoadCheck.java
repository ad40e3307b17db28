package fernwort.core.hazard;

import fernwort.core.id.PartId;
import fernwort.core.load.Bearing;
import fernwort.core.load.Loads;
import fernwort.core.network.Network;
import fernwort.core.say.Amount;
import fernwort.core.say.Message;
import fernwort.core.say.Refusal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Loads beyond their limits, on level ground; what the vehicle carries beside its water is in its
 * measured empty loads. No handle changes them, so that they are looked at once for a state.
 */
public final class LoadCheck {

  /** One side may be heavier by this share of all; a default, makers seldom say. */
  private static final double SIDE = 0.04;

  /** Labels of axles that read well before the word. */
  private static final Set<String> PLACES = Set.of("rear", "front", "middle", "left", "right");

  private LoadCheck() {}

  /**
   * Returns the warnings of some water.
   *
   * @param network the prepared rig
   * @param volumes water by tank id (m³)
   */
  public static List<Warning> of(Network network, Map<PartId, Double> volumes) {
    if (network.rig().vehicle().axles().isEmpty()) {
      return List.of();
    }
    Loads loads;
    try {
      loads = Loads.of(network, volumes);
    } catch (Refusal e) {
      // The vehicle is not described well enough to stand; its page says so.
      return List.of();
    }
    List<Warning> found = new ArrayList<>();
    List<Bearing> supports = loads.supports();
    look(network, supports, supports.get(0), loads.onRear(), found);
    look(network, supports, supports.get(1), loads.onFront(), found);
    side(loads, found);
    return found;
  }

  private static void look(
      Network network, List<Bearing> supports, Bearing support, double load, List<Warning> found) {
    boolean hitch = isHitch(support);
    boolean alone = supports.stream().anyMatch(LoadCheck::isHitch);
    boolean weighed = support.empty() > 0;
    if (load > support.highest()) {
      found.add(
          new Warning(
              hitch ? Warning.Code.HITCH_HEAVY : Warning.Code.AXLE_OVER,
              Severity.DANGER,
              Says.CARRIES_TOO_MUCH.with(
                  called(support, alone), Amount.mass(load), Amount.mass(load - support.highest())),
              Message.words(
                  hitch
                      ? Says.THE_COUPLING_OR_WHAT_PULLS.text()
                      : Says.TYRES_SPRINGS_OR_AXLE_GIVE_WAY.text()),
              Says.THE_WATER_IS_TOO_CLOSE_TO_IT.with(),
              network.tanks().size() > 1
                  ? Says.CARRY_LESS_OR_DRAW_THE_TANKS.with()
                  : Says.CARRY_LESS_WATER_OR_OTHER_LOAD.with(),
              List.of()));
    }
    if (hitch && weighed && load < support.lowest()) {
      found.add(
          new Warning(
              Warning.Code.HITCH_LIGHT,
              Severity.DANGER,
              Says.CARRIES_TOO_LITTLE.with(
                  called(support, alone), Amount.mass(load), Amount.mass(support.lowest() - load)),
              Says.THE_TRAILER_SWAYS_AND_CAN_THROW.with(),
              Says.TOO_MUCH_WEIGHT_LIES_BEHIND.with(),
              balance(network, supports.get(0).x()),
              List.of()));
    }
  }

  private static boolean isHitch(Bearing support) {
    return support.lowest() > 0 || support.label().equals("drawbar");
  }

  /** What puts more weight on the coupling, with the tanks that there are. */
  private static Message balance(Network network, double axle) {
    boolean before = network.tanks().stream().anyMatch(t -> t.x() > axle);
    boolean behind = network.tanks().stream().anyMatch(t -> t.x() <= axle);
    if (before && behind) {
      return Says.FILL_THE_TANKS_IN_FRONT.with();
    }
    return before ? Says.FILL_MORE_WATER_OR_LOAD.with() : Says.CARRY_LESS_WATER_OR_LOAD.with();
  }

  /** What people call a support; a label that is a word of the sentence stands in quotes. */
  private static String called(Bearing support, boolean alone) {
    if (isHitch(support)) {
      return Says.THE_COUPLING.text();
    }
    return alone
        ? Says.THE_AXLE.text()
        : PLACES.contains(support.label())
            ? Says.THE_AXLE_OF.filled(support.label())
            : Says.AXLE.filled(support.label());
  }

  private static void side(Loads loads, List<Warning> found) {
    double all = loads.onRear() + loads.onFront();
    if (Math.abs(loads.left()) > SIDE * all) {
      found.add(
          new Warning(
              Warning.Code.SIDE,
              Severity.NOTE,
              Says.THE_WATER_LIES_HEAVIER_ON_THE.with(
                  Amount.mass(Math.abs(loads.left())), loads.left() > 0 ? "left" : "right"),
              Says.IT_LEANS_AND_PULLS_TO_THAT_SIDE.with(),
              Says.THE_TANKS_ON_THAT_SIDE_HOLD_MORE.with(),
              Says.FILL_OR_DRAW_THE_SIDES_EVENLY.with(),
              List.of()));
    }
  }
}
