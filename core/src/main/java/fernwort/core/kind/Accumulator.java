package fernwort.core.kind;

import java.util.List;

/**
 * A vessel with an air cushion on one side.
 *
 * @param precharge air pressure without water (Pa)
 */
public record Accumulator(double precharge) implements Fitting {
  @Override
  public List<Position> service() {
    return FITTED;
  }

  @Override
  public InLine inLine() {
    return InLine.STUB;
  }

  @Override
  public Frost frost() {
    return Frost.CRACKS;
  }

  @Override
  public boolean bursts() {
    return true;
  }

  @Override
  public List<String> ports() {
    return List.of("in");
  }
}
