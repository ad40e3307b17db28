package fernwort.core.hazard;

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
  public static List<Warning> of(Network network, Map<String, Double> volumes) {
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
              Message.of(
                  "{} carries {}, {} too much",
                  called(support, alone),
                  Amount.mass(load),
                  Amount.mass(load - support.highest())),
              Message.words(
                  hitch
                      ? "The coupling or what pulls it gives way."
                      : "Tyres, springs or axle give way."),
              Message.of("The water is too close to it."),
              network.tanks().size() > 1
                  ? Message.of("Carry less, or draw the tanks nearest to it first.")
                  : Message.of("Carry less water or other load."),
              List.of()));
    }
    if (hitch && weighed && load < support.lowest()) {
      found.add(
          new Warning(
              Warning.Code.HITCH_LIGHT,
              Severity.DANGER,
              Message.of(
                  "{} carries {}, {} too little",
                  called(support, alone),
                  Amount.mass(load),
                  Amount.mass(support.lowest() - load)),
              Message.of("The trailer sways, and can throw what pulls it off the road."),
              Message.of("Too much weight lies behind the axle, or too little in front of it."),
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
      return Message.of("Fill the tanks in front of the axle, or draw those behind it first.");
    }
    return before
        ? Message.of("Fill more water, or load something heavy in front of the axle.")
        : Message.of("Carry less water, or load something heavy in front of the axle.");
  }

  /** What people call a support; a label that is a word of the sentence stands in quotes. */
  private static String called(Bearing support, boolean alone) {
    if (isHitch(support)) {
      return "The coupling";
    }
    return alone
        ? "The axle"
        : PLACES.contains(support.label())
            ? "The " + support.label() + " axle"
            : "Axle “" + support.label() + "”";
  }

  private static void side(Loads loads, List<Warning> found) {
    double all = loads.onRear() + loads.onFront();
    if (Math.abs(loads.left()) > SIDE * all) {
      found.add(
          new Warning(
              Warning.Code.SIDE,
              Severity.NOTE,
              Message.of(
                  "The water lies {} heavier on the {}",
                  Amount.mass(Math.abs(loads.left())),
                  loads.left() > 0 ? "left" : "right"),
              Message.of("It leans, and pulls to that side when braking."),
              Message.of("The tanks on that side hold more."),
              Message.of("Fill or draw the sides evenly."),
              List.of()));
    }
  }
}
