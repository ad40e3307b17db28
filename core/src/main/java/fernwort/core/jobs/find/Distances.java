package fernwort.core.jobs.find;

import fernwort.core.jobs.goal.Primed;
import fernwort.core.network.Network;
import fernwort.core.ways.HandleDistance;

/**
 * How many turns lie between parts of a rig, worked out once for all who look for jobs.
 *
 * @param asItIs in the rig as it is
 * @param primed in the rig once somebody has primed its pumps
 */
record Distances(HandleDistance asItIs, HandleDistance primed) {

  static Distances of(Network network) {
    HandleDistance asItIs = HandleDistance.full(network);
    Network filled = Primed.of(network);
    return new Distances(asItIs, filled == network ? asItIs : HandleDistance.full(filled));
  }
}
