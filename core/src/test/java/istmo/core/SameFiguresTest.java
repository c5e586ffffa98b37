package istmo.core;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;

class SameFiguresTest {
  @Test
  void aLastDigitMayDifferByOneAndNothingElse() {
    assertThatCode(() -> SameFigures.assertSame("x", "a 1.25 b -0.10", "a 1.26 b -0.11"))
        .doesNotThrowAnyException();
    assertThatThrownBy(() -> SameFigures.assertSame("x", "a 1.25", "a 1.27"))
        .hasMessageContaining("figure 1 is 1.25, written is 1.27");
    assertThatThrownBy(() -> SameFigures.assertSame("x", "a 1.25", "b 1.25"))
        .isInstanceOf(AssertionError.class);
    assertThatThrownBy(() -> SameFigures.assertSame("x", "3 of 5", "4 of 5"))
        .as("counts are words")
        .isInstanceOf(AssertionError.class);
    assertThatThrownBy(() -> SameFigures.assertSame("x", "1.25", "1.25 1.25"))
        .isInstanceOf(AssertionError.class);
  }
}
