package fernwort.core.kind.line;

import fernwort.core.kind.Care;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
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
    implements Bowl {

  /** A clogged one loses so many times what it does when clean (1); own choice. */
  private static final double CLOGGED = 30;

  private static final Purposes FILTERING = Purposes.of(Purpose.FILTERS);

  private static final Purposes STRAINING = Purposes.of(Purpose.FILTERS, Purpose.STRAINS);

  private static final Purposes PURIFYING = Purposes.of(Purpose.FILTERS, Purpose.PURIFIES);

  /** What passes a cartridge of which nobody said when it clogs (m³); own choice. */
  private static final double CARTRIDGE = 2;

  /**
   * Makes a filter that stays as clean as it is.
   *
   * @param ratedFlow flow at which its loss is given (m³/s)
   * @param ratedLoss what it takes at that flow when clean (Pa)
   */
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
  public List<PossibleFault> faults() {
    return List.of(
        new PossibleFault(FaultKind.CLOGGED, 4), new PossibleFault(FaultKind.LEAKING, 1.5));
  }

  @Override
  public double loss(double flow) {
    return ratedLoss * flow / ratedFlow;
  }

  @Override
  public boolean bursts() {
    return true;
  }

  @Override
  public String fix() {
    return KindWords.CARTRIDGE_INDOORS.text();
  }

  @Override
  public String openedNote() {
    return KindWords.BOWL_INTO_BUCKET.text();
  }

  @Override
  public List<Care> care(String label) {
    return List.of(
        Care.byUse(
            KindWords.CHANGE_CARTRIDGE.with(label),
            doubling.orElse(CARTRIDGE),
            doubling.isPresent()));
  }

  @Override
  public List<Property> properties() {
    return List.of(
        Property.of(Asked.GRADE, grade),
        Property.of(Asked.RATED_FLOW, ratedFlow),
        Property.of(Asked.RATED_LOSS, ratedLoss),
        Property.of(Asked.DOUBLING, doubling));
  }

  @Override
  public Kind with(FaultKind fault) {
    return fault == FaultKind.CLOGGED
        ? new Filter(grade, ratedFlow, CLOGGED * ratedLoss, doubling)
        : this;
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new Filter(
        answers.choice(Asked.GRADE, Grade.class),
        answers.amount(Asked.RATED_FLOW),
        answers.amount(Asked.RATED_LOSS),
        answers.optional(Asked.DOUBLING));
  }

  @Override
  public String figure() {
    return "filter";
  }

  @Override
  public Purposes purposes() {
    return switch (grade) {
      case SEDIMENT -> STRAINING;
      case PURIFIER -> PURIFYING;
      case CARBON -> FILTERING;
    };
  }

  @Override
  public boolean clogs() {
    return doubling.isPresent();
  }
}
