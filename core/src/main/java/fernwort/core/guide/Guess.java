package fernwort.core.guide;

import fernwort.core.say.Saying;

/**
 * Something that nobody said and was taken as is usual.
 *
 * @param what what is taken
 * @param matters what it matters for
 */
public record Guess(Saying what, Saying matters) {}
