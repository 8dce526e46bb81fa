package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;

/**
 * The disk takes nothing for a while, at random moments while cards are taken in and views edited
 * and delivered: the application's processes may not write a byte to any file (prlimit of Debian's
 * util-linux). PostgreSQL has room.
 */
final class Full implements Trial {
  private static final int VIEWS = 2;

  @Override
  public String id() {
    return "full";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path card = Cards.of("full", Path.of("demo/small/instrument-room"), 0, VIEWS, 3);
    int times = effort.of(60, 2);
    try (Victim victim = new Victim("campaign_full", card, "-Xmx2g")) {
      Crowd crowd = new Crowd(victim.url());
      crowd.begin();
      Random chance = new Random(29);
      for (int k = 0; k < times; k++) {
        LockSupport.parkNanos((200 + chance.nextInt(4000)) * 1_000_000L);
        room(victim.process(), "0");
        LockSupport.parkNanos((200 + chance.nextInt(3000)) * 1_000_000L);
        room(victim.process(), "unlimited");
      }
      LockSupport.parkNanos(3_000_000_000L);
      crowd.end();
      crowd.report(this, ledger, times + " times without room on the disk");
      Victim.reportOpenJobs(this, ledger, victim.data());
      ledger.least(
          this,
          "jobs that said so",
          victim.count("select count(*) from job where problems::text like '%disk%'"),
          "",
          1);
      ledger.most(
          this,
          "jobs that failed without a word of the disk",
          victim.count(
              "select count(*) from job where state = 'FAILED' and problems::text not like '%disk%'"),
          "",
          0);
      ledger.most(this, "delivered files that are not there whole", victim.notThere(), "", 0);
      ledger.most(this, "halves of files that stayed", halves(victim.data().home()), "", 0);
    }
  }

  /** How long a file may become that one of its processes writes; those it starts are bound too. */
  private static void room(ProcessHandle process, String bytes) throws Exception {
    int said =
        new ProcessBuilder("prlimit", "--pid", "" + process.pid(), "--fsize=" + bytes + ":")
            .inheritIO()
            .start()
            .waitFor();
    if (said != 0) {
      throw new IllegalStateException("prlimit ends with " + said);
    }
  }

  private static int halves(Path home) throws IOException {
    try (Stream<Path> all = Files.walk(home)) {
      return (int) all.filter(p -> p.getFileName().toString().endsWith(".part")).count();
    }
  }
}
