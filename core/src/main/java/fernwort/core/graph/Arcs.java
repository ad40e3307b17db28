package fernwort.core.graph;

/**
 * A directed graph by numbers: points from 0 on, and the arcs out of each as a chain.
 *
 * <pre>{@code
 * for (int arc = arcs.first(point); arc >= 0; arc = arcs.next(arc)) {
 *   visit(arcs.to(arc));
 * }
 * }</pre>
 */
public interface Arcs {

  /** Returns the number of points. */
  int points();

  /** Returns the first arc out of a point, −1 for none. */
  int first(int point);

  /** Returns the arc after another out of the same point, −1 for none. */
  int next(int arc);

  /** Returns the point that an arc leads to. */
  int to(int arc);

  /** Returns a graph in which each of some points is joined with each other: arc i·n + j. */
  static Arcs complete(int points) {
    return new Arcs() {
      @Override
      public int points() {
        return points;
      }

      @Override
      public int first(int point) {
        return point * points;
      }

      @Override
      public int next(int arc) {
        return (arc + 1) % points == 0 ? -1 : arc + 1;
      }

      @Override
      public int to(int arc) {
        return arc % points;
      }
    };
  }
}
