package illuminar.server.cover;

import illuminar.core.picture.Picture;
import illuminar.files.ScreenJpeg;
import illuminar.server.account.Member;
import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.sitting.FrameLoader;
import illuminar.server.storage.Recent;
import illuminar.server.web.Problem;
import java.io.IOException;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Small pictures of frames and views. */
@RestController
@RequestMapping("/api")
class PictureController {
  private static final int THUMB = 240;

  private final ShootService shoots;
  private final FrameRows frames;
  private final FrameLoader loader;
  private final RecipeService recipes;
  private final Covers covers;
  private final Map<String, byte[]> kept = Recent.of(400);

  PictureController(
      ShootService shoots,
      FrameRows frames,
      FrameLoader loader,
      RecipeService recipes,
      Covers covers) {
    this.covers = covers;
    this.shoots = shoots;
    this.frames = frames;
    this.loader = loader;
    this.recipes = recipes;
  }

  private interface Make {
    byte[] make() throws IOException;
  }

  private ResponseEntity<byte[]> kept(String key, Make make) {
    byte[] bytes;
    synchronized (kept) {
      bytes = kept.get(key);
    }
    if (bytes == null) {
      try {
        bytes = make.make();
      } catch (IOException e) {
        throw new Problem(HttpStatus.INTERNAL_SERVER_ERROR, "The picture could not be made.");
      }
      synchronized (kept) {
        kept.put(key, bytes);
      }
    }
    CacheControl control =
        CacheControl.maxAge(java.time.Duration.ofDays(365)).cachePrivate().immutable();
    return ResponseEntity.ok().cacheControl(control).contentType(MediaType.IMAGE_JPEG).body(bytes);
  }

  private static byte[] jpeg(Picture p) {
    return ScreenJpeg.of(p, 0.85);
  }

  @GetMapping(value = "/frames/{id}/thumb", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> frame(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    FrameRow row =
        frames.findOwned(id, member.studio()).orElseThrow(() -> Problem.notFound("frame"));
    return kept("frame " + id, () -> jpeg(loader.small(row, THUMB)));
  }

  /**
   * The view as it stands, for the contact table.
   *
   * @param kept only what is kept already, even of an older recipe; no content where there is none
   */
  @GetMapping(value = "/views/{id}/cover", produces = MediaType.IMAGE_JPEG_VALUE)
  ResponseEntity<byte[]> cover(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @RequestParam(defaultValue = "false") boolean kept) {
    View view = shoots.ownedView(member.studio(), id);
    RecipeService.State state = recipes.state(member.studio(), id);
    try {
      Optional<byte[]> jpeg = kept ? covers.kept(view) : Optional.of(covers.of(view, state));
      if (jpeg.isEmpty()) {
        return ResponseEntity.noContent().build();
      }
      return ResponseEntity.ok()
          .cacheControl(CacheControl.noCache().cachePrivate())
          .contentType(MediaType.IMAGE_JPEG)
          .body(jpeg.get());
    } catch (IOException e) {
      throw new Problem(HttpStatus.INTERNAL_SERVER_ERROR, "The picture could not be made.");
    }
  }
}
