/**
 * Jobs: what people do with the handles, found from the rig itself; the plan from the handles as
 * they stand; and what a single slip leads to.
 *
 * <p>A job ({@link fernwort.core.jobs.goal.Job}) is a row of stages, each a list of conditions
 * ({@link fernwort.core.jobs.goal.Condition}) with what to wait for at its end. A condition tells
 * whether it holds, now or on the levels that the stage will come to, and names its own objection.
 * No job is written for a rig: {@link fernwort.core.jobs.find.Jobs} finds them from its sources,
 * tanks, fixtures and ends; {@link fernwort.core.jobs.find.EmptyingJob} makes one of what somebody
 * chooses to empty.
 *
 * <p>Planning a stage is done in two searches. The first ({@link fernwort.core.jobs.plan.Targets})
 * asks which handles must change: A* over settings, bounded from below by the turns that stand
 * between source and end ({@link fernwort.core.ways.HandleDistance}). A setting that falls short
 * names what is wrong with it, and only turns that can fix this are tried; since every good setting
 * differs from it in one of them, nothing is missed. The second ({@link
 * fernwort.core.jobs.plan.Sequence}) puts the changed handles in order by dynamic programming over
 * subsets (Held and Karp 1962), through no state with a new hazard, and with water moving only once
 * all else is as it has to be. Where no order is safe, a full A* over settings takes detours.
 * Optimal against brute force on small rigs in the tests.
 *
 * <p>Then the stage is run in the simulation from the real state ({@link
 * fernwort.core.jobs.wait.StageRun}), its wait to the end. Times, litres and signs come from that
 * run; what goes wrong in it becomes one more condition, and the stage is planned again. When
 * nothing is left, the job says what stands in its way ({@link fernwort.core.jobs.plan.Troubles}).
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.jobs;
