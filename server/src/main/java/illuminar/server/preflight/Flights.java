package illuminar.server.preflight;

import illuminar.core.set.PreFlight;
import illuminar.core.set.Remark;
import illuminar.server.account.Studios;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.shoot.Shoot;
import illuminar.server.shoot.ShootService;
import illuminar.server.shoot.View;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What there is to say of the views of a shoot, and of the shoot itself. */
@Component
class Flights {
  private final ShootService shoots;
  private final Studios studios;
  private final LookedOvers looked;
  private final RecipeJson json;

  Flights(ShootService shoots, Studios studios, LookedOvers looked, RecipeJson json) {
    this.shoots = shoots;
    this.studios = studios;
    this.looked = looked;
    this.json = json;
  }

  List<View> ready(Shoot shoot) {
    return shoots.linedUp(shoot.id());
  }

  Map<UUID, LookedOver> rows(List<View> views) {
    Map<UUID, LookedOver> out = new HashMap<>();
    looked
        .findAllById(views.stream().map(View::id).toList())
        .forEach(row -> out.put(row.viewId(), row));
    return out;
  }

  /** What is to be said of each view that was looked over, the whole set in mind. */
  Map<UUID, List<Remark>> remarks(List<View> views, Map<UUID, LookedOver> rows) {
    List<View> seen = views.stream().filter(v -> rows.containsKey(v.id())).toList();
    List<PreFlight.Looked> all =
        seen.stream()
            .map(v -> json.read(rows.get(v.id()).looked(), PreFlight.Looked.class))
            .toList();
    List<List<Remark>> unlike = PreFlight.unlike(all);
    Map<UUID, List<Remark>> out = new HashMap<>();
    for (int k = 0; k < seen.size(); k++) {
      List<Remark> of = new ArrayList<>(all.get(k).remarks());
      of.addAll(unlike.get(k));
      out.put(seen.get(k).id(), of);
    }
    return out;
  }

  /** What concerns no single picture. */
  List<String> said(UUID studio, Shoot shoot) {
    List<String> out = new ArrayList<>();
    if (studios.findById(studio).orElseThrow().copyright().isEmpty()) {
      out.add("The studio has no copyright line. Write one under Account, or into the delivery.");
    }
    Set<String> names = new HashSet<>();
    for (View view : shoots.views(shoot.id())) {
      if (!names.add(view.name().toLowerCase(Locale.ROOT))) {
        out.add("Two views have the name " + view.name() + ".");
      }
      if (view.state() == View.State.NEW) {
        out.add(view.name() + " is not lined up yet.");
      }
      if (!view.lookAt().isEmpty()) {
        out.add(
            "Regions that were carried over to "
                + view.name()
                + " are not checked yet: "
                + String.join(", ", view.lookAt())
                + ".");
      }
    }
    return out;
  }
}
