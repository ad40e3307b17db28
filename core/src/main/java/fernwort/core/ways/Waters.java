package fernwort.core.ways;

/**
 * Where water is, as far as it was found, by the numbers of ports.
 *
 * @param pressed whether the mains or a pump press there
 * @param wet whether water comes there at all
 * @param mainsHead to which height over the port the mains press (m)
 * @param nowhere false everywhere: nothing is in the way of a sweep
 */
record Waters(boolean[] pressed, boolean[] wet, double[] mainsHead, boolean[] nowhere) {

  /** Makes those of a rig of so many ports, of which nothing is known yet. */
  static Waters none(int ports) {
    return new Waters(
        new boolean[ports], new boolean[ports], new double[ports], new boolean[ports]);
  }
}
