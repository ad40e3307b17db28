/**
 * How long the water lasts and how much is needed.
 *
 * <p>Plain arithmetic on what people use a day, kept with its working so that every figure can be
 * opened and checked.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.sizing;
