package fernwort.core.glycol;

import java.util.List;

/** Elements one after another, from where antifreeze is pushed in to an outlet. */
public final class Chain {

  /** A push is cut into so many, so that a mixture that changes stays smooth. */
  private static final int CUTS = 1000;

  /** A way that holds less is cut as if it held this (m³). */
  private static final double LEAST = 1e-6;

  private final List<Element> elements;
  private double atOutlet;

  public Chain(List<Element> elements) {
    this.elements = List.copyOf(elements);
  }

  /**
   * Pushes liquid through.
   *
   * @param volume how much (m³)
   * @param strength share of glycol in it (0 to 1)
   */
  public void push(double volume, double strength) {
    if (volume <= 0) {
      return;
    }
    double cut = volume / CUTS;
    for (int i = 0; i < CUTS; i++) {
      through(cut, strength);
    }
  }

  /**
   * Pushes until what leaves is as strong as asked.
   *
   * @param strength share of glycol pushed in (0 to 1)
   * @param asked share of glycol at the outlet (0 to 1), less than that
   * @param most give up after so much (m³)
   * @return how much it took (m³); {@code most} when that was not enough
   */
  public double pushUntil(double strength, double asked, double most) {
    double cut = Math.max(volume(), LEAST) / CUTS;
    double pushed = 0;
    while (atOutlet < asked && pushed < most) {
      through(cut, strength);
      pushed += cut;
    }
    return Math.min(pushed, most);
  }

  /**
   * Pushes water through until what leaves is as weak as asked.
   *
   * @param asked share of glycol at the outlet (0 to 1), more than none
   * @param most give up after so much (m³)
   * @return how much it took (m³); {@code most} when that was not enough
   */
  public double flush(double asked, double most) {
    double cut = Math.max(volume(), LEAST) / CUTS;
    double pushed = 0;
    while (pushed < most && (pushed <= 0 || atOutlet > asked || strongest() > asked)) {
      through(cut, 0);
      pushed += cut;
    }
    return Math.min(pushed, most);
  }

  private double strongest() {
    return elements.stream().mapToDouble(Element::strength).max().orElse(0);
  }

  private void through(double cut, double strength) {
    Flow comes = new Flow(cut, strength);
    for (Element element : elements) {
      comes = element.push(comes);
      if (comes.volume() <= 0) {
        return;
      }
    }
    atOutlet = comes.strength();
  }

  /** Returns the share of glycol in what leaves (0 to 1). */
  public double atOutlet() {
    return atOutlet;
  }

  /** Returns what all elements hold (m³). */
  public double volume() {
    return elements.stream().mapToDouble(Element::volume).sum();
  }

  /** Returns the elements. */
  public List<Element> elements() {
    return elements;
  }
}
