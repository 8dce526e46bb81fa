package illuminar.core.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.GardenRoom;
import illuminar.core.analysis.Analysis;
import illuminar.core.first.FirstVersion;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What lies on a shelf is what would be found again. Our own law. */
class ShelfTest {
  private static final long CACHE = 200_000_000;

  /** Keeps everything in memory, and counts. */
  private static final class InMemory implements Shelf {
    private final Map<Object, Record> lying = new HashMap<>();
    private final List<Class<?>> missed = new ArrayList<>();

    private static Object key(Class<?> type, Object question) {
      return List.of(type, question);
    }

    @Override
    public <T extends Record> Optional<T> find(Class<T> type, Object question) {
      Optional<T> found = Optional.ofNullable(lying.get(key(type, question))).map(type::cast);
      if (found.isEmpty()) {
        missed.add(type);
      }
      return found;
    }

    @Override
    public void put(Object question, Record found) {
      lying.put(key(found.getClass(), question), found);
    }
  }

  @Test
  void aPictureIsTheSameWithWhatWasKeptAndNothingIsFoundAgain() {
    InMemory shelf = new InMemory();
    Analysis analysis = new Analysis(GardenRoom.room().frames(), shelf);
    Recipe recipe = FirstVersion.of(new PreviewSession(analysis, new RenderCache(CACHE)));
    assertThat(recipe.passes()).isNotEmpty();
    Raster raster = Raster.fitted(GardenRoom.WIDTH, GardenRoom.HEIGHT, 400);
    Picture want = new PreviewSession(analysis, new RenderCache(CACHE)).picture(recipe, raster);
    assertThat(shelf.lying).isNotEmpty();
    shelf.missed.clear();
    Analysis again = new Analysis(analysis.frames(), shelf);
    PreviewSession session = new PreviewSession(again, new RenderCache(CACHE));
    Picture got = session.picture(recipe, raster);
    for (int c = 0; c < 3; c++) {
      assertThat(got.channel(c)).isEqualTo(want.channel(c));
    }
    assertThat(shelf.missed).isEmpty();
    session.letGo(PreviewSession.Part.ALL);
    assertThat(session.picture(recipe, raster).g()).isEqualTo(want.g());
  }
}
