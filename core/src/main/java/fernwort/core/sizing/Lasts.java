package fernwort.core.sizing;

import fernwort.core.id.PartId;
import fernwort.core.kind.tank.Contents;
import fernwort.core.network.DrawDown;
import fernwort.core.network.Network;
import fernwort.core.rig.Part;
import fernwort.core.rig.State;
import fernwort.core.tank.TankFigures;
import java.util.List;
import java.util.Optional;

/**
 * How long the water on board lasts.
 *
 * @param fresh what each fresh tank still gives
 * @param freshPerDay fresh water used in a day (m³)
 * @param freshDays days until the last of it is drawn; infinite when nothing is used (days)
 * @param gray the room left in each gray tank
 * @param grayPerDay gray water made in a day (m³)
 * @param grayDays days until gray is full, when the rig has a gray tank
 */
public record Lasts(
    List<Share> fresh,
    double freshPerDay,
    double freshDays,
    List<Share> gray,
    double grayPerDay,
    Optional<Double> grayDays) {

  /**
   * One tank's part in it.
   *
   * @param tank id of the tank
   * @param holds what it holds (m³)
   * @param counts what of that can be drawn or, for gray, what still fits (m³)
   * @param lost what nothing on board can draw or, for gray, cannot be filled (m³)
   */
  public record Share(PartId tank, double holds, double counts, double lost) {}

  /** Which of the two ends the stay. */
  public enum Ends {
    FRESH,
    GRAY
  }

  /** No water on board is to be used: the rig is winterized. */
  public static final Lasts NOTHING =
      new Lasts(List.of(), 0, Double.POSITIVE_INFINITY, List.of(), 0, Optional.empty());

  /** Works it out for a state. */
  public static Lasts of(Network network, State state, Habits habits) {
    List<Share> fresh =
        network.rig().tanks(Contents.FRESH).map(t -> fresh(network, t, state)).toList();
    List<Share> gray =
        network.rig().tanks(Contents.GRAY).map(t -> gray(network, t, state)).toList();
    Optional<Double> grayDays =
        gray.isEmpty() ? Optional.empty() : Optional.of(days(sum(gray), habits.grayPerDay()));
    return new Lasts(
        fresh,
        habits.freshPerDay(),
        days(sum(fresh), habits.freshPerDay()),
        gray,
        habits.grayPerDay(),
        grayDays);
  }

  /** Days until an amount (m³) is used up; without end where nothing is used. */
  private static double days(double amount, double perDay) {
    return perDay > 0 ? amount / perDay : Double.POSITIVE_INFINITY;
  }

  private static Share fresh(Network network, Part part, State state) {
    double holds = state.volume(part.id());
    double counts = DrawDown.drawable(network, state, part.id());
    return new Share(part.id(), holds, counts, holds - counts);
  }

  private static Share gray(Network network, Part part, State state) {
    TankFigures figures = network.figures(part, state.slope());
    double holds = state.volume(part.id());
    double room = Math.max(0, figures.full() - holds);
    return new Share(part.id(), holds, room, figures.unreachable());
  }

  private static double sum(List<Share> shares) {
    return shares.stream().mapToDouble(Share::counts).sum();
  }

  /**
   * Returns this with other use and days of fresh water.
   *
   * @param perDay fresh water used in a day (m³)
   * @param days until it ends (days)
   */
  public Lasts withFresh(double perDay, double days) {
    return new Lasts(fresh, perDay, days, gray, grayPerDay, grayDays);
  }

  /** Returns how long these levels last when as much is used a day as there; itself if nothing. */
  public Lasts usedLike(Lasts other) {
    if (!(other.freshPerDay > 0)) {
      return this;
    }
    Lasts like = withFresh(other.freshPerDay, days(sum(fresh), other.freshPerDay));
    return grayDays.isEmpty()
        ? like
        : like.withGray(other.grayPerDay, days(sum(gray), other.grayPerDay));
  }

  /** Returns this where nobody uses water: the rig is winterized. */
  public Lasts withoutEnd() {
    double never = Double.POSITIVE_INFINITY;
    return new Lasts(fresh, 0, never, gray, 0, grayDays.map(days -> never));
  }

  /**
   * Returns this with other use and days of gray water.
   *
   * @param perDay gray water made in a day (m³)
   * @param days until there is no more room (days)
   */
  public Lasts withGray(double perDay, double days) {
    return new Lasts(fresh, freshPerDay, freshDays, gray, perDay, Optional.of(days));
  }

  /** Returns the fresh water that can be drawn (m³). */
  public double freshLeft() {
    return sum(fresh);
  }

  /** Returns the gray water that still fits (m³). */
  public double grayRoom() {
    return sum(gray);
  }

  /** Returns what ends first. */
  public Ends ends() {
    return grayDays.isPresent() && grayDays.get() < freshDays ? Ends.GRAY : Ends.FRESH;
  }

  /** Returns the days until the first of the two ends. */
  public double days() {
    return ends() == Ends.GRAY ? grayDays.orElse(freshDays) : freshDays;
  }
}
