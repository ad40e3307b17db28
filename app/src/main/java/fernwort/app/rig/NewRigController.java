package fernwort.app.rig;

import fernwort.app.board.Drawing;
import fernwort.app.board.PlanDrawing;
import fernwort.app.services.Descriptions;
import fernwort.core.build.mount.UsualBuild;
import fernwort.core.demo.ReadyAnswers;
import fernwort.core.demo.ReadyRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.function.SingletonSupplier;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Starting a rig from a ready layout. */
@Controller
class NewRigController {

  private final Descriptions rigs;
  private final SingletonSupplier<List<Choice>> choices;

  NewRigController(Descriptions rigs, PlanDrawing plans) {
    this.rigs = rigs;
    choices =
        SingletonSupplier.of(
            () -> ReadyRig.all().stream().map(r -> new Choice(r, plans.of(r.rig()))).toList());
  }

  /** A layout with its picture. */
  public record Choice(ReadyRig ready, Drawing drawing) {

    /** Tells whether it can be entered by questions as well. */
    public boolean asked() {
      return ReadyAnswers.of(ready.id(), ready.title()).isPresent();
    }
  }

  @GetMapping("/rigs/new")
  String choose(Model model) {
    model.addAttribute("choices", choices.obtain());
    return "new-rig";
  }

  @PostMapping("/rigs/new")
  String start(
      @RequestParam String layout, @RequestParam String name, @ModelAttribute("who") String who) {
    ReadyRig ready =
        ReadyRig.find(layout)
            .orElseThrow(() -> new Refusal(Says.THERE_IS_NO_LAYOUT_PICK.with(layout)));
    Rig rig = name.isBlank() ? ready.rig() : RigEdit.of(ready.rig()).rename(name.strip());
    String id = rigs.add(UsualBuild.on(rig), who, Says.STARTED_FROM.filled(ready.title()));
    return "redirect:/rigs/" + id + "/rig";
  }
}
