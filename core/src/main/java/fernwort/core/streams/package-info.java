/**
 * What each line carries by its layout alone, fresh, hot or waste, and in which direction: what the
 * drawings need before anything stands open. Linear in the number of lines.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.streams;
