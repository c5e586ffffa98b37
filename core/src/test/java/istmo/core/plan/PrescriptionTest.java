package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Loading;
import istmo.core.equipment.Plates;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.LoadRule;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.mechanics.Tempo;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Week;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import istmo.core.training.LoadEstimate;
import istmo.core.training.PerformedSet;
import istmo.core.words.Said;
import istmo.core.words.SessionWords;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Prescriptions and what follows from them: loads, order in the session, swaps, blocks. Facts
 * without a source are common practice.
 */
class PrescriptionTest {
  private static final Aim LEGS =
      Aim.of(Map.of("VL", 2, "BFL", 2, "GMAXM", 2, "GASM", 1, "SOL", 1), Set.of());
  private static final GymEquipment GYM =
      new GymEquipment(
          Plans.EVERYTHING.items(),
          Map.of(),
          new Plates(Map.of(20.0, 4, 15.0, 1, 10.0, 2, 5.0, 2, 2.5, 2, 1.25, 1)));

  private static Offers offers(TrainingAge age, PainFlag... sore) {
    return Plans.real(LEGS, age, GYM, sore);
  }

  /**
   * Beginners three sets, later four; calves 15 to 25 with two seconds low; thrusts with a hold at
   * the top; exhausting one-leg work two sets.
   */
  @Test
  void defaultsOfTheTrade() {
    Offers beginner = offers(TrainingAge.WEEKS);
    Offers later = offers(TrainingAge.MONTHS);
    assertThat(beginner.get("leg-press/high").usual())
        .satisfies(
            prescription -> assertThat(prescription.sets()).isEqualTo(3),
            prescription -> assertThat(prescription.reserve()).isEqualTo(3));
    assertThat(later.get("leg-press/high").usual().sets()).isEqualTo(4);
    assertThat(later.get("hip-thrust/dumbbell").usual())
        .as("with too light a weight up to 20")
        .satisfies(
            prescription -> assertThat(prescription.repetitionsLow()).isEqualTo(15),
            prescription -> assertThat(prescription.repetitionsHigh()).isEqualTo(20));
    assertThat(later.get("seated-calf-raise/usual").usual())
        .satisfies(
            prescription -> assertThat(prescription.repetitionsLow()).isEqualTo(15),
            prescription -> assertThat(prescription.repetitionsHigh()).isEqualTo(25),
            prescription -> assertThat(prescription.tempo().lowS()).isBetween(2.0, 3.0));
    assertThat(later.get("hip-thrust/usual").usual().tempo().topS()).isBetween(1.0, 2.0);
    assertThat(later.get("split-squat/lean").usual().sets()).isEqualTo(2);
    assertThat(Prescriber.mostSets(Optional.of(TrainingAge.YEARS), false)).isEqualTo(6);
  }

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

