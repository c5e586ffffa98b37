package istmo.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.PainFlag;
import istmo.core.body.Soreness;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.Family;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.quantity.InvalidInput;
import istmo.core.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Starts without a tape and improvisations, against geometry and facts of the trade. */
class TapelessStartTest {
  private static final Body MAN = Bodies.MAN;
  private static final GymEquipment PLACE = GymEquipment.generic(Set.of());

  private static Candidate candidate(String id) {
    return Catalogue.standard().candidate(id);
  }

  /**
   * Trade (common practice): toes at eleven and one o'clock is a turn-out of 30 degrees. By hand:
   * one and three quarters of a foot of 27 cm are 47 cm.
   */
  @Test
  void aJumpAndLandBecomesCentimetresAndDegrees() {
    Body body = MAN.withFoot(0.27);
    TapelessStart.Found found =
        TapelessStart.JUMP_AND_LAND.found(
            body,
            PLACE,
            Optional.of(candidate("back-squat/high-bar")),
            Map.of("footLengths", 1.75, "minutes", 5.0));
    assertThat(found.setup().get("stance")).isCloseTo(0.4725, within(1e-9));
    assertThat(found.setup().get("toeOut")).isEqualTo(30);
    assertThat(Words.of(found.place())).isEqualTo("Ankles 47\u00a0cm apart, toes 30° out.");
  }

  /**
   * As low as the heels stay down at the depth that is reached: a step lower less of it is, higher
   * feet give no more. A stiffer ankle stands higher.
   */
  @ParameterizedTest
  @ValueSource(doubles = {26, 32, 38})
  void theLowestFeetAreThoseWhoseHeelsJustStayDown(double ankle) {
    Body body = MAN.withDorsiflexionLimit(Math.toRadians(ankle));
    double height = lowestFeet(body);
    int deepest = deepest(body, height);
    assertThat(deepest(body, height - 0.02)).isLessThan(deepest);
    for (double higher = 0.02; higher < 0.12; higher += 0.02) {
      assertThat(deepest(body, height + higher)).isLessThanOrEqualTo(deepest + 1);
    }
    assertThat(lowestFeet(body.withDorsiflexionLimit(Math.toRadians(ankle - 6))))
        .isGreaterThan(height);
  }

  private static double lowestFeet(Body body) {
    return TapelessStart.HEELS_STAY_DOWN
        .found(body, PLACE, Optional.of(candidate("leg-press/low")), Map.of())
        .setup()
        .get("footHeight");
  }

  /** The most whole degrees of knee bend up to the wished one with feet at a height; 0 for none. */
  private static int deepest(Body body, double height) {
    Candidate low = candidate("leg-press/low");
    Family family = low.exercise().family();
    Map<String, Double> values = new LinkedHashMap<>(low.usual().values());
    values.put("footHeight", height);
    double wished = values.get("kneeDepth");
    for (double bend = wished; bend >= 60; bend--) {
      values.put("kneeDepth", bend);
      if (Reach.obstacle(body, family, Setup.of(family.parameters(), values)).isEmpty()) {
        return (int) bend;
      }
    }
    return 0;
  }

  @Test
  void aShortPlateEndsTheSearchBeforeTheAnkleDoes() {
    GymEquipment small =
        GymEquipment.generic(Set.of(Equipment.LEG_PRESS))
            .with(Equipment.LEG_PRESS, "plateLow", 0.2);
    assertThat(
            TapelessStart.HEELS_STAY_DOWN
                .found(MAN, small, Optional.of(candidate("leg-press/low")), Map.of())
                .setup()
                .get("footHeight"))
        .isGreaterThanOrEqualTo(0.2 - 1e-9);
  }

  /**
   * By the triangle of straight leg, bench and floor; a higher bench brings the heel nearer, a
   * longer leg further.
   */
  @Test
  void theReachedHeelFollowsTheStraightLeg() {
    double stride = TapelessStart.strideM(MAN, 0.43);
    double across = stride + 0.10 + istmo.core.anatomy.Segments.ANKLE_FROM_HEEL * MAN.footM();
    double down = 0.43 + 0.09 - MAN.ankleHeightM();
    assertThat(Math.hypot(across, down)).isCloseTo(MAN.thighM() + MAN.shankM(), within(1e-9));
    assertThat(stride).as("within what coaches set up").isBetween(0.4, 0.8);
    assertThat(TapelessStart.strideM(MAN, 0.55)).isLessThan(stride);
    assertThat(
            TapelessStart.strideM(
                MAN.withLengths(MAN.thighM() + 0.03, MAN.shankM(), MAN.trunkM()), 0.43))
        .isGreaterThan(stride);
    assertThat(
            TapelessStart.SIT_AND_REACH
                .found(MAN, PLACE, Optional.empty(), Map.of("benchHeight", 43.0))
                .setup())
        .as("without an exercise, words")
        .isEmpty();
    Map<String, Double> found =
        TapelessStart.SIT_AND_REACH
            .found(
                MAN,
                PLACE,
                Optional.of(candidate("rear-raised-split-squat/upright")),
                Map.of("benchHeight", 43.0))
            .setup();
    assertThat(found.get("rearHeight")).isEqualTo(0.43);
    assertThat(found.get("stride"))
        .isCloseTo(across - 0.10, within(1e-9))
        .isCloseTo(
            candidate("rear-raised-split-squat/upright")
                .usual()
                .get(
                    Catalogue.standard()
                        .exercise("rear-raised-split-squat")
                        .family()
                        .parameters()
                        .stream()
                        .filter(parameter -> parameter.id().equals("stride"))
                        .findFirst()
                        .orElseThrow()),
            within(0.12));
  }

