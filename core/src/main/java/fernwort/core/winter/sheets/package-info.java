/** What a way through the winter is made of: acts, steps, and what is left. */
@org.jspecify.annotations.NullMarked
package fernwort.core.winter.sheets;
