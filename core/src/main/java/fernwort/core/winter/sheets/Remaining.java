package fernwort.core.winter.sheets;

import fernwort.core.say.Saying;
import java.util.Optional;

/**
 * Water that is still in a rig, with what it does when it freezes and how to get it out.
 *
 * @param id id of the tank, line or part that keeps it
 * @param kind what keeps it
 * @param volume how much (m³)
 * @param harm what it does when it freezes
 * @param how how it stands there, in a sentence
 * @param mend how to get it out, in a sentence
 * @param help the one thing to do that gets more of it out, or lets it stand the cold, if one does
 */
public record Remaining(
    String id,
    Leftover.Kind kind,
    double volume,
    Harm harm,
    Saying how,
    Saying mend,
    Optional<Act> help) {}
