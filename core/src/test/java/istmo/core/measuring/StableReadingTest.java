package istmo.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.quantity.InvalidInput;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Streams with known truth. */
class StableReadingTest {
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3})
  void aHangingScaleSettles(long seed) {
    Random random = new Random(seed);
    StableReading reading = new StableReading(Gauge.FORCE);
    long firstStable = -1;
    for (long t = 0; t < 6000; t += 100) {
      double swing = 60 * Math.exp(-t / 700.0) * Math.cos(t / 90.0);
      reading.take(t, 400 + swing + random.nextGaussian());
      if (firstStable < 0 && reading.stable().isPresent()) {
        firstStable = t;
      }
    }
    assertThat(firstStable).as("not while it swings, seed %d", seed).isBetween(2000L, 4500L);
    assertThat(reading.stable().orElseThrow().value()).isCloseTo(400, within(2.0));
  }

  @Test
  void aMovingReadingIsNeverStable() {
    StableReading reading = new StableReading(Gauge.ANGLE);
    for (long t = 0; t < 5000; t += 100) {
      reading.take(t, t / 100.0);
      assertThat(reading.stable()).isEmpty();
    }
  }

  @Test
  void aDropoutBeginsAnew() {
    StableReading reading = new StableReading(Gauge.LENGTH);
    for (long t = 0; t <= 1500; t += 100) {
      reading.take(t, 0.44);
    }
    assertThat(reading.stable()).isPresent();
    reading.take(4000, 0.44);
    assertThat(reading.dropouts()).isEqualTo(1);
    assertThat(reading.stable()).isEmpty();
    for (long t = 4100; t <= 5100; t += 100) {
      reading.take(t, 0.44);
    }
    assertThat(reading.stable()).isPresent();
  }

  /** A few readings far apart are no standing still, and neither are many within a moment. */
  @Test
  void enoughReadingsOverEnoughTime() {
    StableReading quick = new StableReading(Gauge.FORCE);
    for (long t = 0; t < 500; t += 10) {
      quick.take(t, 100);
    }
    assertThat(quick.stable()).isEmpty();
    StableReading rare = new StableReading(Gauge.FORCE);
    for (long t = 0; t <= 2800; t += 1400) {
      rare.take(t, 100);
    }
    assertThat(rare.stable()).isEmpty();
  }

  @Test
  void timeGoesForwardAndValuesAreNumbers() {
    StableReading reading = new StableReading(Gauge.FORCE);
    reading.take(10, 1);
    assertThatThrownBy(() -> reading.take(10, 1))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("forward");
    assertThatThrownBy(() -> reading.take(20, Double.NaN)).isInstanceOf(InvalidInput.class);
    reading.take(20, 1);
  }

  /**
   * Conversions by definition: the kilogram-force 9.80665 N, the pound-force 4.448222 N, the inch
   * 25.4 mm.
   */
  @ParameterizedTest
  @CsvSource({
    "FORCE, 10, kgf, 98.0665",
    "FORCE, 100, lbf, 444.8222",
    "LENGTH, 1, in, 0.0254",
    "LENGTH, 430, mm, 0.43",
    "ANGLE, 1.5707963267948966, rad, 90"
  })
  void unitsAreTurnedInside(Gauge gauge, double value, String unit, double inside) {
    assertThat(gauge.inside(value, unit)).isCloseTo(inside, within(1e-4 * inside));
  }

  @Test
  void anUnknownUnitIsNamed() {
    assertThatThrownBy(() -> Gauge.FORCE.inside(1, "stone"))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("\"stone\" is not a unit of force")
        .hasMessageContaining("kgf");
  }
}
