/**
 * What can be wrong with a part or a line. Each kind of part declares its own faults with {@link
 * fernwort.core.kind.Kind#faults()}, and how its figures change with one of them.
 *
 * <pre>{@code
 * Kind worn = pump.with(FaultKind.WORN); // half its pressure
 * }</pre>
 */
@org.jspecify.annotations.NullMarked
package fernwort.core.kind.fault;
