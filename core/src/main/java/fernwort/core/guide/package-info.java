/**
 * A rig of one's own from what its owner sees and measures: the answers, and the rig that they
 * describe, with what had to be guessed.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.guide;
