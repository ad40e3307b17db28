/** The Log: who changed what and when. */
@org.jspecify.annotations.NullMarked
package fernwort.app.log;
