package illuminar.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassKind;
import illuminar.core.pass.kinds.Catalogue;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.part.Parts;
import java.util.List;
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
  void packagesFormNoCircle() {
    slices().assignedFrom(PACKAGES).should().beFreeOfCycles().check(CORE);
  }

  /** Every package is a slice of its own, those inside another too. */
  private static final SliceAssignment PACKAGES =
      new SliceAssignment() {
        @Override
        public String getDescription() {
          return "packages";
        }

        @Override
        public SliceIdentifier getIdentifierOf(JavaClass type) {
          return SliceIdentifier.of(type.getPackageName());
        }
      };

  @Test
  void contractsImportNoWork() {
    noClasses()
        .that()
        .resideInAPackage("..core.pass")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("..core.render..", "..core.pass.kinds..", "..core.recipe..")
        .check(CORE);
    noClasses()
        .that()
        .resideInAPackage("..core.region")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("..core.region.part..", "..core.pass..", "..core.render..")
        .check(CORE);
  }

  @Test
  void estimatorsBuildNoGround() {
    noClasses()
        .that()
        .resideInAPackage("..core.analysis..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("..core.ground..", "..core.region..", "..core.pass..")
        .check(CORE);
  }

  @Test
  void everyKindOfPassAndPartIsListed() {
    List<Class<?>> passes = Catalogue.kinds().stream().<Class<?>>map(PassKind::type).toList();
    List<Class<?>> parts = List.copyOf(Parts.kinds());
    for (JavaClass type : CORE) {
      if (type.isAnnotatedWith(Kind.class) || type.isAssignableTo(Move.class)) {
        assertThat(type.isInterface() || passes.contains(type.reflect()))
            .as(type.getName())
            .isTrue();
      }
      if (type.isAnnotatedWith(PartKind.class) || type.isAssignableTo(Shape.class)) {
        assertThat(type.isInterface() || parts.contains(type.reflect()))
            .as(type.getName())
            .isTrue();
      }
    }
  }
}
