package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Given;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.PortFlow;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Rank;
import java.util.List;
import java.util.Optional;

/** A neck with a cap, into which water is poured. */
public record GravityFiller() implements Kind {

  private static final Purposes PURPOSES = Purposes.of(Purpose.POURED_INTO);

  public static final Position SHUT = Position.of("shut", Says.CAP_ON.text());
  public static final Position OPEN = Position.of("open", Says.CAP_OFF.text());

  @Override
  public List<Link> links(PositionId position) {
    return position.equals(OPEN.id()) ? Link.both(0, 1, Link.Law.FREE) : List.of();
  }

  @Override
  public PortFlow flow(PortId port) {
    return port.equals(PortId.of("mouth")) ? PortFlow.IN : PortFlow.OUT;
  }

  @Override
  public Rank rank(PositionId position) {
    return rests(position) ? Rank.HOSE_OR_CAP_AWAY : Rank.CAP_OFF;
  }

  @Override
  public List<Mouth> mouths(PositionId position) {
    return position.equals(OPEN.id()) ? List.of(new Mouth(0, Mouth.Onto.GROUND)) : List.of();
  }

  @Override
  public boolean letsAir() {
    return true;
  }

  @Override
  public Frost frost() {
    return Frost.AS_ITS_LINE;
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.of("mouth"), PortId.OUT);
  }

  @Override
  public List<Position> positions() {
    return List.of(SHUT, OPEN);
  }

  @Override
  public Optional<Given> gives(PositionId position) {
    return position.equals(OPEN.id())
        ? Optional.of(new Given(Given.From.NECK, 0, 0, Optional.empty(), false))
        : Optional.empty();
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_ITS_LINE_LEAVES;
  }

  @Override
  public boolean opensToDrain(PositionId position) {
    return position.equals(OPEN.id());
  }

  @Override
  public Optional<PositionId> drained() {
    return Optional.of(OPEN.id());
  }

  @Override
  public String purpose(PositionId position) {
    return (rests(position) ? KindWords.NO_DIRT_GETS_IN : KindWords.GOES_IN_HERE).text();
  }

  @Override
  public String notice(PositionId position) {
    return (rests(position) ? KindWords.CAP_CLICKS : KindWords.LOOK_IN).text();
  }

  @Override
  public String openedNote() {
    return KindWords.AIR_FOR_TANK.text();
  }

  @Override
  public PortEnd end(PortId port) {
    return port.equals(PortId.of("mouth")) ? PortEnd.OPEN : PortEnd.GRIPS_LINE;
  }

  @Override
  public String usuallyAt(PortId port) {
    return port.equals(PortId.of("mouth")) ? "jug" : "tank";
  }

  @Override
  public String figure() {
    return "filler";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    return switch (to.value()) {
      case "shut" -> KindWords.CAP_ON.with(label);
      case "open" -> KindWords.CAP_OFF.with(label);
      default -> Kind.super.act(label, from, to);
    };
  }
}