  /** The stride that the cue teaches (common practice) is one that the rear hip can open to. */
  @ParameterizedTest
  @ValueSource(doubles = {0.38, 0.43, 0.48})
  void theReachedStrideCanBeStoodIn(double bench) {
    double stride =
        TapelessStart.strideM(MAN, bench)
            + istmo.core.anatomy.Segments.ANKLE_FROM_HEEL * MAN.footM();
    Map<String, Double> values =
        Map.of("rear", 1.0, "rearShare", 0.16, "rearHeight", bench, "stride", stride, "lean", 28.0);
    assertThat(Bodies.analysis(MAN, "split", values).limitKg()).isGreaterThan(10);
  }

  @Test
  void eachExerciseOffersWhatSuitsItAndBadAnswersAreNamed() {
    assertThat(TapelessStart.of(candidate("back-squat/high-bar")))
        .containsExactly(TapelessStart.JUMP_AND_LAND);
    assertThat(TapelessStart.of(candidate("leg-press/low")))
        .containsExactly(TapelessStart.HEELS_STAY_DOWN);
    assertThat(TapelessStart.of(candidate("seated-leg-curl/usual"))).isEmpty();
    assertThat(TapelessStart.of(candidate("rear-raised-split-squat/lean")))
        .containsExactly(TapelessStart.SIT_AND_REACH);
    assertThat(TapelessStart.of(candidate("split-squat/upright")))
        .as("the rear foot stands on the floor")
        .isEmpty();
    assertThatThrownBy(
            () ->
                TapelessStart.JUMP_AND_LAND.found(
                    MAN,
                    PLACE,
                    Optional.of(candidate("back-squat/high-bar")),
                    Map.of("footLengths", 9.0)))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.faults())
                    .extracting(InvalidInput.Fault::field)
                    .containsExactly("answers.footLengths", "answers.minutes"));
    assertThatThrownBy(
            () ->
                TapelessStart.JUMP_AND_LAND.found(
                    MAN,
                    PLACE,
                    Optional.of(candidate("back-squat/high-bar")),
                    Map.of("footLengths", 4.0, "minutes", 3.0)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("setup.stance");
    assertThatThrownBy(
            () ->
                TapelessStart.HEELS_STAY_DOWN.found(
                    MAN, PLACE, Optional.of(candidate("back-squat/high-bar")), Map.of()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("candidateId");
  }

  /**
   * Trade (common practice): a plate of about 4 cm for an improvised standing calf raise; 15 cm
   * between the feet on the press.
   */
  @Test
  void anImprovisationHasItsCentimetresAndItsSafetyPoints() {
    List<Improvisation> calf =
        Improvisation.instead(
            List.of(Equipment.STANDING_CALF),
            Set.of(Equipment.FIXED_TRACK, Equipment.LEG_PRESS),
            MAN,
            Cautions.none());
    assertThat(calf)
        .extracting(Improvisation::title)
        .containsExactly(
            "Calf raise under the fixed-track bar, on a plate", "Calf raise on the leg press");
    double shoulder = 100 * (MAN.ankleHeightM() + MAN.shankM() + MAN.thighM() + MAN.trunkM());
    assertThat(calf.get(0).setUp().get(0)).contains("4\u00a0cm");
    assertThat(calf.get(0).setUp().get(1))
        .contains(
            String.format(java.util.Locale.ROOT, "%.0f\u00a0cm from the floor", shoulder - 2));
    assertThat(calf.get(1).setUp().get(0)).contains("15\u00a0cm");
    assertThat(calf).allSatisfy(improvisation -> assertThat(improvisation.safety()).isNotEmpty());
    assertThat(Improvisation.all())
        .allSatisfy(improvisation -> assertThat(improvisation.setUp()).isNotEmpty())
        .allSatisfy(improvisation -> assertThat(improvisation.safety()).isNotEmpty());
  }

  @Test
  void anImprovisationNeedsWhatItNeedsAndSparesSoreJoints() {
    assertThat(
            Improvisation.instead(
                List.of(Equipment.STANDING_CALF), Set.of(Equipment.BARBELL), MAN, Cautions.none()))
        .isEmpty();
    Cautions ankle = new Cautions(List.of(Soreness.leaveOut(PainFlag.ANKLE)), List.of(), List.of());
    assertThat(
            Improvisation.instead(
                List.of(Equipment.STANDING_CALF),
                Set.of(Equipment.FIXED_TRACK, Equipment.LEG_PRESS),
                MAN,
                ankle))
        .isEmpty();
  }
}
