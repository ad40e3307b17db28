package fernwort.core.kind;

/** Which way water goes at a port, seen from its part. */
public enum PortFlow {
  IN,
  OUT,
  EITHER;

  /** Of a part with an inlet whose other ports are outlets. */
  static PortFlow by(String port) {
    return port.equals("in") ? IN : OUT;
  }
}
