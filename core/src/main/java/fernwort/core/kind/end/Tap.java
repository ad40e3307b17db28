package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Rank;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What people take water from: it has a supply of cold water, maybe of hot, and maybe a waste. */
public interface Tap extends Kind {

  Purposes INSIDE = Purposes.of(Purpose.END, Purpose.USE);

  Purposes OUTSIDE = Purposes.of(Purpose.END, Purpose.USE, Purpose.OUTSIDE);

  Position SHUT = Position.of("shut", "closed");
  Position COLD = Position.of("cold", Says.OPEN_COLD.text());
  Position WARM = Position.of("warm", Says.OPEN_MIXED.text());
  Position HOT = Position.of("hot", Says.OPEN_HOT.text());

  /** Tells whether people drink or cook from it. */
  boolean drinking();

  /** Returns its flow at its rated pressure (m³/s). */
  double ratedFlow();

  /** Returns the pressure for that flow (Pa). */
  double ratedPressure();

  /** Returns the most that an aerator or restrictor lets through, if it has one (m³/s). */
  Optional<Double> restrictor();

  /** Tells whether it takes hot water too. */
  default boolean mixes() {
    return false;
  }

  /** Tells whether it is outside, for a hose. */
  default boolean outside() {
    return false;
  }

  /** Tells whether it fills a toilet. */
  default boolean flushes() {
    return false;
  }

  /** Tells whether people stand under it. */
  default boolean showers() {
    return false;
  }

  /** Tells whether a position lets cold water out. */
  default boolean opensCold(PositionId position) {
    return !position.equals(SHUT.id()) && !position.equals(HOT.id());
  }

  /** Tells whether a position lets hot water out. */
  default boolean opensHot(PositionId position) {
    return mixes() && (position.equals(HOT.id()) || position.equals(WARM.id()));
  }

  /** Returns the position that lets cold water out, and no hot. */
  default Position cold() {
    return positions().get(1);
  }

  @Override
  default String act(String label, PositionId from, PositionId to) {
    KindWords words =
        switch (to.value()) {
          case "shut" -> KindWords.CLOSE_IT;
          case "cold" -> KindWords.OPEN_COLD;
          case "warm" -> KindWords.OPEN_WARM;
          case "hot" -> KindWords.OPEN_HOT;
          default -> KindWords.OPEN_IT;
        };
    return words.with(label);
  }

  @Override
  default Purposes purposes() {
    return outside() ? OUTSIDE : INSIDE;
  }

  @Override
  default boolean onlyOnPurpose() {
    return true;
  }

  @Override
  default PortFlow flow(PortId port) {
    return port.equals(PortId.WASTE) ? PortFlow.OUT : PortFlow.IN;
  }

  @Override
  default Rank rank(PositionId position) {
    return rests(position) ? Rank.TAP_SHUT : Rank.TAP_OPEN;
  }

  @Override
  default List<Mouth> mouths(PositionId position) {
    List<Mouth> mouths = new ArrayList<>();
    if (opensCold(position)) {
      mouths.add(new Mouth(0, Mouth.Onto.USE));
    }
    if (opensHot(position)) {
      mouths.add(new Mouth(1, Mouth.Onto.USE));
    }
    return mouths;
  }

  @Override
  default Frost frost() {
    return Frost.CRACKS;
  }

  @Override
  default boolean blowsClear() {
    return true;
  }

  @Override
  default boolean bursts() {
    return true;
  }

  @Override
  default boolean forDrinking() {
    return drinking();
  }

  @Override
  default Keeps keeps() {
    return Keeps.UNTIL_RUN_THROUGH;
  }

  /** A mixer opens both ways, so that air can follow by the other. */
  @Override
  default Optional<PositionId> drained() {
    return Optional.of((mixes() ? WARM : cold()).id());
  }

  @Override
  default boolean opensToDrain(PositionId position) {
    return drained().filter(position::equals).isPresent();
  }

  @Override
  default Optional<PositionId> runsOut(PortId port) {
    return port.equals(PortId.WASTE) ? Optional.empty() : drained();
  }

  @Override
  default String purpose(PositionId position) {
    return (rests(position) ? KindWords.TAP_WASTES_NOTHING : KindWords.WATER_COMES_OUT).text();
  }

  @Override
  default String notice(PositionId position) {
    return (rests(position) ? KindWords.NO_DRIP : KindWords.RUNS_WITHOUT_SPITTING).text();
  }

  @Override
  default String frozen(boolean little) {
    return KindWords.IN_ITS_VALVE.text();
  }

  @Override
  default String fix() {
    return KindWords.OPEN_OR_BLOW.text();
  }

  @Override
  default String openedNote() {
    return (flushes() ? KindWords.CUPFUL_FORGOTTEN : KindWords.AIR_COMES_IN_HERE).text();
  }

  @Override
  default boolean appliance() {
    return true;
  }

  @Override
  default PortEnd end(PortId port) {
    return port.equals(PortId.WASTE) ? PortEnd.GRIPS_LINE : PortEnd.TAP_THREAD;
  }

  @Override
  default String usuallyAt(PortId port) {
    return port.equals(PortId.WASTE) ? "trap" : "valve";
  }
}
