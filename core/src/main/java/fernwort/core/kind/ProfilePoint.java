package fernwort.core.kind;

/**
 * A height that a line passes on its way, where it rises or sags.
 *
 * @param along distance from the line's first end (m)
 * @param height height above the ground with the vehicle level (m)
 */
public record ProfilePoint(double along, double height) {}
