package fernwort.core.kind;

import java.util.List;
import java.util.Optional;

/**
 * A filter in its housing.
 *
 * @param grade what it takes out
 * @param ratedFlow flow at which its loss is given (m³/s)
 * @param ratedLoss loss of a clean cartridge at that flow (Pa)
 * @param doubling what has to pass until its loss has doubled, if anybody knows (m³)
 */
public record Filter(Grade grade, double ratedFlow, double ratedLoss, Optional<Double> doubling)
    implements Fitting {

  /** Makes a filter that stays as clean as it is. */
  public Filter(Grade grade, double ratedFlow, double ratedLoss) {
    this(grade, ratedFlow, ratedLoss, Optional.empty());
  }

  /** What a filter takes out; only a purifier makes unsafe water fit to drink. */
  public enum Grade {
    SEDIMENT,
    CARBON,
    PURIFIER
  }

  @Override
  public List<Link> links(String position) {
    return Link.both(0, 1, Link.Law.FREE);
  }

  @Override
  public double loss(double flow) {
    return ratedLoss * flow / ratedFlow;
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS_WHEN_FULL;
  }

  @Override
  public boolean bursts() {
    return true;
  }

  @Override
  public List<String> ports() {
    return IN_OUT;
  }

  @Override
  public List<Position> service() {
    return BOWL;
  }
}
