package fernwort.app.cold;

import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.services.Sleep;
import fernwort.app.services.Winters;
import fernwort.app.store.WinterStore.Season;
import fernwort.app.units.Units;
import fernwort.core.winter.FrostRisks;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A sheet of winter or spring: shows how far it is, and takes ticks. */
@Controller
@RequestMapping("/rigs/{id}/cold/sheets/{sheet}")
class SheetPages {

  private final Descriptions rigs;
  private final Winters winters;
  private final Sleep sleep;

  SheetPages(Descriptions rigs, Winters winters, Sleep sleep) {
    this.rigs = rigs;
    this.winters = winters;
    this.sleep = sleep;
  }

  @GetMapping
  String sheet(
      @PathVariable String id,
      @PathVariable String sheet,
      @ModelAttribute("units") Units units,
      Model model) {
    OpenRig rig = rigs.open(id);
    Sleep.Sheet going = sleep.sheet(rig, sheet);
    model.addAttribute("rig", id);
    model.addAttribute("name", rig.rig().name());
    model.addAttribute("sheet", going.id());
    model.addAttribute("heading", going.title());
    model.addAttribute("outcome", going.outcome().name().toLowerCase(Locale.ROOT));
    model.addAttribute("autumn", going.season() == Season.AUTUMN);
    model.addAttribute(
        "steps", StepsView.of(rig, going.steps(), going.ticks(), going.begun(), units));
    model.addAttribute("notes", going.notes().stream().map(units::say).toList());
    if (going.season() == Season.AUTUMN) {
      model.addAttribute(
          "left", LeftView.of(rig, FrostRisks.of(rig.network(), going.now(), going.cold()), units));
    }
    return "cold/sheet";
  }

  @PostMapping("/ticks/{seq}")
  String tick(
      @PathVariable String id,
      @PathVariable String sheet,
      @PathVariable int seq,
      @RequestParam(name = "queued-at") Optional<Instant> queued,
      @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    if (queued.isPresent()) {
      winters.tickBefore(rig, sheet, seq, false, queued.get(), who);
    } else {
      winters.tick(rig, sheet, seq, who);
    }
    return back(id, sheet);
  }

  @PostMapping("/acts/{seq}")
  String tickAct(
      @PathVariable String id,
      @PathVariable String sheet,
      @PathVariable int seq,
      @RequestParam(name = "queued-at") Optional<Instant> queued,
      @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    if (queued.isPresent()) {
      winters.tickBefore(rig, sheet, seq, true, queued.get(), who);
    } else {
      winters.tickAct(rig, sheet, seq, who);
    }
    return back(id, sheet);
  }

  @PostMapping("/waits/{seq}")
  String begin(
      @PathVariable String id,
      @PathVariable String sheet,
      @PathVariable int seq,
      @ModelAttribute("who") String who) {
    winters.beginWait(rigs.open(id), sheet, seq, who);
    return back(id, sheet);
  }

  @PostMapping("/ticks/{seq}/again")
  String again(@PathVariable String id, @PathVariable String sheet, @PathVariable int seq) {
    winters.untick(rigs.open(id), sheet, seq);
    return back(id, sheet);
  }

  @PostMapping("/{end:done|leave}")
  String end(
      @PathVariable String id,
      @PathVariable String sheet,
      @PathVariable String end,
      @ModelAttribute("who") String who) {
    OpenRig rig = rigs.open(id);
    boolean care = sleep.sheet(rig, sheet).season() == Season.CARE;
    winters.end(rig, sheet, end.equals("done"), who);
    return "redirect:/rigs/" + id + (care ? "/log/upkeep" : "/cold");
  }

  private static String back(String id, String sheet) {
    return "redirect:/rigs/" + id + "/cold/sheets/" + sheet;
  }
}
