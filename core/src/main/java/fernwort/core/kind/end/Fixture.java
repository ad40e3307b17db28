package fernwort.core.kind.end;

import fernwort.core.id.PortId;
import fernwort.core.kind.Adapter;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Position;
import fernwort.core.kind.entered.Asked;
import fernwort.core.kind.entered.EnteredValues;
import fernwort.core.kind.entered.Property;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.List;
import java.util.Optional;

/**
 * Where water is used.
 *
 * @param use what it is
 * @param drinking whether people drink or cook from it
 * @param ratedFlow flow at its rated pressure (m³/s)
 * @param ratedPressure pressure for that flow (Pa)
 * @param restrictor most that an aerator or restrictor lets through, if it has one (m³/s)
 */
public record Fixture(
    Type use, boolean drinking, double ratedFlow, double ratedPressure, Optional<Double> restrictor)
    implements Tap {

  /** What a clogged outlet lets through (share of its rated flow); own choice. */
  private static final double CLOGGED = 0.3;

  /**
   * Makes a fixture without a restrictor.
   *
   * @param ratedFlow what it gives at its rated pressure (m³/s)
   * @param ratedPressure pressure at which it gives that (Pa)
   */
  public Fixture(Type use, boolean drinking, double ratedFlow, double ratedPressure) {
    this(use, drinking, ratedFlow, ratedPressure, Optional.empty());
  }

  /** The sorts of fixture. */
  public enum Type {
    TAP,
    MIXER,
    SHOWER,
    TOILET,
    HOSE_POINT;

    /** Tells whether it takes hot water too. */
    public boolean mixes() {
      return this == MIXER || this == SHOWER;
    }
  }

  @Override
  public List<PossibleFault> faults() {
    return use.mixes()
        ? List.of(
            new PossibleFault(FaultKind.CLOGGED, 4), new PossibleFault(FaultKind.CROSSES, 0.3))
        : List.of(new PossibleFault(FaultKind.CLOGGED, 4));
  }

  @Override
  public List<PortId> ports() {
    return switch (use) {
      case TAP, TOILET -> List.of(PortId.COLD, PortId.WASTE);
      case MIXER, SHOWER -> List.of(PortId.COLD, PortId.HOT, PortId.WASTE);
      case HOSE_POINT -> List.of(PortId.COLD);
    };
  }

  @Override
  public List<Position> positions() {
    return switch (use) {
      case TAP, HOSE_POINT -> List.of(SHUT, Position.of("open", "open"));
      case TOILET -> List.of(SHUT, Position.of("open", "filling"));
      case MIXER, SHOWER -> List.of(SHUT, COLD, WARM, HOT);
    };
  }

  @Override
  public Optional<Adapter> adapter() {
    return use == Type.HOSE_POINT
        ? Optional.of(
            new Adapter(
                PortId.COLD, KindWords.SCREW_ON_AND_OPEN.text(), KindWords.ADAPTER_OFF.text()))
        : Optional.empty();
  }

  @Override
  public List<Property> properties() {
    return List.of(
        Property.of(Asked.FIXTURE, use),
        Property.of(Asked.DRINKING, drinking),
        Property.of(Asked.TAP_RATED_FLOW, ratedFlow),
        Property.of(Asked.RATED_PRESSURE, ratedPressure),
        Property.of(Asked.RESTRICTOR, restrictor));
  }

  @Override
  public Kind with(FaultKind fault) {
    return fault == FaultKind.CLOGGED
        ? new Fixture(use, drinking, CLOGGED * ratedFlow, ratedPressure, restrictor)
        : this;
  }

  @Override
  public Kind with(EnteredValues answers) {
    return new Fixture(
        answers.choice(Asked.FIXTURE, Type.class),
        answers.ticked(Asked.DRINKING),
        answers.amount(Asked.TAP_RATED_FLOW),
        answers.amount(Asked.RATED_PRESSURE),
        answers.optional(Asked.RESTRICTOR));
  }

  @Override
  public String figure() {
    return switch (use) {
      case TOILET -> "toilet";
      case SHOWER -> "shower";
      case TAP, MIXER, HOSE_POINT -> "tap";
    };
  }

  @Override
  public boolean mixes() {
    return use.mixes();
  }

  @Override
  public boolean outside() {
    return use == Type.HOSE_POINT;
  }

  @Override
  public boolean flushes() {
    return use == Type.TOILET;
  }

  @Override
  public boolean showers() {
    return use == Type.SHOWER;
  }
}
