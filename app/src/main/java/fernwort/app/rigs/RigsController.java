package fernwort.app.rigs;

import fernwort.app.board.PlanDrawing;
import fernwort.app.services.Descriptions;
import fernwort.app.services.OpenRig;
import fernwort.app.store.backup.Backups;
import fernwort.core.describe.RigEdit;
import fernwort.core.format.RigFormat;
import fernwort.core.rig.InvalidRigException;
import fernwort.core.rig.Rig;
import fernwort.core.say.Refusal;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The Rig screen: which rigs there are, rig files in and out. */
@Controller
class RigsController {

  private final Descriptions rigs;
  private final RigFormat format;
  private final Backups backups;
  private final PlanDrawing drawings;

  RigsController(Descriptions rigs, RigFormat format, Backups backups, PlanDrawing drawings) {
    this.rigs = rigs;
    this.format = format;
    this.backups = backups;
    this.drawings = drawings;
  }

  /** Names of the backups in the data folder, the newest first. */
  @ModelAttribute("backups")
  List<String> backups() {
    return backups.kept().stream().map(f -> f.getFileName().toString()).toList();
  }

  /** What is missing since the last backup, in a sentence; empty where all is there. */
  @ModelAttribute("missing")
  String missing() {
    return backups.missing().orElse("");
  }

  @GetMapping("/")
  String start() {
    return rigs.all().stream()
        .filter(r -> !r.archived())
        .findFirst()
        .map(r -> "redirect:/rigs/" + r.id() + "/board")
        .orElse("redirect:/rigs");
  }

  @GetMapping("/rigs")
  String all(Model model) {
    model.addAttribute("rigs", rigs.all());
    return "rigs";
  }

  /** A small drawing of a rig, for its card; asked for once the card comes into view. */
  @GetMapping("/rigs/{id}/picture")
  String picture(@PathVariable String id, Model model) {
    OpenRig rig = rigs.open(id);
    model.addAttribute("drawing", drawings.of(rig));
    model.addAttribute("title", rig.rig().name());
    return "rig-picture";
  }

  @PostMapping("/rigs/import")
  String take(
      @RequestParam MultipartFile file,
      @ModelAttribute("who") String who,
      Model model,
      HttpServletResponse response)
      throws IOException {
    if (file.getSize() > RigFormat.MOST_BYTES) {
      throw new Refusal(Says.THE_FILE_IS_LARGER_THAN_2_MB.with());
    }
    try {
      return "redirect:/rigs/" + rigs.add(file.getBytes(), who) + "/board";
    } catch (InvalidRigException e) {
      response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
      model.addAttribute("problems", e.problems());
      model.addAttribute("rigs", rigs.all());
      return "rigs";
    }
  }

  @PostMapping("/rigs/{id}/copy")
  String copy(@PathVariable String id, @ModelAttribute("who") String who) {
    Rig rig = rigs.open(id).rig();
    Rig copy = RigEdit.of(rig).rename(RigEdit.shortened(Says.COPY_OF.filled(rig.name())));
    return "redirect:/rigs/" + rigs.add(copy, who, Says.COPIED_FROM.filled(rig.name())) + "/rig";
  }

  @PostMapping("/rigs/{id}/archive")
  String archive(@PathVariable String id, @RequestParam boolean away) {
    rigs.archive(id, away);
    return "redirect:/rigs";
  }

  @GetMapping("/rigs/{id}/export")
  ResponseEntity<String> export(@PathVariable String id) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename(id + ".json").build().toString())
        .body(rigs.export(id));
  }

  @GetMapping(value = "/rig.schema.json", produces = "application/schema+json")
  ResponseEntity<String> schema() {
    return ResponseEntity.ok()
        .headers(h -> h.put("Access-Control-Allow-Origin", List.of("*")))
        .body(format.schema());
  }
}
