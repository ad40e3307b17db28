/**
 * How long a computation may go on. Searches and runs look at it where they go round, so that one
 * that nobody waits for, or that would take longer than anybody waits, ends at once and leaves
 * nothing half done.
 *
 * <p>A scoped value carries the limit down without a parameter in every method; without one bound a
 * look costs a nanosecond.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.effort;
