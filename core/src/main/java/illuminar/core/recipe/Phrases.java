package illuminar.core.recipe;

import illuminar.core.control.Numbers.NumberControl;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * The words of a move: its order and what follows it, with its numbers, as {@link Kind#sentence}
 * describes them. The interface says the same with its words as controls ({@code sentence.ts}).
 */
public final class Phrases {
  /** A number, or a word by its side of neutral, or anything else that has a name. */
  private static final Pattern TOKEN = Pattern.compile("\\{(\\w+)(?:([:?])([^|}]*)\\|([^}]*))?\\}");

  static final String NOTHING = "changes nothing yet";

  private final Move move;
  private final PassKind kind;
  private final UnaryOperator<String> named;

  /**
   * @param named the words of what is no number, by its name
   */
  Phrases(Move move, UnaryOperator<String> named) {
    this.move = move;
    this.named = named;
    kind = PassKind.of(move);
  }

  /** The order without its colon, and what follows it; alone where it changes nothing. */
  List<String> all() {
    List<String> said = new ArrayList<>();
    String order = kind.sentence();
    boolean bare = order.endsWith(":");
    said.add(filled(bare ? order.substring(0, order.length() - 1) : order));
    kind.says().stream().filter(c -> !neutral(c)).map(this::filled).forEach(said::add);
    return said;
  }

  /** Whether the order stands between a colon and what it orders. */
  boolean bare() {
    return kind.sentence().endsWith(":");
  }

  /** Whether nothing is changed by it as its numbers stand. */
  boolean nothing() {
    if (bare()) {
      return kind.says().stream().allMatch(this::neutral);
    }
    return numbers(kind.sentence()).anyMatch(c -> c.neutral() != c.defaultValue() && off(c) == 0);
  }

  private boolean neutral(String clause) {
    return numbers(clause).allMatch(c -> off(c) == 0);
  }

  /** The numbers that a template says. */
  private Stream<NumberControl> numbers(String template) {
    return TOKEN.matcher(template).results().map(m -> number(m.group(1))).flatMap(Optional::stream);
  }

  private Optional<NumberControl> number(String name) {
    return kind.controls().stream().filter(c -> c.name().equals(name)).findFirst();
  }

  private double off(NumberControl control) {
    return kind.number(move, control.name()) - control.neutral();
  }

  private String filled(String template) {
    return TOKEN.matcher(template).replaceAll(m -> Matcher.quoteReplacement(word(template, m)));
  }

  private String word(String template, MatchResult token) {
    String name = token.group(1);
    Optional<NumberControl> number = number(name);
    if (number.isEmpty()) {
      return named.apply(name);
    }
    NumberControl control = number.get();
    double off = off(control);
    String side = off < 0 ? token.group(4) : token.group(3);
    if (token.group(2) == null) {
      boolean turned = template.contains("{" + name + "?");
      return amount(turned ? Math.abs(off) : kind.number(move, name), control.unit());
    }
    return token.group(2).equals("?") ? side : amount(Math.abs(off), control.unit()) + " " + side;
  }

  /** A number with its unit in words: "0.9 stops", "40 %", "−20 mired". */
  public static String amount(double v, String unit) {
    if (unit.equals("%")) {
      return plain(Math.rint(1000 * v) / 10) + " %";
    }
    String number = plain(v);
    if (unit.equals("st")) {
      return number + (Math.abs(v) == 1 ? " stop" : " stops");
    }
    return number + (unit.isEmpty() || unit.equals("°") ? "" : " ") + unit;
  }

  private static String plain(double v) {
    String text = String.format(Locale.ROOT, "%.2f", Math.abs(v));
    String bare = text.replaceFirst("\\.?0+$", "");
    return (v < 0 && !bare.equals("0") ? "\u2212" : "") + bare;
  }
}
