package istmo.core.validation;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscle;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

/**
 * Segment tables, muscle table, moment arms and maximal joint moments against published numbers,
 * all remembered, not looked up.
 */
final class AnatomyChecks {
  private static final Muscles TABLE = Muscles.standard();
  private static final String[] GMAX = {"GMAXU", "GMAXM", "GMAXL"};
  private static final String[] HAMS = {"BFL", "ST", "SM"};

  private AnatomyChecks() {}

  static List<Row> rows() {
    List<Row> rows = new ArrayList<>();
    segments(rows);
    volumes(rows);
    arms(rows);
    IsometricChecks.greatestMoments(rows);
    return rows;
  }

  private static void segments(List<Row> rows) {
    rows.add(
        Row.within(
            "C009",
            "thigh length over stature",
            "Drillis and Contini 1966",
            0.2449,
            0.2451,
            Segments.THIGH_LENGTH,
            ""));
    rows.add(
        Row.within(
            "C010",
            "shank length over stature",
            "Drillis and Contini 1966",
            0.2459,
            0.2461,
            Segments.SHANK_LENGTH,
            ""));
    rows.add(
        Row.within(
            "C012",
            "hip to shoulder over stature",
            "Drillis and Contini 1966",
            0.2879,
            0.2881,
            Segments.HIP_TO_SHOULDER,
            ""));
    Body man = Body.estimated(1.75, 75, Sex.MALE);
    Body woman = Body.estimated(1.75, 75, Sex.FEMALE);
    rows.add(
        Row.within(
            "C015",
            "thigh mass, man and woman added, % of body",
            "de Leva 1996",
            28.93,
            28.95,
            100 * (man.thighMassKg() + woman.thighMassKg()) / 75,
            "%"));
    double leg = (man.thighMassKg() + man.shankMassKg() + man.footMassKg()) / 75;
    rows.add(
        Row.within(
            "C004",
            "one leg over body mass (Winter's 0.161 cuts the thigh lower than de Leva does)",
            "Winter 2009",
            0.155,
            0.167,
            leg,
            ""));
    rows.add(
        Row.within(
            "",
            "everything adds up to the body",
            "definition",
            1,
            1,
            (man.upperMassKg() + 2 * leg * 75) / 75,
            ""));
  }

  private static void volumes(List<Row> rows) {
    muscleVolumes(rows);
    proportionsOfMuscles(rows);
  }

  private static void muscleVolumes(List<Row> rows) {
    rows.add(
        Row.within(
            "C033",
            "gluteus maximus volume",
            "Handsfield et al. 2014",
            800,
            900,
            sum(Muscle::volumeM3, GMAX) * 1e6,
            "cm³"));
    rows.add(
        Row.within(
            "C033",
            "vastus lateralis volume",
            "Handsfield et al. 2014",
            780,
            880,
            volume("VL"),
            "cm³"));
    rows.add(
        Row.holds(
            "C035",
            "hamstring volumes in order",
            "Handsfield et al. 2014",
            "SM > BFl > ST > BFs",
            order("SM", "BFL", "ST", "BFS"),
            volume("SM") > volume("BFL")
                && volume("BFL") > volume("ST")
                && volume("ST") > volume("BFS")));
    rows.add(
        Row.more(
            "C036",
            "gastrocnemius: inner head against outer, volume",
            "Handsfield et al. 2014",
            volume("GASM"),
            volume("GASL")));
    double quads = sum(Muscle::pcsaM2, "RF", "VL", "VM", "VI");
    rows.add(
        Row.within(
            "C024",
            "rectus femoris share of quadriceps cross-section",
            "Ward et al. 2009",
            0.12,
            0.20,
            sum(Muscle::pcsaM2, "RF") / quads,
            ""));
  }

