/**
 * Sentences with amounts in them. Whoever finds a number says it in SI; which unit it is read in,
 * and how it is rounded, is for whoever shows the sentence to somebody.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.say;
