package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.anatomy.Region;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import istmo.core.plan.Planned.Week;
import istmo.core.ranking.brief.Aim;
import istmo.core.words.PlanWords;
import istmo.core.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class ComposerTest {
  private static final double LONG_ENOUGH_S = 60;

  /** Small weeks, made by chance: the solver's best is that of trying everything. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void theBestOfSmallWeeksIsThatOfTryingEverything(long seed) {
    Task task = smallTask(new Random(seed));
    List<Offer> candidates = task.candidates();
    Optional<Composer.Answer> found = new Composer(task).compose(LONG_ENOUGH_S, progress -> {});
    List<Appraisal.Choice> all = everything(task, candidates);
    if (all.isEmpty()) {
      assertThat(found).as("seed %d: nothing keeps the rules", seed).isEmpty();
      return;
    }
    long best =
        all.stream()
            .mapToLong(choice -> Appraisal.points(task, candidates, choice))
            .min()
            .orElseThrow();
    assertThat(found)
        .as("seed %d", seed)
        .hasValueSatisfying(
            answer -> {
              assertThat(answer.points())
                  .as("seed %d: points of %d weeks", seed, all.size())
                  .isEqualTo(best);
              assertThat(answer.proved()).isTrue();
              assertThat(answer.bound())
                  .as("what the solver minimises is what is appraised")
                  .isEqualTo(answer.points());
            });
  }

  private static Task smallTask(Random random) {
    List<Offer> offers = new ArrayList<>();
    Region[] regions = {Region.VL, Region.RF, Region.BFL, Region.ST, Region.GMAXM, Region.SOL};
    Role[] roles = {Role.HEAVY, Role.SINGLE, Role.COMPOUND, Role.CALF_BENT};
    for (int k = 0; k < 3; k++) {
      Map<Region, Double> shares = new LinkedHashMap<>();
      for (Region region : regions) {
        shares.put(region, random.nextInt(3) == 0 ? 0 : random.nextInt(101) / 100.0);
      }
      Set<Equipment> station =
          random.nextInt(3) == 0
              ? Set.of()
              : Set.of(random.nextBoolean() ? Equipment.LEG_PRESS : Equipment.SEATED_CURL);
      Prescription usual =
          new Prescription(
              2 + random.nextInt(2),
              8,
              12,
              2,
              new Tempo(2, 0, 1, 0),
              60 + 30 * random.nextInt(3),
              Scheme.STRAIGHT);
      Set<Function> functions =
          random.nextBoolean()
              ? Set.of(Function.KNEE_FLEXION)
              : Set.of(Function.KNEE_WITH_OPEN_HIP);
      offers.add(
          Plans.offer(
              (random.nextInt(4) == 0 ? "same" : "x" + k) + "/" + k,
              shares,
              roles[random.nextInt(roles.length)],
              station,
              0.5 * random.nextInt(5),
              usual,
              random.nextDouble(),
              random.nextInt(3) == 0 ? 0.5 : 0.1,
              random.nextInt(4) == 0,
              functions));
    }
    Offers all = new Offers(offers);
    Targets targets =
        new Targets(
            Map.of(
                Region.VL,
                2.0 + random.nextInt(8),
                Region.BFL,
                2.0 + random.nextInt(5),
                Region.SOL,
                3.0),
            Map.of(Region.VL, 3, Region.BFL, 2, Region.SOL, 1),
            Set.of(Region.SOL),
            Map.of(Function.KNEE_FLEXION, 2.0),
            6,
            4,
            random.nextBoolean());
    boolean oneStation = random.nextInt(4) == 0;
    List<Bout> pinned =
        random.nextBoolean()
            ? List.of()
            : List.of(
                Bout.of(new Item("pin", offers.get(0).candidateId(), offers.get(0).usual(), true)));
    List<Day> frames =
        List.of(
            new Day(1, 10 + random.nextInt(25), oneStation, pinned),
            new Day(4, 10 + random.nextInt(25), false, List.of()));
    return new Task(
        all,
        targets,
        frames,
        Pairing.values()[random.nextInt(3)],
        random.nextBoolean(),
        Optional.of(TrainingAge.WEEKS));
  }

  /** Every choice that keeps the rules, written down anew from the rules. */
  private static List<Appraisal.Choice> everything(Task task, List<Offer> candidates) {
    List<List<Appraisal.Choice>> byDay = new ArrayList<>();
    for (int d = 0; d < task.frames().size(); d++) {
      List<Appraisal.Choice> ofDay = new ArrayList<>();
      days(task, d, candidates, 0, new LinkedHashMap<>(), ofDay);
      byDay.add(ofDay);
    }
    List<Appraisal.Choice> all = new ArrayList<>();
    for (Appraisal.Choice choice : byDay.get(0)) {
      for (Appraisal.Choice otherChoice : byDay.get(1)) {
        all.add(
            new Appraisal.Choice(
                List.of(choice.sets().get(0), otherChoice.sets().get(1)),
                List.of(choice.pairs().get(0), otherChoice.pairs().get(1))));
      }
    }
    return all;
  }

  private static void days(
      Task task,
      int day,
      List<Offer> candidates,
      int at,
      Map<Integer, Integer> sets,
      List<Appraisal.Choice> into) {
    if (at == candidates.size()) {
      List<int[]> none = List.of();
      admit(task, day, candidates, sets, none, into);
      for (int a = 0; a < candidates.size(); a++) {
        for (int b = a + 1; b < candidates.size(); b++) {
          if (sets.containsKey(a)
              && sets.get(a).equals(sets.get(b))
              && task.pairing().allows(candidates.get(a), candidates.get(b))
              && Pairing.Saving.of(candidates.get(a), candidates.get(b)).seconds(sets.get(a)) > 0) {
            admit(task, day, candidates, sets, List.of(new int[] {a, b}), into);
          }
        }
      }
      return;
    }
    Offer offer = candidates.get(at);
    days(task, day, candidates, at + 1, sets, into);
    boolean there =
        task.frames().get(day).items().stream()
                .anyMatch(
                    item ->
                        task.offers()
                            .get(item.candidateId())
                            .exerciseId()
                            .equals(offer.exerciseId()))
            || sets.keySet().stream()
                .anyMatch(c -> candidates.get(c).exerciseId().equals(offer.exerciseId()));
    for (int n = 2; !there && n <= 3; n++) {
      Map<Integer, Integer> more = new LinkedHashMap<>(sets);
      more.put(at, n);
      days(task, day, candidates, at + 1, more, into);
    }
  }

  private static void admit(
      Task task,
      int day,
      List<Offer> candidates,
      Map<Integer, Integer> sets,
      List<int[]> pairs,
      List<Appraisal.Choice> into) {
    List<Map<Integer, Integer>> s = new ArrayList<>(List.of(Map.of(), Map.of()));
    List<List<int[]>> p = new ArrayList<>(List.of(List.of(), List.of()));
    s.set(day, Map.copyOf(sets));
    p.set(day, pairs);
    Appraisal.Choice choice = new Appraisal.Choice(s, p);
    Day frame = task.frames().get(day);
    List<Set<Equipment>> stations =
        new ArrayList<>(sets.keySet().stream().map(k -> candidates.get(k).station()).toList());
    frame.items().forEach(item -> stations.add(task.offers().get(item.candidateId()).station()));
    boolean one = stations.stream().filter(texts -> !texts.isEmpty()).distinct().count() <= 1;
    if (Appraisal.seconds(task, day, candidates, choice) <= 60 * frame.minutes()
        && (!frame.oneStation() || one)) {
      into.add(choice);
    }
  }

  static List<Map<String, Integer>> aims() {
    return List.of(
        Map.of("VL", 3, "RF", 2),
        Map.of("GMAXM", 3, "GMEDP", 2, "BFL", 2, "ST", 2),
        Map.of("GASM", 3, "SOL", 3),
        Map.of("VL", 2, "BFL", 2, "GMAXM", 2, "GASM", 1, "AMA", 1));
  }

  /** Rules that any week keeps, composed from the real catalogue. */
  @ParameterizedTest
  @MethodSource("aims")
  void composedWeeksKeepTheRules(Map<String, Integer> aimed) {
    Aim aim = Aim.of(aimed, Set.of());
    Offers offers = Plans.real(aim, TrainingAge.MONTHS, Plans.EVERYTHING);
    Targets targets = Targets.of(aim, Optional.of(TrainingAge.MONTHS), true, offers.all());
    for (Pairing pairing : Pairing.values()) {
      List<Day> frames =
          List.of(
              new Day(
                  1,
                  45,
                  false,
                  List.of(
                      Bout.of(
                          new Item(
                              "pin",
                              "leg-press/high",
                              offers.get("leg-press/high").usual(),
                              true)))),
              new Day(3, 30, true, List.of()),
              new Day(5, 60, false, List.of()));
      Task task =
          new Task(offers, targets, frames, pairing, false, Optional.of(TrainingAge.MONTHS));
      Composer.Answer answer = new Composer(task).compose(2, progress -> {}).orElseThrow();
      assertThat(answer.bound()).isLessThanOrEqualTo(answer.points());
      int[] next = {0};
      Week week =
          Composition.week(
              task, answer, new Arrangement(offers, aim, Set.of())::of, () -> "i" + next[0]++);
      for (int d = 0; d < 3; d++) {
        Day day = week.days().get(d);
        assertThat(Timing.of(day, offers).minutes())
            .as("%s, session %d by the clock", pairing, d + 1)
            .isLessThanOrEqualTo(frames.get(d).minutes());
        assertThat(day.items())
            .extracting(item -> offers.get(item.candidateId()).exerciseId())
            .doesNotHaveDuplicates();
        assertThat(day.bouts())
            .allSatisfy(
                bout -> assertThat(bout.items().size() == 1 || pairing != Pairing.NONE).isTrue());
      }
      assertThat(week.days().get(0).items())
          .as("what is pinned stays as it is")
          .contains(frames.get(0).items().get(0));
      List<Set<Equipment>> stations =
          week.days().get(1).items().stream()
              .map(item -> offers.get(item.candidateId()).station())
              .distinct()
              .toList();
      assertThat(stations)
          .as("one station, at which the others are too")
          .anySatisfy(texts -> assertThat(stations).allMatch(texts::containsAll));
    }
  }

  /**
   * A large week against the bound, which no week can beat; and a first guess is there whatever the
   * time.
   */
  @Test
  void aLargeWeekIsNearItsBound() {
    Aim aim = Aim.of(Map.of("VL", 3, "RF", 2, "BFL", 2, "GMAXM", 2, "GASM", 1), Set.of());
    Offers offers = Plans.real(aim, TrainingAge.YEARS, Plans.EVERYTHING);
    Task task =
        new Task(
            offers,
            Targets.of(aim, Optional.of(TrainingAge.YEARS), true, offers.all()),
            List.of(
                new Day(1, 60, false, List.of()),
                new Day(3, 60, false, List.of()),
                new Day(5, 60, false, List.of())),
            Pairing.NONE,
            true,
            Optional.of(TrainingAge.YEARS));
    Composer.Answer answer = new Composer(task).compose(15, progress -> {}).orElseThrow();
    assertThat(answer.bound()).isPositive().isLessThanOrEqualTo(answer.points());
    assertThat(answer.gap()).as("how much of the points could be saved at most").isLessThan(0.4);
    List<Offer> candidates = task.candidates();
    Appraisal.Choice guess = SingleChanges.fromNothing(task, candidates);
    long nothing = Appraisal.points(task, candidates, Appraisal.nothing(3));
    assertThat(Appraisal.points(task, candidates, guess)).isBetween(answer.bound(), nothing / 3);
    for (int d = 0; d < 3; d++) {
      assertThat(Appraisal.seconds(task, d, candidates, guess)).isLessThanOrEqualTo(3600);
    }
    assertThat(new Composer(task).compose(0.01, progress -> {}))
        .as("no time to search")
        .hasValueSatisfying(
            composed ->
                assertThat(composed.points())
                    .isLessThanOrEqualTo(Appraisal.points(task, candidates, guess)));
  }

  private static Week composed(Task task, double seconds) {
    int[] next = {0};
    return Composition.week(
        task,
        new Composer(task).compose(seconds, progress -> {}).orElseThrow(),
        bouts -> bouts,
        () -> "i" + next[0]++);
  }

  @Test
  void timeThatIsThereIsUsedForTheTargets() {
    Aim aim = Aim.of(Map.of("VL", 3, "BFL", 3), Set.of());
    Offers offers = Plans.real(aim, TrainingAge.MONTHS, Plans.EVERYTHING);
    Targets targets = Targets.of(aim, Optional.of(TrainingAge.MONTHS), false, offers.all());
    List<Day> frames = List.of(new Day(1, 60, false, List.of()), new Day(4, 60, false, List.of()));
    Task task =
        new Task(offers, targets, frames, Pairing.NONE, false, Optional.of(TrainingAge.MONTHS));
    Week week = composed(task, 10);
    Coverage coverage = Coverage.of(week, offers, targets);
    assertThat(coverage.findings()).as("an aim of two regions fits into two hours").isEmpty();
    assertThat(coverage.functions().get(Function.KNEE_FLEXION)).isGreaterThanOrEqualTo(2.7);
    assertThat(Shortfall.of(task, week)).isEmpty();
  }

  @Test
  void otherExercisesEachDayAreOtherOnes() {
    Aim aim = Aim.of(Map.of("VL", 3, "BFL", 3, "GASM", 1), Set.of());
    Offers offers = Plans.real(aim, TrainingAge.MONTHS, Plans.EVERYTHING);
    List<Day> frames = List.of(new Day(1, 60, false, List.of()), new Day(4, 60, false, List.of()));
    Targets targets = Targets.of(aim, Optional.of(TrainingAge.MONTHS), false, offers.all());
    Task task =
        new Task(offers, targets, frames, Pairing.NONE, true, Optional.of(TrainingAge.MONTHS));
    Week week = composed(task, 10);
    List<String> exercises =
        week.days().stream()
            .flatMap(
                day ->
                    day.items().stream()
                        .map(item -> offers.get(item.candidateId()).exerciseId())
                        .distinct())
            .toList();
    assertThat(exercises).hasSizeGreaterThan(4).doesNotHaveDuplicates();
    assertThat(Coverage.of(week, offers, targets).findings()).isEmpty();
  }

  @Test
  void whatIsShortIsExplainedWithWaysThatHelp() {
    Aim aim = Aim.of(Map.of("VL", 3, "BFL", 3, "GASM", 1), Set.of());
    Offers offers = Plans.real(aim, TrainingAge.YEARS, Plans.EVERYTHING);
    Targets targets = Targets.of(aim, Optional.of(TrainingAge.YEARS), false, offers.all());
    Task task =
        new Task(
            offers,
            targets,
            List.of(new Day(1, 35, false, List.of()), new Day(4, 35, false, List.of())),
            Pairing.NONE,
            false,
            Optional.of(TrainingAge.YEARS));
    Week week = composed(task, 8);
    Shortfall shortfall = Shortfall.of(task, week, 12).orElseThrow();
    assertThat(shortfall.has()).isLessThan(shortfall.asked());
    assertThat(PlanWords.of(shortfall))
        .matches("2 times 35 minutes are about \\d+ short for the .+: [\\d.]+ of \\d+ sets\\.");
    assertThat(shortfall.ways()).last().isEqualTo(new Shortfall.Accept(shortfall.has()));
    String asked = String.format(Locale.ROOT, "%.0f", shortfall.asked());
    assertThat(words(shortfall))
        .anyMatch(word -> word.matches("Work in turn.*: [\\d.]+ of " + asked + " sets\\."));
  }

  @Test
  void whereTimeIsNotTheReasonItIsNotNamed() {
    Offer only =
        Plans.offer(
            "curl",
            Map.of(Region.BFL, 0.6),
            Role.SINGLE,
            Set.of(Equipment.SEATED_CURL),
            1,
            Plans.THREE_OF_TEN);
    Task task =
        new Task(
            new Offers(List.of(only)),
            Plans.targets(Map.of(Region.BFL, 9.0)),
            List.of(new Day(1, 60, false, List.of())),
            Pairing.NONE,
            false,
            Optional.of(TrainingAge.WEEKS));
    Week week =
        Composition.week(
            task,
            new Composer(task).compose(LONG_ENOUGH_S, progress -> {}).orElseThrow(),
            bouts -> bouts,
            () -> "i");
    assertThat(Shortfall.of(task, week))
        .hasValueSatisfying(
            shortfall -> {
              assertThat(shortfall.reason()).isEqualTo(new Shortfall.AllUsed());
              assertThat(PlanWords.of(shortfall)).contains("more time would not change it");
              assertThat(words(shortfall))
                  .containsExactly("Accept 1.8 sets for the outer hamstring.");
            });
  }

  @Test
  void whereThereIsTimeTheLeastThatHelpsIsNamed() {
    Offer press =
        Plans.offer(
            "press",
            Map.of(Region.VL, 1.0),
            Role.HEAVY,
            Set.of(Equipment.LEG_PRESS),
            3,
            Plans.THREE_OF_TEN);
    Offer curl =
        Plans.offer(
            "curl",
            Map.of(Region.BFL, 1.0),
            Role.SINGLE,
            Set.of(Equipment.SEATED_CURL),
            1,
            Plans.THREE_OF_TEN);
    Task task =
        new Task(
            new Offers(List.of(press, curl)),
            Plans.targets(Map.of(Region.BFL, 2.0)),
            List.of(new Day(1, 60, false, List.of())),
            Pairing.NONE,
            false,
            Optional.of(TrainingAge.WEEKS));
    Week without =
        new Week(
            List.of(
                new Day(
                    1,
                    60,
                    false,
                    List.of(Bout.of(new Item("p", "press", Plans.THREE_OF_TEN, false))))));
    // walk 60 + set-up 60 + one lighter set 60 + two sets of 60 with 120 between: 420 s
    assertThat(words(Shortfall.of(task, without).orElseThrow()))
        .first()
        .isEqualTo("2 sets of curl in session 1: about 7 minutes.");
    Week one =
        new Week(
            List.of(
                new Day(
                    1,
                    60,
                    false,
                    List.of(
                        Bout.of(new Item("c", "curl", Plans.THREE_OF_TEN.withSets(1), false))))));
    assertThat(Shortfall.of(task, one).orElseThrow().ways())
        .first()
        .isEqualTo(new Shortfall.AddSets("curl", "curl", 1, true, 1, 3));
    assertThat(words(Shortfall.of(task, one).orElseThrow()))
        .first()
        .isEqualTo("1 more set of curl in session 1: about 3 minutes.");
  }

  @Test
  void whatIsPinnedBeyondTheTimeIsSaid() {
    Offer offer =
        Plans.offer(
            "press",
            Map.of(Region.VL, 1.0),
            Role.HEAVY,
            Set.of(Equipment.LEG_PRESS),
            3,
            Plans.THREE_OF_TEN);
    Task task =
        new Task(
            new Offers(List.of(offer)),
            Plans.targets(Map.of(Region.VL, 4.0)),
            List.of(
                new Day(
                    1,
                    10,
                    false,
                    List.of(
                        Bout.of(new Item("p", "press", Plans.THREE_OF_TEN.withSets(6), true))))),
            Pairing.NONE,
            false,
            Optional.empty());
    assertThat(new Composer(task).compose(LONG_ENOUGH_S, progress -> {})).isEmpty();
    // 3 min to set up, 2 lighter sets, six sets of 60 s with five rests of 120 s: 21 min
    assertThat(Shortfall.obstacles(task)).containsExactly(new Shortfall.LockedTooLong(1, 21, 10));
    assertThat(Shortfall.obstacles(task).stream().map(PlanWords::of))
        .containsExactly(
            "What is locked in session 1 takes 21 of 10 minutes: unlock something, take sets out,"
                + " or give it 21 minutes.");
  }

  private static List<String> words(Shortfall shortfall) {
    return shortfall.ways().stream().map(way -> PlanWords.of(shortfall, way)).toList();
  }

  private static Task largeTask() {
    Aim aim = Aim.of(Map.of("VL", 2, "BFL", 2, "GMAXM", 2, "GASM", 2, "SOL", 2), Set.of());
    Offers offers = Plans.real(aim, TrainingAge.YEARS, Plans.EVERYTHING);
    return new Task(
        offers,
        Targets.of(aim, Optional.of(TrainingAge.YEARS), true, offers.all()),
        List.of(
            new Day(1, 60, false, List.of()),
            new Day(3, 60, false, List.of()),
            new Day(5, 60, false, List.of()),
            new Day(6, 60, false, List.of())),
        Pairing.TWO_PLACES,
        true,
        Optional.of(TrainingAge.YEARS));
  }

  /** The solver itself would forget a stop that comes before its search, and run to the end. */
  @Test
  void stoppedBeforeItsFirstAnswerItDoesNotGoOn() throws Exception {
    Composer before = new Composer(largeTask());
    before.stop();
    assertThat(before.compose(LONG_ENOUGH_S, progress -> {}))
        .hasValueSatisfying(answer -> assertThat(answer.seconds()).isLessThan(LONG_ENOUGH_S / 2));
    Composer soon = new Composer(largeTask());
    Thread stops = new Thread(soon::stop);
    stops.start();
    assertThat(soon.compose(LONG_ENOUGH_S, progress -> {}))
        .hasValueSatisfying(answer -> assertThat(answer.seconds()).isLessThan(LONG_ENOUGH_S / 2));
    stops.join();
  }

  @Test
  void stoppedItAnswersWithWhatItHas() {
    Composer composer = new Composer(largeTask());
    List<Composer.Progress> seen = new ArrayList<>();
    Optional<Composer.Answer> answer =
        composer.compose(
            LONG_ENOUGH_S,
            progress -> {
              seen.add(progress);
              composer.stop();
            });
    assertThat(answer).isPresent();
    assertThat(answer.get().seconds()).isLessThan(LONG_ENOUGH_S);
    assertThat(seen)
        .isNotEmpty()
        .isSortedAccordingTo(Comparator.comparingLong(progress -> -progress.points()));
  }

  @Test
  void whatTheClientCannotOrShouldNotDoIsNeverChosen() {
    Aim aim = Aim.of(Map.of("VL", 3, "GMAXM", 2), Set.of());
    GymEquipment small =
        GymEquipment.generic(
            Set.of(
                Equipment.BARBELL,
                Equipment.RACK,
                Equipment.DUMBBELLS,
                Equipment.BENCH,
                Equipment.SEATED_CURL,
                Equipment.LEG_EXTENSION));
    Offers offers = Plans.real(aim, TrainingAge.MONTHS, small, PainFlag.LOWER_BACK);
    assertThat(offers.all())
        .isNotEmpty()
        .allSatisfy(offer -> assertThat(small.items()).containsAll(offer.needs()));
    assertThat(Words.of(offers.whyNot("leg-press/high"))).contains("Not here: leg press 45°");
    assertThat(Words.of(offers.whyNot("good-morning/usual"))).contains("lower back");
    assertThat(offers.all().stream().map(Offer::exerciseId).collect(Collectors.toSet()))
        .doesNotContain("good-morning", "leg-press");
  }
}
