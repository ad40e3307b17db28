/**
 * How fast Fernwort is, measured against what the product promises. Run by {@code ./fernwort
 * bench}, which writes {@code docs/benchmarks.md}. Speed is never asserted in a test.
 */
@org.jspecify.annotations.NullMarked
package fernwort.bench;
