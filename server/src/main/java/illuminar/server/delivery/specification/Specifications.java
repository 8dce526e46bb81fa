package illuminar.server.delivery.specification;

import illuminar.core.render.OutputSharpness;
import illuminar.core.render.OutputSpace;
import illuminar.core.render.Watermark;
import illuminar.server.delivery.format.Formats;
import illuminar.server.delivery.format.Size;
import illuminar.server.delivery.format.Specification;
import illuminar.server.recipe.RecipeJson;
import illuminar.server.web.Problem;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The specifications that a studio delivers by. It has some from the start, and always one. */
@Service
class Specifications {
  private static final int MOST = 40;

  private static final List<Specification> FIRST =
      List.of(
          jpeg("Listing page", Size.edge(2048), 88, 0, OutputSharpness.SCREEN, "{view}-{size}"),
          jpeg("Full size", Size.WHOLE, 92, 0, OutputSharpness.NONE, "{view}"),
          new Specification(
              "Print, 30 × 20 cm",
              new Size(Size.Kind.PRINT, 30, 20, 300),
              "TIFF_8",
              OutputSpace.OPRGB,
              92,
              true,
              0,
              OutputSharpness.PRINT,
              "{view}-{size}",
              Watermark.NONE),
          new Specification(
              "Archive",
              Size.WHOLE,
              "TIFF_16",
              OutputSpace.DISPLAY_P3,
              92,
              true,
              0,
              OutputSharpness.NONE,
              "{view}",
              Watermark.NONE),
          jpeg("E-mail", Size.edge(1200), 85, 400_000, OutputSharpness.SCREEN, "{n}-{view}"));

  private final SpecificationRows rows;
  private final Formats formats;
  private final RecipeJson json;

  Specifications(SpecificationRows rows, Formats formats, RecipeJson json) {
    this.rows = rows;
    this.formats = formats;
    this.json = json;
  }

  private static Specification jpeg(
      String name, Size size, int quality, long most, OutputSharpness sharpness, String pattern) {
    return new Specification(
        name,
        size,
        "JPEG",
        OutputSpace.SRGB,
        quality,
        false,
        most,
        sharpness,
        pattern,
        Watermark.NONE);
  }

  /** All of a studio. */
  @Transactional
  List<SpecificationRow> all(UUID studio) {
    List<SpecificationRow> kept = rows.findByStudioIdOrderByPosition(studio);
    if (!kept.isEmpty()) {
      return kept;
    }
    FIRST.forEach(s -> add(studio, s));
    return rows.findByStudioIdOrderByPosition(studio);
  }

  @Transactional
  SpecificationRow add(UUID studio, Specification specification) {
    List<SpecificationRow> kept = rows.findByStudioIdOrderByPosition(studio);
    if (kept.size() >= MOST) {
      throw refused("A studio keeps at most 40 specifications. Remove one first.");
    }
    int position = kept.isEmpty() ? 0 : kept.get(kept.size() - 1).position() + 1;
    return said(new SpecificationRow(studio, position), kept, specification);
  }

  @Transactional
  SpecificationRow change(UUID studio, UUID id, Specification to) {
    return said(owned(studio, id), rows.findByStudioIdOrderByPosition(studio), to);
  }

  @Transactional
  void remove(UUID studio, UUID id) {
    SpecificationRow row = owned(studio, id);
    if (rows.findByStudioIdOrderByPosition(studio).size() == 1) {
      throw refused("This is the last specification. Change it instead.");
    }
    rows.delete(row);
  }

  /** What a row says. */
  Specification of(SpecificationRow row) {
    return json.read(row.body(), Specification.class);
  }

  private SpecificationRow said(
      SpecificationRow row, List<SpecificationRow> kept, Specification specification) {
    formats.check(specification);
    boolean named =
        kept.stream()
            .anyMatch(
                k -> !k.id().equals(row.id()) && k.name().equalsIgnoreCase(specification.name()));
    if (named) {
      throw refused("There is another specification with the name " + specification.name() + ".");
    }
    row.says(specification.name(), json.write(specification));
    return rows.save(row);
  }

  private SpecificationRow owned(UUID studio, UUID id) {
    return rows.findByIdAndStudioId(id, studio)
        .orElseThrow(() -> Problem.notFound("specification"));
  }

  private static Problem refused(String said) {
    return new Problem(HttpStatus.UNPROCESSABLE_CONTENT, said);
  }
}
