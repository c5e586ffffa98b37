package istmo.core.mechanics;

import static istmo.core.mechanics.Bodies.MAN;

import istmo.core.anatomy.Coordinate;
import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.Prop;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.provider.Arguments;

/** Families in set-ups in which all work is in the plane of the picture, and what the load does. */
final class EnergyCases {
  /** The load, kg. */
  static final double W = 30;

  private static final double HIPS = 2 * MAN.hipHalfDistanceM();

  private EnergyCases() {}

  /**
   * What the external load does from one posture to the next, J: how far it gives way, times its
   * force.
   */
  interface LoadWork {
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

  static Vec3 point(Posture posture, String kind) {
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
    List<Arguments> list = new ArrayList<>();
    hingesAndSquats(list);
    pressesAndLevers(list);
    lyingAndKneeling(list);
    cables(list);
    hangingWeightsAndStacks(list);
    return list.stream();
  }

  private static void hingesAndSquats(List<Arguments> list) {
    Map<String, Double> planar = Map.of("stance", HIPS, "toeOut", 0.0);
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
    list.add( // in the crook of the elbows
        Arguments.of("squat", with(planar, "depth", 70, "bar", 6), 2, true, falls("bar", 1)));
    list.add(
        Arguments.of(
            "guided-hinge",
            with(planar, "lean", 60, "kneeBend", 20, "hold", 3),
            2,
            true,
            falls("bar", 1)));
    list.add(Arguments.of("belt-squat", with(planar, "depth", 80), 2, true, falls("belt", 1)));
    list.add(Arguments.of("hanging-squat", with(planar, "depth", 60), 2, true, falls("weight", 1)));
  }

  private static void pressesAndLevers(List<Arguments> list) {
    Map<String, Double> planar = Map.of("stance", HIPS, "toeOut", 0.0);
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
  }

  private static void lyingAndKneeling(List<Arguments> list) {
    list.add(
        Arguments.of(
            "thrust",
            with(Map.of(), "stance", HIPS, "toeOut", 0, "kneesOut", 0, "drop", 60),
            2,
            true,
            falls("bar", 1)));
    list.add(Arguments.of("sliding-curl", Map.of(), 2, true, falls("bar", 1)));
    list.add(
        Arguments.of(
            "back-extension", with(Map.of(), "low", 80, "held", 1), 2, true, falls("weight", 1)));
    list.add(
        Arguments.of(
            "back-extension",
            with(Map.of(), "low", 80, "held", 1, "legs", 1),
            1,
            true,
            falls("weight", 1)));
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
  }

  private static void cables(List<Arguments> list) {
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
  }

  private static void hangingWeightsAndStacks(List<Arguments> list) {
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
    list.add(
        Arguments.of(
            "hip-weight",
            with(Map.of(), "direction", 180, "lean", -90, "from", 10, "to", 70, "kneeBend", 10),
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
  }

  private static final Map<String, Double> LEVER = Map.of("pulley", 0.2);

  /**
   * Half a stack on each pad, lever 0.20 m: it sinks by the lever times the angle that the thigh
   * turns in the level plane.
   */
  private static LoadWork stack(int inwards) {
    return (first, second) -> inwards * 0.2 * W / 2 * Load.G * (azimuth(first) - azimuth(second));
  }

  static double azimuth(Posture posture) {
    return Math.atan2(
        posture.points().knee().z() - posture.points().hip().z(),
        posture.points().knee().x() - posture.points().hip().x());
  }

  static Map<String, Double> with(Map<String, Double> base, Object... pairs) {
    Map<String, Double> map = new HashMap<>(base);
    for (int i = 0; i < pairs.length; i += 2) {
      map.put((String) pairs[i], ((Number) pairs[i + 1]).doubleValue());
    }
    return map;
  }
}
