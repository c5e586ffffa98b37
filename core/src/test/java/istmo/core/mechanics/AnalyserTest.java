package istmo.core.mechanics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.GymEquipment;
import istmo.core.movement.Family;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.movement.family.Families;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Vec3;
import istmo.core.words.MovementWords;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class AnalyserTest {
  private static final Body LIFTER = Bodies.LIFTER;

  static Stream<Candidate> candidates() {
    return Catalogue.standard().candidates().stream();
  }

  /**
   * The limit is where posture and strength agree: at the posture of that load, the weakest phase
   * holds just that load.
   */
  @ParameterizedTest
  @MethodSource("candidates")
  void theLimitHoldsAtItsOwnPosture(Candidate candidate) {
    Family family = candidate.exercise().family();
    Setup setup =
        Reach.of(
                LIFTER,
                family,
                candidate.usualFor(LIFTER, GymEquipment.generic(Set.of())),
                candidate.yields())
            .orElseThrow()
            .setup();
    Analysis analysis = (Analysis) new Analyser(LIFTER).analyse(family, setup, LoadRule.USUAL);
    Equilibrium eq = new Equilibrium(LIFTER, new Musculature(LIFTER));
    StrengthLimit limit = new StrengthLimit(eq);
    double least = Double.MAX_VALUE;
    for (int k = 0; k < Analyser.POINTS; k++) {
      eq.set(
          (Posture) family.posture(LIFTER, setup, k / (Analyser.POINTS - 1.0), analysis.limitKg()));
      assertThat(limit.solve()).isTrue();
      least = Math.min(least, limit.limitKg());
    }
    if (analysis
        .limiters()
        .get(0)
        .id()
        .equals(
            Limiter.BALANCE)) { // strength would hold more, but a heavier load cannot be balanced
      assertThat(least).isGreaterThan(analysis.limitKg());
      assertThat(
              family.posture(LIFTER, setup, 0, analysis.limitKg() + 1) instanceof Posture
                  && family.posture(LIFTER, setup, 1, analysis.limitKg() + 1) instanceof Posture)
          .isFalse();
    } else if (analysis.limiters().get(0).id().equals(Limiter.GRIP)) { // the arms end it first
      assertThat(least).isGreaterThan(analysis.limitKg());
    } else {
      assertThat(least).isCloseTo(analysis.limitKg(), within(0.06));
    }
    assertThat(analysis.worstResidualNm()).isLessThan(0.01);
    assertThat(analysis.limiters().stream().mapToDouble(Limiter::share).sum())
        .isCloseTo(1, within(1e-9));
    analysis
        .points()
        .forEach(
            point -> {
              for (double activation : point.activation()) {
                assertThat(activation).isBetween(0.0, 1.0);
              }
            });
  }

  /**
   * What a point reports adds up: loads, muscles by force and arm, unsettled contacts and what is
   * left over, about every joint of the leg.
   */
  @ParameterizedTest
  @ValueSource(strings = {"squat", "hinge", "press", "thrust", "leg-extension", "split"})
  void everyPointAddsUpToNothing(String family) {
    Analysis analysis =
        (Analysis)
            new Analyser(LIFTER)
                .analyse(Families.get(family), Bodies.setup(family, Map.of()), LoadRule.USUAL);
    Musculature musculature = new Musculature(LIFTER);
    for (AnalysisPoint point : analysis.points()) {
      musculature.at(point.posture().angles());
      for (int c = 0; c < Coordinate.LEG; c++) {
        Coordinate coordinate = Coordinate.values()[c];
        if (!point.posture().carried().contains(coordinate)) {
          continue;
        }
        double sum = point.externalNm()[c] + point.contactNm()[c] + point.residualNm()[c];
        for (int i = 0; i < musculature.size(); i++) {
          sum +=
              (point.activation()[i] * musculature.activeForceN(i) + musculature.passiveForceN(i))
                  * point.momentArmM(i, coordinate);
        }
        assertThat(sum)
            .as("%s, %s at %.2f", family, coordinate, point.phase())
            .isCloseTo(0, within(1e-3));
      }
    }
  }

  /** A press so deep that the pelvis tucks far is a caution with the way back, not a note. */
  @Test
  void aPelvisThatTucksFarIsACaution() {
    List<Analysis> deeper =
        IntStream.rangeClosed(80, 120)
            .mapToObj(
                deg ->
                    new Analyser(LIFTER)
                        .analyse(
                            Families.get("press"),
                            Bodies.setup("press", Map.of("kneeDepth", (double) deg)),
                            LoadRule.USUAL))
            .filter(Analysis.class::isInstance)
            .map(Analysis.class::cast)
            .toList();
    Analysis deep = deeper.get(deeper.size() - 1);
    double tuck =
        deep.points().stream()
            .mapToDouble(point -> Math.toDegrees(point.posture().angle(Coordinate.LUMBAR_FLEXION)))
            .max()
            .orElseThrow();
    assertThat(deeper.get(0).cautions()).isEmpty();
    assertThat(tuck).isGreaterThan(10);
    assertThat(deep.cautions())
        .singleElement()
        .satisfies(
            caution ->
                assertThat(Words.of(caution))
                    .contains(String.format("%.0f°", tuck), "up to 10°", "Stop higher"));
    assertThat(deep.notes()).noneMatch(AnalysisFact.Tucks.class::isInstance);
  }

  /**
   * Work of the muscles themselves, force times change of length, against potential energy: no
   * moment and no moment arm in it. What moments and arms get wrong would show here.
   */
  @Test
  void theWorkOfMusclesIsTheChangeOfPotentialEnergy() {
    Map<String, Double> planar =
        Map.of(
            "stance",
            2 * LIFTER.hipHalfDistanceM(),
            "toeOut",
            0.0,
            "depth",
            70.0); // shallow enough that the pelvis does not tuck, which would be work of the back
    double load = 60;
    int steps = 600;
    Musculature musculature = new Musculature(LIFTER);
    Equilibrium eq = new Equilibrium(LIFTER, musculature);
    LoadSharing sharing = new LoadSharing(eq);
    double[] lengthBefore = new double[musculature.size()];
    double[] forceBefore = new double[musculature.size()];
    double work = 0;
    double first = 0;
    double last = 0;
    for (int k = 0; k <= steps; k++) {
      Posture posture = Bodies.posture(LIFTER, "squat", planar, k / (double) steps, load);
      eq.set(posture);
      sharing.solve(load);
      for (int i = 0; i < musculature.size(); i++) {
        double force =
            sharing.value(i) * musculature.activeForceN(i) + musculature.passiveForceN(i);
        if (k > 0) {
          work -=
              2 * 0.5 * (force + forceBefore[i]) * (musculature.excursionM(i) - lengthBefore[i]);
        }
        forceBefore[i] = force;
        lengthBefore[i] = musculature.excursionM(i);
      }
      last = energy(posture, load);
      first = k == 0 ? last : first;
    }
    assertThat(work).isCloseTo(last - first, within(0.005 * Math.abs(last - first)));
  }

  private static double energy(Posture posture, double load) {
    Vec3 hip = posture.points().hip();
    Vec3 hipMiddle = new Vec3(hip.x(), hip.y(), 0);
    double legs =
        LIFTER.thighMassKg() * between(hip, posture.points().knee(), LIFTER.thighComFraction())
            + LIFTER.shankMassKg()
                * between(
                    posture.points().knee(), posture.points().ankle(), LIFTER.shankComFraction());
    double upper =
        LIFTER.upperMassKg()
            * (hip.y()
                + Segments.UPPER_COM_HANDS_UP * posture.points().shoulder().minus(hipMiddle).y());
    return Load.G * (2 * legs + upper + load * posture.props().get(0).points().get(0).y());
  }

  private static double between(Vec3 a, Vec3 b, double share) {
    return a.y() + share * (b.y() - a.y());
  }

  /**
   * Chains of 30 kg: the bottom of a squat is as before and takes the same load, the top is asked
   * for more; a hip thrust, hardest at the top, loses what the chains weigh there.
   */
  @Test
  void chainsLoadTheTopAndLeaveTheBottom() {
    Map<String, Double> deep = Map.of("depth", 85.0);
    Map<String, Double> chains = Map.of("depth", 85.0, "extraTop", 30.0);
    double plain = Bodies.analysis(LIFTER, "squat", deep).limitKg();
    assertThat(Bodies.analysis(LIFTER, "squat", chains).limitKg()).isCloseTo(plain, within(0.05));
    assertThat(topMoment(deep)).isLessThan(0.9 * topMoment(chains));
    double thrust = Bodies.analysis(LIFTER, "thrust", Map.of()).limitKg();
    assertThat(thrust - Bodies.analysis(LIFTER, "thrust", Map.of("extraTop", 30.0)).limitKg())
        .as("all of it at the top")
        .isCloseTo(30, within(0.5));
  }

  private static double topMoment(Map<String, Double> setup) {
    Analysis at =
        (Analysis)
            new Analyser(LIFTER)
                .analyse(
                    Families.get("squat"), Bodies.setup("squat", setup), new LoadRule.Fixed(60));
    return Math.abs(at.points().get(6).externalNm()[Coordinate.KNEE_FLEXION.ordinal()]);
  }

  /**
   * By hand: on the curl the stack's moment on one knee is lever x g x W / 2 (0.95 of it at 90° of
   * the generic cam), and the hanging lower leg helps or hinders by its weight.
   */
  @Test
  void theStacksMomentIsItsLeverTimesHalfTheLoad() {
    Posture posture =
        Bodies.posture(
            LIFTER,
            "leg-extension",
            Map.of("pulley", 0.25, "kneeBent", 90.0),
            1,
            40); // shank hangs straight down: no moment of its own but the foot's
    Equilibrium eq = new Equilibrium(LIFTER, new Musculature(LIFTER));
    eq.set(posture);
    double stack = 0.95 * 0.25 * Load.G * 40 / 2;
    double own = eq.externalNm(Coordinate.KNEE_FLEXION, 0);
    assertThat(eq.externalNm(Coordinate.KNEE_FLEXION, 40) - own).isCloseTo(stack, within(1e-9));
    assertThat(Math.abs(own)).as("weight of the foot in front of the hanging ankle").isLessThan(1);
    Posture level = Bodies.posture(LIFTER, "leg-extension", Map.of("kneeStraight", 0.0), 0, 40);
    eq.set(level);
    double leg =
        Load.G
            * (LIFTER.shankMassKg() * LIFTER.shankComFraction() * LIFTER.shankM()
                + LIFTER.footMassKg() * LIFTER.shankM());
    assertThat(eq.externalNm(Coordinate.KNEE_FLEXION, 0))
        .as("level shank: weight pulls into flexion")
        .isCloseTo(leg, within(0.15 * leg));
  }

  @Test
  void strongerQuadricepsLiftMoreInTheSquatAndNothingMoreInTheHinge() {
    Analysis squat = Bodies.analysis(LIFTER, "squat", Map.of("depth", 85.0));
    double quads =
        squat.limiters().stream()
            .filter(
                limiter ->
                    Muscles.standard().all().stream()
                        .anyMatch(
                            muscle ->
                                muscle.id().equals(limiter.id()) && muscle.group().equals("quads")))
            .mapToDouble(Limiter::kgPerPercent)
            .sum();
    assertThat(quads * 20 / squat.limitKg()).as("+20 %% quadriceps").isBetween(0.08, 0.4);
    Analysis hinge = Bodies.analysis(LIFTER, "hinge", Map.of());
    assertThat(hinge.limiters())
        .noneMatch(
            limiter ->
                limiter.share() > 0.02
                    && (limiter.id().startsWith("V") || limiter.id().equals("RF")));
    assertThat(hinge.limiters().get(0).id()).as("hamstrings end a hinge").isIn("BFL", "ST", "SM");
  }

  @Test
  void aGivenLoadIsTakenAndOneAboveTheLimitIsSaid() {
    Family press = Families.get("press");
    Setup setup = Bodies.setup("press", Map.of("kneeDepth", 85.0));
    Analysis at = (Analysis) new Analyser(LIFTER).analyse(press, setup, new LoadRule.Fixed(50));
    assertThat(at.workingKg()).isEqualTo(50);
    assertThat(at.notes()).noneMatch(AnalysisFact.AboveLimit.class::isInstance);
    Analysis over =
        (Analysis)
            new Analyser(LIFTER).analyse(press, setup, new LoadRule.Fixed(at.limitKg() * 1.2));
    assertThat(over.notes()).anyMatch(AnalysisFact.AboveLimit.class::isInstance);
    assertThat(over.worstResidualNm())
        .as("what cannot be held is left over, not hidden")
        .isGreaterThan(1);
    assertThatThrownBy(() -> new LoadRule.ShareOfLimit(1.2)).isInstanceOf(InvalidInput.class);
  }

  @Test
  void aBodyTooWeakForItsOwnWeightIsToldHowMuchHelpItNeeds() {
    AnalysisResult result =
        new Analyser(LIFTER.withStrength(0.3, 100))
            .analyse(
                Families.get("squat"),
                Bodies.setup("squat", Map.of("depth", 85.0)),
                LoadRule.USUAL);
    assertThat(result)
        .isInstanceOfSatisfying(
            CannotAnalyse.class,
            analyse -> {
              assertThat(analyse.why()).isInstanceOf(AnalysisFact.BodyWeightTooMuch.class);
              assertThat(MovementWords.missing(analyse.why()))
                  .matches("about \\d+\u00a0kg of help");
            });
  }

  @Test
  void theSameQuestionHasTheSameAnswer() {
    Family family = Families.get("hinge");
    Setup setup = Bodies.setup("hinge", Map.of());
    Analyser reused = new Analyser(LIFTER);
    reused.analyse(
        Families.get("squat"), Bodies.setup("squat", Map.of("depth", 85.0)), LoadRule.USUAL);
    Analysis one = (Analysis) reused.analyse(family, setup, LoadRule.USUAL);
    Analysis two = (Analysis) new Analyser(LIFTER).analyse(family, setup, LoadRule.USUAL);
    assertThat(one.limitKg()).isEqualTo(two.limitKg());
    for (int k = 0; k < one.points().size(); k++) {
      assertThat(one.points().get(k).activation())
          .containsExactly(two.points().get(k).activation(), within(1e-9));
    }
  }
}
