package istmo.core.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.family.Families;
import istmo.core.quantity.Vec3;
import java.util.Map;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Squats under the shoulder pads of a lever, against rigid-body facts and another solution. */
class LeverSquatTest {
  private static final Body MAN = Bodies.MAN;
  private static final double LOAD = 60;

  private static Map<String, Double> machine(double pivotBehind, double pivotHeight) {
    return Map.of(
        "pivotBehind",
        pivotBehind,
        "pivotHeight",
        pivotHeight,
        "kneeDepth",
        95.0,
        "feetUp",
        0.12,
        "emptyAtPads",
        25.0);
  }

  private static Posture at(Map<String, Double> machine, double phase) {
    return Bodies.posture(MAN, "lever-squat", machine, phase, LOAD);
  }

  private static Vec3 prop(Posture posture, String kind, int point) {
    return posture.props().stream()
        .filter(prop -> prop.kind().equals(kind))
        .findFirst()
        .orElseThrow()
        .points()
        .get(point);
  }

  /** Pads, back rest and pin are one piece: every distance in it is the same at every phase. */
  @ParameterizedTest
  @CsvSource({"1.4,0.4", "1.2,0.6", "-1.3,1.0", "-1.0,1.2"})
  void theLeverIsStiffAndTurnsAboutItsPivot(double behind, double height) {
    Map<String, Double> machine = machine(behind, height);
    Vec3 pivot = new Vec3(-behind, height, 0);
    Posture top = at(machine, 0);
    for (double phase : new double[] {0.25, 0.5, 1}) {
      Posture posture = at(machine, phase);
      assertThat(flat(posture.points().hip()).minus(pivot).norm())
          .isCloseTo(flat(top.points().hip()).minus(pivot).norm(), within(1e-9));
      assertThat(posture.points().shoulder().minus(pivot).norm())
          .isCloseTo(top.points().shoulder().minus(pivot).norm(), within(1e-9));
      assertThat(prop(posture, "weight", 0).minus(flat(posture.points().hip())).norm())
          .isCloseTo(prop(top, "weight", 0).minus(flat(top.points().hip())).norm(), within(1e-9));
      assertThat(posture.points().hip().y()).as("it goes down").isLessThan(top.points().hip().y());
    }
    assertThat(Math.toDegrees(at(machine, 1).angle(Coordinate.KNEE_FLEXION)))
        .isCloseTo(95, within(1e-6));
  }

  private static Vec3 flat(Vec3 v) {
    return new Vec3(v.x(), v.y(), 0);
  }

  /**
   * The same forces another way: three equations of the lever and the lifter as one body, two
   * forces at the pivot and one under the feet, solved as a system (Hipparchus) with moments about
   * the middle of the foot plate, not about the pivot.
   */
  @ParameterizedTest
  @CsvSource({"1.4,0.4", "1.2,0.6", "-1.3,1.0"})
  void aSystemOfThreeEquationsGivesTheSameForceUnderTheFeet(double behind, double height) {
    Posture posture = at(machine(behind, height), 0.8);
    Vec3 normal = Vec3.UP.turnedAboutZ(Math.toRadians(15));
    Vec3 foot = posture.points().pressure();
    double weights = 0;
    double moments = 0;
    Vec3 hip = posture.points().hip();
    Vec3 trunk = posture.points().shoulder().minus(flat(hip));
    double[][] masses = {
      {MAN.upperMassKg(), hip.x() + Segments.UPPER_COM_HANDS_UP * trunk.x()},
      {2 * MAN.thighMassKg(), between(hip, posture.points().knee(), MAN.thighComFraction())},
      {
        2 * MAN.shankMassKg(),
        between(posture.points().knee(), posture.points().ankle(), MAN.shankComFraction())
      },
      {2 * MAN.footMassKg(), footX(posture)},
      {25, posture.points().shoulder().x()},
      {LOAD, prop(posture, "weight", 0).x()}
    };
    for (double[] m : masses) {
      weights += m[0] * Load.G;
      moments -= m[0] * Load.G * m[1];
    }
    double[][] equations = {
      {1, 0, normal.x()},
      {0, 1, normal.y()},
      {-height, -behind, foot.x() * normal.y() - foot.y() * normal.x()}
    };
    RealVector forces =
        new LUDecomposition(new Array2DRowRealMatrix(equations))
            .getSolver()
            .solve(new ArrayRealVector(new double[] {0, weights, -moments}));
    Load under = posture.loads().get(0);
    Vec3 each = under.force().plus(LOAD, under.forcePerKg());
    assertThat(2 * each.dot(normal)).isCloseTo(forces.getEntry(2), within(1e-6));
  }

  private static double between(Vec3 a, Vec3 b, double fraction) {
    return a.plus(fraction, b.minus(a)).x();
  }

  private static double footX(Posture posture) {
    Vec3 sole =
        posture
            .points()
            .heel()
            .plus(
                Segments.MIDDLE_FROM_HEEL * MAN.footM(),
                posture.points().ball().minus(posture.points().heel()).unit());
    return (posture.points().ankle().x() + sole.x()) / 2;
  }

  /**
   * Geometry: turning down about a pivot in front leans the trunk back, about a pivot behind brings
   * it forward, so the same knee bend bends the hip less in front.
   */
  @Test
  void thePlaceOfThePivotDecidesWhatTheTrunkDoes() {
    Map<String, Double> front = machine(-1.3, 1.0);
    Map<String, Double> behind = machine(1.3, 0.5);
    assertThat(at(front, 1).trunkLeanRad()).isLessThan(at(front, 0).trunkLeanRad());
    assertThat(at(behind, 1).trunkLeanRad()).isGreaterThan(at(behind, 0).trunkLeanRad());
    assertThat(at(front, 1).angle(Coordinate.HIP_FLEXION))
        .isLessThan(at(behind, 1).angle(Coordinate.HIP_FLEXION));
  }

  /** A heavier counterweight is a lighter lever, and plates nearer the pivot weigh less. */
  @Test
  void whatTheLeverWeighsFollowsFromWhereItHangs() {
    Map<String, Double> near =
        Map.of("pinBehind", 1.0, "kneeDepth", 90.0, "feetUp", 0.12, "emptyAtPads", 10.0);
    Map<String, Double> far =
        Map.of("pinBehind", 0.4, "kneeDepth", 90.0, "feetUp", 0.12, "emptyAtPads", 30.0);
    Load light = at(near, 0.5).loads().get(0);
    Load heavy = at(far, 0.5).loads().get(0);
    assertThat(light.forcePerKg().norm()).isLessThan(0.6 * heavy.forcePerKg().norm());
    assertThat(light.force().norm()).isLessThan(heavy.force().norm());
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 0.3, -0.3})
  void aPivotOverTheFeetIsRefusedWithItsReason(double behind) {
    assertThat(posture(Map.of("pivotBehind", behind)))
        .isInstanceOfSatisfying(
            Impossible.class, no -> assertThat(no.obstacle()).isEqualTo(Hindrance.PIVOT_OVER_FEET));
  }

  @Test
  void theStopEndsTheRepetition() {
    Map<String, Double> stopped =
        Map.of("pivotBehind", 1.4, "pivotHeight", 0.4, "feetUp", 0.12, "stop", 1.1);
    assertThat(posture(stopped))
        .isInstanceOfSatisfying(
            Impossible.class, no -> assertThat(no.limit()).isEqualTo(Obstacle.Limit.STOP));
  }

  private static PostureResult posture(Map<String, Double> changes) {
    Family family = Families.get("lever-squat");
    return family.posture(MAN, Setup.of(family.parameters(), changes), 1, LOAD);
  }
}
