package istmo.core.mechanics;

import static istmo.core.mechanics.Bodies.MAN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.Prop;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
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
  private static final double W = 30;
  private static final int STEPS = 400;

  /**
   * What the external load does from one posture to the next, J: how far it gives way, times its
   * force.
   */
  private interface LoadWork {
    double joules(Posture from, Posture to);
  }

  private static LoadWork falls(String prop, double share) {
    return (first, second) ->
        share * W * Load.G * (point(first, prop).y() - point(second, prop).y());
  }

  /** The bar with chains that add so many kg at the top. */
  private static LoadWork chained(double extra) {
    return (first, second) ->
        (W + extra * (1 - 0.5 * (first.phase() + second.phase())))
            * Load.G
            * (point(first, "bar").y() - point(second, "bar").y());
  }

  private static Vec3 point(Posture posture, String kind) {
    return posture.props().stream()
        .filter(prop -> prop.kind().equals(kind))
        .map(Prop::points)
        .findFirst()
        .orElseThrow()
        .get(0);
  }

  /** A cable from the first to the second point of its prop gives way by what it gets longer. */
  private static final LoadWork CABLE =
      (first, second) -> {
        double now = cable(second);
        return -W * Load.G * (now - cable(first));
      };

  private static double cable(Posture posture) {
    List<Vec3> points =
        posture.props().stream()
            .filter(prop -> prop.kind().equals("cable"))
            .findFirst()
            .orElseThrow()
            .points();
    return points.get(0).minus(points.get(1)).norm();
  }

  static Stream<Arguments> families() {
    double hips = 2 * MAN.hipHalfDistanceM();
    Map<String, Double> planar = Map.of("stance", hips, "toeOut", 0.0);
    List<Arguments> list = new ArrayList<>();
    // family, set-up, legs that work, whether the whole body moves, the load's work
    list.add(
        Arguments.of(
            "hinge",
            with(planar, "lean", 60, "kneeBend", 20, "hold", 3),
            2,
            true,
            falls("bar", 1)));
    list.add(
        Arguments.of(
            "hinge",
            with(planar, "lean", 60, "kneeBend", 20, "hold", 3, "extraTop", 50),
            2,
            true,
            chained(50)));
    list.add(
        Arguments.of("squat", with(planar, "depth", 70, "extraTop", 50), 2, true, chained(50)));
    list.add(
        Arguments.of(
            "guided-hinge",
            with(planar, "lean", 60, "kneeBend", 20, "hold", 3),
            2,
            true,
            falls("bar", 1)));
    list.add(Arguments.of("belt-squat", with(planar, "depth", 80), 2, true, falls("belt", 1)));
    list.add(Arguments.of("hanging-squat", with(planar, "depth", 60), 2, true, falls("weight", 1)));
    // the seat stands and the feet move; on the hack the feet stand and everything above moves
    // along the rail
    list.add(
        Arguments.of(
            "press",
            with(planar, "kneeDepth", 80, "backAngle", 130, "footHeight", 0.10, "sledMass", 0),
            2,
            false,
            (LoadWork)
                (first, second) ->
                    W * Load.G * (first.points().ankle().y() - second.points().ankle().y())));
    list.add(
        Arguments.of(
            "hack",
            with(planar, "kneeDepth", 90, "sledMass", 0),
            2,
            true,
            (LoadWork)
                (first, second) ->
                    W * Load.G * (first.points().hip().y() - second.points().hip().y())));
    for (double pivotBehind : new double[] {1.4, -1.3}) {
      Map<String, Double> lever =
          with(planar, "kneeDepth", 85, "feetUp", 0.12, "pivotBehind", pivotBehind);
      list.add(
          Arguments.of("lever-squat", with(lever, "emptyAtPads", 0), 2, true, falls("weight", 1)));
    }
    list.add(
        Arguments.of(
            "thrust",
            with(Map.of(), "stance", hips, "toeOut", 0, "kneesOut", 0, "drop", 60),
            2,
            true,
            falls("bar", 1)));
    list.add(Arguments.of("sliding-curl", Map.of(), 2, true, falls("bar", 1)));
    list.add(
        Arguments.of(
            "back-extension", with(Map.of(), "low", 80, "held", 1), 2, true, falls("weight", 1)));
    list.add(
        Arguments.of(
            "kneeling-curl",
            with(Map.of(), "low", 70, "hipBend", 10, "help", 0),
            2,
            true,
            falls("weight", 1)));
    list.add(Arguments.of("lean-back", with(Map.of(), "low", 40), 2, true, falls("weight", 1)));
    list.add(Arguments.of("sissy", with(Map.of(), "kneeDepth", 110), 2, true, falls("weight", 1)));
    list.add(
        Arguments.of(
            "bent-over-calf", with(Map.of(), "handShare", 0), 2, false, falls("weight", 1)));
    list.add(Arguments.of("hip-cable", with(Map.of(), "kneeBend", 5), 1, false, CABLE));
    list.add(
        Arguments.of(
            "hip-cable",
            with(Map.of(), "direction", 90, "from", -12, "to", 30, "lean", 0),
            1,
            false,
            CABLE));
    list.add(
        Arguments.of(
            "hip-cable",
            with(Map.of(), "direction", -90, "from", -30, "to", 15, "lean", 0),
            1,
            false,
            CABLE));
    list.add(
        Arguments.of(
            "hip-cable",
            with(Map.of(), "direction", 180, "from", -15, "to", 80, "kneeBend", 70),
            1,
            false,
            CABLE));
    for (double[] swing : new double[][] {{0, -60, 10}, {90, -10, 25}, {-90, -30, 10}}) {
      list.add(
          Arguments.of(
              "hip-lever",
              with(Map.of(), "direction", swing[0], "from", swing[1], "to", swing[2], "lean", 10),
              1,
              false,
              (LoadWork)
                  (first, second) ->
                      0.2
                          * W
                          * Load.G
                          * Math.toRadians(swing[2] - swing[1])
                          * (second.phase() - first.phase())));
    }
    list.add(
        Arguments.of(
            "hip-weight",
            with(Map.of(), "lean", 90, "from", -70, "to", 3),
            1,
            false,
            falls("weight", 1)));
    list.add(
        Arguments.of(
            "hip-weight",
            with(Map.of(), "direction", 90, "lean", 0, "from", -5, "to", 35, "cuff", 1),
            1,
            false,
            falls("weight", 1)));
    list.add(Arguments.of("shin-raise", Map.of(), 1, false, falls("weight", 1)));
    list.add(Arguments.of("abduction-machine", LEVER, 1, false, stack(1)));
    list.add(Arguments.of("adduction-machine", LEVER, 1, false, stack(-1)));
    list.add(
        Arguments.of(
            "standing-curl",
            with(Bodies.ROUND, "pulley", 0.2),
            1,
            false,
            (LoadWork)
                (first, second) ->
                    0.2
                        * W
                        * Load.G
                        * (first.angle(Coordinate.KNEE_FLEXION)
                            - second.angle(Coordinate.KNEE_FLEXION))));
    return list.stream();
  }

  private static final Map<String, Double> LEVER = Map.of("pulley", 0.2);

  /**
   * Half a stack on each pad, lever 0.20 m: it sinks by the lever times the angle that the thigh
   * turns in the level plane.
   */
  private static LoadWork stack(int inwards) {
    return (first, second) -> inwards * 0.2 * W / 2 * Load.G * (azimuth(first) - azimuth(second));
  }

  private static double azimuth(Posture posture) {
    return Math.atan2(
        posture.points().knee().z() - posture.points().hip().z(),
        posture.points().knee().x() - posture.points().hip().x());
  }

  private static Map<String, Double> with(Map<String, Double> base, Object... pairs) {
    Map<String, Double> map = new HashMap<>(base);
    for (int i = 0; i < pairs.length; i += 2) {
      map.put((String) pairs[i], ((Number) pairs[i + 1]).doubleValue());
    }
    return map;
  }

  @ParameterizedTest(name = "{0} {1}")
  @MethodSource("families")
  void theWorkOfTheMomentsIsTheWorkOfWhatPushes(
      String family, Map<String, Double> setup, int legs, boolean wholeBody, LoadWork load) {
    Equilibrium eq = new Equilibrium(MAN, new Musculature(MAN));
    Posture before = null;
    double[] momentBefore = new double[Coordinate.ALL];
    double joints = 0;
    double outside = 0;
    for (int k = 0; k <= STEPS; k++) {
      Posture posture = Bodies.posture(MAN, family, setup, k / (double) STEPS, W);
      eq.set(posture);
      double[] moment = new double[Coordinate.ALL];
      for (Coordinate coordinate : Coordinate.values()) {
        moment[coordinate.ordinal()] = eq.externalNm(coordinate, W);
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
   * Both legs of a split stance together, the rear one standing on its ball, on a bench, or, on a
   * box, hanging: their moments' work is what body and load fall.
   */
  @ParameterizedTest
  @CsvSource({"split,0,0,0.7", "split,1,0.4,0.6", "guided-split,0,0,0.72", "step,-1,0,0"})
  void bothLegsOfASplitStanceDoTheWork(
      String family, double rear, double rearHeight, double stride) {
    Map<String, Double> front =
        rear < 0
            ? with(Map.of(), "pushOff", 0, "box", 0.25, "lean", 38)
            : with(
                Map.of(),
                "rear",
                rear,
                "rearHeight",
                rearHeight,
                "stride",
                stride,
                "lean",
                20,
                "bar",
                0);
    if (rear < 0) {
      front = with(front, "bar", 0);
    }
    double joints = 0;
    double outside = 0;
    for (int leg = 0; leg < (rear < 0 ? 1 : 2); leg++) {
      Equilibrium eq = new Equilibrium(MAN, new Musculature(MAN));
      Map<String, Double> setup = leg == 0 ? front : with(front, "leg", 1);
      Posture before = null;
      double[] momentBefore = null;
      for (int k = 0; k <= STEPS; k++) {
        Posture posture = Bodies.posture(MAN, family, setup, k / (double) STEPS, W);
        eq.set(posture);
        double[] moment = new double[Coordinate.ALL];
        for (Coordinate coordinate : Coordinate.values()) {
          moment[coordinate.ordinal()] = eq.externalNm(coordinate, W);
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
                      ? W * Load.G * (point(before, "bar").y() - point(posture, "bar").y())
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

  /**
   * On one leg, from above: what turns the hip is all that stands above it, the other leg with it.
   */
  @ParameterizedTest
  @CsvSource({"0,0", "0.4,0", "0.7,1", "1,2"})
  void theHipOfAOneLegHingeFeelsAllThatIsAboveIt(double phase, double hand) {
    Posture posture =
        Bodies.posture(MAN, "one-leg-hinge", Map.of("rear", 0.0, "hand", hand), phase, W);
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
            + W
                * (posture.props().stream()
                        .filter(prop -> prop.kind().equals(hand == 0 ? "bar" : "weight"))
                        .findFirst()
                        .orElseThrow()
                        .points()
                        .get(0)
                        .x()
                    - hip);
    assertThat(eq.externalNm(Coordinate.HIP_FLEXION, W)).isCloseTo(Load.G * above, within(1.5));
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
                    + W * la.forcePerKg().x()
                    + lb.force().x()
                    + W * lb.forcePerKg().x())
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
