package istmo.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import com.tngtech.archunit.lang.syntax.ArchRuleDefinition;
import jakarta.persistence.Entity;

/** One package a feature: its service and records on top, its web and persistence closed below. */
@AnalyzeClasses(packages = "istmo.app", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule noCyclesBetweenFeatures =
      slices().matching("istmo.app.(*)..").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule platformImportsNoFeature =
      noClasses()
          .that()
          .resideInAPackage("istmo.app.platform..")
          .should()
          .dependOnClassesThat(
              DescribedPredicate.describe(
                  "are in another feature",
                  javaClass ->
                      javaClass.getPackageName().startsWith("istmo.app.")
                          && !javaClass.getPackageName().startsWith("istmo.app.platform")));

  @ArchTest
  static final ArchRule webAndPersistenceAreClosed =
      ArchRuleDefinition.classes()
          .that(
              DescribedPredicate.describe(
                  "are in web or persistence of a feature",
                  javaClass ->
                      javaClass.getPackageName().matches("istmo\\.app\\.\\w+\\.(web|persistence)")))
          .should(onlyBeUsedWithinTheirFeature());

  @ArchTest
  static final ArchRule everyRowBelongsToACoach =
      ArchRuleDefinition.classes()
          .that()
          .areAnnotatedWith(Entity.class)
          .and()
          .doNotHaveSimpleName("CoachEntity")
          .and()
          .doNotHaveSimpleName("SignInFailureEntity")
          .should(haveAField("coachId"));

  @ArchTest
  static final ArchRule computationLivesInTheCore =
      noClasses()
          .that()
          .resideInAPackage("istmo.app..web..")
          .and()
          .doNotHaveModifier(JavaModifier.ABSTRACT)
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage("org.hibernate..", "jakarta.persistence..");

  /**
   * A figure of the job is the core's: no class out here keeps one for itself. What is left are
   * seconds of a screen and of the demo.
   */
  @ArchTest
  static final ArchRule figuresLiveInTheCore =
      ArchRuleDefinition.noFields()
          .that()
          .areDeclaredInClassesThat()
          .resideOutsideOfPackages("istmo.app.demo..", "istmo.app.gadgets..")
          .should()
          .haveRawType(double.class)
          .andShould()
          .beStatic();

  private static ArchCondition<JavaClass> onlyBeUsedWithinTheirFeature() {
    return new ArchCondition<>("only be used within their feature") {
      @Override
      public void check(JavaClass javaClass, ConditionEvents events) {
        String feature =
            javaClass.getPackageName().substring(0, javaClass.getPackageName().lastIndexOf('.'));
        javaClass.getDirectDependenciesToSelf().stream()
            .filter(dependency -> !dependency.getOriginClass().getPackageName().startsWith(feature))
            .forEach(
                dependency ->
                    events.add(
                        SimpleConditionEvent.violated(dependency, dependency.getDescription())));
      }
    };
  }

  private static ArchCondition<JavaClass> haveAField(String name) {
    return new ArchCondition<>("have a field " + name) {
      @Override
      public void check(JavaClass javaClass, ConditionEvents events) {
        if (javaClass.getAllFields().stream().noneMatch(field -> field.getName().equals(name))) {
          events.add(
              SimpleConditionEvent.violated(javaClass, javaClass.getName() + " has no " + name));
        }
      }
    };
  }
}
