package fernwort.core.kind;

import java.util.List;

/**
 * A tray under a tank or pump that catches what leaks. No line leads to it.
 *
 * @param holds what it holds (m³)
 * @param contact whether a contact in it tells that water stands there
 */
public record LeakTray(double holds, boolean contact) implements Fitting {
  @Override
  public InLine inLine() {
    return InLine.STUB;
  }

  @Override
  public Frost frost() {
    return Frost.LIFTS;
  }

  @Override
  public List<String> ports() {
    return List.of();
  }
}
