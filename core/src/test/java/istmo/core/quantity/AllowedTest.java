package istmo.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AllowedTest {
  private static final Allowed STATURE = new Allowed(1.3, 2.2, "m");

  @ParameterizedTest
  @ValueSource(doubles = {1.3, 1.75, 2.2})
  void whatIsInsidePasses(double v) {
    assertThat(STATURE.check("statureM", v)).isEqualTo(v);
  }

  @ParameterizedTest
  @ValueSource(doubles = {1.29, 2.21, 175, -1, Double.NaN, Double.POSITIVE_INFINITY})
  void whatIsOutsideSaysFieldFoundAndAllowed(double v) {
    assertThatThrownBy(() -> STATURE.check("statureM", v))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.faults())
                    .singleElement()
                    .satisfies(
                        fault -> {
                          assertThat(fault.field()).isEqualTo("statureM");
                          assertThat(fault.message()).endsWith("is not within 1.3 to 2.2 m");
                        }));
  }

  @Test
  void vectorsWithoutLengthHaveNoDirection() {
    assertThatThrownBy(Vec3.ZERO::unit).hasMessageContaining("no direction");
    assertThat(Vec3.FORWARD.cross(Vec3.UP)).isEqualTo(Vec3.RIGHT);
  }
}
