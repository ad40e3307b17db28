/** The ways that air or antifreeze takes when it is pushed in. */
@org.jspecify.annotations.NullMarked
package fernwort.core.winter.routes;
