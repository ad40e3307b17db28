package fernwort.core.kind;

/** What a part is there for, as a bit each: it is asked millions of times in one run. */
public final class Purposes {

  /** Of a part that is there for nothing of this. */
  public static final Purposes NONE = new Purposes(0);

  private final long bits;

  private Purposes(long bits) {
    this.bits = bits;
  }

  /** Returns some purposes. */
  public static Purposes of(Purpose... all) {
    long bits = 0;
    for (Purpose purpose : all) {
      bits |= bit(purpose);
    }
    return new Purposes(bits);
  }

  private static long bit(Purpose purpose) {
    return 1L << purpose.ordinal();
  }

  /** Tells whether one is among them. */
  public boolean has(Purpose purpose) {
    return (bits & bit(purpose)) != 0;
  }
}
