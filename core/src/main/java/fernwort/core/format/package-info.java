/**
 * The files that people bring and take: rig files, checked against their published schema before
 * anything else, and the answers that a rig was described by. The one thing to call is {@link
 * fernwort.core.format.RigFormat}.
 *
 * <pre>{@code
 * RigFormat format = new RigFormat();
 * Rig read = format.read(bytes); // or every fault of the file at once
 * String text = format.write(read); // the same rig always gives the same bytes
 * }</pre>
 *
 * <p>To change with care: the names of components of records in {@code rig} and {@code kind}, which
 * are the names in files; the schema goes with them.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.format;
