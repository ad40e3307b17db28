package fernwort.core.kind;

/** A kind that sits in a line and has no handle: nobody opens, shuts or switches it. */
public sealed interface Fitting extends Kind
    permits CheckValve,
        AirAdmittanceValve,
        Regulator,
        Strainer,
        Filter,
        Accumulator,
        Tee,
        Manifold,
        DrainTrap,
        LeakTray {

  @Override
  default InLine inLine() {
    return InLine.PASSED;
  }

  @Override
  default boolean opensToDrain(String position) {
    return position.equals(OFF) || position.equals(UNDONE);
  }
}
