package fernwort.core.rig;

/**
 * One fault of a description and its fix.
 *
 * @param where the part, port, line or field at fault
 * @param fault what is wrong with it
 * @param fix what to change
 */
public record Problem(String where, String fault, String fix) {

  @Override
  public String toString() {
    return where + ": " + fault + ". " + fix + ".";
  }
}
