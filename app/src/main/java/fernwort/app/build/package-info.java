/** Build: ends that fit, drill sheets, supports, lists, taking apart, commissioning. */
@org.jspecify.annotations.NullMarked
package fernwort.app.build;
