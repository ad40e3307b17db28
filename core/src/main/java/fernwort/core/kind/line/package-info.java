/** The kinds of part that stand in a line: valves, fittings, pumps and heaters. */
@org.jspecify.annotations.NullMarked
package fernwort.core.kind.line;
