package fernwort.core.kind;

import java.util.List;

/** A neck with a cap, into which water is poured. */
public record GravityFiller() implements Kind {

  public static final Position SHUT = new Position("shut", "cap on");
  public static final Position OPEN = new Position("open", "cap off");

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
}
