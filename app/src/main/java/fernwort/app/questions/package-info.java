/**
 * Questions with their fields and their answers, as Sizing and the Workbench show them. A question
 * asks the core one thing; what cannot be reckoned is said on it, and nothing that was entered is
 * lost.
 */
@org.jspecify.annotations.NullMarked
package fernwort.app.questions;
