package fernwort.core.kind;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.entered.Clash;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import fernwort.core.kind.list.Kinds;
import fernwort.core.kind.tank.Contents;
import fernwort.core.kind.tank.TankPort;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * What a part is, declared by each kind for all who ask: its ports, what a hand can change, and
 * what water, frost and the workbench meet in it. {@link Kinds} lists the kinds.
 *
 * <p>The first position of each kind is how it is left at rest.
 */
public interface Kind {

  /** Returns the name of the figure that it is drawn as. */
  String figure();

  /** Returns the names of the ports. */
  List<PortId> ports();

  /**
   * Returns what a hand can set, the position at rest first; empty when there is nothing to set.
   */
  default List<Position> positions() {
    return List.of();
  }

  /** Returns the position it takes by itself when the power fails, if it takes one. */
  default Optional<PositionId> unpowered() {
    return Optional.empty();
  }

  /**
   * Returns how a hand leaves it when nothing is to run: shut, off, stowed, its cap on; empty when
   * there is nothing to set.
   */
  default Optional<Position> rest() {
    return positions().stream().findFirst();
  }

  /**
   * Returns what draining takes off, takes out or leaves half way beside what is set in use, as it
   * is in use first; empty for most kinds.
   */
  default List<Position> service() {
    return List.of();
  }

  /** Tells what it is there for. */
  default Purposes purposes() {
    return Purposes.NONE;
  }

  /** Tells whether it is there for something. */
  default boolean is(Purpose purpose) {
    return purposes().has(purpose);
  }

  /** Tells which way water goes at one of its ports. */
  default PortFlow flow(PortId port) {
    return PortFlow.by(port);
  }

  /** Returns the water that it gives from outside the rig in a position, if it does. */
  default Optional<Given> gives(PositionId position) {
    return Optional.empty();
  }

  /** Returns the water that it can give from outside the rig, in one position or another. */
  default List<Given> gives() {
    return positions().stream().flatMap(p -> gives(p.id()).stream()).toList();
  }

  /** Returns the most that it brings into a tank by itself (m³/s). */
  default double brings() {
    return 0;
  }

  /** Tells how it stands in the run of lines. */
  default InLine inLine() {
    return InLine.END;
  }

  /** Returns where water or air leaves the lines at it in a position. */
  default List<Mouth> mouths(PositionId position) {
    return List.of();
  }

  /** Returns the two ports by which it stands in a line, that by which water comes in first. */
  default Optional<InOut> through() {
    return ports().equals(IN_OUT)
        ? Optional.of(new InOut(PortId.IN, PortId.OUT))
        : Optional.empty();
  }

  /** Tells what its body keeps while the lines run out. */
  Keeps keeps();

  /**
   * Returns the share of its body that stands under its drain.
   *
   * @param volume what its body holds (m³)
   */
  default double underDrain(double volume) {
    return 0;
  }

  /**
   * Returns the position that says what its ports are joined by while its handle is left half way.
   */
  default PositionId halfWay(PositionId position) {
    return position;
  }

  /** Tells whether a position lets water or air out of it that another keeps in, for draining. */
  default boolean opensToDrain(PositionId position) {
    return position.equals(UNDONE);
  }

  /** Tells whether air or antifreeze that is pushed into it comes out again. */
  default boolean pushedThrough() {
    return true;
  }

  /**
   * Returns the position that it is in for a moment on its way from one position to another, as an
   * end is bare between its cap and its hose; empty where nothing comes off.
   */
  default Optional<PositionId> bare(PositionId from, PositionId to) {
    return Optional.empty();
  }

  /** Returns the temperature that it mixes hot and cold water to (K), if it does. */
  default OptionalDouble mixesTo() {
    return OptionalDouble.empty();
  }

  /** Returns the temperature at which its thermostat stops (K), if it heats water. */
  default OptionalDouble heatsTo() {
    return OptionalDouble.empty();
  }

  /** Returns what it takes in a position that throttles (velocity heads of its line). */
  default double throttles(PositionId position) {
    return 0;
  }

  /** Returns the position in which it is opened to drain the rig, if it is among the first. */
  default Optional<PositionId> drained() {
    return Optional.empty();
  }

