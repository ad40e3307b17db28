package fernwort.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "fernwort", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule onlyTheStoreKnowsTheDatabase =
      noClasses()
          .that()
          .resideOutsideOfPackages("fernwort.app.store..", "fernwort.app.security..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.jooq..", "java.sql..", "fernwort.app.store.db..");

  @ArchTest
  static final ArchRule theStoreAndTheFormatKnowNoScreens =
      noClasses()
          .that()
          .resideInAnyPackage("fernwort.app.store..", "fernwort.app.format..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "fernwort.app.board..",
              "fernwort.app.rigs..",
              "fernwort.app.log..",
              "fernwort.app.api..");

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
