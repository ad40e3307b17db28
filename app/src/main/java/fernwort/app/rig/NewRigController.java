package fernwort.app.rig;

import fernwort.app.board.Drawing;
import fernwort.app.board.PlanDrawing;
import fernwort.app.rigs.Rigs;
import fernwort.core.describe.ReadyRig;
import fernwort.core.describe.RigEdit;
import fernwort.core.rig.Rig;
import java.util.List;
import java.util.function.Supplier;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Starting a rig from a ready layout. */
@Controller
class NewRigController {

  private final Rigs rigs;
  private final Supplier<List<Choice>> choices = new Once();

  NewRigController(Rigs rigs) {
    this.rigs = rigs;
  }

  /** A layout with its picture. */
  public record Choice(ReadyRig ready, Drawing drawing) {}

  /** The pictures are drawn when first asked for and never change. */
  private static final class Once implements Supplier<List<Choice>> {
    private List<Choice> drawn = List.of();

    @Override
    public synchronized List<Choice> get() {
      if (drawn.isEmpty()) {
        drawn = ReadyRig.all().stream().map(r -> new Choice(r, PlanDrawing.of(r.rig()))).toList();
      }
      return drawn;
    }
  }

  @GetMapping("/rigs/new")
  String choose(Model model) {
    model.addAttribute("choices", choices.get());
    return "new-rig";
  }

  @PostMapping("/rigs/new")
  String start(
      @RequestParam String layout, @RequestParam String name, @ModelAttribute("who") String who) {
    ReadyRig ready =
        ReadyRig.find(layout)
            .orElseThrow(() ->
                new IllegalArgumentException(
                    "There is no layout “" + layout + "”; pick one of the pictures"));
    Rig rig = name.isBlank() ? ready.rig() : RigEdit.of(ready.rig()).rename(name.strip());
    String id = rigs.add(rig, who, "Started from “" + ready.title() + "”");
    return "redirect:/rigs/" + id + "/rig";
  }
}
