/** The Board: handles, levels, where the water goes, and what would go wrong. */
@org.jspecify.annotations.NullMarked
package fernwort.app.board;
