package osmerin.app.platform;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.constructors;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaCodeUnit;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.io.IOException;
import java.lang.reflect.Executable;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.ibatis.annotations.Mapper;
import org.junit.jupiter.api.Test;
import org.springframework.stereotype.Component;
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
  static final ArchRule FORMATS_FORM_NO_CIRCLE =
      slices().matching("osmerin.formats.(*)..").should().beFreeOfCycles();

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

  /** Else reference numbers, addresses and undo break under Turkish, or with Arabic digits. */
  @ArchTest
  static final ArchRule NOTHING_FOLLOWS_THE_LOCALE_OF_THE_MACHINE =
      noClasses()
          .that()
          .resideInAPackage("osmerin..")
          .should()
          .callMethod(String.class, "toLowerCase")
          .orShould()
          .callMethod(String.class, "toUpperCase")
          .orShould()
          .callMethod(String.class, "format", String.class, Object[].class)
          .orShould()
          .callMethod(java.util.Locale.class, "getDefault")
          .orShould()
          .callMethod(java.text.NumberFormat.class, "getInstance")
          .orShould()
          .callMethod(java.text.NumberFormat.class, "getIntegerInstance")
          .orShould()
          .callMethod(java.time.format.DateTimeFormatter.class, "ofPattern", String.class);

  private static final int MOST_PARAMETERS = 5;

  /** Records carry more; of any number that follow at the end, none counts. */
  @ArchTest
  static final ArchRule METHODS_TAKE_FEW_PARAMETERS =
      methods()
          .that()
          .areDeclaredInClassesThat()
          .resideInAPackage("osmerin..")
          .and()
          .doNotHaveModifier(JavaModifier.SYNTHETIC)
          .should(takeAtMost(MOST_PARAMETERS));

  private static final int MOST_OTHERS = 8;

  /** What Spring wires may know a few more others: they are no arguments that a caller mixes up. */
  @ArchTest
  static final ArchRule WHAT_IS_WIRED_KNOWS_FEW_OTHERS =
      constructors()
          .that()
          .areDeclaredInClassesThat()
          .areMetaAnnotatedWith(Component.class)
          .should(takeAtMost(MOST_OTHERS));

  @ArchTest
  static final ArchRule CONSTRUCTORS_TAKE_FEW_PARAMETERS =
      constructors()
          .that()
          .areDeclaredInClassesThat(
              describe(
                  "are called by us, and no records",
                  its ->
                      its.getPackageName().startsWith("osmerin")
                          && !its.isMetaAnnotatedWith(Component.class)
                          && !its.isRecord()
                          && !its.isEnum()
                          && !its.isInnerClass()))
          .should(takeAtMost(MOST_PARAMETERS));

  private static <T extends JavaCodeUnit> ArchCondition<T> takeAtMost(int most) {
    return new ArchCondition<>("take at most %s parameters".formatted(most)) {
      @Override
      public void check(T unit, ConditionEvents events) {
        boolean varArgs = ((Executable) unit.reflect()).isVarArgs();
        if (unit.getRawParameterTypes().size() - (varArgs ? 1 : 0) > most) {
          events.add(SimpleConditionEvent.violated(unit, unit.getFullName()));
        }
      }
    };
  }

  private static final Pattern FORMATTED =
      Pattern.compile(
          "(\"(?:[^\"\\\\\n]|\\\\.)*\"|\"{3}.*?\"{3})\\s*\\.formatted\\(", Pattern.DOTALL);

  private static final Pattern FOLLOWS_A_LOCALE = Pattern.compile("(?<!%)%[-0-9,.+$]*[dfxXeEgh]");

  /** {@code formatted} knows no locale, so it may be given words and whole numbers only, by %s. */
  @Test
  void formattedIsGivenNothingThatFollowsALocale() throws IOException {
    List<String> found = new ArrayList<>();
    for (String module : List.of("core", "formats", "cli", "standins", "app")) {
      try (Stream<Path> files = Files.walk(Path.of("..", module, "src", "main", "java"))) {
        for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
          Matcher formats = FORMATTED.matcher(Files.readString(file));
          while (formats.find()) {
            if (FOLLOWS_A_LOCALE.matcher(formats.group(1)).find()) {
              found.add(file.getFileName() + ": " + formats.group(1));
            }
          }
        }
      }
    }
    assertThat(found).isEmpty();
  }
}
