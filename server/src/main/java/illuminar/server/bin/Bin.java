package illuminar.server.bin;

import illuminar.server.account.Member;
import illuminar.server.audit.Audit;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.Shoots;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.storage.Originals;
import illuminar.server.web.Problem;
import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What was thrown away: it is out of sight at once, can be brought back for 30 days, and is deleted
 * then. Originals go only when no frame anywhere is made of them.
 */
@Component
public class Bin {
  static final Duration KEPT = Duration.ofDays(30);
  private static final Logger LOG = LoggerFactory.getLogger(Bin.class);

  private final Shoots shoots;
  private final Views views;
  private final FrameRows frames;
  private final ShootService service;
  private final Originals originals;
  private final Audit audit;
  private final TransactionTemplate transaction;

  Bin(
      Shoots shoots,
      Views views,
      FrameRows frames,
      ShootService service,
      Originals originals,
      Audit audit,
      TransactionTemplate transaction) {
    this.shoots = shoots;
    this.views = views;
    this.frames = frames;
    this.service = service;
    this.originals = originals;
    this.audit = audit;
    this.transaction = transaction;
  }

  List<Shoot> shoots(UUID studio) {
    return shoots.findByStudioIdAndBinnedIsNotNull(studio);
  }

  List<View> views(UUID studio) {
    return views.findBinned(studio);
  }

  List<FrameRow> frames(UUID studio) {
    return frames.findBinned(studio);
  }

  void throwShoot(Member member, UUID id) {
    transaction.executeWithoutResult(
        s -> {
          Shoot shoot = service.owned(member.studio(), id);
          shoot.bin();
          note(member, "moved the shoot " + shoot.name() + " to the bin");
        });
  }

  void throwView(Member member, UUID id) {
    transaction.executeWithoutResult(
        s -> {
          View view = service.heldView(member.studio(), id);
          view.bin();
          note(member, "moved the view " + view.name() + " to the bin");
        });
  }

  private void note(Member member, String said) {
    audit.note(member.studio(), member.account(), said);
  }

  void bringShootBack(UUID studio, UUID id) {
    transaction.executeWithoutResult(s -> shoot(studio, id).restore());
  }

  void bringViewBack(UUID studio, UUID id) {
    transaction.executeWithoutResult(s -> view(studio, id).restore());
  }

  void deleteShoot(Member member, UUID id) {
    Shoot shoot = shoot(member.studio(), id);
    delete(shoot);
    note(member, "deleted the shoot " + shoot.name() + " for good");
  }

  void deleteView(Member member, UUID id) {
    View view = view(member.studio(), id);
    delete(view);
    note(member, "deleted the view " + view.name() + " for good");
  }

  void deleteFrame(Member member, UUID id) {
    FrameRow frame = service.binnedFrame(member.studio(), id);
    delete(frame);
    note(member, "deleted the frame " + frame.name() + " for good");
  }

  private void delete(FrameRow frame) {
    transaction.executeWithoutResult(s -> frames.deleteById(frame.id()));
    letGo(List.of(frame.sha256()));
  }

  private Shoot shoot(UUID studio, UUID id) {
    return shoots(studio).stream()
        .filter(s -> s.id().equals(id))
        .findFirst()
        .orElseThrow(() -> Problem.notFound("shoot in the bin"));
  }

  private View view(UUID studio, UUID id) {
    return views(studio).stream()
        .filter(v -> v.id().equals(id))
        .findFirst()
        .orElseThrow(() -> Problem.notFound("view in the bin"));
  }

  private void delete(Shoot shoot) {
    List<String> contents = frames.contentsOfShoot(shoot.id());
    transaction.executeWithoutResult(s -> shoots.deleteById(shoot.id()));
    letGo(contents);
  }

  private void delete(View view) {
    List<String> contents = frames.contents(view.id());
    transaction.executeWithoutResult(s -> views.deleteById(view.id()));
    letGo(contents);
  }

  private void letGo(List<String> contents) {
    for (String sha : contents) {
      if (!frames.existsBySha256(sha)) {
        try {
          originals.letGo(sha);
        } catch (IOException e) {
          LOG.warn("an original could not be deleted: {}", e.getMessage());
        }
      }
    }
  }

  /** Deletes what has lain here long enough. */
  @Scheduled(initialDelay = 60 * 1000L, fixedDelay = 3600 * 1000L)
  public void sweep() {
    Instant before = Instant.now().minus(KEPT);
    frames.findByBinnedBefore(before).forEach(this::delete);
    views.findByBinnedBefore(before).forEach(this::delete);
    shoots.findByBinnedBefore(before).forEach(this::delete);
  }
}
