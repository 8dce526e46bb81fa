package illuminar.server.shoot;

import static java.util.stream.Collectors.toSet;

import illuminar.server.web.Problem;
import java.util.HashSet;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Shoots and their views, each confined to its studio. */
@Service
public class ShootService {
  private final Shoots shoots;
  private final Views views;
  private final FrameRows frames;

  ShootService(Shoots shoots, Views views, FrameRows frames) {
    this.shoots = shoots;
    this.views = views;
    this.frames = frames;
  }

  public Shoot owned(UUID studio, UUID shoot) {
    return shoots
        .findByIdAndStudioIdAndBinnedIsNull(shoot, studio)
        .orElseThrow(() -> Problem.notFound("shoot"));
  }

  public List<Shoot> all(UUID studio) {
    return shoots.findByStudioIdAndBinnedIsNullOrderByCreatedDesc(studio);
  }

  @Transactional
  public Shoot create(UUID studio, String name) {
    return shoots.save(new Shoot(studio, Names.checked("shoot", name)));
  }

  @Transactional
  public void renameShoot(UUID studio, UUID shoot, String name) {
    owned(studio, shoot).rename(Names.checked("shoot", name));
  }

  @Transactional
  public void renameView(UUID studio, UUID view, String name) {
    heldView(studio, view).rename(Names.checked("view", name));
  }

  /**
   * Puts the views of a shoot in order.
   *
   * @param order ids of all of its views
   */
  @Transactional
  public void order(UUID studio, UUID shoot, List<UUID> order) {
    List<View> all = views(owned(studio, shoot).id());
    if (order.size() != all.size()
        || !new HashSet<>(order).equals(all.stream().map(View::id).collect(toSet()))) {
      throw new Problem(
          HttpStatus.CONFLICT, "The views of this shoot have changed meanwhile. Load them again.");
    }
    all.forEach(v -> v.place(order.indexOf(v.id())));
  }

  public List<View> views(UUID shoot) {
    return views.findByShootIdAndBinnedIsNullOrderByPosition(shoot);
  }

  /** Those that are lined up, so that there is a picture of them. */
  public List<View> linedUp(UUID shoot) {
    return views(shoot).stream().filter(v -> v.state() != View.State.NEW).toList();
  }

  public View ownedView(UUID studio, UUID view) {
    return views.findOwned(view, studio).orElseThrow(() -> Problem.notFound("view"));
  }

  /** A view that nobody else changes until the transaction ends. */
  public View heldView(UUID studio, UUID view) {
    return views.holdOwned(view, studio).orElseThrow(() -> Problem.notFound("view"));
  }

  public FrameRow binnedFrame(UUID studio, UUID frame) {
    return frames.findBinned(studio).stream()
        .filter(f -> f.id().equals(frame))
        .findFirst()
        .orElseThrow(() -> Problem.notFound("frame in the bin"));
  }

  public List<FrameRow> frames(UUID view) {
    return frames.findByViewIdAndBinnedIsNullOrderByPosition(view);
  }

  /** A view has come to a state; its recipe is not touched. */
  @Transactional
  public void come(UUID view, View.State state) {
    views.hold(view).orElseThrow(() -> Problem.notFound("view")).come(state);
  }
}
