/** How lines are cut from stock with the least waste. */
@org.jspecify.annotations.NullMarked
package fernwort.core.build.cut;
