package fernwort.core.kind;

/**
 * What is bought for a part.
 *
 * @param shop where one buys it
 * @param what what to ask for
 * @param spared whether one buys some to spare
 */
public record Goods(Shop shop, String what, boolean spared) {}
