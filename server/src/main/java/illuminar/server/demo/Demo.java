package illuminar.server.demo;

import illuminar.server.Settings;
import illuminar.server.account.Account;
import illuminar.server.account.Accounts;
import illuminar.server.account.Studio;
import illuminar.server.account.Studios;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.Shoots;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Loads the demo studio on the first start. */
@Component
class Demo implements ApplicationRunner {
  private final Settings settings;
  private final Studios studios;
  private final Accounts accounts;
  private final Shoots shoots;
  private final PasswordEncoder passwords;

  Demo(
      Settings settings,
      Studios studios,
      Accounts accounts,
      Shoots shoots,
      PasswordEncoder passwords) {
    this.settings = settings;
    this.studios = studios;
    this.accounts = accounts;
    this.shoots = shoots;
    this.passwords = passwords;
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
    shoots.save(new Shoot(studio.id(), "Fennick Weather House"));
  }
}
