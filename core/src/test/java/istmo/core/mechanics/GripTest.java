package istmo.core.mechanics;

import static istmo.core.mechanics.Bodies.LIFTER;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.MeasurementKind;
import istmo.core.catalogue.Catalogue;
import istmo.core.movement.Family;
import istmo.core.movement.family.Families;
import istmo.core.training.Calibration;
import istmo.core.training.KnownLift;
import istmo.core.training.PerformedSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Hands as what ends a lift. */
class GripTest {
  /**
   * Strong legs, hands that squeeze 30 kg: 45 kg of bar in each (one and a half times as much;
   * Young et al. 2009, from memory).
   */
  private static final Body WEAK_HANDS = LIFTER.withGrip(30);

  private static Analysis deadlift(
      Body body, Map<String, Double> setup, LoadRule rule, Tempo tempo) {
    return (Analysis)
        new Analyser(body)
            .analyse(Families.get("deadlift"), Bodies.setup("deadlift", setup), rule, tempo);
  }

  /**
   * Rohmert 1960, from memory: the whole for seconds, a half for about a minute, a quarter for
   * about four, a seventh without end.
   */
  @ParameterizedTest
  @CsvSource({"1, 6", "0.75, 28", "0.5, 66", "0.25, 222"})
  void theLargerTheShareTheSoonerItEnds(double share, double seconds) {
    assertThat(Grip.enduranceS(share)).isCloseTo(seconds, within(1.0));
    assertThat(Grip.enduranceS(share + 0.001)).isLessThan(Grip.enduranceS(share));
    assertThat(Grip.enduranceS(0.14)).isInfinite();
  }

  @Test
  void weakHandsEndADeadliftAndStrapsDoNot() {
    Analysis bare = deadlift(WEAK_HANDS, Map.of(), LoadRule.USUAL, Tempo.USUAL);
    assertThat(bare.limitKg()).isCloseTo(2 * 45, within(0.01));
    assertThat(bare.limiters())
        .singleElement()
        .isEqualTo(new Limiter(Limiter.GRIP, 1, bare.limitKg() / 100));
    assertThat(bare.set().end()).isEqualTo(SimulatedSet.End.GRIP);
    assertThat(bare.set().gaveOut())
        .singleElement()
        .extracting(Limiter::id)
        .isEqualTo(Limiter.GRIP);
    assertThat(Grip.enduranceS(bare.workingKg() / bare.limitKg()))
        .as("ten repetitions of three seconds")
        .isCloseTo(30, within(0.1));

    Analysis straps = deadlift(WEAK_HANDS, Map.of("straps", 1.0), LoadRule.USUAL, Tempo.USUAL);
    assertThat(straps.limitKg())
        .isCloseTo(
            deadlift(LIFTER, Map.of("straps", 1.0), LoadRule.USUAL, Tempo.USUAL).limitKg(),
            within(1e-9))
        .isGreaterThan(120);
    assertThat(straps.set().end()).isNotEqualTo(SimulatedSet.End.GRIP);
  }

  @Test
  void aSlowTempoEndsTheHandsSooner() {
    Analysis usual = deadlift(WEAK_HANDS, Map.of(), new LoadRule.Fixed(70), Tempo.USUAL);
    Analysis slow = deadlift(WEAK_HANDS, Map.of(), new LoadRule.Fixed(70), new Tempo(4, 0, 2, 0));
    assertThat(slow.set().repetitions()).isCloseTo(usual.set().repetitions() / 2, within(1e-6));
    assertThat(
            deadlift(WEAK_HANDS, Map.of(), new LoadRule.Fixed(91), Tempo.USUAL).set().repetitions())
        .as("the fingers open at once")
        .isZero();
  }

  @Test
  void oneHandHoldsHalfOfTwo() {
    Family hinge = Families.get("one-leg-hinge");
    double both = Grip.limitKg(WEAK_HANDS, hinge, Bodies.setup("one-leg-hinge", Map.of()));
    assertThat(Grip.limitKg(WEAK_HANDS, hinge, Bodies.setup("one-leg-hinge", Map.of("hand", 2.0))))
        .isCloseTo(both / 2, within(1e-9));
    assertThat(both).isCloseTo(2 * 1.5 * 30, within(1e-6));
    assertThat(Grip.limitKg(WEAK_HANDS, Families.get("squat"), Bodies.setup("squat", Map.of())))
        .isInfinite();
  }

  /**
   * A deadlift that was done says what legs and back can, not that the hands could not have held
   * it.
   */
  @Test
  void aKnownLiftIsNotDoubtedForTheHands() {
    KnownLift lift =
        new KnownLift(
            Catalogue.standard().candidate("deadlift/conventional"),
            new PerformedSet(150, 5, 0),
            java.time.LocalDate.of(2026, 1, 1));
    Body man = Bodies.MAN;
    assertThat(Calibration.of(man.withGrip(30), List.of(lift)).orElseThrow().legs())
        .isEqualTo(Calibration.of(man, List.of(lift)).orElseThrow().legs());
  }

  /** What hung in the hands was held, however; a dynamometer knows better. */
  @Test
  void handsHoldAtLeastWhatHasHungInThemUnlessTheyAreMeasured() {
    KnownLift lift =
        new KnownLift(
            Catalogue.standard().candidate("deadlift/conventional"),
            new PerformedSet(200, 1, 0),
            java.time.LocalDate.of(2026, 1, 1));
    Calibration strong = Calibration.of(Bodies.MAN, List.of(lift)).orElseThrow();
    assertThat(Bodies.MAN.heldKg()).isLessThan(100);
    assertThat(strong.heldKg()).isCloseTo(100, within(1e-9));
    assertThat(strong.applied(new BodyEstimate(Bodies.MAN, Set.of(), List.of())).body().heldKg())
        .isCloseTo(100, within(1e-9));
    assertThat(
            strong
                .applied(new BodyEstimate(Bodies.MAN, Set.of(MeasurementKind.GRIP), List.of()))
                .body()
                .heldKg())
        .isEqualTo(Bodies.MAN.heldKg());
  }
}
