package fernwort.core.rig;

import fernwort.core.kind.Connection;
import java.util.Optional;

/**
 * Where a line meets a port, as somebody described it.
 *
 * @param at the port
 * @param port what the port offers; usual for its kind where empty
 * @param line what the end of the line offers; usual for its material where empty
 */
public record Joint(PortRef at, Optional<Connection> port, Optional<Connection> line) {}
