package illuminar.journeys;

import static org.assertj.core.api.Assertions.assertThat;

import illuminar.core.control.Numbers.NumberControl;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.server.Visitor;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * The interface says of every pass word for word what the core says: against the sentences that the
 * core's own test wrote down.
 */
class SentencesTest {
  private static final Path READ = Path.of("../core/src/test/resources/sentences.txt");

  private static final String SAY =
      """
      const [kind, move] = %s;
      const gate = { from: -100, full: -100, fullTo: 100, to: 100 };
      const pass = { move, gate, strength: 1, where: { region: 'w', outside: false } };
      return m.sentenceText(kind, pass, name => name === 'region' ? 'Wall'
        : kind.frames.includes(name) ? `the ${name} frame` : move[name].toLowerCase().replaceAll('_', ' '));
      """;

  @Test
  void theInterfaceSaysTheSameAsTheCore() throws IOException {
    Map<String, PassKind> kinds =
        Catalogue.kinds().stream().collect(Collectors.toMap(PassKind::id, k -> k));
    List<String> lines = Files.readAllLines(READ);
    assertThat(lines).hasSizeGreaterThan(kinds.size());
    try (Modules modules = new Modules()) {
      for (String line : lines) {
        String[] words = line.split(" \\| ", 3);
        PassKind kind = kinds.get(words[0]);
        assertThat(modules.call(SAY.formatted(written(kind, words[1]))))
            .as(line)
            .isEqualTo(words[2]);
      }
    }
  }

  /** A kind as the interface gets it, and a move of it. */
  private static String written(PassKind kind, String at) {
    Map<String, Object> move = new HashMap<>();
    for (NumberControl c : kind.controls()) {
      move.put(
          c.name(),
          switch (at) {
            case "low" -> c.from();
            case "high" -> c.under().isEmpty() ? c.to() : Math.min(c.to(), 1 - c.apart());
            case "neutral" -> c.neutral();
            default -> c.defaultValue();
          });
    }
    kind.choices().forEach(c -> move.put(c.name(), c.options().get(0)));
    Map<String, Object> told =
        Map.of(
            "sentence", kind.sentence(),
            "says", kind.says(),
            "controls", kind.controls(),
            "frames", kind.frames());
    return Visitor.JSON.writeValueAsString(List.of(told, move));
  }
}
