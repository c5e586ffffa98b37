package istmo.core.plan;

import static istmo.core.plan.PrescriptionCases.GYM;
import static istmo.core.plan.PrescriptionCases.offers;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import istmo.core.anatomy.Region;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.mechanics.Tempo;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import istmo.core.training.PerformedSet;
import istmo.core.words.SessionWords;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Sets that get heavier, lighter or drop. */
class SchemeTest {
  @ParameterizedTest
  @EnumSource(Scheme.class)
  void everySchemeCanBePrescribedForEveryExercise(Scheme scheme) {
    assertThat(offers(TrainingAge.YEARS).all())
        .allSatisfy(
            offer -> {
              Prescription prescription = Prescriber.inScheme(scheme, offer.usual());
              assertThat(prescription.scheme()).isEqualTo(scheme);
              assertThat(prescription.workS(0, offer.oneLeg())).isPositive();
              assertThat(WorkingLoad.of(offer, prescription, GYM, Optional.empty(), 1).sets())
                  .hasSize(prescription.sets() + prescription.drops().map(Drops::number).orElse(0));
            });
  }

  @Test
  void ascendingSetsGetHeavierAndDropsLighter() {
    Offer squat = offers(TrainingAge.MONTHS).get(new CandidateId("back-squat/high-bar"));
    Optional<WorkingLoad.Recorded> last =
        Optional.of(
            new WorkingLoad.Recorded(new PerformedSet(80, 10, 0), LocalDate.of(2026, 11, 19)));
    Prescription usual = new Prescription(3, 8, 12, 2, Tempo.USUAL, 120, Scheme.STRAIGHT);
    List<Double> up =
        WorkingLoad.of(squat, Prescriber.inScheme(Scheme.ASCENDING, usual), GYM, last, 1)
            .sets()
            .stream()
            .map(line -> line.load().orElseThrow().kg())
            .toList();
    assertThat(up).isSorted().doesNotHaveDuplicates();
    List<WorkingLoad.SetLine> drops =
        WorkingLoad.of(squat, Prescriber.inScheme(Scheme.DROP, usual), GYM, last, 1).sets();
    double work = drops.get(2).load().orElseThrow().kg();
    assertThat(drops.get(3).load().orElseThrow().kg())
        .as("a fifth less, as far as plates go")
        .isBetween(0.8 * work - 2.5, 0.8 * work);
    assertThat(drops.get(4).load().orElseThrow().kg()).isBetween(0.64 * work - 2.5, 0.64 * work);
  }

  /** By hand: 100 kg, a tenth less three times after every set: 90, 81, 72.9; plates make them. */
  @Test
  void dropsAreAsManyAndAsLightAsTheCoachSays() {
    Offer squat = offers(TrainingAge.MONTHS).get(new CandidateId("back-squat/high-bar"));
    Optional<WorkingLoad.Recorded> last =
        Optional.of(
            new WorkingLoad.Recorded(new PerformedSet(100, 10, 0), LocalDate.of(2026, 11, 19)));
    Prescription prescription =
        new Prescription(
            2,
            10,
            10,
            0,
            Tempo.USUAL,
            120,
            10,
            Scheme.DROP,
            Optional.of(new Drops(3, 0.1, true, "")));
    List<WorkingLoad.SetLine> lines = WorkingLoad.of(squat, prescription, GYM, last, 1).sets();
    assertThat(lines).extracting(WorkingLoad.SetLine::drop).containsExactly(0, 1, 2, 3, 0, 1, 2, 3);
    assertThat(lines.subList(0, 4))
        .extracting(line -> line.load().orElseThrow().kg())
        .containsExactly(100.0, 90.0, 80.0, 72.5);
    assertThat(prescription.hardSets())
        .as("two sets and six drops of 0.4")
        .isCloseTo(4.4, offset(1e-9));
    assertThat(SessionWords.stringing(prescription))
        .isEqualTo("after every set 3 times 10 % less, at once");
  }

  @Test
  void anEasierSetUpKeepsTheLoad() {
    Offer squat = offers(TrainingAge.MONTHS).get(new CandidateId("back-squat/high-bar"));
    Prescription prescription =
        new Prescription(
            2,
            8,
            12,
            1,
            Tempo.USUAL,
            120,
            10,
            Scheme.EASIER,
            Optional.of(new Drops(1, 0, false, "flat instead of propped")));
    List<WorkingLoad.SetLine> lines =
        WorkingLoad.of(
                squat,
                prescription,
                GYM,
                Optional.of(
                    new WorkingLoad.Recorded(
                        new PerformedSet(80, 10, 0), LocalDate.of(2026, 11, 19))),
                1)
            .sets();
    assertThat(lines.get(2).load()).isEqualTo(lines.get(1).load());
    assertThat(Words.of(lines.get(2).note())).isEqualTo("at once, flat instead of propped");
  }

