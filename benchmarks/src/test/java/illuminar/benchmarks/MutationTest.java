package illuminar.benchmarks;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The page of unnoticed changes, from a report in PIT's XML format (pitest.org, XML output). */
class MutationTest {
  @TempDir Path folder;
  private Path report;
  private Path page;

  @BeforeEach
  void report() throws Exception {
    report = folder.resolve("mutations.xml");
    page = folder.resolve("page.md");
    Files.writeString(
        report,
        "<?xml version=\"1.0\" encoding=\"UTF-8\"?><mutations>"
            + mutant(true, "colour.Srgb", "encode", 51, "changed conditional boundary")
            + mutant(false, "colour.Srgb", "encode", 51, "negated conditional")
            + mutant(false, "colour.Srgb", "encode", 51, "removed call")
            + mutant(true, "region.part.Ramp", "&lt;init&gt;", 9, "removed call")
            + mutant(true, "colour.Lab$Inner", "f", 3, "negated conditional")
            + mutant(false, "colour.Lab$Inner", "f", 4, "negated conditional")
            + "</mutations>");
  }

  private static String mutant(
      boolean detected, String type, String method, int line, String change) {
    return "<mutation detected='"
        + detected
        + "' status='x'><mutatedClass>illuminar.core."
        + type
        + "</mutatedClass><mutatedMethod>"
        + method
        + "</mutatedMethod><lineNumber>"
        + line
        + "</lineNumber><description>"
        + change
        + "</description></mutation>";
  }

  @Test
  void sharesAreCountedByPackageAndTogether() throws Exception {
    Mutation.main(new String[] {report.toString(), page.toString()});
    assertThat(page)
        .content()
        .contains("| colour | 5 | 2 | 40 % |")
        .contains("| region.part | 1 | 1 | 100 % |")
        .contains("| **all** | 6 | 3 | 50 % |");
  }

  @Test
  void whatNobodyNoticedIsNamedByPlace() throws Exception {
    Mutation.main(new String[] {report.toString(), page.toString()});
    assertThat(page)
        .content()
        .contains("- `Srgb.encode:51` negated conditional; removed call")
        .contains("- `Lab.Inner.f:4` negated conditional")
        .doesNotContain("### region.part");
  }

  @Test
  void whatPeopleWroteOutlivesANewPage() throws Exception {
    Files.writeString(page, "# Old\n\nold figures\n\n## Read and explained\n\nA guard.\n");
    Mutation.main(new String[] {report.toString(), page.toString()});
    assertThat(page)
        .content()
        .endsWith("\n## Read and explained\n\nA guard.\n")
        .doesNotContain("old figures");
    Mutation.main(new String[] {report.toString(), page.toString()});
    assertThat(page).content().containsOnlyOnce("A guard.");
  }
}
