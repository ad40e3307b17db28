/** How tanks are hung or strapped. */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.mount;
