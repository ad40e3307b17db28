package fernwort.core.kind;

import java.util.List;

/**
 * Lets water through from in to out only.
 *
 * @param crackingPressure pressure it takes to open (Pa)
 */
public record CheckValve(double crackingPressure) implements Fitting {
  @Override
  public List<Position> service() {
    return FITTED;
  }

  @Override
  public List<Link> links(String position) {
    return List.of(new Link(0, 1, Link.Law.CHECK, crackingPressure));
  }

  @Override
  public double loss(double flow) {
    return crackingPressure;
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS;
  }

  @Override
  public boolean blowsClear() {
    return true;
  }

  @Override
  public List<String> ports() {
    return IN_OUT;
  }
}
