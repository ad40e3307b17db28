package fernwort.app.security;

import fernwort.app.Missing;
import fernwort.app.store.DataFolder;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.X509Certificate;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;

/** Which devices are logged in, and the end of all others. */
@Controller
class DevicesController {

  private static final int SHOWN = 100;

  private final AccessRecord record;
  private final LoggedIn loggedIn;
  private final DataFolder folder;

  DevicesController(LoggedIn loggedIn, DataFolder folder, AccessRecord record) {
    this.record = record;
    this.loggedIn = loggedIn;
    this.folder = folder;
  }

  @GetMapping("/devices")
  String devices(HttpSession session, Model model) {
    model.addAttribute("devices", loggedIn.devices(session.getId()));
    model.addAttribute("record", record.newestFirst().stream().limit(SHOWN).toList());
    return "devices";
  }

  /** How a phone is made to trust this copy, step by step. */
  @GetMapping("/devices/trust")
  String trust(HttpServletRequest request, Model model) throws GeneralSecurityException {
    model.addAttribute("secure", request.isSecure());
    Optional<X509Certificate> root = HouseCertificate.root(folder);
    model.addAttribute("there", root.isPresent());
    model.addAttribute("print", root.isPresent() ? fingerprint(root.get()) : "");
    return "trust";
  }

  /** What a phone trusts, as it takes it. */
  @GetMapping("/devices/fernwort-root.crt")
  ResponseEntity<byte[]> root() throws GeneralSecurityException {
    X509Certificate root =
        HouseCertificate.root(folder)
            .orElseThrow(() -> new Missing(Says.THERE_IS_NO_CERTIFICATE.text()));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=fernwort-root.crt")
        .body(root.getEncoded());
  }

  /** What a certificate sums up to (SHA-256), in pairs of digits. */
  private static String fingerprint(X509Certificate certificate) throws GeneralSecurityException {
    byte[] sum = MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded());
    return HexFormat.ofDelimiter(" ").withUpperCase().formatHex(sum);
  }

  @PostMapping("/devices/end-others")
  String endOthers(HttpSession session, HttpServletRequest request) {
    record.add(AccessRecord.What.OTHERS_ENDED, request.getRemoteAddr());
    loggedIn.endAllOthers(session.getId());
    return "redirect:/devices";
  }
}
