package fernwort.core.budget;

/**
 * A range that holds four in five.
 *
 * @param low one in ten is below
 * @param expected as many are below as above
 * @param high one in ten is above
 */
public record Range(double low, double expected, double high) {}
