/**
 * What a part is: each kind in a file of its own, which declares what water, a hand, frost and the
 * workbench meet in it. Others ask the declaration and need not know the kind.
 *
 * <p>The one thing to call is {@link fernwort.core.kind.Kind}; {@link fernwort.core.kind.Kinds}
 * lists them. Lengths are in metres, volumes in cubic metres, pressures in pascals above the
 * atmosphere, flows in cubic metres a second.
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.kind;
