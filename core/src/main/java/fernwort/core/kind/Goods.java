package fernwort.core.kind;

/**
 * What is bought for a part.
 *
 * @param shelf where one finds it
 * @param what what to ask for
 * @param spared whether one buys some to spare
 */
public record Goods(Shelf shelf, String what, boolean spared) {

  /** Where one finds it. */
  public enum Shelf {
    WATER_ON_BOARD,
    PLUMBING
  }
}
