package istmo.core.validation;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.mechanics.Musculature;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** Greatest moments of a young man and where they are, against dynamometer studies. */
final class IsometricChecks {
  private static final Musculature MUSCULATURE =
      new Musculature(Body.estimated(1.78, 75, Sex.MALE));

  /** Weight times stature, N m. */
  private static final double UNIT = 75 * 9.80665 * 1.78;

  private static final String SOURCE = "Anderson et al. 2007, men 18 to 25";

  private static final ToDoubleFunction<Double> KNEE_EXTENSION =
      k -> moment(Coordinate.KNEE_FLEXION, -1, 85, k, 0, 0);

  private static final ToDoubleFunction<Double> HIP_EXTENSION =
      h -> moment(Coordinate.HIP_FLEXION, -1, h, 60, 0, 0);

  private static final ToDoubleFunction<Double> KNEE_FLEXION =
      k -> moment(Coordinate.KNEE_FLEXION, 1, 85, k, 0, 0);

  private static final ToDoubleFunction<Double> PLANTARFLEXION =
      a -> moment(Coordinate.ANKLE_DORSIFLEXION, -1, 0, 10, a, 0);

  private static final ToDoubleFunction<Double> ABDUCTION =
      a -> moment(Coordinate.HIP_ABDUCTION, 1, 0, 0, 0, a);

  private IsometricChecks() {}

  static void greatestMoments(List<Row> rows) {
    hipAndKnee(rows);
    ankleAndAbduction(rows);
  }

  private static void hipAndKnee(List<Row> rows) {
    rows.add(
        Row.within(
            "C056",
            "greatest knee extension moment, ±25 %",
            SOURCE,
            0.75 * 0.163 * UNIT,
            1.25 * 0.163 * UNIT,
            AnatomyChecks.peak(20, 110, KNEE_EXTENSION),
            "N m"));
    rows.add(
        Row.within(
            "C056",
            "knee flexion at that peak",
            SOURCE + "; Kulig et al. 1984",
            50,
            75,
            AnatomyChecks.argMax(20, 110, KNEE_EXTENSION),
            "°"));
    rows.add(
        Row.within(
            "C057",
            "greatest hip extension moment, ±25 %",
            SOURCE,
            0.75 * 0.161 * UNIT,
            1.25 * 0.161 * UNIT,
            AnatomyChecks.peak(0, 110, HIP_EXTENSION),
            "N m"));
    rows.add(
        Row.more(
            "C062",
            "hip extension moment: 90° against nearly straight",
            "Kulig et al. 1984",
            HIP_EXTENSION.applyAsDouble(90.0),
            HIP_EXTENSION.applyAsDouble(5.0)));
    rows.add(
        Row.within(
            "C059",
            "greatest knee flexion moment, ±25 %",
            SOURCE,
            0.75 * 0.087 * UNIT,
            1.25 * 0.087 * UNIT,
            AnatomyChecks.peak(10, 100, KNEE_FLEXION),
            "N m"));
    rows.add(
        Row.more(
            "C061",
            "knee flexion moment: 30° against 100°",
            "Kulig et al. 1984",
            KNEE_FLEXION.applyAsDouble(30.0),
            KNEE_FLEXION.applyAsDouble(100.0)));
  }

  private static void ankleAndAbduction(List<Row> rows) {
    rows.add(
        Row.within(
            "C058",
            "greatest plantarflexion moment, ±25 %",
            SOURCE,
            0.75 * 0.095 * UNIT,
            1.25 * 0.095 * UNIT,
            AnatomyChecks.peak(-40, 25, PLANTARFLEXION),
            "N m"));
    rows.add(
        Row.within(
            "",
            "the same",
            "several since the 1980s, from memory: 130 to 200 N m",
            130,
            200,
            AnatomyChecks.peak(-40, 25, PLANTARFLEXION),
            "N m"));
    rows.add(
        Row.more(
            "C064",
            "plantarflexion moment: 15° dorsiflexed against 30° plantarflexed",
            "Sale et al. 1982; Kulig et al. 1984",
            PLANTARFLEXION.applyAsDouble(15.0),
            PLANTARFLEXION.applyAsDouble(-30.0)));
    rows.add(
        Row.more(
            "C063",
            "abduction moment: 10° adducted against 30° abducted",
            "Neumann et al. 1988",
            ABDUCTION.applyAsDouble(-10.0),
            ABDUCTION.applyAsDouble(30.0)));
  }

  /** Moment of every muscle that helps, fully active, with its passive part. */
  private static double moment(
      Coordinate coordinate, int sign, double hip, double knee, double ankle, double abduction) {
    MUSCULATURE.at(
        new double[] {
          Math.toRadians(hip),
          Math.toRadians(abduction),
          0,
          Math.toRadians(knee),
          Math.toRadians(ankle),
          0
        });
    double sum = 0;
    for (int i = 0; i < MUSCULATURE.size(); i++) {
      sum +=
          Math.max(0, sign * MUSCULATURE.arm(i, coordinate) * MUSCULATURE.activeForceN(i))
              + sign * MUSCULATURE.arm(i, coordinate) * MUSCULATURE.passiveForceN(i);
    }
    return sum;
  }
}