  private static void proportionsOfMuscles(List<Row> rows) {
    rows.add(
        Row.within(
            "C030",
            "soleus share of triceps surae cross-section",
            "Ward et al. 2009",
            0.55,
            0.70,
            sum(Muscle::pcsaM2, "SOL") / sum(Muscle::pcsaM2, "SOL", "GASM", "GASL"),
            ""));
    rows.add(
        Row.within(
            "C020",
            "gluteus medius over maximus by cross-section",
            "Ward et al. 2009",
            0.8,
            1.2,
            sum(Muscle::pcsaM2, "GMEDA", "GMEDP") / sum(Muscle::pcsaM2, GMAX),
            ""));
    rows.add(
        Row.within(
            "C027",
            "semimembranosus over biceps long head by cross-section",
            "Ward et al. 2009",
            1.3,
            2.0,
            sum(Muscle::pcsaM2, "SM") / sum(Muscle::pcsaM2, "BFL"),
            ""));
    rows.add(
        Row.within(
            "T21",
            "gluteus medius over maximus by volume",
            "common practice",
            0.27,
            0.40,
            sum(Muscle::volumeM3, "GMEDA", "GMEDP") / sum(Muscle::volumeM3, GMAX),
            ""));
    rows.add(
        Row.within(
            "T22",
            "gluteus minimus over medius by volume",
            "MRI volumes, several, from memory (the trade says a half; Handsfield's own are 104"
                + " over 323)",
            0.25,
            0.4,
            sum(Muscle::volumeM3, "GMIN") / sum(Muscle::volumeM3, "GMEDA", "GMEDP"),
            ""));
  }

  private static void arms(List<Row> rows) {
    hipExtensionArms(rows);
    hipTurningArms(rows);
    kneeAndAnkleArms(rows);
  }

  private static void hipExtensionArms(List<Row> rows) {
    rows.add(
        Row.within(
            "C038",
            "gluteus maximus extension arm, standing",
            "Németh and Ohlsén 1985",
            69,
            89,
            -10 * meanArm(0, Coordinate.HIP_FLEXION, GMAX),
            "mm"));
    rows.add(
        Row.more(
            "C038",
            "the same against 90° of flexion",
            "Németh and Ohlsén 1985",
            -meanArm(0, Coordinate.HIP_FLEXION, GMAX),
            -meanArm(90, Coordinate.HIP_FLEXION, GMAX)));
    rows.add(
        Row.within(
            "C039",
            "hamstring extension arm, standing",
            "Németh and Ohlsén 1985",
            54,
            68,
            -10 * meanArm(0, Coordinate.HIP_FLEXION, HAMS),
            "mm"));
    double bestHam = argMax(0, 100, f -> -meanArm(f, Coordinate.HIP_FLEXION, HAMS));
    rows.add(
        Row.within(
            "C039",
            "flexion at which that arm peaks",
            "Németh and Ohlsén 1985",
            20,
            50,
            bestHam,
            "°"));
    rows.add(
        Row.more(
            "C040",
            "adductor magnus extension arm: 90° against standing",
            "Németh and Ohlsén 1985",
            -meanArm(90, Coordinate.HIP_FLEXION, "AMA", "AMI"),
            -meanArm(0, Coordinate.HIP_FLEXION, "AMA", "AMI")));
  }

  private static void hipTurningArms(List<Row> rows) {
    rows.add(
        Row.more(
            "C041",
            "gluteus maximus external-rotation arm: standing against 90°",
            "Delp et al. 1999",
            -meanArm(0, Coordinate.HIP_INTERNAL_ROTATION, GMAX),
            -meanArm(90, Coordinate.HIP_INTERNAL_ROTATION, GMAX)));
    rows.add(
        Row.more(
            "C042",
            "front of gluteus medius, internal-rotation arm: 90° against standing",
            "Delp et al. 1999",
            meanArm(90, Coordinate.HIP_INTERNAL_ROTATION, "GMEDA"),
            meanArm(0, Coordinate.HIP_INTERNAL_ROTATION, "GMEDA")));
    rows.add(
        Row.within(
            "C044",
            "gluteus medius abduction arm, standing",
            "Dostal et al. 1986 (straight lines)",
            5.0,
            6.7,
            meanArm(0, Coordinate.HIP_ABDUCTION, "GMEDA", "GMEDP"),
            "cm"));
    rows.add(
        Row.holds(
            "C046",
            "adductor longus: flexor when extended, extensor in deep flexion",
            "Dostal et al. 1986",
            "+ then −",
            String.format(
                Locale.ROOT,
                "%.1f then %.1f cm",
                meanArm(0, Coordinate.HIP_FLEXION, "AL"),
                meanArm(100, Coordinate.HIP_FLEXION, "AL")),
            meanArm(0, Coordinate.HIP_FLEXION, "AL") > 0
                && meanArm(100, Coordinate.HIP_FLEXION, "AL") < 0));
  }

