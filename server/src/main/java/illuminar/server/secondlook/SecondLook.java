package illuminar.server.secondlook;

import illuminar.server.recipe.RecipeService;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import illuminar.server.shoot.Views;
import illuminar.server.web.Problem;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What somebody judges of views: they rest and are seen again later, are ready, or are not. */
@Service
public class SecondLook {
  /** A view that rests longer is one that was forgotten. */
  private static final Duration LONGEST = Duration.ofDays(366);

  private static final int LONGEST_NOTE = 2000;

  private final ShootService shoots;
  private final Views views;
  private final RecipeService recipes;

  SecondLook(ShootService shoots, Views views, RecipeService recipes) {
    this.shoots = shoots;
    this.views = views;
    this.recipes = recipes;
  }

  /** What is said of views by hand. */
  public enum Judged {
    /** Left alone until a time, then seen again. */
    REST,
    /** Fit to be delivered. */
    READY,
    /** Work on it goes on. */
    WORK
  }

  /** The views of a studio that rest, those that are to be seen first in front. */
  @Transactional(readOnly = true)
  public List<View> resting(UUID studio) {
    return views.findResting(studio);
  }

  /**
   * Says the same of several views, of all or of none.
   *
   * @param until when a view that rests is seen again; of no matter else
   * @throws Problem if a view is not lined up yet, or the time is past or too far away
   */
  @Transactional
  public void judge(UUID studio, List<UUID> those, Judged judged, Instant until) {
    if (judged == Judged.REST) {
      checkTime(until);
    }
    // in one order, so that two who judge the same views do not wait for each other
    for (UUID id : those.stream().distinct().sorted().toList()) {
      View view = shoots.heldView(studio, id);
      if (view.state() == View.State.NEW) {
        throw new Problem(HttpStatus.CONFLICT, view.name() + " is not lined up yet.");
      }
      switch (judged) {
        case REST -> view.rest(until);
        case READY -> view.come(View.State.READY);
        case WORK -> view.come(view.byWork(RecipeService.balances(recipes.state(view).recipe())));
      }
    }
  }

  private static void checkTime(Instant until) {
    Instant now = Instant.now();
    if (until == null || until.isBefore(now)) {
      throw new IllegalArgumentException("Say a time to come, when the view is seen again.");
    }
    if (until.isAfter(now.plus(LONGEST))) {
      throw new IllegalArgumentException("A view rests for a year at most.");
    }
  }

  /** Keeps a word on a view; an empty one is none. */
  @Transactional
  public void note(UUID studio, UUID view, String words) {
    String plain = words == null ? "" : words.strip();
    if (plain.length() > LONGEST_NOTE) {
      throw new IllegalArgumentException("A note has at most " + LONGEST_NOTE + " letters.");
    }
    shoots.heldView(studio, view).note(plain);
  }
}
