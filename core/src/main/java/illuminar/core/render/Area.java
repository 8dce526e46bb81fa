package illuminar.core.render;

import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.stream.Stream;

/**
 * One region that limits a step.
 *
 * @param outside whether it works outside the region instead
 */
record Area(Territory region, boolean outside) {

  /** All that limit a pass: its own region and its group's; none where it works everywhere. */
  static List<Area> of(Pass pass, Recipe recipe) {
    return Stream.concat(
            Stream.of(pass.where()), recipe.group(pass).stream().map(group -> group.where()))
        .filter(where -> !where.everywhere())
        .map(where -> of(where, recipe))
        .toList();
  }

  private static Area of(Where where, Recipe recipe) {
    return new Area(recipe.territory(where.region()).orElseThrow(), where.outside());
  }

  /** The same where the region's parts add, or take away. */
  Area oneWay(boolean takenAway) {
    return new Area(region.oneWay(takenAway), outside);
  }
}
