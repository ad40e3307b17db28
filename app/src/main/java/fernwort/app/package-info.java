/** The application: pages, store and programming interface around the core. */
@org.jspecify.annotations.NullMarked
package fernwort.app;
