package illuminar.server.client;

import illuminar.server.account.Member;
import illuminar.server.account.Secret;
import illuminar.server.audit.Audit;
import illuminar.server.delivery.Delivered;
import illuminar.server.delivery.DeliveredFiles;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Links for clients, as the studio makes and ends them. */
@RestController
@RequestMapping("/api/shoots/{shoot}/links")
class LinkController {
  private static final int MOST_DAYS = 365;

  private final ClientLinks links;
  private final ShootService shoots;
  private final DeliveredFiles files;
  private final Audit audit;

  LinkController(ClientLinks links, ShootService shoots, DeliveredFiles files, Audit audit) {
    this.links = links;
    this.shoots = shoots;
    this.files = files;
    this.audit = audit;
  }

  /**
   * A link that is wanted.
   *
   * @param job the delivery
   * @param days for which it is good
   */
  record Wish(@NotNull UUID job, int days) {}

  /** A new link; it is told only now. */
  record Made(@NotNull String link) {}

  /** A link as it is listed. */
  record Listed(
      @NotNull UUID id, @NotNull UUID job, @NotNull Instant until, boolean good, int downloads) {}

  @GetMapping
  List<Listed> all(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    shoots.owned(member.studio(), shoot);
    return links.findByShootIdOrderByMadeDesc(shoot).stream()
        .map(l -> new Listed(l.id(), l.jobId(), l.until(), l.good(), l.downloads()))
        .toList();
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  Made make(
      @AuthenticationPrincipal Member member, @PathVariable UUID shoot, @RequestBody Wish wish) {
    Shoot of = shoots.owned(member.studio(), shoot);
    if (wish.days() < 1 || wish.days() > MOST_DAYS) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "A link is good for 1 to 365 days.");
    }
    if (files.ofShoot(shoot).stream().map(Delivered::jobId).noneMatch(wish.job()::equals)) {
      throw Problem.notFound("delivery of this shoot");
    }
    String secret = Secret.made();
    links.save(new ClientLink(member.studio(), shoot, wish.job(), secret, wish.days()));
    audit.note(member.studio(), member.account(), "made a client link of " + of.name());
    return new Made("/client/" + secret);
  }

  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end(
      @AuthenticationPrincipal Member member, @PathVariable UUID shoot, @PathVariable UUID id) {
    shoots.owned(member.studio(), shoot);
    links.delete(
        links.findByIdAndStudioId(id, member.studio()).orElseThrow(() -> Problem.notFound("link")));
  }
}
