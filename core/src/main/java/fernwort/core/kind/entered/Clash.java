package fernwort.core.kind.entered;

/**
 * Two things entered of one part that cannot both be so.
 *
 * @param fault what is wrong
 * @param fix what to do about it
 */
public record Clash(String fault, String fix) {}
