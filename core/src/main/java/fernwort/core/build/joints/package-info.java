/**
 * Ends, threads and adapters: what fits on what, and what to buy. The one thing to call is {@link
 * fernwort.core.build.joints.JointCheck}.
 *
 * <pre>{@code
 * List<EndFinding> findings = JointCheck.of(rig); // what does not mate, and what would
 * }</pre>
 *
 * <p>A new size or adapter is a row in its table, {@code Sizes} or {@code Adapters}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.joints;
