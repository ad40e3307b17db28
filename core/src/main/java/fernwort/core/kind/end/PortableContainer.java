package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Given;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Rank;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import java.util.List;
import java.util.Optional;

/**
 * A jug, can or bladder that is carried to the rig.
 *
 * @param capacity what it holds (m³)
 * @param drinkable whether its water is fit to drink
 */
public record PortableContainer(double capacity, boolean drinkable) implements Kind {

  private static final Purposes PURPOSES = Purposes.of(Purpose.SOURCE, Purpose.CARRIED);

  public static final Position STOWED = Position.of("stowed", "stowed");
  public static final Position POURING = Position.of("pouring", Says.HELD_AND_POURING.text());

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }

  @Override
  public boolean onlyOnPurpose() {
    return true;
  }

  @Override
  public Rank rank(PositionId position) {
    return rests(position) ? Rank.HOSE_OR_CAP_AWAY : Rank.HOSE_GIVES;
  }

  @Override
  public Wets wets(PositionId position) {
    return rests(position) ? Wets.BEHIND : Wets.NOTHING;
  }

  @Override
  public Frost frost() {
    return Frost.NOTHING;
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.of("spout"));
  }

  @Override
  public List<Position> positions() {
    return List.of(STOWED, POURING);
  }

  @Override
  public Optional<Given> gives(PositionId position) {
    return position.equals(POURING.id())
        ? Optional.of(new Given(Given.From.JUG, 0, 0, Optional.empty(), drinkable))
        : Optional.empty();
  }

  @Override
  public Keeps keeps() {
    return Keeps.ALL;
  }

  @Override
  public String purpose(PositionId position) {
    return (rests(position) ? KindWords.DONE_WITH : KindWords.WATER_CAN_GO_IN).text();
  }

  @Override
  public String notice(PositionId position) {
    return (rests(position) ? KindWords.EMPTY_AND_SHUT : KindWords.GLUGS).text();
  }

  @Override
  public Optional<String> restNote() {
    return Optional.of(KindWords.CARRY_INDOORS.text());
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.OPEN;
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.CAPACITY, capacity), Property.of(Asked.DRINKABLE, drinkable));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new PortableContainer(answers.amount(Asked.CAPACITY), answers.ticked(Asked.DRINKABLE));
  }

  @Override
  public String figure() {
    return "jug";
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    return switch (to.value()) {
      case "stowed" -> KindWords.STOW_IT.with(label);
      case "pouring" -> KindWords.POUR_IT.with(label);
      default -> Kind.super.act(label, from, to);
    };
  }
}
