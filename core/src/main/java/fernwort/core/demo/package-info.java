/**
 * Three made-up rigs with real-looking sizes: for a first look, for the tests and for measuring
 * speed. Everything in them is invented. The one thing to call is {@link
 * fernwort.core.demo.ReadyRig}.
 *
 * <pre>{@code
 * Rig start = ReadyRig.find("one-tank").orElseThrow().rig();
 * }</pre>
 *
 * <p>Each file may be changed, or a new one listed; {@code ReadyRigTest} reads them as a user does.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.demo;
