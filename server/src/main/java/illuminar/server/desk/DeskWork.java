package illuminar.server.desk;

import illuminar.server.delivery.Delivered;
import illuminar.server.delivery.DeliveredFiles;
import illuminar.server.delivery.format.Formats;
import illuminar.server.job.Job;
import illuminar.server.job.Work;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.storage.Store;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Sends the files of a delivery to the listing desk and keeps its answers. */
@Component
class DeskWork implements Work {
  static final String KIND = "LISTING_DESK";

  private final DeliveredFiles files;
  private final DeskAnswerRows answers;
  private final ListingDesk desk;
  private final Formats formats;
  private final Store store;
  private final RecipeJson json;

  DeskWork(
      DeliveredFiles files,
      DeskAnswerRows answers,
      ListingDesk desk,
      Formats formats,
      Store store,
      RecipeJson json) {
    this.files = files;
    this.answers = answers;
    this.desk = desk;
    this.formats = formats;
    this.store = store;
    this.json = json;
  }

  /** The delivery whose files are sent. */
  record Subject(UUID delivery) {}

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public String verb() {
    return "Sending to the listing desk";
  }

  @Override
  public void run(Job job, Progress progress) {
    List<Delivered> sent =
        files.findByJobIdOrderByName(json.read(job.subject(), Subject.class).delivery());
    int done = 0;
    for (Delivered file : sent) {
      progress.at(done++, sent.size(), file.name());
      progress.alone(
          file.name(),
          () ->
              answers.save(
                  new DeskAnswerRow(
                      file.id(),
                      desk.send(store.find(file.path()), formats.of(file.format()).mediaType()))));
    }
  }
}
