/**
 * Three made-up rigs with real-looking sizes: for a first look, for the tests and for measuring
 * speed. Everything in them is invented.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.demo;
