package fernwort.core.network;

import fernwort.core.kind.Link;

/**
 * A way for water through a part of a rig.
 *
 * @param from the number of the port, or body, that it leads out of
 * @param to the number of the one it leads to
 * @param law what it does to the water
 * @param head what it takes to open, or holds behind it (m)
 */
public record Passage(int from, int to, Link.Law law, double head) {

  /** The passage that a link of a part is in its rig, whose first port has a number. */
  static Passage of(Link link, int first) {
    return new Passage(
        first + link.from(), first + link.to(), link.law(), Water.head(link.pressure()));
  }
}
