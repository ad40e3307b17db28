/**
 * Find the fault, as people meet it: what they see, what is likely, what to look at next, and what
 * mends it. What was seen stands in the address of the page, so that a step back is the browser's.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.fault;
