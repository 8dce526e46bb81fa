package illuminar.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The core depends on nothing but the JDK's own base, and on no toolkit. */
class ArchitectureTest {
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("illuminar.core");

  @Test
  void coreKnowsOnlyItselfAndTheJdk() {
    classes()
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage("illuminar.core..", "java.lang..", "java.util..", "java.time..")
        .check(CORE);
  }

  @Test
  void colourAndPictureKnowNothingAboveThem() {
    noClasses()
        .that()
        .resideInAnyPackage("..core.colour..", "..core.filter..", "..core.exposure..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "..core.render..",
            "..core.pass..",
            "..core.region..",
            "..core.ground..",
            "..core.recipe..")
        .check(CORE);
  }
}
