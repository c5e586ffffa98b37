package istmo.core.plan;

import static istmo.core.plan.PrescriptionCases.GYM;
import static istmo.core.plan.PrescriptionCases.LEGS;
import static istmo.core.plan.PrescriptionCases.offers;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Loading;
import istmo.core.equipment.Plates;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Planned.Bout;
import istmo.core.training.LoadEstimate;
import istmo.core.training.PerformedSet;
import istmo.core.words.Said;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Prescriptions and what follows from them: loads, order in the session, swaps, blocks. Facts
 * without a source are common practice.
 */
class PrescriptionTest {
  /**
   * Beginners three sets, later four; calves 15 to 25 with two seconds low; thrusts with a hold at
   * the top; exhausting one-leg work two sets.
   */
  @Test
  void defaultsOfTheTrade() {
    Offers beginner = offers(TrainingAge.WEEKS);
    Offers later = offers(TrainingAge.MONTHS);
    assertThat(beginner.get(new CandidateId("leg-press/high")).usual())
        .satisfies(
            prescription -> assertThat(prescription.sets()).isEqualTo(3),
            prescription -> assertThat(prescription.reserve()).isEqualTo(3));
    assertThat(later.get(new CandidateId("leg-press/high")).usual().sets()).isEqualTo(4);
    assertThat(later.get(new CandidateId("hip-thrust/dumbbell")).usual())
        .as("with too light a weight up to 20")
        .satisfies(
            prescription -> assertThat(prescription.repetitionsLow()).isEqualTo(15),
            prescription -> assertThat(prescription.repetitionsHigh()).isEqualTo(20));
    assertThat(later.get(new CandidateId("seated-calf-raise/usual")).usual())
        .satisfies(
            prescription -> assertThat(prescription.repetitionsLow()).isEqualTo(15),
            prescription -> assertThat(prescription.repetitionsHigh()).isEqualTo(25),
            prescription -> assertThat(prescription.tempo().lowS()).isBetween(2.0, 3.0));
    assertThat(later.get(new CandidateId("hip-thrust/usual")).usual().tempo().topS())
        .isBetween(1.0, 2.0);
    assertThat(later.get(new CandidateId("split-squat/lean")).usual().sets()).isEqualTo(2);
    assertThat(Prescriber.mostSets(Optional.of(TrainingAge.YEARS), false)).isEqualTo(6);
  }

  /**
   * By hand: 60 kg for 8 with 2 in reserve is ten to failure; for 12 with 2 that is fourteen:
   * factors (1 + 10/30 + 36/27) / 2 = 1.3333 and (1 + 14/30 + 36/23) / 2 = 1.5159: 60 x 1.3333 /
   * 1.5159 = 52.8, and 52.5 can be made.
   */
  @Test
  void aRecordMakesTheLoad() {
    Offer squat = offers(TrainingAge.MONTHS).get(new CandidateId("back-squat/high-bar"));
    WorkingLoad.Recorded last =
        WorkingLoad.Recorded.bestOf(
                List.of(
                    new PerformedSet(50, 8, 2),
                    new PerformedSet(60, 8, 2),
                    new PerformedSet(60, 7, 2)),
                LocalDate.of(2026, 11, 19))
            .orElseThrow();
    WorkingLoad load =
        WorkingLoad.of(
            squat,
            new Prescription(3, 12, 12, 2, Tempo.USUAL, 120, Scheme.STRAIGHT),
            GYM,
            Optional.of(last),
            1);
    assertThat(load.lowKg()).isCloseTo(52.8, offset(0.05));
    assertThat(Words.of(load.basis()))
        .isEqualTo("from 60\u00a0kg for 8, 2 in reserve, on 19 Nov 2026");
    assertThat(load.sets())
        .allSatisfy(line -> assertThat(line.load().orElseThrow().kg()).isEqualTo(52.5));
    assertThat(load.sets().get(0).putOn()).containsExactly(15.0, 1.25);
    assertThat(load.sets().get(1).putOn()).as("nothing changes").isEmpty();
    assertThat(load.warmUps())
        .hasSizeBetween(1, 3)
        .isSortedAccordingTo(
            (first, second) -> Double.compare(first.load().kg(), second.load().kg()));
    assertThat(load.warmUps())
        .extracting(WorkingLoad.WarmUp::repetitions)
        .isSortedAccordingTo((first, second) -> second - first);
  }

  @Test
  void withoutAnyLiftNothingIsInvented() {
    WorkingLoad load =
        WorkingLoad.of(
            offers(TrainingAge.WEEKS).get(new CandidateId("leg-press/high")),
            Plans.THREE_OF_TEN,
            GYM,
            Optional.empty(),
            1);
    assertThat(load.basis()).isEqualTo(new WorkingLoad.Unknown(false));
    assertThat(load.sets()).allSatisfy(line -> assertThat(line.load()).isEmpty());
    assertThat(load.warmUps()).isEmpty();
  }

  @Test
  void anEstimateFollowsTheRepetitions() {
    LoadEstimate ten =
        new LoadEstimate(40, 60, "8-12", new LoadEstimate.Basis(LoadEstimate.From.MODEL, 1));
    assertThat(ten.forRepetitions(12, "8-12", 0, 2.5))
        .as("the same repetitions, two in reserve")
        .satisfies(
            estimate -> assertThat(estimate.lowKg()).isEqualTo(40),
            estimate -> assertThat(estimate.highKg()).isEqualTo(60));
    assertThat(ten.forRepetitions(22, "20", 0, 2.5).highKg()).isLessThan(50);
    assertThat(ten.forRepetitions(5, "3", 0, 2.5).lowKg()).isGreaterThan(42.5);
  }

