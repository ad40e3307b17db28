/** The kinds of part that do something to water: pumps that drive it on, heaters that heat it. */
@org.jspecify.annotations.NullMarked
package fernwort.core.kind.machine;
