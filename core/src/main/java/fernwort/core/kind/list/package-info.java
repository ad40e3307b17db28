/**
 * The list of all kinds of part, {@link fernwort.core.kind.list.Kinds}: a new one is added there.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.kind.list;
