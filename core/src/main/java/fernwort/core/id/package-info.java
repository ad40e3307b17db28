/**
 * What names the parts of a rig, its lines and places, and the ports and positions of its parts:
 * the short texts of the rig file, each a type of its own, so that a line is never looked for among
 * parts. {@link fernwort.core.id.ElementId} is the one of the first three that something is said
 * of.
 *
 * <p>Everything may know ids; they know nothing. Pages and files turn them into texts and back
 * ({@link fernwort.core.id.PartId#of}, {@code value()}), see decision 57.
 */
@NullMarked
package fernwort.core.id;

import org.jspecify.annotations.NullMarked;
