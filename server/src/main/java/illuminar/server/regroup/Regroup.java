package illuminar.server.regroup;

import illuminar.core.picture.Point;
import illuminar.core.recipe.Refit;
import illuminar.server.account.Member;
import illuminar.server.audit.Audit;
import illuminar.server.balance.Boards;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.Names;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.web.Problem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Arranges the frames of views anew after they were taken in: other roles, another anchor, frames
 * in another view, views split and joined, frames in the bin. Recipes stay and are fitted to what
 * their views have now; views that have changed are lined up anew by a job.
 */
@Service
class Regroup {
  private final ShootService shoots;
  private final Views views;
  private final FrameRows frames;
  private final RecipeService recipes;
  private final Boards boards;
  private final Jobs jobs;
  private final RecipeJson json;
  private final Audit audit;

  Regroup(
      ShootService shoots,
      Views views,
      FrameRows frames,
      RecipeService recipes,
      Boards boards,
      Jobs jobs,
      RecipeJson json,
      Audit audit) {
    this.shoots = shoots;
    this.views = views;
    this.frames = frames;
    this.recipes = recipes;
    this.boards = boards;
    this.jobs = jobs;
    this.json = json;
    this.audit = audit;
  }

  /**
   * What came of it.
   *
   * @param job that lines up what has changed; nothing where nothing has
   * @param lost what recipes could not keep as it was, each with its view's name
   */
  record Done(Optional<Job> job, List<String> lost) {}

