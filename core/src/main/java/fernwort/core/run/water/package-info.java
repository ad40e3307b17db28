/** What changes while a run goes on: air, fronts, levels, spills, wear and warmth. */
@org.jspecify.annotations.NullMarked
package fernwort.core.run.water;
