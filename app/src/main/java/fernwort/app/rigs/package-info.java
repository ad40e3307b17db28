/** The Rig screen: which rigs there are, import and export. */
@org.jspecify.annotations.NullMarked
package fernwort.app.rigs;
