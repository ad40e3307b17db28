package fernwort.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "fernwort.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule theCoreKnowsNoPagesNoDatabaseAndNoFileFormat =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..",
              "org.jooq..",
              "java.sql..",
              "tools.jackson..",
              "com.fasterxml..",
              "jakarta..",
              "fernwort.app..");

  @ArchTest
  static final ArchRule theModelOfTheRigKnowsNoComputation =
      noClasses()
          .that()
          .resideInAnyPackage("fernwort.core.rig..", "fernwort.core.kind..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "fernwort.core.tank..",
              "fernwort.core.plumbing..",
              "fernwort.core.ways..",
              "fernwort.core.hydraulics..",
              "fernwort.core.run..",
              "fernwort.core.hazard..",
              "fernwort.core.cold..",
              "fernwort.core.sizing..",
              "fernwort.core.demo..");

  @ArchTest
  static final ArchRule packagesDoNotGoInCircles =
      slices().matching("fernwort.core.(*)..").should().beFreeOfCycles();
}
