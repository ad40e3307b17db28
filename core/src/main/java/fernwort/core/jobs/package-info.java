/**
 * Jobs: what people do with the handles, found from the rig itself; the plan from the handles as
 * they stand; and what a single slip leads to.
 *
 * <p>A job ({@link fernwort.core.jobs.Job}) is a row of stages, each a predicate on what flows
 * where and what must not ({@link fernwort.core.jobs.Goal}), with what to wait for at its end. No
 * job is written for a rig: {@link fernwort.core.jobs.Jobs} finds them from its sources, tanks,
 * fixtures and ends.
 *
 * <p>Planning is done in two searches. The first ({@link fernwort.core.jobs.Targets}) asks which
 * handles must change: A* over settings, bounded from below by the turns that stand between source
 * and end ({@link fernwort.core.network.Turns}). A setting that falls short names what is wrong
 * with it, and only turns that can mend this are tried; since every good setting differs from it in
 * one of them, nothing is missed. The second ({@link fernwort.core.jobs.Sequence}) puts the changed
 * handles in order by dynamic programming over subsets (Held and Karp 1962), through no state with
 * a new hazard, with least spilt and least walking. Where no order is safe, a full A* over settings
 * takes detours. Optimal against brute force on small rigs in the tests; the demo rigs take
 * milliseconds.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs;
