package illuminar.server.demo;

import illuminar.core.intake.Grouping;
import illuminar.server.Settings;
import illuminar.server.account.Account;
import illuminar.server.account.Accounts;
import illuminar.server.account.Studio;
import illuminar.server.account.Studios;
import illuminar.server.intake.Card;
import illuminar.server.intake.IntakeWork;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.Shoots;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Loads the demo studio on the first start; where the settings name a file of worked views, these
 * are taken in from the card and worked on.
 */
@Component
class Demo implements ApplicationRunner {
  private final Settings settings;
  private final Studios studios;
  private final Accounts accounts;
  private final Shoots shoots;
  private final PasswordEncoder passwords;
  private final Card card;
  private final Jobs jobs;
  private final RecipeJson json;

  Demo(
      Settings settings,
      Studios studios,
      Accounts accounts,
      Shoots shoots,
      PasswordEncoder passwords,
      Card card,
      Jobs jobs,
      RecipeJson json) {
    this.settings = settings;
    this.studios = studios;
    this.accounts = accounts;
    this.shoots = shoots;
    this.passwords = passwords;
    this.card = card;
    this.jobs = jobs;
    this.json = json;
  }

  @Override
  public void run(ApplicationArguments args) {
    if (!settings.demo() || accounts.count() > 0) {
      return;
    }
    Studio studio = studios.save(new Studio("Heathlight Studio"));
    accounts.save(
        new Account(
            studio.id(), "demo@illuminar.test", "Demo photographer", passwords.encode("heather")));
    Shoot shoot = shoots.save(new Shoot(studio.id(), "Fennick Weather House"));
    if (Files.isRegularFile(settings.worked())) {
      jobs.start(
          new Job(studio.id(), shoot.id(), Job.Kind.DEMO, json.write(subject(settings.worked()))));
    }
  }

  /** Views of the shoot in the order of the card; those without {@code taken} stay on the card. */
  record Worked(List<WorkedView> views) {}

  record WorkedView(String name, boolean taken, DemoWork.Added added) {}

  private DemoWork.Subject subject(Path file) {
    Worked worked;
    try {
      worked = json.read(Files.readString(file), Worked.class);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    List<Grouping.View> found = card.views();
    List<IntakeWork.PlannedView> plan = new ArrayList<>();
    List<DemoWork.WorkedView> done = new ArrayList<>();
    for (int i = 0; i < Math.min(found.size(), worked.views.size()); i++) {
      WorkedView view = worked.views.get(i);
      Grouping.View frames = found.get(i);
      if (!view.taken) {
        continue;
      }
      UUID id = UUID.randomUUID();
      plan.add(
          new IntakeWork.PlannedView(
              id,
              view.name,
              frames.anchor(),
              frames.frames().stream()
                  .map(p -> new IntakeWork.PlannedFrame(p.frame().id(), p.role()))
                  .toList()));
      if (!view.added.passes().isEmpty()) {
        done.add(new DemoWork.WorkedView(id, view.name, view.added));
      }
    }
    return new DemoWork.Subject(new IntakeWork.Plan(plan), done);
  }
}
