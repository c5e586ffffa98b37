package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import istmo.core.anatomy.Region;
import istmo.core.body.Caution;
import istmo.core.body.Cautions;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.body.Restriction;
import istmo.core.body.SoreMovement;
import istmo.core.body.Soreness;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Movement;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Item;
import istmo.core.plan.Planned.Week;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.criterion.Admission;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What is not computed can be planned by word, and no order or search proposes it. */
class ByWordTest {
  private static final Aim AIM = Aim.of(Map.of("GMAXM", 3, "VL", 2), Set.of());
  private static final GymEquipment GYM =
      GymEquipment.generic(
          Set.of(
              Equipment.KETTLEBELL,
              Equipment.BANDS,
              Equipment.BOX,
              Equipment.BARBELL,
              Equipment.RACK,
              Equipment.LEG_PRESS));
  private static final Offers OFFERS = Plans.real(AIM, TrainingAge.YEARS, GYM);

  private static ByWord exercise(String id) {
    return Catalogue.standard().byWord().stream()
        .filter(byWord -> byWord.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private static Optional<String> refusal(Cautions cautions, String id) {
    return Admission.refusal(cautions, exercise(id)).map(Cautions.Refusal::why).map(Words::of);
  }

  private static ByWord own(
      Set<Movement> does, Set<Region> mainly, Set<Region> partly, String repetitions) {
    return new ByWord(
        ByWord.ownId("k"),
        "Duck walk",
        List.of(),
        Set.of(),
        does,
        mainly,
        partly,
        ByWord.Bend.DEEP,
        ByWord.Bend.DEEP,
        ByWord.Back.NONE,
        false,
        false,
        Map.of(),
        Map.of(),
        repetitions,
        1,
        List.of(),
        List.of(),
        List.of(),
        "",
        Optional.empty());
  }

  /** One effective set for what a set trains mainly, half a one for what it trains partly. */
  @Test
  void itCountsInAWeekByItsWord() {
    Prescription prescription =
        OFFERS.get(new CandidateId("kettlebell-swing/by-word")).usual().withSets(3);
    Week week =
        new Week(
            List.of(
                Plans.day(
                    60,
                    Bout.of(
                        new Item(
                            "a",
                            new CandidateId("kettlebell-swing/by-word"),
                            prescription,
                            true)))));
    Coverage coverage =
        Coverage.of(week, OFFERS, Targets.of(AIM, Optional.empty(), false, OFFERS.all()));
    assertThat(coverage.sets().get(Region.GMAXM)).isCloseTo(prescription.hardSets(), offset(1e-9));
    assertThat(coverage.sets().get(Region.GMAXU))
        .isCloseTo(0.5 * prescription.hardSets(), offset(1e-9));
    assertThat(coverage.sets().get(Region.VL)).isZero();
    assertThat(Timing.of(week.days().get(0), OFFERS).minutes()).isGreaterThan(3);
  }

  @Test
  void noOrderAndNoSubstituteProposesIt() {
    assertThat(OFFERS.byWord()).isNotEmpty().allMatch(Offer::byWord);
    assertThat(OFFERS.all()).isNotEmpty().noneMatch(Offer::byWord);
    assertThat(
            Swap.of(
                OFFERS.get(new CandidateId("kettlebell-swing/by-word")),
                OFFERS,
                AIM,
                Set.of(),
                Set.of(),
                List.of(),
                6))
        .isNotEmpty()
        .noneMatch(swap -> swap.offer().byWord());
  }

  /** The search plans around it and does not take it away. */
  @Test
  void aWeekIsComposedAroundIt() {
    Prescription prescription =
        OFFERS.get(new CandidateId("kettlebell-swing/by-word")).usual().withSets(4);
    Item swing = new Item("swing", new CandidateId("kettlebell-swing/by-word"), prescription, true);
    Task task =
        new Task(
            OFFERS,
            Targets.of(AIM, Optional.of(TrainingAge.YEARS), false, OFFERS.all()),
            List.of(Plans.day(50, Bout.of(swing))),
            Pairing.NONE,
            true,
            Optional.of(TrainingAge.YEARS));
    Composer.Answer found = new Composer(task).compose(2, progress -> {}).orElseThrow();
    Week week =
        Composition.week(task, found, bouts -> bouts, () -> java.util.UUID.randomUUID().toString());
    assertThat(week.items()).contains(swing);
    assertThat(week.items().stream().filter(item -> !item.equals(swing)))
        .isNotEmpty()
        .noneMatch(item -> item.candidateId().text().endsWith("/by-word"));
    assertThat(Timing.of(week.days().get(0), OFFERS).minutes()).isLessThanOrEqualTo(50);
  }

  @Test
  void itSaysWhatTheGymLacks() {
    assertThat(OFFERS.find(new CandidateId("sled-push/by-word"))).isEmpty();
    assertThat(Words.of(OFFERS.whyNot(new CandidateId("sled-push/by-word"))))
        .isEqualTo("Sled push is left out. Not here: push sled.");
  }

  /** Common practice: what cautions leave out of computed exercises, they leave out of these. */
  @Test
  void cautionsHoldForItToo() {
    Cautions back =
        new Cautions(
            List.of(),
            List.of(new Cautions.Entry(Caution.BACK_CONDITION, Optional.empty())),
            List.of());
    assertThat(refusal(back, "kettlebell-swing")).get().asString().contains("back condition");
    assertThat(refusal(back, "band-walk")).isEmpty();
    Cautions newKnee =
        new Cautions(
            List.of(),
            List.of(new Cautions.Entry(Caution.KNEE_REPLACEMENT, Optional.empty())),
            List.of());
    assertThat(refusal(newKnee, "landmine-squat"))
        .contains("It is said to bend the knee to 130°; 90° is the most that is allowed now.");
    assertThat(refusal(newKnee, "wall-sit")).isEmpty();
    Cautions cleared =
        new Cautions(
            List.of(),
            List.of(
                new Cautions.Entry(
                    Caution.KNEE_REPLACEMENT,
                    Optional.of(new Cautions.Clearance("The surgeon", LocalDate.of(2026, 9, 1))))),
            List.of());
    assertThat(refusal(cleared, "landmine-squat")).isEmpty();
  }

  @Test
  void whatWaitsForAClearanceWaits() {
    Cautions graft =
        new Cautions(
            List.of(),
            List.of(new Cautions.Entry(Caution.KNEE_LIGAMENT, Optional.empty())),
            List.of());
    assertThat(refusal(graft, "jump")).get().asString().startsWith("Knee ligament surgery: ");
    assertThat(refusal(graft, "sled-push")).isEmpty();
  }

  @Test
  void aCliniciansWordGoesFirst() {
    Cautions restricted =
        new Cautions(
            List.of(),
            List.of(),
            List.of(
                new Restriction(
                    "Dr Example",
                    LocalDate.of(2026, 9, 1),
                    "No load on the back",
                    Optional.of(70.0),
                    Optional.empty(),
                    true)));
    assertThat(refusal(restricted, "landmine-squat"))
        .contains("Restriction by Dr Example: No load on the back");
    assertThat(refusal(restricted, "wall-sit")).get().asString().contains("70°");
    assertThat(refusal(restricted, "hip-hike")).isEmpty();
  }

  @Test
  void whatIsSoreTakesItOut() {
    Cautions knee = new Cautions(List.of(Soreness.leaveOut(PainFlag.KNEE)), List.of(), List.of());
    assertThat(refusal(knee, "jump")).get().asString().startsWith("Sore knee: Landing");
    Cautions deep =
        new Cautions(
            List.of(
                new Soreness(
                    PainFlag.KNEE, Set.of(SoreMovement.DEEP_KNEE), Soreness.Approach.LEAVE_OUT)),
            List.of(),
            List.of());
    assertThat(refusal(deep, "landmine-squat")).isPresent();
    assertThat(refusal(deep, "wall-sit")).isEmpty();
  }

  @Test
  void everythingThatIsWrongIsNamedAtOnce() {
    assertThatThrownBy(() -> own(Set.of(), Set.of(), Set.of(), "12-8"))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.faults().stream().map(InvalidInput.Fault::field))
                    .containsExactlyInAnyOrder("mainly", "does", "repetitions"));
    assertThatThrownBy(
            () ->
                own(Set.of(Movement.KNEE_EXTENSION), Set.of(Region.VL), Set.of(Region.VL), "8-12"))
        .hasMessageContaining("partly");
    assertThatThrownBy(() -> own(Set.of(Movement.KNEE_EXTENSION), Set.of(), Set.of(), "0-12"))
        .hasMessageContaining("mainly")
        .hasMessageContaining("repetitions");
    assertThat(
            own(Set.of(Movement.KNEE_EXTENSION), Set.of(Region.VL), Set.of(Region.RF), "8-12")
                .told()
                .own())
        .isTrue();
  }

