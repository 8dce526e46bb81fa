package illuminar.server.preflight;

import illuminar.core.pass.Stage;
import illuminar.core.set.Concern;
import illuminar.core.set.Remark;
import illuminar.server.account.Accounts;
import illuminar.server.account.Member;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The check of a whole shoot before delivery. */
@RestController
@RequestMapping("/api")
class PreFlightController {
  private static final int LONGEST_WORD = 200;

  private final ShootService shoots;
  private final Accounts accounts;
  private final Flights flights;
  private final AcceptedRows accepted;
  private final Jobs jobs;

  PreFlightController(
      ShootService shoots, Accounts accounts, Flights flights, AcceptedRows accepted, Jobs jobs) {
    this.shoots = shoots;
    this.accounts = accounts;
    this.flights = flights;
    this.accepted = accepted;
    this.jobs = jobs;
  }

  /**
   * A remark with what became of it.
   *
   * @param word why it was let pass; empty while it stands
   * @param who let it pass
   */
  record Standing(
      @NotNull Concern concern,
      @NotNull String said,
      @NotNull String pass,
      @NotNull String stage,
      @NotNull String word,
      @NotNull String who) {}

  /**
   * A view and what there is to it.
   *
   * @param now whether it was looked over as it is now
   */
  record ViewRemarks(
      @NotNull UUID view, @NotNull String name, boolean now, @NotNull List<Standing> remarks) {}

  /**
   * The whole set.
   *
   * @param said what concerns no single picture, as sentences
   */
  record Flight(@NotNull List<String> said, @NotNull List<ViewRemarks> views) {}

  record Accepting(@NotNull Concern concern, @NotNull String pass, @NotNull String word) {}

  @GetMapping("/shoots/{shoot}/pre-flight")
  Flight flight(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    Shoot of = shoots.owned(member.studio(), shoot);
    List<View> views = flights.ready(of);
    Map<UUID, LookedOver> rows = flights.rows(views);
    Map<UUID, List<Remark>> remarks = flights.remarks(views, rows);
    List<Accepted> passed = accepted.findByViewIdIn(views.stream().map(View::id).toList());
    List<ViewRemarks> out = new ArrayList<>();
    for (View view : views) {
      boolean now = rows.containsKey(view.id()) && rows.get(view.id()).of(view);
      out.add(
          new ViewRemarks(
              view.id(),
              view.name(),
              now,
              remarks.getOrDefault(view.id(), List.of()).stream()
                  .map(r -> standing(view, r, passed))
                  .toList()));
    }
    return new Flight(flights.said(member.studio(), of), out);
  }

  @PostMapping("/shoots/{shoot}/pre-flight")
  @ResponseStatus(HttpStatus.ACCEPTED)
  Jobs.Told look(@AuthenticationPrincipal Member member, @PathVariable UUID shoot) {
    shoots.owned(member.studio(), shoot);
    return jobs.told(jobs.start(new Job(member.studio(), shoot, PreFlightWork.KIND, "{}")));
  }

  /** Lets a remark pass, with a word why. */
  @PostMapping("/views/{view}/accepted")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  void accept(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID view,
      @RequestBody Accepting body) {
    View of = shoots.heldView(member.studio(), view);
    String word = body.word().strip();
    if (word.isEmpty() || word.length() > LONGEST_WORD) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_CONTENT, "Say why it may pass, in at most 200 letters.");
    }
    Shoot shoot = shoots.owned(member.studio(), of.shootId());
    List<View> ready = flights.ready(shoot);
    Remark remark =
        flights.remarks(ready, flights.rows(ready)).getOrDefault(view, List.of()).stream()
            .filter(r -> r.concern() == body.concern() && r.pass().equals(body.pass()))
            .findFirst()
            .orElseThrow(() -> Problem.notFound("remark"));
    accepted.deleteByViewIdAndConcernAndPass(view, body.concern(), body.pass());
    accepted.flush();
    accepted.save(
        new Accepted(view, remark, word, accounts.findById(member.account()).orElseThrow().name()));
  }

  /** Lets it stand again. */
  @DeleteMapping("/views/{view}/accepted")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void stand(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID view,
      @RequestParam Concern concern,
      @RequestParam String pass) {
    shoots.ownedView(member.studio(), view);
    accepted.deleteByViewIdAndConcernAndPass(view, concern, pass);
  }

  private static Standing standing(View view, Remark remark, List<Accepted> passed) {
    Optional<Accepted> by =
        passed.stream().filter(a -> a.viewId().equals(view.id()) && a.of(remark)).findFirst();
    Stage stage = remark.stage();
    return new Standing(
        remark.concern(),
        remark.said(),
        remark.pass(),
        stage.title(),
        by.map(Accepted::word).orElse(""),
        by.map(Accepted::who).orElse(""));
  }
}
