package istmo.core.plan;

import static istmo.core.plan.ComposerCases.LONG_ENOUGH_S;
import static istmo.core.plan.ComposerCases.composed;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.anatomy.Region;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import istmo.core.plan.Planned.Week;
import istmo.core.ranking.brief.Aim;
import istmo.core.words.PlanWords;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a composed week says of what it lacks. */
class ShortfallTest {
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
                    List.of(
                        Bout.of(
                            new Item("p", new CandidateId("press"), Plans.THREE_OF_TEN, false))))));
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
                        Bout.of(
                            new Item(
                                "c",
                                new CandidateId("curl"),
                                Plans.THREE_OF_TEN.withSets(1),
                                false))))));
    assertThat(Shortfall.of(task, one).orElseThrow().ways())
        .first()
        .isEqualTo(new Shortfall.AddSets(new CandidateId("curl"), "curl", 1, true, 1, 3));
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
                        Bout.of(
                            new Item(
                                "p",
                                new CandidateId("press"),
                                Plans.THREE_OF_TEN.withSets(6),
                                true))))),
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
}
