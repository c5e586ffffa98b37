package istmo.core.measuring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.MonotoneCurve;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Plates;
import istmo.core.measuring.Pull.Direction;
import istmo.core.movement.Load;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.hipparchus.analysis.interpolation.SplineInterpolator;
import org.hipparchus.analysis.polynomials.PolynomialSplineFunction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pulls on machines whose truth is known. */
class ResistanceFitTest {
  private static final double LEVER = 0.38;
  private static final double STACK = 40;

  /** An invented cam: strongest in the middle, 0.22 m on average. */
  private static double cam(double deg) {
    return 0.22 * (0.75 + 0.4 * Math.sin(Math.toRadians(20 + deg)));
  }

  private static Pull pull(double deg, double noise, double friction, Direction direction) {
    double way =
        direction == Direction.UP ? 1 + friction : direction == Direction.DOWN ? 1 - friction : 1;
    return new Pull(
        deg, cam(deg) * STACK * Load.G * way * (1 + noise) / LEVER, LEVER, STACK, direction);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void aCamIsFoundThroughNoiseAndFriction(long seed) {
    Random random = new Random(seed);
    List<Pull> pulls = new ArrayList<>();
    for (double deg = 5; deg <= 110; deg += 15) {
      for (Direction direction : new Direction[] {Direction.UP, Direction.DOWN}) {
        pulls.add(pull(deg + random.nextDouble(), 0.01 * random.nextGaussian(), 0.06, direction));
      }
    }
    ResistanceFit fit =
        ResistanceFit.of(Equipment.LEG_EXTENSION, GymEquipment.generic(Set.of()), pulls);
    assertThat(fit.values().get("friction")).as("seed %d", seed).isCloseTo(0.06, within(0.012));
    for (int knot : new int[] {30, 60, 90}) {
      assertThat(fit.values().get("curve" + knot) * fit.values().get("pulley"))
          .as("seed %d, %d deg", seed, knot)
          .isCloseTo(cam(knot), within(0.03 * cam(knot)));
    }
    assertThat(fit.repeatError()).isLessThan(0.02);
    assertThat(fit.genericError())
        .as("a round pulley fits worse")
        .isGreaterThan(2 * fit.repeatError());
  }

  /**
   * Against a library's natural cubic spline through the same clean readings: where the truth is
   * smooth the two agree; the curve never leaves the readings' range, which a natural spline does
   * on a step.
   */
  @Test
  void theCurveAgreesWithALibrarySplineAndDoesNotOvershoot() {
    double[] x = {0, 15, 30, 45, 60, 75, 90, 105, 120};
    double[] y = new double[x.length];
    for (int k = 0; k < x.length; k++) {
      y[k] = cam(x[k]);
    }
    PolynomialSplineFunction spline = new SplineInterpolator().interpolate(x, y);
    MonotoneCurve curve = MonotoneCurve.through(x, y);
    for (double at = 0; at <= 120; at += 1) {
      assertThat(curve.value(at)).isCloseTo(spline.value(at), within(0.01 * 0.22));
    }
    double[] step = {1, 1, 1, 1, 1.5, 1.5, 1.5, 1.5, 1.5};
    PolynomialSplineFunction overshoots = new SplineInterpolator().interpolate(x, step);
    MonotoneCurve keeps = MonotoneCurve.through(x, step);
    double most = 0;
    for (double at = 0; at <= 120; at += 1) {
      most = Math.max(most, overshoots.value(at));
      assertThat(keeps.value(at)).isBetween(1.0, 1.5);
    }
    assertThat(most).isGreaterThan(1.52);
  }

  /**
   * By hand: a sled of 60 kg on a rail of 45 degrees holds 60 x 9.80665 x sin 45 = 416.06 N;
   * pulling up against 5 % friction reads 436.86, letting down 395.26.
   */
  @Test
  void aSledIsWeighedAlongItsRail() {
    GymEquipment equipment =
        GymEquipment.generic(Set.of(Equipment.LEG_PRESS))
            .with(Equipment.LEG_PRESS, "railAngle", 45);
    ResistanceFit fit =
        ResistanceFit.of(
            Equipment.LEG_PRESS,
            equipment,
            List.of(
                new Pull(0.2, 436.86, 0, 0, Direction.UP),
                new Pull(0.2, 395.26, 0, 0, Direction.DOWN)));
    assertThat(fit.values().get("sledMass")).isCloseTo(60, within(0.01));
    assertThat(fit.values().get("friction")).isCloseTo(0.05, within(1e-4));
    assertThat(fit.notes()).isEmpty();
    assertThat(fit.repeatError()).isLessThan(1e-4);
    assertThat(fit.genericError()).isCloseTo(60 / 45.0 - 1, within(1e-3));
    ResistanceFit unsure =
        ResistanceFit.of(
            Equipment.LEG_PRESS,
            GymEquipment.generic(Set.of(Equipment.LEG_PRESS)),
            List.of(new Pull(0.2, 416.06, 0, 0, Direction.STILL)));
    assertThat(unsure.values()).containsOnlyKeys("sledMass");
    assertThat(unsure.notes())
        .containsExactly(
            new ResistanceFit.FrictionUnknown(false), new ResistanceFit.AngleGeneric());
  }

  /**
   * The stand-in's own truth comes back from its pulls: a sled of 38 kg, a bar of 12 kg on a
   * leaning track, friction of 7 %.
   */
  @Test
  void theStandInsTruthComesBack() {
    GymEquipment equipment =
        GymEquipment.generic(Set.of())
            .with(Equipment.LEG_PRESS, "railAngle", 38)
            .with(Equipment.FIXED_TRACK, "trackAngle", 7);
    for (Equipment item : List.of(Equipment.LEG_PRESS, Equipment.FIXED_TRACK)) {
      List<Pull> pulls = new ArrayList<>();
      for (Direction direction : new Direction[] {Direction.UP, Direction.DOWN}) {
        pulls.add(
            new Pull(
                0.3,
                StandIn.forceN(item, equipment, new Pull(0.3, 0, 0, 0, direction)),
                0,
                0,
                direction));
      }
      ResistanceFit fit = ResistanceFit.of(item, equipment, pulls);
      assertThat(fit.values().get(item.equals(Equipment.LEG_PRESS) ? "sledMass" : "barMass"))
          .isCloseTo(item.equals(Equipment.LEG_PRESS) ? 38 : 12, within(1e-9));
      assertThat(fit.values().get("friction")).isCloseTo(0.07, within(1e-9));
    }
  }

  @Test
  void frictionComparesOnlyPullsWithTheSameLoad() {
    double up = 80 * Load.G * Math.sin(Math.PI / 4);
    double down = 45 * Load.G * Math.sin(Math.PI / 4);
    ResistanceFit fit =
        ResistanceFit.of(
            Equipment.LEG_PRESS,
            GymEquipment.generic(Set.of()),
            List.of(
                new Pull(0.2, up, 0, 35, Direction.UP), new Pull(0.2, down, 0, 0, Direction.DOWN)));
    assertThat(fit.values()).doesNotContainKey("friction");
    assertThat(fit.values().get("sledMass")).isCloseTo(45, within(1e-9));
  }

  @Test
  void whatIsMissingOrImpossibleIsNamed() {
    GymEquipment equipment = GymEquipment.generic(Set.of());
    assertThatThrownBy(
            () ->
                ResistanceFit.of(
                    Equipment.SEATED_CURL,
                    equipment,
                    List.of(pull(10, 0, 0, Direction.STILL), pull(20, 0, 0, Direction.STILL))))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("at least 3 lever angles over at least 40°");
    assertThatThrownBy(
            () ->
                ResistanceFit.of(
                    Equipment.SEATED_CURL,
                    equipment,
                    List.of(new Pull(200, 9999, 0, 0, Direction.UP))))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.faults())
                    .extracting(InvalidInput.Fault::field)
                    .containsExactly(
                        "pulls.0.at", "pulls.0.leverM", "pulls.0.forceN", "pulls.0.loadKg"));
    assertThatThrownBy(() -> ResistanceFit.of(Equipment.BARBELL, equipment, List.of()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("nothing to measure");
    assertThatThrownBy(
            () ->
                ResistanceFit.of(
                    Equipment.LEG_PRESS,
                    new GymEquipment(
                        Set.of(),
                        Map.of(Equipment.LEG_PRESS, Map.of("railAngle", 0.0)),
                        Plates.unknown()),
                    List.of(new Pull(0, 100, 0, 0, Direction.STILL))))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("level rail");
  }
}
