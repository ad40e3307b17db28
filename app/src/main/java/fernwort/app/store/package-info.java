/**
 * What is kept: rigs, handles, readings and the journal, in an H2 file through jOOQ. Every change
 * is one transaction with its journal line, on disk before it is acknowledged. What is {@link
 * Remembered} of a rig has to be counted by {@link Changes} where it is written.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.store;
