/**
 * The Rig screen of one rig: describing it step by step, the review of its layout, its versions.
 *
 * <p>Every step is one small form. What a form asks for each kind of part is in {@link
 * fernwort.app.rig.KindForm}, both ways, so that a kind cannot be shown and not read.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.rig;
