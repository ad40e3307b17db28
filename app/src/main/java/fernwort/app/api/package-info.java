/** The same computations as JSON under /api/v1. */
@org.jspecify.annotations.NullMarked
package fernwort.app.api;
