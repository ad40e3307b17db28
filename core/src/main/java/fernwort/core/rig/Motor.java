package fernwort.core.rig;

/**
 * The drive of a motor valve.
 *
 * @param unpowered the position it takes when the power fails; its present one if it just stays
 * @param travelTime time from one stop to the next (s)
 */
public record Motor(java.util.Optional<String> unpowered, double travelTime) {}
