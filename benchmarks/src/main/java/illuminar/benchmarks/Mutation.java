package illuminar.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import javax.xml.parsers.DocumentBuilderFactory;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/**
 * Writes docs/mutation.md from what PIT found: how many changed rules the tests notice, package by
 * package, and every change that nobody noticed.
 */
public final class Mutation {

  /** One change of one line. */
  private record Mutant(boolean noticed, String type, String method, String line, String change) {
    private static final String ROOT = "illuminar.core.";

    String place() {
      String name = type.substring(type.lastIndexOf('.') + 1).replace('$', '.');
      return name + "." + method.replace("<init>", "new") + ":" + line;
    }

    String folder() {
      return type.substring(ROOT.length(), type.lastIndexOf('.'));
    }
  }

  private static final String EXPLAINED = "## Read and explained\n";

  private Mutation() {}

  /** Takes PIT's mutations.xml and the page to write. */
  public static void main(String[] args) throws Exception {
    Map<String, List<Mutant>> folders = new TreeMap<>();
    read(Path.of(args[0]))
        .forEach(m -> folders.computeIfAbsent(m.folder(), f -> new ArrayList<>()).add(m));
    List<Mutant> all = folders.values().stream().flatMap(List::stream).toList();
    StringBuilder page = new StringBuilder();
    page.append("# What the tests notice\n\n");
    page.append("Written by `./illuminar mutation`, ")
        .append(LocalDate.now(ZoneOffset.UTC))
        .append(".\n");
    page.append(
        "PIT changes the rules of the job line by line and runs the tests that cover each\n");
    page.append("line; tests of whole pictures are left out. Goal: 75 % noticed.\n\n");
    page.append("| package of core | changes | noticed | share |\n|---|---|---|---|\n");
    folders.forEach((folder, mutants) -> page.append(row(folder, mutants)));
    page.append(row("**all**", all)).append("\n## Not noticed\n");
    folders.forEach((folder, mutants) -> page.append(survivors(folder, mutants)));
    Path written = Path.of(args[1]);
    page.append(explained(written));
    Files.writeString(written, page);
    System.out.print(row("all", all));
  }

  /** What people wrote about the changes that nobody noticed outlives a new page. */
  private static String explained(Path page) throws IOException {
    String old = Files.exists(page) ? Files.readString(page) : "";
    int at = old.indexOf(EXPLAINED);
    return at < 0 ? "" : "\n" + old.substring(at);
  }

  private static List<Mutant> read(Path file) throws Exception {
    DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
    factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
    NodeList found =
        factory.newDocumentBuilder().parse(file.toFile()).getElementsByTagName("mutation");
    List<Mutant> out = new ArrayList<>();
    for (int i = 0; i < found.getLength(); i++) {
      Element e = (Element) found.item(i);
      out.add(
          new Mutant(
              Boolean.parseBoolean(e.getAttribute("detected")),
              text(e, "mutatedClass"),
              text(e, "mutatedMethod"),
              text(e, "lineNumber"),
              text(e, "description")));
    }
    return out;
  }

  private static String text(Element of, String tag) {
    return of.getElementsByTagName(tag).item(0).getTextContent();
  }

  private static String row(String name, List<Mutant> mutants) {
    long noticed = mutants.stream().filter(Mutant::noticed).count();
    double share = 100.0 * noticed / mutants.size();
    return String.format(
        Locale.ROOT, "| %s | %d | %d | %.0f %% |%n", name, mutants.size(), noticed, share);
  }

  private static String survivors(String folder, List<Mutant> mutants) {
    Map<String, List<String>> places = new TreeMap<>();
    for (Mutant m : mutants) {
      if (!m.noticed()) {
        places.computeIfAbsent(m.place(), p -> new ArrayList<>()).add(m.change());
      }
    }
    if (places.isEmpty()) {
      return "";
    }
    StringBuilder out = new StringBuilder("\n### " + folder + "\n\n");
    places.forEach(
        (place, changes) ->
            out.append("- `")
                .append(place)
                .append("` ")
                .append(String.join("; ", changes))
                .append('\n'));
    return out.toString();
  }
}
