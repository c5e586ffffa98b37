package istmo.core.validation;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.SameFigures;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.evidence.CommonPractice;
import istmo.core.ranking.Evaluated;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Whether a coach would believe the first five of an order: thirty aims, six bodies, a full, an
 * ordinary and a bare gym. What serves a muscle group is common practice, stated here; every
 * exercise among the first five that does not is a violation and is listed in docs/validation.md,
 * written with {@code -Dtest=BelievabilityTest -Dvalidation.write=true}.
 */
class BelievabilityTest {
  private static final Path PAGE = Path.of("..", "docs", "validation.md");
  private static final String BEGIN = "<!-- believability: written by BelievabilityTest -->";
  private static final String END = "<!-- end of believability -->";
  private static final int FIRST = 5;
  private static final List<String> BODIES_ASKED = List.of("average man", "trained woman");

  private static final List<String> SQUATS =
      List.of(
          "back-squat",
          "front-squat",
          "safety-bar-squat",
          "zercher-squat",
          "heel-raised-squat",
          "goblet-squat",
          "wide-dumbbell-squat",
          "belt-squat",
          "box-squat",
          "track-squat");
  private static final List<String> PRESSES =
      List.of(
          "leg-press",
          "horizontal-press",
          "steep-press",
          "hack-squat",
          "pendulum-squat",
          "lever-squat");
  private static final List<String> ONE_LEG =
      List.of(
          "split-squat",
          "barbell-split-squat",
          "rear-raised-split-squat",
          "held-split-squat",
          "lunge",
          "step-up",
          "step-down",
          "loaded-step-down",
          "side-step-up",
          "side-lunge",
          "cossack-squat",
          "one-leg-squat",
          "track-one-leg-squat",
          "track-split-squat");
  private static final List<String> HINGES =
      List.of(
          "romanian-deadlift",
          "deadlift",
          "hexagonal-bar-deadlift",
          "good-morning",
          "one-leg-hinge",
          "track-hinge",
          "pull-through",
          "back-extension",
          "one-leg-back-extension",
          "level-back-extension",
          "reverse-back-extension");
  private static final List<String> CURLS =
      List.of(
          "seated-leg-curl",
          "lying-leg-curl",
          "standing-leg-curl",
          "kneeling-curl",
          "rack-kneeling-curl",
          "partner-kneeling-curl",
          "hamstring-raise",
          "sliding-curl");
  private static final List<String> THRUSTS =
      List.of("hip-thrust", "thrust-machine", "track-thrust", "bridge", "barbell-bridge");

  /** What coaches would do for a group (common practice). */
  private static final Map<String, Set<String>> SERVES = new LinkedHashMap<>();

  static {
    SERVES.put(
        "quads",
        set(
            SQUATS,
            PRESSES,
            ONE_LEG,
            List.of("leg-extension", "leg-extension-reclined", "sissy-squat", "lean-back")));
    SERVES.put("hamstrings", set(HINGES, CURLS));
    SERVES.put(
        "glutes",
        set(
            SQUATS,
            ONE_LEG,
            HINGES,
            THRUSTS,
            List.of(
                "kickback",
                "all-fours-lift",
                "abduction-machine",
                "hack-squat",
                "lever-squat",
                "lever-kickback",
                "leg-press")));
    SERVES.put(
        "side glute",
        set(
            ONE_LEG,
            List.of(
                "abduction-machine",
                "cable-abduction",
                "lever-abduction",
                "plate-abduction",
                "side-lying-lift",
                "one-leg-hinge",
                "kickback")));
    SERVES.put(
        "adductors",
        set(
            SQUATS,
            ONE_LEG,
            List.of(
                "adduction-machine",
                "cable-adduction",
                "lever-adduction",
                "upper-leg-plank",
                "deadlift",
                "leg-press",
                "steep-press")));
    SERVES.put(
        "calves",
        Catalogue.standard().exercises().stream()
            .map(exercise -> exercise.id())
            .filter(id -> id.endsWith("calf-raise"))
            .collect(Collectors.toSet()));
    SERVES.put("shin", Set.of("shin-raise", "dumbbell-shin-raise"));
    SERVES.put(
        "hip-flexors",
        Set.of("hip-flexion", "lever-hip-flexion", "standing-knee-raise", "lying-leg-raise"));
    SERVES.put(
        "lower-back",
        set(HINGES, List.of("back-squat", "safety-bar-squat", "zercher-squat", "box-squat")));
  }

