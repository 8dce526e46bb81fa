package illuminar.server.shoot;

import illuminar.server.web.Problem;
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
    return shoots.findByIdAndStudioId(shoot, studio).orElseThrow(() -> Problem.notFound("shoot"));
  }

  public List<Shoot> all(UUID studio) {
    return shoots.findByStudioIdOrderByCreatedDesc(studio);
  }

  @Transactional
  public Shoot create(UUID studio, String name) {
    if (name.isBlank() || name.length() > 200) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_ENTITY, "A shoot needs a name of at most 200 letters.");
    }
    return shoots.save(new Shoot(studio, name.strip()));
  }

  public List<View> views(UUID shoot) {
    return views.findByShootIdOrderByPosition(shoot);
  }

  public View ownedView(UUID studio, UUID view) {
    return views.findOwned(view, studio).orElseThrow(() -> Problem.notFound("view"));
  }

  public List<FrameRow> frames(UUID view) {
    return frames.findByViewIdOrderByPosition(view);
  }

  @Transactional
  public View rename(UUID studio, UUID view, String name) {
    if (name.isBlank() || name.length() > 200) {
      throw new Problem(
          HttpStatus.UNPROCESSABLE_ENTITY, "A view needs a name of at most 200 letters.");
    }
    View owned = ownedView(studio, view);
    owned.rename(name.strip());
    return views.save(owned);
  }
}
