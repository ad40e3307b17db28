package fernwort.app;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaField;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.dependencies.Slice;
import fernwort.core.id.ElementId;
import fernwort.core.id.PortId;
import fernwort.core.id.PositionId;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Who may know whom, as rules over the compiled classes. */
@Order(1)
class ArchitectureTest {

  private static final JavaClasses CLASSES =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("fernwort");

  private static final String[] SCREENS = {
    "fernwort.app.api..",
    "fernwort.app.board..",
    "fernwort.app.build..",
    "fernwort.app.cold..",
    "fernwort.app.devices..",
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
    "fernwort.app.live..",
    "fernwort.app.services..",
    "fernwort.app.security..",
    "fernwort.app.store..",
    "fernwort.app.units..",
    "fernwort.app.web.."
  };

  private static final ArchRule ONLY_THE_STORE_KNOWS_THE_DATABASE =
      noClasses()
          .that()
          .resideOutsideOfPackages("fernwort.app.store..", "fernwort.app.security..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.jooq..", "java.sql..", "fernwort.app.store.db..");

  private static final ArchRule PACKAGES_DO_NOT_GO_IN_CIRCLES =
      slices().matching("fernwort.app.(*)..").should().beFreeOfCycles();

  /** The cutaway is drawn on several screens; apart from it each stands by itself. */
  private static final ArchRule NO_SCREEN_LEANS_ON_ANOTHER =
      slices()
          .matching("fernwort.app.(*)..")
          .that(areScreens())
          .should()
          .notDependOnEachOther()
          .ignoreDependency(
              DescribedPredicate.alwaysTrue(), resideInAPackage("fernwort.app.board.."));

  private static final ArchRule NO_SERVICE_KNOWS_A_SCREEN =
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

  private static final ArchRule THE_CORE_KNOWS_NOTHING_OF_THE_APPLICATION =
      noClasses()
          .that()
          .resideInAPackage("fernwort.core..")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("fernwort.app..");

  /** No other table could give out what a spreadsheet works out. */
  private static final ArchRule ONE_WRITER_OF_TABLES =
      noClasses()
          .that()
          .doNotHaveFullyQualifiedName("fernwort.app.web.CsvTable")
          .should()
          .dependOnClassesThat()
          .resideInAPackage("de.siegmar.fastcsv.writer");

  private static final ArchRule THE_LAUNCHER_ALONE_SPEAKS_TO_THE_TERMINAL =
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

  private static final DescribedPredicate<JavaClass> SHOWN =
      DescribedPredicate.describe(
          "are records that pages are filled with",
          c -> c.isRecord() && c.getName().matches(".*(Controller|Pages?|View|Drawing)(\\$\\w+)?"));

  private static final DescribedPredicate<JavaField> TEXTS =
      DescribedPredicate.describe(
          "hold texts instead of ids",
          f -> f.getType().getAllInvolvedRawTypes().stream().noneMatch(ArchitectureTest::isId));

  /** A template that compares an id with a text finds them different, and says nothing. */
  private static final ArchRule PAGES_SHOW_TEXTS_WHERE_THE_CORE_HAS_IDS =
      fields()
          .that()
          .areDeclaredInClassesThat(SHOWN)
          .and()
          .areDeclaredInClassesThat(DescribedPredicate.not(resideInAPackage("fernwort.app.api")))
          .should(ArchCondition.from(TEXTS));

  private static boolean isId(JavaClass type) {
    return type.isAssignableTo(ElementId.class)
        || type.isEquivalentTo(PortId.class)
        || type.isEquivalentTo(PositionId.class);
  }

  static Stream<ArchRule> rules() {
    return Stream.of(
        ONLY_THE_STORE_KNOWS_THE_DATABASE,
        PACKAGES_DO_NOT_GO_IN_CIRCLES,
        NO_SCREEN_LEANS_ON_ANOTHER,
        NO_SERVICE_KNOWS_A_SCREEN,
        THE_CORE_KNOWS_NOTHING_OF_THE_APPLICATION,
        ONE_WRITER_OF_TABLES,
        THE_LAUNCHER_ALONE_SPEAKS_TO_THE_TERMINAL,
        PAGES_SHOW_TEXTS_WHERE_THE_CORE_HAS_IDS);
  }

  @ParameterizedTest
  @MethodSource("rules")
  void holds(ArchRule rule) {
    rule.check(CLASSES);
  }
}
