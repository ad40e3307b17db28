package fernwort.core.kind;

import fernwort.core.id.PortId;

/** Which way water goes at a port, seen from its part. */
public enum PortFlow {
  IN,
  OUT,
  EITHER;

  /** Of a part with an inlet whose other ports are outlets. */
  static PortFlow by(PortId port) {
    return port.equals(PortId.IN) ? IN : OUT;
  }
}
