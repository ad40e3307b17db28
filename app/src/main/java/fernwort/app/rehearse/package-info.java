/** Rehearsing: the rig run in time from how it stands, streamed to the page. */
@org.jspecify.annotations.NullMarked
package fernwort.app.rehearse;
