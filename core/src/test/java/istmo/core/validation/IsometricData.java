package istmo.core.validation;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscles;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.mechanics.Musculature;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.ToDoubleFunction;

/** What papers measured of a young man's moments and arms, beside the model of them. */
final class IsometricData {
  static final Body MAN = Body.estimated(1.78, 75, Sex.MALE);

  /** Body weight times stature, N m: the unit of Anderson et al. (2007). */
  private static final double UNIT = 75 * 9.80665 * 1.78;

  /** One number of the model against one from a paper; {@code spread} of their logarithms. */
  record Datum(String name, ToDoubleFunction<Musculature> model, double target, double spread) {}

  /** A joint, and the way of its pull. */
  private record Pull(Coordinate coordinate, int sign) {}

  private final List<Datum> data = new ArrayList<>();

  IsometricData() {
    hipAndKnee();
    bentHip();
    ankle();
    ratios();
    hipAbduction();
    armsAndPassiveMoments();
  }

  List<Datum> all() {
    return List.copyOf(data);
  }

  private void hipAndKnee() {
    anderson(
        "knee extension",
        new Pull(Coordinate.KNEE_FLEXION, -1),
        new double[] {0.163, 1.258, 1.133},
        k -> new double[] {85, k, 0},
        20,
        35,
        50,
        65,
        80,
        95,
        110);
    anderson(
        "hip extension",
        new Pull(Coordinate.HIP_FLEXION, -1),
        new double[] {0.161, 0.958, 0.932},
        h -> new double[] {h, 60, 0},
        0,
        20,
        40,
        60,
        80,
        95);
    anderson(
        "knee flexion",
        new Pull(Coordinate.KNEE_FLEXION, 1),
        new double[] {0.087, 0.869, 0.522},
        k -> new double[] {85, k, 0},
        10,
        30,
        50,
        70,
        90);
    anderson(
        "hip flexion",
        new Pull(Coordinate.HIP_FLEXION, 1),
        new double[] {0.113, 0.738, -0.214},
        h -> new double[] {h, 60, 0},
        -10,
        15,
        40,
        65);
  }

  private void bentHip() {
    // Anderson's curve was not measured beyond 65 degrees and falls to a third of this at 90
    add(
        "hip flexion at 90, knee at 90, N m (Bohannon 1997: about 220 N above the knee)",
        musculature -> moment(musculature, Coordinate.HIP_FLEXION, 1, 90, 90, 0, 0),
        82,
        0.2);
  }

  private void ankle() {
    // Anderson's 124 N m is the lowest of the published peaks (130 to 200 N m in others), too
    // little for the heel raises that healthy adults do (Lunsford and Perry 1995): 161 N m, the
    // middle of the others, with Anderson's shape
    anderson(
        "plantarflexion",
        new Pull(Coordinate.ANKLE_DORSIFLEXION, -1),
        new double[] {161 / UNIT, 1.391, 0.408},
        a -> new double[] {0, 10, a},
        20,
        5,
        -10);
    anderson(
        "dorsiflexion",
        new Pull(Coordinate.ANKLE_DORSIFLEXION, 1),
        new double[] {0.033, 1.510, -0.187},
        a -> new double[] {60, 45, a},
        10,
        -10,
        -30);
  }

  private void ratios() {
    add(
        "hip extension, 90 over 10 (Kulig et al. 1984: rises)",
        musculature ->
            moment(musculature, Coordinate.HIP_FLEXION, -1, 90, 60, 0, 0)
                / moment(musculature, Coordinate.HIP_FLEXION, -1, 10, 60, 0, 0),
        1.4,
        0.15);
    add(
        "plantarflexion, -30 over +15 (Sale et al. 1982)",
        musculature ->
            moment(musculature, Coordinate.ANKLE_DORSIFLEXION, -1, 0, 10, -30, 0)
                / moment(musculature, Coordinate.ANKLE_DORSIFLEXION, -1, 0, 10, 15, 0),
        0.45,
        0.15);
    add(
        "plantarflexion, knee 90 over straight (Sale et al. 1982; Cresswell et al. 1995)",
        musculature ->
            moment(musculature, Coordinate.ANKLE_DORSIFLEXION, -1, 0, 90, 0, 0)
                / moment(musculature, Coordinate.ANKLE_DORSIFLEXION, -1, 0, 5, 0, 0),
        0.68,
        0.10);
    add(
        "knee flexion at 60, lying over seated (Worrell et al. 1989)",
        musculature ->
            moment(musculature, Coordinate.KNEE_FLEXION, 1, 5, 60, 0, 0)
                / moment(musculature, Coordinate.KNEE_FLEXION, 1, 85, 60, 0, 0),
        0.78,
        0.10);
    add(
        "knee extension at 80, lying over seated (Maffiuletti and Lepers 2003)",
        musculature ->
            moment(musculature, Coordinate.KNEE_FLEXION, -1, 10, 80, 0, 0)
                / moment(musculature, Coordinate.KNEE_FLEXION, -1, 85, 80, 0, 0),
        0.97,
        0.05);
  }

