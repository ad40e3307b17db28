package fernwort.app.sizing;

import fernwort.app.questions.Question;
import fernwort.app.questions.Trip;
import java.util.List;

/** The pages of Sizing by their name, for whoever shows them. */
public enum SizingPages {
  DAYS,
  SPACE,
  WEIGHT,
  PUMP,
  SUPPLY;

  /** Returns the questions of a page with their answers. */
  public List<Question> of(Trip trip) {
    return switch (this) {
      case DAYS -> DaysPage.of(trip);
      case SPACE -> SpacePage.of(trip);
      case WEIGHT -> WeightPage.of(trip);
      case PUMP -> PumpPage.of(trip);
      case SUPPLY -> SupplyPage.of(trip);
    };
  }
}
