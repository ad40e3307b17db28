package fernwort.core.flow;

/**
 * A network at rest in its motion.
 *
 * @param heads head at each node (m)
 * @param flows flow in each link from its first node to its second (m³/s); balanced at every
 *     junction, so that a shut one-way link shows the trace that {@link Loss#BACK} lets through
 * @param held what each link takes away on top of its loss to hold the head behind it (m)
 * @param steps Newton steps taken
 */
public record SteadyFlow(double[] heads, double[] flows, double[] held, int steps) {}
