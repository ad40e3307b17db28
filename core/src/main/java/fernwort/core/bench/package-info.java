/**
 * Lines, vents, drains and brim-full tanks tried by themselves, as on a bench: each by the same
 * flow model that runs a whole rig.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.bench;
