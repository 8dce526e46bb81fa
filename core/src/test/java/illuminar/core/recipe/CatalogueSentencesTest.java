package illuminar.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.control.Numbers.NumberControl;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.core.picture.Point;
import illuminar.core.region.Region;
import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;

/**
 * Every kind of pass read aloud at its low, careful and high values and where it changes nothing:
 * the sentences lie in a file, to be read by people whenever one changes. How they shall read is
 * the product's own rule, no source.
 */
class CatalogueSentencesTest {
  /** One line a sentence: kind, values, sentence. */
  static final Path READ = Path.of("src/test/resources/sentences.txt");

  private static final Recipe RECIPE =
      new Recipe(
          new Ground.OneFrame("g"),
          List.of(new Region("w", "Wall", List.of(), 0, false)),
          List.of(),
          List.of());

  private static Move move(PassKind kind, ToDoubleFunction<NumberControl> value) {
    RecordComponent[] all = kind.type().getRecordComponents();
    Object[] values = new Object[all.length];
    Class<?>[] types = new Class<?>[all.length];
    for (int i = 0; i < all.length; i++) {
      String name = all[i].getName();
      types[i] = all[i].getType();
      if (kind.frames().contains(name)) {
        values[i] = name;
      } else if (types[i].isEnum()) {
        values[i] = types[i].getEnumConstants()[0];
      } else if (types[i] == List.class) {
        values[i] = List.of(new Point(-10, -10), new Point(0, 0));
      } else {
        values[i] =
            kind.controls().stream()
                .filter(c -> c.name().equals(name))
                .mapToDouble(value)
                .findFirst()
                .orElseThrow();
      }
    }
    try {
      return kind.type().getDeclaredConstructor(types).newInstance(values);
    } catch (ReflectiveOperationException e) {
      throw new IllegalStateException(kind.id(), e);
    }
  }

  private static String said(PassKind kind, ToDoubleFunction<NumberControl> value) {
    Pass pass = new Pass("p", true, move(kind, value), new Where("w", false), Gate.ALL, 1, "");
    return Sentence.of(pass, RECIPE, frame -> "the " + frame + " frame");
  }

  private static List<String> all() {
    List<String> lines = new ArrayList<>();
    for (PassKind kind : Catalogue.kinds()) {
      lines.add(kind.id() + " | careful | " + said(kind, NumberControl::defaultValue));
      if (!kind.controls().isEmpty()) {
        lines.add(kind.id() + " | low | " + said(kind, NumberControl::from));
        lines.add(kind.id() + " | high | " + said(kind, CatalogueSentencesTest::high));
        lines.add(kind.id() + " | neutral | " + said(kind, NumberControl::neutral));
      }
    }
    return lines;
  }

  /** Numbers that exclude each other stay apart. */
  private static double high(NumberControl c) {
    return c.under().isEmpty() ? c.to() : Math.min(c.to(), 1 - c.apart());
  }

  @Test
  void theSentencesAreThoseThatWereRead() throws IOException {
    assertThat(all()).containsExactlyElementsOf(Files.readAllLines(READ));
  }

  @Test
  void noSentenceHasSignsZerosOrHolesInIt() {
    for (String line : all()) {
      String sentence = line.substring(line.lastIndexOf('|') + 2);
      assertThat(sentence)
          .as(line)
          .matches("[A-Z].*\\.")
          .doesNotContain("{", "}", "  ", "NaN", "-", "+", " 0 mired", "all tones");
    }
  }
}
