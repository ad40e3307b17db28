package fernwort.core.kind;

import fernwort.core.id.PartId;
import fernwort.core.id.PositionId;

/**
 * A part that a switch moves along with others.
 *
 * @param part id of the part
 * @param to id of the position that it is put in; switched off, it goes to its rest
 */
public record Moved(PartId part, PositionId to) {}