  @SafeVarargs
  private static Set<String> set(List<String>... lists) {
    return Stream.of(lists).flatMap(List::stream).collect(Collectors.toSet());
  }

  /** Regions that have their own custom: one muscle that a neighbour's exercises train too. */
  private static final Map<String, Set<String>> OWN =
      Map.of(
          "RF",
              Set.of("hip-flexion", "lever-hip-flexion", "standing-knee-raise", "lying-leg-raise"),
          "GRA", set(CURLS),
          "AMA", set(HINGES),
          "AMI", set(HINGES, THRUSTS),
          "GMEDP", set(THRUSTS, List.of("deadlift")));

  private static final Map<String, String> TOGETHER = new LinkedHashMap<>();

  static {
    TOGETHER.put("quads", "VL VM VI RF");
    TOGETHER.put("hamstrings", "BFL BFS ST SM");
    TOGETHER.put("gluteus maximus", "GMAXU GMAXM GMAXL");
    TOGETHER.put("side glute", "GMEDA GMEDP GMIN");
    TOGETHER.put("adductors", "AL AB GRA AMA AMI");
    TOGETHER.put("calves", "GASM GASL SOL");
    TOGETHER.put("glutes and hamstrings", "GMAXM GMAXL BFL ST SM");
  }

  private static Map<String, Body> bodies() {
    Map<String, Body> bodies = new LinkedHashMap<>();
    bodies.put("average man", Body.estimated(1.78, 80, Sex.MALE));
    Body woman = Body.estimated(1.66, 63, Sex.FEMALE);
    bodies.put("trained woman", woman.withStrength(1.2, 1.2 * woman.lumbarNm()));
    bodies.put(
        "tall, long thighs, stiff ankles",
        new Intake(1.93, 90, Sex.MALE, Intake.Thigh.LONG, Intake.Ankle.STIFF).body());
    bodies.put("short beginner", Body.estimated(1.58, 55, Sex.FEMALE));
    Body strong = Body.estimated(1.80, 92, Sex.MALE);
    bodies.put("strong man", strong.withStrength(1.8, 1.8 * strong.lumbarNm()));
    bodies.put("heavy man", Body.estimated(1.74, 108, Sex.MALE));
    return bodies;
  }

  private static Map<String, GymEquipment> gyms() {
    Map<String, GymEquipment> gyms = new LinkedHashMap<>();
    gyms.put("full", GymEquipment.generic(Equipment.everything()));
    gyms.put(
        "ordinary",
        GymEquipment.generic(
            Set.of(
                Equipment.BARBELL,
                Equipment.RACK,
                Equipment.FIXED_TRACK,
                Equipment.LEG_PRESS,
                Equipment.LEG_EXTENSION,
                Equipment.LYING_CURL,
                Equipment.SEATED_CALF,
                Equipment.BENCH,
                Equipment.DUMBBELLS,
                Equipment.BANDS,
                Equipment.BOX,
                Equipment.CABLE,
                Equipment.BACK_EXTENSION,
                Equipment.KETTLEBELL,
                Equipment.ABDUCTION_MACHINE,
                Equipment.ADDUCTION_MACHINE)));
    gyms.put(
        "bare",
        GymEquipment.generic(
            Set.of(
                Equipment.BARBELL,
                Equipment.RACK,
                Equipment.BENCH,
                Equipment.DUMBBELLS,
                Equipment.BANDS)));
    return gyms;
  }

  private static Map<String, List<String>> aims() {
    Map<String, List<String>> aims = new LinkedHashMap<>();
    Arrays.asList(Region.values()).forEach(region -> aims.put(region.id(), List.of(region.id())));
    TOGETHER.forEach((name, ids) -> aims.put(name, List.of(ids.split(" "))));
    return aims;
  }

  private static boolean serves(String exercise, List<String> regions) {
    return regions.stream()
        .anyMatch(
            id ->
                SERVES.getOrDefault(groupOf(id), Set.of()).contains(exercise)
                    || OWN.getOrDefault(id, Set.of()).contains(exercise));
  }

  private static String groupOf(String region) {
    return region.startsWith("GMED") || region.equals("GMIN")
        ? "side glute"
        : Region.of(region).group().id();
  }

  /** What came of all orders. */
  private static final class Tally {
    int orders;
    int clean;
    int firstRight;
    int said;
    final Map<String, Integer> violations = new TreeMap<>();

