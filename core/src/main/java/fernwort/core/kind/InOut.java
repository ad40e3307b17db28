package fernwort.core.kind;

import fernwort.core.id.PortId;

/**
 * The two ports by which a part stands in a line.
 *
 * @param in the one that water comes in by
 * @param out the one that it goes on by
 */
public record InOut(PortId in, PortId out) {}
