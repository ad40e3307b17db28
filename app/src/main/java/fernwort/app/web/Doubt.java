package fernwort.app.web;

/** Something typed is possible but unlikely; the person is asked, not refused. */
public final class Doubt extends RuntimeException {

  private static final long serialVersionUID = 1;

  /** Asks a question. */
  public Doubt(String question) {
    super(question);
  }
}
