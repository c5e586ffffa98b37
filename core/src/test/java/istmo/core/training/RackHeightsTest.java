package istmo.core.training;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.body.Body;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.Posture;
import istmo.core.words.Words;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Hooks and safeties of a rack for this client and this set-up. */
class RackHeightsTest {
  private static Optional<RackHeights> heights(
      Body body, String family, Map<String, Double> setup) {
    return RackHeights.of(
        Bodies.posture(body, family, setup, 0, 60), Bodies.posture(body, family, setup, 1, 60));
  }

  /** Common practice: hooks for a back squat at the height of the middle of the chest. */
  @Test
  void hooksStandAtTheChestAndFollowTheClient() {
    Map<String, Double> squat = Map.of("depth", 80.0);
    RackHeights man = heights(Bodies.MAN, "squat", squat).orElseThrow();
    RackHeights woman = heights(Bodies.WOMAN, "squat", squat).orElseThrow();
    assertThat(man.hooksM() / Bodies.MAN.statureM()).isBetween(0.72, 0.83);
    assertThat(woman.hooksM() / Bodies.WOMAN.statureM()).isBetween(0.72, 0.83);
    assertThat(man.hooksM()).isGreaterThan(woman.hooksM() + 0.05);
  }

  /** The deeper, the lower the safeties, and never above the lowest bar. */
  @Test
  void safetiesLieUnderTheLowestBar() {
    Map<String, Double> deep = Map.of("depth", 80.0);
    RackHeights low = heights(Bodies.MAN, "squat", deep).orElseThrow();
    RackHeights high = heights(Bodies.MAN, "squat", Map.of("depth", 60.0)).orElseThrow();
    assertThat(low.safetiesM()).isLessThan(high.safetiesM());
    assertThat(low.hooksM()).isCloseTo(high.hooksM(), within(0.02));
    Posture bottom = Bodies.posture(Bodies.MAN, "squat", deep, 1, 60);
    double bar = bottom.props().get(0).points().get(0).y();
    assertThat(bottom.props().get(0).kind()).isEqualTo("bar");
    assertThat(bar - low.safetiesM()).isBetween(0.03, 0.06);
  }

  @Test
  void whatHasNoBarOrDoesNotStandUpHasNone() {
    assertThat(heights(Bodies.MAN, "hack", Map.of("kneeDepth", 80.0))).isEmpty();
    assertThat(heights(Bodies.MAN, "squat", Map.of("depth", 80.0, "bar", 3.0))).isEmpty();
  }

  /** A part repetition turns before the lifter stands: hooks at its top would be far too low. */
  @Test
  void partRepetitionsDoNotSayWhereTheHooksGo() {
    assertThat(heights(Bodies.MAN, "squat", Map.of("depth", 80.0, "top", 60.0))).isEmpty();
  }

  @Test
  void theyAreSaidInCentimetres() {
    assertThat(Words.of(new RackHeights(1.384, 0.655)))
        .isEqualTo("Hooks at about 138\u00a0cm, safeties at about 66\u00a0cm above the floor.");
  }
}
