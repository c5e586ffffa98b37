package istmo.core.record;

import static istmo.core.record.Done.felt;
import static istmo.core.record.Done.hurting;
import static istmo.core.record.Done.set;
import static istmo.core.record.Done.weekly;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.RegionGroup;
import istmo.core.catalogue.CandidateId;
import istmo.core.words.RecordWords;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ExperienceTest {
  private static final String ID = "leg-extension/usual";

  /**
   * One session not felt where it was meant, prior 0.25, noise 0.5, by hand: 0.0625 / (0.0625 +
   * 0.25) times -0.25 is -0.05; four of them, 0.0625 / (0.0625 + 0.0625) times -0.25 is -0.125.
   */
  @Test
  void conditioningByHand() {
    Experience once = Experience.of(List.of(weekly(List.of(felt(50, 10, "GMAXM")))));
    assertThat(once.shift(new CandidateId(ID), RegionGroup.QUADS, Set.of(RegionGroup.QUADS)))
        .isCloseTo(-0.05, within(1e-12));
    assertThat(once.shift(new CandidateId(ID), RegionGroup.GLUTES, Set.of(RegionGroup.QUADS)))
        .as("felt where it was not meant")
        .isCloseTo(0.05, within(1e-12));
    assertThat(once.shift(new CandidateId(ID), RegionGroup.HAMSTRINGS, Set.of(RegionGroup.QUADS)))
        .as("nobody expects it there")
        .isZero();
    List<SetRecord> records = List.of(felt(50, 10, "GMAXM"));
    assertThat(
            Experience.of(List.of(weekly(records, records, records, records)))
                .shift(new CandidateId(ID), RegionGroup.QUADS, Set.of(RegionGroup.QUADS)))
        .isCloseTo(-0.125, within(1e-12));
  }

  @Test
  void feltAndNotFeltCancelAndItNeverSaysMoreThanItsWeight() {
    Experience half =
        Experience.of(List.of(weekly(List.of(felt(50, 10, "VL")), List.of(felt(50, 10, "GMAXM")))));
    assertThat(half.shift(new CandidateId(ID), RegionGroup.QUADS, Set.of(RegionGroup.QUADS)))
        .isZero();
    List<SetRecord> records = List.of(felt(50, 10, "VL"));
    double most =
        Experience.of(
                List.of(
                    weekly(
                        records, records, records, records, records, records, records, records,
                        records, records, records, records)))
            .shift(new CandidateId(ID), RegionGroup.QUADS, Set.of(RegionGroup.QUADS));
    assertThat(most).isPositive().isLessThan(Experience.SAYS);
    assertThat(most)
        .as("the newest eight count")
        .isEqualTo(
            Experience.of(
                    List.of(
                        weekly(
                            records, records, records, records, records, records, records,
                            records)))
                .shift(new CandidateId(ID), RegionGroup.QUADS, Set.of(RegionGroup.QUADS)));
  }

  @Test
  void anotherSetUpOfTheExerciseTakesSomeOfItAndOtherExercisesNone() {
    Experience experience = Experience.of(List.of(weekly(List.of(felt(50, 10, "GMAXM")))));
    assertThat(
            experience.shift(
                new CandidateId("leg-extension/one-leg"),
                RegionGroup.QUADS,
                Set.of(RegionGroup.QUADS)))
        .isCloseTo(0.6 * -0.05, within(1e-12));
    assertThat(
            experience.shift(
                new CandidateId("leg-press/high"), RegionGroup.QUADS, Set.of(RegionGroup.QUADS)))
        .isZero();
    assertThat(
            Experience.NONE.shift(
                new CandidateId(ID), RegionGroup.QUADS, Set.of(RegionGroup.QUADS)))
        .isZero();
  }

  @Test
  void painCountsByItsMeanAndTakesTheExerciseOutWhenItIsStrongTwice() {
    Experience some =
        Experience.of(List.of(weekly(List.of(hurting(50, 10, 3)), List.of(set(50, 10, 2)))));
    assertThat(some.pain(new CandidateId(ID))).isCloseTo(1.5 / 6, within(1e-12));
    assertThat(some.out(new CandidateId(ID))).isEmpty();
    assertThat(some.anyPain()).isTrue();
    Experience strong =
        Experience.of(List.of(weekly(List.of(hurting(50, 10, 7)), List.of(hurting(50, 10, 6)))));
    assertThat(Words.of(strong.out(new CandidateId(ID)).orElseThrow()))
        .contains("sore knee")
        .contains("7 of 10")
        .contains("Pain decides");
    assertThat(strong.out(new CandidateId("leg-press/high"))).isEmpty();
  }

  @Test
  void whatWasSaidIsSaid() {
    Experience experience =
        Experience.of(
            List.of(
                weekly(
                    List.of(felt(50, 10, "VL", "ERECTORS")),
                    List.of(felt(50, 10, "RF"), hurting(50, 10, 2)))));
    assertThat(RecordWords.of(experience.reports(new CandidateId(ID)).orElseThrow()))
        .containsExactly(
            "This client felt it in the quads in 2, the lower back in 1 of 2 sessions.",
            "It hurt in 1 of the last 2 sessions, sore knee up to 2 of 10.");
    assertThat(experience.byCandidate().keySet()).isEqualTo(Set.of(new CandidateId(ID)));
    assertThat(new Experience(Map.of()).isEmpty()).isTrue();
  }
}
