/** Ends, threads and adapters: what fits on what, and what to buy. */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.joints;
