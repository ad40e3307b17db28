/** The Workbench: pieces of line, timed jugs, drains, siphons, vents, slopes and drives. */
@org.jspecify.annotations.NullMarked
package fernwort.app.workbench;
