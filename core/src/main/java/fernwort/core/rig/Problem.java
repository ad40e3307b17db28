package fernwort.core.rig;

/**
 * One fault of a description and its mend.
 *
 * @param where the part, port, line or field at fault
 * @param fault what is wrong with it
 * @param mend what to change
 */
public record Problem(String where, String fault, String mend) {

  @Override
  public String toString() {
    return where + ": " + fault + ". " + mend + ".";
  }
}
