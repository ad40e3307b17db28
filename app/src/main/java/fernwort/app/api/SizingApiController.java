package fernwort.app.api;

import fernwort.app.cards.Card;
import fernwort.app.cards.CardDesk;
import fernwort.app.rigs.OpenRig;
import fernwort.app.rigs.Rigs;
import fernwort.app.sizing.SizingPages;
import fernwort.app.units.Units;
import fernwort.core.hazard.LoadCheck;
import fernwort.core.hazard.Warning;
import fernwort.core.load.Loads;
import fernwort.core.plumbing.Plumbing;
import fernwort.core.rig.State;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What the water weighs, and the pages of Sizing, as JSON. */
@RestController
@RequestMapping(value = "/api/v1/rigs/{id}", produces = MediaType.APPLICATION_JSON_VALUE)
class SizingApiController {

  private final Rigs rigs;
  private final CardDesk desk;

  SizingApiController(Rigs rigs, CardDesk desk) {
    this.rigs = rigs;
    this.desk = desk;
  }

  /**
   * What the vehicle's supports carry.
   *
   * @param supports from the rear: what each carries, with its limits (kg)
   * @param left how much more lies to the left than to the right (kg)
   * @param margin smallest margin to a limit, negative when one is broken (kg)
   * @param warnings HITCH_LIGHT, HITCH_HEAVY, AXLE_OVER or SIDE
   */
  record LoadAnswer(List<Carries> supports, double left, double margin, List<Warning> warnings) {

    /** A support with what it carries in all and of water, and its limits (kg). */
    record Carries(String label, double load, double water, double lowest, double highest) {}

    static LoadAnswer of(Plumbing plumbing, State state) {
      Loads loads = Loads.of(plumbing, state.volumes());
      var rear = loads.supports().get(0);
      var front = loads.supports().get(1);
      return new LoadAnswer(
          List.of(
              new Carries(
                  rear.label(), loads.onRear(), loads.rear(), rear.lowest(), rear.highest()),
              new Carries(
                  front.label(), loads.onFront(), loads.front(), front.lowest(), front.highest())),
          loads.left(),
          loads.margin(),
          LoadCheck.of(plumbing, state.volumes()));
    }
  }

  @GetMapping("/loads")
  @Operation(summary = "What axles and coupling carry with the water on board, and what is amiss")
  LoadAnswer loads(@PathVariable String id) {
    OpenRig rig = rigs.open(id);
    return LoadAnswer.of(rig.plumbing(), rigs.standing(rig).state());
  }

  @PostMapping("/loads")
  @Operation(summary = "What axles and coupling carry with litres otherwise than recorded")
  LoadAnswer loads(@PathVariable String id, @RequestBody(required = false) Optional<Overlay> body) {
    OpenRig rig = rigs.open(id);
    State state = body.orElse(Overlay.NONE).on(rig, rigs.standing(rig).state());
    return LoadAnswer.of(rig.plumbing(), state);
  }

  /** A question of a page with its answer, in metric units. */
  record Question(
      String id,
      String title,
      String problem,
      List<Card.Row> rows,
      List<Card.Table> tables,
      String note) {}

  @GetMapping("/sizing/{page}")
  @Operation(summary = "A page of Sizing: days, space, weight, pump or supply")
  List<Question> sizing(@PathVariable String id, @PathVariable String page) {
    SizingPages wanted =
        Stream.of(SizingPages.values())
            .filter(p -> p.name().toLowerCase(Locale.ROOT).equals(page))
            .findFirst()
            .orElseThrow(() ->
                new IllegalArgumentException(
                    "There is no page “%s” of Sizing; ask for days, space, weight, pump or supply"
                        .formatted(page)));
    return wanted.of(desk.trip(id, Units.METRIC)).stream()
        .map(c -> new Question(c.id(), c.title(), c.problem(), c.rows(), c.tables(), c.note()))
        .toList();
  }
}
