package istmo.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Figures keep to their units, and lengths can be told in inches. */
class BoundTest {
  @Test
  void aFigureAndARangeAreBoundAndNothingElseIs() {
    assertThat(Bound.quantities("Hooks at 138 cm; from 60 to 62.5 kg, 3 sets of 10, 30 kgm."))
        .isEqualTo(
            "Hooks at 138\u00a0cm; from 60\u00a0to\u00a062.5\u00a0kg, 3 sets of 10, 30 kgm.");
  }

  /** An inch is 2.54 cm by definition. */
  @Test
  void boundLengthsAreToldInInchesAndWhatIsNotBoundStays() {
    assertThat(Bound.inInches(Bound.quantities("Box of 50.8 cm, hooks at 138 to 140 cm, 60 kg")))
        .isEqualTo("Box of 20\u00a0in, hooks at 54.3\u00a0to\u00a055.1\u00a0in, 60\u00a0kg");
    assertThat(Bound.inInches("typed: 40 cm")).isEqualTo("typed: 40 cm");
  }
}