    void count(Order order, String gym, String aim, List<String> regions) {
      assertThat(order.entries().isEmpty())
          .as("an order without places says that nothing trains the aim")
          .isEqualTo(order.shortage().isPresent());
      if (order.shortage().isPresent()) {
        said++;
        return;
      }
      orders++;
      List<String> first =
          order.entries().stream()
              .limit(FIRST)
              .map(entry -> entry.evaluation().candidate().exerciseId())
              .toList();
      List<String> odd = first.stream().filter(text -> !serves(text, regions)).toList();
      odd.forEach(
          text ->
              violations.merge(
                  String.format("%s for %s, %s gym", text, aim, gym), 1, Integer::sum));
      clean += odd.isEmpty() ? 1 : 0;
      firstRight += odd.contains(first.get(0)) ? 0 : 1;
    }
  }

  @Test
  void theFirstFiveAreWhatACoachWouldDo() throws Exception {
    Tally tally = new Tally();
    bodies().values().forEach(body -> tallyOrdersOf(body, tally));
    PracticeRows practice =
        PracticeRows.of(BODIES_ASKED.stream().map(bodies()::get).toList(), gyms().get("full"));
    SameFigures.assertWritten(PAGE, report(tally, practice));
    assertThat(tally.clean / (double) tally.orders).as("all of the first five").isGreaterThan(0.9);
    assertThat(tally.firstRight / (double) tally.orders).as("the first place").isGreaterThan(0.97);
    assertThat(practice.surelyWith()).as("undisputed").isGreaterThan(practice.surely() * 97 / 100);
    assertThat(practice.without()).as("without being told").isGreaterThan(practice.all() * 3 / 4);
  }

  /** Mechanics know no gym as long as nothing is measured there. */
  private static void tallyOrdersOf(Body body, Tally tally) {
    Map<CandidateId, Evaluation> evaluations =
        Evaluated.of(body, gyms().get("full"), School.STRETCH);
    gyms()
        .forEach(
            (name, gym) ->
                aims()
                    .forEach(
                        (aim, regions) ->
                            tally.count(
                                order(body, gym, regions, evaluations), name, aim, regions)));
  }

  private static String report(Tally tally, PracticeRows practice) {
    StringBuilder report = new StringBuilder(BEGIN + "\n\n");
    report.append(
        String.format(
            Locale.ROOT,
            "%d orders of %d aims, %d bodies and %d gyms have places, %d say that nothing here"
                + " trains the aim. Every one of the first five serves the aim by common practice"
                + " in %.1f %%, the first place in %.1f %%.%n%n",
            tally.orders,
            aims().size(),
            bodies().size(),
            gyms().size(),
            tally.said,
            100.0 * tally.clean / tally.orders,
            100.0 * tally.firstRight / tally.orders));
    report.append("| what does not serve, among the first five | bodies |\n|---|---|\n");
    tally.violations.forEach((what, n) -> report.append(String.format("| %s | %d |%n", what, n)));
    report.append(
        String.format(
            Locale.ROOT,
            "%nWhat coaches agree on, average man and trained woman, %d rows each: direction right"
                + " by mechanics and studies in %d of %d (mechanics and studies know nothing of"
                + " these rows), with them as the third voice in %d; of those that hardly anybody"
                + " disputes %d and %d of %d.%n%n",
            CommonPractice.standard().all().size(),
            practice.without(),
            practice.all(),
            practice.with(),
            practice.surelyWithout(),
            practice.surelyWith(),
            practice.surely()));
    return report.append(END).toString();
  }

  private static Order order(
      Body body, GymEquipment gym, List<String> regions, Map<CandidateId, Evaluation> evaluations) {
    Map<String, Integer> weights = new TreeMap<>();
    regions.forEach(id -> weights.put(id, 2));
    return Orders.order(
        new Brief(
            body,
            Cautions.none(),
            Profile.unknown(),
            gym,
            Aim.of(weights, Set.of()),
            School.STRETCH,
            Optional.empty()),
        evaluations);
  }

  /** The list above names exercises that are there. */
  @Test
  void everyExerciseNamedIsInTheCatalogue() {
    List<String> unknown = new ArrayList<>();
    Stream.concat(SERVES.values().stream(), OWN.values().stream())
        .flatMap(Set::stream)
        .filter(
            id ->
                Catalogue.standard().exercises().stream()
                    .noneMatch(exercise -> exercise.id().equals(id)))
        .forEach(unknown::add);
    assertThat(unknown).isEmpty();
  }
}
