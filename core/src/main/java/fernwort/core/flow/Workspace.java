package fernwort.core.flow;

import java.util.Arrays;
import org.ejml.data.DMatrixRMaj;
import org.ejml.data.DMatrixSparseCSC;
import org.ejml.interfaces.linsol.LinearSolverSparse;
import org.ejml.sparse.FillReducing;
import org.ejml.sparse.csc.factory.LinearSolverFactory_DSCC;

/**
 * The arrays and the equations that one solution needs, used again by the next of a network that is
 * joined alike. For one solution at a time.
 */
final class Workspace {

  final double[] flow;
  final double[] target;

  /** Loss and slope of each live link, in pairs. */
  final double[] law;

  final double[] trial;

  /** What each live link takes away on top of its loss (m). */
  final double[] held;

  final DMatrixSparseCSC matrix;
  final DMatrixRMaj right;
  final DMatrixRMaj solution;

  /** Keeps what it has found out of where the cells are. */
  final LinearSolverSparse<DMatrixSparseCSC, DMatrixRMaj> solver =
      LinearSolverFactory_DSCC.cholesky(FillReducing.NONE);

  Workspace(Pattern pattern, int links, int rows) {
    flow = new double[links];
    target = new double[links];
    law = new double[2 * links];
    trial = new double[2 * links];
    held = new double[links];
    matrix = pattern.matrix();
    right = new DMatrixRMaj(rows, 1);
    solution = new DMatrixRMaj(rows, 1);
  }

  /** Forgets the last solution. */
  Workspace clean() {
    Arrays.fill(target, 0);
    Arrays.fill(held, 0);
    return this;
  }
}
