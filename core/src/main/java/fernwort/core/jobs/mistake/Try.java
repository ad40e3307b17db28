package fernwort.core.jobs.mistake;

import fernwort.core.jobs.goal.Trial;
import fernwort.core.say.Message;
import java.util.List;

/**
 * A slip to be tried.
 *
 * @param kind its kind
 * @param step the step at which it happens, −1 when at none
 * @param words what is done wrong
 * @param acts what is done in place of what the plan says, to its end
 */
record Try(Slip.Kind kind, int step, Message words, List<Trial.Act> acts) {}
