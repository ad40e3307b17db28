package fernwort.core.kind.line;

import fernwort.core.kind.Care;
import fernwort.core.kind.Frost;
import fernwort.core.kind.Keeps;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Link;
import fernwort.core.kind.PortEnd;
import fernwort.core.kind.Position;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import java.util.List;
import java.util.Optional;

/** A screen that keeps grit out of what follows. */
public record Strainer() implements Fitting {

  private static final Purposes PURPOSES = Purposes.of(Purpose.STRAINS);

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

  @Override
  public Keeps keeps() {
    return Keeps.UNTIL_OFF;
  }

  @Override
  public Optional<String> drained() {
    return Optional.of(OFF);
  }

  @Override
  public String frozen(boolean little) {
    return KindWords.BOWL_FULL.text();
  }

  @Override
  public String mend() {
    return KindWords.UNSCREW_AND_RINSE.text();
  }

  @Override
  public String openedNote() {
    return KindWords.RINSE_SCREEN.text();
  }

  @Override
  public List<String> takenOut() {
    return List.of(KindWords.BUCKET_FOR_BOWL.text());
  }

  @Override
  public Optional<String> wayRound() {
    return Optional.of(KindWords.ARROW.text());
  }

  @Override
  public boolean appliance() {
    return true;
  }

  @Override
  public PortEnd end(String port) {
    return PortEnd.THREAD;
  }

  @Override
  public List<Care> care(String label) {
    return List.of(Care.of(KindWords.RINSE_THE_SCREEN.with(label), Care.A_QUARTER));
  }

  @Override
  public String figure() {
    return "strainer";
  }

  @Override
  public Purposes purposes() {
    return PURPOSES;
  }
}
