/**
 * A standing review of the plan itself, whatever the handles: what is built so that it will lose
 * water, capacity or safety one day, what that costs, and the change that mends it.
 *
 * <p>Questions of reach are asked on the graph with every handle free ({@link
 * fernwort.core.network.Connections#withHandlesFree}); what no drain reaches is what the law of
 * draining leaves ({@link fernwort.core.drain.EverythingOpen}). A fix is a function from rig to
 * rig, so that it can be shown, applied and undone like any other step. The whole review takes some
 * milliseconds for an ordinary rig.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.review;