  /**
   * By hand: 60 kg for 8 with 2 in reserve is ten to failure; for 12 with 2 that is fourteen:
   * factors (1 + 10/30 + 36/27) / 2 = 1.3333 and (1 + 14/30 + 36/23) / 2 = 1.5159: 60 x 1.3333 /
   * 1.5159 = 52.8, and 52.5 can be made.
   */
  @Test
  void aRecordMakesTheLoad() {
    Offer squat = offers(TrainingAge.MONTHS).get("back-squat/high-bar");
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
    assertThat(Words.of(load.basis())).isEqualTo("from 60 kg for 8, 2 in reserve, on 19 Nov 2026");
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
  void ascendingSetsGetHeavierAndDropsLighter() {
    Offer squat = offers(TrainingAge.MONTHS).get("back-squat/high-bar");
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
    Offer squat = offers(TrainingAge.MONTHS).get("back-squat/high-bar");
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
    Offer squat = offers(TrainingAge.MONTHS).get("back-squat/high-bar");
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
    Offer squat = offers(TrainingAge.MONTHS).get("back-squat/high-bar");
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

  @Test
  void withoutAnyLiftNothingIsInvented() {
    WorkingLoad load =
        WorkingLoad.of(
            offers(TrainingAge.WEEKS).get("leg-press/high"),
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
        .extracting(bout -> bout.items().get(0).candidateId())
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
    assertThat(sorted.get(0).items().get(0).candidateId()).isEqualTo("seated-leg-curl/usual");
    assertThat(Words.of(sore.reason(sorted.get(0)))).contains("sore knee");
    assertThat(sore.remarks(sorted)).isEmpty();
  }

  private static List<Bout> bouts(Offers offers, String... ids) {
    return Arrays.stream(ids).map(id -> Bout.of(Plans.item(id, offers.get(id).usual()))).toList();
  }

  @Test
  void aSwapDoesTheSameJobWithoutWhatIsTakenOrHurts() {
    Offers offers = offers(TrainingAge.MONTHS);
    List<Swap> curls =
        Swap.of(
            offers.get("seated-leg-curl/usual"), offers, LEGS, Set.of(), Set.of(), List.of(), 5);
    assertThat(curls.get(0).offer().functions())
        .as("another knee flexion")
        .contains(Function.KNEE_FLEXION);
    assertThat(curls).extracting(Swap::alike).allSatisfy(a -> assertThat(a).isBetween(0.0, 1.0));
    String first = curls.get(0).offer().candidateId();
    Set<Equipment> taken = offers.get(first).needs();
    assertThat(
            Swap.of(
                offers.get("seated-leg-curl/usual"), offers, LEGS, taken, Set.of(), List.of(), 5))
        .noneMatch(swap -> swap.offer().needs().stream().anyMatch(taken::contains));
    assertThat(
            Swap.of(
                offers.get("leg-press/high"),
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
                offers.get("seated-leg-curl/usual"),
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
            Remarks.of(offers.get("split-squat/lean"), Plans.THREE_OF_TEN, LEGS, rightIsStronger))
        .contains(new Remarks.WeakerLegFirst(Side.LEFT));
    assertThat(
            Remarks.of(offers.get("hip-thrust/usual"), Plans.THREE_OF_TEN, LEGS, Profile.unknown()))
        .contains(new Remarks.ToFullExtension());
    assertThat(
            Remarks.of(
                offers.get("kneeling-curl/usual"), Plans.THREE_OF_TEN, LEGS, Profile.unknown()))
        .contains(new Remarks.Ladder());
  }

  @ParameterizedTest
  @ValueSource(ints = {4, 5, 6, 7, 8})
  void aBlockRisesThenEasesAndTests(int weeks) {
    for (TrainingAge age : TrainingAge.values()) {
      Block block = Block.of(weeks, Optional.of(age));
      assertThat(block.weeks()).hasSize(weeks);
      assertThat(block.weeks().get(weeks - 1).kind()).isEqualTo(Block.Kind.RETEST);
      List<Block.Step> building =
          block.weeks().stream().filter(step -> step.kind() == Block.Kind.BUILD).toList();
      assertThat(building).extracting(Block.Step::load).isSorted().doesNotHaveDuplicates();
      assertThat(building).extracting(Block.Step::addedSets).isSorted();
      assertThat(building)
          .extracting(Block.Step::addedReserve)
          .isSortedAccordingTo((first, second) -> Double.compare(second, first));
      assertThat(block.weeks().stream().filter(step -> step.kind() == Block.Kind.EASIER).count())
          .isEqualTo(weeks >= 7 && age != TrainingAge.WEEKS ? 1 : 0);
      assertThat(building.get(building.size() - 1).load())
          .as("no more than a tenth and a half in a block")
          .isLessThanOrEqualTo(1.16);
    }
  }

  @Test
  void aBlockIsAppliedToTheWeek() {
    Prescription prescription = new Prescription(3, 8, 12, 2, Tempo.USUAL, 120, Scheme.DROP);
    Week week =
        new Week(
            List.of(
                new Day(
                    1,
                    60,
                    false,
                    List.of(
                        Bout.of(Plans.item("aimed", prescription)),
                        Bout.of(Plans.item("other", prescription))))));
    Block block = Block.of(6, Optional.of(TrainingAge.MONTHS));
    Week fifth =
        Block.applied(week, block.weeks().get(4), "aimed"::equals, Optional.of(TrainingAge.MONTHS));
    assertThat(fifth.items()).extracting(item -> item.prescription().sets()).containsExactly(4, 3);
    assertThat(fifth.items().get(0).prescription().reserve()).isEqualTo(1);
    Week last =
        Block.applied(week, block.weeks().get(5), "aimed"::equals, Optional.of(TrainingAge.MONTHS));
    assertThat(last.items())
        .allSatisfy(
            item ->
                assertThat(item.prescription())
                    .satisfies(
                        easier -> assertThat(easier.sets()).isEqualTo(2),
                        easier -> assertThat(easier.reserve()).isEqualTo(4),
                        easier -> assertThat(easier.scheme()).isEqualTo(Scheme.STRAIGHT)));
    assertThatThrownBy(() -> Block.of(3, Optional.empty()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("4 to 8");
  }

  @ParameterizedTest
  @CsvSource({"3,0,4", "3,1,4", "3,2,3", "3,3,3", "1,3,1", "5,4,1", "5,20,1"})
  void afterMissedWeeks(int lastDone, int missed, int goOn) {
    assertThat(Block.goOnWith(lastDone, missed)).isEqualTo(goOn);
    if (missed > 0) {
      assertThat(Words.of(Block.missed(missed))).isNotBlank();
    }
  }

  @Test
  void aPlateThatTheGymLacksIsNotPrescribed() {
    Offer squat = offers(TrainingAge.MONTHS).get("back-squat/high-bar");
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
