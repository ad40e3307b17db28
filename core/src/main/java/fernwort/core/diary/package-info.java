/** What people note of their water over time: looks, fills, dumps, hauls, who is on board. */
@org.jspecify.annotations.NullMarked
package fernwort.core.diary;
