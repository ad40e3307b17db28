package fernwort.core.rig;

/**
 * A named spot on the vehicle where somebody can reach the parts in it.
 *
 * @param id unique name within the rig
 * @param label what people call it
 * @param reach how to get at it, such as "kneel at the rear doors"
 * @param x centre along the vehicle (m)
 * @param y centre to the left (m)
 * @param z centre above the ground (m)
 */
public record Place(String id, String label, String reach, double x, double y, double z) {}
