package illuminar.server.report;

import illuminar.server.account.Member;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Reports of deliveries. */
@RestController
@RequestMapping("/api/shoots/{shoot}/deliveries/{job}")
class ReportController {
  private final ShootService shoots;
  private final Reports reports;

  ReportController(ShootService shoots, Reports reports) {
    this.shoots = shoots;
    this.reports = reports;
  }

  @GetMapping(value = "/report.html", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<byte[]> html(
      @AuthenticationPrincipal Member member, @PathVariable UUID shoot, @PathVariable UUID job) {
    Shoot of = shoots.owned(member.studio(), shoot);
    String page = HtmlReport.of(reports.of(member.studio(), of, job));
    return named(of, "html", page.getBytes(StandardCharsets.UTF_8));
  }

  @GetMapping(value = "/report.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> pdf(
      @AuthenticationPrincipal Member member, @PathVariable UUID shoot, @PathVariable UUID job)
      throws IOException {
    Shoot of = shoots.owned(member.studio(), shoot);
    return named(of, "pdf", PdfReport.of(reports.of(member.studio(), of, job)));
  }

  private static ResponseEntity<byte[]> named(Shoot shoot, String ending, byte[] body) {
    String name = "Report " + shoot.name() + "." + ending;
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(body);
  }
}
