package fernwort.core.kind.line;

import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import fernwort.core.kind.Frost;
import fernwort.core.kind.InLine;
import fernwort.core.kind.InOut;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Rank;
import java.util.List;
import java.util.Optional;

/**
 * An opening of a rig, such as a hose inlet or a cap, while a loose hose can be put on it. No rig
 * lists it: a job that needs the hose is planned in a rig that has two.
 *
 * @param port by which it stands in the rig's own line
 * @param apart the position without the hose
 * @param joined the position with the hose on and open
 */
public record Coupling(PortId port, Position apart, Position joined) implements Kind {

  /** The port that the loose hose goes on. */
  public static final PortId HOSE = PortId.of("hose");

  @Override
  public String figure() {
    return "inlet";
  }

  @Override
  public List<PortId> ports() {
    return List.of(port, HOSE);
  }

  @Override
  public List<Position> positions() {
    return List.of(apart, joined);
  }

  @Override
  public List<Link> links(PositionId position) {
    return position.equals(joined.id()) ? Link.both(0, 1, Link.Law.FREE) : List.of();
  }

  @Override
  public Optional<InOut> through() {
    return Optional.of(new InOut(port, HOSE));
  }

  @Override
  public InLine inLine() {
    return InLine.PASSED;
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
  public Wets wets(PositionId position) {
    return Wets.BEHIND;
  }

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_ITS_MIDDLE_LEAVES;
  }

  @Override
  public PortEnd end(PortId port) {
    return PortEnd.GRIPS_LINE;
  }

  @Override
  public Frost frost() {
    return Frost.AS_ITS_LINE;
  }

  @Override
  public String notice(PositionId position) {
    return (rests(position) ? KindWords.TOWEL_UNDER : KindWords.FEEL_THE_HOSE).text();
  }

  @Override
  public String act(String label, PositionId from, PositionId to) {
    return (to.equals(joined.id()) ? KindWords.TRANSFER_HOSE_ON : KindWords.TRANSFER_HOSE_OFF)
        .with(label);
  }
}