  /** What is accepted must be fit for a plan, or one exercise would spoil every plan. */
  @Test
  void theWidestRangeOfRepetitionsCanBePrescribed() {
    ByWord wide = own(Set.of(Movement.KNEE_EXTENSION), Set.of(Region.VL), Set.of(), "1-60");
    Prescription prescription = Prescriber.usual(wide, Role.of(wide), false, Optional.empty());
    assertThat(prescription.repetitionsLow()).isEqualTo(1);
    assertThat(prescription.repetitionsHigh()).isEqualTo(60);
    assertThatThrownBy(
            () -> own(Set.of(Movement.KNEE_EXTENSION), Set.of(Region.VL), Set.of(), "50-61"))
        .hasMessageContaining("1 to 60");
  }

  /** A word says what a computed exercise of the kind does: regions, functions, place. */
  @Test
  void placeAndFunctionsFollowFromWhatItDoes() {
    assertThat(Role.of(exercise("landmine-squat"))).isEqualTo(Role.HEAVY);
    assertThat(Role.of(exercise("kettlebell-swing"))).isEqualTo(Role.COMPOUND);
    assertThat(Role.of(exercise("wall-shin-raise"))).isEqualTo(Role.SHIN);
    assertThat(Role.of(exercise("toe-direction-calf"))).isEqualTo(Role.CALF_STRAIGHT);
    assertThat(Role.of(exercise("clam"))).isEqualTo(Role.SINGLE);
    assertThat(Function.HIP_EXTENSION_HAMSTRINGS.trainedBy(exercise("kettlebell-swing"))).isTrue();
    assertThat(Function.HIP_EXTENSION_HAMSTRINGS.trainedBy(exercise("landmine-squat"))).isFalse();
    assertThat(Function.KNEE_AND_HIP.trainedBy(exercise("landmine-squat"))).isTrue();
    assertThat(Function.HIP_ABDUCTION.trainedBy(exercise("band-walk"))).isTrue();
  }

