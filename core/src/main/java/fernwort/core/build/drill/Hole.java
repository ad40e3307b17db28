package fernwort.core.build.drill;

import fernwort.core.id.PortId;
import fernwort.core.kind.tank.TankPort;
import fernwort.core.say.Message;
import java.util.List;
import java.util.Optional;

/**
 * A hole in one face of a tank, as one looks at the face from outside.
 *
 * @param port id of the opening
 * @param use what it is for
 * @param across its middle from the left edge of the face as drawn (m)
 * @param up its middle from the lower edge as drawn (m)
 * @param diameter what the saw cuts (m); nothing where nobody knows the size of the fitting
 * @param usual whether that is only usual for the fitting
 * @param fitting what goes in
 * @param room across the nut and what turns it (m); 0 where its size is not known
 * @param there whether it is already in the tank
 * @param late why it waits until the tank hangs; empty where it does not
 * @param slips what is wrong with where it is
 */
public record Hole(
    PortId port,
    TankPort.Use use,
    double across,
    double up,
    Optional<Double> diameter,
    boolean usual,
    String fitting,
    double room,
    boolean there,
    String late,
    List<Message> slips) {

  public Hole {
    slips = List.copyOf(slips);
  }

  /** Returns it at another place of the picture. */
  Hole at(double otherAcross, double otherUp) {
    return new Hole(
        port, use, otherAcross, otherUp, diameter, usual, fitting, room, there, late, slips);
  }

  /** Returns it with what is wrong with it. */
  Hole with(List<Message> found) {
    return new Hole(port, use, across, up, diameter, usual, fitting, room, there, late, found);
  }
}
