package istmo.core.plan;

import static istmo.core.plan.ComposerCases.LONG_ENOUGH_S;
import static istmo.core.plan.ComposerCases.composed;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.body.PainFlag;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import istmo.core.plan.Planned.Week;
import istmo.core.ranking.brief.Aim;
import istmo.core.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ComposerTest {
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
                              new CandidateId("leg-press/high"),
                              offers.get(new CandidateId("leg-press/high")).usual(),
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
    assertThat(Words.of(offers.whyNot(new CandidateId("leg-press/high"))))
        .contains("Not here: leg press 45°");
    assertThat(Words.of(offers.whyNot(new CandidateId("good-morning/usual"))))
        .contains("lower back");
    assertThat(offers.all().stream().map(Offer::exerciseId).collect(Collectors.toSet()))
        .doesNotContain("good-morning", "leg-press");
  }
}