  @Test
  void noNameStandsForTwoExercises() {
    Set<String> computed =
        Catalogue.standard().exercises().stream()
            .map(exercise -> exercise.name().toLowerCase())
            .collect(Collectors.toSet());
    assertThat(Catalogue.standard().byWord())
        .hasSizeGreaterThan(20)
        .allSatisfy(
            byWord -> {
              assertThat(computed).doesNotContain(byWord.name().toLowerCase());
              assertThat(byWord.cues()).as(byWord.name()).isNotEmpty();
              assertThat(byWord.stopSigns()).as(byWord.name()).isNotEmpty();
              assertThat(Words.of(byWord.told())).contains("not computed");
            });
  }

  /** What was used by word once and is computed now keeps its name in records and in no list. */
  @Test
  void whatIsComputedNowIsNamedAndNotOffered() {
    Catalogue catalogue = Catalogue.standard();
    assertThat(catalogue.byWord()).noneMatch(exercise -> exercise.id().equals("dumbbell-thrust"));
    assertThat(catalogue.onceByWord())
        .extracting(ByWord::id)
        .contains("dumbbell-thrust", "staggered-thrust", "wide-dumbbell-squat");
    assertThat(catalogue.trainable(new CandidateId("dumbbell-thrust/by-word"))).isPresent();
    assertThat(catalogue.candidate("hip-thrust/dumbbell").needs())
        .containsExactlyInAnyOrder(Equipment.DUMBBELLS, Equipment.BENCH);
    assertThat(Words.of(new ByWord.ComputedNow("Hip thrust with a dumbbell")))
        .isEqualTo("Istmo computes it now: swap it for \"Hip thrust with a dumbbell\".");
  }
}
