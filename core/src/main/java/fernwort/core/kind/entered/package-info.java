/**
 * What is entered of parts: what it is called, in which unit, what is possible and usual. The one
 * thing to call is {@link fernwort.core.kind.entered.Property}.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.kind.entered;
