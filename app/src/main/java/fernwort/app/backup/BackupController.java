package fernwort.app.backup;

import fernwort.app.security.AccessRecord;
import fernwort.app.store.SettingStore;
import fernwort.app.store.backup.Backups;
import fernwort.core.say.Refusal;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Date;
import java.util.zip.GZIPOutputStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Everything that is kept, out as a file and in again. */
@Controller
class BackupController {

  private final Backups backups;
  private final SettingStore settings;
  private final AccessRecord record;
  private final Clock clock;

  BackupController(Backups backups, SettingStore settings, AccessRecord record, Clock clock) {
    this.record = record;
    this.backups = backups;
    this.settings = settings;
    this.clock = clock;
  }

  @GetMapping("/backup")
  void backUp(HttpServletResponse response) throws IOException {
    String name = "fernwort-" + LocalDate.now(clock) + ".json.gz";
    response.setContentType("application/gzip");
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment().filename(name).build().toString());
    try (GZIPOutputStream packed = new GZIPOutputStream(response.getOutputStream())) {
      backups.write(packed);
    }
  }

  /** Reads a backup in and shows what it holds beside what is here; nothing is changed yet. */
  @PostMapping("/restore")
  String preview(@RequestParam MultipartFile file, Model model) throws IOException {
    if (file.isEmpty()) {
      throw new Refusal(Says.NO_FILE_WAS_CHOSEN_CHOOSE.with());
    }
    Backups.Preview preview;
    try (InputStream in = file.getInputStream()) {
      preview = backups.prepare(in, StoredRows.look());
    }
    model.addAttribute("preview", preview);
    model.addAttribute("sameBroker", preview.broker().equals(settings.get(SettingStore.BROKER)));
    model.addAttribute("counts", RestoreCount.of(preview));
    model.addAttribute("made", preview.made().map(Date::from).orElse(null));
    return "restore";
  }

  @PostMapping("/restore/{token}")
  String restore(@PathVariable String token, HttpServletRequest request) {
    backups.restore(token);
    record.add(AccessRecord.What.RESTORED, request.getRemoteAddr());
    return "redirect:/rigs?restored";
  }
}
