/** The kinds of part at which lines begin and end: inlets, tanks, taps, open ends and caps. */
@org.jspecify.annotations.NullMarked
package fernwort.core.kind.end;
