package istmo.core.anatomy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Expected numbers: scipy 1.17.1, scipy.interpolate.PchipInterpolator (value, derivative, integral
 * from 0).
 */
class MonotoneCurveTest {
  private static final MonotoneCurve KNEE =
      MonotoneCurve.through(
          rad(0, 15, 30, 45, 60, 75, 90, 110, 130, 145),
          new double[] {-3.5, -4.1, -4.5, -4.6, -4.5, -4.2, -3.9, -3.4, -3.0, -2.8});
  private static final MonotoneCurve HIP =
      MonotoneCurve.through(
          rad(-20, 0, 30, 60, 90, 110, 130), new double[] {1.2, -.6, -2.8, -4.4, -5.2, -5.3, -5.0});

  @ParameterizedTest
  @CsvSource({
    "5,-3.7237037037037033,-2.4446199258915104,-0.3153389786496792",
    "37,-4.566245925925926,-0.4400315866604704,-2.6863943139328788",
    "52,-4.572414814814815,0.40998313340472115,-3.887854782035179",
    "100,-3.650292397660819,1.5136472745634462,-7.384084479062242",
    "141,-2.845219446940201,0.6938091625925595,-9.67247387957812"
  })
  void agreesWithTheReferenceLibraryOnKneeArms(
      double deg, double value, double derivative, double integral) {
    agrees(KNEE, deg, value, derivative, integral);
  }

  @ParameterizedTest
  @CsvSource({
    "-10,0.26175799086757984,-5.184744796805977,0.03084377997935564",
    "12,-1.5480651766402307,-4.3587313306447335,-0.2260539776388494",
    "70,-4.747535007042838,-1.8833690983867772,-3.633707774438967",
    "105,-5.29192533557047,-0.17808797239594706,-6.759326493977894",
    "120,-5.2125,0.9310564170875861,-8.141351594952775"
  })
  void agreesWithTheReferenceLibraryOnAnArmThatChangesSign(
      double deg, double value, double derivative, double integral) {
    agrees(HIP, deg, value, derivative, integral);
  }

  private static void agrees(
      MonotoneCurve curve, double deg, double value, double derivative, double integral) {
    double x = Math.toRadians(deg);
    assertThat(curve.value(x)).isCloseTo(value, within(1e-10));
    assertThat(curve.derivative(x)).isCloseTo(derivative, within(1e-10));
    assertThat(curve.integralFromZero(x)).isCloseTo(integral, within(1e-10));
  }

  @Test
  void staysAtItsEndValueOutsideTheKnotsAndTheIntegralGoesOn() {
    double end = Math.toRadians(145);
    assertThat(KNEE.value(end + 0.3)).isEqualTo(-2.8);
    assertThat(KNEE.integralFromZero(end + 0.3) - KNEE.integralFromZero(end))
        .isCloseTo(-2.8 * 0.3, within(1e-12));
    assertThat(
            HIP.integralFromZero(Math.toRadians(-20) - 0.5)
                - HIP.integralFromZero(Math.toRadians(-20)))
        .isCloseTo(-0.5 * 1.2, within(1e-12));
  }

  @Test
  void refusesKnotsThatDoNotIncrease() {
    assertThatThrownBy(() -> MonotoneCurve.through(new double[] {0, 1, 1}, new double[] {1, 2, 3}))
        .hasMessageContaining("knot 2");
    assertThatThrownBy(
            () -> MonotoneCurve.through(new double[] {0, Double.NaN}, new double[] {1, 2}))
        .hasMessageContaining("increase");
  }

  private static double[] rad(double... deg) {
    return Arrays.stream(deg).map(Math::toRadians).toArray();
  }
}
