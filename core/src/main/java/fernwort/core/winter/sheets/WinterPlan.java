package fernwort.core.winter.sheets;

import fernwort.core.drain.Wintering;
import fernwort.core.say.Message;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How one school takes a rig through the winter.
 *
 * @param school the school
 * @param steps what to do, in order
 * @param before how the rig stood
 * @param after how it stands then
 * @param left the water that stays then, most dangerous first
 * @param notes what cannot be done, or what to know, each with its fix
 * @param air what the air does, outlet by outlet; empty for the other schools
 * @param litres antifreeze it takes (m³)
 * @param weakest share of glycol where it is weakest (0 to 1), if there is any
 * @param weakestAt what that is called
 */
public record WinterPlan(
    WinterizingMethod school,
    List<WinterStep> steps,
    Wintering before,
    Wintering after,
    List<FrostRisk> left,
    List<Message> notes,
    List<Blow> air,
    double litres,
    OptionalDouble weakest,
    String weakestAt) {

  public WinterPlan {
    steps = List.copyOf(steps);
    left = List.copyOf(left);
    notes = List.copyOf(notes);
    air = List.copyOf(air);
  }

  /**
   * Returns how long it takes, roughly (s): what hands do, and the longest wait, for the others go
   * on meanwhile.
   */
  public double seconds() {
    double hands = steps.stream().filter(s -> !s.isWait()).mapToDouble(WinterStep::seconds).sum();
    double longest =
        steps.stream().filter(WinterStep::isWait).mapToDouble(WinterStep::seconds).max().orElse(0);
    return hands + longest;
  }

  /** Returns at how many places one stands or crouches. */
  public long places() {
    return steps.stream().map(WinterStep::place).filter(p -> !p.isEmpty()).distinct().count();
  }

  /** Returns what frost does to what stays. */
  public FrostVerdict verdict() {
    return FrostVerdict.of(left);
  }

  /** Returns how much of what stays does some harm. */
  public long count(FrostHarm harm) {
    return left.stream().filter(l -> l.harm() == harm).count();
  }

  /** Returns the jugs to buy, of so much each (m³). */
  public int jugs(double jug) {
    return (int) Math.ceil(litres / jug - 1e-9);
  }
}
