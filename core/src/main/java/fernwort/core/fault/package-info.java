/**
 * A rig with something wrong in it: to find out what is wrong, to practise, and to let a simulated
 * rig go wrong.
 *
 * <pre>{@code
 * FaultyRig leaking = FaultyRig.of(rig, new Fault("h1", FaultKind.LEAKING)).orElseThrow();
 * Simulation.start(Network.of(leaking.rig()), leaking.state(state)).runTo(60);
 * }</pre>
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.fault;
