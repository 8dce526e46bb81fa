package illuminar.server.regroup;

import illuminar.files.BadPicture;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.lineup.LineUpWork;
import illuminar.server.reading.PictureDoor;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.FrameRow;
import illuminar.server.shoot.FrameRows;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.storage.Originals;
import java.io.IOException;
import java.nio.file.NoSuchFileException;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Reads again what the camera wrote into a view's originals, and lines the view up by it; its
 * recipe stays. What is known of a file that cannot be read stays too.
 */
@Component
class ReadAgain implements Work {
  static final String KIND = "READ_AGAIN";

  record Subject(UUID view) {}

  private final Views views;
  private final FrameRows frames;
  private final Originals originals;
  private final PictureDoor door;
  private final LineUpWork lineUp;
  private final RecipeJson json;

  ReadAgain(
      Views views,
      FrameRows frames,
      Originals originals,
      PictureDoor door,
      LineUpWork lineUp,
      RecipeJson json) {
    this.views = views;
    this.frames = frames;
    this.originals = originals;
    this.door = door;
    this.lineUp = lineUp;
    this.json = json;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public String verb() {
    return "Reading again";
  }

  @Override
  public void run(Job job, Progress progress) throws IOException {
    View view = views.findById(json.read(job.subject(), Subject.class).view()).orElse(null);
    if (view == null || view.state() != View.State.NEW) {
      return;
    }
    List<FrameRow> rows = frames.findByViewIdAndBinnedIsNullOrderByPosition(view.id());
    for (int i = 0; i < rows.size(); i++) {
      FrameRow row = rows.get(i);
      progress.at(i, 2 * rows.size(), view.name() + ": reading " + row.name());
      try {
        row.read(door.glance(originals.find(row.sha256()), row.name()).capture());
        frames.saveAndFlush(row);
      } catch (NoSuchFileException e) {
        progress.problem(row.name() + " is not where it was kept. What is known of it stays.");
      } catch (BadPicture e) {
        progress.problem(e.getMessage() + ". What is known of it stays.");
      }
    }
    lineUp.lineUp(
        view.id(),
        (step, of, doing) ->
            progress.at(rows.size() + rows.size() * step / of, 2 * rows.size(), doing));
  }
}
