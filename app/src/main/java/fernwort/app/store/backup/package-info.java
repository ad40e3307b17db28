/**
 * Everything that is kept, as one open file and back: by hand, once a day, and before a restore.
 * The file is described in {@code docs/backup.md}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.store.backup;
