/** The rig file: JSON in and out, checked against its published schema before anything else. */
@org.jspecify.annotations.NullMarked
package fernwort.app.format;
