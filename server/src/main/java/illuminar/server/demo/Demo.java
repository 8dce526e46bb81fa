package illuminar.server.demo;

import illuminar.server.Settings;
import illuminar.server.account.Account;
import illuminar.server.account.Accounts;
import illuminar.server.account.Studio;
import illuminar.server.account.StudioRole;
import illuminar.server.account.Studios;
import illuminar.server.job.Job;
import illuminar.server.job.Jobs;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.Shoots;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
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
  private final Jobs jobs;

  Demo(
      Settings settings,
      Studios studios,
      Accounts accounts,
      Shoots shoots,
      PasswordEncoder passwords,
      Jobs jobs) {
    this.settings = settings;
    this.studios = studios;
    this.accounts = accounts;
    this.shoots = shoots;
    this.passwords = passwords;
    this.jobs = jobs;
  }

  @Override
  public void run(ApplicationArguments args) {
    if (!settings.demo() || accounts.count() > 0) {
      return;
    }
    Studio studio = studios.save(new Studio("Heathlight Studio", "© 2026 Heathlight Studio", true));
    accounts.save(
        new Account(
            studio.id(),
            "demo@illuminar.test",
            "Demo photographer",
            passwords.encode("heather"),
            StudioRole.OWNER));
    Shoot shoot = shoots.save(new Shoot(studio.id(), "Fennick Weather House"));
    if (Files.isRegularFile(settings.worked())) {
      jobs.start(new Job(studio.id(), shoot.id(), DemoWork.KIND, worked()));
    }
  }

  private String worked() {
    try {
      return Files.readString(settings.worked());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
