package istmo.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.Locale;

/** Who may import whom in the core. What is not listed is not allowed. */
@AnalyzeClasses(packages = "istmo.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
  @ArchTest
  static final ArchRule plainJava =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "org.springframework..",
              "jakarta..",
              "javax..",
              "tools.jackson..",
              "com.fasterxml..",
              "java.sql..",
              "java.net..");

  /**
   * Computations run on the core's own threads ({@link istmo.core.computing.Workers}), never on the
   * common pool, where caches do their housekeeping.
   */
  @ArchTest
  static final ArchRule ownThreads =
      noClasses()
          .should()
          .callMethod(java.util.Collection.class, "parallelStream")
          .orShould()
          .callMethod(java.util.stream.IntStream.class, "parallel")
          .orShould()
          .callMethod(java.util.stream.Stream.class, "parallel")
          .orShould()
          .dependOnClassesThat()
          .haveFullyQualifiedName("java.util.concurrent.ForkJoinPool");

  /**
   * Computation finds facts; sentences are written in one place. Errors are said where they are
   * found, by {@code InvalidInput}; the reference calculation writes figures to a file.
   */
  @ArchTest
  static final ArchRule sentencesHaveOnePlace =
      noClasses()
          .that()
          .resideOutsideOfPackage("istmo.core.words")
          .and()
          .doNotHaveFullyQualifiedName("istmo.core.quantity.InvalidInput$Fault")
          .and()
          .doNotHaveFullyQualifiedName("istmo.core.evidence.ReferenceCalculation")
          .should()
          .callMethod(String.class, "format", Locale.class, String.class, Object[].class)
          .orShould()
          .callMethod(String.class, "format", String.class, Object[].class)
          .orShould()
          .callMethod(String.class, "formatted", Object[].class);

  @ArchTest
  static final ArchRule noCycles = slices().matching("istmo.core.(**)").should().beFreeOfCycles();

  @ArchTest
  static final ArchRule directions =
      layeredArchitecture()
          .consideringOnlyDependenciesInLayers()
          .layer("computing")
          .definedBy("istmo.core.computing")
          .layer("quantity")
          .definedBy("istmo.core.quantity")
          .layer("resource")
          .definedBy("istmo.core.resource")
          .layer("anatomy")
          .definedBy("istmo.core.anatomy")
          .layer("body")
          .definedBy("istmo.core.body")
          .layer("equipment")
          .definedBy("istmo.core.equipment")
          .layer("movement")
          .definedBy("istmo.core.movement")
          .layer("family")
          .definedBy("istmo.core.movement.family")
          .layer("mechanics")
          .definedBy("istmo.core.mechanics")
          .layer("stimulus")
          .definedBy("istmo.core.stimulus")
          .layer("catalogue")
          .definedBy("istmo.core.catalogue")
          .layer("drawing")
          .definedBy("istmo.core.drawing")
          .layer("ranking")
          .definedBy("istmo.core.ranking")
          .layer("ranking.brief")
          .definedBy("istmo.core.ranking.brief")
          .layer("ranking.criterion")
          .definedBy("istmo.core.ranking.criterion")
          .layer("ranking.setup")
          .definedBy("istmo.core.ranking.setup")
          .layer("ranking.explanation")
          .definedBy("istmo.core.ranking.explanation")
          .layer("ranking.order")
          .definedBy("istmo.core.ranking.order")
          .layer("evidence")
          .definedBy("istmo.core.evidence")
          .layer("picture")
          .definedBy("istmo.core.picture")
          .layer("measuring")
          .definedBy("istmo.core.measuring")
          .layer("training")
          .definedBy("istmo.core.training")
          .layer("record")
          .definedBy("istmo.core.record")
          .layer("watching")
          .definedBy("istmo.core.watching")
          .layer("search")
          .definedBy("istmo.core.search")
          .layer("plan")
          .definedBy("istmo.core.plan")
          .layer("words")
          .definedBy("istmo.core.words")
          .whereLayer("search")
          .mayOnlyAccessLayers("quantity", "resource", "equipment", "catalogue", "evidence")
          .whereLayer("search")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("plan")
          .mayOnlyBeAccessedByLayers("words")
          .whereLayer("words")
          .mayNotBeAccessedByAnyLayer()
          .whereLayer("picture")
          .mayOnlyBeAccessedByLayers("words")
          .whereLayer("picture")
          .mayOnlyAccessLayers(
              "quantity",
              "body",
              "equipment",
              "movement",
              "mechanics",
              "catalogue",
              "watching",
              "record")
          .whereLayer("record")
          .mayOnlyAccessLayers("quantity", "anatomy", "body", "equipment", "training", "catalogue")
          .whereLayer("watching")
          .mayOnlyAccessLayers("quantity", "mechanics")
          .whereLayer("computing")
          .mayNotAccessAnyLayer()
          .whereLayer("quantity")
          .mayNotAccessAnyLayer()
          .whereLayer("resource")
          .mayOnlyAccessLayers("quantity")
          .whereLayer("anatomy")
          .mayOnlyAccessLayers("quantity", "resource")
          .whereLayer("body")
          .mayOnlyAccessLayers("quantity", "anatomy")
          .whereLayer("equipment")
          .mayOnlyAccessLayers("quantity", "resource")
          .whereLayer("movement")
          .mayOnlyAccessLayers("quantity", "anatomy", "body", "equipment")
          .whereLayer("family")
          .mayOnlyAccessLayers("quantity", "anatomy", "body", "equipment", "movement")
          .whereLayer("mechanics")
          .mayOnlyAccessLayers("quantity", "anatomy", "body", "movement")
          .whereLayer("stimulus")
          .mayOnlyAccessLayers("quantity", "anatomy", "mechanics")
          .whereLayer("catalogue")
          .mayOnlyAccessLayers(
              "quantity", "resource", "anatomy", "body", "equipment", "movement", "family")
          .whereLayer("drawing")
          .mayOnlyAccessLayers(
              "quantity",
              "resource",
              "anatomy",
              "body",
              "equipment",
              "movement",
              "mechanics",
              "catalogue")
          .whereLayer("ranking.brief")
          .mayOnlyBeAccessedByLayers(
              "ranking.criterion",
              "ranking.setup",
              "ranking.explanation",
              "ranking.order",
              "plan",
              "words")
          .whereLayer("ranking.criterion")
          .mayOnlyBeAccessedByLayers(
              "ranking.setup", "ranking.explanation", "ranking.order", "plan", "words")
          .whereLayer("ranking.setup")
          .mayOnlyBeAccessedByLayers("ranking.explanation", "words")
          .whereLayer("ranking.explanation")
          .mayOnlyBeAccessedByLayers("ranking.order", "words")
          .whereLayer("ranking.order")
          .mayOnlyBeAccessedByLayers("plan", "words")
          .whereLayer("ranking")
          .mayOnlyAccessLayers("quantity")
          .whereLayer("evidence")
          .mayOnlyAccessLayers(
              "quantity",
              "resource",
              "anatomy",
              "body",
              "movement",
              "mechanics",
              "stimulus",
              "catalogue",
              "computing")
          .whereLayer("measuring")
          .mayOnlyAccessLayers("quantity", "anatomy", "equipment", "movement")
          .whereLayer("training")
          .mayOnlyAccessLayers(
              "quantity",
              "resource",
              "anatomy",
              "body",
              "equipment",
              "movement",
              "mechanics",
              "catalogue");
}
