package illuminar.server.client;

import illuminar.server.account.Secret;
import illuminar.server.account.Studio;
import illuminar.server.account.Studios;
import illuminar.server.delivery.Delivered;
import illuminar.server.delivery.Parcels;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** What a client sees who follows a link; nobody is signed in. */
@RestController
@RequestMapping("/api/client/{secret}")
class ClientController {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH);

  private final ClientLinks links;
  private final Parcels parcels;
  private final ShootService shoots;
  private final Studios studios;

  ClientController(ClientLinks links, Parcels parcels, ShootService shoots, Studios studios) {
    this.links = links;
    this.parcels = parcels;
    this.shoots = shoots;
    this.studios = studios;
  }

  /**
   * A finished file.
   *
   * @param shown whether browsers can show it
   */
  record Item(
      @NotNull UUID id,
      @NotNull UUID view,
      @NotNull String name,
      @NotNull String specification,
      boolean shown,
      long bytes,
      int width,
      int height) {}

  record Parcel(
      @NotNull String studio,
      @NotNull String shoot,
      @NotNull Instant until,
      @NotNull List<Item> files) {}

  @GetMapping
  Parcel parcel(@PathVariable String secret) {
    ClientLink link = good(secret);
    Studio studio = studios.findById(link.studioId()).orElseThrow(() -> Problem.notFound("studio"));
    return new Parcel(
        studio.name(),
        shoot(link).name(),
        link.until(),
        parcels.of(link.jobId()).stream().map(ClientController::item).toList());
  }

  private static Item item(Delivered d) {
    boolean shown = d.name().endsWith(".jpg") || d.name().endsWith(".png");
    return new Item(
        d.id(), d.viewId(), d.name(), d.specification(), shown, d.bytes(), d.width(), d.height());
  }

  /**
   * One of the files.
   *
   * @param show whether it is only looked at, which is no download
   */
  @GetMapping("/files/{id}")
  ResponseEntity<Resource> file(
      @PathVariable String secret,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "false") boolean show)
      throws IOException {
    ClientLink link = good(secret);
    Delivered file =
        parcels.of(link.jobId()).stream()
            .filter(d -> d.id().equals(id))
            .findFirst()
            .orElseThrow(() -> Problem.notFound("file"));
    ResponseEntity<Resource> answer = parcels.one(file, !show);
    if (!show) {
      links.count(link.id());
    }
    return answer;
  }

  @GetMapping("/files.zip")
  ResponseEntity<StreamingResponseBody> all(@PathVariable String secret) throws IOException {
    ClientLink link = good(secret);
    ResponseEntity<StreamingResponseBody> answer =
        parcels.all(shoot(link).name(), parcels.of(link.jobId()));
    links.count(link.id());
    return answer;
  }

  private Shoot shoot(ClientLink link) {
    return shoots.owned(link.studioId(), link.shootId());
  }

  private ClientLink good(String secret) {
    ClientLink link =
        links
            .findByHash(Secret.hash(secret))
            .orElseThrow(
                () ->
                    new Problem(
                        HttpStatus.NOT_FOUND,
                        "This link leads nowhere. Ask the studio for a new one."));
    if (!link.good()) {
      throw new Problem(
          HttpStatus.GONE,
          "This link ended on %s. Ask the studio for a new one."
              .formatted(DAY.format(link.until().atOffset(ZoneOffset.UTC))));
    }
    return link;
  }
}
