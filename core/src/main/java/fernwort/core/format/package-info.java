/**
 * The files that people bring and take: rig files, checked against their published schema before
 * anything else, and the answers that a rig was described by. The one thing to call is {@link
 * fernwort.core.format.RigFormat}.
 *
 * <pre>{@code
 * RigFormat format = new RigFormat();
 * Rig rig = format.read(bytes);        // or every fault of the file at once
 * String text = format.write(rig);     // the same rig always gives the same bytes
 * }</pre>
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.format;
