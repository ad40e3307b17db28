package fernwort.app;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.Slice;
import java.util.List;

@AnalyzeClasses(packages = "fernwort", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  private static final String[] SCREENS = {
    "fernwort.app.api..",
    "fernwort.app.board..",
    "fernwort.app.build..",
    "fernwort.app.guide..",
    "fernwort.app.jobs..",
    "fernwort.app.log..",
    "fernwort.app.rehearse..",
    "fernwort.app.rig..",
    "fernwort.app.rigs..",
    "fernwort.app.sizing..",
    "fernwort.app.workbench.."
  };

  private static final String[] SERVICES = {
    "fernwort.app.backup..",
    "fernwort.app.questions..",
    "fernwort.app.compute..",
    "fernwort.app.format..",
    "fernwort.app.garage..",
    "fernwort.app.security..",
    "fernwort.app.store..",
    "fernwort.app.units..",
    "fernwort.app.web.."
  };

  @ArchTest
  static final ArchRule onlyTheStoreKnowsTheDatabase =
      noClasses()
          .that()
          .resideOutsideOfPackages("fernwort.app.store..", "fernwort.app.security..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.jooq..", "java.sql..", "fernwort.app.store.db..");

  @ArchTest
  static final ArchRule packagesDoNotGoInCircles =
      slices().matching("fernwort.app.(*)..").should().beFreeOfCycles();

  /** The cutaway is drawn on several screens; apart from it each stands by itself. */
  @ArchTest
  static final ArchRule noScreenLeansOnAnother =
      slices()
          .matching("fernwort.app.(*)..")
          .that(areScreens())
          .should()
          .notDependOnEachOther()
          .ignoreDependency(
              DescribedPredicate.alwaysTrue(), resideInAPackage("fernwort.app.board.."));

  @ArchTest
  static final ArchRule noServiceKnowsAScreen =
      noClasses()
          .that()
          .resideInAnyPackage(SERVICES)
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(SCREENS);

  private static DescribedPredicate<Slice> areScreens() {
    return DescribedPredicate.describe(
        "screens",
        slice -> List.of(SCREENS).contains("fernwort.app." + slice.getNamePart(1) + ".."));
  }

  @ArchTest
  static final ArchRule theCoreKnowsNothingOfTheApplication =
      noClasses()
          .that()
          .resideInAPackage("fernwort.core..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("fernwort.app..");

  @ArchTest
  static final ArchRule theLauncherAloneSpeaksToTheTerminal =
      noClasses()
          .that()
          .resideInAPackage("fernwort..")
          .and()
          .doNotHaveFullyQualifiedName("fernwort.app.Fernwort")
          .and()
          .resideOutsideOfPackage("fernwort.bench..")
          .should()
          .accessField(System.class, "out")
          .orShould()
          .accessField(System.class, "err");
}
