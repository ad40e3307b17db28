/**
 * Antifreeze on its way through lines and bodies.
 *
 * <p>Lines move as plugs; bodies are well mixed, V·dc/dt = Q·(c_in − c), solved exactly over each
 * small plug that comes in. Freezing points lie on straight lines between the points of a table.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.glycol;
