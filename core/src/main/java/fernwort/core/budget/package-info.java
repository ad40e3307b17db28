/**
 * What people really use, learnt from the levels they read, and when water ends or gray is full.
 *
 * <p>A filter over a grid of rates: for each rate that a person may use in a day, the water follows
 * a random walk with that drift, and each reading corrects it by its gauge's doubt (the filter of
 * Kalman 1960 for each rate); how well a rate foretold the readings weighs it (Bayes). Answers are
 * ranges of four in five over rates, levels and days that differ.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.budget;
