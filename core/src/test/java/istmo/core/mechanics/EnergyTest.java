package istmo.core.mechanics;

import static istmo.core.mechanics.Bodies.MAN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.quantity.Vec3;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A second, independent computation for the moments of every family: virtual work. Over the range
 * the work of the external moments at the joints is the work of everything that pushes from
 * outside, and that is known without any moment arm: weights fall by so much, the load by so much,
 * a cable gives way by so much. The bent-over calf raise is allowed one per cent: its hands hold a
 * little of the legs, which it leaves out. What moments, axes, forces of floors, pads and rollers
 * get wrong would show here. Feet in the plane of the picture, no tuck, so that no joint is left
 * out.
 */
class EnergyTest {
  private static final int STEPS = 400;

  @ParameterizedTest(name = "{0} {1}")
  @MethodSource("istmo.core.mechanics.EnergyCases#families")
  void theWorkOfTheMomentsIsTheWorkOfWhatPushes(
      String family,
      Map<String, Double> setup,
      int legs,
      boolean wholeBody,
      EnergyCases.LoadWork load) {
    Equilibrium eq = new Equilibrium(MAN, new Musculature(MAN));
    Posture before = null;
    double[] momentBefore = new double[Coordinate.ALL];
    double joints = 0;
    double outside = 0;
    for (int k = 0; k <= STEPS; k++) {
      Posture posture = Bodies.posture(MAN, family, setup, k / (double) STEPS, EnergyCases.W);
      eq.set(posture);
      double[] moment = new double[Coordinate.ALL];
      for (Coordinate coordinate : Coordinate.values()) {
        moment[coordinate.ordinal()] = eq.externalNm(coordinate, EnergyCases.W);
        if (before != null && coordinate != Coordinate.LUMBAR_FLEXION) {
          joints +=
              legs
                  * 0.5
                  * (moment[coordinate.ordinal()] + momentBefore[coordinate.ordinal()])
                  * (posture.angle(coordinate) - before.angle(coordinate));
        }
      }
      assertThat(posture.angle(Coordinate.LUMBAR_FLEXION)).as("no tuck").isZero();
      if (before != null) {
        outside +=
            weights(before, legs, wholeBody)
                - weights(posture, legs, wholeBody)
                + load.joules(before, posture);
        outside += hands(before, posture);
      }
      before = posture;
      momentBefore = moment;
    }
    assertThat(Math.abs(outside)).as("there is work to compare").isGreaterThan(3);
    assertThat(joints)
        .isCloseTo(
            outside,
            within((family.equals("bent-over-calf") ? 0.01 : 0.004) * Math.abs(outside) + 0.05));
  }

  /**
   * Both legs of a split stance together, the rear one standing on its ball, on a bench, to the
   * side, or, on a box, hanging: their moments' work is what body and load fall.
   */
  @ParameterizedTest
  @CsvSource({
    "split,0,0,0.7",
    "split,1,0.4,0.6",
    "guided-split,0,0,0.72",
    "step,-1,0,0",
    "side-lunge,0,0,0"
  })
  void bothLegsOfASplitStanceDoTheWork(
      String family, double rear, double rearHeight, double stride) {
    Map<String, Double> front = frontLeg(rear, rearHeight, stride);
    double joints = 0;
    double outside = 0;
    for (int leg = 0; leg < (rear < 0 ? 1 : 2); leg++) {
      Equilibrium eq = new Equilibrium(MAN, new Musculature(MAN));
      Map<String, Double> setup = leg == 0 ? front : EnergyCases.with(front, "leg", 1);
      Posture before = null;
      double[] momentBefore = null;
      for (int k = 0; k <= STEPS; k++) {
        Posture posture = Bodies.posture(MAN, family, setup, k / (double) STEPS, EnergyCases.W);
        eq.set(posture);
        double[] moment = new double[Coordinate.ALL];
        for (Coordinate coordinate : Coordinate.values()) {
          moment[coordinate.ordinal()] = eq.externalNm(coordinate, EnergyCases.W);
          if (before != null && coordinate != Coordinate.LUMBAR_FLEXION) {
            joints +=
                0.5
                    * (moment[coordinate.ordinal()] + momentBefore[coordinate.ordinal()])
                    * (posture.angle(coordinate) - before.angle(coordinate));
          }
        }
        if (before != null) {
          double fallen = weights(before, 1, leg == 0) - weights(posture, 1, leg == 0);
          outside +=
              fallen
                  + (leg == 0
                      ? EnergyCases.W
                          * Load.G
                          * (EnergyCases.point(before, "bar").y()
                              - EnergyCases.point(posture, "bar").y())
                      : 0);
          if (rear < 0) { // the other leg hangs from the hip
            outside +=
                Load.G
                    * (MAN.thighMassKg() + MAN.shankMassKg() + MAN.footMassKg())
                    * (before.points().hip().y() - posture.points().hip().y());
          }
        }
        before = posture;
        momentBefore = moment;
      }
    }
    assertThat(outside).isGreaterThan(100);
    assertThat(joints).isCloseTo(outside, within(0.012 * outside));
  }

