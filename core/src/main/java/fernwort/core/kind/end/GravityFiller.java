package fernwort.core.kind.end;

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

  public static final Position SHUT = new Position("shut", Says.CAP_ON.text());
  public static final Position OPEN = new Position("open", Says.CAP_OFF.text());

  @Override
  public List<Link> links(String position) {
    return position.equals(OPEN.id()) ? Link.both(0, 1, Link.Law.FREE) : List.of();
  }

  @Override
  public PortFlow flow(String port) {
    return port.equals("mouth") ? PortFlow.IN : PortFlow.OUT;
  }

  @Override
  public Rank rank(String position) {
    return rests(position) ? Rank.HOSE_OR_CAP_AWAY : Rank.CAP_OFF;
  }

  @Override
  public List<Mouth> mouths(String position) {
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
  public List<String> ports() {
    return List.of("mouth", "out");
  }

  @Override
  public List<Position> positions() {
    return List.of(SHUT, OPEN);
  }

  @Override
  public Optional<Given> gives(String position) {
    return position.equals(OPEN.id())
        ? Optional.of(new Given(Given.From.NECK, 0, 0, Optional.empty(), false))
        : Optional.empty();
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_ITS_LINE_LEAVES;
  }

  @Override
  public boolean opensToDrain(String position) {
    return position.equals(OPEN.id());
  }

  @Override
  public Optional<String> drained() {
    return Optional.of(OPEN.id());
  }

  @Override
  public String purpose(String position) {
    return (rests(position) ? KindWords.NO_DIRT_GETS_IN : KindWords.GOES_IN_HERE).text();
  }

  @Override
  public String notice(String position) {
    return (rests(position) ? KindWords.CAP_CLICKS : KindWords.LOOK_IN).text();
  }

  @Override
  public String openedNote() {
    return KindWords.AIR_FOR_TANK.text();
  }

  @Override
  public PortEnd end(String port) {
    return port.equals("mouth") ? PortEnd.OPEN : PortEnd.GRIPS_LINE;
  }

  @Override
  public String usuallyAt(String port) {
    return port.equals("mouth") ? "jug" : "tank";
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
  public String act(String label, String from, String to) {
    return switch (to) {
      case "shut" -> KindWords.CAP_ON.with(label);
      case "open" -> KindWords.CAP_OFF.with(label);
      default -> Kind.super.act(label, from, to);
    };
  }
}
