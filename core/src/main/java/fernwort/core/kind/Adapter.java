package fernwort.core.kind;

import fernwort.core.id.PortId;

/**
 * How air or antifreeze is let in at a part.
 *
 * @param port the port from which it goes on into the lines
 * @param on what one does there
 * @param off what one does there afterwards
 */
public record Adapter(PortId port, String on, String off) {}
