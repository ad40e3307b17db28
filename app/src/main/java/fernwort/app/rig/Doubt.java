package fernwort.app.rig;

/** Something typed is possible but unlikely; the person is asked, not refused. */
public final class Doubt extends RuntimeException {

  private static final long serialVersionUID = 1;

  Doubt(String question) {
    super(question);
  }
}