  private static Map<String, Double> frontLeg(double rear, double rearHeight, double stride) {
    if (stride == 0 && rear == 0) {
      return EnergyCases.with(Map.of(), "bar", 0, "lean", 45, "kneeDepth", 85);
    }
    if (rear < 0) {
      return EnergyCases.with(Map.of(), "pushOff", 0, "box", 0.25, "lean", 38, "bar", 0);
    }
    Map<String, Double> feet =
        EnergyCases.with(Map.of(), "rear", rear, "rearHeight", rearHeight, "stride", stride);
    return EnergyCases.with(feet, "lean", 20, "bar", 0);
  }

  /**
   * On one leg, from above: what turns the hip is all that stands above it, the other leg with it.
   */
  @ParameterizedTest
  @CsvSource({"0,0", "0.4,0", "0.7,1", "1,2"})
  void theHipOfAOneLegHingeFeelsAllThatIsAboveIt(double phase, double hand) {
    Posture posture =
        Bodies.posture(
            MAN, "one-leg-hinge", Map.of("rear", 0.0, "hand", hand), phase, EnergyCases.W);
    Equilibrium eq = new Equilibrium(MAN, new Musculature(MAN));
    eq.set(posture);
    Posture.Points points = posture.points();
    double lean = posture.trunkLeanRad();
    double hip = points.hip().x();
    double back = -Math.sin(lean);
    double other =
        MAN.thighMassKg() * MAN.thighComFraction() * MAN.thighM() * back
            + MAN.shankMassKg() * (MAN.thighM() + MAN.shankComFraction() * MAN.shankM()) * back
            + MAN.footMassKg() * (MAN.thighM() + MAN.shankM()) * back;
    double above =
        MAN.upperMassKg() * Segments.UPPER_COM_HANGING * MAN.trunkM() * Math.sin(lean)
            + other
            + EnergyCases.W
                * (posture.props().stream()
                        .filter(prop -> prop.kind().equals(hand == 0 ? "bar" : "weight"))
                        .findFirst()
                        .orElseThrow()
                        .points()
                        .get(0)
                        .x()
                    - hip);
    assertThat(eq.externalNm(Coordinate.HIP_FLEXION, EnergyCases.W))
        .isCloseTo(Load.G * above, within(1.5));
  }

  /**
   * Level forces above the back do work where the hands that give them move against the trunk, J:
   * arms are no joints here. On a track the bar does not move level, and there is none.
   */
  private static double hands(Posture posture, Posture otherPosture) {
    double work = 0;
    for (int i = 0; i < posture.loads().size(); i++) {
      Load la = posture.loads().get(i);
      Load lb = otherPosture.loads().get(i);
      if (la.on() == Load.Segment.UPPER) {
        work +=
            0.5
                * (la.force().x()
                    + EnergyCases.W * la.forcePerKg().x()
                    + lb.force().x()
                    + EnergyCases.W * lb.forcePerKg().x())
                * (lb.at().x() - la.at().x());
      }
    }
    return work;
  }

  /** Potential energy of what the legs carry, J. */
  private static double weights(Posture posture, int legs, boolean wholeBody) {
    Posture.Points points = posture.points();
    double leg =
        MAN.thighMassKg() * between(points.hip(), points.knee(), MAN.thighComFraction())
            + MAN.shankMassKg() * between(points.knee(), points.ankle(), MAN.shankComFraction())
            + MAN.footMassKg()
                * (points.ankle().y() + 0.5 * (middle(posture).y() - points.ankle().y()));
    double upper = 0;
    if (wholeBody) {
      Vec3 hip = new Vec3(points.hip().x(), points.hip().y(), 0);
      upper = MAN.upperMassKg() * (hip.y() + com(posture) * points.shoulder().minus(hip).y());
    } else if (posture.props().stream()
        .anyMatch(
            prop ->
                prop.kind().equals("block"))) { // bent over: the trunk's weight stands on the hips
      upper = MAN.upperMassKg() * points.hip().y();
    }
    return Load.G * (legs * leg + upper);
  }

  private static Vec3 middle(Posture posture) {
    return posture
        .points()
        .heel()
        .plus(
            Segments.MIDDLE_FROM_HEEL / Segments.BALL_FROM_HEEL,
            posture.points().ball().minus(posture.points().heel()));
  }

  /** Where the trunk's mass is: read from the weight above the back, which the postures state. */
  private static double com(Posture posture) {
    Optional<Load> weight =
        posture.loads().stream()
            .filter(
                load ->
                    load.on() == Load.Segment.UPPER
                        && load.forcePerKg().norm() == 0
                        && load.force().y() < 0)
            .findFirst();
    if (weight.isEmpty()) {
      return Segments.UPPER_COM_HANDS_UP; // on a pad, whose own hold needs no weight of the back
    }
    Load above = weight.get();
    Vec3 hip = new Vec3(posture.points().hip().x(), posture.points().hip().y(), 0);
    Vec3 trunk = posture.points().shoulder().minus(hip).unit();
    double mass = -above.force().y() / Load.G;
    double pelvis = MAN.upperMassKg() - mass;
    double pelvisAlong = 0.5 * Segments.L5_UP * MAN.statureM();
    return (mass * above.at().minus(hip).dot(trunk) + pelvis * pelvisAlong)
        / MAN.upperMassKg()
        / MAN.trunkM();
  }

  private static double between(Vec3 a, Vec3 b, double share) {
    return a.y() + share * (b.y() - a.y());
  }
}
