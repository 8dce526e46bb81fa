package illuminar.benchmarks.campaign;

import illuminar.benchmarks.running.Photographer;
import illuminar.server.Visitor;
import java.util.ArrayList;
import java.util.List;

/** People at work while faults happen: one edits each view, one takes cards in and delivers. */
final class Crowd {
  private final List<Hand> hands = new ArrayList<>();
  private final Orders orders;
  private final List<Thread> people = new ArrayList<>();

  /** Takes in the card; each of its views is edited. */
  Crowd(String url) {
    Visitor visitor = new Visitor(url).signedIn();
    for (String view : new Photographer(visitor).takeInCard(visitor.demoShoot())) {
      hands.add(new Hand(new Visitor(url).signedIn(), view));
    }
    orders = new Orders(visitor);
    hands.forEach(h -> people.add(new Thread(h)));
    people.add(new Thread(orders));
  }

  void begin() {
    people.forEach(Thread::start);
  }

  void end() throws InterruptedException {
    orders.end();
    hands.forEach(Hand::end);
    for (Thread one : people) {
      one.join();
    }
  }

  /**
   * What became of their work.
   *
   * @param faults what happened meanwhile
   */
  void report(Trial trial, Ledger ledger, String faults) {
    ledger.least(
        trial,
        "edits acknowledged in " + faults,
        hands.stream().mapToInt(Hand::acknowledged).sum(),
        "",
        1);
    ledger.most(trial, "acknowledged edits lost", hands.stream().mapToInt(Hand::lost).sum(), "", 0);
    ledger.most(
        trial,
        "edits answered other than done, or that the database is away",
        hands.stream().mapToInt(Hand::failures).sum(),
        "",
        0);
    orders.report(trial, ledger);
  }
}
