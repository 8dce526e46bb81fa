package illuminar.server.regroup;

import illuminar.core.frame.Role;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.Names;
import illuminar.server.web.Problem;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;

/**
 * How the frames of some views of a shoot are to be arranged: each frame of theirs is in one of the
 * views, or goes to the bin.
 *
 * @param bin ids of the frames that go to the bin
 */
record Arrangement(@NotNull List<Arranged> views, @NotNull List<UUID> bin) {

  /** A frame and what it is for. */
  record Placed(@NotNull UUID id, @NotNull Role role) {}

  /**
   * One view.
   *
   * @param view its id; nothing for a new view
   * @param anchor id of one of its frames
   * @param frames in their order; none, if another view has taken them all
   */
  record Arranged(UUID view, @NotNull String name, UUID anchor, @NotNull List<Placed> frames) {
    List<UUID> ids() {
      return frames.stream().map(Placed::id).toList();
    }

    /**
     * Refuses what no view can be.
     *
     * @param all frames by their ids
     */
    void check(Map<UUID, FrameRow> all) {
      Names.checked("view", name);
      if (frames.isEmpty()) {
        if (view == null) {
          throw new Problem(HttpStatus.UNPROCESSABLE_CONTENT, name + " has no frames.");
        }
        return;
      }
      if (!ids().contains(anchor)) {
        throw new Problem(
            HttpStatus.UNPROCESSABLE_CONTENT, name + " needs one of its frames as anchor.");
      }
      FrameRow first = all.get(ids().get(0));
      Map<String, FrameRow> contents = new HashMap<>();
      for (UUID id : ids()) {
        FrameRow f = all.get(id);
        if (f.width() != first.width() || f.height() != first.height()) {
          throw new Problem(
              HttpStatus.UNPROCESSABLE_CONTENT,
              f.name()
                  + " is %d×%d pixels, ".formatted(f.width(), f.height())
                  + first.name()
                  + " is %d×%d. ".formatted(first.width(), first.height())
                  + "The frames of a view are of one size.");
        }
        FrameRow twin = contents.put(f.sha256(), f);
        if (twin != null) {
          throw new Problem(
              HttpStatus.UNPROCESSABLE_CONTENT,
              f.name()
                  + " and "
                  + twin.name()
                  + " are the same picture; "
                  + name
                  + " can have one of them.");
        }
      }
    }
  }

  /** Ids of the views that are there already. */
  List<UUID> there() {
    return views.stream().map(Arranged::view).filter(Objects::nonNull).toList();
  }

  /** Ids of all frames, also of those that go. */
  List<UUID> frames() {
    List<UUID> all = new ArrayList<>(bin);
    views.forEach(v -> all.addAll(v.ids()));
    return all;
  }

  /**
   * Whether it has each of these frames once, and no other.
   *
   * @param all ids of the frames that its views have now
   */
  boolean arranges(Set<UUID> all) {
    List<UUID> mine = frames();
    return mine.size() == all.size() && new HashSet<>(mine).equals(all);
  }
}