  /**
   * Arranges frames.
   *
   * @throws Problem where the arrangement does not fit what is there, or something is at work on it
   */
  @Transactional
  Done arrange(Member member, UUID shoot, Arrangement wanted) {
    shoots.owned(member.studio(), shoot);
    idle(member, shoot);
    Map<UUID, View> there = held(shoot, wanted.there());
    Map<UUID, List<FrameRow>> before = new LinkedHashMap<>();
    Map<UUID, FrameRow> all = new LinkedHashMap<>();
    for (UUID id : there.keySet()) {
      before.put(id, shoots.frames(id));
      before.get(id).forEach(f -> all.put(f.id(), f));
    }
    if (!wanted.arranges(all.keySet())) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "The frames of these views have changed meanwhile. Load them again and arrange anew.");
    }
    wanted.views().forEach(v -> v.check(all));
    Outcome out = new Outcome();
    for (Arrangement.Arranged v : wanted.views()) {
      if (v.view() != null && v.frames().isEmpty()) {
        empty(there.get(v.view()), wanted, all);
      }
    }
    for (UUID id : wanted.bin()) {
      if (there.get(all.get(id).viewId()).binned().isEmpty()) {
        all.get(id).bin();
      }
    }
    for (Arrangement.Arranged v : wanted.views()) {
      if (v.view() != null && !v.frames().isEmpty()) {
        change(there.get(v.view()), v, before.get(v.view()), all, out);
      }
    }
    for (Arrangement.Arranged v : wanted.views()) {
      if (v.view() == null) {
        begin(shoot, v, all, out);
      }
    }
    if (!wanted.bin().isEmpty()) {
      audit.note(
          member.studio(), member.account(), "moved " + count(wanted.bin().size()) + " to the bin");
    }
    return new Done(lineUp(member, shoot, out.changed), out.lost);
  }

  /** Views that are to be lined up, and what their recipes could not keep. */
  private static final class Outcome {
    private final List<UUID> changed = new ArrayList<>();
    private final List<String> lost = new ArrayList<>();
  }

  private static String count(int frames) {
    return frames == 1 ? "a frame" : frames + " frames";
  }

  /** Lines a view up anew as it is, for instance because that failed before. */
  @Transactional
  Job again(Member member, UUID id) {
    return lineUp(member, renewed(member, id).shootId(), List.of(id)).orElseThrow();
  }

  /** Reads a view's originals again, and lines it up by what they tell. */
  @Transactional
  Job readAgain(Member member, UUID id) {
    String subject = json.write(new ReadAgain.Subject(id));
    UUID shoot = renewed(member, id).shootId();
    return jobs.start(new Job(member.studio(), shoot, ReadAgain.KIND, subject));
  }

  /** A view on which nothing is at work, to be lined up as it is. */
  private View renewed(Member member, UUID id) {
    View view = shoots.heldView(member.studio(), id);
    idle(member, view.shootId());
    view.regrouped(view.anchorId());
    return view;
  }

  /** Brings a frame back into its view. */
  @Transactional
  Job bringBack(Member member, UUID id) {
    FrameRow frame = shoots.binnedFrame(member.studio(), id);
    frame.restore();
    return again(member, frame.viewId());
  }

  private Optional<Job> lineUp(Member member, UUID shoot, List<UUID> changed) {
    if (changed.isEmpty()) {
      return Optional.empty();
    }
    String subject = json.write(new LineUpAgain.Subject(changed));
    return Optional.of(jobs.start(new Job(member.studio(), shoot, LineUpAgain.KIND, subject)));
  }

  private void idle(Member member, UUID shoot) {
    if (jobs.of(member.studio(), shoot).stream().anyMatch(j -> !j.over())) {
      throw new Problem(
          HttpStatus.CONFLICT,
          "Something is at work on this shoot. Wait until it is done, or call it off.");
    }
  }

  private Map<UUID, View> held(UUID shoot, List<UUID> ids) {
    Map<UUID, View> held = new LinkedHashMap<>();
    ids.stream()
        .sorted()
        .forEach(
            id ->
                held.put(
                    id,
                    views
                        .hold(id)
                        .filter(v -> v.shootId().equals(shoot) && v.binned().isEmpty())
                        .orElseThrow(() -> Problem.notFound("view"))));
    if (held.size() != ids.size()) {
      throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, "A view is named twice.");
    }
    return held;
  }

  /** A view that has lost all its frames goes to the bin with them; others get copies. */
  private void empty(View view, Arrangement wanted, Map<UUID, FrameRow> all) {
    view.bin();
    for (FrameRow f : List.copyOf(all.values())) {
      if (f.viewId().equals(view.id()) && !wanted.bin().contains(f.id())) {
        all.put(f.id(), f.again(view.id(), f.position()));
      }
    }
  }

  /** Frames come to a view; of a picture that lies in its bin the one that comes counts. */
  private void settle(View view, List<FrameRow> rows, List<Arrangement.Placed> placed) {
    for (int i = 0; i < rows.size(); i++) {
      FrameRow row = rows.get(i);
      frames
          .findByViewIdAndSha256(view.id(), row.sha256())
          .filter(twin -> !twin.id().equals(row.id()) && twin.binned().isPresent())
          .ifPresent(frames::delete);
      frames.flush();
      row.role(placed.get(i).role());
      row.moveTo(view.id(), i);
    }
    frames.saveAllAndFlush(rows);
  }

  private void change(
      View view,
      Arrangement.Arranged v,
      List<FrameRow> before,
      Map<UUID, FrameRow> all,
      Outcome out) {
    view.rename(Names.checked("view", v.name()));
    List<FrameRow> rows = v.ids().stream().map(all::get).toList();
    boolean same = view.anchorId().equals(v.anchor()) && rows.equals(before);
    for (int i = 0; same && i < rows.size(); i++) {
      same = rows.get(i).role() == v.frames().get(i).role();
    }
    if (same) {
      return;
    }
    Before was = new Before(view, before);
    Optional<UnaryOperator<Point>> carried = was.carried(v.anchor());
    if (carried.isEmpty()) {
      out.lost.add(
          view.name() + ": how the new anchor lies is not known; look whether regions still fit");
    }
    UnaryOperator<Point> to = carried.orElse(UnaryOperator.identity());
    Set<String> left = new LinkedHashSet<>();
    settle(view, rows, v.frames());
    rows.forEach(f -> left.add(f.id().toString()));
    String anchor = all.get(v.anchor()).id().toString();
    recipes
        .refit(
            view,
            recipe ->
                Refit.of(recipe, left, anchor, gone -> was.nearest(gone, rows).orElse(anchor), to))
        .forEach(said -> out.lost.add(view.name() + ": " + said));
    boards.carry(view.id(), view.width(), view.height(), to);
    view.regrouped(UUID.fromString(anchor));
    out.changed.add(view.id());
  }

  private void begin(UUID shoot, Arrangement.Arranged v, Map<UUID, FrameRow> all, Outcome out) {
    List<FrameRow> rows = v.ids().stream().map(all::get).toList();
    FrameRow first = rows.get(0);
    View view =
        new View(
            UUID.randomUUID(),
            shoot,
            views.countByShootId(shoot),
            Names.checked("view", v.name()),
            first.width(),
            first.height());
    view.anchor(all.get(v.anchor()).id());
    views.saveAndFlush(view);
    settle(view, rows, v.frames());
    out.changed.add(view.id());
  }
}