  /** Heavy and demanding first, one joint after, calves last and seated last of all. */
  @Test
  void theOrderOfASession() {
    Offers offers = offers(TrainingAge.MONTHS);
    Arrangement arrangement = new Arrangement(offers, LEGS, Set.of());
    List<Bout> mixed =
        bouts(
            offers,
            "seated-calf-raise/usual",
            "leg-extension/upright",
            "standing-calf-raise/usual",
            "kneeling-curl/usual",
            "leg-press/high",
            "split-squat/lean");
    assertThat(arrangement.of(mixed))
        .extracting(bout -> bout.items().get(0).candidateId().text())
        .containsExactly(
            "leg-press/high",
            "kneeling-curl/usual",
            "split-squat/lean",
            "leg-extension/upright",
            "standing-calf-raise/usual",
            "seated-calf-raise/usual");
    assertThat(arrangement.remarks(arrangement.of(mixed))).isEmpty();
    assertThat(
            Said.all(arrangement.remarks(bouts(offers, "leg-extension/upright", "leg-press/high"))))
        .containsExactly(
            "Leg extension, upright before Leg press, feet high: Leg press, feet high is heavy,"
                + " with the whole leg: first, while everything is fresh.");
  }

  @Test
  void aSoreKneeBeginsWithLightSmoothWork() {
    Offers offers = offers(TrainingAge.MONTHS);
    Arrangement sore = new Arrangement(offers, LEGS, Set.of(PainFlag.KNEE));
    List<Bout> sorted =
        sore.of(
            bouts(offers, "leg-press/high", "seated-leg-curl/usual", "seated-calf-raise/usual"));
    assertThat(sorted.get(0).items().get(0).candidateId()).hasToString("seated-leg-curl/usual");
    assertThat(Words.of(sore.reason(sorted.get(0)))).contains("sore knee");
    assertThat(sore.remarks(sorted)).isEmpty();
  }

  private static List<Bout> bouts(Offers offers, String... ids) {
    return Arrays.stream(ids)
        .map(id -> Bout.of(Plans.item(id, offers.get(new CandidateId(id)).usual())))
        .toList();
  }

  @Test
  void aSwapDoesTheSameJobWithoutWhatIsTakenOrHurts() {
    Offers offers = offers(TrainingAge.MONTHS);
    List<Swap> curls =
        Swap.of(
            offers.get(new CandidateId("seated-leg-curl/usual")),
            offers,
            LEGS,
            Set.of(),
            Set.of(),
            List.of(),
            5);
    assertThat(curls.get(0).offer().functions())
        .as("another knee flexion")
        .contains(Function.KNEE_FLEXION);
    assertThat(curls).extracting(Swap::alike).allSatisfy(a -> assertThat(a).isBetween(0.0, 1.0));
    CandidateId first = curls.get(0).offer().candidateId();
    Set<Equipment> taken = offers.get(first).needs();
    assertThat(
            Swap.of(
                offers.get(new CandidateId("seated-leg-curl/usual")),
                offers,
                LEGS,
                taken,
                Set.of(),
                List.of(),
                5))
        .noneMatch(swap -> swap.offer().needs().stream().anyMatch(taken::contains));
    assertThat(
            Swap.of(
                offers.get(new CandidateId("leg-press/high")),
                offers,
                LEGS,
                Set.of(),
                Set.of(PainFlag.KNEE),
                List.of(),
                8))
        .isNotEmpty()
        .noneMatch(swap -> swap.offer().troubles().contains(PainFlag.KNEE));
    assertThat(
            Swap.of(
                offers.get(new CandidateId("seated-leg-curl/usual")),
                offers,
                LEGS,
                Set.of(),
                Set.of(),
                List.of(first),
                5))
        .noneMatch(swap -> swap.offer().candidateId().equals(first));
  }

  @Test
  void remarksSayTheWeakerLegAndWhatIsTooHeavy() {
    Offers offers = offers(TrainingAge.MONTHS);
    Profile rightIsStronger =
        new Profile(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Set.of(),
            Optional.of(Side.RIGHT),
            "",
            Set.of(),
            Set.of());
    assertThat(
            Remarks.of(
                offers.get(new CandidateId("split-squat/lean")),
                Plans.THREE_OF_TEN,
                LEGS,
                rightIsStronger))
        .contains(new Remarks.WeakerLegFirst(Side.LEFT));
    assertThat(
            Remarks.of(
                offers.get(new CandidateId("hip-thrust/usual")),
                Plans.THREE_OF_TEN,
                LEGS,
                Profile.unknown()))
        .contains(new Remarks.ToFullExtension());
    assertThat(
            Remarks.of(
                offers.get(new CandidateId("kneeling-curl/usual")),
                Plans.THREE_OF_TEN,
                LEGS,
                Profile.unknown()))
        .contains(new Remarks.Ladder());
  }

  @Test
  void aPlateThatTheGymLacksIsNotPrescribed() {
    Offer squat = offers(TrainingAge.MONTHS).get(new CandidateId("back-squat/high-bar"));
    GymEquipment few =
        new GymEquipment(Plans.EVERYTHING.items(), Map.of(), new Plates(Map.of(20.0, 1)));
    Optional<WorkingLoad.Recorded> last =
        Optional.of(
            new WorkingLoad.Recorded(new PerformedSet(100, 8, 2), LocalDate.of(2026, 11, 19)));
    assertThat(WorkingLoad.of(squat, Plans.THREE_OF_TEN, few, last, 1).sets())
        .extracting(line -> line.load().map(Loading::kg).orElse(0.0))
        .containsOnly(60.0);
  }
}
