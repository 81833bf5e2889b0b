package osmerin.app.platform;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.apache.ibatis.annotations.Mapper;
import org.springframework.stereotype.Controller;

/** The rules of the house. */
@AnalyzeClasses(packages = "osmerin", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule CORE_KNOWS_NOTHING_ELSE =
      noClasses()
          .that()
          .resideInAPackage("osmerin.core..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..",
              "java.sql..",
              "javax.sql..",
              "org.slf4j..",
              "osmerin.formats..",
              "osmerin.app..");

  @ArchTest
  static final ArchRule CORE_HAS_NO_CLOCK =
      noClasses()
          .that()
          .resideInAPackage("osmerin.core..")
          .should()
          .callMethod(java.time.LocalDate.class, "now")
          .orShould()
          .callMethod(java.time.Instant.class, "now");

  @ArchTest
  static final ArchRule FORMATS_KNOW_CORE_ONLY =
      noClasses()
          .that()
          .resideInAPackage("osmerin.formats..")
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.springframework..", "osmerin.app..");

  @ArchTest
  static final ArchRule FEATURES_FORM_NO_CIRCLE =
      slices().matching("osmerin.app.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule CORE_PACKAGES_FORM_NO_CIRCLE =
      slices().matching("osmerin.core.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule MAPPERS_STAY_IN_THEIR_FEATURE =
      classes().that().areAnnotatedWith(Mapper.class).should().bePackagePrivate();

  @ArchTest
  static final ArchRule CONTROLLERS_USE_SERVICES =
      noClasses()
          .that()
          .areAnnotatedWith(Controller.class)
          .should()
          .dependOnClassesThat()
          .areAnnotatedWith(Mapper.class);
}