  /** Returns the position in which water runs out at one of its ports, if there is one. */
  default Optional<PositionId> runsOut(PortId port) {
    return Optional.empty();
  }

  /** Returns what it is put in a position for. */
  default String purpose(PositionId position) {
    return KindWords.LEFT_SO.text();
  }

  /** Returns what one sees, hears or feels when it is put in a position. */
  default String notice(PositionId position) {
    return "";
  }

  /** Returns what is said of it as it is put to rest for the winter, if that is worth a step. */
  default Optional<String> restNote() {
    return Optional.empty();
  }

  /**
   * Returns how water stands in it when it freezes.
   *
   * @param little whether it is no more than half full
   */
  default String frozen(boolean little) {
    return KindWords.IN_ITS_BODY.text();
  }

  /** Returns what rids it of its water. */
  default String fix() {
    return KindWords.OPEN_ABOVE_AND_BELOW.text();
  }

  /** Returns what is said of it as it is opened to drain the rig. */
  default String openedNote() {
    return "";
  }

  /** Returns how air or antifreeze is let in at it, if it can be. */
  default Optional<Adapter> adapter() {
    return Optional.empty();
  }

  /** Returns what to mind when it is taken out. */
  default List<String> takenOut() {
    return List.of();
  }

  /** Returns which way round it goes back, where that matters. */
  default Optional<String> wayRound() {
    return Optional.empty();
  }

  /** Tells whether it is bought with ports of its own, of which its papers tell. */
  default boolean appliance() {
    return false;
  }

  /** Returns the bore that somebody entered for one of its ports (m). */
  default Optional<Double> bore(PortId port) {
    return Optional.empty();
  }

  /** Returns what is entered of it, in the order in which a form asks; empty for nothing. */
  default List<Property> properties() {
    return List.of();
  }

  /** Returns it as somebody entered it. */
  default Kind with(EnteredValues answers) {
    return this;
  }

  /** Returns what can be wrong with it, with how often that happens; nothing for most kinds. */
  default List<PossibleFault> faults() {
    return List.of();
  }

  /** Returns it with a fault that changes its figures; itself where the fault changes none. */
  default Kind with(FaultKind fault) {
    return this;
  }

  /** Returns what was entered of it that cannot all be so. */
  default List<Clash> clashes() {
    return List.of();
  }

  /** Returns the ready part that is usually hung on one of its ports, by its short name. */
  default String usuallyAt(PortId port) {
    return "valve";
  }

  /** Returns what one of its ports has for a line, unless somebody says otherwise. */
  PortEnd end(PortId port);

  /**
   * Returns what is bought for it.
   *
   * @param label what people call it
   * @param size what its line is called in a shop
   */
  default Goods goods(String label, String size) {
    return new Goods(Shop.WATER_ON_BOARD, label, false);
  }

  /**
   * Returns what is done for it again and again.
   *
   * @param label what people call it
   */
  default List<Care> care(String label) {
    return List.of();
  }

  /** Tells what frost does to it. */
  Frost frost();

  /** Tells whether a burst of air clears its body. */
  default boolean blowsClear() {
    return false;
  }

  /** Tells whether a tap at its full pressure can burst it, so that a regulator comes first. */
  default boolean bursts() {
    return false;
  }

  /** Tells whether water in it or from it is for drinking. */
  default boolean forDrinking() {
    return false;
  }

  /** Returns what water loses in its body at a flow (Pa; m³/s). */
  default double loss(double flow) {
    return 0;
  }

  /** Tells whether air comes and goes by it while a tank fills or empties. */
  default boolean letsAir() {
    return false;
  }

  /** Tells what water is met by whoever puts it in a position. */
  default Wets wets(PositionId position) {
    return Wets.NOTHING;
  }

  /** What water somebody meets who handles a part. */
  enum Wets {
    NOTHING,
    /** What stands behind it, as with a hose that comes off. */
    BEHIND,
    /** What runs out of it before or after, as with a cap. */
    AT_MOUTH
  }

  /** Tells whether a position is the one in which it is left. */
  default boolean rests(PositionId position) {
    return rest().filter(p -> p.id().equals(position)).isPresent();
  }

  /** Returns the parts that it moves as one switch; none for most kinds. */
  default List<Moved> moves() {
    return List.of();
  }

