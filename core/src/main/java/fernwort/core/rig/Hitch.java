package fernwort.core.rig;

import java.util.Optional;

/**
 * The coupling of a trailer, which must carry neither too little nor too much.
 *
 * @param x position of the ball or eye (m)
 * @param lowest the smallest permitted load (kg)
 * @param highest the largest permitted load (kg)
 * @param emptyLoad the measured load with empty tanks, if somebody weighed it (kg)
 */
public record Hitch(double x, double lowest, double highest, Optional<Double> emptyLoad) {}