  private static void kneeAndAnkleArms(List<Row> rows) {
    rows.add(
        Row.within(
            "C050",
            "quadriceps extension arm, greatest",
            "Tsaopoulos et al. 2006 (review)",
            3,
            5,
            peak(0, 120, k -> -kneeArm(k, "VL")),
            "cm"));
    rows.add(
        Row.within(
            "C050",
            "knee flexion at which it peaks",
            "Tsaopoulos et al. 2006 (review)",
            20,
            45,
            argMax(0, 120, k -> -kneeArm(k, "VL")),
            "°"));
    rows.add(
        Row.more(
            "C047",
            "gastrocnemius knee arm: 60° against straight",
            "Spoor and van Leeuwen 1992",
            kneeArm(60, "GASM"),
            kneeArm(0, "GASM")));
    rows.add(
        Row.more(
            "C052",
            "Achilles arm: 30° plantarflexed against 15° dorsiflexed",
            "Rugg et al. 1990",
            -ankleArm(-30, "SOL"),
            -ankleArm(15, "SOL")));
  }

  private static double sum(ToDoubleFunction<Muscle> f, String... ids) {
    double sum = 0;
    for (String id : ids) {
      sum += f.applyAsDouble(TABLE.get(id));
    }
    return sum;
  }

  private static double volume(String id) {
    return TABLE.get(id).volumeM3() * 1e6;
  }

  private static String order(String... ids) {
    List<String> parts = new ArrayList<>();
    for (String id : ids) {
      parts.add(String.format(Locale.ROOT, "%.0f", volume(id)));
    }
    return String.join(", ", parts) + " cm³";
  }

  /** Arm at a hip flexion, weighted by volume, cm; reference adult. */
  private static double meanArm(double hipDeg, Coordinate coordinate, String... ids) {
    double volume = 0;
    double sum = 0;
    for (String id : ids) {
      Muscle muscle = TABLE.get(id);
      var curve =
          coordinate == Coordinate.HIP_FLEXION
              ? muscle.hipFlexion()
              : coordinate == Coordinate.HIP_ABDUCTION
                  ? muscle.hipAbduction()
                  : muscle.hipRotation();
      sum += muscle.volumeM3() * curve.orElseThrow().value(Math.toRadians(hipDeg));
      volume += muscle.volumeM3();
    }
    return 100 * sum / volume;
  }

  private static double kneeArm(double deg, String id) {
    return 100 * TABLE.get(id).kneeFlexion().orElseThrow().value(Math.toRadians(deg));
  }

  private static double ankleArm(double deg, String id) {
    return 100 * TABLE.get(id).ankleDorsiflexion().orElseThrow().value(Math.toRadians(deg));
  }

  /** The whole number between two at which a function is greatest. */
  static double argMax(double low, double high, ToDoubleFunction<Double> f) {
    double best = low;
    for (double x = low; x <= high; x += 1) {
      if (f.applyAsDouble(x) > f.applyAsDouble(best)) {
        best = x;
      }
    }
    return best;
  }

  static double peak(double low, double high, ToDoubleFunction<Double> f) {
    return f.applyAsDouble(argMax(low, high, f));
  }
}
