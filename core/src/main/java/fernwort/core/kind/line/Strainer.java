package fernwort.core.kind.line;

import fernwort.core.kind.Care;
import fernwort.core.kind.KindWords;
import fernwort.core.kind.Purpose;
import fernwort.core.kind.Purposes;
import java.util.List;

/** A screen that keeps grit out of what follows. */
public record Strainer() implements Bowl {

  private static final Purposes PURPOSES = Purposes.of(Purpose.STRAINS);

  @Override
  public String fix() {
    return KindWords.UNSCREW_AND_RINSE.text();
  }

  @Override
  public String openedNote() {
    return KindWords.RINSE_SCREEN.text();
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