  private void hipAbduction() {
    for (double[] p : new double[][] {{0, 0.90}, {10, 0.79}, {20, 0.66}, {30, 0.53}}) {
      add(
          "abduction at " + p[0] + " over 10 adducted (Neumann et al. 1988)",
          musculature ->
              moment(musculature, Coordinate.HIP_ABDUCTION, 1, 0, 0, 0, p[0])
                  / moment(musculature, Coordinate.HIP_ABDUCTION, 1, 0, 0, 0, -10),
          p[1],
          0.15);
    }
    add(
        "abduction at 0, N m (Cahalan et al. 1989)",
        musculature -> moment(musculature, Coordinate.HIP_ABDUCTION, 1, 0, 0, 0, 0),
        105,
        0.2);
    add(
        "abduction over adduction, hips and knees at 60 (O'Brien et al. 2019, at the knees)",
        musculature ->
            moment(musculature, Coordinate.HIP_ABDUCTION, 1, 60, 60, 0, 0)
                / moment(musculature, Coordinate.HIP_ABDUCTION, -1, 60, 60, 0, 0),
        0.9,
        0.2);
    add(
        "adduction at 0, N m (Cahalan et al. 1989)",
        musculature -> moment(musculature, Coordinate.HIP_ABDUCTION, -1, 0, 0, 0, 0),
        125,
        0.2);
  }

  private void armsAndPassiveMoments() {
    add(
        "gluteus maximus arm at 0, m (Németh and Ohlsén 1985)",
        musculature -> arm(musculature, 0, Coordinate.HIP_FLEXION, -1, "GMAXU", "GMAXM", "GMAXL"),
        0.079 * MAN.lengthFactor(),
        0.07);
    add(
        "gluteus medius abduction arm at 0, m (Dostal et al. 1986)",
        musculature -> arm(musculature, 0, Coordinate.HIP_ABDUCTION, 1, "GMEDA", "GMEDP"),
        0.055 * MAN.lengthFactor(),
        0.12);
    add(
        "passive plantarflexion at 20 dorsiflexed, N m (Riener and Edrich 1999)",
        musculature -> passive(musculature, Coordinate.ANKLE_DORSIFLEXION, -1, 0, 5, 20),
        20,
        0.5);
    add(
        "passive plantarflexion at 35 dorsiflexed, knee bent, N m (deep squats are stood in without"
            + " it stopping them)",
        musculature -> passive(musculature, Coordinate.ANKLE_DORSIFLEXION, -1, 100, 110, 35),
        30,
        0.3);
    add(
        "passive hip extension, straight leg at 80, N m (Magnusson et al. 1996; Riener and Edrich"
            + " 1999)",
        musculature -> passive(musculature, Coordinate.HIP_FLEXION, -1, 80, 5, 0),
        50,
        0.5);
    add(
        "passive hip extension, bent knee at 110, N m (Riener and Edrich 1999)",
        musculature -> passive(musculature, Coordinate.HIP_FLEXION, -1, 110, 90, 0),
        25,
        0.2);
  }

  private void add(String name, ToDoubleFunction<Musculature> model, double target, double spread) {
    data.add(new Datum(name, model, target, spread));
  }

  /**
   * Points of C1 BW H cos(C2 (angle - C3)), Anderson et al. (2007), men of 18 to 25 years; a curve
   * counts as three independent points.
   */
  private void anderson(
      String name, Pull pull, double[] c, DoubleFunction<double[]> posture, double... degrees) {
    for (double d : degrees) {
      double[] q = posture.apply(d);
      add(
          name + " at " + d + ", N m (Anderson et al. 2007)",
          musculature -> moment(musculature, pull.coordinate(), pull.sign(), q[0], q[1], q[2], 0),
          c[0] * UNIT * Math.cos(c[1] * (Math.toRadians(d) - c[2])),
          0.12 * Math.sqrt(degrees.length / 3.0));
    }
  }

  /** Moment of every muscle that helps, fully active, without its passive part, N m; degrees. */
  private static double moment(
      Musculature musculature,
      Coordinate coordinate,
      int sign,
      double hip,
      double knee,
      double ankle,
      double abduction) {
    at(musculature, hip, knee, ankle, abduction);
    double sum = 0;
    for (int i = 0; i < musculature.size(); i++) {
      sum += Math.max(0, sign * musculature.arm(i, coordinate) * musculature.activeForceN(i));
    }
    return sum;
  }

  private static double passive(
      Musculature musculature,
      Coordinate coordinate,
      int sign,
      double hip,
      double knee,
      double ankle) {
    at(musculature, hip, knee, ankle, 0);
    double sum = 0;
    for (int i = 0; i < musculature.size(); i++) {
      sum += sign * musculature.arm(i, coordinate) * musculature.passiveForceN(i);
    }
    return sum;
  }

  private static double arm(
      Musculature musculature, double hip, Coordinate coordinate, int sign, String... ids) {
    at(musculature, hip, 0, 0, 0);
    double volume = 0;
    double sum = 0;
    for (String id : ids) {
      int i = Muscles.standard().indexOf(id);
      sum += sign * musculature.arm(i, coordinate) * Muscles.standard().get(id).volumeM3();
      volume += Muscles.standard().get(id).volumeM3();
    }
    return sum / volume;
  }

  private static void at(
      Musculature musculature, double hip, double knee, double ankle, double abduction) {
    musculature.at(
        new double[] {
          Math.toRadians(hip),
          Math.toRadians(abduction),
          0,
          Math.toRadians(knee),
          Math.toRadians(ankle),
          0
        });
  }
}