  /**
   * The load stays while repetitions fall; it is that of the first set. By hand: 80 kg for ten to
   * failure; for thirteen (12 with 1) 80 x 1.3333 / 1.4667 = 72.7.
   */
  @Test
  void fallingRepetitionsKeepTheFirstSetsLoad() {
    Offer squat = offers(TrainingAge.MONTHS).get(new CandidateId("back-squat/high-bar"));
    Prescription prescription =
        Prescriber.inScheme(
            Scheme.FALLING, new Prescription(3, 8, 12, 1, Tempo.USUAL, 120, Scheme.STRAIGHT));
    List<WorkingLoad.SetLine> lines =
        WorkingLoad.of(
                squat,
                prescription,
                GYM,
                Optional.of(
                    new WorkingLoad.Recorded(
                        new PerformedSet(80, 10, 0), LocalDate.of(2026, 11, 19))),
                1)
            .sets();
    assertThat(lines).extracting(WorkingLoad.SetLine::repetitionsHigh).containsExactly(12, 10, 8);
    assertThat(lines).extracting(line -> line.load().orElseThrow().kg()).containsOnly(72.5);
  }

  @Test
  void dropsBelongToSetsWithDrops() {
    Drops lighter = new Drops(2, 0.2, false, "");
    assertThatThrownBy(() -> strung(Scheme.STRAIGHT, Optional.of(lighter)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("drops");
    assertThatThrownBy(() -> strung(Scheme.DROP, Optional.empty()))
        .isInstanceOf(InvalidInput.class);
    assertThatThrownBy(() -> strung(Scheme.EASIER, Optional.of(lighter)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("the load stays");
    assertThatThrownBy(() -> new Drops(0, 0.9, true, "x".repeat(81)))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.faults())
                    .extracting(InvalidInput.Fault::field)
                    .containsExactly("drops.number", "drops.less", "drops.easier"));
  }

  /**
   * Propped the curl is ended by its bent end, flat it carries more; two legs carry more than one
   * (common practice). The other way round nothing is easier.
   */
  @Test
  void aSetGoesOnInTheSetUpsThatCarryMore() {
    Offers offers =
        Plans.real(
            Aim.of(Map.of("BFL", 3, "VL", 3), Set.of()), TrainingAge.YEARS, Plans.EVERYTHING);
    assertThat(easier(offers, "lying-leg-curl/propped")).contains("lying-leg-curl/usual");
    assertThat(easier(offers, "seated-leg-curl/one-leg")).startsWith("seated-leg-curl/usual");
    assertThat(easier(offers, "lying-leg-curl/usual")).doesNotContain("lying-leg-curl/propped");
    Offer byWord = offers.byWord().iterator().next();
    assertThat(offers.easier(byWord)).isEmpty();
  }

  private static List<String> easier(Offers offers, String than) {
    return offers.easier(offers.get(new CandidateId(than))).stream()
        .map(offer -> offer.candidateId().text())
        .toList();
  }

  private static Prescription strung(Scheme scheme, Optional<Drops> drops) {
    return new Prescription(3, 8, 12, 1, Tempo.USUAL, 120, 10, scheme, drops);
  }

  /**
   * What two drops of a fifth count as, and their repetitions, against the simulated set on
   * machines of one joint.
   */
  @ParameterizedTest
  @CsvSource({
    "leg-extension/upright,VI",
    "seated-leg-curl/usual,ST",
    "standing-calf-raise/usual,GASL",
    "abduction-machine/upright,GMEDP"
  })
  void dropsCountAsTheSimulatedSetHasThem(String id, String region) {
    Candidate candidate = Catalogue.standard().candidate(id);
    Exercise exercise = candidate.exercise();
    Analyser analyser = new Analyser(Bodies.LIFTER);
    Analysis analysis =
        (Analysis) analyser.analyse(exercise.family(), candidate.usual(), LoadRule.USUAL);
    List<SimulatedSet> sets =
        analyser.dropSet(
            exercise.family(),
            candidate.usual(),
            List.of(analysis.workingKg(), 0.8 * analysis.workingKg(), 0.64 * analysis.workingKg()),
            Tempo.USUAL);
    List<Double> stimulus =
        sets.stream()
            .map(
                set ->
                    Stimulus.byRegion(
                            new Analysis(
                                analysis.limitKg(),
                                analysis.workingKg(),
                                analysis.stickingPhase(),
                                analysis.limiters(),
                                set,
                                analysis.points(),
                                analysis.cautions(),
                                analysis.notes()),
                            School.STRETCH)
                        .get(Region.of(region)))
            .toList();
    Prescription one = new Prescription(1, 10, 10, 0, Tempo.USUAL, 0, Scheme.DROP);
    assertThat((stimulus.get(1) + stimulus.get(2)) / stimulus.get(0))
        .as("both drops, in sets")
        .isCloseTo(one.hardSets() - 1, offset(0.25));
    assertThat(
            (sets.get(1).repetitions() + sets.get(2).repetitions()) / 2 / sets.get(0).repetitions())
        .as("repetitions of a drop")
        .isCloseTo(Scheme.DROP_REPETITIONS, offset(0.1));
  }
}
