package fernwort.core.kind;

import java.util.List;

/** A screen that keeps grit out of what follows. */
public record Strainer() implements Fitting {
  @Override
  public List<Link> links(String position) {
    return Link.both(0, 1, Link.Law.FREE);
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
    return BOWL;
  }
}