  /** Tells when putting it in a position comes among other turns. */
  default Rank rank(PositionId position) {
    return Rank.WAY_OPEN;
  }

  /**
   * Tells whether it lets water or heat in or out, so that a job opens it only where it is about
   * that.
   */
  default boolean onlyOnPurpose() {
    return false;
  }

  /** Tells whether a motor or switch sets it, so that an automation can. */
  default boolean setsItself() {
    return false;
  }

  /**
   * Returns the ways for water through it in a position; those of a kind with nothing to set do not
   * depend on it.
   */
  default List<Link> links(PositionId position) {
    return List.of();
  }

  /** Returns the ways for water through it that there are in any position, each once. */
  default List<Link> links() {
    List<Position> all = positions();
    return all.isEmpty()
        ? links(PositionId.NONE)
        : all.stream().flatMap(p -> links(p.id()).stream()).distinct().toList();
  }

  /** Returns the openings in its wall, if it is a tank. */
  default List<TankPort> tankPorts() {
    return List.of();
  }

  /** Returns the opening in its wall at one of its ports, if it is a tank. */
  default Optional<TankPort> opening(PortId port) {
    return tankPorts().stream().filter(p -> p.id().equals(port)).findFirst();
  }

  /** Returns its motor, if it has one. */
  default Optional<Motor> motor() {
    return Optional.empty();
  }

  /** Returns the pressure that it drives water on with at no flow; none if it does not (Pa). */
  default double shutOffPressure() {
    return 0;
  }

  /** Returns how high it draws water up to itself (m). */
  default double selfPriming() {
    return 0;
  }

  /** Returns it with its head and its suction hose full of water; itself where nobody does that. */
  default Kind primed() {
    return this;
  }

  /**
   * Returns what to do to bring it into a position, as a sentence that begins with the verb.
   *
   * @param label of the part
   * @param from id of the position it is in
   * @param to id of the position to put it in
   */
  default String act(String label, PositionId from, PositionId to) {
    if (to.equals(UNDONE)) {
      return KindWords.UNDO_IT.with(label);
    }
    if (from.equals(UNDONE) || FITTED.getFirst().id().equals(to)) {
      return KindWords.PUT_BACK.with(label);
    }
    String words =
        Stream.concat(positions().stream(), service().stream())
            .filter(p -> p.id().equals(to))
            .map(Position::words)
            .findFirst()
            .orElse(to.value());
    return KindWords.SET_TO.with(label, words);
  }

  /** Returns how far below it water may stand for it to draw, dry as it is (m). */
  default double suctionLift() {
    return selfPriming();
  }

  /** Tells whether it opens only at a pressure that something has to let off. */
  default boolean relieves() {
    return false;
  }

  /** Tells whether a hand or a foot works it. */
  default boolean byHand() {
    return false;
  }

  /** Tells whether it is known how it clogs. */
  default boolean clogs() {
    return false;
  }

  /** Returns the water that stands in it as in a tank, if it is one. */
  default Optional<Contents> contained() {
    return Optional.empty();
  }

  /** Tells whether it is a tank of some water. */
  default boolean holds(Contents contents) {
    return contained().filter(contents::equals).isPresent();
  }

  /** Tells whether its ports meet in a middle, to which links can lead. */
  default boolean meets() {
    int middle = ports().size();
    return links().stream().anyMatch(l -> l.from() == middle || l.to() == middle);
  }

  /** A bowl, or the plug of a trap, that is off. */
  PositionId OFF = PositionId.of("off");

  /** The position of everything with a switch in which it runs. */
  PositionId ON = PositionId.of("on");

  /** A fitting that is undone: open at both of its ends, its body tipped out. */
  PositionId UNDONE = PositionId.of("undone");

  /** What can be undone with a spanner or a thumb, as a last resort. */
  List<Position> FITTED =
      List.of(
          Position.of("fitted", "fitted"),
          new Position(UNDONE, Says.TAKEN_OFF_AND_TIPPED_OUT.text()));

  /** A bowl that screws off. */
  List<Position> BOWL =
      List.of(new Position(ON, Says.BOWL_ON.text()), new Position(OFF, Says.BOWL_OFF.text()));

  /** Ports of everything that water passes straight through. */
  List<PortId> IN_OUT = List.of(PortId.IN, PortId.OUT);
}
