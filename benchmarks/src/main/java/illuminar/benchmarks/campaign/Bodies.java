package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Cards;
import illuminar.benchmarks.running.Photographer;
import illuminar.server.OddBodies;
import illuminar.server.Visitor;
import java.nio.file.Path;

/** Bodies that make no sense, to every address. */
final class Bodies implements Trial {
  @Override
  public String id() {
    return "bodies";
  }

  @Override
  public void run(Effort effort, Ledger ledger) throws Exception {
    Path card = Cards.of("bodies", Path.of("demo/small/instrument-room"), 0, 1, 3);
    try (Victim victim = new Victim("campaign_bodies", card, "-Xmx2g")) {
      Visitor visitor = new Visitor(victim.url()).signedIn();
      String shoot = visitor.demoShoot();
      String view = new Photographer(visitor).takeInCard(shoot).get(0);
      OddBodies odd = new OddBodies(visitor, shoot, view);
      odd.askAll();
      odd.failed().forEach((asked, said) -> System.out.println(asked + ": " + said));
      ledger.least(this, "bodies sent", odd.asked(), "", 1000);
      ledger.most(this, "answers that are the server's failure", odd.failed().size(), "", 0);
    }
  }
}
