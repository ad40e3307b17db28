package fernwort.core.kind.entered;

/**
 * A span of amounts, its ends among them.
 *
 * @param low the lowest (SI)
 * @param high the highest (SI)
 */
public record Span(double low, double high) {}
