package fernwort.core.kind;

/** A kind that sits in a line and has no handle: nobody opens, shuts or switches it. */
public interface Fitting extends Kind {

  @Override
  default InLine inLine() {
    return InLine.PASSED;
  }

  @Override
  default boolean opensToDrain(String position) {
    return position.equals(OFF) || position.equals(UNDONE);
  }
}
