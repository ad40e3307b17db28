package fernwort.app.sizing;

import fernwort.app.questions.Question;
import fernwort.app.questions.QuestionDesk;
import fernwort.app.units.Units;
import fernwort.core.say.Refusal;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The pages of Sizing as JSON. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
class SizingApiController {

  private final QuestionDesk desk;

  SizingApiController(QuestionDesk desk) {
    this.desk = desk;
  }

  /** A question of a page with its answer, in metric units. */
  record Answered(
      String id,
      String title,
      String problem,
      List<Question.Row> rows,
      List<Question.Table> tables,
      String note) {}

  @GetMapping("/sizing/{page}")
  @Operation(summary = "A page of Sizing: days, space, weight, pump or supply")
  List<Answered> sizing(@PathVariable String id, @PathVariable String page) {
    SizingPages wanted =
        Stream.of(SizingPages.values())
            .filter(p -> p.name().toLowerCase(Locale.ROOT).equals(page))
            .findFirst()
            .orElseThrow(() -> new Refusal(Says.THERE_IS_NO_PAGE_OF_SIZING_ASK.with(page)));
    return wanted.of(desk.trip(id, Units.METRIC)).stream()
        .map(c -> new Answered(c.id(), c.title(), c.problem(), c.rows(), c.tables(), c.note()))
        .toList();
  }
}
