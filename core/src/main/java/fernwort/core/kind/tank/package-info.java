/** What a tank is made of: its shape, its openings and how its level is read. */
@org.jspecify.annotations.NullMarked
package fernwort.core.kind.tank;
