package illuminar.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.dependencies.SliceAssignment;
import com.tngtech.archunit.library.dependencies.SliceIdentifier;
import org.junit.jupiter.api.Test;

/** Features stand beside each other, none in a circle. Common practice, no source. */
class HouseTest {
  private static final JavaClasses HOUSE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("illuminar.server", "illuminar.files");

  private static final SliceAssignment PACKAGES =
      new SliceAssignment() {
        @Override
        public String getDescription() {
          return "packages";
        }

        @Override
        public SliceIdentifier getIdentifierOf(JavaClass type) {
          return type.getPackageName().startsWith("illuminar.core")
              ? SliceIdentifier.ignore()
              : SliceIdentifier.of(type.getPackageName());
        }
      };

  @Test
  void packagesFormNoCircle() {
    slices().assignedFrom(PACKAGES).should().beFreeOfCycles().check(HOUSE);
  }

  @Test
  void filesKnowNoServer() {
    noClasses()
        .that()
        .resideInAPackage("illuminar.files..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("illuminar.server..", "org.springframework..")
        .check(HOUSE);
  }

  /** Whatever a file of others holds, a process of its own meets it. */
  @Test
  void filesOfOthersAreOpenedAtOneDoor() {
    noClasses()
        .that()
        .resideInAPackage("illuminar.server..")
        .should()
        .dependOnClassesThat()
        .haveSimpleName("PictureReader")
        .check(HOUSE);
    noClasses()
        .that()
        .resideOutsideOfPackages("illuminar.server.reading..", "illuminar.files..")
        .should()
        .callConstructor(
            illuminar.files.PictureWorkers.class,
            java.util.List.class,
            int.class,
            illuminar.files.Patience.class)
        .check(HOUSE);
  }

  /** A job is known by its kind, a format by its interface. */
  @Test
  void jobsAndFormatsAreNotKnownByName() {
    noClasses()
        .that()
        .resideInAPackage("illuminar.server.job..")
        .should()
        .dependOnClassesThat()
        .haveSimpleNameEndingWith("DeliveryWork")
        .orShould()
        .dependOnClassesThat()
        .haveSimpleNameEndingWith("IntakeWork")
        .check(HOUSE);
    noClasses()
        .that()
        .resideOutsideOfPackage("illuminar.server.delivery.format..")
        .should()
        .dependOnClassesThat()
        .haveNameMatching(".*\\.(Jpeg|Tiff|Png|Layers)")
        .check(HOUSE);
  }
}
