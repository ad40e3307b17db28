package fernwort.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

@AnalyzeClasses(packages = "fernwort.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

  @ArchTest
  static final ArchRule theCoreKnowsNoPagesAndNoDatabase =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..", "org.jooq..", "java.sql..", "jakarta..", "fernwort.app..");

  /** What is reckoned does not know how it is written down. */
  @ArchTest
  static final ArchRule onlyTheDoorForFilesKnowsTheirFormat =
      noClasses()
          .that()
          .resideOutsideOfPackages("fernwort.core.format..", "fernwort.core.demo..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("tools.jackson..", "com.fasterxml..", "com.networknt..");

  @ArchTest
  static final ArchRule theModelOfTheRigKnowsNoComputation =
      noClasses()
          .that()
          .resideInAnyPackage("fernwort.core.rig..", "fernwort.core.kind..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "fernwort.core.tank..",
              "fernwort.core.network..",
              "fernwort.core.ways..",
              "fernwort.core.hydraulics..",
              "fernwort.core.run..",
              "fernwort.core.hazard..",
              "fernwort.core.winter..",
              "fernwort.core.sizing..",
              "fernwort.core.demo..");

  @ArchTest
  static final ArchRule packagesDoNotGoInCircles =
      slices().matching("fernwort.core.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule norDoRoomsWithinThem =
      slices().matching("fernwort.core.(**)").should().beFreeOfCycles();

  /** A room with more files than one keeps in the head, its words apart, wants another wall. */
  private static final int MOST_FILES = 25;

  @Test
  void noRoomHasMoreFilesThanOneKeepsInTheHead() throws IOException {
    Map<Path, Long> files;
    try (Stream<Path> all = Files.walk(Path.of("src/main/java"))) {
      files =
          all.filter(f -> f.toString().endsWith(".java") && !f.endsWith("Says.java"))
              .collect(Collectors.groupingBy(Path::getParent, Collectors.counting()));
    }
    files.values().removeIf(n -> n <= MOST_FILES);
    assertThat(files).isEmpty();
  }
}
