package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Adapter;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Goods;
import fernwort.core.kind.InLine;
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
import java.util.List;
import java.util.Optional;

/**
 * The closed end of a line or port.
 *
 * @param removable true for a cap that a hand takes off, false for a plug that needs a tool
 */
public record Plug(boolean removable) implements Kind {

  private static final Purposes CAP = Purposes.of(Purpose.END, Purpose.CLOSES, Purpose.CAP);

  private static final Purposes PLUG = Purposes.of(Purpose.CLOSES);

  public static final Position IN = Position.of("on", Says.CAP_ON.text());
  public static final Position OUT = Position.of("off", Says.CAP_OFF.text());

  @Override
  public InLine inLine() {
    return InLine.STUB;
  }

  @Override
  public Purposes purposes() {
    return removable ? CAP : PLUG;
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
    return removable && position.equals(OUT.id())
        ? List.of(new Mouth(0, Mouth.Onto.GROUND))
        : List.of();
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
    return removable ? List.of(IN, OUT) : List.of();
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_ITS_LINE_LEAVES;
  }

  @Override
  public boolean opensToDrain(PositionId position) {
    return position.equals(OUT.id());
  }

  @Override
  public Optional<PositionId> drained() {
    return removable ? Optional.of(OUT.id()) : Optional.empty();
  }

  @Override
  public Optional<PositionId> runsOut(PortId port) {
    return drained();
  }

  @Override
  public String purpose(PositionId position) {
    return (rests(position) ? KindWords.NOTHING_RUNS_OUT : KindWords.WATER_LEAVES_HERE).text();
  }

  @Override
  public String notice(PositionId position) {
    return (rests(position) ? KindWords.CAP_SITS : KindWords.COMES_AS_IT_LOOSENS).text();
  }

  @Override
  public String openedNote() {
    return KindWords.BUCKET_UNDER.text();
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.FEMALE_THREAD;
  }

  @Override
  public Optional<Adapter> adapter() {
    return removable
        ? Optional.of(
            new Adapter(PortId.IN, KindWords.INSTEAD_OF_CAP.text(), KindWords.CAP_BACK_ON.text()))
        : Optional.empty();
  }

  @Override
  public Goods goods(String label, String size) {
    return new Goods(Shop.PLUMBING, KindWords.PLUG.with(size), false);
  }

  @Override
  public List<Property> properties() {
    return List.of(Property.of(Asked.REMOVABLE, removable));
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new Plug(answers.ticked(Asked.REMOVABLE));
  }

  @Override
  public String figure() {
    return "cap";
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    return switch (to.value()) {
      case "on" -> KindWords.CAP_ON.with(label);
      case "off" -> KindWords.CAP_OFF.with(label);
      default -> Kind.super.act(label, from, to);
    };
  }
}
