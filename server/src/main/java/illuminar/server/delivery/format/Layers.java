package illuminar.server.delivery.format;

import static java.util.stream.Collectors.toCollection;

import illuminar.core.pass.Move;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.Stage;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Region;
import illuminar.files.OpenRaster;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Set;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * OpenRaster, so that others can go on by hand: the ground, the picture after each stage, and the
 * regions as masks that are hidden.
 */
@Component
@Order(6)
class Layers implements OutputFormat {
  @Override
  public String id() {
    return "ORA";
  }

  @Override
  public String name() {
    return "OpenRaster layers";
  }

  @Override
  public String ending() {
    return "ora";
  }

  @Override
  public String mediaType() {
    return "image/openraster";
  }

  @Override
  public int bits() {
    return 8;
  }

  @Override
  public boolean picture() {
    return false;
  }

  @Override
  public boolean watermarked() {
    return false;
  }

  @Override
  public void write(Finished picture, Specification as, Path file) throws IOException {
    Recipe recipe = picture.recipe();
    try (OpenRaster ora =
        new OpenRaster(file, picture.width(), picture.height(), as.size().ppi())) {
      BufferedImage top = picture.part(upTo(recipe, Stage.GROUND));
      ora.layer("Ground", top, true);
      for (Stage stage : used(recipe)) {
        top = picture.part(upTo(recipe, stage));
        ora.layer(stage.title(), top, true);
      }
      for (Region region : recipe.regions()) {
        ora.layer("Region " + region.name(), picture.mask(region.id()), false);
      }
      // the last stage is the whole picture
      ora.finish(top);
    }
  }

  /** Stages with a pass that works, in their order. */
  private static Set<Stage> used(Recipe recipe) {
    return recipe.passes().stream()
        .filter(recipe::active)
        .map(p -> stage(p.move()))
        .collect(toCollection(() -> EnumSet.noneOf(Stage.class)));
  }

  private static Stage stage(Move move) {
    return PassKind.of(move).stage();
  }

  private static Recipe upTo(Recipe recipe, Stage last) {
    return recipe.withPasses(
        recipe.passes().stream().filter(p -> stage(p.move()).compareTo(last) <= 0).toList());
  }
}
