package fernwort.core.budget;

/**
 * A range that holds four in five.
 *
 * @param low one in ten is below (in the unit of what it is of)
 * @param expected as many are below as above (in the unit of what it is of)
 * @param high one in ten is above (in the unit of what it is of)
 */
public record Range(double low, double expected, double high) {}
