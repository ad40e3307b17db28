/**
 * How what is kept gets onto the disk and stays readable there.
 *
 * <p>The database writes its file as a log of chunks and finds the newest whole one when it opens.
 * It does not order its writes, so that after a power cut a chunk may look whole and not be. {@link
 * fernwort.app.store.disk.OrderedFiles} puts an order under it, {@link
 * fernwort.app.store.disk.GroupSync} makes commits wait for the disk in groups, and {@link
 * fernwort.app.store.disk.FolderWatch} tells when the folder cannot be written, so that reading
 * goes on.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.store.disk;
