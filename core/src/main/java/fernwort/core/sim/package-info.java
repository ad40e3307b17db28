/**
 * A rig that is made up, with sensors, motor valves and people who use water: what {@code fernwort
 * sim} and the demo speak for, so that anybody can try what is live without owning it. The water
 * moves as in {@link fernwort.core.run}; a {@link fernwort.core.sim.Mishap} makes it go wrong.
 *
 * <pre>{@code
 * SimulatedRig van = new SimulatedRig(rig, state, new Random(1));
 * van.set(Mishap.LEAK, "h1");
 * van.run(60);
 * List<Told> says = van.told(); // a leak contact is wet
 * }</pre>
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.sim;
