/** Where holes go, on sheets to drill by. */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.drill;
