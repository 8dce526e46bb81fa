package illuminar.server.upload;

import illuminar.server.account.Member;
import illuminar.server.account.Right;
import illuminar.server.shoot.ShootService;
import illuminar.server.web.Problem;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.NotNull;
import java.io.IOException;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Files that are sent for a shoot. */
@RestController
@RequestMapping("/api/shoots/{shoot}")
@Right.ToTakeIn
class UploadController {
  /** Files that are asked about at once. */
  private static final int MOST = 10_000;

  private final Uploads uploads;
  private final Arrived arrived;
  private final ShootService shoots;

  UploadController(Uploads uploads, Arrived arrived, ShootService shoots) {
    this.uploads = uploads;
    this.arrived = arrived;
    this.shoots = shoots;
  }

  /** One request of the tus protocol; every other method than these is refused. */
  @Hidden
  @RequestMapping(
      value = {"/uploads", "/uploads/{id}"},
      method = {
        RequestMethod.POST,
        RequestMethod.PATCH,
        RequestMethod.HEAD,
        RequestMethod.DELETE,
        RequestMethod.OPTIONS
      })
  void upload(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      HttpServletRequest request,
      HttpServletResponse response)
      throws IOException {
    shoots.owned(member.studio(), shoot);
    uploads.answer(shoot, request, response);
  }

  record ArrivalQuestion(@NotNull List<String> hashes) {}

  /**
   * What need not be sent.
   *
   * @param here of the hashes that were asked about, those that the shoot has already
   * @param room bytes that can still be sent
   * @param most bytes of the largest file
   */
  record ArrivalsKnown(@NotNull Set<String> here, long room, long most) {}

  /** Which contents, by their SHA-256, the shoot has already, and how much room there is. */
  @PostMapping("/arrivals/known")
  ArrivalsKnown known(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID shoot,
      @RequestBody ArrivalQuestion asked)
      throws IOException {
    shoots.owned(member.studio(), shoot);
    if (asked.hashes().size() > MOST) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT, "Ask about " + MOST + " files at most at once.");
    }
    return new ArrivalsKnown(arrived.here(shoot, asked.hashes()), uploads.room(), Uploads.MOST);
  }

  /** Throws a file away that was sent and will not be taken in. */
  @DeleteMapping("/arrivals/{name}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void throwAway(
      @AuthenticationPrincipal Member member, @PathVariable UUID shoot, @PathVariable String name) {
    shoots.owned(member.studio(), shoot);
    arrived.throwAway(shoot, name);
  }
}
