package fernwort.core.kind.line;

import fernwort.core.kind.Care;
import fernwort.core.kind.Kind;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import fernwort.core.kind.fault.FaultKind;
import fernwort.core.kind.fault.PossibleFault;
import java.util.List;

/** A screen that keeps grit out of what follows. */
public record Strainer() implements Bowl {

  /** What a clogged screen takes (Pa) at a flow (m³/s): 7.5 bar at 12 L/min; own choice. */
  private static final double CLOGGED_LOSS = 7.5e5;

  private static final double CLOGGED_FLOW = 2e-4;

  private static final Purposes PURPOSES = Purposes.of(Purpose.STRAINS);

  @Override
  public List<PossibleFault> faults() {
    return List.of(new PossibleFault(FaultKind.CLOGGED, 4));
  }

  @Override
  public String fix() {
    return KindWords.UNSCREW_AND_RINSE.text();
  }

  @Override
  public String openedNote() {
    return KindWords.RINSE_SCREEN.text();
  }

  @Override
  public List<Care> care(String label) {
    return List.of(Care.of(KindWords.RINSE_THE_SCREEN.with(label), Care.A_QUARTER));
  }

  /** Clogged it is as a filter that little passes. */
  @Override
  public Kind with(FaultKind fault) {
    return fault == FaultKind.CLOGGED
        ? new Filter(Filter.Grade.SEDIMENT, CLOGGED_FLOW, CLOGGED_LOSS)
        : this;
  }

  @Override
  public String figure() {
    return "strainer";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }
}
