package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Mouth;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.Rank;
import fernwort.core.kind.Shop;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.List;
import java.util.Optional;

/** The free end of a line. */
public record OpenEnd(Role role) implements Kind {

  private static final Purposes VENT = Purposes.of(Purpose.END, Purpose.OUTLET, Purpose.VENTS);
  private static final Purposes OVERFLOW =
      Purposes.of(Purpose.END, Purpose.OUTLET, Purpose.OVERFLOWS);
  private static final Purposes DRAIN = Purposes.of(Purpose.END, Purpose.OUTLET, Purpose.DRAINS);
  private static final Purposes DUMP = Purposes.of(Purpose.END, Purpose.OUTLET, Purpose.DUMPS);

  public static final Position CAPPED = Position.of("capped", Says.CAP_ON.text());
  public static final Position HOSE = Position.of("hose", Says.DUMP_HOSE_TO_THE_DRAIN.text());
  public static final Position OPEN = Position.of("open", Says.CAP_OFF_NO_HOSE.text());

  /** What the end is for; a dump end has a cap and takes a dump hose. */
  public enum Role {
    VENT,
    OVERFLOW,
    DRAIN,
    DUMP
  }

  @Override
  public List<PossibleFault> faults() {
    return List.of(new PossibleFault(FaultKind.BLOCKED, 1.5));
  }

  @Override
  public Purposes purposes() {
    return switch (role) {
      case VENT -> VENT;
      case OVERFLOW -> OVERFLOW;
      case DRAIN -> DRAIN;
      case DUMP -> DUMP;
    };
  }

  @Override
  public boolean onlyOnPurpose() {
    return true;
  }

  @Override
  public Rank rank(PositionId position) {
    return rests(position) ? Rank.HOSE_OR_CAP_AWAY : Rank.CAP_OFF;
  }

  @Override
  public List<Mouth> mouths(PositionId position) {
    if (role != Role.DUMP || position.equals(OPEN.id())) {
      return List.of(new Mouth(0, Mouth.Onto.GROUND));
    }
    return position.equals(HOSE.id()) ? List.of(new Mouth(0, Mouth.Onto.DRAIN)) : List.of();
  }

  @Override
  public boolean letsAir() {
    return role == Role.VENT || role == Role.OVERFLOW;
  }

  @Override
  public Wets wets(PositionId position) {
    return Wets.AT_MOUTH;
  }

  @Override
  public Frost frost() {
    return Frost.AS_ITS_LINE;
  }

  @Override
  public List<PortId> ports() {
    return List.of(PortId.IN);
  }

  @Override
  public List<Position> positions() {
    return role == Role.DUMP ? List.of(CAPPED, HOSE, OPEN) : List.of();
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
  public Optional<PositionId> bare(PositionId from, PositionId to) {
    return role == Role.DUMP && !from.equals(OPEN.id()) && !from.equals(to)
        ? Optional.of(OPEN.id())
        : Optional.empty();
  }

  @Override
  public Optional<PositionId> drained() {
    return role == Role.DUMP ? Optional.of(OPEN.id()) : Optional.empty();
  }

  /** By its hose where it is for waste; as it is where it is always open. */
  @Override
  public Optional<PositionId> runsOut(PortId port) {
    return Optional.of(role == Role.DUMP ? HOSE.id() : PositionId.NONE);
  }

  @Override
  public String purpose(PositionId position) {
    if (rests(position)) {
      return KindWords.NOTHING_DRIPS.text();
    }
    return (position.equals(HOSE.id()) ? KindWords.HOSE_FIRST : KindWords.LEAVES_HERE).text();
  }

  @Override
  public String notice(PositionId position) {
    if (rests(position)) {
      return KindWords.CAP_SITS.text();
    }
    return (position.equals(HOSE.id()) ? KindWords.HOSE_LOCKED : KindWords.CAP_OFF_NO_HOSE).text();
  }

  @Override
  public String openedNote() {
    return KindWords.WHERE_PERMITTED.text();
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.OPEN;
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(
        Shop.PLUMBING,
        role == Role.VENT ? KindWords.INSECT_SCREEN.text() : KindWords.END_FOR_A_LINE.with(size),
        false);
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.END_ROLE, role));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new OpenEnd(answers.choice(Asked.END_ROLE, Role.class));
  }

  @Override
  public String figure() {
    return role == Role.DUMP ? "dump" : "end";
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    return switch (to.value()) {
      case "hose" ->
          (rests(from) ? KindWords.CAP_OFF_CONNECT_DUMP_HOSE : KindWords.CONNECT_DUMP_HOSE)
              .with(label);
      case "open" -> KindWords.CAP_OFF.with(label);
      case "capped" ->
          (from.equals(HOSE.id()) ? KindWords.HOSE_OFF_CAP_ON : KindWords.CAP_ON).with(label);
      default -> Kind.super.act(label, from, to);
    };
  }
}
