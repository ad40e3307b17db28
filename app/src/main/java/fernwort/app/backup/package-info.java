/** Backing up and restoring a copy that runs: from its pages, and from the launcher. */
@org.jspecify.annotations.NullMarked
package fernwort.app.backup;
