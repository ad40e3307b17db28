package fernwort.core.winter.sheets;

import fernwort.core.id.ElementId;
import fernwort.core.say.Message;
import java.util.Optional;

/**
 * Water that is still in a rig, with what it does when it freezes and how to get it out.
 *
 * @param id id of the tank, line or part that keeps it
 * @param kind what keeps it
 * @param volume how much (m³)
 * @param harm what it does when it freezes
 * @param how how it stands there, in a sentence
 * @param fix how to get it out, in a sentence
 * @param help the one thing to do that gets more of it out, or lets it stand the cold, if one does
 */
public record FrostRisk(
    ElementId id,
    ResidualWater.Kind kind,
    double volume,
    FrostHarm harm,
    Message how,
    Message fix,
    Optional<Operation> help) {}
