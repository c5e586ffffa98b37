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
                  c ->
                      c.getPackageName().startsWith("istmo.app.")
                          && !c.getPackageName().startsWith("istmo.app.platform")));

  @ArchTest
  static final ArchRule webAndPersistenceAreClosed =
      ArchRuleDefinition.classes()
          .that(
              DescribedPredicate.describe(
                  "are in web or persistence of a feature",
                  c -> c.getPackageName().matches("istmo\\.app\\.\\w+\\.(web|persistence)")))
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

  private static ArchCondition<JavaClass> onlyBeUsedWithinTheirFeature() {
    return new ArchCondition<>("only be used within their feature") {
      @Override
      public void check(JavaClass c, ConditionEvents events) {
        String feature = c.getPackageName().substring(0, c.getPackageName().lastIndexOf('.'));
        c.getDirectDependenciesToSelf().stream()
            .filter(d -> !d.getOriginClass().getPackageName().startsWith(feature))
            .forEach(d -> events.add(SimpleConditionEvent.violated(d, d.getDescription())));
      }
    };
  }

  private static ArchCondition<JavaClass> haveAField(String name) {
    return new ArchCondition<>("have a field " + name) {
      @Override
      public void check(JavaClass c, ConditionEvents events) {
        if (c.getAllFields().stream().noneMatch(f -> f.getName().equals(name))) {
          events.add(SimpleConditionEvent.violated(c, c.getName() + " has no " + name));
        }
      }
    };
  }
}
