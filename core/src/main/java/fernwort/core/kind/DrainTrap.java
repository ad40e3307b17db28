package fernwort.core.kind;

import java.util.List;

/** A water seal against smell. */
public record DrainTrap() implements Fitting {
  @Override
  public List<Link> links(String position) {
    return Link.both(0, 1, Link.Law.SEAL);
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS_WHEN_FULL;
  }

  @Override
  public List<String> ports() {
    return IN_OUT;
  }

  @Override
  public List<Position> service() {
    return List.of(new Position(ON, "plug in"), new Position(OFF, "plug out"));
  }
}
