package fernwort.core.guide;

import fernwort.core.say.Message;

/**
 * Something that nobody said and was taken as is usual.
 *
 * @param what what is taken
 * @param matters what it matters for
 */
public record Guess(Message what, Message matters) {}
