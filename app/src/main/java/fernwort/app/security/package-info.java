/** Who may use this copy, and from where. */
@org.jspecify.annotations.NullMarked
package fernwort.app.security;
